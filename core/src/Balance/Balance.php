<?php

declare(strict_types=1);

namespace Impa\Balance;

use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Term\Method;
use Impa\Figure\Term\Pose;
use Impa\Material\Densities;
use Impa\Trace\By;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\Purpose;

/** Where the figure's weight lies, and how far it can lean before it falls. Immutable. */
final readonly class Balance
{
    /** Below this many degrees a figure falls; from there to TOUCHY it is touchy (house choice). */
    public const FALLS_DEG = 5.0;

    public const TOUCHY_DEG = 10.0;

    /** Weight that is hidden in the base lies so far above the table, in mm; up to the figure's own. */
    public const LOW_MM = 4.0;

    /** A centre of mass is never lower, mm: no table is so smooth. */
    private const LEAST_HEIGHT_MM = 0.1;

    private const GLASS_G_PER_CM3 = 2.5;

    private const PLASTIC_G_PER_CM3 = 1.2;

    /** Directions of the rose lie so far apart. */
    private const EVERY_DEG = 5;

    /** What hangs is felt for its skin this closely, as a share of its height. */
    private const CLOSELY = 0.002;

    /** In so many steps at most: a figure may be said to be far lower than its parts lie apart. */
    private const MOST_STEPS = 2000;

    /**
     * @param  array<string, float>  $gOf  by part, a pair's both pieces
     * @param  Vec3  $centreMm the centre of mass
     */
    private function __construct(
        public Figure $figure,
        private array $gOf,
        public float $massG,
        public array $centreMm,
        public Footprint $footprint,
        private Densities $densities,
    ) {
    }

    public static function of(Ledger $ledger): self
    {
        $figure = $ledger->figure;
        $onPart = [];
        foreach ($ledger->lines as $line) {
            // Details weigh milligrams: they count where their part's middle is.
            if ($line->purpose === Purpose::Detail) {
                $onPart[$line->for->part] = ($onPart[$line->for->part] ?? 0.0) + $line->allG() / $figure->parts[$line->for->part]->count();
            }
        }
        foreach ($figure->details as $detail) {
            $onPart[$detail->on] = ($onPart[$detail->on] ?? 0.0) + ($detail->lie->mirror ? 2 : 1) * self::fixedG($detail);
        }
        $mass = 0.0;
        $gOf = [];
        $moment = [0.0, 0.0, 0.0];
        foreach ($figure->wires as $wire) {
            $mass += $wire->count() * $wire->massG();
            [$x, $y, $z] = $wire->middleMm();
            foreach ([$wire->mirror ? 0.0 : $x, $y, $z] as $axis => $mm) {
                $moment[$axis] += $wire->count() * $wire->massG() * $mm;
            }
        }
        foreach ($figure->base->weights as ['g' => $g, 'atMm' => $at]) {
            $mass += $g;
            foreach ($at as $axis => $mm) {
                $moment[$axis] += $g * $mm;
            }
        }
        foreach ($figure->parts as $key => $part) {
            $g = $ledger->wool[$key]->finishedG() + ($onPart[$key] ?? 0.0);
            $middle = $ledger->wool[$key]->middleOfMass();
            $gOf[(string) $key] = $g * $part->count();
            foreach ($part->placements() as $placement) {
                $mass += $g;
                foreach ($placement->place(...$middle) as $axis => $mm) {
                    $moment[$axis] += $g * $mm;
                }
            }
        }
        $centre = $mass > 0.0 ? [$moment[0] / $mass, $moment[1] / $mass, $moment[2] / $mass] : [0.0, 0.0, 0.0];

        return new self($figure, $gOf, $mass, $centre, Footprint::of($figure), $ledger->densities);
    }

    /** Another figure, felted as this one is. */
    public function with(Figure $figure): self
    {
        return self::of(Ledger::of($figure, $this->densities));
    }

    /** Grams of a bead of glass, or of the half ball of an eye of plastic (docs/trade.md, Wires); nothing for what is felted or painted. */
    private static function fixedG(Detail $detail): float
    {
        [$wide, $high] = [$detail->drawn->widthMm, $detail->drawn->heightMm];
        $ballCm3 = M_PI / 6 * $wide * $high * min($wide, $high) / 1000;

        return match ($detail->method) {
            Method::Bead => self::GLASS_G_PER_CM3 * $ballCm3,
            Method::ReadyMade => self::PLASTIC_G_PER_CM3 * $ballCm3 / 2,
            default => 0.0,
        };
    }

    /** Lean in degrees at which it tips over its nearest edge; negative where it falls at once. */
    public function tipDeg(): float
    {
        return self::leanDeg($this->footprint, $this->centreMm);
    }

    /** The same, and how it comes about. */
    public function lean(): Traced
    {
        return self::leanOf($this->footprint, $this->centreMm);
    }

    /** The lean at which it tips where the edge of its foot lies so many mm farther out, or in where that is negative. */
    public function leanWithin(float $mm): float
    {
        [$x, , $z] = $this->centreMm;

        return rad2deg(atan(($this->footprint->marginMm($x, $z) + $mm) / $this->aboveMm()));
    }

    /** Whether it needs to stand on its own at all. */
    public function mustStand(): bool
    {
        // What lies flat, in layers, is worn or hung.
        return in_array($this->figure->pose, [Pose::Stand, Pose::Sit], true) && $this->figure->parts !== []
            && ! $this->figure->flat->isFlat();
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
        $isFirm = fn (int $mm): bool => self::leanDeg($this->footprint->flattened($mm), $this->centreMm) >= self::TOUCHY_DEG;
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
     * Whole grams to hide low in the base so that it stands firmly; 0 where even the figure's own weight again would not do.
     *
     * @param  ?array{float, float}  $at  x and z; the middle of the footprint where none is said
     */
    public function weightLowG(?array $at = null): float
    {
        $isFirm = fn (int $g): bool => $this->tipWithDeg($g, $at ?? $this->footprint->middle(), self::LOW_MM) >= self::TOUCHY_DEG;
        [$low, $high] = [1, (int) ceil($this->massG)];
        if (! $isFirm($high)) {
            return 0.0;
        }
        // The more lies low, the firmer: bisection.
        while ($low < $high) {
            $g = intdiv($low + $high, 2);
            [$low, $high] = $isFirm($g) ? [$low, $g] : [$g + 1, $high];
        }

        return (float) $low;
    }

    /**
     * The lean at which it tips with more weight in it (Archimedes' law of the lever).
     *
     * @param  array{float, float}  $at  x and z
     * @param  float  $aboveMm  the table
     */
    public function tipWithDeg(float $g, array $at, float $aboveMm): float
    {
        $centre = [];
        foreach ([$at[0], $this->footprint->tableMm + $aboveMm, $at[1]] as $axis => $mm) {
            $centre[] = ($this->massG * $this->centreMm[$axis] + $g * $mm) / ($this->massG + $g);
        }

        return self::leanDeg($this->footprint, $centre);
    }

    /**
     * The lean at which it tips towards each side, all round.
     *
     * @return list<array{towardsDeg: int, tipDeg: float}> towards counted from +x to +z; negative where it falls that way at once
     */
    public function rose(): array
    {
        $rose = [];
        for ($deg = 0; $deg < 360; $deg += self::EVERY_DEG) {
            $rose[] = ['towardsDeg' => $deg, 'tipDeg' => $this->tipTowards(deg2rad($deg))];
        }

        return $rose;
    }

    /** The side to which it tips first, in degrees from +x to +z, as closely as the rose tells. */
    public function weakestDeg(): float
    {
        $weakest = ['towardsDeg' => 0, 'tipDeg' => INF];
        foreach ($this->rose() as $side) {
            $weakest = $side['tipDeg'] < $weakest['tipDeg'] ? $side : $weakest;
        }

        return (float) $weakest['towardsDeg'];
    }

    private function tipTowards(float $angle): float
    {
        [$x, , $z] = $this->centreMm;

        return rad2deg(atan($this->footprint->reachMm($x, $z, cos($angle), sin($angle)) / $this->aboveMm()));
    }

    private function aboveMm(): float
    {
        return max(self::LEAST_HEIGHT_MM, $this->centreMm[1] - $this->footprint->tableMm);
    }

    /** How hard its table may be shaken before it tips, in shares of gravity: a push of so much sideways leans what it feels as down. */
    public function shakeG(): float
    {
        return max(0.0, tan(deg2rad($this->tipDeg())));
    }

    /** How far it may stick out over a shelf's edge, whichever side is out, and still take a lean of FALLS_DEG, in mm. */
    public function shelfMm(): float
    {
        $spare = $this->aboveMm() * tan(deg2rad(self::FALLS_DEG));

        return max(0.0, $this->footprint->marginMm($this->centreMm[0], $this->centreMm[2]) - $spare);
    }

    /** The same figure with so much of its base flat. */
    public function flattened(float $mm): self
    {
        $flat = $this->footprint->flattened($mm);

        return new self($this->figure, $this->gOf, $this->massG, $this->centreMm, $flat, $this->densities);
    }

    /** What a part and all that is joined to it weigh, in g. */
    public function carriedG(string $key): float
    {
        $g = $this->gOf[$key] ?? 0.0;
        foreach ($this->figure->parts as $other => $part) {
            $g += $part->join->to === $key && (string) $other !== $key ? $this->carriedG((string) $other) : 0.0;
        }

        return $g;
    }

    /**
     * The place of its skin from which it hangs straight, right above its centre of mass; and how far askew it hangs by its topmost.
     *
     * @return array{atMm: Vec3, askewDeg: float}
     */
    public function hang(): array
    {
        [$x, $centreY, $z] = $this->centreMm;
        $top = [$x, $centreY, $z];
        foreach ($this->figure->parts as $part) {
            foreach ($part->placements() as $placement) {
                foreach ($placement->rings() as $ring) {
                    foreach ($ring as $point) {
                        $top = $point[1] > $top[1] ? $point : $top;
                    }
                }
            }
        }
        $y = $this->skinBelow($x, $top[1], $z, $centreY);

        return [
            'atMm' => [$x, $y, $z],
            'askewDeg' => rad2deg(atan2(hypot($top[0] - $x, $top[2] - $z), max(0.1, $top[1] - $centreY))),
        ];
    }

    /** The uppermost skin straight below a place, down to a level: felt for in steps, then halved until it is close. */
    private function skinBelow(float $x, float $from, float $z, float $to): float
    {
        $closely = self::CLOSELY * $this->figure->heightMm;
        $step = max($closely, ($from - $to) / self::MOST_STEPS);
        for ($y = $from; $y > $to && ! $this->isFilled($x, $y, $z); $y -= $step);
        if ($y <= $to || $y === $from) {
            return max($y, $to);
        }
        [$inside, $outside] = [$y, $y + $step];
        while ($outside - $inside > $closely && $inside < ($inside + $outside) / 2) {
            $middle = ($inside + $outside) / 2;
            [$inside, $outside] = $this->isFilled($x, $middle, $z) ? [$middle, $outside] : [$inside, $middle];
        }

        return $inside;
    }

    private function isFilled(float $x, float $y, float $z): bool
    {
        foreach ($this->figure->parts as $part) {
            foreach ($part->placements() as $placement) {
                if ($placement->holds($x, $y, $z)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The least lean at which a centre of mass passes the edge of a footprint.
     *
     * @param  non-empty-list<float>  $centre
     */
    public static function leanDeg(Footprint $footprint, array $centre): float
    {
        return self::leanOf($footprint, $centre)->is;
    }

    /** @param  non-empty-list<float>  $centre */
    private static function leanOf(Footprint $footprint, array $centre): Traced
    {
        $length = static fn (string $code, float $mm): Traced => Traced::given($code, $mm, Measure::Length, Source::Shapes);
        $slope = Traced::quotient(
            'lean-slope',
            Measure::Number,
            $length('margin', $footprint->marginMm($centre[0], $centre[2])),
            $length('centre-height', max(self::LEAST_HEIGHT_MM, $centre[1] - $footprint->tableMm)),
        );

        return Traced::by(By::Lean, 'lean', Measure::Angle, $slope);
    }
}
