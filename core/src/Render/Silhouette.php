<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Figure\Placement;
use Impa\Figure\Side;
use Impa\Shape\Hull;

/** The outline of one placed piece, seen from a side. */
final class Silhouette
{
    /**
     * Closed loops of [right, up] in mm, measured from the middle of the piece; a second loop is a hole.
     * A piece turned out of the picture plane is drawn by the hull of its rings.
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
}
