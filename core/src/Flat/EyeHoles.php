<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Geometry\Box;
use Impa\Voice\Message;

/**
 * Where a mask is looked through: two openings as far apart as eyes are. Adults' pupils lie 63 mm apart at the mean, nearly all of them
 * 52 to 74 (Dodgson 2004, Variation and extrema of human interpupillary distance; from memory); children's less.
 */
final class EyeHoles
{
    public const APART_MM = 63.0;

    /** Apart so far of most adults, mm. */
    public const RANGE_MM = [52.0, 74.0];

    /** As wide and high as leaves the eye free (common practice), mm. */
    private const SIZE_MM = [32.0, 24.0];

    private const POINTS = 32;

    /**
     * A pair on the middle line of the ground, level with its middle; smaller where that leaves too little felt. None where it is too
     * small for any.
     *
     * @return list<array{key: string, name: string, pointsMm: list<array{float, float}>}>
     */
    public static function suggested(Layers $layers): array
    {
        $ground = $layers->all[0];
        [$middle, $y] = $ground->box->middle();
        $pair = [];
        foreach ([1 => Message::of('flat.eye-hole.right'), -1 => Message::of('flat.eye-hole.left')] as $way => $name) {
            $points = [];
            for ($k = 0; $k < self::POINTS; $k++) {
                $a = 2 * M_PI * $k / self::POINTS;
                $points[] = [
                    round($middle + $way * (self::APART_MM + self::SIZE_MM[0] * cos($a)) / 2, 2),
                    round($y + self::SIZE_MM[1] / 2 * sin($a), 2),
                ];
            }
            if (array_filter($points, static fn (array $p): bool => ! $ground->has($p[0], $p[1])) !== []) {
                return [];
            }
            $pair[] = ['key' => $way > 0 ? 'eye-right' : 'eye-left', 'name' => (string) $name, 'pointsMm' => $points];
        }

        return $pair;
    }

    /**
     * How far apart the middles of two openings are that mirror each other; null where there are no two, or others.
     *
     * @param  array<string, list<array{float, float}>>  $openings
     */
    public static function apartMm(array $openings): ?float
    {
        if (count($openings) !== 2) {
            return null;
        }
        [$one, $two] = array_values(array_map(Box::around(...), $openings));
        $isLevel = abs($one->middle()[1] - $two->middle()[1]) < 0.25 * max($one->height(), $two->height());
        $isAlike = abs($one->width() - $two->width()) < 0.25 * max($one->width(), $two->width());

        return $isLevel && $isAlike ? abs($one->middle()[0] - $two->middle()[0]) : null;
    }
}
