<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** Freckles: pairs of small spots scattered over the cheeks, the same on every head. */
final class Freckles implements Expression
{
    public static function kind(): string
    {
        return 'freckles';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.freckles');
    }

    public static function sliders(): array
    {
        return [
            new Slider('count', Message::of('face.slider.pairs'), 1.0, 8.0, 3.0, 1.0),
            new Slider('size', Message::of('face.slider.size'), 0.03, 0.12, 0.07),
            new Slider('scatter', Message::of('face.slider.scatter'), 0.05, 0.4, 0.18),
            new Slider('apart', Message::of('face.slider.apart'), 0.2, 0.75, 0.5),
            new Slider('down', Message::of('face.slider.down'), 0.4, 0.85, 0.66),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $x = $head->x($set['apart'], $y);
        $size = $head->mm($set['size']);
        $bits = [];
        for ($i = 0; $i < (int) $set['count']; $i++) {
            // A sunflower's turn (the golden angle) keeps them apart without a row.
            $far = $head->mm($set['scatter']) * sqrt(($i + 0.5) / 8) * 1.2;
            $turn = $i * M_PI * (3 - sqrt(5)) + 0.6;
            $bits[] = Bit::disc(
                'freckle-'.($i + 1),
                (string) Message::of('face.bit.freckle', number: $i + 1),
                Tone::Rosy,
                $x + $far * cos($turn),
                $y + 0.7 * $far * sin($turn),
                $size,
                $size,
            );
        }

        return $bits;
    }
}
