<?php

declare(strict_types=1);

namespace Impa\Build;

/** Which needle, how many in the holder, and how it goes in (docs/trade.md, Needles). Immutable. */
final readonly class Needle
{
    private function __construct(public int $gauge, public int $holder, public string $stab)
    {
    }

    public static function bulk(int $holder): self
    {
        return new self(36, $holder, 'deep');
    }

    public static function shaping(): self
    {
        return new self(38, 1, 'middling');
    }

    public static function surface(): self
    {
        return new self(40, 1, 'shallow, slanting');
    }

    public static function face(): self
    {
        return new self(42, 1, 'very shallow');
    }

    public static function joining(): self
    {
        return new self(36, 1, 'deep');
    }
}
