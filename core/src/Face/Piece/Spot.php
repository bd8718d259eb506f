<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** One plain spot, or a pair of them. */
final class Spot implements Expression
{
    public static function kind(): string
    {
        return 'spot';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.spot');
    }

    public static function sliders(): array
    {
        return [
            new Slider('size', Message::of('face.slider.size'), 0.05, 0.8, 0.16),
            new Slider('wide', Message::of('face.slider.wide'), 0.4, 2.5, 1.0),
            new Slider('apart', Message::of('face.slider.apart'), 0.0, 0.8, 0.0),
            new Slider('down', Message::of('face.slider.down'), 0.05, 0.95, 0.5),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $size = $head->mm($set['size']);

        return [
            Bit::disc(
                'spot',
                (string) Message::of('face.bit.spot'),
                Tone::Dark,
                $head->x($set['apart'], $y),
                $y,
                $size * $set['wide'],
                $size,
                1,
                $set['apart'] > 0.0,
            ),
        ];
    }
}
