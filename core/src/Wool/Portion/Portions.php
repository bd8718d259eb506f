<?php

declare(strict_types=1);

namespace Impa\Wool\Portion;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Term\JoinBy;
use Impa\Material\CoreMaterial;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\Purpose;
use Impa\Wool\WoolRefused;

/** Divides what a figure takes before anything is felted: afterwards nobody can tell whether twins were equal. */
final class Portions
{
    /** From this thickness a core is built in layers (docs/trade.md, The order of the work). */
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
     * Twins first, then what is made once. Foam is no wool to be divided, and details are wisps.
     *
     * @param  array<string, float>  $ropes  grams per metre of what each colour is felted from, by colour key; 0 where it is no rope
     * @return list<Portion>
     */
    public static function of(Ledger $ledger, array $ropes = []): array
    {
        $portions = [];
        foreach ($ledger->lines as $line) {
            if ($line->purpose !== Purpose::Detail && $line->material !== CoreMaterial::Foam->value) {
                $portions[] = self::portion($line, $ledger, $ropes[$line->for->colour] ?? 0.0);
            }
        }
        usort($portions, static fn (Portion $a, Portion $b): int => $b->line->pieces <=> $a->line->pieces);

        return $portions;
    }

    /** @param  float  $gPerM  of the rope; 0 where it is none */
    private static function portion(LedgerLine $line, Ledger $ledger, float $gPerM): Portion
    {
        $part = $ledger->figure->parts[$line->for->part];
        $wool = $ledger->wool[$line->for->part];
        // What fills a part is built up in layers; so is a solid part, all of which is its cover.
        $coreMm = match (true) {
            // A cap is laid flat, over what it will lie on.
            $wool->seat->isOnto() => 0.0,
            $line->purpose === Purpose::Inside => $wool->inside?->size()->smallestMm() ?? 0.0,
            $line->purpose === Purpose::Cover && $wool->insideCm3 <= 0.0 => $part->solid->thinnestMm(),
            default => 0.0,
        };

        return new Portion(
            line: $line,
            cmEach: $gPerM > 0.0 && $line->purpose === Purpose::Cover ? 100 * $line->g / $gPerM : 0.0,
            fluffG: $line->purpose === Purpose::Cover ? self::fluffG($part, $line->g, $ledger->figure) : 0.0,
            layersG: self::layers($line->g, $coreMm),
        );
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

        return array_map(static fn (float $share): float => ($g * $share) / $whole, $ratio);
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
            $share = ((self::FIRST_MM + (($thickMm - self::FIRST_MM) * $k) / $wraps) / $thickMm) ** 3;
            $layers[] = $g * ($share - $before);
            $before = $share;
        }

        return $layers;
    }

    /** The end that stays loose to be stabbed into its neighbour, out of the part's own wool. */
    private static function fluffG(Part $part, float $coverG, Figure $figure): float
    {
        if (! $part->isJoined() || ! in_array($part->join->by, [JoinBy::Fluff, JoinBy::Slit], true)) {
            return 0.0;
        }
        $size = $part->solid->size();
        $other = $figure->parts[$part->join->to]->solid->size();
        // Two round parts touch over less than either is wide.
        $acrossMm = self::CONTACT * min($size->widthMm, $size->depthMm, $other->widthMm, $other->depthMm);
        $g = (((M_PI / 4) * $acrossMm ** 2 * min(self::FLUFF_MM, $size->heightMm / 4)) / 1000) * self::FLUFF_G_PER_CM3;

        return min($g, 0.25 * $coverG);
    }
}
