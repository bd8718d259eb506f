<?php

declare(strict_types=1);

namespace Impa\Picture;

/**
 * Which way a drawing faces. Every drawing is looked at with its heavier side to the left, and the answer turned back, so
 * that a drawing and its mirror image are seen alike.
 */
final class Facing
{
    public static function isHeavyRight(Raster $raster, Ground $ground): bool
    {
        $count = $middle = $mass = 0.0;
        foreach ($ground->figure as $i => $in) {
            if ($in) {
                $count++;
                $middle += $i % $raster->width;
            }
        }
        $middle /= $count;
        // Odd moments about the middle: the plain one is 0 there, so the cube and the brightness decide.
        foreach ($ground->figure as $i => $in) {
            if ($in) {
                $away = ($i % $raster->width - $middle) / $raster->width;
                $mass += $away ** 3 + $away * ($raster->pixels[$i] >> 8 & 255) / 2550;
            }
        }

        return $mass > 0.0;
    }

    /**
     * The document of the mirror image. Pairs stay as they are: each half is the other's.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public static function turnedBack(array $document): array
    {
        $pairs = [];
        foreach ($document['parts'] as &$part) {
            if ($part['mirror']) {
                $pairs[$part['key']] = true;

                continue;
            }
            $part['at']['xMm'] = 0.0 - $part['at']['xMm'];
            // An arc's ends point to its right: mirrored, it is turned about as well.
            $turn = -$part['turnDeg']['z'] + ($part['shape']['kind'] === 'arc' ? 180 : 0);
            $part['turnDeg']['z'] = ($turn > 180 ? $turn - 360 : $turn) + 0.0;
            if (is_array($part['shape']['outline'] ?? null)) {
                $part['shape']['outline'] = self::flipped($part['shape']['outline']);
            }
        }
        unset($part);
        foreach ($document['details'] as &$detail) {
            if ($detail['mirror'] || isset($pairs[$detail['on']])) {
                continue;
            }
            foreach (['xMm', 'turnDeg'] as $member) {
                if (isset($detail[$member])) {
                    $detail[$member] = 0.0 - $detail[$member];
                }
            }
            if (isset($detail['pointsMm'])) {
                $detail['pointsMm'] = self::flipped($detail['pointsMm']);
            }
        }
        unset($detail);
        $document['picture']['originPx'][0] = $document['picture']['widthPx'] - $document['picture']['originPx'][0];

        foreach ($document['picture']['leftOut'] as &$speck) {
            $speck['xMm'] = 0.0 - $speck['xMm'];
        }
        unset($speck);

        return $document;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function flipped(array $points): array
    {
        return array_map(static fn (array $p): array => [0.0 - $p[0], $p[1]], $points);
    }
}
