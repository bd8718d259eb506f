<?php

declare(strict_types=1);

namespace Impa\Face;

/** The needles at hand, and what the finest of them still holds cleanly. Immutable. */
final readonly class Needles
{
    /** Gauges that are sold, coarse to fine (docs/trade.md, Needles). */
    public const SOLD = [32, 36, 38, 40, 42];

    /** Their cross-sections and barbs: a reverse needle pulls fibres out (docs/trade.md, Needles). */
    public const KINDS = ['triangle', 'star', 'spiral', 'reverse'];

    /** How much larger than with a 42 the smallest clean spot comes out, by gauge (house priors). */
    private const COARSER = [42 => 1.0, 40 => 1.15, 38 => 1.3, 36 => 1.6, 32 => 2.2];

    /** @param  non-empty-list<int>  $gauges  coarse to fine */
    private function __construct(public array $gauges)
    {
    }

    /** @param  list<int>  $gauges  of those that are sold; the usual set where none is at hand */
    public static function of(array $gauges): self
    {
        $known = array_values(array_intersect(self::SOLD, $gauges));

        return $known === [] ? self::usual() : new self($known);
    }

    /** One of each that a character felter usually has. */
    public static function usual(): self
    {
        return new self([36, 38, 40, 42]);
    }

    public function finest(): int
    {
        return max($this->gauges);
    }

    /** How many times what a 42 holds is the least that the finest at hand holds. */
    public function coarser(): float
    {
        return self::COARSER[$this->finest()];
    }
}
