<?php

declare(strict_types=1);

namespace Impa\Check\Photo;

/** What tells how large a thing on a photo is, where no marker sheet does: a ruler laid beside it, or a part that was measured. Immutable. */
final readonly class Scale
{
    /** Apart on a ruler, pixels and mm. */
    private const LEAST_PX = 20.0;

    private const RANGE_MM = [1.0, 1000.0];

    /**
     * @param  array{array{float, float}, array{float, float}}|null  $ruler  two places on it, in pixels of the photo as it came
     * @param  string  $part  key of the part whose width was measured, or empty
     */
    private function __construct(public ?array $ruler, public string $part, public float $mm)
    {
    }

    /**
     * Two places on a ruler, so many mm apart.
     *
     * @param  array{float, float}  $from  in pixels of the photo as it came
     * @param  array{float, float}  $to
     *
     * @throws PhotoRefused if they lie too near to each other, or the mm are out of range
     */
    public static function byRuler(array $from, array $to, float $mm): self
    {
        $apart = hypot($to[0] - $from[0], $to[1] - $from[1]);
        if (is_nan($apart) || $apart < self::LEAST_PX) {
            throw PhotoRefused::rulerTooShort();
        }

        return new self([$from, $to], '', self::inRange($mm));
    }

    /**
     * @param  float  $mm  how wide the part is, by calipers
     *
     * @throws PhotoRefused if the mm are out of range
     */
    public static function byPart(string $part, float $mm): self
    {
        return new self(null, $part, self::inRange($mm));
    }

    /** Pixels of the photo as it came to a mm; nothing where a part tells it. */
    public function pxPerMm(): ?float
    {
        return $this->ruler === null
            ? null
            : hypot($this->ruler[1][0] - $this->ruler[0][0], $this->ruler[1][1] - $this->ruler[0][1]) / $this->mm;
    }

    /**
     * Whether something that stands on the ground is the ruler: the line between both places runs over it.
     *
     * @param  array<int, true>  $piece  cells
     */
    public function isOn(array $piece, PhotoGround $ground, Photo $photo): bool
    {
        if ($this->ruler === null) {
            return false;
        }
        [[$x, $y], [$toX, $toY]] = $this->ruler;
        $cell = PhotoGround::CELL * $photo->ownPerPx;
        // A place in each cell that it runs over, and at both ends.
        $steps = ceil(hypot($toX - $x, $toY - $y) / $cell);
        for ($i = 0; $i <= $steps; $i++) {
            $column = (int) floor(($x + $i / $steps * ($toX - $x)) / $cell);
            $row = (int) floor(($y + $i / $steps * ($toY - $y)) / $cell);
            if ($column >= 0 && $column < $ground->width && isset($piece[$row * $ground->width + $column])) {
                return true;
            }
        }

        return false;
    }

    /** @throws PhotoRefused */
    private static function inRange(float $mm): float
    {
        return is_nan($mm) || $mm < self::RANGE_MM[0] || $mm > self::RANGE_MM[1] ? throw PhotoRefused::knownOutOfRange() : $mm;
    }
}
