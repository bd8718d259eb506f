<?php

declare(strict_types=1);

namespace Impa\Seeing\Fitting;

use Impa\Raster\Blob;
use Impa\Shape\ShapeKind;

/**
 * The search for the simple shape that covers a blob best with few numbers: every candidate of the catalogue is laid over it, upright
 * and along its longest axis (the first principal axis); the promising ones are moved, stretched and turned until they fit, by a
 * coordinate search (Hooke and Jeeves 1961).
 */
final class Fitting
{
    /** So many of the roughly best candidates are refined, of which so many may be of one kind, and so many of those measured closely. */
    private const REFINED = 7;

    private const ANY_KIND = 4;

    private const CLOSELY = 4;

    /** Rounds of pulling: shares of its size by which each edge is moved, and degrees by which it is turned. */
    private const STEPS = [[0.08, 6.0], [0.04, 3.0], [0.02, 1.5], [0.01, 0.8]];

    /** A shape that covers so much is not searched for further. */
    private const GOOD = 0.9;

    /** A blob may be a ring from this share of ground that it encloses, of both together. */
    private const HOLLOW = 0.05;

    /** What is one thin stroke is a cord from this overlap on. */
    private const AS_CORD = 0.35;

    /** A block's corners are rounded by at most so much of its shorter side: rounder it is a drum, a sausage, a ball. */
    private const ROUNDEST = 0.3;

    /** Samples each way: for a first look, for pulling, for the last word. */
    private const LOOKS = [15, 24, 38];

    /**
     * @param  list<int>  $map  region per pixel, -1 for the ground
     * @param  bool  $partlyHidden  whether other parts may cover some of it
     */
    public static function best(Blob $blob, array $map, bool $partlyHidden): Fit
    {
        $simple = self::simple($blob, $map, $partlyHidden);
        if ($simple->overlap >= self::GOOD) {
            return $simple;
        }
        $samples = Samples::of($blob, $map, self::LOOKS[1], 1.2);
        // A line is no plate, however badly one even bend follows it.
        $cord = self::measuredAll(Candidates::cords($blob), $samples)[0] ?? null;
        if ($cord !== null && $cord->overlap > self::AS_CORD) {
            return self::refined($cord, $samples, [self::STEPS[1], self::STEPS[2]]);
        }
        $bent = array_slice(self::measuredAll(Candidates::bent($blob), $samples), 0, 1);
        $all = [
            $simple,
            ...array_map(static fn (Fit $f): Fit => self::refined($f, $samples, [self::STEPS[1], self::STEPS[2]]), $bent),
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
    public static function simple(Blob $blob, array $map, bool $partlyHidden): Fit
    {
        $margin = $partlyHidden ? 1.6 : 1.2;
        [$few, $some, $many] = array_map(
            static fn (int $across): Samples => Samples::of($blob, $map, $across, $margin),
            self::LOOKS,
        );
        $rough = self::measuredAll(self::tried($blob, $some, $partlyHidden, true), $few);
        $promising = self::promising($rough);
        if ($partlyHidden) {
            // Drawn-out boxes are many, and rough: the oval of what is seen alone is pulled as well.
            $promising[] = Candidates::ball($blob, 0.0);
        }
        $refined = array_map(static fn (Fit $f): Fit => self::refined($f, $some, self::STEPS), $promising);
        usort($refined, self::better(...));
        $close = array_map(
            static fn (Fit $f): Fit => self::refined($f, $many, [self::STEPS[2], self::STEPS[3]]),
            array_slice($refined, 0, self::CLOSELY),
        );
        usort($close, self::better(...));

        // A ball is always among the candidates, and never refused.
        return $close[0];
    }

    /**
     * The very best, and the best of other kinds, so that many rough variants of one kind do not crowd out the one that turns out right.
     *
     * @param  list<Fit>  $rough  best first
     * @return list<Fit>
     */
    private static function promising(array $rough): array
    {
        $promising = $kinds = [];
        foreach ($rough as $k => $fit) {
            if ($k < self::ANY_KIND || ! isset($kinds[$fit->kind->value])) {
                $promising[] = $fit;
                $kinds[$fit->kind->value] = true;
            }
            if (count($promising) === self::REFINED) {
                break;
            }
        }

        return $promising;
    }

    /**
     * Quickly, how well some simple shape covers the blob; for choosing between ways to cut.
     *
     * @param  list<int>  $map
     */
    public static function rough(Blob $blob, array $map): Fit
    {
        $few = Samples::of($blob, $map, self::LOOKS[0] + 6, 1.4);
        $rough = self::measuredAll(self::tried($blob, $few, false, false), $few);
        $refined = array_map(static fn (Fit $f): Fit => self::refined($f, $few, [self::STEPS[0], self::STEPS[2]]), [
            $rough[0],
            self::otherKind($rough),
        ]);
        usort($refined, self::better(...));

        return $refined[0];
    }

    /**
     * The best simple shape of another kind, roughly.
     *
     * @param  list<int>  $map
     */
    public static function otherwise(Blob $blob, array $map, ShapeKind $not): ?Fit
    {
        $samples = Samples::of($blob, $map, self::LOOKS[1], 1.2);
        foreach (self::measuredAll(self::tried($blob, $samples, false, true), $samples) as $fit) {
            if ($fit->kind !== $not) {
                return self::refined($fit, $samples, [self::STEPS[1], self::STEPS[2]]);
            }
        }

        return null;
    }

    /** @return iterable<Fit> */
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
     * @param  list<Fit>  $fits  best first, at least one
     */
    private static function otherKind(array $fits): Fit
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
    public static function disc(Blob $blob, array $map): Fit
    {
        $samples = Samples::of($blob, $map, self::LOOKS[2], 1.2)->withoutHiding();
        $upright = Candidates::ball($blob, 0.0)->measured($samples);
        $leaning = Candidates::ball($blob, $blob->leanDeg())->measured($samples);

        return $leaning->overlap > $upright->overlap + 0.02 ? $leaning : $upright;
    }

    /**
     * The rounded rectangle that covers the blob, for spots.
     *
     * @param  list<int>  $map
     */
    public static function box(Blob $blob, array $map): Fit
    {
        $samples = Samples::of($blob, $map, self::LOOKS[2], 1.2)->withoutHiding();
        $boxes = [];
        foreach ([0.0, $blob->leanDeg()] as $turnDeg) {
            $boxes[] = self::refined(Candidates::box($blob, $turnDeg)->measured($samples), $samples, self::STEPS);
        }

        return $boxes[1]->overlap > $boxes[0]->overlap + 0.02 ? $boxes[1] : $boxes[0];
    }

    private static function better(Fit $a, Fit $b): int
    {
        return $b->score() <=> $a->score();
    }

    /**
     * @param  iterable<Fit>  $candidates
     * @return list<Fit> best first
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

    /**
     * Pulls at each edge and turns as long as it covers better.
     *
     * @param  list<array{float, float}>  $pulls
     */
    private static function refined(Fit $fit, Samples $samples, array $pulls): Fit
    {
        $best = $fit->measured($samples);
        foreach ($pulls as [$share, $deg]) {
            for ($round = 0; $round < 3; $round++) {
                $before = $best->overlap;
                foreach (self::neighbours($best, $share, $deg) as $neighbour) {
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

    /** @return iterable<Fit> each edge moved out and in, the whole turned both ways, an egg's taper more and less */
    public static function neighbours(Fit $fit, float $share, float $deg): iterable
    {
        [$c, $s] = [cos(deg2rad($fit->turnDeg)), sin(deg2rad($fit->turnDeg))];
        foreach ([[1, 0], [-1, 0], [0, 1], [0, -1]] as [$u, $v]) {
            foreach ([$share, -$share] as $by) {
                [$moreW, $moreH] = [abs($u) * $by * $fit->widthPx, abs($v) * $by * $fit->heightPx];
                [$moveU, $moveV] = [($u * $moreW) / 2, ($v * $moreH) / 2];
                yield $fit->at(
                    $fit->widthPx + $moreW,
                    $fit->heightPx + $moreH,
                    $fit->x + $moveU * $c - $moveV * $s,
                    $fit->y + $moveU * $s + $moveV * $c,
                    $fit->turnDeg,
                    $fit->options,
                );
            }
        }
        if ($fit->kind !== ShapeKind::Ball || abs($fit->widthPx / $fit->heightPx - 1) > 0.06) {
            foreach ([$deg, -$deg] as $by) {
                yield $fit->at(
                    $fit->widthPx,
                    $fit->heightPx,
                    $fit->x,
                    $fit->y,
                    Fit::angle($fit->turnDeg + $by),
                    $fit->options,
                );
            }
        }
        if (isset($fit->options['taper'])) {
            foreach ([$share, -$share] as $by) {
                yield $fit->at($fit->widthPx, $fit->heightPx, $fit->x, $fit->y, $fit->turnDeg, [
                    'taper' => max(-0.6, min(0.6, $fit->options['taper'] + $by)),
                ]);
            }
        }
        if ($fit->kind === ShapeKind::Ring) {
            foreach ([1 + 2 * $share, 1 - 2 * $share] as $by) {
                yield $fit->withDepthShare(min(Candidates::THICKEST_RING, $fit->depthShare * $by));
            }
        }
        if (isset($fit->options['bendDeg'])) {
            foreach ([$deg, -$deg] as $by) {
                yield $fit->at($fit->widthPx, $fit->heightPx, $fit->x, $fit->y, $fit->turnDeg, [
                    'bendDeg' => max(1.0, min(330.0, $fit->options['bendDeg'] + 2 * $by)),
                ]);
            }
        }
        if (isset($fit->options['cornerMm'])) {
            $most = self::ROUNDEST * min($fit->widthPx, $fit->heightPx);
            foreach ([1 + 6 * $share, 1 - 6 * $share] as $by) {
                $corner = max(0.02 * $fit->widthPx, min($most, $fit->options['cornerMm'] * $by));
                yield $fit->at($fit->widthPx, $fit->heightPx, $fit->x, $fit->y, $fit->turnDeg, ['cornerMm' => $corner]);
            }
        }
        if (isset($fit->options['topMm'], $fit->options['bottomMm'])) {
            $thin = min($fit->options['topMm'], $fit->options['bottomMm']);
            foreach ([1 + 2 * $share, 1 - 2 * $share] as $by) {
                $thinner = max(0.15 * $fit->widthPx, min(0.95 * $fit->widthPx, $thin * $by));
                yield $fit->at(
                    $fit->widthPx,
                    $fit->heightPx,
                    $fit->x,
                    $fit->y,
                    $fit->turnDeg,
                    $fit->options['topMm'] < $fit->options['bottomMm']
                        ? ['topMm' => $thinner, 'bottomMm' => $fit->widthPx] + $fit->options
                        : ['topMm' => $fit->widthPx, 'bottomMm' => $thinner] + $fit->options,
                );
            }
        }
    }
}
