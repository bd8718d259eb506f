<?php

declare(strict_types=1);

namespace Impa\Picture;

use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;

/**
 * The simple shape that covers a blob best with few numbers: every candidate of the catalogue is laid over it, upright
 * and along its longest axis, the promising ones are pulled and turned until they fit. Pixels, y up. Immutable.
 *
 * @phpstan-import-type Options from Catalogue
 */
final readonly class Fit
{
    /** By which shares of its size a partly hidden blob is drawn out on trial, and what a guess costs (house choice). */
    private const DRAWN_OUT = [0.2, 0.5, 0.9];

    private const HIDDEN_COST = 0.025;

    /** So many of the roughly best candidates are pulled into place, and so many of those measured closely. */
    private const PULLED = 5;

    private const CLOSELY = 2;

    /** Rounds of pulling: shares of its size by which each edge is moved, and degrees by which it is turned. */
    private const PULLS = [[0.08, 6.0], [0.04, 3.0], [0.02, 1.5], [0.01, 0.8]];

    /** A shape that covers so much is not searched for further. */
    private const GOOD = 0.9;

    /** A blob so many times longer than wide is a roll, which may be bent; by so many degrees at least. */
    private const ROLL = 3.0;

    private const BENT_DEG = 25.0;

    /** Samples each way: for a first look, for pulling, for the last word. */
    private const LOOKS = [15, 24, 38];

    /** @param  Options  $options */
    private function __construct(
        public ShapeKind $kind,
        public float $widthPx,
        public float $heightPx,
        public array $options,
        public float $x,
        public float $y,
        public float $turnDeg,
        public float $overlap,
        public float $depthShare = 1.0,
    ) {
    }

    /**
     * @param  list<int>  $map  region per pixel, -1 for the ground
     * @param  bool  $partlyHidden  whether other parts may cover some of it
     */
    public static function best(Blob $blob, array $map, bool $partlyHidden): self
    {
        $simple = self::simple($blob, $map, $partlyHidden);
        if ($simple->overlap >= self::GOOD) {
            return $simple;
        }
        $all = [$simple, ...self::bent($blob, $map), ...self::ownOutline($blob)];
        usort($all, self::better(...));

        return $all[0];
    }

    /**
     * The best shape of few numbers, without an outline of its own.
     *
     * @param  list<int>  $map
     */
    public static function simple(Blob $blob, array $map, bool $partlyHidden): self
    {
        $margin = $partlyHidden ? 1.6 : 1.2;
        [$few, $some, $many] = array_map(static fn (int $across): Samples => Samples::of($blob, $map, $across, $margin), self::LOOKS);
        $rough = self::measuredAll(self::candidates($blob, $partlyHidden, true), $few);
        $pulled = array_map(static fn (self $f): self => $f->pulled($some, self::PULLS), array_slice($rough, 0, self::PULLED));
        usort($pulled, self::better(...));
        $close = array_map(static fn (self $f): self => $f->measured($many)->pulled($many, [self::PULLS[2], self::PULLS[3]]), array_slice($pulled, 0, self::CLOSELY));
        usort($close, self::better(...));

        // A ball is always among the candidates, and never refused.
        return $close[0];
    }

    /**
     * Quickly, how well some simple shape covers the blob; for choosing between ways to cut.
     *
     * @param  list<int>  $map
     */
    public static function rough(Blob $blob, array $map): self
    {
        $few = Samples::of($blob, $map, self::LOOKS[0] + 6, 1.4);
        $rough = self::measuredAll(self::candidates($blob, false, false), $few);

        $pulled = array_map(static fn (self $f): self => $f->pulled($few, [self::PULLS[0], self::PULLS[2]]), [$rough[0], self::otherKind($rough)]);
        usort($pulled, self::better(...));

        return $pulled[0];
    }

    /**
     * The best of another kind than the very best: the two are often close, and pulled into place may change places.
     *
     * @param  list<self>  $fits  best first, at least one
     */
    private static function otherKind(array $fits): self
    {
        foreach ($fits as $fit) {
            if ($fit->kind !== $fits[0]->kind) {
                return $fit;
            }
        }

        return $fits[0];
    }

    /**
     * The disc that covers the blob, for spots.
     *
     * @param  list<int>  $map
     */
    public static function disc(Blob $blob, array $map): self
    {
        $samples = Samples::of($blob, $map, self::LOOKS[2], 1.2)->withoutHiding();
        $upright = self::ball($blob, 0.0)->measured($samples);
        $leaning = self::ball($blob, $blob->leanDeg())->measured($samples);

        return $leaning->overlap > $upright->overlap + 0.02 ? $leaning : $upright;
    }

    /** The shape seen in a mirror that stands at x. An arc's ends point to its right, so that it is turned about as well. */
    public function mirrored(float $axis): self
    {
        $options = $this->options;
        if (isset($options['outline']) && is_array($options['outline'])) {
            $options['outline'] = array_map(static fn (array $p): array => [-$p[0], $p[1]], $options['outline']);
        }

        return new self($this->kind, $this->widthPx, $this->heightPx, $options, 2 * $axis - $this->x, $this->y, self::angle(-$this->turnDeg + ($this->kind === ShapeKind::Arc ? 180.0 : 0.0)), $this->overlap, $this->depthShare);
    }

    /** Half-way between two fits of the same kind, so that twins come out equal. */
    public function mean(self $other): self
    {
        if ($this->kind !== $other->kind || isset($this->options['outline']) || abs($this->turnDeg - $other->turnDeg) > 30) {
            return $this->overlap >= $other->overlap ? $this : $other;
        }
        $between = static fn (float $a, float $b): float => ($a + $b) / 2;
        $options = $this->options;
        if (isset($options['taper'], $other->options['taper'])) {
            $options['taper'] = $between($options['taper'], $other->options['taper']);
        }

        return new self($this->kind, $between($this->widthPx, $other->widthPx), $between($this->heightPx, $other->heightPx), $options, $between($this->x, $other->x), $between($this->y, $other->y), $between($this->turnDeg, $other->turnDeg), min($this->overlap, $other->overlap), $this->depthShare);
    }

    /** The same shape felted flat: a plate of the same outline. */
    public function flattened(): self
    {
        $outline = $this->options['outline'] ?? match ($this->kind) {
            ShapeKind::Ball, ShapeKind::Plate => 'disc',
            ShapeKind::Cone => 'triangle',
            default => $this->solid()->front()[0],
        };

        return new self(ShapeKind::Plate, $this->widthPx, $this->heightPx, ['outline' => $outline], $this->x, $this->y, $this->turnDeg, $this->overlap, $this->depthShare);
    }

    public function isFlat(): bool
    {
        return $this->kind === ShapeKind::Plate;
    }

    /** The same plate, so thick as a share of its shorter side. */
    public function withDepthShare(float $share): self
    {
        return new self($this->kind, $this->widthPx, $this->heightPx, $this->options, $this->x, $this->y, $this->turnDeg, $this->overlap, $share);
    }

    /** How deep a felter would make it, in pixels: round shapes as deep as wide, plates thin (house choice). */
    public function depthPx(): float
    {
        return match ($this->kind) {
            ShapeKind::Plate => $this->depthShare * min($this->widthPx, $this->heightPx),
            default => min($this->widthPx, 1.15 * $this->heightPx),
        };
    }

    /** @throws ShapeRefused if the shape cannot be made */
    public function solid(): Solid
    {
        return Catalogue::solid($this->kind, Size::of($this->widthPx, $this->heightPx, $this->depthPx()), $this->options);
    }

    /**
     * Its outline where it lies.
     *
     * @return non-empty-list<list<array{float, float}>>
     */
    public function outlinePx(): array
    {
        [$c, $s] = [cos(deg2rad($this->turnDeg)), sin(deg2rad($this->turnDeg))];

        return array_map(fn (array $loop): array => array_map(fn (array $p): array => [$this->x + $p[0] * $c - $p[1] * $s, $this->y + $p[0] * $s + $p[1] * $c], $loop), $this->solid()->front());
    }

    /** Share of a blob's pixels that lie under the shape. */
    public function covers(Blob $blob): float
    {
        $samples = Samples::of($blob, [], self::LOOKS[1], 1.0);

        return $samples->inBlob === 0 ? 0.0 : $samples->cover($this->halfWidths(), $this->widthPx, $this->heightPx, $this->x, $this->y, $this->turnDeg)[0] / $samples->inBlob;
    }

    /** Its overlap, less what it must cover more than a ball to be worth its extra numbers (house choice). */
    public function score(): float
    {
        return $this->overlap - match ($this->kind) {
            ShapeKind::Ball => 0.0,
            ShapeKind::Sausage => 0.004,
            ShapeKind::Egg, ShapeKind::Drum, ShapeKind::Dome => 0.012,
            ShapeKind::Cone, ShapeKind::Drop, ShapeKind::Drumstick, ShapeKind::Arc => 0.018,
            default => 0.07,
        };
    }

    private static function better(self $a, self $b): int
    {
        return $b->score() <=> $a->score();
    }

    /**
     * @param  iterable<self>  $candidates
     * @return list<self> best first
     */
    private static function measuredAll(iterable $candidates, Samples $samples): array
    {
        $measured = [];
        foreach ($candidates as $candidate) {
            $measured[] = $candidate->measured($samples);
        }
        usort($measured, self::better(...));

        return $measured;
    }

    private function measured(Samples $samples): self
    {
        [$both, $either, $hidden] = $this->kind === ShapeKind::Arc
            ? $samples->coverBy($this->solid(), $this->x, $this->y, $this->turnDeg)
            : $samples->cover($this->halfWidths(), $this->widthPx, $this->heightPx, $this->x, $this->y, $this->turnDeg);
        // What is only guessed behind another region counts a little against the guess.
        $overlap = $both / max(1, $either) - self::HIDDEN_COST * $hidden / max(1, $both + $hidden);

        return new self($this->kind, $this->widthPx, $this->heightPx, $this->options, $this->x, $this->y, $this->turnDeg, $overlap, $this->depthShare);
    }

    /**
     * Pulls at each edge and turns as long as it covers better.
     *
     * @param  list<array{float, float}>  $pulls
     */
    private function pulled(Samples $samples, array $pulls): self
    {
        $best = $this->measured($samples);
        foreach ($pulls as [$share, $deg]) {
            for ($round = 0; $round < 3; $round++) {
                $before = $best->overlap;
                foreach ($best->neighbours($share, $deg) as $neighbour) {
                    $tried = $neighbour->measured($samples);
                    $best = $tried->overlap > $best->overlap + 1e-4 ? $tried : $best;
                }
                if ($best->overlap <= $before) {
                    break;
                }
            }
        }

        return $best;
    }

    /** @return iterable<self> each edge moved out and in, the whole turned both ways, an egg's taper more and less */
    private function neighbours(float $share, float $deg): iterable
    {
        [$c, $s] = [cos(deg2rad($this->turnDeg)), sin(deg2rad($this->turnDeg))];
        foreach ([[1, 0], [-1, 0], [0, 1], [0, -1]] as [$u, $v]) {
            foreach ([$share, -$share] as $by) {
                [$moreW, $moreH] = [abs($u) * $by * $this->widthPx, abs($v) * $by * $this->heightPx];
                [$moveU, $moveV] = [$u * $moreW / 2, $v * $moreH / 2];
                yield $this->at($this->widthPx + $moreW, $this->heightPx + $moreH, $this->x + $moveU * $c - $moveV * $s, $this->y + $moveU * $s + $moveV * $c, $this->turnDeg, $this->options);
            }
        }
        if ($this->kind !== ShapeKind::Ball || abs($this->widthPx / $this->heightPx - 1) > 0.06) {
            foreach ([$deg, -$deg] as $by) {
                yield $this->at($this->widthPx, $this->heightPx, $this->x, $this->y, self::angle($this->turnDeg + $by), $this->options);
            }
        }
        if (isset($this->options['taper'])) {
            foreach ([$share, -$share] as $by) {
                yield $this->at($this->widthPx, $this->heightPx, $this->x, $this->y, $this->turnDeg, ['taper' => max(-0.6, min(0.6, $this->options['taper'] + $by))]);
            }
        }
        if (isset($this->options['bendDeg'])) {
            foreach ([$deg, -$deg] as $by) {
                yield $this->at($this->widthPx, $this->heightPx, $this->x, $this->y, $this->turnDeg, ['bendDeg' => max(1.0, min(330.0, $this->options['bendDeg'] + 2 * $by))]);
            }
        }
        if (isset($this->options['topMm'], $this->options['bottomMm'])) {
            $thin = min($this->options['topMm'], $this->options['bottomMm']);
            foreach ([1 + 2 * $share, 1 - 2 * $share] as $by) {
                $thinner = max(0.15 * $this->widthPx, min(0.95 * $this->widthPx, $thin * $by));
                yield $this->at($this->widthPx, $this->heightPx, $this->x, $this->y, $this->turnDeg, $this->options['topMm'] < $this->options['bottomMm'] ? ['topMm' => $thinner, 'bottomMm' => $this->widthPx] : ['topMm' => $this->widthPx, 'bottomMm' => $thinner]);
            }
        }
    }

    /** @param  Options  $options */
    private function at(float $width, float $height, float $x, float $y, float $turnDeg, array $options): self
    {
        if (isset($options['topMm'], $options['bottomMm'])) {
            // The ends of a drumstick grow with it.
            $grow = $width / max($options['topMm'], $options['bottomMm']);
            $options = ['topMm' => $options['topMm'] * $grow, 'bottomMm' => $options['bottomMm'] * $grow];
        }

        return new self($this->kind, max(1.0, $width), max(1.0, $height), $options, $x, $y, $turnDeg, 0.0, $this->depthShare);
    }

    /** @return list<float> */
    private function halfWidths(): array
    {
        return Profiles::halfWidths($this->kind, $this->widthPx, $this->heightPx, $this->options);
    }

    /**
     * @param  bool  $all  every kind of the catalogue that has few numbers, or the common ones only
     * @return iterable<self>
     */
    private static function candidates(Blob $blob, bool $partlyHidden, bool $all): iterable
    {
        $lean = $blob->leanDeg();
        $leans = $blob->elongation() > 1.12 && min(abs($lean), 90 - abs($lean)) > 3 ? [0.0, $lean] : [0.0];
        foreach ($leans as $turn) {
            yield self::ball($blob, $turn);
            foreach (self::boxes($blob->box($turn), $turn, $partlyHidden) as $i => $box) {
                yield from self::inBox($box, $turn, $all && $i === 0);
            }
        }
    }

    /**
     * @param  array{float, float, float, float}  $box
     * @return iterable<self>
     */
    private static function inBox(array $box, float $turn, bool $all): iterable
    {
        [$w, $h, $x, $y] = $box;
        $new = static fn (ShapeKind $kind, float $across, float $along, float $more, array $options = []): self => new self($kind, $across, $along, $options, $x, $y, self::angle($turn + $more), 0.0);
        yield $new(ShapeKind::Ball, $w, $h, 0.0);
        yield $new(ShapeKind::Drum, $w, $h, 0.0);
        foreach ($all ? [-0.45, -0.2, 0.2, 0.45] : [-0.3, 0.3] as $taper) {
            yield $new(ShapeKind::Egg, $w, $h, 0.0, ['taper' => $taper]);
            yield $new(ShapeKind::Egg, $h, $w, 90.0, ['taper' => $taper]);
        }
        foreach ([0.0, 90.0, 180.0, -90.0] as $more) {
            [$across, $along] = $more === 0.0 || $more === 180.0 ? [$w, $h] : [$h, $w];
            if ($along > 1.2 * $across && $more >= 0.0 && $more <= 90.0) {
                yield $new(ShapeKind::Sausage, $across, $along, $more);
            }
            if ($all || $along > $across) {
                yield $new(ShapeKind::Cone, $across, $along, $more);
            }
            if ($all) {
                yield $new(ShapeKind::Dome, $across, $along, $more);
            }
            if ($all && $along > 1.1 * $across) {
                yield $new(ShapeKind::Drop, $across, $along, $more);
                yield $new(ShapeKind::Drumstick, $across, $along, $more, ['topMm' => 0.5 * $across, 'bottomMm' => $across]);
            }
        }
    }

    /**
     * The blob's own outline as a plate; none where it has too few corners. A long one is as thick as it is wide.
     *
     * @return list<self>
     */
    private static function ownOutline(Blob $blob): array
    {
        [$w, $h, $x, $y] = $blob->box(0.0);
        $outline = array_map(static fn (array $p): array => [$p[0] - $x, $p[1] - $y], Contour::around($blob, max(0.8, 0.01 * max($w, $h))));
        $stroke = Stroke::of($blob);
        $depth = $stroke->lengthPx > self::ROLL * $stroke->widthPx ? min(1.0, $stroke->widthPx / min($w, $h)) : 0.2;

        // An outline of its own covers all of the blob but the rounding of its corners.
        return count($outline) >= 3 ? [new self(ShapeKind::Plate, $w, $h, ['outline' => $outline], $x, $y, 0.0, 0.97, $depth)] : [];
    }

    /**
     * An evenly bent roll along a long blob's course, if it has one.
     *
     * @param  list<int>  $map
     * @return list<self>
     */
    private static function bent(Blob $blob, array $map): array
    {
        $stroke = Stroke::of($blob);
        [$ax, $ay] = $stroke->course[0];
        [$bx, $by] = $stroke->course[count($stroke->course) - 1];
        [$mx, $my] = $stroke->course[intdiv(count($stroke->course), 2)];
        $chord = hypot($bx - $ax, $by - $ay);
        if ($stroke->lengthPx < self::ROLL * $stroke->widthPx || $chord < 1.0 || ! $stroke->covers($blob, 0.8)) {
            return [];
        }
        $samples = Samples::of($blob, $map, self::LOOKS[1], 1.2);
        $bends = [];
        $bendDeg = $stroke->bendDeg();
        // A roll's ends point to its right; the course's middle bulges to the left of the way from its foot to its head.
        $bulgesRight = ($bx - $ax) * ($my - $ay) - ($by - $ay) * ($mx - $ax) < 0.0;
        [$dx, $dy] = $bulgesRight ? [$ax - $bx, $ay - $by] : [$bx - $ax, $by - $ay];
        foreach ([0.85, 1.0, 1.15] as $more) {
            $bend = min(330.0, $bendDeg * $more);
            $sagitta = $bend < 1.0 ? 0.0 : $chord / 2 * tan(deg2rad($bend) / 4);
            $x = ($ax + $bx) / 2 - $dy / $chord * $sagitta / 2;
            $y = ($ay + $by) / 2 + $dx / $chord * $sagitta / 2;
            foreach ([0.9, 1.0, 1.1] as $thick) {
                $bends[] = (new self(ShapeKind::Arc, $stroke->widthPx * $thick, $stroke->lengthPx, ['bendDeg' => $bend], $x, $y, rad2deg(atan2(-$dx, $dy)), 0.0))->measured($samples);
            }
        }
        usort($bends, self::better(...));

        return $bendDeg < self::BENT_DEG ? [] : [$bends[0]->pulled($samples, [self::PULLS[1], self::PULLS[2]])];
    }

    /**
     * A box, and where the blob may go on behind others, the box drawn out to each side.
     *
     * @param  array{float, float, float, float}  $box
     * @return iterable<int, array{float, float, float, float}>
     */
    private static function boxes(array $box, float $turnDeg, bool $drawnOut): iterable
    {
        yield $box;
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        foreach ($drawnOut ? self::DRAWN_OUT : [] as $share) {
            foreach ([[0, 1], [0, -1], [1, 0], [-1, 0]] as [$u, $v]) {
                [$w, $h] = [$box[0] * (1 + $share * abs($u)), $box[1] * (1 + $share * abs($v))];
                [$moveU, $moveV] = [$u * $share * $box[0] / 2, $v * $share * $box[1] / 2];
                yield [$w, $h, $box[2] + $moveU * $c - $moveV * $s, $box[3] + $moveU * $s + $moveV * $c];
            }
        }
    }

    /** The oval with the blob's own area and spread. */
    private static function ball(Blob $blob, float $turnDeg): self
    {
        [$xx, $xy, $yy] = $blob->spread;
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        $w = sqrt(max(1e-6, $xx * $c * $c + 2 * $xy * $c * $s + $yy * $s * $s));
        $h = sqrt(max(1e-6, $xx * $s * $s - 2 * $xy * $c * $s + $yy * $c * $c));
        $grow = sqrt($blob->area() / (M_PI * $w * $h));

        return new self(ShapeKind::Ball, 2 * $w * $grow, 2 * $h * $grow, [], $blob->middle[0], $blob->middle[1], $turnDeg, 0.0);
    }

    private static function angle(float $deg): float
    {
        return $deg > 180 ? $deg - 360 : ($deg <= -180 ? $deg + 360 : $deg);
    }
}
