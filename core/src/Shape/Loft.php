<?php

declare(strict_types=1);

namespace Impa\Shape;

/**
 * A surface as a row of rings, each a closed loop of the same number of points. Neighbouring
 * rings are joined by a band; the first and last ring are closed by a flat cap, or joined
 * to each other when the loft is `closed` (a ring's tube). Seen from outside, the bands turn
 * anticlockwise, so that the signed volume is positive.
 */
final readonly class Loft
{
    /** @param  list<list<float>>  $rings each flat: x0, y0, z0, x1, ... in mm */
    private function __construct(
        public array $rings,
        public bool $closed,
    ) {
    }

    /** @param  list<list<float>>  $rings */
    public static function of(array $rings, bool $closed = false): self
    {
        return new self($rings, $closed);
    }

    /** Volume by the divergence theorem over the triangles of bands and caps; mm3 to cm3. */
    public function signedVolumeCm3(): float
    {
        $six = 0.0;
        $count = count($this->rings);
        for ($i = 0, $bands = $this->closed ? $count : $count - 1; $i < $bands; $i++) {
            $six += self::band($this->rings[$i], $this->rings[($i + 1) % $count]);
        }
        if (! $this->closed && $count > 0) {
            $six += self::cap($this->rings[$count - 1]) - self::cap($this->rings[0]);
        }

        return $six / 6000.0;
    }

    /**
     * @param  list<float>  $low
     * @param  list<float>  $high
     */
    private static function band(array $low, array $high): float
    {
        $six = 0.0;
        $n = count($low);
        for ($j = 0; $j < $n; $j += 3) {
            $k = ($j + 3) % $n;
            $six += self::triple($low, $j, $low, $k, $high, $j) + self::triple($low, $k, $high, $k, $high, $j);
        }

        return $six;
    }

    /** @param  list<float>  $ring */
    private static function cap(array $ring): float
    {
        $six = 0.0;
        for ($j = 3, $n = count($ring); $j + 3 < $n; $j += 3) {
            $six += self::triple($ring, 0, $ring, $j, $ring, $j + 3);
        }

        return $six;
    }

    /**
     * The scalar triple product a . (b x c).
     *
     * @param  list<float>  $p
     * @param  list<float>  $q
     * @param  list<float>  $r
     */
    private static function triple(array $p, int $a, array $q, int $b, array $r, int $c): float
    {
        return $p[$a] * ($q[$b + 1] * $r[$c + 2] - $q[$b + 2] * $r[$c + 1])
            + $p[$a + 1] * ($q[$b + 2] * $r[$c] - $q[$b] * $r[$c + 2])
            + $p[$a + 2] * ($q[$b] * $r[$c + 1] - $q[$b + 1] * $r[$c]);
    }
}
