<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Shape\Ball;
use Impa\Shape\Egg;
use Impa\Shape\Size;
use Impa\Shape\Solid;
use Impa\Shape\Stack;

/** Foam balls and eggs as they are sold (common sizes, from memory): the largest that leaves the cover all round. */
final class Foam
{
    private const BALLS_MM = [15, 20, 25, 30, 35, 40, 50, 60, 70, 80, 90, 100, 120, 150, 200];

    /** Width and height. */
    private const EGGS_MM = [[20, 28], [30, 40], [38, 50], [45, 60], [52, 70], [60, 80], [75, 100], [90, 120], [110, 150]];

    /** Eggs are narrower at the top by so much. */
    private const TAPER = 0.25;

    /** A piece is tried at so many heights, and held against the part at so many levels. */
    private const HEIGHTS = 12;

    private const LEVELS = 24;

    private function __construct(public readonly string $name, public readonly Stack $solid)
    {
    }

    /**
     * The stock piece of most volume that fits into a part with so much cover all round, moved up or down to where it fits
     * best; none where even the smallest is too large, or the part is no round one.
     */
    public static function inside(Solid $part, float $coverMm): ?self
    {
        if (! ($part instanceof Stack) || $part->thinnestMm() <= 2 * $coverMm) {
            return null;
        }
        $inner = $part->shrunk(2 * $coverMm);
        // The largest that fits is looked for, so the largest is tried first.
        foreach (self::stock() as $foam) {
            if (self::fits($foam->solid, $inner)) {
                return $foam;
            }
        }

        return null;
    }

    /** Whether one stands within the other on the same axis, at some height. */
    private static function fits(Stack $foam, Stack $inner): bool
    {
        [$own, $room] = [$foam->size(), $inner->size()];
        if ($own->heightMm > $room->heightMm || $own->widthMm > min($room->widthMm, $room->depthMm)) {
            return false;
        }
        for ($at = 0; $at <= self::HEIGHTS; $at++) {
            $low = (($room->heightMm - $own->heightMm) * $at) / self::HEIGHTS;
            $in = true;
            for ($k = 0; $in && $k < self::LEVELS; $k++) {
                $t = ($k + 0.5) / self::LEVELS;
                $in =
                    $own->widthMm * $foam->profile($t) <=
                    min($room->widthMm, $room->depthMm) * $inner->profile(($low + $t * $own->heightMm) / $room->heightMm) + 1e-9;
            }
            if ($in) {
                return true;
            }
        }

        return false;
    }

    /** @return list<self> of most volume first */
    public static function stock(): array
    {
        static $stock = null;
        if ($stock !== null) {
            return $stock;
        }
        $stock = [
            ...array_map(
                static fn (int $mm): self => new self(sprintf('foam ball %d mm', $mm), Ball::of(Size::of($mm, $mm, $mm))),
                self::BALLS_MM,
            ),
            ...array_map(
                static fn (array $mm): self => new self(
                    sprintf('foam egg %d x %d mm', ...$mm),
                    Egg::of(Size::of($mm[0], $mm[1], $mm[0]), self::TAPER),
                ),
                self::EGGS_MM,
            ),
        ];
        usort($stock, static fn (self $a, self $b): int => $b->solid->volumeCm3() <=> $a->solid->volumeCm3());

        return $stock;
    }
}
