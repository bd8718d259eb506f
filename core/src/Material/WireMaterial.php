<?php

declare(strict_types=1);

namespace Impa\Material;

use Impa\Voice\Message;

/**
 * What a wire is made of. Young's moduli are those of handbooks (steel 200, copper 117, aluminium 69 GPa: CRC Handbook of Chemistry and
 * Physics; from memory), yield strengths those of soft, annealed wire (from memory: they differ with the temper), densities likewise.
 */
enum WireMaterial: string
{
    case PipeCleaner = 'pipe-cleaner';
    case PaperCovered = 'paper-covered';
    case Steel = 'steel';
    case Copper = 'copper';
    case Aluminium = 'aluminium';

    /** Both free ends of a wire are turned back by so much (common practice), mm. */
    public const FOLD_BACK_MM = 10.0;

    /** What a felter says. */
    public function word(): Message
    {
        return Message::of('material.wire.'.$this->value);
    }

    /** Stiffness (Young's modulus), GPa. */
    public function youngGPa(): float
    {
        return match ($this) {
            self::PipeCleaner, self::PaperCovered, self::Steel => 200.0,
            self::Copper => 117.0,
            self::Aluminium => 69.0,
        };
    }

    /** From this stress on it stays bent, MPa. */
    public function yieldMPa(): float
    {
        return match ($this) {
            self::PipeCleaner, self::PaperCovered, self::Steel => 250.0,
            self::Copper => 70.0,
            self::Aluminium => 60.0,
        };
    }

    public function gPerCm3(): float
    {
        return match ($this) {
            self::PipeCleaner, self::PaperCovered, self::Steel => 7.85,
            self::Copper => 8.96,
            self::Aluminium => 2.70,
        };
    }

    /** How many strands one of it has: a pipe cleaner is two thin wires twisted round its pile. */
    public function strands(): int
    {
        return $this === self::PipeCleaner ? 2 : 1;
    }

    /**
     * Thicknesses that are sold, in mm (common practice); a pipe cleaner's is that of each of its two wires.
     *
     * @return non-empty-list<float>
     */
    public function soldMm(): array
    {
        return match ($this) {
            self::PipeCleaner => [0.4, 0.5],
            self::PaperCovered => [0.4, 0.5, 0.6, 0.7, 0.9, 1.2],
            default => [0.5, 0.6, 0.8, 1.0, 1.2, 1.5, 2.0, 2.5, 3.0],
        };
    }
}
