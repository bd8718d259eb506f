<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use DomainException;
use Impa\Refusal;
use Impa\Voice\Amount;

/** A size that no figure can have. */
final class SizingRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This size cannot be';
    }

    public static function noSuchPart(string $key): self
    {
        return new self(sprintf('There is no part "%s" to size the figure by.', $key));
    }

    public static function mustBePositive(float $mm): self
    {
        return new self(sprintf('A size must be more than 0 mm, not %g.', $mm));
    }

    public static function nothingToSize(): self
    {
        return new self('The figure has no parts yet, so nothing says how wide it is. Add a shape first.');
    }

    public static function outOfRange(float $heightMm): self
    {
        return new self(sprintf('The figure would stand %s tall; a finished height lies between 10 and 2000 mm.', Amount::mm($heightMm)));
    }
}
