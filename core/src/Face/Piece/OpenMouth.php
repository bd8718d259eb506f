<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** An open mouth, teeth left open in it so that the ground shows, a tongue if wanted. */
final class OpenMouth implements Expression
{
    public static function kind(): string
    {
        return 'open-mouth';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.open-mouth');
    }

    public static function sliders(): array
    {
        return [
            new Slider('width', Message::of('face.slider.width'), 0.15, 0.7, 0.34),
            new Slider('open', Message::of('face.slider.open'), 0.08, 0.5, 0.22),
            new Slider('smile', Message::of('face.slider.smile'), -0.6, 1.0, 0.6),
            new Slider('teeth', Message::of('face.slider.teeth'), 0.0, 6.0, 2.0, 1.0),
            new Slider('tongue', Message::of('face.slider.tongue'), 0.0, 0.8, 0.45),
            new Slider('down', Message::of('face.slider.down'), 0.45, 0.9, 0.72),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $half = $head->mm($set['width']) / 2;
        $open = $head->mm($set['open']);
        $lift = 0.35 * $set['smile'] * $half;
        // The upper lip sags from the corners, the lower one below it by what it is open.
        $upper = static fn (float $x): float => -$lift * (1 - ($x / $half) ** 2);
        $lower = static fn (float $x): float => $upper($x) - $open * sqrt(max(0.0, 1 - ($x / $half) ** 2));
        $points = [];
        foreach ([-1.0, -0.6, -0.2, 0.2, 0.6, 1.0] as $t) {
            $points[] = [$t * $half, $upper($t * $half)];
        }
        foreach ([0.8, 0.4, 0.0, -0.4, -0.8] as $t) {
            $points[] = [$t * $half, $lower($t * $half)];
        }
        $teeth = [];
        $count = (int) $set['teeth'];
        $row = 0.62 * $half;
        for ($i = 0; $i < $count; $i++) {
            $left = -$row + (2 * $row * $i) / $count + 0.04 * $half;
            $right = -$row + (2 * $row * ($i + 1)) / $count - 0.04 * $half;
            $long = 0.3 * $open;
            $teeth[] = [
                [$left, $upper($left) - 0.06 * $open],
                [$right, $upper($right) - 0.06 * $open],
                [$right, $upper($right) - $long],
                [$left, $upper($left) - $long],
            ];
        }
        $bits = [Bit::patch('mouth', (string) Message::of('face.bit.mouth'), Tone::Dark, 0.0, $y, $points, $teeth)];
        if ($set['tongue'] > 0.0) {
            $bits[] = Bit::disc(
                'tongue',
                (string) Message::of('face.bit.tongue'),
                Tone::Red,
                0.0,
                $y + $lower(0.0) + 0.32 * $open,
                1.1 * $set['tongue'] * $half,
                0.5 * $open,
                2,
                false,
            );
        }

        return $bits;
    }
}
