<?php

declare(strict_types=1);

namespace Impa\Figure;

/** A key that none of the others has: the wish, or the wish and a number. */
final class FreeKey
{
    /** @param  array<array-key, string>  $taken */
    public static function besides(array $taken, string $wish): string
    {
        for ($key = $wish, $n = 2; in_array($key, $taken, true); $n++) {
            $key = $wish.'-'.$n;
        }

        return $key;
    }
}
