<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Voice\Message;

/**
 * What must come before what: a directed graph that never gets a circle. For every step it keeps the set of all that come before
 * it, near and far (the transitive closure), as a string of bits, so that an arrow which would close a circle is seen at once.
 */
final class DependencyGraph
{
    /** @var array<string, int> place of each step's bit */
    private array $place = [];

    /** @var array<string, string> bits of all that come before a step */
    private array $ancestors = [];

    /** @var array<string, array<string, ?Message>> the arrows: of a step, what comes straight before it, and why if that is not plain */
    private array $arrows = [];

    /** @var array<string, true> steps that something comes after */
    private array $leads = [];

    private int $bytes;

    /** @param  list<string>  $keys  of all steps */
    public function __construct(array $keys)
    {
        $this->bytes = intdiv(count($keys), 8) + 1;
        foreach ($keys as $i => $key) {
            $this->place[$key] = $i;
            $this->ancestors[$key] = str_repeat("\0", $this->bytes);
            $this->arrows[$key] = [];
        }
    }

    public function has(string $key): bool
    {
        return isset($this->place[$key]);
    }

    /** Whether one step must come before another, straight or by way of others. */
    public function precedes(string $first, string $then): bool
    {
        $at = $this->place[$first];

        return (ord($this->ancestors[$then][$at >> 3]) >> ($at & 7) & 1) === 1;
    }

    /**
     * Puts one step before another; tells whether that could be: false where the other must come before it already, or one of the two is
     * no step of this work, as what lies on the ground is laid and not joined.
     */
    public function add(string $first, string $then, ?Message $why = null): bool
    {
        if ($first === $then || ! $this->has($first) || ! $this->has($then) || $this->precedes($then, $first)) {
            return false;
        }
        if (! isset($this->arrows[$then][$first]) || $this->arrows[$then][$first] === '') {
            $this->arrows[$then][$first] = $why;
        }
        $this->leads[$first] = true;
        if (! $this->precedes($first, $then)) {
            $new = $this->ancestors[$first] | $this->bit($first);
            $this->ancestors[$then] |= $new;
            // Every step that it precedes, its bit looked at in place: this runs for each of thousands of arrows.
            [$byte, $mask] = [$this->place[$then] >> 3, 1 << ($this->place[$then] & 7)];
            foreach (isset($this->leads[$then]) ? $this->ancestors : [] as $key => $set) {
                if ((ord($set[$byte]) & $mask) !== 0) {
                    $this->ancestors[$key] = $set | $new;
                }
            }
        }

        return true;
    }

    /** @return list<string> what comes straight before a step */
    public function before(string $key): array
    {
        return array_keys($this->arrows[$key]);
    }

    /** @return array<string, Message> why, by the key of what comes straight before it, where that is not plain */
    public function because(string $key): array
    {
        return array_filter($this->arrows[$key]);
    }

    /**
     * Why one step cannot come before another that it needs: the arrows from the other to it, one behind the other.
     *
     * @return list<array{string, string, ?Message}> first, then, why; empty where nothing keeps them in order
     */
    public function chain(string $first, string $then): array
    {
        if (! $this->precedes($first, $then)) {
            return [];
        }
        foreach ($this->arrows[$then] as $before => $why) {
            if ($before === $first || $this->precedes($first, $before)) {
                return [...$this->chain($first, $before), [$before, $then, $why]];
            }
        }

        return [];
    }

    private function bit(string $key): string
    {
        $bits = str_repeat("\0", $this->bytes);
        $at = $this->place[$key];
        $bits[$at >> 3] = chr(1 << ($at & 7));

        return $bits;
    }
}
