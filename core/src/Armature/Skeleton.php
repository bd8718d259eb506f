<?php

declare(strict_types=1);

namespace Impa\Armature;

use Impa\Figure\Figure;
use Impa\Figure\Member\WireMade;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Wire;
use Impa\Material\CoveringWay;
use Impa\Material\WireMaterial;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** The wires of a figure: those that the felter drew, or where she drew none, along its limbs and through what they are joined to. */
final class Skeleton
{
    /** A wire ends so far from a limb's tip, so that it does not come out, mm; and goes so far into what it is joined to, at most. */
    private const TIP_MM = 3.0;

    private const ROOT_MM = 20.0;

    /** Of a course so many places are kept. */
    private const PLACES = 6;

    /**
     * @param  bool  $isAll  for every long limb, also for one that would hold itself up: to be posed
     * @return array<string, Wire> by key
     */
    public static function of(Figure $figure, bool $isAll = false): array
    {
        if ($figure->wires !== []) {
            return $figure->wires;
        }
        $wires = [];
        foreach ($figure->parts as $part) {
            if (self::wantsOne($part) || ($isAll && $part->isJoined() && $part->solid->kind()->isLong())) {
                $wires['wire-'.$part->key] = self::through($figure, $part);
            }
        }

        return $wires;
    }

    /** One more, level through the middle of the figure, for the felter to lead where she wants it. */
    public static function own(Figure $figure): Wire
    {
        $number = 1;
        while (isset($figure->wires['wire-'.$number])) {
            $number++;
        }
        [$y, $far] = [$figure->heightMm / 2, $figure->heightMm / 4];

        return new Wire(
            key: 'wire-'.$number,
            name: (string) Message::of('armature.skeleton.wire', number: $number),
            material: WireMaterial::PaperCovered,
            gaugeMm: Wire::USUAL_MM,
            pointsMm: [[-$far, $y, 0.0], [0.0, $y, 0.0], [$far, $y, 0.0]],
        );
    }

    private static function wantsOne(Part $part): bool
    {
        return $part->wantsWire()
            || ($part->isJoined() && $part->join->by === JoinBy::Wire)
            || $part->made->covering->way === CoveringWay::Wrap;
    }

    /** One wire for a pair, from tip to tip through what bears it; for a single limb from its tip into that. */
    private static function through(Figure $figure, Part $part): Wire
    {
        $course = self::middleLine($part->placements()[0]);
        $to = $part->isJoined() ? $figure->parts[$part->join->to] : null;
        if ($to !== null && self::far($course[0], $to->stand->at) < self::far($course[count($course) - 1], $to->stand->at)) {
            $course = array_reverse($course);
        }
        // From the tip to the root.
        $course = self::shortened($course);
        $root = $course[count($course) - 1];
        if ($to === null) {
            $points = $course;
        } elseif ($part->stand->mirror && ! $to->stand->mirror) {
            // Through the middle of what bears both, at the height of the roots.
            $twin = array_map(static fn (array $p): array => [-$p[0], $p[1], $p[2]], array_reverse($course));
            $points = [...$course, [0.0, $root[1], $to->stand->at[2]], ...$twin];
        } else {
            $depth = min(self::ROOT_MM, 0.6 * $to->solid->thinnestMm());
            $far = max(1e-6, self::far($root, $to->stand->at));
            $in = min(1.0, $depth / $far);
            $points = [...$course, [
                $root[0] + $in * ($to->stand->at[0] - $root[0]),
                $root[1] + $in * ($to->stand->at[1] - $root[1]),
                $root[2] + $in * ($to->stand->at[2] - $root[2]),
            ]];
        }

        return new Wire(
            key: 'wire-'.$part->key,
            name: (string) Message::of('armature.skeleton.wire-of', name: new Name($part->name)),
            material: WireMaterial::PaperCovered,
            gaugeMm: Wire::USUAL_MM,
            pointsMm: $points,
            made: new WireMade(wrapped: $part->made->covering->way === CoveringWay::Wrap ? $part->colour : ''),
            mirror: $part->stand->mirror && $to !== null && $to->stand->mirror,
        );
    }

    /**
     * The middle of each ring of a piece, in a few places.
     *
     * @return non-empty-list<Vec3>
     */
    private static function middleLine(Placement $piece): array
    {
        $rings = $piece->rings();
        $last = count($rings) - 1;
        $line = [];
        for ($k = 0; $k < self::PLACES; $k++) {
            $ring = $rings[(int) round($last * $k / (self::PLACES - 1))];
            $count = max(1, count($ring));
            $line[] = [
                array_sum(array_column($ring, 0)) / $count,
                array_sum(array_column($ring, 1)) / $count,
                array_sum(array_column($ring, 2)) / $count,
            ];
        }

        return $line;
    }

    /**
     * Without its very tip.
     *
     * @param  non-empty-list<Vec3>  $course  from the tip on
     * @return non-empty-list<Vec3>
     */
    private static function shortened(array $course): array
    {
        [$tip, $next] = [$course[0], $course[1] ?? $course[0]];
        $far = self::far($tip, $next);
        $share = $far > 0.0 ? min(0.8, self::TIP_MM / $far) : 0.0;
        $course[0] = [
            $tip[0] + $share * ($next[0] - $tip[0]),
            $tip[1] + $share * ($next[1] - $tip[1]),
            $tip[2] + $share * ($next[2] - $tip[2]),
        ];

        return $course;
    }

    /**
     * @param  Vec3  $a
     * @param  Vec3  $b
     */
    private static function far(array $a, array $b): float
    {
        return sqrt(($a[0] - $b[0]) ** 2 + ($a[1] - $b[1]) ** 2 + ($a[2] - $b[2]) ** 2);
    }
}
