<?php

declare(strict_types=1);

namespace App\Archive;

use App\Store\Record;
use stdClass;

/** Members of what an archive says, each of its kind, or nothing: what is in a file may be anything. */
final class Row
{
    /** Members of a wool that core knows. */
    public const WOOL = ['name', 'hex', 'material', 'preparation', 'gramsLeft', 'micron', 'gPerM', 'price', 'packG', 'maker'];

    public static function text(stdClass $in, string $member, int $most = 64): string
    {
        $value = $in->{$member} ?? '';

        return is_string($value) ? mb_substr(str_replace("\0", '', $value), 0, $most) : '';
    }

    public static function whole(stdClass $in, string $member): int
    {
        $value = $in->{$member} ?? 0;

        return is_int($value) ? $value : 0;
    }

    public static function number(stdClass $in, string $member): ?float
    {
        $value = $in->{$member} ?? null;

        return (is_int($value) || is_float($value)) && is_finite((float) $value) ? (float) $value : null;
    }

    public static function flag(stdClass $in, string $member): bool
    {
        return ($in->{$member} ?? false) === true;
    }

    /** @return list<stdClass> what a list holds */
    public static function objects(stdClass $in, string $member): array
    {
        $all = $in->{$member} ?? [];

        return array_values(array_filter(is_array($all) ? $all : [], static fn (mixed $one): bool => $one instanceof stdClass));
    }

    /** A moment as 2026-11-27 10:00:00. */
    public static function time(stdClass $in, string $member): ?string
    {
        $value = $in->{$member} ?? null;

        return is_string($value) && strlen($value) === 19 && Record::isTime($value) ? $value : null;
    }
}
