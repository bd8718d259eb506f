<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** Eyes sewn or glued on, in a size that is sold. */
final class BeadEyes implements Expression
{
    public static function kind(): string
    {
        return 'bead-eyes';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.bead-eyes');
    }

    public static function sliders(): array
    {
        return [
            new Slider('size', Message::of('face.slider.size'), 2.0, 12.0, 4.0, 0.5),
            new Slider('apart', Message::of('face.slider.apart'), 0.15, 0.70, 0.36),
            new Slider('down', Message::of('face.slider.down'), 0.30, 0.80, 0.57),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);

        return [Bit::bead('bead', (string) Message::of('face.bit.bead-eye'), Tone::Dark, $head->x($set['apart'], $y), $y, $set['size'])];
    }
}
