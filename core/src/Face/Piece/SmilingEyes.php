<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** Eyes closed in a smile, or asleep: one arc each. */
final class SmilingEyes implements Expression
{
    public static function kind(): string
    {
        return 'smiling-eyes';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.smiling-eyes');
    }

    public static function sliders(): array
    {
        return [
            new Slider('size', Message::of('face.slider.width'), 0.12, 0.45, 0.26),
            new Slider('arch', Message::of('face.slider.arch'), -0.8, 0.8, 0.5),
            new Slider('apart', Message::of('face.slider.apart'), 0.15, 0.7, 0.4),
            new Slider('down', Message::of('face.slider.down'), 0.3, 0.8, 0.57),
            new Slider('thick', Message::of('face.slider.thick'), 0.02, 0.1, 0.045),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $half = $head->mm($set['size']) / 2;
        $rise = $set['arch'] * $half;
        $thick = $head->mm($set['thick']);

        return [
            Bit::line(
                'arc',
                (string) Message::of('face.bit.closed-eye'),
                Tone::Dark,
                $head->x($set['apart'], $y),
                $y,
                [[-$half, -$rise / 2], [-$half / 2, $rise / 4], [0.0, $rise / 2], [$half / 2, $rise / 4], [$half, -$rise / 2]],
                [$thick * 0.8, $thick, $thick, $thick, $thick * 0.8],
            ),
        ];
    }
}
