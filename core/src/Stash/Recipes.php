<?php

declare(strict_types=1);

namespace Impa\Stash;

use Impa\Colour\Blend;
use Impa\Colour\Ciede2000;
use Impa\Colour\Lab;
use Impa\Colour\Light;
use Impa\Colour\Srgb;

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

    /** @var array<int, array{float, float, float}> f of each wool */
    private readonly array $points;

    /** @var list<array{Swatch, array{float, float, float}, float}> swatch, residual, mixedness */
    private readonly array $swatches;

    private readonly Lab $wanted;

    /**
     * @param  array<int, Srgb>  $wools  by the stash's number
     * @param  list<Swatch>  $swatches  of wools that are all among them; others are let be
     */
    private function __construct(private readonly Srgb $target, array $wools, array $swatches)
    {
        $this->wanted = $target->lab();
        $points = array_map(static fn (Srgb $wool): array => Blend::point($wool->light()), $wools);
        $known = [];
        foreach ($swatches as $swatch) {
            if (array_diff_key($swatch->shares, $points) === []) {
                $known[] = [$swatch, $swatch->residual($points), self::mixedness($swatch->shares)];
            }
        }
        $this->points = $points;
        $this->swatches = $known;
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
        $search = new self(Srgb::of(0, 0, 0), $wools, $swatches);

        return Blend::light($search->point($shares));
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
            array_keys($this->points),
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
        $wools = array_keys($this->points);
        $vectors = $this->inDeltaE();
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
        $wools = array_keys($this->points);
        $dots = $this->dots($this->inDeltaE());
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
        $wools = array_keys($this->points);
        $starts = [];
        foreach ([$this->inDeltaE(), $this->inLab()] as $vectors) {
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
        return Ciede2000::between($this->wanted, Blend::light($this->point(self::shares($twentieths)))->lab());
    }

    /**
     * Where a mix lies under f, as the felter's swatches correct it. A pure wool is what it is.
     *
     * @param  array<int, float>  $shares
     * @return array{float, float, float}
     */
    private function point(array $shares): array
    {
        $x = $y = $z = 0.0;
        foreach ($shares as $wool => $share) {
            [$fx, $fy, $fz] = $this->points[$wool];
            $x += $share * $fx;
            $y += $share * $fy;
            $z += $share * $fz;
        }
        $weights = $likest = 0.0;
        $move = [0.0, 0.0, 0.0];
        foreach (count($shares) > 1 ? $this->swatches : [] as [$swatch, $residual, $mixed]) {
            $weight = $swatch->likeness($shares) ** 4;
            $weights += $weight;
            $likest = max($likest, $weight);
            $scale = $weight * min(1.0, self::mixedness($shares) / max(1e-9, $mixed));
            for ($c = 0; $c < 3; $c++) {
                $move[$c] += $scale * $residual[$c];
            }
        }
        if ($weights > 0.0) {
            // The relation counts as one swatch of hers, and the less the more alike the likest of hers is.
            $all = $weights + 1 - $likest;
            $x += $move[0] / $all;
            $y += $move[1] / $all;
            $z += $move[2] / $all;
        }

        return [$x, $y, $z];
    }

    /**
     * Nought for one wool alone, most for even shares.
     *
     * @param  array<int, float>  $shares
     */
    private static function mixedness(array $shares): float
    {
        return 1 - array_sum(array_map(static fn (float $s): float => $s * $s, $shares));
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
     * The wools as seen from the wanted colour under f, stretched so that lengths near it are CIEDE2000.
     *
     * @return list<array{float, float, float}>
     */
    private function inDeltaE(): array
    {
        $at = Blend::point($this->target->light());
        $square = function (int ...$along) use ($at): float {
            [$x, $y, $z] = array_map(
                static fn (int $c): float => $at[$c] + (in_array($c, $along, true) ? self::stepOf($at[$c]) : 0.0),
                [0, 1, 2],
            );

            return Ciede2000::between($this->wanted, Blend::light([$x, $y, $z])->lab()) ** 2;
        };
        $g = [];
        for ($i = 0; $i < 3; $i++) {
            $g[$i][$i] = $square($i) / self::stepOf($at[$i]) ** 2 + 1e-9;
            for ($j = 0; $j < $i; $j++) {
                $g[$i][$j] = ($square($i, $j) - $square($i) - $square($j)) / (2 * self::stepOf($at[$i]) * self::stepOf($at[$j]));
            }
        }
        // Cholesky: g = l l'; where g is hardly a square any more, the channels stand alone.
        $l00 = sqrt($g[0][0]);
        $l10 = $g[1][0] / $l00;
        $l11 = sqrt(max(1e-12, $g[1][1] - $l10 ** 2));
        $l20 = $g[2][0] / $l00;
        $l21 = ($g[2][1] - $l20 * $l10) / $l11;
        $l22 = sqrt(max(1e-12, $g[2][2] - $l20 ** 2 - $l21 ** 2));

        return array_map(static function (array $point) use ($at, $l00, $l10, $l11, $l20, $l21, $l22): array {
            [$x, $y, $z] = [$point[0] - $at[0], $point[1] - $at[1], $point[2] - $at[2]];

            return [$l00 * $x + $l10 * $y + $l20 * $z, $l11 * $y + $l21 * $z, $l22 * $z];
        }, array_values($this->points));
    }

    /** A step that is about as visible whether the channel is dark or light. */
    private static function stepOf(float $f): float
    {
        return 0.02 * (1.0 + $f);
    }

    /**
     * The wools as seen from the wanted colour in CIE L*a*b*, chroma and hue weighed as CIEDE2000 does there: better than
     * the other where even the nearest mix is far.
     *
     * @return list<array{float, float, float}>
     */
    private function inLab(): array
    {
        $chroma = hypot($this->wanted->a, $this->wanted->b);
        [$c, $s] = $chroma > 1e-6 ? [$this->wanted->a / $chroma, $this->wanted->b / $chroma] : [1.0, 0.0];
        [$perC, $perH] = [1 + 0.045 * $chroma, 1 + 0.015 * $chroma];

        return array_map(function (array $point) use ($c, $s, $perC, $perH): array {
            $lab = Blend::light($point)->lab();
            [$a, $b] = [$lab->a - $this->wanted->a, $lab->b - $this->wanted->b];

            return [$lab->l - $this->wanted->l, ($a * $c + $b * $s) / $perC, ($b * $c - $a * $s) / $perH];
        }, array_values($this->points));
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
        $isCorrected =
            count($shares) > 1 &&
            array_filter($this->swatches, static fn (array $s): bool => $s[0]->likeness($shares) > 0.5) !== [];

        return new Recipe(
            array_map(static fn (int $n): int => ($n * 100) / self::STEPS, $twentieths),
            Blend::light($this->point($shares)),
            $difference,
            $isCorrected,
        );
    }
}
