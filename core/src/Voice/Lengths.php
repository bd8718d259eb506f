<?php

declare(strict_types=1);

namespace Impa\Voice;

/** How wide, high and deep something is, with one unit behind all of them. Immutable. */
final readonly class Lengths implements Said
{
    use InTheVoiceOfNow;

    /** @param  list<float>  $mm */
    private function __construct(private array $mm)
    {
    }

    public static function of(float ...$mm): self
    {
        return new self(array_values($mm));
    }

    public function in(Voice $voice): string
    {
        $written = array_map(static fn (float $mm): array => explode(' ', strrev($voice->write(Amount::mm($mm))), 2), $this->mm);
        $units = array_map(static fn (array $one): string => strrev($one[0]), $written);
        $numbers = array_map(static fn (array $one): string => strrev($one[1] ?? ''), $written);
        if (count(array_unique($units)) > 1) {
            return implode(' x ', array_map(static fn (string $number, string $unit): string => "$number $unit", $numbers, $units));
        }

        return implode(' x ', $numbers).' '.($units[0] ?? '');
    }
}
