<?php

declare(strict_types=1);

namespace Impa\Shape;

/** The simple shapes a felter sees in a drawing (docs/trade.md, Shapes). */
enum ShapeKind: string
{
    case Ball = 'ball';
    case Egg = 'egg';
    case Sausage = 'sausage';
    case Drum = 'drum';
    case Drumstick = 'drumstick';
    case Cone = 'cone';
    case Drop = 'drop';
    case Dome = 'dome';
    case Gumdrop = 'gumdrop';
    case Cup = 'cup';
    case Block = 'block';
    case Ring = 'ring';
    case Arc = 'arc';
    case Plate = 'plate';
    case Cord = 'cord';
    case Strip = 'strip';
    case Sheet = 'sheet';

    /** Flat pieces are felted as a layer, not as a core with a cover. */
    public function isFlat(): bool
    {
        return match ($this) {
            self::Plate, self::Strip, self::Sheet => true,
            default => false,
        };
    }

    /** Long thin pieces, which a felter rolls and which may want a wire. */
    public function isLong(): bool
    {
        return match ($this) {
            self::Sausage, self::Drumstick, self::Arc, self::Cord => true,
            default => false,
        };
    }
}
