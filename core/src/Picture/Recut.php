<?php

declare(strict_types=1);

namespace Impa\Picture;

use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Figure\FreeKey;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Side;
use Impa\Render\Silhouette;
use Impa\Wool\CoreMaterial;
use stdClass;

/**
 * The felter's own cuts: a part split along a line, parts made one, a stretch of the drawing made a part, a part made colour on
 * another and the other way round. Each gives a changed copy of the document, and the key of what is to be looked at next.
 */
final readonly class Recut
{
    /** The smallest stretch that becomes a part, in mm across. */
    private const LEAST_MM = 2.0;

    private function __construct(
        public stdClass $document,
        public string $key,
    ) {
    }

    /**
     * @param  array{float, float}  $from  one end of the line, in mm in the front view
     * @param  array{float, float}  $to
     *
     * @throws RecutRefused if there is no such part, or the line does not cut it in two
     */
    public static function split(Figure $figure, string $key, array $from, array $to): self
    {
        $part = self::part($figure, $key);
        $loops = self::loops(Placement::of($part));
        $sheet = Sheet::over(array_merge(...$loops));
        $sides = [[], []];
        foreach ($sheet->inside($loops) as $pixel => $_) {
            [$x, $y] = $sheet->mm($pixel);
            $sides[($to[0] - $from[0]) * ($y - $from[1]) - ($to[1] - $from[1]) * ($x - $from[0]) > 0.0 ? 1 : 0][$pixel] = true;
        }
        usort($sides, static fn (array $a, array $b): int => count($b) <=> count($a));
        if (count($sides[1]) < max(12, (self::LEAST_MM * $sheet->pxPerMm) ** 2 / 2)) {
            throw RecutRefused::lineMisses($part->name);
        }
        $document = $figure->document();
        $index = self::index($document->parts, $key);
        $old = $document->parts[$index];
        $map = array_fill(0, $sheet->width * $sheet->height, -1);
        foreach ($sides as $k => $side) {
            foreach ($side as $pixel => $_) {
                $map[$pixel] = $k;
            }
        }
        $map = array_values($map);
        $large = self::shaped($old, Fit::best(Blob::of($sides[0], $sheet->width), $map, true), $sheet, 'The larger side of your cut.');
        $small = self::shaped($old, Fit::best(Blob::of($sides[1], $sheet->width), $map, true), $sheet, 'The smaller side of your cut.');
        $small->key = FreeKey::besides(array_column($document->parts, 'key'), $key);
        $small->name = $part->name.', cut off';
        $small->join = (object) ['to' => $key, 'by' => 'fluff'];
        array_splice($document->parts, $index, 1, [$large, $small]);
        self::settle($document, $key, $old, [$large, $small]);

        return new self($document, $small->key);
    }

    /**
     * @param  list<string>  $keys  of two parts at least; the largest keeps its name, colour and join
     *
     * @throws RecutRefused if there are fewer than two, or one is not there
     */
    public static function merge(Figure $figure, array $keys): self
    {
        $parts = array_map(static fn (string $key): Part => self::part($figure, $key), array_values(array_unique($keys)));
        if (count($parts) < 2) {
            throw RecutRefused::oneIsNoPair();
        }
        usort($parts, static fn (Part $a, Part $b): int => $b->solid->volumeCm3() <=> $a->solid->volumeCm3());
        $isPair = array_filter($parts, static fn (Part $p): bool => ! $p->mirror) === [];
        $outlines = [];
        foreach ($parts as $part) {
            foreach ($isPair ? [Placement::of($part)] : $part->placements() as $placement) {
                $outlines[] = self::loops($placement);
            }
        }
        $sheet = Sheet::over(array_merge(...array_merge(...$outlines)));
        $inside = [];
        foreach ($outlines as $loops) {
            $inside += $sheet->inside($loops);
        }
        $document = $figure->document();
        $kept = $parts[0]->key;
        $old = $document->parts[self::index($document->parts, $kept)];
        $one = self::shaped($old, Fit::best(Blob::of($inside, $sheet->width), [], false), $sheet, sprintf('Made one of %d parts by you.', count($parts)));
        $one->mirror = $isPair;
        $gone = array_slice(array_map(static fn (Part $p): string => $p->key, $parts), 1);
        if (in_array($one->join->to ?? '', $gone, true)) {
            self::rejoin($document, $one, $gone);
        }
        foreach ($gone as $key) {
            self::settle($document, $key, $document->parts[self::index($document->parts, $key)], [$one]);
        }
        self::settle($document, $kept, $old, [$one]);
        $document->parts = array_values(array_filter(array_map(static fn (stdClass $p): stdClass => $p->key === $kept ? $one : $p, $document->parts), static fn (stdClass $p): bool => ! in_array($p->key, $gone, true)));

        return new self($document, $kept);
    }

    /**
     * @param  list<array{float, float}>  $points  a closed line in mm in the front view
     * @param  string  $picture  the drawing's file, whose main colour inside the line is taken; none: the line itself is the part
     *
     * @throws RecutRefused if it is too small, or nothing is drawn there
     * @throws PictureRefused if the drawing cannot be read
     */
    public static function lasso(Figure $figure, array $points, string $picture = ''): self
    {
        if (count($points) < 3) {
            throw RecutRefused::tooSmall();
        }
        $sheet = Sheet::over($points);
        $inside = $sheet->inside([$points]);
        $hex = '#999999';
        if ($picture !== '' && $figure->picture !== null) {
            [$inside, $hex] = DrawnInside::of($figure->picture, $sheet, $inside, $picture);
        }
        if (count($inside) < (self::LEAST_MM * $sheet->pxPerMm) ** 2 / 2) {
            throw $inside === [] ? RecutRefused::nothingThere() : RecutRefused::tooSmall();
        }
        $document = $figure->document();
        $colour = self::colour($document, $hex);
        $fit = Fit::best(Blob::of(Blob::connected($inside, $sheet->width)[0], $sheet->width), [], false);
        $part = self::shaped((object) ['key' => FreeKey::besides(array_column($document->parts, 'key'), 'part'), 'name' => 'New part', 'turnDeg' => (object) ['x' => 0, 'y' => 0, 'z' => 0], 'mirror' => false, 'finish' => 'smooth'], $fit, $sheet, 'Drawn round by you.');
        $part->colour = $colour;
        $near = self::nearest($figure, (float) $part->at->xMm, (float) $part->at->yMm);
        $part->at->zMm = 0.0;
        if ($near !== null) {
            // In front of what it lies on, half sunk in.
            $part->at->zMm = round($near->at[2] + self::frontAt($near, (float) $part->at->xMm, (float) $part->at->yMm), 2);
            $part->join = (object) ['to' => $near->key, 'by' => 'fluff'];
        }
        $part->core = CoreMaterial::usualFor(min((float) $part->shape->widthMm, (float) $part->shape->heightMm, (float) $part->shape->depthMm))->value;
        $document->parts[] = $part;

        return new self($document, $part->key);
    }

    /**
     * A part becomes colour on what it is joined to; what lay on it lies there one layer further out.
     *
     * @throws RecutRefused if it is joined to nothing
     */
    public static function toDetail(Figure $figure, string $key): self
    {
        $part = self::part($figure, $key);
        $to = $figure->parts[$part->joinTo] ?? throw RecutRefused::rootStays($part->name);
        $document = $figure->document();
        $document->details ??= [];
        $old = $document->parts[self::index($document->parts, $key)];
        $rim = self::loops(Placement::of($part))[0];
        $detail = (object) [
            'key' => FreeKey::besides(array_column($document->details, 'key'), $key), 'name' => $part->name, 'on' => $to->key, 'kind' => 'patch',
            'pointsMm' => array_map(static fn (array $p): array => [round($p[0] - $to->at[0], 2), round($p[1] - $to->at[1], 2)], $rim),
            'colour' => $part->colour, 'layer' => 1, 'mirror' => $part->mirror, 'method' => 'felt',
        ];
        foreach ($document->details as $on) {
            if ($on->on === $key) {
                self::moveDetail($on, $old, $document->parts[self::index($document->parts, $to->key)]);
                $on->layer = ($on->layer ?? 1) + 1;
                $on->mirror = ($on->mirror ?? false) || $part->mirror;
            }
        }
        foreach ($document->parts as $other) {
            if (($other->join->to ?? '') === $key) {
                $other->join->to = $to->key;
            }
        }
        $document->parts = array_values(array_filter($document->parts, static fn (stdClass $p): bool => $p->key !== $key));
        $document->details[] = $detail;

        return new self($document, $detail->key);
    }

    /**
     * A patch, disc or line becomes a part of its own, half sunk into what it lay on; what lay on it goes along.
     *
     * @throws RecutRefused if there is no such detail
     */
    public static function toPart(Figure $figure, string $key): self
    {
        $detail = $figure->details[$key] ?? throw RecutRefused::noSuchDetail($key);
        $carrier = $figure->parts[$detail->on];
        $document = $figure->document();
        $rim = array_map(static fn (array $p): array => [$p[0] + $carrier->at[0], $p[1] + $carrier->at[1]], $detail->outline());
        if (count($rim) < 3) {
            $rim = [...$rim, ...array_map(static fn (array $p): array => [$p[0], $p[1] + max(1.0, $detail->widthMm)], array_reverse($rim))];
        }
        $sheet = Sheet::over($rim);
        $inside = $sheet->inside([$rim]);
        if ($inside === []) {
            throw RecutRefused::tooSmall();
        }
        $part = self::shaped((object) ['key' => FreeKey::besides(array_column($document->parts, 'key'), $key), 'name' => $detail->name, 'turnDeg' => (object) ['x' => 0, 'y' => 0, 'z' => 0], 'finish' => 'smooth'], Fit::best(Blob::of($inside, $sheet->width), [], false), $sheet, 'Made a part of its own by you.');
        $part->mirror = $detail->mirror || $carrier->mirror;
        $part->colour = $detail->colour;
        $part->join = (object) ['to' => $carrier->key, 'by' => 'fluff'];
        $part->at->zMm = round($carrier->at[2] + self::frontAt($carrier, (float) $part->at->xMm, (float) $part->at->yMm), 2);
        $part->core = CoreMaterial::usualFor(min((float) $part->shape->widthMm, (float) $part->shape->heightMm, (float) $part->shape->depthMm))->value;
        $document->parts[] = $part;
        $document->details = array_values(array_filter($document->details, static fn (stdClass $d): bool => $d->key !== $key));

        return new self($document, $part->key);
    }

    /** @throws RecutRefused */
    private static function part(Figure $figure, string $key): Part
    {
        $part = $figure->parts[$key] ?? throw RecutRefused::noSuchPart($key);

        return $part->turn->keepsFront() ? $part : throw RecutRefused::turnedAway($part->name);
    }

    /** @return non-empty-list<list<array{float, float}>> the outline in mm where it stands */
    private static function loops(Placement $placement): array
    {
        return array_map(static fn (array $loop): array => array_map(static fn (array $p): array => [$p[0] + $placement->at[0], $p[1] + $placement->at[1]], $loop), Silhouette::of($placement, Side::Front));
    }

    /** A copy of a part with the shape and place seen on a sheet. */
    private static function shaped(stdClass $old, Fit $fit, Sheet $sheet, string $why): stdClass
    {
        $part = clone $old;
        $part->shape = (object) ShapeWriting::of($fit, 1 / $sheet->pxPerMm, Naming::isThin((string) ($old->name ?? '')));
        [$x, $y] = $sheet->place($fit->x, $fit->y);
        $part->at = (object) ['xMm' => round($x, 2), 'yMm' => round($y, 2), 'zMm' => $old->at->zMm ?? 0.0];
        $part->turnDeg = (object) ['x' => 0, 'y' => 0, 'z' => round($fit->turnDeg, 1)];
        $part->seen = (object) ['confidence' => round(max(0.05, min(1.0, $fit->overlap)), 2), 'why' => $why, 'taken' => true];

        return $part;
    }

    /**
     * What was on a part goes to the nearest of those that take its place: details, and parts joined to it.
     *
     * @param  non-empty-list<stdClass>  $heirs
     */
    private static function settle(stdClass $document, string $key, stdClass $old, array $heirs): void
    {
        $nearest = static function (float $x, float $y) use ($heirs): stdClass {
            usort($heirs, static fn (stdClass $a, stdClass $b): int => hypot($a->at->xMm - $x, $a->at->yMm - $y) / max($a->shape->widthMm, $a->shape->heightMm) <=> hypot($b->at->xMm - $x, $b->at->yMm - $y) / max($b->shape->widthMm, $b->shape->heightMm));

            return $heirs[0];
        };
        foreach ($document->details ?? [] as $detail) {
            if ($detail->on === $key) {
                [$x, $y] = self::middle($detail);
                $heir = $nearest($old->at->xMm + $x, $old->at->yMm + $y);
                self::moveDetail($detail, $old, $heir);
            }
        }
        foreach ($document->parts as $part) {
            if (($part->join->to ?? '') === $key && ! in_array($part, $heirs, true)) {
                $part->join->to = $nearest($part->at->xMm, $part->at->yMm)->key;
            }
        }
    }

    private static function moveDetail(stdClass $detail, stdClass $from, stdClass $to): void
    {
        [$dx, $dy] = [$from->at->xMm - $to->at->xMm, $from->at->yMm - $to->at->yMm];
        $detail->on = $to->key;
        if (isset($detail->pointsMm) && ($detail->turnDeg ?? 0) == 0) {
            $detail->pointsMm = array_map(static fn (array $p): array => [round($p[0] + $dx, 2), round($p[1] + $dy, 2)], $detail->pointsMm);
        } else {
            $detail->xMm = round(($detail->xMm ?? 0) + $dx, 2);
            $detail->yMm = round(($detail->yMm ?? 0) + $dy, 2);
        }
    }

    /** @return array{float, float} */
    private static function middle(stdClass $detail): array
    {
        $points = is_array($detail->pointsMm ?? null) && $detail->pointsMm !== [] ? $detail->pointsMm : [[0.0, 0.0]];

        return [($detail->xMm ?? 0) + array_sum(array_column($points, 0)) / count($points), ($detail->yMm ?? 0) + array_sum(array_column($points, 1)) / count($points)];
    }

    /**
     * A part whose carrier goes away hangs on what its carrier hung on.
     *
     * @param  list<string>  $gone
     */
    private static function rejoin(stdClass $document, stdClass $part, array $gone): void
    {
        for ($steps = 0; $steps < 200 && in_array($part->join->to ?? '', $gone, true); $steps++) {
            $carrier = $document->parts[self::index($document->parts, (string) $part->join->to)];
            if (isset($carrier->join->to)) {
                $part->join = (object) ['to' => $carrier->join->to, 'by' => $part->join->by ?? 'fluff'];
            } else {
                unset($part->join);

                return;
            }
        }
        if (($part->join->to ?? '') === $part->key) {
            unset($part->join);
        }
    }

    /** The key of the figure's colour that is this one, added if there is none. */
    private static function colour(stdClass $document, string $hex): string
    {
        $lab = Srgb::hex($hex)->lab();
        foreach ($document->colours as $colour) {
            if (Ciede2000::between($lab, Srgb::hex((string) $colour->hex)->lab()) < 3.0) {
                return (string) $colour->key;
            }
        }
        $key = FreeKey::besides(array_column($document->colours, 'key'), 'colour');
        $document->colours[] = (object) ['key' => $key, 'name' => ColourWords::of(Srgb::hex($hex)), 'hex' => $hex];

        return $key;
    }

    /** The part in front at a place, else the one whose middle is nearest; none in an empty figure. */
    private static function nearest(Figure $figure, float $x, float $y): ?Part
    {
        $best = null;
        $most = -INF;
        foreach ($figure->parts as $part) {
            $front = self::frontAt($part, $x, $y);
            $value = $front > 0.0 ? 1e6 + $part->at[2] + $front : -hypot($part->at[0] - $x, $part->at[1] - $y);
            if ($value > $most) {
                [$most, $best] = [$value, $part];
            }
        }

        return $best;
    }

    /** How far a part's skin stands out in front of its middle at a place in the front view; 0 beside it. */
    private static function frontAt(Part $part, float $x, float $y): float
    {
        [$u, $v] = $part->turn->undo($x - $part->at[0], $y - $part->at[1], 0.0);
        $front = $part->solid->frontMm($u, $v);

        return is_nan($front) ? 0.0 : $front;
    }

    /** @param  array<stdClass>  $members */
    private static function index(array $members, string $key): int
    {
        foreach (array_values($members) as $i => $member) {
            if ($member->key === $key) {
                return $i;
            }
        }
        throw RecutRefused::noSuchPart($key);
    }
}
