<?php

declare(strict_types=1);

namespace Impa\Colour;

/** How a colour reads on its ground (design.md, section 4: crispness). */
enum Contrast: string
{
    case Crisp = 'crisp';
    case Soft = 'soft';
    case Lost = 'lost';

    public static function of(float $difference): self
    {
        return match (true) {
            $difference >= 20.0 => self::Crisp,
            $difference >= 10.0 => self::Soft,
            default => self::Lost,
        };
    }
}
