<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** Cheeks: two soft ovals, low and far out. */
final class Cheeks implements Expression
{
    public static function kind(): string
    {
        return 'cheeks';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.cheeks');
    }

    public static function sliders(): array
    {
        return [
            new Slider('size', Message::of('face.slider.size'), 0.08, 0.45, 0.20),
            new Slider('flat', Message::of('face.slider.flat'), 0.4, 1.2, 0.65),
            new Slider('apart', Message::of('face.slider.apart'), 0.30, 0.80, 0.52),
            new Slider('down', Message::of('face.slider.down'), 0.45, 0.88, 0.68),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $size = $head->mm($set['size']);

        return [Bit::disc(
            'cheek',
            (string) Message::of('face.bit.cheek'),
            Tone::Rosy,
            $head->x($set['apart'], $y),
            $y,
            $size,
            $size * $set['flat'],
        )];
    }
}
