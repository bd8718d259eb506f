<?php

declare(strict_types=1);

namespace Impa\Material;

use Impa\Voice\Message;

/** What the inside of a part is made of; none is solid colour. */
enum CoreMaterial: string
{
    case CoreWool = 'core-wool';
    case Scrap = 'scrap';
    case Stuffing = 'stuffing';
    case Foam = 'foam';
    case None = 'none';

    /** Below this thickness a part is usually solid colour, so that no core shows through (docs/trade.md, Schools). */
    public const SOLID_BELOW_MM = 25.0;

    /** The usual inside of a part so thick. */
    public static function usualFor(float $thinnestMm): self
    {
        return $thinnestMm < self::SOLID_BELOW_MM ? self::None : self::CoreWool;
    }

    /** The word a felter says. */
    public function word(): Message
    {
        return Message::of('material.core.'.$this->value);
    }
}
