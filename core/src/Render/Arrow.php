<?php

declare(strict_types=1);

namespace Impa\Render;

/** Where a needle goes in, as seen in a picture: from where it comes to where its tip ends, in mm. Immutable. */
final readonly class Arrow
{
    public function __construct(public float $fromX, public float $fromY, public float $toX, public float $toY)
    {
    }

    /**
     * So many round an outline, pointing inwards (or slanting by so many degrees), each coming from so far outside and ending so deep.
     *
     * @param  list<array{float, float}>  $loop
     * @return list<self>
     */
    public static function round(array $loop, int $count, float $outMm, float $inMm, float $slantDeg = 0.0): array
    {
        $arrows = [];
        $points = count($loop);
        $box = $points === 0 ? [] : [array_column($loop, 0), array_column($loop, 1)];
        [$cx, $cy] = $points === 0 ? [0.0, 0.0] : [(min($box[0]) + max($box[0])) / 2, (min($box[1]) + max($box[1])) / 2];
        for ($k = 0; $k < $count && $points > 2; $k++) {
            $turn = 2 * M_PI * ($k + 0.5) / $count;
            [$x, $y] = self::farthest($loop, cos($turn), sin($turn));
            $length = max(1e-6, hypot($x - $cx, $y - $cy));
            [$nx, $ny] = [($x - $cx) / $length, ($y - $cy) / $length];
            [$c, $s] = [cos(deg2rad($slantDeg)), sin(deg2rad($slantDeg))];
            [$wx, $wy] = [$c * $nx - $s * $ny, $s * $nx + $c * $ny];
            $arrows[] = new self($x + $outMm * $wx, $y + $outMm * $wy, $x - $inMm * $wx, $y - $inMm * $wy);
        }

        return $arrows;
    }

    /**
     * @param  list<array{float, float}>  $loop
     * @return array{float, float}
     */
    private static function farthest(array $loop, float $dx, float $dy): array
    {
        $best = [0.0, 0.0];
        $most = -INF;
        foreach ($loop as $p) {
            if ($most < $p[0] * $dx + $p[1] * $dy) {
                [$best, $most] = [$p, $p[0] * $dx + $p[1] * $dy];
            }
        }

        return $best;
    }
}
