<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

use Impa\Shape\Size;
use Impa\Shape\Solid;
use Impa\Shape\Solid\Ball;
use Impa\Shape\Solid\Egg;
use Impa\Shape\Solid\Stack;
use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Voice\Message;

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

    /** It is held against the room so much smaller: wool gives way by as much, and straight stretches cut off of round ones. */
    private const SNUG = 0.999;

    private function __construct(public readonly Stack $solid)
    {
    }

    /** As it is asked for in a shop. */
    public function name(): Message
    {
        $size = $this->solid->size();

        return $this->solid instanceof Ball
            ? Message::of('wool.foam.foam-ball', width: Amount::mm($size->widthMm))
            : Message::of('wool.foam.foam-egg', width: Lengths::of($size->widthMm, $size->heightMm));
    }

    /**
     * The stock piece of most volume that fits into a part with so much cover all round, moved up or down to where it fits
     * best; none where even the smallest is too large, or the part is no round one.
     */
    public static function inside(Solid $part, float $coverMm): ?self
    {
        if (! $part instanceof Stack) {
            return null;
        }
        $inset = $part->inset($coverMm);
        $halfMm = min($part->size()->widthMm, $part->size()->depthMm) / 2;
        $span = $inset->span($halfMm);
        if ($span === null) {
            return null;
        }
        $room = static fn (float $y): float => $inset->reach($halfMm, $y);
        // The largest that fits is looked for, so the largest is tried first.
        foreach (self::stock() as $foam) {
            if (self::fits($foam->solid, $span, $room)) {
                return $foam;
            }
        }

        return null;
    }

    /**
     * Whether it stands in the room on the same axis, at some height.
     *
     * @param  array{float, float}  $span  the heights between which there is room, in mm
     * @param  callable(float): float  $room  how far it reaches from the axis at a height
     */
    private static function fits(Stack $foam, array $span, callable $room): bool
    {
        $own = $foam->size();
        $spare = $span[1] - $span[0] - $own->heightMm;
        if ($spare < (self::SNUG - 1) * $own->heightMm) {
            return false;
        }
        for ($at = 0; $at <= self::HEIGHTS; $at++) {
            $low = $span[0] + $spare * $at / self::HEIGHTS;
            $in = true;
            for ($k = 0; $in && $k < self::LEVELS; $k++) {
                $t = ($k + 0.5) / self::LEVELS;
                $y = $low + (0.5 + self::SNUG * ($t - 0.5)) * $own->heightMm;
                $in = self::SNUG * $own->widthMm / 2 * $foam->profile($t) <= $room($y);
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
                static fn (int $mm): self => new self(Ball::of(Size::of($mm, $mm, $mm))),
                self::BALLS_MM,
            ),
            ...array_map(
                static fn (array $mm): self => new self(Egg::of(Size::of($mm[0], $mm[1], $mm[0]), self::TAPER)),
                self::EGGS_MM,
            ),
        ];
        usort($stock, static fn (self $a, self $b): int => $b->solid->volumeCm3() <=> $a->solid->volumeCm3());

        return $stock;
    }
}
