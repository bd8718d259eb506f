<?php

declare(strict_types=1);

namespace Impa\Colour;

/** How a colour reads on its ground. */
enum Contrast: string
{
    case Crisp = 'crisp';
    case Soft = 'soft';
    case Lost = 'lost';

    /** From this CIEDE2000 on a detail reads crisply on its ground, and from this one softly (house choice). */
    public const CRISP = 20.0;

    public const SOFT = 10.0;

    public static function of(float $difference): self
    {
        return match (true) {
            $difference >= self::CRISP => self::Crisp,
            $difference >= self::SOFT => self::Soft,
            default => self::Lost,
        };
    }
}
