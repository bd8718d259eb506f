<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use LogicException;

/**
 * A query for rows that belong to a felter. The framework asks a model's scopes in most of what it does in bulk, but not where rows are
 * removed for good: here it does.
 *
 * @template TModel of Model
 *
 * @extends Builder<TModel>
 */
final class OwnRows extends Builder
{
    public function forceDelete(): mixed
    {
        return $this->toBase()->delete();
    }

    public function truncate(): never
    {
        throw new LogicException('A table is everybody\'s: remove one\'s own rows instead.');
    }
}
