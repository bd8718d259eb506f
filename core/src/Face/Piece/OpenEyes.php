<?php

declare(strict_types=1);

namespace Impa\Face\Piece;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Voice\Message;

/** Round eyes: a white if wanted, a pupil that looks where it should, a lid of the head's own colour, both sparks on the same side. */
final class OpenEyes implements Expression
{
    public static function kind(): string
    {
        return 'open-eyes';
    }

    public static function name(): Message
    {
        return Message::of('face.piece.open-eyes');
    }

    public static function sliders(): array
    {
        return [
            new Slider('size', Message::of('face.slider.size'), 0.08, 0.4, 0.23),
            new Slider('tall', Message::of('face.slider.tall'), 0.7, 1.6, 1.15),
            new Slider('apart', Message::of('face.slider.apart'), 0.15, 0.7, 0.36),
            new Slider('down', Message::of('face.slider.down'), 0.3, 0.8, 0.57),
            new Slider('white', Message::of('face.slider.white-round-the-pupil'), 0.0, 0.6, 0.0),
            new Slider('lid', Message::of('face.slider.lid'), 0.0, 0.7, 0.0),
            new Slider('across', Message::of('face.slider.looks-aside'), -1.0, 1.0, 0.0),
            new Slider('up', Message::of('face.slider.looks-up'), -1.0, 1.0, 0.0),
            new Slider('spark', Message::of('face.slider.spark'), 0.0, 0.45, 0.28),
        ];
    }

    public static function bits(Head $head, array $set): array
    {
        $y = $head->y($set['down']);
        $x = $head->x($set['apart'], $y);
        [$wide, $high] = [$head->mm($set['size']), $head->mm($set['size']) * $set['tall']];
        $bits = [];
        if ($set['white'] > 0.0) {
            $bits[] = Bit::disc('white', (string) Message::of('face.bit.eye-white'), Tone::Light, $x, $y, $wide, $high);
        }
        $pupil = 1 - $set['white'];
        // The pupil looks aside by what the white leaves free; both eyes look the same way, so the two are no mirror images.
        [$dx, $dy] = [($set['across'] * $set['white'] * $wide) / 2, ($set['up'] * $set['white'] * $high) / 2];
        $layer = count($bits) + 1;
        array_push(
            $bits,
            ...self::both(
                'pupil',
                (string) Message::of('face.bit.pupil'),
                Tone::Dark,
                $x,
                $y + $dy,
                $dx,
                $wide * $pupil,
                $high * $pupil,
                $layer,
            ),
        );
        if ($set['spark'] > 0.0) {
            $spark = $set['spark'] * min($wide, $high) * $pupil;
            array_push(
                $bits,
                ...self::both(
                    'spark',
                    (string) Message::of('face.bit.spark'),
                    Tone::Light,
                    $x,
                    $y + $dy + 0.2 * $high * $pupil,
                    $dx + 0.18 * $wide * $pupil,
                    $spark,
                    $spark,
                    3,
                ),
            );
        }
        if ($set['lid'] > 0.0) {
            $bits[] = self::lid($x, $y, $wide, $high, $set['lid']);
        }

        return $bits;
    }

    /**
     * A spot on either eye: one pair where it lies in its eye's middle, else two, moved the same way.
     *
     * @return non-empty-list<Bit>
     */
    private static function both(
        string $key,
        string $name,
        Tone $tone,
        float $x,
        float $y,
        float $dx,
        float $width,
        float $height,
        int $layer,
    ): array {
        return abs($dx) < 0.05
            ? [Bit::disc($key, $name, $tone, $x, $y, $width, $height, $layer)]
            : [
                Bit::disc(
                    $key,
                    (string) Message::of('figure.of-a-pair.right', name: $name),
                    $tone,
                    $x + $dx,
                    $y,
                    $width,
                    $height,
                    $layer,
                    false,
                ),
                Bit::disc(
                    $key.'-left',
                    (string) Message::of('figure.of-a-pair.left', name: $name),
                    $tone,
                    -$x + $dx,
                    $y,
                    $width,
                    $height,
                    $layer,
                    false,
                ),
            ];
    }

    /** The upper part of the eye, a little larger than it, cut off level. */
    private static function lid(float $x, float $y, float $width, float $height, float $share): Bit
    {
        [$a, $b] = [(1.08 * $width) / 2, (1.08 * $height) / 2];
        $edge = asin(max(-0.99, min(0.99, 1 - 2 * $share)));
        $points = [];
        for ($i = 0; $i <= 12; $i++) {
            $t = $edge + ((M_PI - 2 * $edge) * $i) / 12;
            $points[] = [$a * cos($t), $b * sin($t)];
        }

        return Bit::patch('lid', (string) Message::of('face.bit.lid'), Tone::Skin, $x, $y, $points, [], 4, true, false);
    }
}
