<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Colour\Ciede2000;
use Impa\Colour\Oklch;
use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Stash\StashWool;
use Impa\Wool\Ledger\Ledger;

/** The same figure in several colours: by a rule, or by what the stash has. Each answer is the hexes of one figure, by colour key. */
final class Colourways
{
    private const MOST = 24;

    /**
     * Colours turned round the circle of hues in equal steps, as light and as strong as they are; the first stays itself.
     *
     * @param  list<string>  $keys  of the colours that are turned together
     * @return list<array<string, string>>
     */
    public static function turned(Figure $figure, array $keys, int $count): array
    {
        $count = self::count($count);
        $ways = [];
        for ($i = 0; $i < $count; $i++) {
            $ways[] = array_map(
                static fn (Srgb $srgb): string => Oklch::of($srgb)->turned(360.0 * $i / $count)->srgb()->toHex(),
                self::colours($figure, $keys),
            );
        }

        return $ways;
    }

    /**
     * Colours that change places round a ring: each figure has them one further on.
     *
     * @param  list<string>  $keys  two at least
     * @return list<array<string, string>> as many as there are colours
     */
    public static function swapped(Figure $figure, array $keys): array
    {
        $colours = self::colours($figure, $keys);
        $hexes = array_values(array_map(static fn (Srgb $srgb): string => $srgb->toHex(), $colours));
        $ways = [];
        foreach ($hexes as $i => $_) {
            $ways[] = array_combine(array_keys($colours), [...array_slice($hexes, $i), ...array_slice($hexes, 0, $i)]);
        }

        return $ways;
    }

    /**
     * Wools of the stash for one colour of the figure, each of which there is enough of for one figure, as different from each other and
     * from what they lie against as can be (the farthest of all that is left, one by one: Gonzalez 1985, within twice the best).
     *
     * @param  array<int, StashWool>  $stash
     * @return list<array<string, string>> as many as there are, the wool that is nearest to the figure's own colour first
     */
    public static function fromStash(Figure $figure, string $key, int $count, array $stash, Densities $densities): array
    {
        $own = self::colours($figure, [$key])[$key];
        $wanted = self::wantedG($figure, $key, $densities);
        $against = [];
        foreach (Clashes::meeting($figure) as [$one, $two]) {
            if (in_array($key, [$one, $two], true)) {
                $against[] = $figure->colours[$one === $key ? $two : $one]->srgb;
            }
        }
        $free = [];
        foreach ($stash as $wool) {
            $isEnough = $wool->covers() && $wool->freeG >= $wanted;
            if ($isEnough && $wool->colour !== null && self::least($wool->colour, $against) >= Clashes::ALIKE) {
                $free[] = $wool->colour;
            }
        }
        usort($free, static fn (Srgb $a, Srgb $b): int => self::apart($a, $own) <=> self::apart($b, $own));
        $chosen = array_slice($free, 0, 1);
        $free = array_slice($free, 1);
        while (count($chosen) < self::count($count) && $free !== []) {
            $far = array_map(static fn (Srgb $srgb): float => self::least($srgb, $chosen), $free);
            $at = (int) array_search(max($far), $far, true);
            if ($far[$at] < Clashes::ALIKE) {
                break;
            }
            $chosen[] = $free[$at];
            array_splice($free, $at, 1);
        }

        return array_map(static fn (Srgb $srgb): array => [$key => $srgb->toHex()], $chosen);
    }

    /** Likely grams of one colour. */
    public static function wantedG(Figure $figure, string $key, Densities $densities): float
    {
        foreach (Ledger::of($figure, $densities)->totals() as $total) {
            if ($total['colour'] === $key) {
                return $total['spread']->likelyG;
            }
        }

        return 0.0;
    }

    private static function count(int $count): int
    {
        return $count >= 1 && $count <= self::MOST ? $count : throw SetRefused::countOutOfRange('Colourways', self::MOST);
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, Srgb>
     */
    private static function colours(Figure $figure, array $keys): array
    {
        $colours = [];
        foreach ($keys as $key) {
            $colours[$key] = ($figure->colours[$key] ?? throw SetRefused::noSuchColour($key))->srgb;
        }

        return $colours === [] ? throw SetRefused::noSuchColour('') : $colours;
    }

    private static function apart(Srgb $one, Srgb $two): float
    {
        return Ciede2000::between($one->lab(), $two->lab());
    }

    /** @param  list<Srgb>  $others */
    private static function least(Srgb $one, array $others): float
    {
        return $others === [] ? INF : min(array_map(static fn (Srgb $other): float => self::apart($one, $other), $others));
    }
}
