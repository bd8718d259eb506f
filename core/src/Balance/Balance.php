<?php

declare(strict_types=1);

namespace Impa\Balance;

use Impa\Figure\Figure;
use Impa\Figure\Pose;
use Impa\Wool\Ledger;
use Impa\Wool\Purpose;

/** Where the figure's weight lies, and how far it can lean before it falls. Immutable. */
final readonly class Balance
{
    /** Below this many degrees a figure falls; from there to TOUCHY it is touchy (house choice). */
    public const FALLS_DEG = 5.0;

    public const TOUCHY_DEG = 10.0;

    /** @param  array{float, float, float}  $centreMm the centre of mass */
    private function __construct(
        private Figure $figure,
        public float $massG,
        public array $centreMm,
        public Footprint $footprint,
    ) {
    }

    public static function of(Ledger $ledger): self
    {
        $figure = $ledger->figure;
        $onPart = [];
        foreach ($ledger->lines as $line) {
            // Details weigh milligrams: they count where their part's middle is.
            if ($line->purpose === Purpose::Detail) {
                $onPart[$line->part] = ($onPart[$line->part] ?? 0.0) + $line->allG() / $figure->parts[$line->part]->count();
            }
        }
        $mass = 0.0;
        $moment = [0.0, 0.0, 0.0];
        foreach ($figure->parts as $key => $part) {
            $g = $ledger->wool[$key]->finishedG() + ($onPart[$key] ?? 0.0);
            $middle = $ledger->wool[$key]->middleOfMass();
            foreach ($part->placements() as $placement) {
                $mass += $g;
                foreach ($placement->place(...$middle) as $axis => $mm) {
                    $moment[$axis] += $g * $mm;
                }
            }
        }
        $centre = $mass > 0.0 ? [$moment[0] / $mass, $moment[1] / $mass, $moment[2] / $mass] : [0.0, 0.0, 0.0];

        return new self($figure, $mass, $centre, Footprint::of($figure));
    }

    /** Lean in degrees at which it tips over its nearest edge; negative where it falls at once. */
    public function tipDeg(): float
    {
        return self::angleDeg($this->footprint, $this->centreMm);
    }

    /** Whether it needs to stand on its own at all. */
    public function mustStand(): bool
    {
        return in_array($this->figure->pose, [Pose::Stand, Pose::Sit], true) && $this->figure->parts !== [];
    }

    public function stands(): bool
    {
        return ! $this->mustStand() || $this->tipDeg() >= self::FALLS_DEG;
    }

    public function isTouchy(): bool
    {
        return $this->mustStand() && $this->tipDeg() < self::TOUCHY_DEG;
    }

    /** The flattening of the base, in whole mm, from which it stands firmly; 0 where no sensible one does. */
    public function flattenMm(): float
    {
        $isFirm = fn (int $mm): bool => self::angleDeg($this->footprint->flattened($mm), $this->centreMm) >= self::TOUCHY_DEG;
        [$low, $high] = [2, (int) floor(Footprint::mostMm($this->figure->heightMm))];
        if (! $isFirm($high)) {
            return 0.0;
        }
        // The more is flat, the larger the footprint: bisection.
        while ($low < $high) {
            $mm = intdiv($low + $high, 2);
            [$low, $high] = $isFirm($mm) ? [$low, $mm] : [$mm + 1, $high];
        }

        return (float) $low;
    }

    /**
     * Grams to hide low in the middle of the base so that it stands firmly; 0 where even the
     * figure's own weight again would not do.
     */
    public function weightLowG(): float
    {
        [$x, $z] = $this->footprint->middle();
        $low = [$x, $this->footprint->tableMm + 4.0, $z];
        for ($share = 0.05; $share <= 1.0; $share += 0.05) {
            $centre = [];
            foreach ($this->centreMm as $axis => $mm) {
                $centre[] = ($mm + $share * $low[$axis]) / (1 + $share);
            }
            if (self::angleDeg($this->footprint, $centre) >= self::TOUCHY_DEG) {
                return $share * $this->massG;
            }
        }

        return 0.0;
    }

    /** @param  non-empty-list<float>  $centre */
    private static function angleDeg(Footprint $footprint, array $centre): float
    {
        $height = max(0.1, $centre[1] - $footprint->tableMm);

        return rad2deg(atan($footprint->marginMm($centre[0], $centre[2]) / $height));
    }
}
