<?php

declare(strict_types=1);

namespace Impa\Armature;

/**
 * A wire that stands out level from where it is held: a cantilever under its own even load and a load at its end (Euler and Bernoulli;
 * Roark's Formulas for Stress and Strain, cases 1a and 2a; from memory). Immutable.
 */
final readonly class Beam
{
    /** Weight of a gram, N. */
    private const NEWTON_PER_G = 9.80665e-3;

    /**
     * @param  float  $lengthMm  that stands free
     * @param  float  $thickMm  of one strand, round
     * @param  int  $strands  side by side, each for itself
     * @param  float  $youngGPa  stiffness of its material
     * @param  float  $evenG  spread evenly along it
     * @param  float  $endG  at its end
     */
    public function __construct(
        private float $lengthMm,
        private float $thickMm,
        private int $strands,
        private float $youngGPa,
        private float $evenG,
        private float $endG,
    ) {
    }

    /** How far its end sinks, mm: w L^4 / (8 E I) + F L^3 / (3 E I), for as long as that is little. */
    public function sagMm(): float
    {
        $load = self::NEWTON_PER_G * ($this->evenG / 8 + $this->endG / 3);

        // N/mm2 = MPa: a GPa is a thousand of them.
        return $load * $this->lengthMm ** 3 / (1000 * $this->youngGPa * $this->inertiaMm4());
    }

    /** The greatest stress in it, where it is held, MPa: M d / (2 I). */
    public function stressMPa(): float
    {
        $moment = self::NEWTON_PER_G * $this->lengthMm * ($this->evenG / 2 + $this->endG);

        return $moment * $this->thickMm / (2 * $this->inertiaMm4());
    }

    /** The second moment of area of its strands, pi d^4 / 64 each. */
    private function inertiaMm4(): float
    {
        return $this->strands * M_PI * $this->thickMm ** 4 / 64;
    }
}
