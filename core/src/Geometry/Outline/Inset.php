<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

/**
 * A profile along an axis moved inwards by an even distance: how far it still reaches at each height (its inner parallel curve, which
 * leaves out whatever lies nearer to the skin, flat ends among it). Of one profile in many widths, which is what a stack of like
 * slices has in as many directions. Immutable.
 */
final readonly class Inset
{
    /** Halvings that find where a width begins: to 0.002 mm in a profile of 60. */
    private const HALVINGS = 10;

    /** What reaches less far is nothing. */
    private const NOTHING_MM = 0.01;

    /** Heights at which a first look is taken. */
    private const LOOKS = 32;

    /**
     * @param  non-empty-list<array{float, float}>  $profile  height in mm, rising, and the share of the full reach there
     * @param  float  $mm  0 or more
     */
    public function __construct(private array $profile, private float $mm)
    {
    }

    /**
     * The heights between which something is left of a reach; null where nothing is.
     *
     * @return ?array{float, float} mm
     */
    public function span(float $reachMm): ?array
    {
        $low = $this->profile[0][0] + $this->mm;
        $high = $this->profile[count($this->profile) - 1][0] - $this->mm;
        if ($low > $high) {
            return null;
        }
        $touching = $this->touching([$reachMm]);
        $isLeft = fn (float $y): bool => $this->left([$reachMm], $touching, $y)[0] > self::NOTHING_MM;
        $at = static fn (int $i): float => $low + ($high - $low) * $i / self::LOOKS;
        [$first, $last] = [0, self::LOOKS];
        while ($first <= $last && ! $isLeft($at($first))) {
            $first++;
        }
        if ($first > $last) {
            return null;
        }
        while (! $isLeft($at($last))) {
            $last--;
        }

        return [
            $first === 0 ? $low : self::edge($isLeft, $at($first - 1), $at($first)),
            $last === self::LOOKS ? $high : self::edge($isLeft, $at($last + 1), $at($last)),
        ];
    }

    /** How far one reaches at a height that lies so deep at least from both ends; 0 or less where nothing is left. */
    public function reach(float $reachMm, float $y): float
    {
        return $this->reaches([$reachMm], [$y])[0][0];
    }

    /**
     * How far each of these reaches at each of such heights.
     *
     * @param  non-empty-list<float>  $reachesMm  where the share is 1
     * @param  list<float>  $heights
     * @return list<non-empty-list<float>> by height
     */
    public function reaches(array $reachesMm, array $heights): array
    {
        $touching = $this->touching($reachesMm);

        return array_map(fn (float $y): array => $this->left($reachesMm, $touching, $y), $heights);
    }

    /**
     * How far from its middle the circle that rolls within touches each straight stretch, seen across: there where it is as steep.
     *
     * @param  non-empty-list<float>  $reachesMm
     * @return list<list<float>> by stretch and reach
     */
    private function touching(array $reachesMm): array
    {
        $touching = [];
        for ($i = 0, $last = count($this->profile) - 1; $i < $last; $i++) {
            $lean = $this->lean($i);
            $here = [];
            foreach ($reachesMm as $reach) {
                $here[] = $this->mm / sqrt(1 + ($reach * $lean) ** 2);
            }
            $touching[] = $here;
        }

        return $touching;
    }

    /**
     * @param  non-empty-list<float>  $reachesMm
     * @param  list<list<float>>  $touching
     * @return non-empty-list<float>
     */
    private function left(array $reachesMm, array $touching, float $y): array
    {
        $mm = $this->mm;
        $left = array_fill(0, count($reachesMm), INF);
        for ($i = $this->before($y - $mm), $last = count($this->profile) - 1; $i < $last; $i++) {
            [$from, $share] = $this->profile[$i];
            if ($from > $y + $mm) {
                break;
            }
            $lean = $this->lean($i);
            // Or at one of its ends, where that lies nearer.
            $lowest = $from - $y < -$mm ? -$mm : $from - $y;
            $highest = $this->profile[$i + 1][0] - $y;
            $highest = $highest > $mm ? $mm : $highest;
            $inAtLowest = sqrt(max(0.0, $mm * $mm - $lowest * $lowest));
            $inAtHighest = sqrt(max(0.0, $mm * $mm - $highest * $highest));
            $here = $touching[$i];
            foreach ($reachesMm as $k => $reach) {
                $in = $here[$k];
                $slope = $reach * $lean;
                $up = -$slope * $in;
                if ($up < $lowest) {
                    $up = $lowest;
                    $in = $inAtLowest;
                } elseif ($up > $highest) {
                    $up = $highest;
                    $in = $inAtHighest;
                }
                $at = $reach * $share + $slope * ($y + $up - $from) - $in;
                if ($at < $left[$k]) {
                    $left[$k] = $at;
                }
            }
        }

        return $left;
    }

    /** How much larger the share gets with each mm of a stretch. */
    private function lean(int $i): float
    {
        [[$from, $share], [$to, $next]] = [$this->profile[$i], $this->profile[$i + 1]];

        return ($next - $share) / ($to - $from);
    }

    /** The stretch in which a height lies, or the first one. */
    private function before(float $y): int
    {
        [$low, $high] = [0, count($this->profile) - 1];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $this->profile[$middle][0] <= $y ? [$middle, $high] : [$low, $middle];
        }

        return $low;
    }

    /** @param  callable(float): bool  $isLeft */
    private static function edge(callable $isLeft, float $none, float $some): float
    {
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($none + $some) / 2;
            [$none, $some] = $isLeft($middle) ? [$none, $middle] : [$middle, $some];
        }

        return $some;
    }
}
