<?php

declare(strict_types=1);

namespace Impa\Hand;

use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Material\Pace;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Shape\Solid;
use Impa\Voice\Message;

/**
 * Three small balls and a sausage that teach Impa a hand in about 40 minutes: all of one wool without a core, so that each tells one
 * density; two of the firmness that is used most, one to either side of it.
 *
 * @phpstan-type Piece array{key: string, name: Message, kind: string, firmness: string, widthMm: float, heightMm: float, depthMm: float,
 *     cm3: float, weighG: float, minutes: float, text: string}
 */
final class Practice
{
    private const PIECES = [
        ['ball-springy', ShapeKind::Ball, Firmness::Springy, 32.0, 32.0],
        ['ball-soft', ShapeKind::Ball, Firmness::Soft, 32.0, 32.0],
        ['ball-firm', ShapeKind::Ball, Firmness::Firm, 32.0, 32.0],
        ['sausage-springy', ShapeKind::Sausage, Firmness::Springy, 18.0, 56.0],
    ];

    /** @return list<Piece> */
    public static function pieces(): array
    {
        $pieces = [];
        foreach (self::PIECES as $piece) {
            [$key, $kind, $firmness, $across, $height] = $piece;
            $size = Size::of($across, $height, $across);
            $solid = Catalogue::solid($kind, $size);
            $densities = Densities::house();
            $g = $solid->volumeCm3() * $densities->feltGPerCm3($firmness) * (1 + $densities->coverWaste);

            $pieces[] = [
                'key' => $key,
                'name' => Message::of('hand.piece.'.$key),
                'kind' => $kind->value,
                'firmness' => $firmness->value,
                'widthMm' => $size->widthMm,
                'heightMm' => $size->heightMm,
                'depthMm' => $size->depthMm,
                'cm3' => $solid->volumeCm3(),
                'weighG' => $g,
                'minutes' => self::minutes($solid, $g, $firmness),
                'text' => self::words($kind, $firmness),
            ];
        }

        return $pieces;
    }

    /** By the house's pace, with one needle. */
    public static function minutes(Solid $solid, float $g, Firmness $firmness): float
    {
        $pace = Pace::house();

        return $pace->felting($pace->bulk($g, $firmness, 1), $pace->surface($solid->areaCm2(), false), null)->is;
    }

    private static function words(ShapeKind $kind, Firmness $firmness): string
    {
        $how = $kind === ShapeKind::Sausage
            ? Message::of('hand.practice.roll-it-tightly-from')
            : Message::of('hand.practice.begin-with-a-small');
        $until = match ($firmness) {
            Firmness::Soft => Message::of('hand.practice.stop-while-a-finger'),
            Firmness::Firm => Message::of('hand.practice.go-on-until'),
            default => Message::of('hand.practice.stop-when-it-springs'),
        };

        return $how.' '.$until;
    }
}
