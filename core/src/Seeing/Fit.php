<?php

declare(strict_types=1);

namespace Impa\Seeing;

use Impa\Raster\Blob;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;

/**
 * The simple shape that covers a blob best with few numbers, by intersection over union (the Jaccard index): every
 * candidate of the catalogue is laid over it, upright
 * and along its longest axis (the first principal axis), the promising ones are moved, stretched and turned until they fit, by a
 * coordinate search (Hooke and Jeeves 1961). Pixels, y up. Immutable.
 *
 * @phpstan-import-type Options from Catalogue
 */
final readonly class Fit
{
    /** What a guess behind other parts costs (house choice). */
    private const HIDDEN_COST = 0.025;

    /** So many of the roughly best candidates are refined, and so many of those measured closely. */
    private const REFINED = 5;

    private const CLOSELY = 2;

    /** Rounds of pulling: shares of its size by which each edge is moved, and degrees by which it is turned. */
    private const STEPS = [[0.08, 6.0], [0.04, 3.0], [0.02, 1.5], [0.01, 0.8]];

    /** A shape that covers so much is not searched for further. */
    private const GOOD = 0.9;

    /** A blob may be a ring from this share of ground that it encloses, of both together. */
    private const HOLLOW = 0.05;

    /** Samples each way: for a first look, for pulling, for the last word. */
    private const LOOKS = [15, 24, 38];

    /** @param  Options  $options */
    public function __construct(
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
        $samples = Samples::of($blob, $map, self::LOOKS[1], 1.2);
        $bent = array_slice(self::measuredAll(Candidates::bent($blob), $samples), 0, 1);
        $all = [
            $simple,
            ...array_map(static fn (self $f): self => $f->refined($samples, [self::STEPS[1], self::STEPS[2]]), $bent),
            ...Candidates::ownOutline($blob),
        ];
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
        [$few, $some, $many] = array_map(
            static fn (int $across): Samples => Samples::of($blob, $map, $across, $margin),
            self::LOOKS,
        );
        $rough = self::measuredAll(self::tried($blob, $some, $partlyHidden, true), $few);
        $refined = array_map(static fn (self $f): self => $f->refined($some, self::STEPS), array_slice($rough, 0, self::REFINED));
        usort($refined, self::better(...));
        $close = array_map(
            static fn (self $f): self => $f->measured($many)->refined($many, [self::STEPS[2], self::STEPS[3]]),
            array_slice($refined, 0, self::CLOSELY),
        );
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
        $rough = self::measuredAll(self::tried($blob, $few, false, false), $few);
        $refined = array_map(static fn (self $f): self => $f->refined($few, [self::STEPS[0], self::STEPS[2]]), [
            $rough[0],
            self::otherKind($rough),
        ]);
        usort($refined, self::better(...));

        return $refined[0];
    }

    /** @return iterable<self> */
    private static function tried(Blob $blob, Samples $samples, bool $partlyHidden, bool $all): iterable
    {
        yield from Candidates::of($blob, $partlyHidden, $all);
        if ($samples->hollow() > self::HOLLOW) {
            yield from Candidates::rings($blob);
        }
    }

    /**
     * The best of another kind than the very best: the two are often close, and may change places once they are refined.
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
        $upright = Candidates::ball($blob, 0.0)->measured($samples);
        $leaning = Candidates::ball($blob, $blob->leanDeg())->measured($samples);

        return $leaning->overlap > $upright->overlap + 0.02 ? $leaning : $upright;
    }

    /** The shape seen in a mirror that stands at x. An arc's ends point to its right, so that it is turned about as well. */
    public function mirrored(float $axis): self
    {
        $options = $this->options;
        if (isset($options['outline']) && is_array($options['outline'])) {
            $options['outline'] = array_map(static fn (array $p): array => [-$p[0], $p[1]], $options['outline']);
        }

        return new self(
            $this->kind,
            $this->widthPx,
            $this->heightPx,
            $options,
            2 * $axis - $this->x,
            $this->y,
            self::angle(-$this->turnDeg + ($this->kind === ShapeKind::Arc ? 180.0 : 0.0)),
            $this->overlap,
            $this->depthShare,
        );
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

        return new self(
            $this->kind,
            $between($this->widthPx, $other->widthPx),
            $between($this->heightPx, $other->heightPx),
            $options,
            $between($this->x, $other->x),
            $between($this->y, $other->y),
            $between($this->turnDeg, $other->turnDeg),
            min($this->overlap, $other->overlap),
            $this->depthShare,
        );
    }

    /** The same shape felted flat: a plate of the same outline. A ring stays one, or its hole would close. */
    public function flattened(): self
    {
        if ($this->kind === ShapeKind::Ring) {
            return $this;
        }
        $outline =
            $this->options['outline'] ??
            match ($this->kind) {
                ShapeKind::Ball, ShapeKind::Plate => 'disc',
                ShapeKind::Cone => 'triangle',
                default => $this->solid()->front()[0],
            };

        return new self(
            ShapeKind::Plate,
            $this->widthPx,
            $this->heightPx,
            ['outline' => $outline],
            $this->x,
            $this->y,
            $this->turnDeg,
            $this->overlap,
            $this->depthShare,
        );
    }

    public function isFlat(): bool
    {
        return $this->kind === ShapeKind::Plate;
    }

    /** The same shape with its middle above another place, turned otherwise. */
    public function standing(float $x, float $turnDeg): self
    {
        return new self(
            $this->kind,
            $this->widthPx,
            $this->heightPx,
            $this->options,
            $x,
            $this->y,
            self::angle($turnDeg),
            $this->overlap,
            $this->depthShare,
        );
    }

    /** The same plate or ring, so thick as a share of its shorter side. */
    public function withDepthShare(float $share): self
    {
        return new self(
            $this->kind,
            $this->widthPx,
            $this->heightPx,
            $this->options,
            $this->x,
            $this->y,
            $this->turnDeg,
            $this->overlap,
            $share,
        );
    }

    /**
     * How deep a felter would make it, in pixels: round shapes as deep as wide, plates thin, a ring as its roll is thick
     * (house choice).
     */
    public function depthPx(): float
    {
        return match ($this->kind) {
            ShapeKind::Plate, ShapeKind::Ring => $this->depthShare * min($this->widthPx, $this->heightPx),
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

        return array_map(
            fn (array $loop): array => array_map(
                fn (array $p): array => [$this->x + $p[0] * $c - $p[1] * $s, $this->y + $p[0] * $s + $p[1] * $c],
                $loop,
            ),
            $this->solid()->front(),
        );
    }

    /** Share of a blob's pixels that lie under the shape. */
    public function covers(Blob $blob): float
    {
        $samples = Samples::of($blob, [], self::LOOKS[1], 1.0);

        return $samples->inBlob === 0 ? 0.0 : $this->cover($samples)[0] / $samples->inBlob;
    }

    /** Its overlap, less what it must cover more than a ball to be worth its extra numbers (house choice). */
    public function score(): float
    {
        return $this->overlap -
            match ($this->kind) {
                ShapeKind::Ball => 0.0,
                ShapeKind::Sausage => 0.004,
                ShapeKind::Egg, ShapeKind::Drum, ShapeKind::Dome => 0.012,
                ShapeKind::Cone, ShapeKind::Drop, ShapeKind::Drumstick, ShapeKind::Arc, ShapeKind::Ring => 0.018,
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
        [$both, $either, $hidden] = $this->cover($samples);
        // What is only guessed behind another region counts a little against the guess.
        $overlap = $both / max(1, $either) - (self::HIDDEN_COST * $hidden) / max(1, $both + $hidden);

        return new self(
            $this->kind,
            $this->widthPx,
            $this->heightPx,
            $this->options,
            $this->x,
            $this->y,
            $this->turnDeg,
            $overlap,
            $this->depthShare,
        );
    }

    /**
     * Pulls at each edge and turns as long as it covers better.
     *
     * @param  list<array{float, float}>  $pulls
     */
    private function refined(Samples $samples, array $pulls): self
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
                [$moveU, $moveV] = [($u * $moreW) / 2, ($v * $moreH) / 2];
                yield $this->at(
                    $this->widthPx + $moreW,
                    $this->heightPx + $moreH,
                    $this->x + $moveU * $c - $moveV * $s,
                    $this->y + $moveU * $s + $moveV * $c,
                    $this->turnDeg,
                    $this->options,
                );
            }
        }
        if ($this->kind !== ShapeKind::Ball || abs($this->widthPx / $this->heightPx - 1) > 0.06) {
            foreach ([$deg, -$deg] as $by) {
                yield $this->at(
                    $this->widthPx,
                    $this->heightPx,
                    $this->x,
                    $this->y,
                    self::angle($this->turnDeg + $by),
                    $this->options,
                );
            }
        }
        if (isset($this->options['taper'])) {
            foreach ([$share, -$share] as $by) {
                yield $this->at($this->widthPx, $this->heightPx, $this->x, $this->y, $this->turnDeg, [
                    'taper' => max(-0.6, min(0.6, $this->options['taper'] + $by)),
                ]);
            }
        }
        if ($this->kind === ShapeKind::Ring) {
            foreach ([1 + 2 * $share, 1 - 2 * $share] as $by) {
                yield $this->withDepthShare(min(Candidates::THICKEST_RING, $this->depthShare * $by));
            }
        }
        if (isset($this->options['bendDeg'])) {
            foreach ([$deg, -$deg] as $by) {
                yield $this->at($this->widthPx, $this->heightPx, $this->x, $this->y, $this->turnDeg, [
                    'bendDeg' => max(1.0, min(330.0, $this->options['bendDeg'] + 2 * $by)),
                ]);
            }
        }
        if (isset($this->options['topMm'], $this->options['bottomMm'])) {
            $thin = min($this->options['topMm'], $this->options['bottomMm']);
            foreach ([1 + 2 * $share, 1 - 2 * $share] as $by) {
                $thinner = max(0.15 * $this->widthPx, min(0.95 * $this->widthPx, $thin * $by));
                yield $this->at(
                    $this->widthPx,
                    $this->heightPx,
                    $this->x,
                    $this->y,
                    $this->turnDeg,
                    $this->options['topMm'] < $this->options['bottomMm']
                        ? ['topMm' => $thinner, 'bottomMm' => $this->widthPx]
                        : ['topMm' => $this->widthPx, 'bottomMm' => $thinner],
                );
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

    /** @return array{int, int, int} samples in both, in either, and of the shape where something else is seen */
    private function cover(Samples $samples): array
    {
        return match ($this->kind) {
            ShapeKind::Arc, ShapeKind::Ring => $samples->coverBy($this->solid(), $this->x, $this->y, $this->turnDeg),
            default => $samples->cover(
                Profiles::halfWidths($this->kind, $this->widthPx, $this->heightPx, $this->options),
                $this->widthPx,
                $this->heightPx,
                $this->x,
                $this->y,
                $this->turnDeg,
            ),
        };
    }

    /** An angle between -180 and 180 degrees. */
    public static function angle(float $deg): float
    {
        return $deg > 180 ? $deg - 360 : ($deg <= -180 ? $deg + 360 : $deg);
    }
}
