<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** Eyelashes: short stitched strokes from the outer upper rim of an eye, swept outwards. */
final class Eyelashes implements Expression
{
    private const THREAD_MM = 0.5;

    public static function kind(): string
    {
        return 'eyelashes';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.eyelashes');
    }

    public static function sliders(): array
    {
        return [
            new Slider('length', Message::of('face.slider.length'), 0.04, 0.2, 0.09),
            new Slider('count', Message::of('face.slider.how-many'), 1, 5, 3, 1),
            new Slider('eye', Message::of('face.slider.size-of-the-eye'), 0.08, 0.4, 0.23),
            new Slider('apart', Message::of('face.slider.apart'), 0.15, 0.7, 0.36),
            new Slider('down', Message::of('face.slider.down'), 0.3, 0.8, 0.57),
            new Slider('spread', Message::of('face.slider.spread'), 0.0, 90.0, 50.0, 1.0),
            new Slider('curl', Message::of('face.slider.curl'), -0.5, 0.5, 0.25),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $x = $head->x($set['apart'], $y);
        [$long, $rim] = [$head->mm($set['length']), $head->mm($set['eye']) / 2];
        $count = (int) $set['count'];
        $bits = [];
        for ($i = 0; $i < $count; $i++) {
            // About the way up and out.
            $turn = deg2rad(40 + ($count === 1 ? 0.0 : ($i / ($count - 1) - 0.5) * $set['spread']));
            [$out, $up] = [cos($turn), sin($turn)];
            $bits[] = Bit::line(
                'lash-'.($i + 1),
                (string) Message::of('face.bit.eyelash', number: $i + 1),
                Tone::Dark,
                $x + $rim * $out,
                $y + $rim * $up,
                [
                    [0.0, 0.0],
                    [$long / 2 * $out, $long / 2 * $up - $set['curl'] * $long / 4],
                    [$long * $out, $long * $up],
                ],
                [self::THREAD_MM, self::THREAD_MM, self::THREAD_MM],
                2,
                true,
                'stitch',
            );
        }

        return $bits;
    }
}
