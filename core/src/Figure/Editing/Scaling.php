<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Figure\Figure;
use stdClass;

/** Makes a figure document larger or smaller: the lengths that grow, and nothing else. */
final class Scaling
{
    /** Lengths that belong to the hand or the wool, not to the drawing. */
    private const KEPT = ['coverMm', 'ribbonMm', 'gaugeMm'];

    /**
     * The same figure at another finished height: every size, place and detail grows alike. Covers keep their thickness, which is a
     * habit of the hand and not of the drawing.
     */
    public static function to(Figure $figure, float $heightMm): Figure
    {
        return Figure::fromDocument(self::of($figure->document(), $heightMm / $figure->heightMm));
    }

    /**
     * @param  stdClass  $document  of a figure, or some of its parts with what lies on them; changed in place
     * @param  float  $factor  more than 0
     */
    public static function of(stdClass $document, float $factor): stdClass
    {
        if (isset($document->heightMm)) {
            $document->heightMm *= $factor;
        }
        // Of what is made flat, openings and the places of holes grow; ribbon, stitches and overlap are what they are.
        $flat = $document->flat ?? new stdClass;
        $base = $document->base ?? new stdClass;
        $drawn = [...$document->parts, ...$document->details ?? [], ...$document->wires ?? [], ...$flat->openings ?? []];
        // What is hidden in the base is moved, not made heavier: grams are chosen anew.
        foreach ([...$drawn, $base, ...$base->weights ?? []] as $member) {
            self::grow($member, $factor);
        }
        if (isset($flat->ribbon)) {
            $flat->ribbon->holesMm = self::times($flat->ribbon->holesMm, $factor);
        }
        foreach (['picture', 'sidePicture'] as $picture) {
            if (isset($document->{$picture})) {
                $document->{$picture}->mmPerPx *= $factor;
            }
        }

        return $document;
    }

    private static function grow(stdClass $member, float $factor): void
    {
        foreach (get_object_vars($member) as $name => $value) {
            // A member named by digits comes back as a number.
            $name = (string) $name;
            if ($value instanceof stdClass) {
                self::grow($value, $factor);
            } elseif (str_ends_with($name, 'Mm') && ! in_array($name, self::KEPT, true)) {
                $member->{$name} = self::times($value, $factor);
            }
        }
    }

    /** A length, or a list of points, times the factor. */
    private static function times(mixed $value, float $factor): mixed
    {
        return match (true) {
            is_int($value), is_float($value) => $value * $factor,
            is_array($value) => array_map(static fn (mixed $v): mixed => self::times($v, $factor), $value),
            default => $value,
        };
    }
}
