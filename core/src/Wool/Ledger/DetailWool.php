<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

use Impa\Figure\Detail;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\Keep;
use Impa\Figure\Term\Method;
use Impa\Geometry\Outline\Polyline;
use Impa\Material\Densities;
use Impa\Surface\Skin;
use Impa\Surface\Surface;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;

/** The wisp that one detail takes. */
final class DetailWool
{
    /**
     * Grams of wool for one piece; none for what is not felted. What is drawn round the edge of its part covers more of the skin than
     * is seen; what keeps its size lies on it as large as it is.
     *
     * @param  ?Surface  $surface  of what it lies on, seen from its side; none where that is flat
     */
    public static function g(Detail $detail, ?Surface $surface): ?Traced
    {
        if ($detail->method !== Method::Felt) {
            return null;
        }
        $more = match (true) {
            $surface === null || $detail->lie->keep === Keep::InSize => 1.0,
            $detail->drawn->kind === DetailKind::Line => self::longer($surface, $detail->outline()),
            default => Skin::under($surface, $detail->outline()),
        };

        $seen = Traced::given('seen-area', $detail->drawn->areaMm2() / 100, Measure::Area, Source::Figure);

        return Densities::wisp($more === 1.0 ? $seen : Traced::product(
            'skin-area',
            Measure::Area,
            $seen,
            Traced::plain('skin-by-seen', $more, Source::Shapes),
        ));
    }

    /**
     * How much longer a line lies on the skin than it is seen; its width is its own.
     *
     * @param  non-empty-list<array{float, float}>  $course
     */
    private static function longer(Surface $surface, array $course): float
    {
        $seenMm = Polyline::length($course);
        $onSkinMm = 0.0;
        $before = NAN;
        foreach ($course as $i => [$x, $y]) {
            $height = $surface->heightMm($x, $y, $before);
            if ($i > 0) {
                $rise = $height - $before;
                $onSkinMm += hypot(hypot($x - $course[$i - 1][0], $y - $course[$i - 1][1]), is_nan($rise) ? 0.0 : $rise);
            }
            $before = $height;
        }

        return $seenMm > 0.0 ? $onSkinMm / $seenMm : 1.0;
    }
}
