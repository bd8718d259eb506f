<?php

declare(strict_types=1);

namespace Impa\Material;

use Impa\Voice\Message;

/** How a wool was made ready, which says what it is good for and how it is measured. */
enum Preparation: string
{
    case CoreBatting = 'core batting';
    case CardedBatting = 'carded batting';
    case Sliver = 'sliver';
    case Tops = 'tops';
    case Locks = 'locks';
    case Stuffing = 'stuffing';
    case Yarn = 'yarn';

    /** Grams per metre where it comes as a rope (house priors until it is weighed); 0 where it does not. */
    public function usualGPerM(): float
    {
        return match ($this) {
            self::Sliver => 6.0,
            self::Tops => 22.0,
            self::Yarn => 0.4,
            default => 0.0,
        };
    }

    /** Whether it can be teased with others into one colour; yarn is spun, locks are curls. */
    public function blends(): bool
    {
        return in_array($this, [self::CoreBatting, self::CardedBatting, self::Sliver, self::Tops], true);
    }

    /** How it is teased with others (common practice). */
    public function teasing(): Message
    {
        return match ($this) {
            self::Tops => Message::of('material.preparation.pull-short-staples-lay'),
            self::Sliver => Message::of('material.preparation.pull-handfuls-apart'),
            default => Message::of('material.preparation.tear-into-tufts'),
        };
    }
}
