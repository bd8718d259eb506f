<?php

declare(strict_types=1);

namespace Impa\Colour;

use Impa\Voice\Message;

/** A plain word for a colour, so that nobody has to read hex: in English, from which keys are made, and as the felter reads it. */
final class ColourWords
{
    /** Upper hue in degrees of Lab (atan2 b, a) and its word (house choice). */
    private const HUES = [
        20 => 'Pink',
        55 => 'Red',
        75 => 'Orange',
        100 => 'Yellow',
        125 => 'Lime',
        165 => 'Green',
        215 => 'Teal',
        275 => 'Blue',
        320 => 'Violet',
        345 => 'Magenta',
        361 => 'Pink',
    ];

    public static function of(Srgb $colour): string
    {
        $lab = $colour->lab();
        $chroma = hypot($lab->a, $lab->b);
        if ($chroma < 9) {
            return match (true) {
                $lab->l > 93 => 'White',
                $lab->l > 75 => 'Light grey',
                $lab->l > 45 => 'Grey',
                $lab->l > 22 => 'Charcoal',
                default => 'Black',
            };
        }
        $hue = rad2deg(atan2($lab->b, $lab->a));
        $hue = $hue < 0 ? $hue + 360 : $hue;
        $word = 'Pink';
        foreach (self::HUES as $upTo => $name) {
            if ($hue < $upTo) {
                $word = $name;
                break;
            }
        }
        if (in_array($word, ['Red', 'Orange', 'Yellow'], true) && $chroma < 45) {
            return $lab->l > 82 ? 'Cream' : ($lab->l > 62 ? 'Sand' : 'Brown');
        }

        if ($word === 'Pink' && $lab->l < 50) {
            return $lab->l < 25 ? 'Plum' : 'Berry';
        }

        return match (true) {
            $lab->l > 78 && $chroma < 45 => 'Pale '.strtolower($word),
            $lab->l < 35 => 'Dark '.strtolower($word),
            default => $word,
        };
    }

    /** In the felter's language. */
    public static function said(Srgb $colour): string
    {
        return (string) Message::of('colour.'.strtolower(str_replace(' ', '-', self::of($colour))));
    }
}
