<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Accounts\CurrentFelter;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Query\Builder as QueryBuilder;

/**
 * Rows that belong to a felter: none but one's own are ever found, and what is made is one's own.
 *
 * @property int $felter_id
 */
trait Owned
{
    protected static function bootOwned(): void
    {
        self::addGlobalScope('own', static function (Builder $query): void {
            $query->where($query->qualifyColumn('felter_id'), CurrentFelter::id());
        });
        self::creating(static function (Model $row): void {
            if ($row->getAttributes()['felter_id'] ?? null) {
                return;
            }
            $row->setAttribute('felter_id', CurrentFelter::own()['felter_id']);
        });
    }

    /**
     * @param  QueryBuilder  $query
     * @return OwnRows<self>
     */
    public function newEloquentBuilder($query): OwnRows
    {
        /** @var OwnRows<self> $rows */
        $rows = new OwnRows($query);

        return $rows;
    }
}
