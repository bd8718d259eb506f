<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** A button nose: a disc or an oval on the middle line. */
final class ButtonNose implements Expression
{
    public static function kind(): string
    {
        return 'button-nose';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.button-nose');
    }

    public static function sliders(): array
    {
        return [
            new Slider('size', Message::of('face.slider.size'), 0.06, 0.40, 0.15),
            new Slider('wide', Message::of('face.slider.wide'), 0.6, 2.0, 1.3),
            new Slider('down', Message::of('face.slider.down'), 0.40, 0.85, 0.63),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $size = $head->mm($set['size']);

        return [Bit::disc(
            'nose',
            (string) Message::of('face.bit.nose'),
            Tone::Dark,
            0.0,
            $head->y($set['down']),
            $size * $set['wide'],
            $size,
            1,
            false,
        )];
    }
}
