<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;

/** One plain spot, or a pair of them. */
final class Spot implements Expression
{
    public static function kind(): string
    {
        return 'spot';
    }

    public static function name(): string
    {
        return 'Spot';
    }

    public static function sliders(): array
    {
        return [
            new Slider('size', 'Size', 0.05, 0.8, 0.16),
            new Slider('wide', 'Wide', 0.4, 2.5, 1.0),
            new Slider('apart', 'Apart', 0.0, 0.8, 0.0),
            new Slider('down', 'Down', 0.05, 0.95, 0.5),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $size = $head->mm($set['size']);

        return [
            Bit::disc(
                'spot',
                'Spot',
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
