<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** A nose as a soft triangle, point down. */
final class SoftNose implements Expression
{
    public static function kind(): string
    {
        return 'soft-nose';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.soft-nose');
    }

    public static function sliders(): array
    {
        return [
            new Slider('size', Message::of('face.slider.size'), 0.06, 0.4, 0.16),
            new Slider('wide', Message::of('face.slider.wide'), 0.7, 2.0, 1.3),
            new Slider('down', Message::of('face.slider.down'), 0.4, 0.85, 0.63),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $size = $head->mm($set['size']);
        $half = ($size * $set['wide']) / 2;

        return [
            Bit::patch('nose', (string) Message::of('face.bit.nose'), Tone::Dark, 0.0, $head->y($set['down']), [
                [-$half, 0.36 * $size],
                [-0.5 * $half, 0.5 * $size],
                [0.5 * $half, 0.5 * $size],
                [$half, 0.36 * $size],
                [0.5 * $half, -0.15 * $size],
                [0.0, -0.5 * $size],
                [-0.5 * $half, -0.15 * $size],
            ]),
        ];
    }
}
