<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Figure\Part;

/** Sums for what is not plain felt. Densities per metre and per area are house priors until weighed. */
final class Coverings
{
    /** Yarn for loops, g/m; a lay of tops and a wrapping ribbon, g/m per mm of their width (house priors). */
    public const YARN_G_PER_M = 0.4;

    private const G_PER_M_PER_MM = 0.06;

    /** Pre-felt and felted sheet, g/cm3 (SAE J314, soft grades about 0.18; pre-felt is softer). */
    private const SHEET_G_PER_CM3 = 0.12;

    /** Iron-on film fibres between the layers of a stiff sheet, g per cm2 (house prior). */
    private const FILM_G_PER_CM2 = 0.004;

    /** A plait of three strands takes so many times its length of each (common practice: a third more). */
    public const PLAIT_TAKE_UP = 1.33;

    /** What a fold-back at both ends of a wire takes, mm each (common practice). */
    private const FOLD_BACK_MM = 10.0;

    /** Waste where pieces are cut from a sheet, on its area, where no layout is known. */
    private const CUT_WASTE = 0.2;

    /**
     * @param  float  $areaCm2  the part's surface
     * @param  float  $gPerM  of the yarn or rope it is made from; 0 where unknown
     */
    public static function need(Part $part, float $areaCm2, float $gPerM = 0.0): CoveringNeed
    {
        $covering = $part->covering;
        $size = $part->solid->size();

        return match ($covering->way) {
            CoveringWay::Felt => new CoveringNeed(0.0, 0.0, 0, 0.0, 0.0, ''),
            CoveringWay::Loops => self::loops($covering, $areaCm2, $gPerM),
            CoveringWay::Tufts, CoveringWay::Locks => self::tufts($covering, $areaCm2),
            CoveringWay::Hair => self::hair($covering, $areaCm2, $size->widthMm),
            CoveringWay::Wrap => self::wrap($covering, min($size->widthMm, $size->depthMm), $size->heightMm),
            CoveringWay::Plait => self::plait($covering, $size->heightMm),
            CoveringWay::Film, CoveringWay::PreFelt => self::sheet($covering->way, self::faceCm2($part), $size->depthMm),
        };
    }

    /** Yarn of one square centimetre in metres: each loop goes up and down, and on to the next. */
    public static function loopMetresPerCm2(float $perCm2, float $heightMm): float
    {
        $pitchMm = 10 / sqrt($perCm2);

        return $perCm2 * (2 * $heightMm + $pitchMm) / 1000;
    }

    /** Ribbon in metres that winds round a rod: a helix that climbs by what its overlap leaves of its width at each turn. */
    public static function ribbonMetres(float $acrossMm, float $alongMm, float $ribbonMm, float $overlap): float
    {
        $climbMm = $ribbonMm * (1 - min(0.9, $overlap));

        return $alongMm / $climbMm * hypot(M_PI * $acrossMm, $climbMm) / 1000;
    }

    private static function loops(Covering $covering, float $areaCm2, float $gPerM): CoveringNeed
    {
        $count = (int) ceil($covering->perCm2 * $areaCm2);
        $metres = $areaCm2 * self::loopMetresPerCm2($covering->perCm2, $covering->lengthMm);

        return new CoveringNeed($metres * ($gPerM > 0.0 ? $gPerM : self::YARN_G_PER_M), $metres, $count, 0.0, 0.0,
            sprintf('%d loops of %.0f mm: push the yarn in every %.1f mm, leave a loop, go on.', $count, $covering->lengthMm, 10 / sqrt($covering->perCm2)));
    }

    private static function tufts(Covering $covering, float $areaCm2): CoveringNeed
    {
        $count = (int) ceil($covering->perCm2 * $areaCm2);
        $word = $covering->way === CoveringWay::Locks ? 'locks' : 'tufts';

        return new CoveringNeed($count * $covering->mgEach / 1000, 0.0, $count, 0.0, 0.0,
            sprintf('%d %s of %.0f mg and %.0f mm: begin at the foot, each row over the last one\'s roots.', $count, $word, $covering->mgEach, $covering->lengthMm));
    }

    /** Lays folded over their middle: each covers its width along the parting, and hangs down twice. */
    private static function hair(Covering $covering, float $areaCm2, float $acrossMm): CoveringNeed
    {
        // A parting runs over half the girth; rows stand a quarter of the hair's length apart, as far as the surface goes.
        $rows = max(1, (int) ceil(100 * $areaCm2 / 2 / max(1.0, M_PI / 2 * $acrossMm * $covering->lengthMm)));
        $count = $rows * (int) ceil(M_PI / 2 * $acrossMm / $covering->ribbonMm);
        $metres = $count * 2 * $covering->lengthMm / 1000;

        return new CoveringNeed($metres * $covering->ribbonMm * self::G_PER_M_PER_MM, $metres, $count, 0.0, 0.0,
            sprintf('%d lays of tops, %.0f mm wide and %.0f mm long: stab each across its middle, fold it over, %s.', $count, $covering->ribbonMm, 2 * $covering->lengthMm, $rows > 1 ? sprintf('%d rows from the neck upwards', $rows) : 'along the parting'));
    }

    private static function wrap(Covering $covering, float $acrossMm, float $alongMm): CoveringNeed
    {
        $metres = self::ribbonMetres($acrossMm, $alongMm + 2 * self::FOLD_BACK_MM, $covering->ribbonMm, $covering->overlap);

        return new CoveringNeed($metres * $covering->ribbonMm * self::G_PER_M_PER_MM, $metres, 0, 0.0, 0.0,
            sprintf('Wind a flat ribbon of %.0f mm round the wire, each turn %.0f %% over the last, not tight enough to bend it; it takes %.2f m, fold-backs included.', $covering->ribbonMm, 100 * $covering->overlap, $metres));
    }

    private static function plait(Covering $covering, float $alongMm): CoveringNeed
    {
        $strandM = $alongMm * self::PLAIT_TAKE_UP / 1000;

        return new CoveringNeed(3 * $strandM * $covering->ribbonMm * self::G_PER_M_PER_MM, 3 * $strandM, 3, 0.0, 0.0,
            sprintf('Plait three strands of %.0f mm, %.0f mm thick each: plaiting takes up a third.', 1000 * $strandM, $covering->ribbonMm));
    }

    private static function sheet(CoveringWay $way, float $faceCm2, float $thickMm): CoveringNeed
    {
        $areaCm2 = $faceCm2 * (1 + self::CUT_WASTE);
        $filmG = $way === CoveringWay::Film ? $areaCm2 * self::FILM_G_PER_CM2 : 0.0;

        return new CoveringNeed($areaCm2 * $thickMm / 10 * self::SHEET_G_PER_CM3, 0.0, 0, $areaCm2, $filmG, $way === CoveringWay::Film
            ? sprintf('Lay a thin sheet of %.0f cm2, film fibres between two layers, iron under a cloth at the lowest setting that melts them, cut the shape out.', $areaCm2)
            : sprintf('Cut from %.0f cm2 of sheet by the template on its size card.', $areaCm2));
    }

    /** Of a flat piece the outline; of anything else half its surface. */
    private static function faceCm2(Part $part): float
    {
        return $part->solid->kind()->isFlat() ? $part->solid->volumeCm3() / max(0.01, $part->solid->size()->depthMm / 10) : $part->solid->areaCm2() / 2;
    }
}
