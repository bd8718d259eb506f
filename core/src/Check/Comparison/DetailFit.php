<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Check\Photo\Photo;
use Impa\Check\Photo\PhotoPose;
use Impa\Geometry\Box;
use Impa\Raster\ConnectedComponents;

/**
 * Where a detail is seen, and how large: the middle and the spread of what has its colour about its place, against the same of the
 * plan (moments of zeroth to second order). Immutable.
 */
final readonly class DetailFit
{
    private const STEP_MM = 0.25;

    /** It is looked for so far about its place, mm. */
    private const ABOUT_MM = 6.0;

    /** Colours that lie nearer to each other than this are not told apart, grey values. */
    private const LEAST_APART = 30.0;

    /** A piece of its colour so far from its place counts half. */
    private const NEAR_MM = 3.0;

    /** With so much of its area it is found. */
    private const ENOUGH = 0.6;

    /** Less than this is too small for a photo, square mm. */
    private const LEAST_MM2 = 5.0;

    /** With less than this of its area it is missing. */
    private const MISSING = 0.25;

    /**
     * @param  ?array{float, float}  $offMm  across and up; nothing where it is missing
     * @param  ?float  $share  of its planned area; nothing where it cannot be told
     * @param  bool  $isOnPiece  not on another detail
     * @param  array{bool, bool}  $isRelative  whether it is so far off from where the rest lies on its piece: across, up
     */
    private function __construct(
        public ?array $offMm,
        public ?float $share,
        public bool $isOnPiece = false,
        public array $isRelative = [false, false],
    ) {
    }

    /**
     * @param  non-empty-list<int>  $labels  of the detail's piece
     * @param  array{float, float}  $moved  how its part lies otherwise than planned, mm
     */
    public static function of(Photo $photo, PhotoPose $pose, Expected $plan, Colours $colours, array $labels, array $moved): self
    {
        $label = $labels[0];
        [$places, $hosts] = self::places($plan, $labels);
        $host = (int) (array_key_first($hosts) ?? Expected::GROUND);
        if ($places === [] || ! isset($colours->of[$host], $colours->of[$label]) || $colours->apart($label, $host) < self::LEAST_APART) {
            return new self(null, null);
        }
        $n = count($places);
        $planned = [array_sum(array_column($places, 0)) / $n, array_sum(array_column($places, 1)) / $n];
        $rivals = self::rivals($plan, $labels, $colours);
        $others = self::others($plan, $label, $colours);
        $far = 0.0;
        foreach ($places as [$x, $y]) {
            $far = max($far, hypot($x - $planned[0], $y - $planned[1]));
        }
        $about = $far + self::ABOUT_MM;
        $cells = 1 + 2 * (int) ceil($about / self::STEP_MM);
        $found = [];
        $piece = $plan->layers[$label]->piece;
        $towards = $plan->towardsMm($label);
        for ($j = 0; $j < $cells; $j++) {
            for ($i = 0; $i < $cells; $i++) {
                [$x, $y] = [$planned[0] - $about + $i * self::STEP_MM, $planned[1] - $about + $j * self::STEP_MM];
                $at = $plan->label($x, $y);
                // Only on its own part, and nearer to its own place than to that of another of its colour.
                if ($plan->piece($at) !== $piece || self::isNearer($rivals, $planned, $far, $x, $y)) {
                    continue;
                }
                [$r, $g, $b] = $photo->at(...$pose->at($x + $moved[0], $y + $moved[1], $towards));
                if (is_nan($r)) {
                    continue;
                }
                $own = Colours::away([$r, $g, $b], $colours->of[$label]);
                $other = INF;
                foreach ($others as $colour) {
                    $other = min($other, Colours::away([$r, $g, $b], $colour));
                }
                if ($own < $other) {
                    // Halfway between both it counts little.
                    $found[$j * $cells + $i] = [min(1.0, 0.2 + 2 * ($other - $own) / ($other + $own + 1)), $x, $y];
                }
            }
        }
        $sum = self::together($found, $cells, $planned, $n);
        $share = $sum[0] / $n;
        if ($share < self::MISSING && $n * self::STEP_MM ** 2 < self::LEAST_MM2) {
            // Too small to be missed.
            return new self(null, null);
        }

        return $share < self::MISSING
            ? new self(null, $share)
            : new self([$sum[1] / $sum[0] - $planned[0], $sum[2] / $sum[0] - $planned[1]], $share, $plan->layers[$host]->detail === null);
    }

    /**
     * Held against the rest on its piece, which lies so far off.
     *
     * @param  array{float, float}  $by  mm
     * @param  array{bool, bool}  $ways  across, up
     */
    public function less(array $by, array $ways): self
    {
        return $this->offMm === null
            ? $this
            : new self([$this->offMm[0] - $by[0], $this->offMm[1] - $by[1]], $this->share, $this->isOnPiece, $ways);
    }

    /**
     * What else is seen on its piece: the piece itself, and details in other colours.
     *
     * @return list<array{float, float, float}>
     */
    private static function others(Expected $plan, int $label, Colours $colours): array
    {
        $others = [];
        foreach ($plan->layers as $other => $layer) {
            if ($layer->piece === $plan->layers[$label]->piece && ! self::isAlike($plan, $label, $other, $colours)) {
                $others[$layer->srgb->toHex()] = $colours->of[$other];
            }
        }

        return array_values($others);
    }

    /** Whether two are of one colour, though one eye may lie in the light and the other in the shade. */
    private static function isAlike(Expected $plan, int $label, int $other, Colours $colours): bool
    {
        return $plan->layers[$label]->srgb->toHex() === $plan->layers[$other]->srgb->toHex()
            || $colours->apart($label, $other) < self::LEAST_APART;
    }

    /**
     * What belongs to the detail of all that has its colour: the piece that is largest and nearest to its place, and others as long as
     * that is too little.
     *
     * @param  array<int, array{float, float, float}>  $found  weight and place by cell
     * @param  array{float, float}  $planned
     * @return array{float, float, float} weight, and weighed places
     */
    private static function together(array $found, int $cells, array $planned, int $wanted): array
    {
        $pieces = [];
        foreach (ConnectedComponents::ofSet(array_fill_keys(array_keys($found), true), $cells) as $piece) {
            $sum = [0.0, 0.0, 0.0];
            foreach ($piece as $cell => $_) {
                [$weight, $x, $y] = $found[$cell];
                $sum = [$sum[0] + $weight, $sum[1] + $weight * $x, $sum[2] + $weight * $y];
            }
            $far = hypot($sum[1] / $sum[0] - $planned[0], $sum[2] / $sum[0] - $planned[1]);
            $pieces[] = [min($sum[0], 1.5 * $wanted) / (1 + ($far / self::NEAR_MM) ** 2), $sum];
        }
        usort($pieces, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $all = [0.0, 0.0, 0.0];
        foreach ($pieces as [, $sum]) {
            if ($all[0] < self::ENOUGH * $wanted) {
                $all = [$all[0] + $sum[0], $all[1] + $sum[1], $all[2] + $sum[2]];
            }
        }

        return $all;
    }

    /**
     * What a detail lies on: its piece, or another detail.
     *
     * @param  non-empty-list<int>  $labels
     */
    public static function host(Expected $plan, array $labels): int
    {
        return (int) (array_key_first(self::places($plan, $labels)[1]) ?? Expected::GROUND);
    }

    /**
     * @param  non-empty-list<int>  $labels
     * @return array{list<array{float, float}>, array<int, int>} where the detail is seen, and what lies about it, most of it first
     */
    private static function places(Expected $plan, array $labels): array
    {
        $box = Box::around(array_merge(...array_map(static fn (int $l): array => $plan->layers[$l]->loops[0], $labels)))->grown(1.0);
        $own = $plan->layers[$labels[0]]->piece;
        $places = $hosts = [];
        for ($y = $box->low; $y <= $box->high; $y += self::STEP_MM) {
            for ($x = $box->left; $x <= $box->right; $x += self::STEP_MM) {
                $at = $plan->label($x, $y);
                if (in_array($at, $labels, true)) {
                    $places[] = [$x, $y];
                } elseif ($plan->piece($at) === $own) {
                    $hosts[$at] = ($hosts[$at] ?? 0) + 1;
                }
            }
        }
        arsort($hosts);

        return [$places, $hosts];
    }

    /**
     * Middles of other details of the same piece in nearly the same colour.
     *
     * @param  non-empty-list<int>  $labels
     * @return list<array{float, float, float}> with how far they reach
     */
    private static function rivals(Expected $plan, array $labels, Colours $colours): array
    {
        $rivals = [];
        foreach ($plan->layers as $other => $layer) {
            if (in_array($other, $labels, true) || $layer->detail === null || $layer->piece !== $plan->layers[$labels[0]]->piece) {
                continue;
            }
            if (self::isAlike($plan, $labels[0], $other, $colours)) {
                $box = Box::around($layer->loops[0]);
                [$x, $y] = $box->middle();
                $rivals[] = [$x, $y, max($box->width(), $box->height()) / 2];
            }
        }

        return $rivals;
    }

    /**
     * @param  list<array{float, float, float}>  $rivals
     * @param  array{float, float}  $planned
     */
    private static function isNearer(array $rivals, array $planned, float $far, float $x, float $y): bool
    {
        $own = hypot($x - $planned[0], $y - $planned[1]) - $far;
        foreach ($rivals as [$rx, $ry, $reach]) {
            if (hypot($x - $rx, $y - $ry) - $reach < $own) {
                return true;
            }
        }

        return false;
    }
}
