<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Impa\Raster\Blob;
use Impa\Raster\ConnectedComponents;
use Impa\Seeing\Assembly\TwinPairing;
use Impa\Seeing\Fitting\Fitting;
use Impa\Seeing\Segmentation\Extent;
use Impa\Seeing\Segmentation\Regions;

/**
 * Limbs that cross, such as an arm before a tail. Of one colour, the two are one patch: what of it lies in the mirror image of the arm on
 * the other side is the other arm. And what is seen of the tail on both sides of the arm is one tail behind it.
 */
final class CrossedLimbs
{
    /** A limb is at least such a share of the figure, so many times longer than wide, and a simple shape covers it so well. */
    private const LEAST = 0.006;

    private const LIMB = 1.3;

    private const SIMPLE = 0.84;

    /** Its mirror image lies in the other patches by so much, which are so many times as large or larger. */
    private const WITHIN = 0.8;

    private const LARGER = 1.15;

    /** It stands on its own side of the middle line with so much of it. */
    private const OWN_SIDE = 0.8;

    /** What is left of a patch is a piece of its own from this share of the limb on. */
    private const CRUMB = 0.08;

    /** Two are one behind a third where one shape covers both so well, of the smaller one so much, and is so many times longer than wide. */
    private const ONE = 0.9;

    private const COVERED = 0.75;

    private const LONG = 1.6;

    /** A limb keeps its width: each is at least such a share as wide as both; and at most so many times that is hidden between them. */
    private const AS_WIDE = 0.6;

    private const GAP = 2.0;

    private readonly float $axis;

    private readonly float $leastPx;

    /** @var array<int, bool> lobes that stay as they are */
    private array $fixed;

    /**
     * @param  list<Lobe>  $lobes
     * @param  list<int>  $base  region by lobe
     * @param  array<int, true>  $whole  regions that are not cut
     * @return array{list<Lobe>, list<int>}
     */
    public static function of(array $lobes, array $base, Regions $regions, array $whole): array
    {
        $seen = new self($lobes, $base, $regions, $whole);
        $seen->cutByTwins();
        $seen->joinBehind();

        return [array_values($seen->lobes), array_values($seen->base)];
    }

    /**
     * @param  array<int, Lobe>  $lobes
     * @param  array<int, int>  $base
     * @param  array<int, true>  $whole
     */
    private function __construct(private array $lobes, private array $base, private readonly Regions $regions, array $whole)
    {
        $this->leastPx = self::LEAST * count(array_filter($regions->map, static fn (int $r): bool => $r >= 0));
        usort($lobes, static fn (Lobe $a, Lobe $b): int => $b->blob->area() <=> $a->blob->area());
        $this->axis = TwinPairing::axis(array_map(static fn (Lobe $lobe): float => $lobe->blob->middle[0], $lobes), $regions);
        $this->fixed = array_map(static fn (int $region): bool => isset($whole[$region]), $base);
    }

    private function cutByTwins(): void
    {
        foreach (array_keys($this->lobes) as $i) {
            if (isset($this->lobes[$i]) && ! $this->fixed[$i] && $this->isAside($i) && $this->lobes[$i]->blob->area() > $this->leastPx) {
                $this->cutBy($i);
            }
        }
    }

    /** Cuts what lies in a limb's mirror image from the larger patches that it lies in. */
    private function cutBy(int $i): void
    {
        $limb = $this->lobes[$i]->blob;
        $mirrored = $this->mirrored($limb);
        $share = $others = [];
        foreach ($this->lobes as $j => $lobe) {
            $in = count(array_intersect_key($lobe->blob->pixels, $mirrored));
            if ($in > 0 && $j !== $i && $this->label($j) === $this->label($i) && ! $this->fixed[$j] && $this->isAside($j)) {
                $share[$j] = array_intersect_key($lobe->blob->pixels, $mirrored);
                $others[$j] = $lobe->blob->pixels;
            }
        }
        $twin = array_replace([], ...$share);
        $all = array_replace([], ...$others);
        // What a line parts is apart already.
        if (count(array_unique(array_intersect_key($this->base, $others))) !== 1) {
            return;
        }
        if (count($twin) < self::WITHIN * count($mirrored) || count($all) < self::LARGER * $limb->area()) {
            return;
        }
        if ($this->rough($limb->pixels) < self::SIMPLE) {
            return;
        }
        $left = [];
        foreach (ConnectedComponents::ofSet(array_diff_key($all, $twin), $limb->width) as $piece) {
            if (count($piece) > self::CRUMB * $limb->area()) {
                $left[] = $piece;
            } else {
                $twin += $piece;
            }
        }
        if ($left === [] || $this->rough(array_replace(...$left)) < self::SIMPLE) {
            return;
        }
        $base = $this->base[(int) array_key_first($others)];
        foreach (array_keys($others) as $j) {
            unset($this->lobes[$j], $this->base[$j], $this->fixed[$j]);
        }
        foreach ([$twin, ...$left] as $pixels) {
            $this->lobes[] = new Lobe(Blob::of($pixels, $limb->width), $this->lobes[$i]->neckPx);
            $this->base[] = $base;
            $this->fixed[] = false;
        }
    }

    private function joinBehind(): void
    {
        do {
            $joined = false;
            $touching = $this->touching();
            foreach ($touching as $i => $near) {
                foreach ($touching as $j => $alsoNear) {
                    $between = array_keys(array_intersect_key($near, $alsoNear));
                    if ($i < $j && ! isset($near[$j]) && array_filter($between, $this->isLimb(...)) !== [] && $this->areOne($i, $j)) {
                        [$large, $small] = $this->lobes[$i]->blob->area() < $this->lobes[$j]->blob->area() ? [$j, $i] : [$i, $j];
                        $this->lobes[$large] = $this->both($i, $j, $this->lobes[$large]->neckPx);
                        unset($this->lobes[$small], $this->base[$small], $this->fixed[$small]);
                        $joined = true;
                        break 2;
                    }
                }
            }
        } while ($joined);
    }

    private function both(int $i, int $j, float $neckPx): Lobe
    {
        [$one, $two] = [$this->lobes[$i]->blob, $this->lobes[$j]->blob];

        return new Lobe(Blob::of($one->pixels + $two->pixels, $one->width), $neckPx);
    }

    private function areOne(int $i, int $j): bool
    {
        if ($this->label($i) !== $this->label($j) || $this->fixed[$i] || $this->fixed[$j]) {
            return false;
        }
        [$one, $two] = [$this->lobes[$i]->blob, $this->lobes[$j]->blob];
        $both = $this->both($i, $j, 0.0)->blob;
        if (max($one->area(), $two->area()) < $this->leastPx || $both->elongation() < self::LONG) {
            return false;
        }
        $lean = $both->leanDeg();
        $wide = $both->box($lean)[0];
        $narrow = min($one->box($lean)[0], $two->box($lean)[0]);
        if ($narrow < self::AS_WIDE * $wide || self::gap($one, $two, $lean) > self::GAP * $wide) {
            return false;
        }
        if ($this->hasTwin($i) || $this->hasTwin($j)) {
            return false;
        }
        $fit = Fitting::simple($both, $this->regions->map, true);

        return $fit->overlap > self::ONE && min($fit->covers($one), $fit->covers($two)) > self::COVERED;
    }

    private function isLimb(int $k): bool
    {
        return $this->isAside($k) && $this->lobes[$k]->blob->elongation() > self::LIMB;
    }

    /** Whether a patch of its colour is its mirror image: an arm and a leg on one side are no limb, as they are two on the other. */
    private function hasTwin(int $i): bool
    {
        $tallPx = Extent::of($this->regions->all)->heightPx();
        foreach ($this->lobes as $j => $lobe) {
            if ($this->label($j) === $this->label($i) && TwinPairing::mirrors($this->lobes[$i]->blob, $lobe->blob, $this->axis, $tallPx)) {
                return true;
            }
        }

        return false;
    }

    /** How far two are apart along an axis, 0 where they lie beside each other. */
    private static function gap(Blob $one, Blob $two, float $leanDeg): float
    {
        [$c, $s] = [cos(deg2rad($leanDeg)), sin(deg2rad($leanDeg))];
        [$a, $b] = [$one->box($leanDeg), $two->box($leanDeg)];
        $middle = static fn (array $box): float => $box[3] * $c - $box[2] * $s;

        return max(0.0, abs($middle($a) - $middle($b)) - ($a[1] + $b[1]) / 2);
    }

    /** @return array<int, array<int, true>> by lobe, the lobes that it touches */
    private function touching(): array
    {
        $owner = [];
        foreach ($this->lobes as $k => $lobe) {
            $owner += array_fill_keys(array_keys($lobe->blob->pixels), $k);
        }
        $touching = array_fill_keys(array_keys($this->lobes), []);
        $width = $this->regions->width;
        foreach ($owner as $pixel => $k) {
            foreach ([($pixel + 1) % $width > 0 ? $pixel + 1 : -1, $pixel + $width] as $next) {
                $other = $owner[$next] ?? $k;
                if ($other !== $k) {
                    $touching[$k][$other] = $touching[$other][$k] = true;
                }
            }
        }

        return $touching;
    }

    private function label(int $k): int
    {
        return $this->regions->all[$this->base[$k]]->label;
    }

    /** @param  array<int, true>  $pixels */
    private function rough(array $pixels): float
    {
        return Fitting::rough(Blob::of($pixels, $this->regions->width), $this->regions->map)->overlap;
    }

    private function isAside(int $k): bool
    {
        $blob = $this->lobes[$k]->blob;
        $right = TwinPairing::rightOf($blob, $this->axis);

        return max($right, 1 - $right) > self::OWN_SIDE;
    }

    /** @return array<int, true> the pixels in the mirror */
    private function mirrored(Blob $blob): array
    {
        $mirrored = [];
        foreach ($blob->pixels as $i => $_) {
            $x = (int) floor(2 * $this->axis - ($i % $blob->width) - 0.5);
            if ($x >= 0 && $x < $blob->width) {
                $mirrored[$i - $i % $blob->width + $x] = true;
            }
        }

        return $mirrored;
    }
}
