<?php

declare(strict_types=1);

namespace Impa\Material;

/**
 * How long hands need, in minutes: house priors (docs/trade.md, Minutes) until the felter's own log is known. Immutable.
 */
final class Pace
{
    /** A hand's minutes from another's, one sigma of their logarithm (house prior). */
    public const HAND_SIGMA = 0.35;

    /** A rest after so much work, and how long (HSE INDG36: short and often). */
    public const REST_AFTER = 30.0;

    public const REST = 5.0;

    /** A felted piece, however small, takes so long (docs/trade.md, Minutes: a small ball 5 to 10). */
    private const LEAST = 5.0;

    /** From this weight a holder of three needles is used for the bulk; with care from so little on. */
    private const HOLDER_FROM_G = 1.5;

    private const HOLDER_WITH_CARE_FROM_G = 0.4;

    /** Three needles stand about 6 mm apart: on less than twice that some stab past the piece (common practice), mm. */
    private const HOLDER_BROAD_MM = 12.0;

    /** A template is pinned on; so much of its rim is cut in a minute, mm (house choices). */
    private const PIN_ON = 1.0;

    private const RIM_MM = 120.0;

    /**
     * @param  float  $bulk  of the first gram, springy, with one needle; the rest goes with a power of the grams
     * @param  float  $holder  how many times as fast three needles are
     * @param  array<string, float>  $effort  how much longer the bulk takes than for a springy part, by firmness
     * @param  float  $surfacePerCm2  likewise where a face goes
     * @param  array<string, float>  $each  one loop, tuft, lock, curl or lay, by the way of covering; of a ribbon or strand one metre
     */
    private function __construct(
        private readonly float $bulk,
        private readonly float $power,
        private readonly float $holder,
        private readonly array $effort,
        private readonly float $surfacePerCm2,
        private readonly float $facePerCm2,
        private readonly array $each,
        private readonly float $cut,
        public readonly float $mix,
        public readonly float $portion,
        public readonly float $wire,
        public readonly float $thread,
        public readonly float $weight,
        public readonly float $flatten,
        public readonly float $compare,
        public readonly float $mark,
        public readonly float $slit,
        public readonly float $loop,
        public readonly float $join,
        public readonly float $hide,
        public readonly float $press,
        public readonly float $stitch,
        public readonly float $open,
        public readonly float $ribbon,
        public readonly float $spot,
        public readonly float $line,
        public readonly float $spark,
        public readonly float $fixed,
        public readonly float $drying,
        public readonly float $foam,
        public readonly float $trim,
        public readonly float $inspect,
        private readonly float $stabs,
        private readonly float $stabsSigma,
        private HandModel $hand,
        private float $holderFromG,
    ) {
    }

    public static function house(): self
    {
        return new self(
            bulk: 2.0,
            power: 0.85,
            // Common practice (docs/trade.md, Minutes): the bulk in a third of the time.
            holder: 3.0,
            effort: ['squishy' => 0.6, 'soft' => 0.8, 'springy' => 1.0, 'firm' => 1.3, 'hard' => 1.7],
            surfacePerCm2: 0.15,
            facePerCm2: 0.4,
            each: ['loops' => 0.1, 'tufts' => 0.12, 'locks' => 0.4, 'curls' => 0.5, 'hair' => 0.6, 'wrap' => 4.0, 'plait' => 6.0],
            cut: 10.0,
            // Two wools teased together by hand until no streak is left (house choice).
            mix: 4.0,
            portion: 3.0,
            wire: 3.0,
            thread: 3.0,
            weight: 2.0,
            flatten: 4.0,
            compare: 1.0,
            mark: 2.0,
            slit: 1.0,
            loop: 3.0,
            join: 4.0,
            hide: 2.0,
            press: 3.0,
            // Ten stitches a minute (house choice).
            stitch: 0.1,
            open: 3.0,
            ribbon: 3.0,
            spot: 4.0,
            line: 5.0,
            spark: 2.0,
            fixed: 3.0,
            drying: 20.0,
            foam: 1.0,
            trim: 3.0,
            inspect: 5.0,
            // Common practice: about two stabs a second, less where the eye is on a mark.
            stabs: 100.0,
            stabsSigma: 0.3,
            hand: self::handPrior(),
            holderFromG: self::HOLDER_FROM_G,
        );
    }

    /**
     * The bulk of one piece: less than twice as long for twice the wool.
     *
     * @param  int  $needles  in the holder
     */
    public function bulk(float $g, Firmness $firmness, int $needles): float
    {
        return $this->bulk * $g ** $this->power * $this->effort[$firmness->value] / ($needles > 1 ? $this->holder : 1.0);
    }

    /** What felting a piece takes in all, of which so much is reckoned: never less than the smallest takes. */
    public function atLeast(float $minutes): float
    {
        return max(self::LEAST, $minutes);
    }

    /** @param  bool  $bearsFace  whether a face goes on its front half, which must be smoother */
    public function surface(float $areaCm2, bool $bearsFace): float
    {
        return $areaCm2 * ($bearsFace ? ($this->surfacePerCm2 + $this->facePerCm2) / 2 : $this->surfacePerCm2);
    }

    /**
     * What is laid on, wound round or cut out, for one piece.
     *
     * @param  int  $count  of loops, tufts, locks or lays
     * @param  float  $metres  of ribbon or strands
     */
    public function covering(CoveringWay $way, int $count, float $metres): float
    {
        return match ($way) {
            CoveringWay::Felt => 0.0,
            CoveringWay::Film, CoveringWay::PreFelt => $this->cut,
            CoveringWay::Wrap, CoveringWay::Plait => $metres * $this->each[$way->value],
            default => $count * $this->each[$way->value],
        };
    }

    /** What is cut out by a template with so long a rim. */
    public function cutOut(float $rimMm): float
    {
        return self::PIN_ON + $rimMm / self::RIM_MM;
    }

    /**
     * Stabs of the hand in so many minutes: a lognormal's 10th percentile, median and 90th.
     *
     * @return array{float, float, float}
     */
    public function stabs(float $minutes): array
    {
        return self::around($this->stabs * $minutes, $this->stabsSigma);
    }

    /** What is known of a hand's speed before anything was timed: house spreads. */
    public static function handPrior(): HandModel
    {
        return HandModel::prior(handSigma: self::HAND_SIGMA, groupSigma: 0.15, scatter: 0.25);
    }

    /** The same, for a hand of which more is known; groups are kinds of step. */
    public function ofHand(HandModel $hand): self
    {
        $own = clone $this;
        $own->hand = $hand;

        return $own;
    }

    /** Of how many timed steps it was learned; 0: it is the house's. */
    public function records(): int
    {
        return $this->hand->count;
    }

    /** By what this hand multiplies the minutes of a kind of step. */
    public function factor(string $kind): float
    {
        return $this->hand->factor($kind);
    }

    /**
     * How long these steps take together: 10th percentile, median and 90th. A hand is slow or fast in all of them alike; what is left
     * differs from step to step, and partly cancels out.
     *
     * @param  list<array{string, float}>  $steps  kind and minutes of each
     * @return array{float, float, float}
     */
    public function spread(array $steps): array
    {
        return self::around(array_sum(array_column($steps, 1)), $this->hand->sigmaOfSum($steps));
    }

    /** @return array{float, float, float} */
    private static function around(float $median, float $sigma): array
    {
        $factor = exp(HandModel::Z80 * $sigma);

        return [$median / $factor, $median, $median * $factor];
    }

    /**
     * Needles in the holder for so many grams.
     *
     * @param  float  $broadMm  the narrower side of what lies under them
     */
    public function needles(float $g, float $broadMm): int
    {
        return $g >= $this->holderFromG && $broadMm >= self::HOLDER_BROAD_MM ? 3 : 1;
    }

    /** The same hand, with three needles in the holder wherever that can be. */
    public function withMoreNeedles(): self
    {
        $more = clone $this;
        $more->holderFromG = self::HOLDER_WITH_CARE_FROM_G;

        return $more;
    }
}
