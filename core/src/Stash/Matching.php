<?php

declare(strict_types=1);

namespace Impa\Stash;

use Impa\Colour\Ciede2000;
use Impa\Colour\Contrast;
use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Material\Preparation;
use Impa\Stash\Mixing\Recipes;
use Impa\Stash\Mixing\Swatch;

/** Each colour of a figure to a wool of the stash, or to the mix that the felter chose; and what then no longer stands apart. */
final class Matching
{
    /**
     * @param  array<int, StashWool>  $stash  by its number
     * @param  list<Swatch>  $swatches
     * @return array<string, ColourMatch> by the figure's colour key
     */
    public static function of(Figure $figure, array $stash, array $swatches = []): array
    {
        $covering = array_filter($stash, static fn (StashWool $w): bool => $w->covers());
        $wools = [];
        foreach ($covering as $id => $wool) {
            $wools[$id] = $wool->colour ?? Srgb::of(255, 255, 255);
        }
        $byName = [];
        foreach ($covering as $id => $wool) {
            $byName[mb_strtolower($wool->name)] = $id;
        }
        $matches = [];
        foreach ($figure->colours as $key => $colour) {
            $matches[$key] =
                self::chosen($colour->key, $colour->srgb, $colour->mix, $wools, $byName, $swatches) ??
                self::nearest($colour->key, $colour->srgb, $wools);
        }

        return $matches;
    }

    /**
     * Grams of a metre of the yarn that each colour is matched with; none for what is no yarn, or a mix.
     *
     * @param  array<string, ColourMatch>  $matches
     * @param  array<int, StashWool>  $stash
     * @return array<string, float>
     */
    public static function yarns(array $matches, array $stash): array
    {
        $yarns = [];
        foreach ($matches as $key => $match) {
            $wool = count($match->shares) === 1 ? $stash[(int) array_key_first($match->shares)] : null;
            if ($wool?->preparation === Preparation::Yarn) {
                $yarns[$key] = $wool->rope();
            }
        }

        return $yarns;
    }

    /**
     * Pairs of colours that stand apart in the drawing where they meet, and would not in these wools.
     *
     * @param  array<string, ColourMatch>  $matches
     * @return list<array{colours: array{string, string}, drawn: float, felted: float}> differences as drawn and as felted
     */
    public static function conflicts(Figure $figure, array $matches): array
    {
        $conflicts = [];
        foreach (self::meeting($figure) as [$one, $two]) {
            $drawn = Ciede2000::between($figure->colours[$one]->srgb->lab(), $figure->colours[$two]->srgb->lab());
            $felted = Ciede2000::between(Srgb::hex($matches[$one]->hex)->lab(), Srgb::hex($matches[$two]->hex)->lab());
            // What is drawn near needs no more; what is drawn apart must not fall a step lower.
            if (
                Contrast::of($drawn) !== Contrast::Lost &&
                $felted < min($drawn, Contrast::CRISP) &&
                Contrast::of($felted) !== Contrast::of($drawn)
            ) {
                $conflicts[] = ['colours' => [$one, $two], 'drawn' => $drawn, 'felted' => $felted];
            }
        }

        return $conflicts;
    }

    /** @return list<array{string, string}> colours that touch: a detail and its part, a part and what it is joined to */
    private static function meeting(Figure $figure): array
    {
        $pairs = [];
        $meet = static function (string $one, string $two) use (&$pairs): void {
            if ($one !== $two) {
                $pairs[min($one, $two)."\0".max($one, $two)] = [min($one, $two), max($one, $two)];
            }
        };
        foreach ($figure->details as $detail) {
            $meet($detail->colour, $figure->parts[$detail->on]->colour);
        }
        foreach ($figure->parts as $part) {
            if ($part->isJoined()) {
                $meet($part->colour, $figure->parts[$part->join->to]->colour);
            }
        }

        return array_values($pairs);
    }

    /**
     * @param  array<string, int>  $mix  percent by the wool's name
     * @param  array<int, Srgb>  $wools
     * @param  array<string, int>  $byName
     * @param  list<Swatch>  $swatches
     */
    private static function chosen(
        string $key,
        Srgb $drawn,
        array $mix,
        array $wools,
        array $byName,
        array $swatches,
    ): ?ColourMatch {
        $shares = $gone = [];
        foreach ($mix as $name => $percent) {
            $id = $byName[mb_strtolower((string) $name)] ?? null;
            if ($id === null) {
                $gone[] = (string) $name;
            } else {
                $shares[$id] = (float) $percent;
            }
        }
        $sum = array_sum($shares);
        if ($mix === [] || $gone !== [] || $sum <= 0.0) {
            return $gone === [] ? null : new ColourMatch($key, [], $drawn->toHex(), null, true, $gone);
        }
        $shares = array_map(static fn (float $s): float => $s / $sum, $shares);
        $light = Recipes::predict(array_intersect_key($wools, $shares), $shares, $swatches);

        return new ColourMatch($key, $shares, $light->srgb()->toHex(), Ciede2000::between($drawn->lab(), $light->lab()), true);
    }

    /** @param  array<int, Srgb>  $wools */
    private static function nearest(string $key, Srgb $drawn, array $wools): ColourMatch
    {
        $nearest = NearestWool::nearest($drawn, $wools);

        return $nearest === []
            ? new ColourMatch($key, [], $drawn->toHex(), null, false)
            : new ColourMatch($key, [(int) $nearest[0] => 1.0], $wools[(int) $nearest[0]]->toHex(), $nearest[1], false);
    }
}
