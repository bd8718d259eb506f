<?php

declare(strict_types=1);

namespace Impa\Figure;

use DomainException;
use Impa\Refusal;

/** A change that cannot be made to this figure, and why. */
final class EditRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This cannot be changed so';
    }

    public static function noSuchPart(string $key): self
    {
        return new self(sprintf('There is no part "%s" in this figure.', $key));
    }

    public static function noSuchDetail(string $key): self
    {
        return new self(sprintf('There is no detail "%s" in this figure.', $key));
    }

    public static function nothingChosen(): self
    {
        return new self('Nothing is chosen that this could be done with.');
    }
}
