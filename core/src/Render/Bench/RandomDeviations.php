<?php

declare(strict_types=1);

namespace Impa\Render\Bench;

use Impa\Figure\Figure;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/** A figure as hands make it: a part too narrow, an ear too high, a mouth beside its place, by seed. For the stand-in of a camera. */
final class RandomDeviations
{
    private const COUNT = 3;

    /** So far off at least and at most, mm; no size by more than this share. */
    private const OFF_MM = [1.2, 3.5];

    private const SHARE = 0.15;

    public static function of(Figure $figure, int $seed): Figure
    {
        $random = new Randomizer(new Mt19937($seed));
        $document = $figure->document();
        for ($k = 0; $k < self::COUNT; $k++) {
            $off = $random->getInt((int) (10 * self::OFF_MM[0]), (int) (10 * self::OFF_MM[1])) / 10;
            $off = $random->getInt(0, 1) === 0 ? -$off : $off;
            $isDetail = $k === self::COUNT - 1;
            $list = $isDetail ? $document->details ?? [] : $document->parts ?? [];
            $one = is_array($list) && $list !== [] ? $list[$random->getInt(0, count($list) - 1)] : null;
            if ($one instanceof stdClass) {
                $isDetail ? self::detail($one, $off, $random->getInt(0, 1)) : self::part($one, $off, $random->getInt(0, 2));
            }
        }

        return Figure::fromDocument($document);
    }

    private static function part(stdClass $part, float $off, int $which): void
    {
        if ($which === 2 && $part->at instanceof stdClass) {
            $part->at->yMm = self::number($part->at->yMm ?? 0) + $off;

            return;
        }
        $size = $which === 0 ? 'widthMm' : 'heightMm';
        if ($part->shape instanceof stdClass && isset($part->shape->{$size})) {
            $mm = self::number($part->shape->{$size});
            $part->shape->{$size} = $mm + max(-self::SHARE * $mm, min(self::SHARE * $mm, $off));
        }
    }

    private static function detail(stdClass $detail, float $off, int $axis): void
    {
        if (is_array($detail->pointsMm ?? null)) {
            $detail->pointsMm = array_map(static function (mixed $point) use ($axis, $off): mixed {
                if (is_array($point)) {
                    $point[$axis] = self::number($point[$axis] ?? 0) + $off;
                }

                return $point;
            }, $detail->pointsMm);
        } else {
            $place = $axis === 0 ? 'xMm' : 'yMm';
            $detail->{$place} = self::number($detail->{$place} ?? 0) + $off;
        }
    }

    private static function number(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : 0.0;
    }
}
