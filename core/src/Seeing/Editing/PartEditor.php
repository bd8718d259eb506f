<?php

declare(strict_types=1);

namespace Impa\Seeing\Editing;

use Impa\Colour\ColourWords;
use Impa\Colour\Srgb;
use Impa\Figure\Editing\Draft;
use Impa\Figure\Editing\Edited;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\DetailRole;
use Impa\Figure\Term\Side;
use Impa\Material\CoreMaterial;
use Impa\Raster\Blob;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\File\PictureRefused;
use Impa\Raster\FineRaster;
use Impa\Seeing\Assembly\Naming;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Fitting\Fitting;
use Impa\Seeing\Foreground\DrawnInside;
use Impa\Seeing\Result\ShapeWriting;
use Impa\Voice\Message;
use stdClass;

/**
 * The felter's own cuts: a part split along a line, parts made one, a stretch of the drawing made a part, a part made colour on
 * another and the other way round. Each gives a changed copy of the document, and the key of what is to be looked at next.
 */
final class PartEditor
{
    /** The smallest stretch that becomes a part, in mm across. */
    private const LEAST_MM = 2.0;

    /** A colour of the figure passes for the drawn one within this CIEDE2000. */
    private const SAME_COLOUR = 3.0;

    /**
     * @param  array{float, float}  $from  one end of the line, in mm in the front view
     * @param  array{float, float}  $to
     *
     * @throws PartEditRefused if there is no such part, or the line does not cut it in two
     */
    public static function split(Figure $figure, string $key, array $from, array $to): Edited
    {
        $part = self::part($figure, $key);
        $loops = self::loops(Placement::of($part));
        $sheet = FineRaster::over(array_merge(...$loops));
        $sides = [[], []];
        foreach ($sheet->inside($loops) as $pixel => $_) {
            [$x, $y] = $sheet->mm($pixel);
            $sides[($to[0] - $from[0]) * ($y - $from[1]) - ($to[1] - $from[1]) * ($x - $from[0]) > 0.0 ? 1 : 0][$pixel] = true;
        }
        usort($sides, static fn (array $a, array $b): int => count($b) <=> count($a));
        if (count($sides[1]) < max(12, (self::LEAST_MM * $sheet->pxPerMm) ** 2 / 2)) {
            throw PartEditRefused::lineMisses($part->name);
        }
        $draft = Draft::of($figure);
        $old = $draft->part($key);
        $map = array_fill(0, $sheet->width * $sheet->height, -1);
        foreach ($sides as $k => $side) {
            foreach ($side as $pixel => $_) {
                $map[$pixel] = $k;
            }
        }
        $map = array_values($map);
        $large = self::shaped(
            $old,
            Fitting::best(Blob::of($sides[0], $sheet->width), $map, true),
            $sheet,
            (string) Message::of('seeing.part-editor.the-larger-side'),
        );
        $small = self::shaped(
            $old,
            Fitting::best(Blob::of($sides[1], $sheet->width), $map, true),
            $sheet,
            (string) Message::of('seeing.part-editor.the-smaller-side'),
        );
        $small->key = $draft->freeKey('parts', $key);
        $small->name = (string) Message::of('seeing.part-editor.cut-off', name: $part->name);
        $small->join = (object) ['to' => $key, 'by' => 'fluff'];
        $draft->replacePart($key, [$large, $small]);

        return Edited::of($draft, 'part', $small->key);
    }

    /**
     * @param  list<string>  $keys  of two parts at least; what bears the others keeps its name, colour and join, and of those the largest
     *
     * @throws PartEditRefused if there are fewer than two, or one is not there
     */
    public static function merge(Figure $figure, array $keys): Edited
    {
        $parts = array_map(static fn (string $key): Part => self::part($figure, $key), array_values(array_unique($keys)));
        if (count($parts) < 2) {
            throw PartEditRefused::oneIsNoPair();
        }
        $rank = static fn (Part $p): array => [in_array($p->join->to, $keys, true), -$p->solid->volumeCm3()];
        usort($parts, static fn (Part $a, Part $b): int => $rank($a) <=> $rank($b));
        $isPair = array_filter($parts, static fn (Part $p): bool => ! $p->stand->mirror) === [];
        $outlines = [];
        foreach ($parts as $part) {
            foreach ($isPair ? [Placement::of($part)] : $part->placements() as $placement) {
                $outlines[] = self::loops($placement);
            }
        }
        $sheet = FineRaster::over(array_merge(...array_merge(...$outlines)));
        $inside = [];
        foreach ($outlines as $loops) {
            $inside += $sheet->inside($loops);
        }
        $draft = Draft::of($figure);
        $kept = $parts[0]->key;
        $one = self::shaped(
            $draft->part($kept),
            Fitting::best(Blob::of($inside, $sheet->width), [], false),
            $sheet,
            (string) Message::of('seeing.part-editor.made-one-of-parts', parts: count($parts)),
        );
        $one->mirror = $isPair;
        // It hangs where the one of them hung that was nearest to the root, so that nothing hangs on itself.
        $outermost = $draft->part(self::nearestToRoot($figure, $parts));
        if (isset($outermost->join)) {
            $one->join = $outermost->join;
        } else {
            unset($one->join);
        }
        foreach (array_slice($parts, 1) as $part) {
            $draft->settle($part->key, $draft->part($part->key), [$one]);
            $draft->removePart($part->key);
        }
        $draft->replacePart($kept, [$one]);

        return Edited::of($draft, 'part', $kept);
    }

    /**
     * @param  non-empty-list<Part>  $parts
     * @return string the key of the one with the fewest joins between it and what it stands on
     */
    private static function nearestToRoot(Figure $figure, array $parts): string
    {
        $joins = static function (Part $part) use ($figure): int {
            for ($count = 0; $part->isJoined(); $count++) {
                $part = $figure->parts[$part->join->to];
            }

            return $count;
        };
        usort($parts, static fn (Part $a, Part $b): int => $joins($a) <=> $joins($b));

        return $parts[0]->key;
    }

    /**
     * @param  list<array{float, float}>  $points  a closed line in mm in the front view
     * @param  string  $picture  the drawing's file, whose main colour inside the line is taken; none: the line itself is the part
     *
     * @throws PartEditRefused if it is too small, or nothing is drawn there
     * @throws PictureRefused if the drawing cannot be read
     */
    public static function lasso(Figure $figure, array $points, string $picture = ''): Edited
    {
        if (count($points) < 3) {
            throw PartEditRefused::tooSmall();
        }
        $sheet = FineRaster::over($points);
        $inside = $sheet->inside([$points]);
        $hex = '#999999';
        if ($picture !== '' && $figure->picture !== null) {
            [$inside, $hex] = DrawnInside::of($figure->picture, $sheet, $inside, $picture);
        }
        if (count($inside) < (self::LEAST_MM * $sheet->pxPerMm) ** 2 / 2) {
            throw $inside === [] ? PartEditRefused::nothingThere() : PartEditRefused::tooSmall();
        }
        $draft = Draft::of($figure);
        $colour = $draft->colourFor($hex, ColourWords::said(Srgb::hex($hex)), within: self::SAME_COLOUR);
        $fit = Fitting::best(Blob::of(ConnectedComponents::ofSet($inside, $sheet->width)[0], $sheet->width), [], false);
        $part = self::shaped(
            (object) [
                'key' => 'part',
                'name' => (string) Message::of('seeing.part-editor.new-part'),
                'turnDeg' => (object) ['x' => 0, 'y' => 0, 'z' => 0],
                'mirror' => false,
                'finish' => 'smooth',
            ],
            $fit,
            $sheet,
            (string) Message::of('seeing.part-editor.drawn-round-by-you'),
        );
        $part->colour = $colour;
        $near = self::nearest($figure, (float) $part->at->xMm, (float) $part->at->yMm);
        $part->at->zMm = 0.0;
        if ($near !== null) {
            // In front of what it lies on, half sunk in.
            $part->at->zMm = round($near->stand->at[2] + self::frontAt($near, (float) $part->at->xMm, (float) $part->at->yMm), 2);
            $part->join = (object) ['to' => $near->key, 'by' => 'fluff'];
        }
        $part->core = CoreMaterial::usualFor(
            min((float) $part->shape->widthMm, (float) $part->shape->heightMm, (float) $part->shape->depthMm),
        )->value;

        return Edited::of($draft, 'part', $draft->addPart($part));
    }

    /**
     * A part becomes colour on what it is joined to; what lay on it lies there one layer further out.
     *
     * @throws PartEditRefused if it is joined to nothing
     */
    public static function toDetail(Figure $figure, string $key): Edited
    {
        $part = self::part($figure, $key);
        $to = $figure->parts[$part->join->to] ?? throw PartEditRefused::rootStays($part->name);
        $draft = Draft::of($figure);
        $old = $draft->part($key);
        $rim = self::loops(Placement::of($part))[0];
        $detail = (object) [
            'key' => $key,
            'name' => $part->name,
            'role' => DetailRole::byName($part->name)->value,
            'on' => $to->key,
            'kind' => 'patch',
            'pointsMm' => array_map(
                static fn (array $p): array => [round($p[0] - $to->stand->at[0], 2), round($p[1] - $to->stand->at[1], 2)],
                $rim,
            ),
            'colour' => $part->colour,
            'layer' => 1,
            'mirror' => $part->stand->mirror,
            'method' => 'felt',
        ];
        foreach ($draft->document->details as $on) {
            if ($on->on === $key) {
                Draft::moveDetail($on, $old, $draft->part($to->key));
                $on->layer = ($on->layer ?? 1) + 1;
                $on->mirror = ($on->mirror ?? false) || $part->stand->mirror;
            }
        }
        // What lay on it lies on the other by now; what hung on it hangs there too.
        $draft->removePart($key);

        return Edited::of($draft, 'detail', $draft->addDetail($detail));
    }

    /**
     * A patch, disc or line becomes a part of its own, half sunk into what it lay on; what lay on it goes along.
     *
     * @throws PartEditRefused if there is no such detail
     */
    public static function toPart(Figure $figure, string $key): Edited
    {
        $detail = $figure->details[$key] ?? throw PartEditRefused::noSuchDetail($key);
        $carrier = $figure->parts[$detail->on];
        $draft = Draft::of($figure);
        [$right, $up] = $carrier->stand->at;
        $rim = array_map(static fn (array $p): array => [$p[0] + $right, $p[1] + $up], $detail->outline());
        if (count($rim) < 3) {
            $rim = [
                ...$rim,
                ...array_map(static fn (array $p): array => [$p[0], $p[1] + max(1.0, $detail->drawn->widthMm)], array_reverse($rim)),
            ];
        }
        $sheet = FineRaster::over($rim);
        $inside = $sheet->inside([$rim]);
        if ($inside === []) {
            throw PartEditRefused::tooSmall();
        }
        $part = self::shaped(
            (object) [
                'key' => $key,
                'name' => $detail->name,
                'turnDeg' => (object) ['x' => 0, 'y' => 0, 'z' => 0],
                'finish' => 'smooth',
            ],
            Fitting::best(Blob::of($inside, $sheet->width), [], false),
            $sheet,
            (string) Message::of('seeing.part-editor.made-a-part'),
        );
        $part->mirror = $detail->lie->mirror || $carrier->stand->mirror;
        $part->colour = $detail->colour;
        $part->join = (object) ['to' => $carrier->key, 'by' => 'fluff'];
        $part->at->zMm = round($carrier->stand->at[2] + self::frontAt($carrier, (float) $part->at->xMm, (float) $part->at->yMm), 2);
        $part->core = CoreMaterial::usualFor(
            min((float) $part->shape->widthMm, (float) $part->shape->heightMm, (float) $part->shape->depthMm),
        )->value;
        $draft->removeDetails([$key]);

        return Edited::of($draft, 'part', $draft->addPart($part));
    }

    /** @throws PartEditRefused */
    private static function part(Figure $figure, string $key): Part
    {
        $part = $figure->parts[$key] ?? throw PartEditRefused::noSuchPart($key);

        return $part->stand->turn->keepsFront() ? $part : throw PartEditRefused::turnedAway($part->name);
    }

    /** @return non-empty-list<list<array{float, float}>> the outline in mm where it stands */
    private static function loops(Placement $placement): array
    {
        return array_map(
            static fn (array $loop): array => array_map(
                static fn (array $p): array => [$p[0] + $placement->at[0], $p[1] + $placement->at[1]],
                $loop,
            ),
            Silhouette::of($placement, Side::Front),
        );
    }

    /** A copy of a part with the shape and place seen on a sheet. */
    private static function shaped(stdClass $old, Fit $fit, FineRaster $sheet, string $why): stdClass
    {
        $part = clone $old;
        $part->shape = (object) ShapeWriting::of($fit, 1 / $sheet->pxPerMm, Naming::isThin((string) ($old->name ?? '')));
        [$x, $y] = $sheet->place($fit->x, $fit->y);
        $part->at = (object) ['xMm' => round($x, 2), 'yMm' => round($y, 2), 'zMm' => $old->at->zMm ?? 0.0];
        $part->turnDeg = (object) ['x' => 0, 'y' => 0, 'z' => round($fit->turnDeg, 1)];
        // It is there: the felter said so herself.
        $part->seen = (object) ['confidence' => 1.0, 'why' => $why, 'taken' => true, 'depth' => ShapeWriting::GUESSED];

        return $part;
    }

    /** The part in front at a place, else the one whose middle is nearest; none in an empty figure. */
    private static function nearest(Figure $figure, float $x, float $y): ?Part
    {
        $best = null;
        $most = -INF;
        foreach ($figure->parts as $part) {
            $front = self::frontAt($part, $x, $y);
            $value = $front > 0.0 ? 1e6 + $part->stand->at[2] + $front : -hypot($part->stand->at[0] - $x, $part->stand->at[1] - $y);
            if ($value > $most) {
                [$most, $best] = [$value, $part];
            }
        }

        return $best;
    }

    /** How far a part's skin stands out in front of its middle at a place in the front view; 0 beside it. */
    private static function frontAt(Part $part, float $x, float $y): float
    {
        [$u, $v] = $part->stand->turn->undo($x - $part->stand->at[0], $y - $part->stand->at[1], 0.0);
        $front = $part->solid->frontMm($u, $v);

        return is_nan($front) ? 0.0 : $front;
    }
}
