<?php

declare(strict_types=1);

namespace Impa\Check\Photo;

use Generator;
use Impa\Colour\Srgb;
use Impa\Raster\Blob;

/**
 * What stands on the ground of a photo: the figure's cells, the largest piece and what is not much smaller, between the marks of a
 * sheet, without a ruler; where a sheet lies on a table, the sheet is the ground. Immutable.
 */
final readonly class ForegroundMask
{
    /** A figure has so many cells at least; a piece of it so much of the largest. */
    private const LEAST_CELLS = 60;

    private const LEAST_SHARE = 0.02;

    /** Felt of less chroma than this, not near black or white, could be the ground in a shadow. */
    private const GREY = 9.0;

    private const DARK = 40.0;

    private const LIGHT = 88.0;

    /** How much of the light the darkest shadow may leave, as it is tried by turns; 1: nothing is a shadow. */
    private const DARKEST = [0.45, 0.65, 0.8, 1.0];

    /** @param  array<int, true>  $cells */
    private function __construct(public PhotoGround $ground, public ?Marks $marks, public array $cells)
    {
    }

    /**
     * What may stand on a photo, the likeliest first: what is dim on the ground may be a shadow, or grey felt where the plan has that.
     *
     * @param  ?Scale  $scale  whose ruler is left out
     * @param  list<Srgb>  $colours  of the plan
     * @return Generator<int, self>
     *
     * @throws PhotoRefused if nothing stands there, it is cut off, or the ground is no ground
     */
    public static function on(Photo $photo, ?Scale $scale, array $colours): Generator
    {
        $greys = array_filter($colours, static function (Srgb $srgb): bool {
            $lab = $srgb->lab();

            return hypot($lab->a, $lab->b) < self::GREY && $lab->l > self::DARK && $lab->l < self::LIGHT;
        });
        $ground = PhotoGround::of($photo);
        $pieces = $ground->pieces();
        $marks = Marks::among($pieces, $ground, $photo);
        $sheet = $marks === null ? $ground->onSheet($photo) : null;
        if ($sheet !== null) {
            $onSheet = $sheet->pieces();
            $marks = Marks::among($onSheet, $sheet, $photo);
            [$ground, $pieces] = $marks === null ? [$ground, $pieces] : [$sheet, $onSheet];
        }
        $kept = match (true) {
            $marks !== null => self::between($marks, $pieces, $ground),
            $scale !== null => self::beside($scale, $pieces, $ground, $photo),
            default => $pieces,
        };
        $refused = null;
        $last = -1;
        foreach ($greys === [] ? self::DARKEST : array_reverse(self::DARKEST) as $darkest) {
            $figure = $ground->withoutShadow($kept, $darkest);
            $cells = array_sum(array_map(count(...), $figure));
            if ($cells !== $last) {
                try {
                    yield new self($ground, $marks, self::figure($figure, $ground));
                    $refused = false;
                } catch (PhotoRefused $why) {
                    $refused ??= $why;
                }
                $last = $cells;
            }
        }
        if ($refused instanceof PhotoRefused) {
            throw $refused;
        }
    }

    /**
     * @param  list<non-empty-array<int, true>>  $pieces
     * @return list<non-empty-array<int, true>>
     */
    private static function between(Marks $marks, array $pieces, PhotoGround $ground): array
    {
        $others = array_diff_key($pieces, array_flip($marks->places));

        return array_values(array_filter($others, static function (array $piece) use ($ground, $marks): bool {
            [$x, $y] = Blob::of($piece, $ground->width)->middle;

            return $marks->hold(PhotoGround::CELL * $x, -PhotoGround::CELL * $y);
        }));
    }

    /**
     * @param  list<non-empty-array<int, true>>  $pieces
     * @return list<non-empty-array<int, true>>
     */
    private static function beside(Scale $scale, array $pieces, PhotoGround $ground, Photo $photo): array
    {
        return array_values(array_filter($pieces, static fn (array $piece): bool => ! $scale->isOn($piece, $ground, $photo)));
    }

    /**
     * @param  list<non-empty-array<int, true>>  $pieces  the largest first
     * @return array<int, true>
     */
    private static function figure(array $pieces, PhotoGround $ground): array
    {
        $largest = count($pieces[0] ?? []);
        if ($largest < self::LEAST_CELLS) {
            throw PhotoRefused::nothingThere();
        }
        $cells = [];
        foreach ($pieces as $piece) {
            if (count($piece) > self::LEAST_SHARE * $largest) {
                foreach ($piece as $i => $_) {
                    [$x, $y] = [$i % $ground->width, intdiv($i, $ground->width)];
                    if (min($x, $y, $ground->width - 1 - $x, $ground->height - 1 - $y) < 1) {
                        throw PhotoRefused::cutOff();
                    }
                }
                $cells += $piece;
            }
        }

        return $cells;
    }
}
