<?php

declare(strict_types=1);

namespace Impa\Shape;

use Impa\Shape\Solid\Ball;
use Impa\Shape\Solid\Block;
use Impa\Shape\Solid\Cone;
use Impa\Shape\Solid\Cup;
use Impa\Shape\Solid\Dome;
use Impa\Shape\Solid\Drop;
use Impa\Shape\Solid\Drum;
use Impa\Shape\Solid\Drumstick;
use Impa\Shape\Solid\Egg;
use Impa\Shape\Solid\Gumdrop;
use Impa\Shape\Solid\Plate;
use Impa\Shape\Solid\Ring;
use Impa\Shape\Solid\Roll;
use Impa\Shape\Solid\Sausage;

/**
 * The shapes of the trade. A new one is a file beside this and a line in `solid()` and `usualSize()`.
 *
 * @phpstan-type Options array{taper?: float, topMm?: float, bottomMm?: float, edgeMm?: float, cornerMm?: float, bendDeg?: float,
 *     outline?: string|list<array{float, float}>}
 */
final class Catalogue
{
    /** How far a new arc is bent, and a new cord, in degrees (house choice). */
    public const ARC_BEND_DEG = 120.0;

    public const CORD_BEND_DEG = 0.0;

    /** A drumstick's thin end as a share of its thick one, unless told (house choice). */
    public const DRUMSTICK_TOP = 0.6;

    /** A cup's lower end as a share of its upper one, and its rims' radius as a share of its thinner end, unless told (house choice). */
    public const CUP_BOTTOM = 0.7;

    public const CUP_EDGE = 0.12;

    /** How round a block's corners and edges are, as a share of its shortest side, unless told (house choice). */
    public const BLOCK_CORNER = 0.2;

    /**
     * @param  Options  $options
     *
     * @throws ShapeRefused if the shape cannot be made
     */
    public static function solid(ShapeKind $kind, Size $size, array $options = []): Solid
    {
        return match ($kind) {
            ShapeKind::Ball => Ball::of($size),
            ShapeKind::Egg => Egg::of($size, $options['taper'] ?? 0.2),
            ShapeKind::Sausage => Sausage::of($size),
            ShapeKind::Drum => Drum::of($size),
            ShapeKind::Drumstick => Drumstick::of(
                $size,
                $options['topMm'] ?? $size->widthMm * self::DRUMSTICK_TOP,
                $options['bottomMm'] ?? $size->widthMm,
            ),
            ShapeKind::Cup => self::cup($size, $options),
            ShapeKind::Block => Block::of(
                $size,
                $options['cornerMm'] ?? self::BLOCK_CORNER * $size->smallestMm(),
                $options['edgeMm'] ?? self::BLOCK_CORNER * $size->smallestMm(),
            ),
            ShapeKind::Cone => Cone::of($size),
            ShapeKind::Drop => Drop::of($size),
            ShapeKind::Dome => Dome::of($size),
            ShapeKind::Gumdrop => Gumdrop::of($size),
            ShapeKind::Ring => Ring::of($size),
            ShapeKind::Arc => Roll::of($kind, $size, $options['bendDeg'] ?? self::ARC_BEND_DEG),
            ShapeKind::Cord => Roll::of($kind, $size, $options['bendDeg'] ?? self::CORD_BEND_DEG),
            ShapeKind::Plate => Plate::of($kind, $size, self::outline($options, 'disc')),
            ShapeKind::Strip, ShapeKind::Sheet => Plate::of($kind, $size, self::outline($options, 'rectangle')),
        };
    }

    /** A sensible first size for a new part of this kind, in mm, on a figure of about 110 mm (house choice). */
    public static function usualSize(ShapeKind $kind): Size
    {
        return match ($kind) {
            ShapeKind::Ball => Size::of(30, 30, 30),
            ShapeKind::Egg => Size::of(30, 38, 28),
            ShapeKind::Sausage => Size::of(12, 30, 12),
            ShapeKind::Drum => Size::of(28, 30, 28),
            ShapeKind::Drumstick => Size::of(14, 34, 14),
            ShapeKind::Cone => Size::of(18, 26, 18),
            ShapeKind::Drop => Size::of(16, 26, 16),
            ShapeKind::Dome => Size::of(30, 15, 30),
            ShapeKind::Gumdrop => Size::of(30, 34, 30),
            ShapeKind::Cup => Size::of(30, 26, 30),
            ShapeKind::Block => Size::of(30, 30, 24),
            ShapeKind::Ring => Size::of(34, 34, 7),
            ShapeKind::Arc => Size::of(10, 44, 10),
            ShapeKind::Plate => Size::of(20, 24, 5),
            ShapeKind::Cord => Size::of(4, 50, 4),
            ShapeKind::Strip => Size::of(12, 60, 3),
            ShapeKind::Sheet => Size::of(44, 34, 3),
        };
    }

    /**
     * @param  Options  $options
     *
     * @throws ShapeRefused if the shape cannot be made
     */
    private static function cup(Size $size, array $options): Cup
    {
        $top = $options['topMm'] ?? $size->widthMm;
        $bottom = $options['bottomMm'] ?? $size->widthMm * self::CUP_BOTTOM;

        return Cup::of($size, $top, $bottom, $options['edgeMm'] ?? self::CUP_EDGE * min($top, $bottom));
    }

    /**
     * @param  Options  $options
     * @return list<array{float, float}>
     */
    private static function outline(array $options, string $usual): array
    {
        $outline = $options['outline'] ?? $usual;

        return is_string($outline) ? Outline::named($outline) : $outline;
    }
}
