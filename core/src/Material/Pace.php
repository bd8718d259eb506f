<?php

declare(strict_types=1);

namespace Impa\Material;

/**
 * How long hands need, in minutes: house priors (docs/trade.md, Minutes) until the felter's own log is known. Immutable.
 */
final readonly class Pace
{
    /** A rest after so much work, and how long (HSE INDG36: short and often). */
    public const REST_AFTER = 30.0;

    public const REST = 5.0;

    /** From this weight a holder of three needles is used for the bulk. */
    private const HOLDER_FROM_G = 1.5;

    /**
     * @param  float  $bulk  of the first gram, springy, with one needle; the rest goes with a power of the grams
     * @param  float  $holder  how many times as fast three needles are
     * @param  array<string, float>  $effort  how much longer the bulk takes than for a springy part, by firmness
     * @param  float  $surfacePerCm2  likewise where a face goes
     * @param  array<string, float>  $each  one loop, tuft, lock or lay, by the way of covering; of a ribbon or strand one metre
     */
    private function __construct(
        private float $bulk,
        private float $power,
        private float $holder,
        private array $effort,
        private float $surfacePerCm2,
        private float $facePerCm2,
        private array $each,
        private float $cut,
        public float $portion,
        public float $join,
        public float $hide,
        public float $spot,
        public float $line,
        public float $spark,
        public float $fixed,
        public float $drying,
        public float $foam,
        public float $inspect,
    ) {
    }

    public static function house(): self
    {
        return new self(
            bulk: 2.0,
            power: 0.85,
            holder: 2.0,
            effort: ['squishy' => 0.6, 'soft' => 0.8, 'springy' => 1.0, 'firm' => 1.3, 'hard' => 1.7],
            surfacePerCm2: 0.15,
            facePerCm2: 0.4,
            each: ['loops' => 0.1, 'tufts' => 0.12, 'locks' => 0.4, 'hair' => 0.6, 'wrap' => 4.0, 'plait' => 6.0],
            cut: 10.0,
            portion: 3.0,
            join: 4.0,
            hide: 2.0,
            spot: 4.0,
            line: 5.0,
            spark: 2.0,
            fixed: 3.0,
            drying: 20.0,
            foam: 1.0,
            inspect: 5.0,
        );
    }

    /** The bulk of one piece: less than twice as long for twice the wool. */
    public function bulk(float $g, Firmness $firmness): float
    {
        return $this->bulk * $g ** $this->power * $this->effort[$firmness->value] / (self::needles($g) > 1 ? $this->holder : 1.0);
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

    /** Needles in the holder for so many grams. */
    public static function needles(float $g): int
    {
        return $g >= self::HOLDER_FROM_G ? 3 : 1;
    }
}
