<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Shared;
use Impa\Geometry\Outline\Polygon;
use Impa\Material\Covering;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Material\WireMaterial;
use Impa\Trace\By;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Amount;
use Impa\Voice\Measure;
use Impa\Voice\Message;
use Impa\Voice\Voice;
use Impa\Voice\Writer;

/** Sums for what is not plain felt. What a metre or an area weighs is said by Densities. */
final class Coverings
{
    /** A plait of three strands takes so many times its length of each (common practice: a third more). */
    public const PLAIT_TAKE_UP = 1.33;

    /**
     * What one piece's covering takes; nothing for plain felt.
     *
     * @param  ?Part  $host  what it is felted onto; none where it is made as it is drawn
     */
    public static function need(Part $part, Densities $densities, ?Part $host = null): CoveringNeed
    {
        $covering = $part->made->covering;
        $size = $part->solid->size();
        $areaCm2 = static fn (): float => self::areaCm2($part, $host);

        return match ($covering->way) {
            CoveringWay::Felt => new CoveringNeed,
            CoveringWay::Loops => self::loops($covering, $areaCm2(), $densities->yarn($part->colour)),
            CoveringWay::Tufts, CoveringWay::Locks, CoveringWay::Curls => self::setIn($covering, $areaCm2()),
            CoveringWay::Hair => self::hair($covering, $areaCm2(), $size->widthMm),
            CoveringWay::Wrap => self::wrap($covering, min($size->widthMm, $size->depthMm), $size->heightMm),
            CoveringWay::Plait => self::plait($covering, $size->heightMm),
            CoveringWay::Film, CoveringWay::PreFelt => self::sheet($part),
        };
    }

    /** The skin of one piece that is to be covered: what lies within the part it is felted onto is not. */
    public static function areaCm2(Part $part, ?Part $host): float
    {
        $hidden = $host === null ? 0.0 : Shared::skin(Placement::of($part), $host->placements());

        return $part->solid->areaCm2() * (1 - $hidden);
    }

    /** Whether the piece is nothing but its covering: a plait, or a flat piece cut from a sheet. */
    public static function isWhole(Part $part): bool
    {
        return $part->made->covering->way === CoveringWay::Plait || self::isCut($part);
    }

    /** Yarn of one square centimetre in metres: each loop goes up and down, and on to the next. */
    public static function loopMetresPerCm2(float $perCm2, float $heightMm): float
    {
        $pitchMm = 10 / sqrt($perCm2);

        return ($perCm2 * (2 * $heightMm + $pitchMm)) / 1000;
    }

    /** Ribbon in metres that winds round a rod: a helix that climbs by what its overlap leaves of its width at each turn. */
    public static function ribbonMetres(float $acrossMm, float $alongMm, float $ribbonMm, float $overlap): float
    {
        $climbMm = $ribbonMm * (1 - min(0.9, $overlap));

        return (($alongMm / $climbMm) * hypot(M_PI * $acrossMm, $climbMm)) / 1000;
    }

    private static function loops(Covering $covering, float $areaCm2, Traced $yarn): CoveringNeed
    {
        $count = (int) ceil($covering->perCm2 * $areaCm2);
        $metres = $areaCm2 * self::loopMetresPerCm2($covering->perCm2, $covering->lengthMm);

        $wool = Traced::product('covering', Measure::Mass, Densities::metres($metres), $yarn);

        return new CoveringNeed(
            wool: $wool,
            finishedG: $wool->is,
            metres: $metres,
            count: $count,
            text: Message::of(
                'wool.coverings.loops-of-push',
                count: $count,
                length: Amount::mm($covering->lengthMm),
                mm: Amount::mm(10 / sqrt($covering->perCm2)),
            ),
        );
    }

    private static function setIn(Covering $covering, float $areaCm2): CoveringNeed
    {
        $count = (int) ceil($covering->perCm2 * $areaCm2);
        $wool = Traced::product(
            'covering',
            Measure::Mass,
            Traced::plain('covering-count', $count, Source::Shapes),
            Traced::given('covering-each', $covering->mgEach / 1000, Measure::Mass, Source::Figure),
        );

        return new CoveringNeed(
            wool: $wool,
            finishedG: $wool->is,
            count: $count,
            text: Message::of(
                'wool.coverings.of-and-begin',
                way: $covering->way->words($count),
                piece: Writer::of(Voice::current())->piece($wool->is, $count),
                length: Amount::mm($covering->lengthMm),
                hold: $covering->way->hold(),
            ),
        );
    }

    /** Lays folded over their middle: each covers its width along the parting, and hangs down twice. */
    private static function hair(Covering $covering, float $areaCm2, float $acrossMm): CoveringNeed
    {
        // A parting runs over half the girth; rows stand a hair's length apart over half of its skin.
        $partingMm = M_PI / 2 * $acrossMm;
        $rows = max(1, (int) ceil(100 * $areaCm2 / 2 / max(1.0, $partingMm * $covering->lengthMm)));
        $count = $rows * (int) ceil($partingMm / $covering->ribbonMm);
        $metres = $count * 2 * $covering->lengthMm / 1000;
        $wool = Densities::ribbon($metres, $covering->ribbonMm);

        return new CoveringNeed(
            wool: $wool,
            finishedG: $wool->is,
            metres: $metres,
            count: $count,
            text: Message::of(
                'wool.coverings.hair',
                count: $count,
                wide: Amount::mm($covering->ribbonMm),
                long: Amount::mm(2 * $covering->lengthMm),
                rows: $rows,
            ),
        );
    }

    private static function wrap(Covering $covering, float $acrossMm, float $alongMm): CoveringNeed
    {
        $metres = self::ribbonMetres($acrossMm, $alongMm + 2 * WireMaterial::FOLD_BACK_MM, $covering->ribbonMm, $covering->overlap);
        $wool = Densities::ribbon($metres, $covering->ribbonMm);

        return new CoveringNeed(
            wool: $wool,
            finishedG: $wool->is,
            metres: $metres,
            text: Message::of(
                'wool.coverings.wind-of-flat-ribbon',
                mm: Amount::mm($metres * 1000),
                ribbon: Amount::mm($covering->ribbonMm),
                overlap: Amount::share($covering->overlap),
            ),
        );
    }

    private static function plait(Covering $covering, float $alongMm): CoveringNeed
    {
        $strandM = $alongMm * self::PLAIT_TAKE_UP / 1000;
        $wool = Densities::ribbon(3 * $strandM, $covering->ribbonMm);

        return new CoveringNeed(
            wool: $wool,
            finishedG: $wool->is,
            metres: 3 * $strandM,
            count: 3,
            text: Message::of(
                'wool.coverings.plait-three-strands',
                mm: Amount::mm(1000 * $strandM),
                ribbon: Amount::mm($covering->ribbonMm),
            ),
        );
    }

    /** Whether the piece is cut from a sheet: its rim is as thick as the rest of it, and is trimmed, not felted. */
    public static function isCut(Part $part): bool
    {
        return in_array($part->made->covering->way, [CoveringWay::Film, CoveringWay::PreFelt], true) && $part->solid->kind()->isFlat();
    }

    /** A flat piece is cut out as thick as it is; round anything else a sheet as thick as the cover is laid. */
    private static function sheet(Part $part): CoveringNeed
    {
        $size = $part->solid->size();
        [$faceCm2, $thickMm] = $part->solid->kind()->isFlat()
            ? [Polygon::signedArea($part->solid->front()[0]) / 100, $size->depthMm]
            : [$part->solid->areaCm2(), max(1.0, $part->made->coverMm)];
        $isFilm = $part->made->covering->way === CoveringWay::Film;
        $sheet = Traced::product(
            'sheet-area',
            Measure::Area,
            Traced::given('cut-area', $faceCm2, Measure::Area, Source::Shapes),
            Traced::plain('with-cut-waste', 1 + Densities::CUT_WASTE, Source::House),
        );
        $areaCm2 = $sheet->is;
        $film = ! $isFilm ? null : Traced::product(
            'film',
            Measure::Mass,
            Traced::quotient(
                'square-centimetres',
                Measure::Number,
                $sheet,
                Traced::given('one-square-centimetre', 1.0, Measure::Area, Source::Unit),
            ),
            Traced::given('film-of-a-square-centimetre', Densities::FILM_G_PER_CM2, Measure::Mass, Source::House),
        );
        $wool = Traced::product(
            'covering',
            Measure::Mass,
            Traced::by(
                By::Layer,
                'sheet-volume',
                Measure::Volume,
                $sheet,
                Traced::given('sheet-thickness', $thickMm, Measure::Length, Source::Figure),
            ),
            Traced::given('sheet-density', Densities::SHEET, Measure::Density, Source::House),
        );

        return new CoveringNeed(
            wool: $wool,
            finishedG: ($wool->is + ($film->is ?? 0.0)) / (1 + Densities::CUT_WASTE),
            areaCm2: $areaCm2,
            film: $film,
            text: $isFilm
                ? Message::of('wool.coverings.lay-a-thin-sheet', areaCm2: Amount::cm2($areaCm2))
                : Message::of('wool.coverings.cut-from-of-sheet', areaCm2: Amount::cm2($areaCm2)),
        );
    }
}
