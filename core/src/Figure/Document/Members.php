<?php

declare(strict_types=1);

namespace Impa\Figure\Document;

use stdClass;

/** Members of a document by their type; what is not there, or is of another type, is what is usual for it, or empty. */
final class Members
{
    public static function text(stdClass $from, string $name, string $usual = ''): string
    {
        return is_string($from->{$name} ?? null) ? $from->{$name} : $usual;
    }

    public static function number(stdClass $from, string $name, float $usual = 0.0): float
    {
        return isset($from->{$name}) ? self::float($from->{$name}) : $usual;
    }

    public static function float(mixed $value): float
    {
        return is_int($value) || is_float($value) ? (float) $value : 0.0;
    }

    public static function object(stdClass $from, string $name): stdClass
    {
        return ($from->{$name} ?? null) instanceof stdClass ? $from->{$name} : new stdClass();
    }

    /** @return list<stdClass> */
    public static function members(stdClass $from, string $name): array
    {
        /** @var list<stdClass> $members the schema has passed them */
        $members = $from->{$name} ?? [];

        return $members;
    }

    /** @return list<float> */
    public static function numbers(stdClass $from, string $name): array
    {
        /** @var list<float|int> $numbers the schema has passed them */
        $numbers = $from->{$name} ?? [];

        return array_map(floatval(...), $numbers);
    }

    /** @return list<string> */
    public static function texts(stdClass $from, string $name): array
    {
        /** @var list<string> $texts the schema has passed them */
        $texts = $from->{$name} ?? [];

        return $texts;
    }

    /** @return list<list<array{float, float}>> */
    public static function loops(stdClass $from, string $name): array
    {
        /** @var list<mixed> $loops the schema has passed them */
        $loops = $from->{$name} ?? [];

        return array_map(self::pointsOf(...), $loops);
    }

    /** @return list<array{float, float}> */
    public static function points(stdClass $from, string $name): array
    {
        return self::pointsOf($from->{$name} ?? null);
    }

    /** @return list<array{float, float}> */
    public static function pointsOf(mixed $list): array
    {
        $points = [];
        foreach (is_array($list) ? $list : [] as $point) {
            $points[] = is_array($point) ? [self::float($point[0] ?? 0), self::float($point[1] ?? 0)] : [0.0, 0.0];
        }

        return $points;
    }
}
