<?php

declare(strict_types=1);

namespace Impa\Geometry;

/**
 * How a part is turned: about z (in the picture plane), then x, then y, in degrees,
 * anticlockwise seen from the positive end of each axis. Immutable.
 */
final readonly class Turn
{
    /** @param  array{Vec3, Vec3, Vec3}  $rows the rotation matrix */
    private function __construct(
        public float $xDeg,
        public float $yDeg,
        public float $zDeg,
        private array $rows,
    ) {
    }

    public static function of(float $xDeg, float $yDeg, float $zDeg): self
    {
        [$a, $b, $c] = [deg2rad($xDeg), deg2rad($yDeg), deg2rad($zDeg)];
        [$ca, $sa, $cb, $sb, $cc, $sc] = [cos($a), sin($a), cos($b), sin($b), cos($c), sin($c)];

        return new self($xDeg, $yDeg, $zDeg, [
            [$cb * $cc + $sb * $sa * $sc, -$cb * $sc + $sb * $sa * $cc, $sb * $ca],
            [$ca * $sc, $ca * $cc, -$sa],
            [-$sb * $cc + $cb * $sa * $sc, $sb * $sc + $cb * $sa * $cc, $cb * $ca],
        ]);
    }

    public static function none(): self
    {
        return self::of(0.0, 0.0, 0.0);
    }

    public function isNone(): bool
    {
        return $this->xDeg === 0.0 && $this->yDeg === 0.0 && $this->zDeg === 0.0;
    }

    /** Whether the shape keeps its front to the viewer, so that its outline is only turned, not foreshortened. */
    public function keepsFront(): bool
    {
        return $this->xDeg === 0.0 && $this->yDeg === 0.0;
    }

    /** The turn of the twin at -x. */
    public function mirrored(): self
    {
        return self::of($this->xDeg, -$this->yDeg, -$this->zDeg);
    }

    /** @return Vec3 */
    public function apply(float $x, float $y, float $z): array
    {
        [$r, $s, $t] = $this->rows;

        return [
            $r[0] * $x + $r[1] * $y + $r[2] * $z,
            $s[0] * $x + $s[1] * $y + $s[2] * $z,
            $t[0] * $x + $t[1] * $y + $t[2] * $z,
        ];
    }

    /** @return Vec3 */
    public function undo(float $x, float $y, float $z): array
    {
        [$r, $s, $t] = $this->rows;

        return [
            $r[0] * $x + $s[0] * $y + $t[0] * $z,
            $r[1] * $x + $s[1] * $y + $t[1] * $z,
            $r[2] * $x + $s[2] * $y + $t[2] * $z,
        ];
    }
}
