<?php

declare(strict_types=1);

namespace Impa\Geometry\Outline;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Rectangles on sheets of one size, so that few sheets and little length of the last are used (two-dimensional bin and strip packing).
 * The lowest gap of the skyline is filled by the widest piece that goes into it, beside its taller neighbour (best fit; Burke, Kendall and
 * Whitwell 2004), again and again with widths judged a little otherwise (randomised greedy, fixed seed). Of few pieces every order is
 * tried, each laid as low and as far left as it goes.
 *
 * @phpstan-type Place array{sheet: int, x: float, y: float, isTurned: bool}
 */
final readonly class SkylinePacking
{
    /** Up to so many pieces, every order and turn is tried. */
    public const EVERY_ORDER = 5;

    /** Tries with sixty pieces, and the more the fewer there are: a fiftieth of a second's work, and a third of a second's at the most. */
    public const QUICK = 10;

    public const THOROUGH = 250;

    private const PIECES = 60;

    private const MOST_TRIES = 2000;

    /** Up to so many pieces, shuffled orders are tried in turn with the best fit. */
    private const SHUFFLED = 20;

    /** A width is judged by up to so much more than it is. */
    private const PERTURBED = 0.5;

    private const EPS = 1e-9;

    /**
     * @param  list<Place>  $places  in the order of the pieces, from the lower left corner; none where a piece fits no sheet
     * @param  int  $sheets  that are used
     * @param  float  $length  of the last that is used
     */
    private function __construct(public array $places, public int $sheets, public float $length)
    {
    }

    /**
     * @param  list<array{float, float}>  $sizes  width and height of each, more than 0
     * @param  float  $height  INF for one sheet as long as it takes
     * @param  bool  $mayTurn  whether a piece may lie on its side; not where the sheet has a grain
     */
    public static function of(
        array $sizes,
        float $width,
        float $height = INF,
        bool $mayTurn = true,
        int $tries = self::QUICK,
    ): self {
        $best = new self([], $sizes === [] ? 0 : PHP_INT_MAX, $sizes === [] ? 0.0 : INF);
        if ($sizes !== [] && count($sizes) <= self::EVERY_ORDER) {
            foreach (self::everyOrder(array_keys($sizes), $mayTurn) as $order) {
                $best = $best->or(self::inOrder($sizes, $order, $width, $height));
            }

            return $best;
        }
        $random = new Randomizer(new Mt19937(7));
        $least = array_sum(array_map(static fn (array $s): float => $s[0] * $s[1], $sizes)) / $width;
        $most = min(self::MOST_TRIES, $tries * (self::PIECES / max(1, count($sizes))) ** 2);
        for ($i = 0; $i < $most && ($best->sheets > 1 || $best->length > $least * (1 + 1e-6)); $i++) {
            // Of some twenty pieces a shuffled order is better now and then.
            $best = $best->or($i % 2 === 1 && count($sizes) <= self::SHUFFLED
                ? self::inOrder($sizes, self::shuffled(array_keys($sizes), $mayTurn, $random), $width, $height)
                : self::bestFit($sizes, $width, $height, $mayTurn, $i === 0 ? null : $random));
        }

        return $best;
    }

    /** The one that takes fewer sheets, or less of the last. */
    private function or(self $other): self
    {
        $isBetter = $other->sheets < $this->sheets
            || ($other->sheets === $this->sheets && $other->length < $this->length - self::EPS);

        return $isBetter ? $other : $this;
    }

    /**
     * @param  list<array{float, float}>  $sizes
     * @param  ?Randomizer  $random  none where widths are judged as they are
     */
    private static function bestFit(array $sizes, float $width, float $height, bool $mayTurn, ?Randomizer $random): self
    {
        $left = $sizes;
        $places = [];
        $sheet = 0;
        $length = 0.0;
        $skyline = [[0.0, $width, 0.0]];
        while ($left !== []) {
            $low = 0;
            foreach ($skyline as $i => $step) {
                $low = $step[2] < $skyline[$low][2] - self::EPS ? $i : $low;
            }
            [$from, $to, $y] = $skyline[$low];
            $beside = [$skyline[$low - 1][2] ?? INF, $skyline[$low + 1][2] ?? INF];
            $best = null;
            $most = -1.0;
            foreach ($left as $piece => [$w, $h]) {
                foreach ($mayTurn && $w !== $h ? [[$w, $h, false], [$h, $w, true]] : [[$w, $h, false]] as [$wide, $high, $isTurned]) {
                    if ($wide > $to - $from + self::EPS || $y + $high > $height + self::EPS) {
                        continue;
                    }
                    // What fills the gap from wall to wall goes first, the tallest of these.
                    $fit = $wide > $to - $from - self::EPS
                        ? 1e9 + $high
                        : $wide * ($random === null ? 1.0 : 1 + self::PERTURBED * $random->getInt(0, 1 << 20) / (1 << 20));
                    if ($fit > $most) {
                        [$most, $best] = [$fit, [$piece, $wide, $high, $isTurned]];
                    }
                }
            }
            if ($best === null) {
                if (min($beside) === INF) {
                    // Nothing more goes on this sheet; where nothing went on at all, a piece fits none.
                    if ($length <= 0.0) {
                        return new self([], PHP_INT_MAX, INF);
                    }
                    $sheet++;
                    $length = 0.0;
                    $skyline = [[0.0, $width, 0.0]];
                } else {
                    array_splice($skyline, $low, 1, [[$from, $to, min($beside)]]);
                    $skyline = self::joined($skyline);
                }

                continue;
            }
            [$piece, $wide, $high, $isTurned] = $best;
            unset($left[$piece]);
            $isLeft = $beside[0] >= $beside[1];
            $x = $isLeft ? $from : $to - $wide;
            $places[$piece] = ['sheet' => $sheet, 'x' => $x, 'y' => $y, 'isTurned' => $isTurned];
            $length = max($length, $y + $high);
            array_splice($skyline, $low, 1, $isLeft
                ? [[$from, $from + $wide, $y + $high], [$from + $wide, $to, $y]]
                : [[$from, $x, $y], [$x, $to, $y + $high]]);
            $skyline = self::joined($skyline);
        }
        ksort($places);

        return new self(array_values($places), $sheet + 1, $length);
    }

    /**
     * @param  list<array{float, float, float}>  $skyline  from, to and height of each step
     * @return list<array{float, float, float}> steps of one height made one, those of no width left out
     */
    private static function joined(array $skyline): array
    {
        /** @var list<array{float, float, float}> $joined */
        $joined = [];
        foreach ($skyline as [$from, $to, $height]) {
            $last = count($joined) - 1;
            if ($to - $from < self::EPS) {
                continue;
            }
            if ($last >= 0 && abs($joined[$last][2] - $height) < self::EPS) {
                array_splice($joined, $last, 1, [[$joined[$last][0], $to, $height]]);
            } else {
                $joined[] = [$from, $to, $height];
            }
        }

        return $joined;
    }

    /**
     * Each as low and as far left as it goes (bottom-left), on the first sheet that has room.
     *
     * @param  list<array{float, float}>  $sizes
     * @param  list<array{int, bool}>  $order  piece, and whether it is turned
     */
    private static function inOrder(array $sizes, array $order, float $width, float $height): self
    {
        $skylines = $lengths = $places = [];
        foreach ($order as [$piece, $isTurned]) {
            [$w, $h] = $isTurned ? [$sizes[$piece][1], $sizes[$piece][0]] : $sizes[$piece];
            for ($k = 0, $at = null; $at === null; $k++) {
                $skylines[$k] ??= [[0.0, $width, 0.0]];
                $lengths[$k] ??= 0.0;
                $at = self::lowest($skylines[$k], $w, $h, $width, $height);
                if ($at !== null) {
                    [$x, $y] = $at;
                    $places[$piece] = ['sheet' => $k, 'x' => $x, 'y' => $y, 'isTurned' => $isTurned];
                    $skylines[$k] = self::raised($skylines[$k], $x, $w, $y + $h);
                    $lengths[$k] = max($lengths[$k], $y + $h);
                } elseif ($lengths[$k] <= 0.0) {
                    return new self([], PHP_INT_MAX, INF);
                }
            }
        }
        ksort($places);

        return new self(array_values($places), count($lengths), (float) end($lengths));
    }

    /**
     * @param  list<array{float, float, float}>  $skyline
     * @return ?array{float, float} x and y; null where it does not fit
     */
    private static function lowest(array $skyline, float $w, float $h, float $width, float $height): ?array
    {
        $at = null;
        foreach ($skyline as [$x]) {
            if ($x + $w > $width + self::EPS) {
                break;
            }
            $y = 0.0;
            foreach ($skyline as [$from, $to, $top]) {
                $y = $from < $x + $w - self::EPS && $to > $x + self::EPS ? max($y, $top) : $y;
            }
            if ($y + $h <= $height + self::EPS && ($at === null || $y < $at[1] - self::EPS)) {
                $at = [$x, $y];
            }
        }

        return $at;
    }

    /**
     * The skyline over a piece that was laid.
     *
     * @param  list<array{float, float, float}>  $skyline
     * @return list<array{float, float, float}>
     */
    private static function raised(array $skyline, float $x, float $w, float $top): array
    {
        $raised = [];
        $isIn = false;
        foreach ($skyline as [$from, $to, $height]) {
            if ($from < $x - self::EPS) {
                $raised[] = [$from, min($to, $x), $height];
            }
            if (! $isIn && $to > $x + self::EPS) {
                $raised[] = [$x, $x + $w, $top];
                $isIn = true;
            }
            if ($to > $x + $w + self::EPS) {
                $raised[] = [max($from, $x + $w), $to, $height];
            }
        }

        return $raised;
    }

    /**
     * @param  list<int>  $pieces
     * @return list<array{int, bool}>
     */
    private static function shuffled(array $pieces, bool $mayTurn, Randomizer $random): array
    {
        return array_map(
            static fn (int $piece): array => [$piece, $mayTurn && $random->getInt(0, 1) === 1],
            array_values($random->shuffleArray($pieces)),
        );
    }

    /**
     * @param  list<int>  $pieces
     * @return iterable<list<array{int, bool}>>
     */
    private static function everyOrder(array $pieces, bool $mayTurn): iterable
    {
        if ($pieces === []) {
            yield [];

            return;
        }
        foreach ($pieces as $i => $piece) {
            $rest = $pieces;
            unset($rest[$i]);
            foreach (self::everyOrder(array_values($rest), $mayTurn) as $order) {
                yield [[$piece, false], ...$order];
                if ($mayTurn) {
                    yield [[$piece, true], ...$order];
                }
            }
        }
    }
}
