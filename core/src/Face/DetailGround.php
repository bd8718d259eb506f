<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Colour\Ciede2000;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Term\DetailKind;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;
use WeakMap;

/** What a detail really lies on: the topmost lower detail under its middle, else the part itself. */
final class DetailGround
{
    /**
     * @var ?WeakMap<Figure, array<string, array{
     *     string, bool,
     * }>> by figure and key of a detail: the key of the colour it lies on, and whether that is another detail's
     */
    private static ?WeakMap $known = null;

    /** Key of the colour it lies on. */
    public static function colour(Figure $figure, Detail $detail): string
    {
        return self::known($figure)[$detail->key][0];
    }

    /** Whether it lies on another detail, not on the bare part. */
    public static function isDetail(Figure $figure, Detail $detail): bool
    {
        return self::known($figure)[$detail->key][1];
    }

    /** CIEDE2000 between a detail and what it lies on. */
    public static function difference(Figure $figure, Detail $detail): float
    {
        return Ciede2000::between(
            $figure->colours[$detail->colour]->srgb->lab(),
            $figure->colours[self::colour($figure, $detail)]->srgb->lab(),
        );
    }

    /** @return array<string, array{string, bool}> */
    private static function known(Figure $figure): array
    {
        self::$known ??= new WeakMap();

        return self::$known[$figure] ??= self::all($figure);
    }

    /** @return array<string, array{string, bool}> */
    private static function all(Figure $figure): array
    {
        $grounds = [];
        foreach (array_keys($figure->parts) as $part) {
            $lower = [];
            foreach ($figure->detailsOn((string) $part) as $detail) {
                $outline = $detail->outline();
                $box = Box::around($outline);
                [$x, $y] = $box->middle();
                $grounds[$detail->key] = [$figure->parts[$part]->colour, false];
                foreach ($lower as [$under, $loop, $around, $centre]) {
                    [$lie, $on] = [$under->lie, $detail->lie];
                    $ways = $lie->mirror ? [1, -1] : [1];
                    foreach ($lie->layer < $on->layer && $lie->side === $on->side ? $ways : [] as $way) {
                        if ($around->has($way * $x, $y) && Polygon::reach($loop, $centre[0], $centre[1], $way * $x, $y) <= 1.0) {
                            $grounds[$detail->key] = [$under->colour, true];
                        }
                    }
                }
                if ($detail->drawn->kind !== DetailKind::Line) {
                    $lower[] = [$detail, $outline, $box, Polygon::centroid($outline)];
                }
            }
        }

        return $grounds;
    }
}
