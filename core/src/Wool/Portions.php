<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Figure\Figure;
use Impa\Figure\JoinBy;
use Impa\Figure\Part;

/** Divides what a figure takes before anything is felted: afterwards nobody can tell whether twins were equal. */
final class Portions
{
    /** From this thickness a core is built in layers (trade.md, section 2: a small tight ball, then wrap more). */
    private const LAYERED_FROM_MM = 25.0;

    /** The first tight ball, and how thick one wrap is (common practice). */
    private const FIRST_MM = 15.0;

    private const WRAP_MM = 8.0;

    /** How long a fluff end is left, in mm, at most a quarter of the part; and how loose it stays (common practice). */
    private const FLUFF_MM = 8.0;

    private const FLUFF_G_PER_CM3 = 0.05;

    /** Share of the thinner one's width over which two parts are joined (house prior). */
    private const CONTACT = 0.7;

    /** More than so many wraps nobody counts. */
    private const MOST_LAYERS = 8;

    /**
     * Twins first, then sets, then what is made once.
     *
     * @param  array<string, PartWool>  $wool  by part key
     * @param  array<string, float>  $ropes  grams per metre of what each colour is felted from, by colour key; 0 where it is no rope
     * @return list<Portion>
     */
    public static function of(Figure $figure, array $wool, array $ropes = []): array
    {
        $portions = [];
        foreach ($figure->parts as $key => $part) {
            $need = $wool[$key];
            $count = $part->count();
            if ($need->coreG() > 0.0 && $need->coreMaterial() !== CoreMaterial::Foam) {
                $portions[] = new Portion($part->key, $need->coreMaterial()->value, '', $count * $need->coreG(), $count, 0.0, 0.0, self::layers($need->coreG(), $part->solid->thinnestMm() - 2 * $part->coverMm));
            }
            if ($need->coverG() > 0.0 && ! $part->covering->way->replacesCover()) {
                $rope = $ropes[$part->colour] ?? 0.0;
                $portions[] = new Portion($part->key, 'wool', $part->colour, $count * $need->coverG(), $count, $rope > 0.0 ? 100 * $need->coverG() / $rope : 0.0, self::fluffG($part, $need, $figure), $need->insideCm3 > 0.0 ? [$need->coverG()] : self::layers($need->coverG(), $part->solid->thinnestMm()));
            }
        }
        usort($portions, static fn (Portion $a, Portion $b): int => $b->pieces <=> $a->pieces);

        return $portions;
    }

    /**
     * A weight divided by a ratio, such as 3 : 2 : 2 for a nose and two cheeks.
     *
     * @param  non-empty-list<float>  $ratio  each more than 0
     * @return list<float> grams
     *
     * @throws WoolRefused if a share is not more than 0
     */
    public static function split(float $g, array $ratio): array
    {
        if (! is_finite($g) || $g < 0.0 || min($ratio) <= 0.0 || ! is_finite(array_sum($ratio))) {
            throw WoolRefused::ratioMustBePositive();
        }
        $whole = array_sum($ratio);

        return array_map(static fn (float $share): float => $g * $share / $whole, $ratio);
    }

    /**
     * Grams of each layer of one piece: a small tight ball first, then wraps of even thickness, each as the same shape
     * grown, so that a layer takes what lies between two cubes.
     *
     * @return list<float>
     */
    private static function layers(float $g, float $thickMm): array
    {
        if ($thickMm <= self::LAYERED_FROM_MM) {
            return [$g];
        }
        $wraps = min(self::MOST_LAYERS - 1, max(1, (int) round(($thickMm - self::FIRST_MM) / 2 / self::WRAP_MM)));
        $layers = [];
        $before = 0.0;
        for ($k = 0; $k <= $wraps; $k++) {
            $share = ((self::FIRST_MM + ($thickMm - self::FIRST_MM) * $k / $wraps) / $thickMm) ** 3;
            $layers[] = $g * ($share - $before);
            $before = $share;
        }

        return $layers;
    }

    /** The end that stays loose to be stabbed into its neighbour, out of the part's own wool. */
    private static function fluffG(Part $part, PartWool $need, Figure $figure): float
    {
        if (! $part->isJoined() || ! in_array($part->joinBy, [JoinBy::Fluff, JoinBy::Slit], true)) {
            return 0.0;
        }
        $size = $part->solid->size();
        $other = $figure->parts[$part->joinTo]->solid->size();
        // Two round parts touch over less than either is wide.
        $acrossMm = self::CONTACT * min($size->widthMm, $size->depthMm, $other->widthMm, $other->depthMm);
        $g = M_PI / 4 * $acrossMm ** 2 * min(self::FLUFF_MM, $size->heightMm / 4) / 1000 * self::FLUFF_G_PER_CM3;

        return min($g, 0.25 * $need->coverG());
    }
}
