<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** One plain line, straight or bent, or a pair of them: a scar, a stripe, a stitch. */
final class Stripe implements Expression
{
    public static function kind(): string
    {
        return 'stripe';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.stripe');
    }

    public static function sliders(): array
    {
        return [
            new Slider('length', Message::of('face.slider.length'), 0.05, 0.9, 0.24),
            new Slider('turn', Message::of('face.slider.turn'), -90.0, 90.0, 0.0, 1.0),
            new Slider('bend', Message::of('face.slider.bend'), -0.6, 0.6, 0.0),
            new Slider('thick', Message::of('face.slider.thick'), 0.02, 0.2, 0.045),
            new Slider('apart', Message::of('face.slider.apart'), 0.0, 0.8, 0.0),
            new Slider('down', Message::of('face.slider.down'), 0.05, 0.95, 0.4),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $half = $head->mm($set['length']) / 2;
        [$along, $up] = [cos(deg2rad($set['turn'])), sin(deg2rad($set['turn']))];
        $points = array_map(
            static function (float $t) use ($half, $along, $up, $set): array {
                [$x, $y] = [$t * $half, $set['bend'] * $half * (1 - $t * $t)];

                return [$x * $along - $y * $up, $x * $up + $y * $along];
            },
            [-1.0, -0.33, 0.33, 1.0],
        );
        $thick = $head->mm($set['thick']);

        return [
            Bit::line(
                'line',
                (string) Message::of('face.bit.line'),
                Tone::Dark,
                $head->x($set['apart'], $y),
                $y,
                $points,
                [$thick, $thick, $thick, $thick],
                1,
                $set['apart'] > 0.0,
            ),
        ];
    }
}
