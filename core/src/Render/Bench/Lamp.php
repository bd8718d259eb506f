<?php

declare(strict_types=1);

namespace Impa\Render\Bench;

/** What lights a bench: a window, or a small lamp. Immutable. */
final readonly class Lamp
{
    /**
     * @param  float  $fromDeg  where the light comes from, from the right of the picture anticlockwise
     * @param  float  $highDeg  and how high it stands above the bench
     * @param  float  $shading  how much darker the skin is that looks away from it, 0 to 1
     * @param  bool  $isHard  a small lamp, else a window
     * @param  Rgb3  $gains  what it does to red, green and blue
     */
    public function __construct(
        public float $fromDeg,
        public float $highDeg,
        public float $shading,
        public bool $isHard,
        public array $gains,
    ) {
    }

    /**
     * A way in the picture, and its height above it.
     *
     * @return Vec3 of length 1, towards the light
     */
    public function towards(): array
    {
        [$from, $high] = [deg2rad($this->fromDeg), deg2rad($this->highDeg)];

        return [cos($from) * cos($high), sin($from) * cos($high), sin($high)];
    }

    /**
     * How bright skin is that looks this way, 1 where it looks at the light. A window lights round the form, a lamp does not.
     *
     * @param  Vec3  $normal  of length 1
     */
    public function on(array $normal): float
    {
        [$x, $y, $z] = $this->towards();
        $lit = $normal[0] * $x + $normal[1] * $y + $normal[2] * $z;

        return 1 - $this->shading * (1 - ($this->isHard ? max(0.0, $lit) : 0.5 + 0.5 * $lit));
    }
}
