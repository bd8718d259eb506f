<?php

declare(strict_types=1);

namespace Impa\Figure\Upgrade;

use Impa\Figure\Term\DetailRole;
use stdClass;

/**
 * From version 1 to 2: what a detail is no longer hangs on the English words of its name, nor what is ticked of a weight on its place in
 * the list. Both are written down here as version 1 understood them.
 */
final class FromOne
{
    public static function up(stdClass $document): stdClass
    {
        $up = clone $document;
        $up->version = 2;
        if (is_array($up->details ?? null)) {
            $up->details = array_map(self::detail(...), $up->details);
        }
        if (($up->base ?? null) instanceof stdClass && is_array($up->base->weights ?? null)) {
            $up->base = clone $up->base;
            $up->base->weights = array_map(self::weight(...), $up->base->weights, array_keys($up->base->weights));
        }

        return $up;
    }

    private static function detail(mixed $detail): mixed
    {
        if (! $detail instanceof stdClass || isset($detail->role)) {
            return $detail;
        }
        $up = clone $detail;
        $name = $up->name ?? $up->key ?? '';
        $up->role = DetailRole::byName(is_string($name) ? $name : '')->value;

        return $up;
    }

    private static function weight(mixed $weight, int|string $place): mixed
    {
        if (! $weight instanceof stdClass || isset($weight->key)) {
            return $weight;
        }
        $up = clone $weight;
        $up->key = (string) $place;

        return $up;
    }
}
