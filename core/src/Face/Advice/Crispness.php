<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

use Impa\Face\DetailGround;
use Impa\Face\Needles;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\Method;
use Impa\Geometry\Box;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;

/** The smallest detail that wool still holds cleanly (docs/trade.md, Sums). */
final class Crispness
{
    public const SPOT_MM = 2.0;

    public const LINE_MM = 1.0;

    public const SPARK_MM = 1.0;

    /** A disc laid on another detail and lighter than it by so much (L of Lab) is a spark: the glint in an eye. */
    private const LIGHTER_BY = 20.0;

    /** The least width in mm that the detail's method can hold with the needles at hand; 0 for what is not felted. */
    public static function leastMm(Figure $figure, Detail $detail, Needles $needles): float
    {
        return self::least($figure, $detail, $needles)->is ?? 0.0;
    }

    /** The same, and how it comes about; nothing for what is not felted. */
    public static function least(Figure $figure, Detail $detail, Needles $needles): ?Traced
    {
        if ($detail->method !== Method::Felt) {
            return null;
        }
        [$code, $mm] = match (true) {
            $detail->drawn->kind === DetailKind::Line => ['clean-line', self::LINE_MM],
            self::isSpark($figure, $detail) => ['clean-spark', self::SPARK_MM],
            default => ['clean-spot', self::SPOT_MM],
        };

        return Traced::product(
            'least-width',
            Measure::Length,
            Traced::given($code, $mm, Measure::Length, Source::House),
            Traced::given('coarser-needle', $needles->coarser(), Measure::Number, Source::Own, gauge: $needles->finest()),
        );
    }

    public static function isSpark(Figure $figure, Detail $detail): bool
    {
        if ($detail->drawn->kind !== DetailKind::Disc || ! DetailGround::isDetail($figure, $detail)) {
            return false;
        }
        $light = static fn (string $colour): float => $figure->colours[$colour]->srgb->lab()->l;

        return $light($detail->colour) - $light(DetailGround::colour($figure, $detail)) > self::LIGHTER_BY;
    }

    /** The detail's own least width in mm. */
    public static function widthMm(Detail $detail): float
    {
        if ($detail->drawn->kind === DetailKind::Line) {
            // A line may run out to its ends; what counts is what lies between.
            return match (count($detail->drawn->widthsMm)) {
                0 => $detail->drawn->widthMm,
                1, 2 => max($detail->drawn->widthsMm),
                default => min($detail->drawn->widthsMm[1], ...array_slice($detail->drawn->widthsMm, 1, -1)),
            };
        }
        if ($detail->drawn->kind !== DetailKind::Patch) {
            return min($detail->drawn->widthMm, $detail->drawn->heightMm);
        }
        $box = Box::around($detail->outline());

        return min($box->width(), $box->height());
    }
}
