<?php

declare(strict_types=1);

namespace App\Archive;

/** JSON as archives hold it: for eyes as well, and the same whenever the same is written. */
final class Json
{
    public static function of(mixed $value): string
    {
        $flags = JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;

        return json_encode($value, $flags)."\n";
    }
}
