<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** A mouth as one line: glad, straight or sad, or with a dip in its middle. */
final class MouthLine implements Expression
{
    public static function kind(): string
    {
        return 'mouth-line';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.mouth-line');
    }

    public static function sliders(): array
    {
        return [
            new Slider('width', Message::of('face.slider.width'), 0.08, 0.7, 0.3),
            new Slider('smile', Message::of('face.slider.smile'), -1.0, 1.0, 0.5),
            new Slider('dip', Message::of('face.slider.dip-in-the-middle'), 0.0, 1.0, 0.0),
            new Slider('down', Message::of('face.slider.down'), 0.45, 0.92, 0.73),
            new Slider('thick', Message::of('face.slider.thick'), 0.02, 0.1, 0.045),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $half = $head->mm($set['width']) / 2;
        $sag = 0.7 * $set['smile'] * $half;
        $thick = $head->mm($set['thick']);
        $middle = -$sag + $set['dip'] * (0.9 * $sag + 0.15 * $half);
        $points = [
            [-$half, 0.0],
            [-0.55 * $half, -0.8 * $sag - $set['dip'] * 0.12 * $half],
            [0.0, $middle],
            [0.55 * $half, -0.8 * $sag - $set['dip'] * 0.12 * $half],
            [$half, 0.0],
        ];

        return [
            Bit::line(
                'line',
                (string) Message::of('face.bit.mouth'),
                Tone::Dark,
                0.0,
                $y,
                $points,
                [$thick * 0.8, $thick, $thick, $thick, $thick * 0.8],
                1,
                false,
            ),
        ];
    }
}
