<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** A light ground under nose and mouth: one oval, or two lobes side by side. */
final class Muzzle implements Expression
{
    public static function kind(): string
    {
        return 'muzzle';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.muzzle');
    }

    public static function sliders(): array
    {
        return [
            new Slider('size', Message::of('face.slider.size'), 0.20, 0.80, 0.46),
            new Slider('flat', Message::of('face.slider.flat'), 0.4, 1.2, 0.7),
            new Slider('lobes', Message::of('face.slider.two-lobes'), 0.0, 1.0, 0.0),
            new Slider('down', Message::of('face.slider.down'), 0.45, 0.85, 0.70),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $half = $head->mm($set['size']) / 2;
        $high = $half * $set['flat'];
        // Round to one oval; the lobes draw the middle of its rim in, above and below.
        $points = [];
        for ($i = 0; $i < 16; $i++) {
            $turn = 2 * M_PI * $i / 16;
            $points[] = [$half * cos($turn), $high * sin($turn) * (1 - 0.45 * $set['lobes'] * (1 - abs(cos($turn))) ** 2)];
        }

        return [Bit::patch('muzzle', (string) Message::of('face.bit.muzzle'), Tone::Light, 0.0, $y, $points)];
    }
}
