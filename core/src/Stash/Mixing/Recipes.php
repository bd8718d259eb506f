<?php

declare(strict_types=1);

namespace Impa\Stash\Mixing;

use Impa\Colour\Blend;
use Impa\Colour\Ciede2000;
use Impa\Colour\Lab;
use Impa\Colour\Light;
use Impa\Colour\Srgb;
use Impa\Stash\NearestWool;
use Impa\Stash\StashWool;

/**
 * Finds mixes of one, two or three wools for a colour, in shares of 5 %. Under Stearns and Noechel's f a mix is a point
 * on the line or in the triangle of its wools, and near the wanted colour CIEDE2000 is a distance there: so the nearest
 * point of every line and triangle is known in closed form, and only the promising ones are tried out exactly.
 */
final class Recipes
{
    /** Shares are twentieths. */
    private const STEPS = 20;

    /** So many of the most promising triangles are tried exactly, each way of measuring. */
    private const TRIED = 160;

    /** One more wool must come nearer by so much to be listed first: what is just visible side by side (CIEDE2000 of 1). */
    private const PER_WOOL = 1.0;

    /** Of a larger stash, so many wools are mixed; among them the nearest ones by themselves. */
    private const MIXED = 60;

    private const NEAREST = 20;

    private readonly MixPrediction $mixes;

    private readonly Lab $wanted;

    /**
     * @param  array<int, Srgb>  $wools  by the stash's number
     * @param  list<Swatch>  $swatches
     */
    private function __construct(private readonly Srgb $target, array $wools, array $swatches)
    {
        $this->wanted = $target->lab();
        $this->mixes = MixPrediction::of($wools, $swatches);
    }

    /**
     * The best mix of each set of wools, the most worthwhile first: near, and of few wools.
     *
     * @param  array<int, Srgb>  $wools  by the stash's number
     * @param  list<Swatch>  $swatches
     * @param  int  $most  wools in one mix, 1 to 3
     * @return list<Recipe> at most so many as asked
     */
    public static function for(Srgb $target, array $wools, array $swatches = [], int $most = 3, int $listed = 12): array
    {
        $search = new self($target, $wools, $swatches);
        $found = $search->singles();
        if (count($wools) > self::MIXED) {
            $search = new self($target, array_intersect_key($wools, array_flip($search->worthMixing())), $swatches);
        }
        if ($most >= 2) {
            $found = [...$found, ...$search->pairs()];
        }
        if ($most >= 3) {
            $found = [...$found, ...$search->triples(min([INF, ...array_column($found, 0)]))];
        }
        usort($found, static fn (array $a, array $b): int => self::rank($a) <=> self::rank($b));

        return array_map($search->recipe(...), array_slice($found, 0, $listed));
    }

    /**
     * In the order in which they are offered: what passes and of which there is enough before what would run out.
     *
     * @param  list<Recipe>  $recipes  the most worthwhile first
     * @param  array<int, StashWool>  $stash
     * @param  float  $g  that is wanted
     * @return list<Recipe>
     */
    public static function offered(array $recipes, array $stash, float $g): array
    {
        $isReady = static fn (Recipe $r): bool => $r->difference <= NearestWool::PASSES && $r->isEnough($stash, $g);
        usort($recipes, static fn (Recipe $a, Recipe $b): int => $isReady($b) <=> $isReady($a));

        return $recipes;
    }

    /**
     * What a mix is expected to look like.
     *
     * @param  array<int, Srgb>  $wools
     * @param  array<int, float>  $shares  summing to 1
     * @param  list<Swatch>  $swatches
     */
    public static function predict(array $wools, array $shares, array $swatches = []): Light
    {
        return Blend::light(MixPrediction::of($wools, $swatches)->point($shares));
    }

    /** @param  array{float, array<int, int>}  $found */
    private static function rank(array $found): float
    {
        return $found[0] + self::PER_WOOL * count($found[1]);
    }

    /** @return list<array{float, array<int, int>}> difference and twentieths by wool */
    private function singles(): array
    {
        return array_map(
            fn (int $wool): array => [$this->difference([$wool => self::STEPS]), [$wool => self::STEPS]],
            array_keys($this->mixes->points),
        );
    }

    /**
     * Of a large stash, the wools that a near mix can be made from: the nearest by themselves, and of all pairs those whose line
     * passes nearest to the wanted colour. Takes time with the square of the wools, and room with their number.
     *
     * @return list<int>
     */
    private function worthMixing(): array
    {
        $wools = array_keys($this->mixes->points);
        $vectors = LocalMetric::inDeltaE($this->target, array_values($this->mixes->points));
        $squares = array_map(static fn (array $v): float => $v[0] ** 2 + $v[1] ** 2 + $v[2] ** 2, $vectors);
        asort($squares);
        $chosen = array_fill_keys(array_slice(array_keys($squares), 0, self::NEAREST), true);
        $partners = $least = [];
        foreach ($vectors as $i => [$x, $y, $z]) {
            [$partners[$i], $least[$i]] = [$i, INF];
            foreach ($vectors as $j => [$u, $v, $w]) {
                $dot = $x * $u + $y * $v + $z * $w;
                $apart = $squares[$i] - 2 * $dot + $squares[$j];
                // The nearest point of their line lies between them only where each is farther out than the other's foot.
                if ($apart > 1e-12 && $dot < $squares[$i] && $dot < $squares[$j]) {
                    $square = $squares[$i] - ($squares[$i] - $dot) ** 2 / $apart;
                    if ($square < $least[$i]) {
                        [$partners[$i], $least[$i]] = [$j, $square];
                    }
                }
            }
        }
        asort($least);
        foreach (array_keys($least) as $i) {
            if (count($chosen) < self::MIXED - 1) {
                $chosen += [$i => true, $partners[$i] => true];
            }
        }

        return array_map(static fn (int $i): int => $wools[$i], array_keys($chosen));
    }

    /** @return list<array{float, array<int, int>}> */
    private function pairs(): array
    {
        $found = [];
        $wools = array_keys($this->mixes->points);
        $dots = $this->dots(LocalMetric::inDeltaE($this->target, array_values($this->mixes->points)));
        $count = count($wools);
        for ($i = 0; $i < $count; $i++) {
            for ($j = $i + 1; $j < $count; $j++) {
                $apart = $dots[$i][$i] - 2 * $dots[$i][$j] + $dots[$j][$j];
                $share = $apart > 1e-12 ? ($dots[$i][$i] - $dots[$i][$j]) / $apart : 0.5;
                $second = max(1, min(self::STEPS - 1, (int) round(self::STEPS * $share)));
                $found[] = $this->climbed([$wools[$i] => self::STEPS - $second, $wools[$j] => $second]);
            }
        }

        return $found;
    }

    /**
     * @param  float  $best  difference already reached
     * @return list<array{float, array<int, int>}>
     */
    private function triples(float $best): array
    {
        $wools = array_keys($this->mixes->points);
        $starts = [];
        $points = array_values($this->mixes->points);
        foreach ([LocalMetric::inDeltaE($this->target, $points), LocalMetric::inLab($this->target, $points)] as $vectors) {
            foreach (self::promising($this->dots($vectors), count($wools), $best) as [$i, $j, $k, $v, $w]) {
                $b = max(1, min(self::STEPS - 2, (int) round(self::STEPS * $v)));
                $c = max(1, min(self::STEPS - 1 - $b, (int) round(self::STEPS * $w)));
                $starts["$i $j $k"] ??= [$wools[$i] => self::STEPS - $b - $c, $wools[$j] => $b, $wools[$k] => $c];
            }
        }

        return array_map($this->climbed(...), array_values($starts));
    }

    /**
     * Triangles whose point nearest to the origin lies within them, nearest first.
     *
     * @param  list<list<float>>  $dots
     * @return list<array{int, int, int, float, float}> corners and the shares of the second and third
     */
    private static function promising(array $dots, int $count, float $best): array
    {
        $least = $shares = [];
        // Distances are estimates: what comes much farther than what is there already cannot win.
        $limit = ($best + 4.0) ** 2;
        for ($i = 0; $i < $count; $i++) {
            $ofI = $dots[$i];
            $aa = $ofI[$i];
            for ($j = $i + 1; $j < $count; $j++) {
                $ofJ = $dots[$j];
                $ab = $ofI[$j];
                $d11 = $ofJ[$j] - 2 * $ab + $aa;
                $r1 = $aa - $ab;
                for ($k = $j + 1; $k < $count; $k++) {
                    $ac = $ofI[$k];
                    $d22 = $dots[$k][$k] - 2 * $ac + $aa;
                    $d12 = $ofJ[$k] - $ab - $ac + $aa;
                    $r2 = $aa - $ac;
                    $det = $d11 * $d22 - $d12 * $d12;
                    $v = $d22 * $r1 - $d12 * $r2;
                    $w = $d11 * $r2 - $d12 * $r1;
                    if ($v > 0.0 && $w > 0.0 && $v + $w < $det) {
                        $v /= $det;
                        $w /= $det;
                        $square = $aa - $v * $r1 - $w * $r2;
                        if ($square < $limit) {
                            $least[] = $square;
                            $shares[] = [$i, $j, $k, $v, $w];
                        }
                    }
                }
            }
        }
        asort($least);

        return array_map(static fn (int $at): array => $shares[$at], array_slice(array_keys($least), 0, self::TRIED));
    }

    /**
     * Gives a twentieth from one wool to another as long as it comes nearer.
     *
     * @param  array<int, int>  $twentieths
     * @return array{float, array<int, int>}
     */
    private function climbed(array $twentieths): array
    {
        $best = $this->difference($twentieths);
        $wools = array_keys($twentieths);
        do {
            $before = $best;
            foreach ($wools as $from) {
                foreach ($wools as $to) {
                    while ($from !== $to && $twentieths[$from] > 1) {
                        $tried = $twentieths;
                        $tried[$from]--;
                        $tried[$to]++;
                        $difference = $this->difference($tried);
                        if ($difference >= $best) {
                            break;
                        }
                        [$best, $twentieths] = [$difference, $tried];
                    }
                }
            }
        } while ($best < $before);

        return [$best, $twentieths];
    }

    /** @param  array<int, int>  $twentieths */
    private function difference(array $twentieths): float
    {
        return Ciede2000::between($this->wanted, Blend::light($this->mixes->point(self::shares($twentieths)))->lab());
    }

    /**
     * @param  array<int, int>  $twentieths
     * @return array<int, float>
     */
    private static function shares(array $twentieths): array
    {
        return array_map(static fn (int $n): float => $n / self::STEPS, $twentieths);
    }

    /**
     * @param  list<array{float, float, float}>  $vectors
     * @return list<list<float>>
     */
    private function dots(array $vectors): array
    {
        return array_map(
            static fn (array $a): array => array_map(
                static fn (array $b): float => $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2],
                $vectors,
            ),
            $vectors,
        );
    }

    /** @param  array{float, array<int, int>}  $found */
    private function recipe(array $found): Recipe
    {
        [$difference, $twentieths] = $found;
        arsort($twentieths);
        $shares = self::shares($twentieths);

        return new Recipe(
            array_map(static fn (int $n): int => ($n * 100) / self::STEPS, $twentieths),
            Blend::light($this->mixes->point($shares)),
            $difference,
            $this->mixes->isCorrected($shares),
        );
    }
}
