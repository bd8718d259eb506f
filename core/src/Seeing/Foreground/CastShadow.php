<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

use Impa\Colour\LabTable;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\Raster;
use SplPriorityQueue;

/**
 * What of a soft patch on the paper is a shadow, and what was drawn. A shadow fades over many pixels; what was drawn is of one colour
 * within a crisp rim, however pale and grey it is. Flat zones within a crisp rim are drawn; all between them and the paper goes to
 * whichever it is joined to by the smaller steps (a watershed from markers, Meyer 1994).
 */
final class CastShadow
{
    /** A pixel is flat where so many pixels to either side the colours differ by no more than this (Lab, squared). */
    private const BESIDE_PX = 2;

    private const FLAT = 1.5 ** 2;

    /** A flat zone is of one colour, give or take (Lab, squared); a smaller one than this is told by what lies round it. */
    private const ALIKE = 2.0 ** 2;

    private const LEAST_ZONE_PX = 40;

    /** Its rim is looked at over so many pixels outwards, from where it is still flat. */
    private const RIM_PX = 12;

    /** It is crisp where it changes by so much within two of them (Lab), and that is this share of the change so many about them. */
    private const STEP = 1.5;

    private const CRISP = 0.42;

    private const ABOUT_PX = 3;

    /** So much of a drawn zone's rim is crisp. */
    private const MOST = 0.6;

    /** What does not fade along so much of its rim may be no shadow. */
    private const FADES = 0.7;

    /** Which way is outwards is told by the pixels within this distance. */
    private const ROUND_PX = 3;

    /**
     * @param  array<int, true>  $soft  pixels that the paper reached by small steps, and that are not of its colour
     * @param  list<bool>  $isPaper
     * @return array<int, true> those that were drawn
     */
    public static function drawn(array $soft, Raster $raster, array $isPaper): array
    {
        $drawn = [];
        foreach (ConnectedComponents::ofSet($soft, $raster->width) as $patch) {
            if (count($patch) < self::LEAST_ZONE_PX) {
                break;
            }
            $drawn += self::drawnOf($patch, $raster, $isPaper);
        }

        return $drawn;
    }

    /**
     * Of what was taken for shadow, patches that do not fade along most of their rim.
     *
     * @param  array<int, true>  $shadow
     * @param  list<bool>  $isPaper
     * @return array<int, true>
     */
    public static function doubtful(array $shadow, Raster $raster, array $isPaper): array
    {
        $doubtful = [];
        foreach (ConnectedComponents::ofSet($shadow, $raster->width) as $patch) {
            if (count($patch) < self::LEAST_ZONE_PX) {
                break;
            }
            [$fading, $rim] = self::fading($patch, $raster, $isPaper);
            if (count($fading) < self::FADES * $rim) {
                $doubtful += $patch;
            }
        }

        return $doubtful;
    }

    /**
     * The same of one connected patch.
     *
     * @param  array<int, true>  $soft
     * @param  list<bool>  $isPaper
     * @return array<int, true>
     */
    private static function drawnOf(array $soft, Raster $raster, array $isPaper): array
    {
        $flat = array_filter($soft, static fn (bool $is, int $i): bool => self::isFlat($raster, $i), ARRAY_FILTER_USE_BOTH);
        $labels = [];
        foreach (self::zones($flat, $raster) as $zone) {
            if (count($zone) < self::LEAST_ZONE_PX) {
                continue;
            }
            $label = self::isDrawn($zone, $soft, $raster, $isPaper);
            foreach ($zone as $i => $_) {
                $labels[$i] = $label;
            }
        }
        if (! in_array(true, $labels, true)) {
            return [];
        }
        $labels += array_fill_keys(self::fading($soft, $raster, $isPaper)[0], false);
        $labels = self::spread($labels, $soft, $raster);

        return array_fill_keys(array_keys($labels, true, true), true);
    }

    private static function isFlat(Raster $raster, int $i): bool
    {
        [$d, $w] = [self::BESIDE_PX, $raster->width];
        foreach ([$d, $d * $w, $d * $w + $d, $d * $w - $d] as $step) {
            $one = $raster->pixels[$i - $step] ?? null;
            $two = $raster->pixels[$i + $step] ?? null;
            if ($one !== null && $two !== null && LabTable::squared(LabTable::of($one), LabTable::of($two)) > self::FLAT) {
                return false;
            }
        }

        return true;
    }

    /**
     * Connected flat pixels of one colour.
     *
     * @param  array<int, true>  $flat
     * @return list<non-empty-array<int, true>>
     */
    private static function zones(array $flat, Raster $raster): array
    {
        $zones = [];
        [$w, $left] = [$raster->width, $flat];
        while ($left !== []) {
            $start = (int) array_key_first($left);
            unset($left[$start]);
            $colour = LabTable::of($raster->pixels[$start]);
            $zone = [$start => true];
            for ($open = [$start]; $open !== [];) {
                $i = array_pop($open);
                foreach ([$i - 1, $i + 1, $i - $w, $i + $w] as $j) {
                    if (isset($left[$j]) && LabTable::squared(LabTable::of($raster->pixels[$j]), $colour) < self::ALIKE) {
                        unset($left[$j]);
                        $zone[$j] = true;
                        $open[] = $j;
                    }
                }
            }
            $zones[] = $zone;
        }

        return $zones;
    }

    /**
     * Whether most of a zone's rim is crisp. Towards what stands out anyhow a shadow is crisp as well: that says nothing.
     *
     * @param  non-empty-array<int, true>  $zone
     * @param  array<int, true>  $soft
     * @param  list<bool>  $isPaper
     */
    private static function isDrawn(array $zone, array $soft, Raster $raster, array $isPaper): bool
    {
        $w = $raster->width;
        $rim = $crisp = 0;
        foreach ($zone as $i => $_) {
            if (isset($zone[$i - 1], $zone[$i + 1], $zone[$i - $w], $zone[$i + $w])) {
                continue;
            }
            [$nx, $ny] = self::outwards($i, $zone, $w);
            $changes = [];
            for ($k = 0; $k <= self::RIM_PX; $k++) {
                $x = (int) round($i % $w + $k * $nx);
                $y = (int) round(intdiv($i, $w) + $k * $ny);
                $at = $y * $w + $x;
                if ($x < 0 || $x >= $w || ! isset($isPaper[$at])) {
                    break;
                }
                if (! isset($soft[$at]) && ! $isPaper[$at]) {
                    continue 2;
                }
                $changes[] = sqrt(LabTable::squared(LabTable::of($raster->pixels[$at]), LabTable::of($raster->pixels[$i])));
            }
            $rim++;
            $crisp += (int) self::isCrisp($changes);
        }

        return $crisp > self::MOST * $rim;
    }

    /**
     * Where the patch begins along the paper, and darkens slowly.
     *
     * @param  array<int, true>  $soft
     * @param  list<bool>  $isPaper
     * @return array{list<int>, int} and along how many pixels it is looked at
     */
    private static function fading(array $soft, Raster $raster, array $isPaper): array
    {
        $fading = [];
        $rim = 0;
        $w = $raster->width;
        foreach ($soft as $i => $_) {
            if (! ($isPaper[$i - 1] ?? false) && ! ($isPaper[$i + 1] ?? false) && ! ($isPaper[$i - $w] ?? false)
                && ! ($isPaper[$i + $w] ?? false)) {
                continue;
            }
            [$nx, $ny] = self::outwards($i, $soft, $w);
            $changes = [];
            for ($k = 3; $k >= 3 - self::RIM_PX; $k--) {
                $at = (int) round(intdiv($i, $w) + $k * $ny) * $w + (int) round($i % $w + $k * $nx);
                if ($k <= 0 && ! isset($soft[$at]) || ! isset($raster->pixels[$at])) {
                    break;
                }
                $first ??= $at;
                $changes[] = sqrt(LabTable::squared(LabTable::of($raster->pixels[$at]), LabTable::of($raster->pixels[$first])));
            }
            unset($first);
            if (count($changes) > self::RIM_PX) {
                $rim++;
                self::isCrisp($changes) || $fading[] = $i;
            }
        }

        return [$fading, $rim];
    }

    /**
     * Away from the zone's pixels round about.
     *
     * @param  array<int, true>  $zone
     * @return array{float, float} of length 1; 0 where it lies all round
     */
    private static function outwards(int $i, array $zone, int $w): array
    {
        $x = $y = 0;
        for ($dy = -self::ROUND_PX; $dy <= self::ROUND_PX; $dy++) {
            for ($dx = -self::ROUND_PX; $dx <= self::ROUND_PX; $dx++) {
                if (isset($zone[$i + $dy * $w + $dx])) {
                    $x -= $dx;
                    $y -= $dy;
                }
            }
        }
        $long = max(1e-9, hypot($x, $y));

        return [$x / $long, $y / $long];
    }

    /** @param  list<float>  $changes  from the zone's colour, pixel by pixel outwards */
    private static function isCrisp(array $changes): bool
    {
        for ($k = 2; $k < count($changes) - self::ABOUT_PX; $k++) {
            $step = abs($changes[$k] - $changes[$k - 2]);
            if ($step >= self::STEP) {
                $about = [$changes[$k], ...array_slice($changes, max(0, $k - 2 - self::ABOUT_PX), 3 + 2 * self::ABOUT_PX)];
                if ($step >= self::CRISP * (max($about) - min($about))) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Every pixel of the patch goes to the zone, or to the rim of the paper, that it is joined to by the smallest steps.
     *
     * @param  array<int, bool>  $labels  of the zones' pixels, whether they were drawn
     * @param  array<int, true>  $soft
     * @return array<int, bool>
     */
    private static function spread(array $labels, array $soft, Raster $raster): array
    {
        $queue = new SplPriorityQueue;
        $queue->setExtractFlags(SplPriorityQueue::EXTR_BOTH);
        $w = $raster->width;
        $push = static function (int $i, bool $label, int $steep) use ($queue, $soft, $raster, $w): void {
            foreach ([$i - 1, $i + 1, $i - $w, $i + $w] as $j) {
                if (isset($soft[$j])) {
                    $step = (int) (1000 * LabTable::squared(LabTable::of($raster->pixels[$i]), LabTable::of($raster->pixels[$j])));
                    $queue->insert([$j, $label], -max($steep, $step));
                }
            }
        };
        foreach ($labels as $i => $label) {
            $push($i, $label, 0);
        }
        while (! $queue->isEmpty()) {
            /** @var array{data: array{int, bool}, priority: int} $next */
            $next = $queue->extract();
            [$i, $label] = $next['data'];
            if (! isset($labels[$i])) {
                $labels[$i] = $label;
                $push($i, $label, -$next['priority']);
            }
        }

        return $labels;
    }
}
