<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** Whiskers: stitched lines that spread from beside the nose. */
final class Whiskers implements Expression
{
    public static function kind(): string
    {
        return 'whiskers';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.whiskers');
    }

    public static function sliders(): array
    {
        return [
            new Slider('count', Message::of('face.slider.on-each-side'), 1.0, 4.0, 3.0, 1.0),
            new Slider('length', Message::of('face.slider.length'), 0.15, 0.6, 0.34),
            new Slider('spread', Message::of('face.slider.spread'), 0.0, 50.0, 24.0, 1.0),
            new Slider('apart', Message::of('face.slider.apart'), 0.15, 0.6, 0.34),
            new Slider('down', Message::of('face.slider.down'), 0.45, 0.88, 0.68),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $x = $head->x($set['apart'], $y);
        $long = $head->mm($set['length']);
        $count = (int) $set['count'];
        $bits = [];
        for ($i = 0; $i < $count; $i++) {
            $lie = $count === 1 ? 0.0 : 1 - (2 * $i) / ($count - 1);
            $deg = deg2rad(($lie * $set['spread']) / 2);
            $start = [0.0, $lie * 0.12 * $long];
            $bits[] = Bit::line(
                'hair-'.($i + 1),
                (string) Message::of('face.bit.whisker', number: $i + 1),
                Tone::Dark,
                $x,
                $y,
                [
                    $start,
                    [$start[0] + ($long / 2) * cos($deg), $start[1] + ($long / 2) * sin($deg) - 0.02 * $long],
                    [$start[0] + $long * cos($deg), $start[1] + $long * sin($deg)],
                ],
                [0.5, 0.5, 0.5],
                1,
                true,
                'stitch',
            );
        }

        return $bits;
    }
}
