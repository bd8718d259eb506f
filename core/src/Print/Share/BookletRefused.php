<?php

declare(strict_types=1);

namespace Impa\Print\Share;

use DomainException;
use Impa\Refusal;

/** A booklet that cannot be shared, or none that can be taken in. */
final class BookletRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This booklet cannot be shared';
    }

    public static function notHers(): self
    {
        return new self('Say whose the design is. What another drew is hers to share: ask her first; for yourself, print the steps.');
    }

    public static function nobody(): self
    {
        return new self('Name who made the design.');
    }

    public static function tooLong(int $most): self
    {
        return new self(sprintf('Who made it, and what others may do with it: at most %d letters each.', $most));
    }

    public static function noBooklet(): self
    {
        return new self('This is no impa-booklet document of version 1.');
    }
}
