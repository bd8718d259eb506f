<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

use Impa\Face\FaceRefused;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\Method;
use Impa\Geometry\Box;
use Impa\Surface\Surface;

/**
 * A detail and what lies round it as the needle sees them, straight down on the wool where the detail lies, with the stabs
 * in their order.
 */
final class NeedlesEye
{
    /** How far round the detail it is seen, as a multiple of the detail's own reach, and at least, in mm. */
    private const AROUND = 1.9;

    private const LEAST_MM = 4.0;

    /** Steps for the lie of the skin, mm. */
    private const STEP_MM = 0.2;

    /**
     * All in mm from the detail's middle, right and up as the needle sees it.
     *
     * @return array{
     *     reachMm: float, slantDeg: float,
     *     outlines: list<array{
     *         key: string, colour: string, isLine: bool, isLater: bool, widthMm: float, loops: list<list<array{float, float}>>,
     *     }>,
     *     stabs: list<array{n: int, xMm: float, yMm: float}>,
     * }
     *
     * @throws FaceRefused if the detail does not lie on the part as seen from its side
     */
    public static function on(Figure $figure, Detail $detail, Surface $surface): array
    {
        $middle = $detail->middle();
        $frame =
            self::frame($surface, ...$middle) ??
            throw FaceRefused::noSuchDetail($detail->key, mb_strtolower($figure->parts[$detail->on]->name));
        $own = self::seen($frame, $surface, $detail->outline());
        $reach = max(self::LEAST_MM, self::AROUND * max([0.0, ...array_map(static fn (array $p): float => hypot(...$p), $own)]));
        $outlines = [];
        foreach ($figure->detailsOn($detail->on) as $near) {
            foreach ($near->lie->side === $detail->lie->side ? ($near->lie->mirror ? [1, -1] : [1]) : [] as $way) {
                $loops = array_map(
                    static fn (array $loop): array => self::seen(
                        $frame,
                        $surface,
                        array_map(static fn (array $p): array => [$way * $p[0], $p[1]], $loop),
                    ),
                    [$near->outline(), ...$near->holes()],
                );
                $isNear =
                    array_filter($loops[0], static fn (array $p): bool => hypot(...$p) < 1.6 * $reach) !== [] ||
                    ($loops[0] !== [] && Box::around($loops[0])->width() > $reach);
                if ($isNear) {
                    $outlines[] = [
                        'key' => $near->key,
                        'colour' => $near->colour,
                        'isLine' => $near->drawn->kind === DetailKind::Line,
                        'isLater' => $near->lie->layer > $detail->lie->layer,
                        'widthMm' => $near->drawn->widthMm,
                        'loops' => $loops,
                    ];
                }
            }
        }

        return [
            'reachMm' => round($reach, 2),
            'slantDeg' => round(rad2deg(acos(max(-1.0, min(1.0, $frame['normal'][2]))))),
            'outlines' => $outlines,
            'stabs' => self::stabs($detail, $own),
        ];
    }

    /**
     * The plane that touches the skin where the detail lies.
     *
     * @return ?array{
     *     at: Vec3, right: Vec3, up: Vec3,
     *     normal: Vec3,
     * }
     */
    private static function frame(Surface $surface, float $x, float $y): ?array
    {
        $z = $surface->heightMm($x, $y);
        $slope = static function (float $dx, float $dy) use ($surface, $x, $y, $z): float {
            [$fore, $back] = [$surface->heightMm($x + $dx, $y + $dy), $surface->heightMm($x - $dx, $y - $dy)];

            // Next to the edge only one side is on the part.
            return is_nan($fore)
                ? (is_nan($back)
                    ? 0.0
                    : ($z - $back) / self::STEP_MM)
                : (is_nan($back)
                    ? ($fore - $z) / self::STEP_MM
                    : ($fore - $back) / (2 * self::STEP_MM));
        };
        if (is_nan($z)) {
            return null;
        }
        $a = $slope(self::STEP_MM, 0.0);
        $b = $slope(0.0, self::STEP_MM);
        $long = sqrt(1 + $a * $a + $b * $b);
        $normal = [-$a / $long, -$b / $long, 1 / $long];
        $right = [1 / hypot(1, $a), 0.0, $a / hypot(1, $a)];
        $up = [
            $normal[1] * $right[2] - $normal[2] * $right[1],
            $normal[2] * $right[0] - $normal[0] * $right[2],
            $normal[0] * $right[1] - $normal[1] * $right[0],
        ];

        return ['at' => [$x, $y, $z], 'right' => $right, 'up' => $up, 'normal' => $normal];
    }

    /**
     * @param  array{
     *     at: Vec3, right: Vec3, up: Vec3,
     *     normal: Vec3,
     * }  $frame
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function seen(array $frame, Surface $surface, array $points): array
    {
        $seen = [];
        foreach ($points as [$x, $y]) {
            $z = $surface->heightMm($x, $y);
            if (! is_nan($z)) {
                [$dx, $dy, $dz] = [$x - $frame['at'][0], $y - $frame['at'][1], $z - $frame['at'][2]];
                $seen[] = array_map(static fn (array $way): float => round($dx * $way[0] + $dy * $way[1] + $dz * $way[2], 2), [
                    $frame['right'],
                    $frame['up'],
                ]);
            }
        }

        return $seen;
    }

    /**
     * Top, bottom, right, left, then round the rim, the middle last; of a line from its first point along it.
     *
     * @param  list<array{float, float}>  $own
     * @return list<array{n: int, xMm: float, yMm: float}>
     */
    private static function stabs(Detail $detail, array $own): array
    {
        if ($own === [] || $detail->method !== Method::Felt) {
            return [];
        }
        if ($detail->drawn->kind === DetailKind::Line) {
            $every = max(1, (int) ceil(count($own) / 9));
            $places = array_values(
                array_filter($own, static fn (int $i): bool => $i % $every === 0 || $i === count($own) - 1, ARRAY_FILTER_USE_KEY),
            );
        } else {
            $farthest = static function (float $right, float $up) use ($own): array {
                $best = $own[0];
                foreach ($own as $p) {
                    $best = $p[0] * $right + $p[1] * $up > $best[0] * $right + $best[1] * $up ? $p : $best;
                }

                // A stab goes in a little inside the rim.
                return [0.82 * $best[0], 0.82 * $best[1]];
            };
            $places = array_map(static fn (array $way): array => $farthest(...$way), [
                [0, 1],
                [0, -1],
                [1, 0],
                [-1, 0],
                [0.7, 0.7],
                [0.7, -0.7],
                [-0.7, -0.7],
                [-0.7, 0.7],
            ]);
            $places[] = [0.0, 0.0];
        }

        return array_map(
            static fn (int $i, array $p): array => ['n' => $i + 1, 'xMm' => round($p[0], 2), 'yMm' => round($p[1], 2)],
            array_keys($places),
            $places,
        );
    }
}
