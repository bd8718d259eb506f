<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

/** The side of a figure from which a detail, or the figure, is seen. Left is the viewer's left, at -x. */
enum Side: string
{
    case Front = 'front';
    case Back = 'back';
    case Left = 'left';
    case Right = 'right';
    case Top = 'top';
    case Under = 'under';

    /**
     * A point as seen from this side.
     *
     * @return Vec3 right, up and towards the viewer
     */
    public function see(float $x, float $y, float $z): array
    {
        return match ($this) {
            self::Front => [$x, $y, $z],
            self::Back => [-$x, $y, -$z],
            self::Left => [$z, $y, -$x],
            self::Right => [-$z, $y, $x],
            self::Top => [$x, -$z, $y],
            self::Under => [$x, $z, -$y],
        };
    }

    /**
     * The point that is seen at right, up, towards.
     *
     * @return Vec3 x, y and z
     */
    public function place(float $right, float $up, float $towards): array
    {
        return match ($this) {
            self::Front => [$right, $up, $towards],
            self::Back => [-$right, $up, -$towards],
            self::Left => [-$towards, $up, $right],
            self::Right => [$towards, $up, -$right],
            self::Top => [$right, $towards, -$up],
            self::Under => [$right, -$towards, $up],
        };
    }

    /** The side on which the mirrored twin of a detail lies. */
    public function mirrored(): self
    {
        return match ($this) {
            self::Left => self::Right,
            self::Right => self::Left,
            default => $this,
        };
    }
}
