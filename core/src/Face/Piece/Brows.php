<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** Brows: their length, height and tilt make a face cheerful, worried or cross. */
final class Brows implements Expression
{
    public static function kind(): string
    {
        return 'brows';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.brows');
    }

    public static function sliders(): array
    {
        return [
            new Slider('length', Message::of('face.slider.length'), 0.12, 0.5, 0.26),
            new Slider('apart', Message::of('face.slider.apart'), 0.15, 0.7, 0.38),
            new Slider('down', Message::of('face.slider.down'), 0.2, 0.7, 0.42),
            new Slider('tilt', Message::of('face.slider.tilt'), -35.0, 35.0, 6.0, 1.0),
            new Slider('arch', Message::of('face.slider.arch'), -0.3, 0.6, 0.25),
            new Slider('thick', Message::of('face.slider.thick'), 0.02, 0.14, 0.055),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $half = $head->mm($set['length']) / 2;
        $thick = $head->mm($set['thick']);
        $slope = tan(deg2rad($set['tilt']));
        $points = array_map(
            static fn (float $t): array => [$t * $half, $t * $half * $slope + $set['arch'] * $half * (1 - $t * $t)],
            [-1.0, -0.4, 0.3, 1.0],
        );

        return [
            Bit::line('brow', (string) Message::of('face.bit.brow'), Tone::Dark, $head->x($set['apart'], $y), $y, $points, [
                $thick,
                $thick,
                $thick * 0.8,
                $thick * 0.5,
            ]),
        ];
    }
}
