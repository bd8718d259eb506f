<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Face\Needles;
use Impa\Voice\Message;

/** Which needle, how many in the holder, how deep and how slanted it goes in (docs/trade.md, Needles). Immutable. */
final readonly class NeedleChoice
{
    /** No needle works deeper than so many mm from one side (docs/trade.md, Sums). */
    public const DEEPEST_MM = 40.0;

    /** How deep the surface, a face and a join are worked (common practice). */
    private const SURFACE_MM = 4.0;

    private const FACE_MM = 2.0;

    private const JOIN_MM = 15.0;

    /**
     * @param  Message  $stab  how it is stabbed
     * @param  float  $depthMm  at most
     * @param  int  $angleDeg  from the skin: 90 straight in
     * @param  int  $wanted  the gauge that suits best, at hand or not
     */
    private function __construct(
        public int $gauge,
        public int $holder,
        public Message $stab,
        public float $depthMm,
        public int $angleDeg,
        public int $wanted,
    ) {
    }

    /** @param  float  $thickMm  of what is stabbed: past its middle works from the other side */
    public static function bulk(int $holder, float $thickMm): self
    {
        return new self(36, $holder, Message::of('steps.stab.deep'), min(self::DEEPEST_MM, $thickMm / 2), 90, 36);
    }

    public static function shaping(float $thickMm, int $holder): self
    {
        return new self(38, $holder, Message::of('steps.stab.middling'), min(self::DEEPEST_MM, $thickMm / 2), 90, 38);
    }

    /** A flat piece is stabbed at a slant, so that its colour stays on its own side. */
    public static function flat(float $thickMm, int $holder): self
    {
        return new self(38, $holder, Message::of('steps.stab.middling-slanting'), $thickMm, 45, 38);
    }

    public static function surface(int $holder = 1): self
    {
        return new self(40, $holder, Message::of('steps.stab.shallow-slanting'), self::SURFACE_MM, 45, 40);
    }

    public static function face(float $thickMm): self
    {
        return new self(42, 1, Message::of('steps.stab.very-shallow'), min(self::FACE_MM, $thickMm / 2), 60, 42);
    }

    public static function joining(float $thickMm): self
    {
        return new self(36, 1, Message::of('steps.stab.deep'), min(self::JOIN_MM, max(self::SURFACE_MM, $thickMm)), 90, 36);
    }

    /** The nearest that is at hand; of two as near the finer, which spoils nothing. */
    public function from(Needles $needles): self
    {
        $gauges = $needles->gauges;
        usort($gauges, fn (int $a, int $b): int => [abs($a - $this->wanted), -$a] <=> [abs($b - $this->wanted), -$b]);

        return new self($gauges[0], $this->holder, $this->stab, $this->depthMm, $this->angleDeg, $this->wanted);
    }
}
