<?php

declare(strict_types=1);

namespace Impa\Surface;

use Impa\Geometry\Bisection;

/** The map between what is seen of a piece and where it lies on the wool: there, back, and from mark to mark. Immutable. */
final readonly class Chart
{
    /** Halvings for the way back: a thousandth of a millimetre on any head. */
    private const HALVINGS = 30;

    /** Pieces of a tape from mark to mark. */
    private const STEPS = 40;

    /** It bows in so many waves, and is taut to so much. */
    private const WAVES = 4;

    private const TAUT_MM = 0.005;

    private function __construct(private Surface $surface)
    {
    }

    public static function of(Surface $surface): self
    {
        return new self($surface);
    }

    public function mark(float $xMm, float $yMm): TapeMark
    {
        return TapeMark::on($this->surface, $xMm, $yMm);
    }

    /**
     * Where a place is seen that lies so far across by tape from the middle line and so far down from the crown.
     *
     * @return ?array{float, float} x and y in mm from the middle of the piece; null where it lies round the edge, unseen
     */
    public function seen(float $acrossMm, float $downMm): ?array
    {
        $y = $this->levelMm($downMm);
        if ($y === null) {
            return null;
        }
        // A turned piece reaches farther to one side than to the other.
        $way = $acrossMm < 0.0 ? -1.0 : 1.0;
        $edge = Bisection::of(fn (float $mm): bool => $this->surface->has($way * $mm, $y));
        $x = self::halved(fn (float $mm): float => TapeMark::acrossMm($this->surface, $way * $mm, $y), abs($acrossMm), $edge);

        return $x === null ? null : [$way * $x, $y];
    }

    /**
     * From mark to mark, both as seen: by calipers, pin to pin, and by a tape pulled taut over the wool.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return ?array{pinMm: float, tapeMm: float} null where one is not on the piece
     */
    public function between(array $from, array $to): ?array
    {
        $a = $this->surface->heightMm(...$from);
        $b = $this->surface->heightMm(...$to);
        if (is_nan($a) || is_nan($b)) {
            return null;
        }
        $pin = self::apart([...$from, $a], [...$to, $b]);
        $taut = $this->taut($from, $to);

        // Over a gap, as from horn to horn of a crescent, the tape goes through the air.
        return ['pinMm' => $pin, 'tapeMm' => is_infinite($taut) ? $pin : max($pin, $taut)];
    }

    /**
     * The tape between two places: laid straight as seen, then bowed to either side in a few waves as long as that shortens
     * it, until it lies taut, as a string does; INF where it leaves the piece however it is bowed.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private function taut(array $from, array $to): float
    {
        $long = hypot($to[0] - $from[0], $to[1] - $from[1]);
        if ($long < 1e-9) {
            return 0.0;
        }
        $waves = array_fill(0, self::WAVES, 0.0);
        $best = $this->laidMm($from, $to, $long, $waves);
        for ($step = $long / 8; $step > self::TAUT_MM; $step /= 2) {
            for ($k = 0; $k < self::WAVES; $k++) {
                foreach ([$step, -$step] as $by) {
                    for ($again = true; $again;) {
                        $tried = $waves;
                        $tried[$k] += $by;
                        $length = $this->laidMm($from, $to, $long, $tried);
                        if ($again = $length < $best - 1e-9) {
                            [$best, $waves] = [$length, $tried];
                        }
                    }
                }
            }
        }

        return $best;
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  list<float>  $waves  how far it bows sideways, in mm, in one, two, three ... half waves
     */
    private function laidMm(array $from, array $to, float $long, array $waves): float
    {
        [$u, $v] = [-($to[1] - $from[1]) / $long, ($to[0] - $from[0]) / $long];
        $length = 0.0;
        $before = [...$from, $this->surface->heightMm(...$from)];
        for ($i = 1; $i <= self::STEPS; $i++) {
            $t = $i / self::STEPS;
            $off = 0.0;
            foreach ($waves as $k => $mm) {
                $off += $mm * sin(($k + 1) * M_PI * $t);
            }
            $x = $from[0] + ($to[0] - $from[0]) * $t + $off * $u;
            $y = $from[1] + ($to[1] - $from[1]) * $t + $off * $v;
            $next = [$x, $y, $this->surface->heightMm($x, $y, $before[2])];
            if (is_nan($next[2])) {
                return INF;
            }
            $length += self::apart($before, $next);
            $before = $next;
        }

        return $length;
    }

    /**
     * @param  Vec3  $a
     * @param  Vec3  $b
     */
    private static function apart(array $a, array $b): float
    {
        return sqrt(($a[0] - $b[0]) ** 2 + ($a[1] - $b[1]) ** 2 + ($a[2] - $b[2]) ** 2);
    }

    /** y at so much tape below the crown, in mm from the middle of the piece; null below the foot. */
    public function levelMm(float $downMm): ?float
    {
        $crown = $this->surface->crownMm();
        $foot = -Bisection::of(fn (float $mm): bool => $this->surface->has(0.0, -$mm));
        $down = self::halved(fn (float $below): float => TapeMark::downMm($this->surface, $crown - $below), $downMm, $crown - $foot);

        return $down === null ? null : $crown - $down;
    }

    /**
     * Where a growing length reaches a wanted one, from 0 to a largest argument.
     *
     * @param  callable(float): float  $length
     */
    private static function halved(callable $length, float $wanted, float $most): ?float
    {
        if ($wanted < 0.0 || $length(0.99999 * $most) < $wanted) {
            return null;
        }
        [$low, $high] = [0.0, $most];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            $reached = $length($middle);
            [$low, $high] = $reached < $wanted ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }
}
