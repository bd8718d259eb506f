<?php

declare(strict_types=1);

namespace Impa\Sets;

use DomainException;
use Impa\Refusal;

/** A set that cannot be planned, or is no set. */
final class SetRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This set cannot be planned';
    }

    public static function ofNone(): self
    {
        return new self('The set is empty: add a figure.');
    }

    public static function tooMany(int $most): self
    {
        return new self(sprintf('At most %d figures in one set: make two of it.', $most));
    }

    public static function countOutOfRange(string $name, int $most): self
    {
        return new self(sprintf('%s: there are 1 to %d of it.', $name, $most));
    }

    public static function nameless(): self
    {
        return new self('A set wants a name of at most 120 letters.');
    }

    public static function noDocument(string $why): self
    {
        return new self($why);
    }

    public static function tooManyPeople(int $most): self
    {
        return new self(sprintf('A workshop has 1 to %d people: hold it twice, and print a kit for each.', $most));
    }

    public static function tooManySpare(int $most): self
    {
        return new self(sprintf('Spare bags are 0 to %d.', $most));
    }

    public static function noShare(): self
    {
        return new self('Beginners are a share, from none to all.');
    }

    public static function labelTooSmall(string $label, int $room, int $wanted): self
    {
        return new self(sprintf(
            'A label of %s has room for %d lines, this bag needs %d: choose larger labels, or plain paper to be cut.',
            $label,
            $room,
            $wanted,
        ));
    }

    public static function noSuchColour(string $key): self
    {
        return new self(sprintf('There is no colour "%s" in this figure.', $key));
    }
}
