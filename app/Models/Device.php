<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\Owned;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A tablet that was paired.
 *
 * @property int $id
 * @property string $name
 * @property string $pass_hash
 * @property Carbon $paired_at
 * @property ?Carbon $seen_at
 */
final class Device extends Model
{
    use Owned;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['paired_at' => 'datetime', 'seen_at' => 'datetime'];
}
