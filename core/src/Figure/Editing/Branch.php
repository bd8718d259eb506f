<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Colour\ColourWords;
use Impa\Colour\Srgb;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use stdClass;

/** A figure of its own from another one: the same, larger or smaller, in other colours. */
final class Branch
{
    /** At most so much smaller and larger. */
    private const FACTORS = [0.1, 10.0];

    /**
     * @param  array<string, string>  $hexes  the new colours by key; the others stay
     *
     * @throws FigureRefused if the figure so changed has faults
     * @throws EditRefused if the size is out of range, or there is no such colour
     */
    public static function of(Figure $figure, string $name, float $factor, array $hexes): Figure
    {
        if (is_nan($factor) || $factor < self::FACTORS[0] || $factor > self::FACTORS[1]) {
            throw EditRefused::sizeOutOfRange(self::FACTORS[0], self::FACTORS[1]);
        }
        $document = $factor === 1.0 ? $figure->document() : Scaling::of($figure->document(), $factor);
        $document->name = $name;
        $areHexes = true;
        foreach ($hexes as $key => $hex) {
            $colour = self::colour($document, (string) $key) ?? throw EditRefused::noSuchColour((string) $key);
            $isHex = preg_match('/^#[0-9a-f]{6}$/iD', $hex) === 1;
            $areHexes = $areHexes && $isHex;
            $colour->hex = $hex;
            // A name that said another colour, and the mix it was made of, say nothing of this one.
            unset($colour->mix);
            $colour->name = $isHex ? ColourWords::said(Srgb::hex($hex)) : $hex;
        }

        // What is only coloured otherwise need not be read anew: a choir of twenty would be read twenty times.
        return $factor === 1.0 && $areHexes ? $figure->recoloured($document) : Figure::fromDocument($document);
    }

    private static function colour(stdClass $document, string $key): ?stdClass
    {
        foreach (is_array($document->colours ?? null) ? $document->colours : [] as $colour) {
            if ($colour instanceof stdClass && ($colour->key ?? '') === $key) {
                return $colour;
            }
        }

        return null;
    }
}
