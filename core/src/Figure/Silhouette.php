<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Geometry\Hull;
use Impa\Shape\Stack;

/** The outline of one placed piece, seen from a side. */
final class Silhouette
{
    /** Directions in which a turned piece's hull is felt for, and ellipses of it that are looked at. */
    private const DIRECTIONS = 56;

    private const LEVELS = 32;

    /**
     * Closed loops of [right, up] in mm, measured from the middle of the piece; a second loop is a hole.
     * A piece turned out of the picture plane is drawn by the hull of it.
     *
     * @return non-empty-list<list<array{float, float}>>
     */
    public static function of(Placement $piece, Side $from): array
    {
        $facing = in_array($from, [Side::Front, Side::Back], true);
        if ($facing && $piece->turn->keepsFront()) {
            return self::placed($piece->part->solid->front(), $piece, $from);
        }
        if (in_array($from, [Side::Left, Side::Right], true) && $piece->turn->isNone()) {
            return $piece->part->solid->side();
        }
        if ($piece->part->solid instanceof Stack) {
            return [self::stack($piece->part->solid, $piece, $from)];
        }
        $seen = [];
        foreach ($piece->rings() as $ring) {
            foreach ($ring as [$x, $y, $z]) {
                [$right, $up] = $from->see($x - $piece->at[0], $y - $piece->at[1], $z - $piece->at[2]);
                $seen[] = [$right, $up];
            }
        }

        return [Hull::of($seen)];
    }

    /**
     * @param  non-empty-list<list<array{float, float}>>  $loops
     * @return non-empty-list<list<array{float, float}>>
     */
    private static function placed(array $loops, Placement $piece, Side $from): array
    {
        $placed = [];
        foreach ($loops as $loop) {
            $points = [];
            foreach ($loop as [$x, $y]) {
                [$px, $py] = $piece->turn->apply($piece->isTwin ? -$x : $x, $y, 0.0);
                [$right, $up] = $from->see($px, $py, 0.0);
                $points[] = [$right, $up];
            }
            $placed[] = $points;
        }

        return $placed;
    }

    /**
     * The hull of a stack of ellipses: in every direction of the view, the point of it that reaches farthest.
     *
     * @return list<array{float, float}>
     */
    private static function stack(Stack $solid, Placement $piece, Side $from): array
    {
        $size = $solid->size();
        $ellipses = [];
        for ($k = 0; $k <= self::LEVELS; $k++) {
            // Closer together towards both ends, where the width changes most.
            $t = (1 - cos(M_PI * $k / self::LEVELS)) / 2;
            $p = $solid->profile($t) / 2;
            $ellipses[] = [($size->widthMm * $p) ** 2, $size->heightMm * ($t - 0.5), ($size->depthMm * $p) ** 2];
        }
        $hull = [];
        for ($i = 0; $i < self::DIRECTIONS; $i++) {
            $angle = 2 * M_PI * $i / self::DIRECTIONS;
            [$dx, $dy, $dz] = $piece->own(...$from->place(cos($angle), sin($angle), 0.0));
            $farthest = -INF;
            $point = [0.0, 0.0, 0.0];
            foreach ($ellipses as [$aa, $y, $bb]) {
                $across = sqrt($aa * $dx * $dx + $bb * $dz * $dz);
                if ($y * $dy + $across > $farthest) {
                    $farthest = $y * $dy + $across;
                    $point = $across > 0.0 ? [$aa * $dx / $across, $y, $bb * $dz / $across] : [0.0, $y, 0.0];
                }
            }
            [$x, $y, $z] = $piece->place(...$point);
            [$right, $up] = $from->see($x - $piece->at[0], $y - $piece->at[1], $z - $piece->at[2]);
            $hull[] = [$right, $up];
        }

        return $hull;
    }
}
