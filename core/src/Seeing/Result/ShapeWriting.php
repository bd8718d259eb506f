<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Seeing\Fitting\Candidates;
use Impa\Seeing\Fitting\Fit;
use Impa\Shape\ShapeKind;

/** Writes a seen shape as a document has it: kind, dimensions in mm, and its own numbers. */
final class ShapeWriting
{
    /** What the front alone says of how deep a part is, until the felter or a drawing from the side says otherwise. */
    public const GUESSED = 'guessed';

    /** The thinnest plate that is suggested, and the thickest, in mm (house choice). */
    private const PLATE_MM = [3.0, 6.0];

    /** An outline of its own is felted as a cushion, not a plate, from this area on, and so thick as a share of its width. */
    private const CUSHION_CM2 = 4.0;

    private const CUSHION_DEPTH = 0.55;

    /**
     * @param  bool  $isThin  whether the part is a plate by its nature, however large: an ear, a wing
     * @param  float  $stepMm  sizes in such steps; 0 for as seen
     * @return array<string, mixed>&array{widthMm: float, heightMm: float, depthMm: float}
     */
    public static function of(Fit $fit, float $mmPerPx, bool $isThin, float $stepMm = 0.0): array
    {
        $isCushion = $fit->isFlat() && ! $isThin && ($fit->widthPx * $fit->heightPx * $mmPerPx ** 2) / 100 > self::CUSHION_CM2;
        $fit = $isCushion ? $fit->withDepthShare(max($fit->depthShare, self::CUSHION_DEPTH)) : $fit;
        $depth = $fit->depthPx() * $mmPerPx;
        $shape = [
            'kind' => $fit->kind->value,
            'widthMm' => self::stepped(self::size($fit->widthPx * $mmPerPx), $stepMm),
            'heightMm' => self::stepped(self::size($fit->heightPx * $mmPerPx), $stepMm),
            'depthMm' => max(
                0.3,
                round($fit->isFlat() && ! $isCushion ? min(max($depth, self::PLATE_MM[0]), self::PLATE_MM[1]) : $depth, 1),
            ),
        ];
        if ($fit->kind === ShapeKind::Ring) {
            // Rounded sizes must still leave a hole.
            $shape['depthMm'] = min($shape['depthMm'], Candidates::THICKEST_RING * min($shape['widthMm'], $shape['heightMm']));
        }
        foreach (['taper', 'bendDeg'] as $number) {
            if (isset($fit->options[$number])) {
                $shape[$number] = round($fit->options[$number], 2);
            }
        }
        foreach (Fit::LENGTHS as $end) {
            if (isset($fit->options[$end])) {
                $shape[$end] = self::size($fit->options[$end] * $mmPerPx);
            }
        }
        if (isset($fit->options['outline'])) {
            $outline = $fit->options['outline'];
            $shape['outline'] = is_string($outline)
                ? $outline
                : array_map(static fn (array $p): array => [round($p[0] * $mmPerPx, 2), round($p[1] * $mmPerPx, 2)], $outline);
        }

        return $shape;
    }

    /** A length as the document takes it. */
    public static function size(float $mm): float
    {
        return min(2000.0, max(0.3, round($mm, 2)));
    }

    private static function stepped(float $mm, float $step): float
    {
        return $step > 0.0 ? max($step, round($mm / $step) * $step) : $mm;
    }
}
