<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** A sheet cut up, the largest piece again and again, from edge to edge: how it is laid without waste is known. */
final class CutUp
{
    /** @return list<array{float, float}> width and height of each piece, in mm */
    public static function of(float $width, float $height, int $count, int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $pieces = [[$width, $height]];
        while (count($pieces) < $count) {
            usort($pieces, static fn (array $a, array $b): int => $b[0] * $b[1] <=> $a[0] * $a[1]);
            [$w, $h] = array_shift($pieces);
            $share = $random->getInt(25, 75) / 100;
            array_push($pieces, ...$w > $h ? [[$w * $share, $h], [$w * (1 - $share), $h]] : [[$w, $h * $share], [$w, $h * (1 - $share)]]);
        }

        return $pieces;
    }
}
