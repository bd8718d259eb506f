<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;

/**
 * What is known by the same name in every store it is carried to.
 *
 * @property string $uuid
 */
trait Travels
{
    protected static function bootTravels(): void
    {
        self::creating(static function (Model $row): void {
            if (($row->getAttributes()['uuid'] ?? null) === null) {
                $row->setAttribute('uuid', (string) Str::uuid());
            }
        });
    }
}
