<?php

declare(strict_types=1);

namespace Impa\Seeing\Assembly;

use Impa\Colour\Srgb;
use Impa\Raster\Blob;
use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\Piece;

/** Names for what is colour on the surface, by place and kind, as suggestions. */
final class MarkNames
{
    /** What is so many times longer than wide is no eye. */
    private const LINE = 4.0;

    /** @param  list<Mark>  $all */
    public static function of(Mark $mark, Piece $piece, bool $isPair, array $all, Srgb $colour, float $axis): string
    {
        $blob = $mark->blob;
        $share = $blob->area() / max(1, $piece->blob->area());
        $up = ($blob->middle[1] - $piece->fit->y) / max(1.0, $piece->fit->heightPx / 2);
        $inMiddle = abs($blob->middle[0] - $axis) < 0.12 * $piece->fit->widthPx;
        $lab = $colour->lab();
        $isRosy = $lab->a > 15 && $lab->l > 45;
        $carries = array_filter(
            $all,
            static fn (Mark $m): bool => $m->on === $mark->on &&
                $m->layer > $mark->layer &&
                isset($blob->pixels[(int) array_key_first($m->blob->pixels)]),
        );

        return match (true) {
            str_starts_with($piece->name, 'Ear') => 'Inner ear',
            str_starts_with($piece->name, 'Body') && self::isFlatLine($blob) && $blob->box(0.0)[0] > 0.6 * $piece->fit->widthPx => 'Band',
            str_starts_with($piece->name, 'Body') && $share > 0.1 && $inMiddle => 'Belly',
            $mark->layer >= 2 && $lab->l > 85 && $share < 0.03 => 'Spark',
            $mark->layer >= 2 && $share < 0.06 && $lab->l < 40 => 'Pupil',
            $share > 0.15 => 'Patch',
            $isPair && $carries !== [] && $lab->l > 75 => 'Eye white',
            $isPair && $isRosy && $up < 0.15 => 'Cheek',
            $isPair && self::isFlatLine($blob) && $up > 0.1 => 'Brow',
            $isPair && $lab->l < 45 && $share < 0.08 && $blob->elongation() < self::LINE => 'Eye',
            $inMiddle && $up < -0.05 && $blob->box(0.0)[0] > 1.3 * $blob->box(0.0)[1] => 'Mouth',
            $inMiddle && abs($up) < 0.35 && $share < 0.08 => 'Nose',
            $blob->elongation() > self::LINE => 'Line',
            default => 'Spot',
        };
    }

    private static function isFlatLine(Blob $blob): bool
    {
        [$w, $h] = $blob->box(0.0);

        return $w > 2.2 * $h;
    }
}
