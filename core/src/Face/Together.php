<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Face\Advice\Crispness;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Term\DetailKind;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;

/**
 * Details that make one thing, such as the white, pupil and spark of an eye: whatever is done to the one is done to the others, too. They
 * belong to one piece of a face, or lie within each other and are not too unlike in size, or are called alike. A spark may be moved about
 * in its eye by itself. What makes an eye of a pair goes the other way on the other side.
 */
final class Together
{
    /** A spot is the ground of another, not one thing with it, where it is so many times as large (house choice). */
    private const GROUND = 6.0;

    /** Pieces of which each stroke or dot is a thing of its own. */
    private const SCATTERED = ['freckles', 'whiskers'];

    /** @return array<string, array<string, int>> of each detail that is not alone: the others by key, 1 as it goes, -1 mirrored */
    public static function all(Figure $figure): array
    {
        $together = [];
        foreach (array_keys($figure->parts) as $part) {
            $links = self::links($figure, $figure->detailsOn((string) $part));
            foreach ($figure->detailsOn((string) $part) as $detail) {
                $others = Crispness::isSpark($figure, $detail) ? [] : self::reached($figure, $detail, $links);
                if ($others !== []) {
                    $together[$detail->key] = $others;
                }
            }
        }

        return $together;
    }

    /**
     * These details and all that make one thing with any of them.
     *
     * @param  list<string>  $keys
     * @return list<string>
     */
    public static function with(Figure $figure, array $keys): array
    {
        $all = self::all($figure);
        foreach ($keys as $key) {
            array_push($keys, ...array_map(strval(...), array_keys($all[$key] ?? [])));
        }

        return array_values(array_unique($keys));
    }

    /**
     * @param  array<string, list<array{string, int, int}>>  $links  by key: the other, the side of the one and of the other that meet
     * @return array<string, int>
     */
    private static function reached(Figure $figure, Detail $detail, array $links): array
    {
        $others = [$detail->key => 1];
        // On the other side everything goes the other way.
        $waiting = $detail->lie->mirror ? [[$detail->key, 1, 1], [$detail->key, -1, -1]] : [[$detail->key, 1, 1]];
        $seen = [];
        while ($waiting !== []) {
            [$key, $side, $way] = array_pop($waiting);
            if (isset($seen["{$key} {$side} {$way}"])) {
                continue;
            }
            $seen["{$key} {$side} {$way}"] = true;
            // What is reached both ways, across the middle line, goes along.
            $others[$key] = max($others[$key] ?? -1, $way * $side);
            foreach ($links[$key] ?? [] as [$other, $own, $its]) {
                if ($own === $side) {
                    $waiting[] = [$other, $its, $way];
                    if ($figure->details[$other]->lie->mirror) {
                        $waiting[] = [$other, -$its, -$way];
                    }
                }
            }
        }
        unset($others[$detail->key]);

        // As they stand in the figure.
        $places = array_flip(array_keys($figure->details));
        uksort($others, static fn (string $a, string $b): int => $places[$a] <=> $places[$b]);

        return $others;
    }

    /**
     * @param  list<Detail>  $details  of one part
     * @return array<string, list<array{string, int, int}>>
     */
    private static function links(Figure $figure, array $details): array
    {
        $boxes = array_map(static fn (Detail $d): Box => Box::around($d->outline()), $details);
        $links = [];
        foreach ($details as $i => $one) {
            foreach ($details as $k => $two) {
                if ($i >= $k || $one->lie->side !== $two->lie->side) {
                    continue;
                }
                foreach ($one->lie->mirror ? [1, -1] : [1] as $own) {
                    foreach ($two->lie->mirror ? [1, -1] : [1] as $its) {
                        if (self::areOne($figure, [$one, $own, $boxes[$i]], [$two, $its, $boxes[$k]])) {
                            $links[$one->key][] = [$two->key, $own, $its];
                            $links[$two->key][] = [$one->key, $its, $own];
                        }
                    }
                }
            }
        }

        return $links;
    }

    /**
     * @param  array{Detail, int, Box}  $a  with its side and its box on its own side
     * @param  array{Detail, int, Box}  $b
     */
    private static function areOne(Figure $figure, array $a, array $b): bool
    {
        [$piece, $kind] = $a[0]->meaning->piece;
        if ($piece !== '' && $piece === $b[0]->meaning->piece[0] && ! in_array($kind, self::SCATTERED, true)) {
            // Both of a pair, or both alone: side by side.
            return $a[1] === $b[1] || ! $a[0]->lie->mirror || ! $b[0]->lie->mirror;
        }
        if ($a[0]->drawn->areaMm2() < $b[0]->drawn->areaMm2()) {
            [$a, $b] = [$b, $a];
        }
        [[$large, $side, $box], [$small, $other]] = [$a, $b];
        if ($large->drawn->kind === DetailKind::Line || $small->drawn->kind === DetailKind::Line) {
            return false;
        }
        [$x, $y] = $small->middle();
        // In the frame of the larger one's own side.
        $x *= $other * $side;
        if (! $box->has($x, $y) || ! Polygon::has($large->outline(), $x, $y)) {
            return false;
        }

        return $large->drawn->areaMm2() <= self::GROUND * $small->drawn->areaMm2()
            || Crispness::isSpark($figure, $small)
            || self::firstWord($large) === self::firstWord($small);
    }

    private static function firstWord(Detail $detail): string
    {
        return mb_strtolower(explode(' ', str_replace(',', ' ', trim($detail->name)))[0]);
    }
}
