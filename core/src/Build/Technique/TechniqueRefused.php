<?php

declare(strict_types=1);

namespace Impa\Build\Technique;

use DomainException;
use Impa\Refusal;

/** A way of working that there is not, said in the felter's words. */
final class TechniqueRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'The figure cannot be made that way';
    }

    public static function noLimb(): self
    {
        return new self('No part of this figure is long enough for a wire: draw one of your own where you want it (Shapes, Wires).');
    }

    /** @param  list<string>  $known */
    public static function unknown(string $said, array $known): self
    {
        return new self(sprintf('"%s" is none of %s.', mb_strimwidth($said, 0, 40, '...'), implode(', ', $known)));
    }
}
