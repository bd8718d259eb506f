<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Geometry\Box;
use Impa\Geometry\Outline\Hull;
use Impa\Geometry\Outline\Polygon;
use Impa\Geometry\Outline\SkylinePacking;

/**
 * Pieces laid on sheets of one colour so that few sheets are cut and the last is kept as whole as can be. Each by the smallest box it can
 * be turned into (where the felt has no grain), with room for the scissors. Immutable.
 */
final readonly class Nesting
{
    /** Room for the scissors between two pieces, mm. */
    public const MARGIN_MM = 2.0;

    /**
     * @param  list<array{piece: int, sheet: int, outline: list<array{float, float}>}>  $placed  outlines from the sheet's lower left corner
     * @param  int  $sheets  that are cut
     * @param  float  $lengthMm  of the last sheet that is used
     * @param  float  $waste  share of the used felt that is no piece
     */
    private function __construct(
        public FeltSheet $sheet,
        public array $placed,
        public int $sheets,
        public float $lengthMm,
        public float $waste,
    ) {
    }

    /**
     * @param  list<array{string, list<array{float, float}>}>  $pieces  name and outline as it is cut, mm
     *
     * @throws FlatRefused if a piece is larger than the sheet
     */
    public static function of(array $pieces, FeltSheet $sheet): self
    {
        $turned = array_map(
            static fn (array $p): array => $sheet->hasGrain ? self::upright($p[1], 0.0) : self::smallest($p[1], $sheet),
            $pieces,
        );
        $sizes = array_map(static function (array $outline): array {
            $box = Box::around($outline);

            return [$box->width() + self::MARGIN_MM, $box->height() + self::MARGIN_MM];
        }, $turned);
        [$width, $height] = [$sheet->widthMm + self::MARGIN_MM, $sheet->heightMm + self::MARGIN_MM];
        foreach ($sizes as $i => [$w, $h]) {
            $fits = ($w <= $width && $h <= $height) || (! $sheet->hasGrain && $h <= $width && $w <= $height);
            if (! $fits) {
                $box = Box::around($pieces[$i][1]);

                throw FlatRefused::sheetTooSmall($pieces[$i][0], $box->width(), $box->height(), $sheet->words());
            }
        }
        $packing = SkylinePacking::of($sizes, $width, $height, ! $sheet->hasGrain, SkylinePacking::THOROUGH);
        $placed = [];
        foreach ($packing->places as $i => $at) {
            $outline = $at['isTurned'] ? self::upright($turned[$i], M_PI / 2) : $turned[$i];
            $placed[] = [
                'piece' => $i,
                'sheet' => $at['sheet'],
                'outline' => array_map(static fn (array $p): array => [$p[0] + $at['x'], $p[1] + $at['y']], $outline),
            ];
        }
        $lengthMm = max(0.0, $packing->length - self::MARGIN_MM);
        $used = $packing->sheets === 0 ? 0.0 : $sheet->widthMm * (($packing->sheets - 1) * $sheet->heightMm + $lengthMm);
        $area = array_sum(array_map(static fn (array $p): float => abs(Polygon::signedArea($p[1])), $pieces));

        return new self($sheet, $placed, $packing->sheets, $lengthMm, $used > 0.0 ? 1 - $area / $used : 0.0);
    }

    /**
     * Turned so that its box is smallest: one side of that lies along an edge of the convex hull (Freeman and Shapira 1975).
     *
     * @param  list<array{float, float}>  $outline
     * @return list<array{float, float}> from its box's lower left corner
     */
    private static function smallest(array $outline, FeltSheet $sheet): array
    {
        $hull = Hull::of($outline);
        $best = self::upright($outline, 0.0);
        $box = Box::around($best);
        $least = $box->width() * $box->height();
        $isFitting = self::fits($box, $sheet);
        foreach ($hull as $i => [$x, $y]) {
            [$nx, $ny] = $hull[($i + 1) % count($hull)];
            $tried = self::upright($hull, -atan2($ny - $y, $nx - $x));
            $box = Box::around($tried);
            $area = $box->width() * $box->height();
            $fits = self::fits($box, $sheet);
            if (($fits && ! $isFitting) || ($fits === $isFitting && $area < $least * (1 - 1e-6))) {
                [$least, $isFitting] = [$area, $fits];
                $best = self::upright($outline, -atan2($ny - $y, $nx - $x));
            }
        }

        return $best;
    }

    private static function fits(Box $box, FeltSheet $sheet): bool
    {
        return min($box->width(), $box->height()) <= min($sheet->widthMm, $sheet->heightMm)
            && max($box->width(), $box->height()) <= max($sheet->widthMm, $sheet->heightMm);
    }

    /**
     * @param  list<array{float, float}>  $outline
     * @return list<array{float, float}> turned by an angle, from its box's lower left corner
     */
    private static function upright(array $outline, float $angle): array
    {
        [$c, $s] = [cos($angle), sin($angle)];
        $turned = array_map(static fn (array $p): array => [$p[0] * $c - $p[1] * $s, $p[0] * $s + $p[1] * $c], $outline);
        $box = Box::around($turned);

        return array_map(static fn (array $p): array => [$p[0] - $box->left, $p[1] - $box->low], $turned);
    }
}
