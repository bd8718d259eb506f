<?php

declare(strict_types=1);

namespace Impa\Voice;

/** How much of what is measured: a number with its unit, not yet written. Immutable. */
final readonly class Amount implements Said
{
    use InTheVoiceOfNow;

    /**
     * @param  bool  $isExact  a standard, or a size that is sold: not rounded to what a hand can use
     * @param  bool  $isClose  as it is put into a sum: with four figures that count
     */
    private function __construct(
        public Measure $measure,
        public float $is,
        public bool $isExact = false,
        public bool $isClose = false,
    ) {
    }

    /** As it is put into a sum, so that somebody can reckon after it. */
    public static function closely(Measure $measure, float $is): self
    {
        return new self($measure, $is, isClose: true);
    }

    /** As a hand can use it. */
    public static function of(Measure $measure, float $is): self
    {
        return new self($measure, $is);
    }

    public static function mm(float $mm): self
    {
        return new self(Measure::Length, $mm);
    }

    /** A standard's length, or a size that is sold. */
    public static function exactMm(float $mm): self
    {
        return new self(Measure::Length, $mm, true);
    }

    public static function g(float $g): self
    {
        return new self(Measure::Mass, $g);
    }

    public static function minutes(float $minutes): self
    {
        return new self(Measure::Time, $minutes);
    }

    public static function degrees(float $degrees): self
    {
        return new self(Measure::Angle, $degrees);
    }

    /** @param  float  $share  0.12 for twelve in a hundred */
    public static function share(float $share): self
    {
        return new self(Measure::Share, $share);
    }

    public static function cm2(float $cm2): self
    {
        return new self(Measure::Area, $cm2);
    }

    public static function cm3(float $cm3): self
    {
        return new self(Measure::Volume, $cm3);
    }

    public static function gPerCm3(float $gPerCm3): self
    {
        return new self(Measure::Density, $gPerCm3);
    }

    /** In whatever currency the felter keeps her prices. */
    public static function money(float $is): self
    {
        return new self(Measure::Money, $is);
    }

    /** A number of no unit, with so many digits as it has. */
    public static function number(float $number): self
    {
        return new self(Measure::Number, $number);
    }

    public function in(Voice $voice): string
    {
        return $voice->write($this);
    }
}
