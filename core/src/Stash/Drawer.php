<?php

declare(strict_types=1);

namespace Impa\Stash;

use Impa\Stash\Table\WoolEntry;
use Impa\Wool\WoolRefused;

/**
 * The grams in the drawer, and which figure has set aside how much of them. Every event gives a new drawer; no sequence
 * of them makes grams negative, and what is released is as if it had never been set aside. Immutable.
 */
final readonly class Drawer
{
    /**
     * @param  array<int, float>  $left  grams by wool
     * @param  array<int, array<int, float>>  $aside  grams by figure and wool
     */
    private function __construct(
        public array $left,
        public array $aside,
    ) {
    }

    /**
     * @param  array<int, float>  $left
     * @param  array<int, array<int, float>>  $aside
     *
     * @throws WoolRefused if a wool has less than nothing
     */
    public static function of(array $left, array $aside = []): self
    {
        foreach ($left as $g) {
            self::held($g);
        }

        return new self($left, $aside);
    }

    /** Grams that no figure, or no other than this one, has set aside; never below 0. */
    public function freeG(int $wool, int $forFigure = 0): float
    {
        $aside = 0.0;
        foreach ($this->aside as $figure => $wools) {
            $aside += $figure === $forFigure ? 0.0 : $wools[$wool] ?? 0.0;
        }

        return max(0.0, ($this->left[$wool] ?? 0.0) - $aside);
    }

    /** @throws WoolRefused if the wool is gone, or weighs less than nothing */
    public function weighed(int $wool, float $g): self
    {
        isset($this->left[$wool]) || throw WoolRefused::unknownWool($wool);

        return self::of([$wool => $g] + $this->left, $this->aside);
    }

    /**
     * Sets aside for a figure what is free of each wool, up to what it wants; what it had set aside before is given back first.
     *
     * @param  array<int, float>  $wanted  grams by wool
     *
     * @throws WoolRefused if a wool is gone, or less than nothing is wanted
     */
    public function setAside(int $figure, array $wanted): self
    {
        $got = [];
        foreach ($wanted as $wool => $g) {
            isset($this->left[$wool]) || throw WoolRefused::unknownWool($wool);
            self::held($g);
            $got[$wool] = min($g, $this->freeG($wool, $figure));
        }

        return new self($this->left, [$figure => $got] + $this->aside);
    }

    public function released(int $figure): self
    {
        return new self($this->left, array_diff_key($this->aside, [$figure => true]));
    }

    /**
     * A finished figure takes its grams out of the drawer; what it had set aside is no longer.
     *
     * @param  array<int, float>  $used  grams by wool, as weighed or as planned
     *
     * @throws WoolRefused if a wool is gone, or less than nothing was used
     */
    public function used(int $figure, array $used): self
    {
        $left = $this->left;
        foreach ($used as $wool => $g) {
            isset($left[$wool]) || throw WoolRefused::unknownWool($wool);
            self::held($g);
            $left[$wool] = max(0.0, $left[$wool] - $g);
        }

        return new self($left, array_diff_key($this->aside, [$figure => true]));
    }

    /** @throws WoolRefused if no drawer can hold so much, or so little */
    private static function held(float $g): void
    {
        if (! is_finite($g) || $g > WoolEntry::MOST_G) {
            throw WoolRefused::tooHeavy($g, WoolEntry::MOST_G);
        }
        if ($g < 0.0) {
            throw WoolRefused::gramsMustNotBeNegative('', $g);
        }
    }
}
