<?php

declare(strict_types=1);

namespace Impa\Figure\Placing;

use Impa\Figure\Placement;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;

/** How far placed pieces cover each other, seen from the front; counted on a lattice of places. */
final class Overlap
{
    /** Places across and up. */
    private const PLACES = 24;

    /** Intersection over union of two pieces. */
    public static function of(Placement $one, Placement $two): float
    {
        return self::counted($one, $two, 1.0);
    }

    /** The same of one that is seen from the back and another from the front: left is right there. */
    public static function ofTurnedOver(Placement $back, Placement $front): float
    {
        return self::counted($back, $front, -1.0);
    }

    /**
     * The share of a piece that lies beside all of these.
     *
     * @param  list<Placement>  $all
     */
    public static function beside(Placement $one, array $all): float
    {
        return self::countedBeside($one, $all, 1.0);
    }

    /**
     * The same of a piece that is seen from the back.
     *
     * @param  list<Placement>  $all
     */
    public static function besideTurnedOver(Placement $back, array $all): float
    {
        return self::countedBeside($back, $all, -1.0);
    }

    /** Whether a place of the front view, in mm, lies on a piece. */
    public static function has(Placement $piece, float $x, float $y): bool
    {
        if ($piece->turn->keepsFront()) {
            [$dx, $dy] = $piece->turn->undo($x - $piece->at[0], $y - $piece->at[1], 0.0);

            return ! is_nan($piece->part->solid->frontMm($piece->isTwin ? -$dx : $dx, $dy));
        }
        // Turned out of the picture plane, it is seen as its hull: all of its edges turn the same way about what lies in it.
        $hull = self::rim($piece, 1.0);
        $left = $right = false;
        foreach ($hull as $i => [$ax, $ay]) {
            [$bx, $by] = $hull[($i + 1) % count($hull)];
            $cross = ($bx - $ax) * ($y - $ay) - ($by - $ay) * ($x - $ax);
            $left = $left || $cross > 1e-6;
            $right = $right || $cross < -1e-6;
        }

        return ! ($left && $right);
    }

    /** @param  list<Placement>  $all */
    private static function countedBeside(Placement $one, array $all, float $way): float
    {
        $beside = $inside = 0;
        foreach (self::lattice(self::rim($one, 1.0)) as [$x, $y]) {
            if (self::has($one, $x, $y)) {
                $inside++;
                $isCovered = array_filter($all, static fn (Placement $p): bool => self::has($p, $way * $x, $y)) !== [];
                $beside += (int) ! $isCovered;
            }
        }

        return $beside / max(1, $inside);
    }

    private static function counted(Placement $one, Placement $two, float $way): float
    {
        $both = $either = 0;
        foreach (self::lattice([...self::rim($one, $way), ...self::rim($two, 1.0)]) as [$x, $y]) {
            [$in, $also] = [self::has($one, $way * $x, $y), self::has($two, $x, $y)];
            $both += (int) ($in && $also);
            $either += (int) ($in || $also);
        }

        return $both / max(1, $either);
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}> places over the box about them
     */
    private static function lattice(array $points): array
    {
        $box = Box::around($points);
        $places = [];
        for ($i = 0; $i < self::PLACES; $i++) {
            for ($j = 0; $j < self::PLACES; $j++) {
                $places[] = [
                    $box->left + (($i + 0.5) / self::PLACES) * $box->width(),
                    $box->low + (($j + 0.5) / self::PLACES) * $box->height(),
                ];
            }
        }

        return $places;
    }

    /** @return list<array{float, float}> its outline, where it stands */
    private static function rim(Placement $piece, float $way): array
    {
        return array_map(
            static fn (array $p): array => [$way * ($piece->at[0] + $p[0]), $piece->at[1] + $p[1]],
            Silhouette::of($piece, Side::Front)[0],
        );
    }
}
