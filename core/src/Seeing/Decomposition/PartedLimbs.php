<?php

declare(strict_types=1);

namespace Impa\Seeing\Decomposition;

use Impa\Raster\Blob;
use Impa\Seeing\Fitting\Fitting;
use Impa\Seeing\Segmentation\MiddleLine;
use Impa\Seeing\Segmentation\Regions;

/**
 * Limbs that another limb parts, such as a tail behind an arm: what is seen of them on both sides is one, where one simple long shape
 * covers it, going on behind what parts it. An arm and a leg on one side, with the belly between them, are two.
 */
final class PartedLimbs
{
    /** The larger piece is at least such a share of the figure. */
    private const LEAST = 0.006;

    /** What parts them is so many times longer than wide, and stands on its own side of the middle line with so much of it. */
    private const PARTS = 1.3;

    private const OWN_SIDE = 0.8;

    /** One shape covers both so well, each of them so much, and they are so many times longer than wide. */
    private const ONE = 0.9;

    private const COVERED = 0.75;

    private const LONG = 1.6;

    /** A limb keeps its width: each is at least such a share as wide as both; and at most so many times that is hidden between them. */
    private const AS_WIDE = 0.6;

    private const GAP = 2.0;

    private readonly float $axis;

    private readonly float $leastPx;

    /**
     * @param  list<Lobe>  $lobes
     * @param  list<int>  $base  region by lobe
     * @param  array<int, true>  $whole  regions that stay as they are
     * @return array{list<Lobe>, list<int>}
     */
    public static function of(array $lobes, array $base, Regions $regions, array $whole): array
    {
        $seen = new self($lobes, $base, $regions, $whole);
        $seen->join();

        return [array_values($seen->lobes), array_values($seen->base)];
    }

    /**
     * @param  array<int, Lobe>  $lobes
     * @param  array<int, int>  $base
     * @param  array<int, true>  $whole
     */
    private function __construct(
        private array $lobes,
        private array $base,
        private readonly Regions $regions,
        private readonly array $whole,
    ) {
        $this->leastPx = self::LEAST * count(array_filter($regions->map, static fn (int $r): bool => $r >= 0));
        $bySize = $lobes;
        usort($bySize, static fn (Lobe $a, Lobe $b): int => $b->blob->area() <=> $a->blob->area());
        $this->axis = MiddleLine::of(array_map(static fn (Lobe $lobe): float => $lobe->blob->middle[0], $bySize), $regions);
    }

    private function join(): void
    {
        while (($pair = $this->pair()) !== null) {
            [$i, $j] = $pair;
            [$large, $small] = $this->lobes[$i]->blob->area() < $this->lobes[$j]->blob->area() ? [$j, $i] : [$i, $j];
            $this->lobes[$large] = new Lobe($this->both($i, $j), $this->lobes[$large]->neckPx);
            unset($this->lobes[$small], $this->base[$small]);
        }
    }

    /** @return ?array{int, int} two that are one */
    private function pair(): ?array
    {
        $touching = $this->touching();
        foreach ($touching as $i => $near) {
            foreach ($touching as $j => $alsoNear) {
                $between = array_filter(array_keys(array_intersect_key($near, $alsoNear)), $this->parts(...));
                if ($i < $j && ! isset($near[$j]) && $between !== [] && $this->areOne($i, $j)) {
                    return [$i, $j];
                }
            }
        }

        return null;
    }

    private function both(int $i, int $j): Blob
    {
        return Blob::of($this->lobes[$i]->blob->pixels + $this->lobes[$j]->blob->pixels, $this->regions->width);
    }

    private function areOne(int $i, int $j): bool
    {
        if ($this->label($i) !== $this->label($j) || isset($this->whole[$this->base[$i]]) || isset($this->whole[$this->base[$j]])) {
            return false;
        }
        [$one, $two] = [$this->lobes[$i]->blob, $this->lobes[$j]->blob];
        $both = $this->both($i, $j);
        if (max($one->area(), $two->area()) < $this->leastPx || $both->elongation() < self::LONG) {
            return false;
        }
        $lean = $both->leanDeg();
        $wide = $both->box($lean)[0];
        $narrow = min($one->box($lean)[0], $two->box($lean)[0]);
        if ($narrow < self::AS_WIDE * $wide || self::gap($one, $two, $lean) > self::GAP * $wide) {
            return false;
        }
        $fit = Fitting::simple($both, $this->regions->map, true);

        return $fit->overlap > self::ONE && min($fit->covers($one), $fit->covers($two)) > self::COVERED;
    }

    /** Whether a piece may lie in front of another, and part it. */
    private function parts(int $k): bool
    {
        return $this->isAside($k) && $this->lobes[$k]->blob->elongation() > self::PARTS;
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

    private function isAside(int $k): bool
    {
        $blob = $this->lobes[$k]->blob;
        $right = MiddleLine::rightOf($blob, $this->axis);

        return max($right, 1 - $right) > self::OWN_SIDE;
    }
}
