<?php

declare(strict_types=1);

namespace Impa\Show;

use DomainException;
use Impa\Refusal;
use Impa\Voice\Amount;

/** A place to show a figure that is none. */
final class ShowRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'That cannot be reckoned';
    }

    public static function noParts(): self
    {
        return new self('This figure has no parts yet that could be shown.');
    }

    public static function outOfRange(string $what, float $least, float $most): self
    {
        return new self(sprintf('%s: %s to %s, measured inside.', $what, Amount::mm($least), Amount::mm($most)));
    }

    public static function noScale(): self
    {
        return new self('A house is built to a scale of 1:1 to 1:200.');
    }
}
