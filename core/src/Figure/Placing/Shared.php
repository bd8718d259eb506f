<?php

declare(strict_types=1);

namespace Impa\Figure\Placing;

use Impa\Figure\Placement;
use Impa\Geometry\Box;
use Impa\Shape\Body;

/**
 * What a piece, or what is inside it, shares with other pieces: summed in columns through its depth. Where all of them keep their front
 * to the viewer, a column lies in each from skin to skin; else it is looked at in places. Within 2 % of the shared volume. Immutable.
 *
 * @phpstan-type Frame array{Placement, Vec3, list<Vec3>, array{float, float, float, float}}
 */
final readonly class Shared
{
    /**
     * Columns over all of the body, fewer over less of it, but so many; spread evenly, by so much farther up from each to the next (the
     * golden section: a lattice of Fibonacci's); the right half
     * is the left one's mirror image, so that what is mirrored shares as much.
     */
    private const COLUMNS = 987;

    private const LEAST = 144;

    private const UP = 0.6180339887;

    /** Places in a column where it is looked at in places. */
    private const DEEP = 6;

    /** Rings from the rim of a flat end to its middle. */
    private const DRAWN_IN = 6;

    /**
     * @param  float  $share  of the body's volume, 0 to 1
     * @param  Vec3  $middle  of what is shared, in the frame of the piece; its origin where nothing is
     */
    private function __construct(public float $share, public array $middle)
    {
    }

    public static function none(): self
    {
        return new self(0.0, [0.0, 0.0, 0.0]);
    }

    /**
     * @param  Body  $body  the piece's solid, or what is inside it
     * @param  list<Placement>  $others
     */
    public static function of(Placement $piece, Body $body, array $others): self
    {
        $frames = self::near($piece, $others);
        $others = array_column($frames, 0);
        $isPlain = array_filter([$piece, ...$others], static fn (Placement $p): bool => ! $p->turn->keepsFront()) === [];
        $reached = $isPlain
            ? array_merge(...array_map(static fn (Placement $other): array => self::seen($piece, $other), $others))
            : array_merge(...array_map(static function (array $frame): array {
                [$x, $y, , $radius] = $frame[3];

                return [[$x - $radius, $y - $radius], [$x + $radius, $y + $radius]];
            }, $frames));
        $all = Box::around($body->front()[0]);
        $box = $all->common(Box::around($reached));
        if ($box->width() <= 0.0 || $box->height() <= 0.0) {
            return self::none();
        }
        $columns = max(self::LEAST, (int) ceil(self::COLUMNS * $box->width() * $box->height() / $all->width() / $all->height()));
        $volume = 0.0;
        $first = [0.0, 0.0, 0.0];
        for ($i = 0; $i < $columns; $i++) {
            $fromRim = min($i, $columns - 1 - $i);
            $x = $box->left + ($i + 0.5) / $columns * $box->width();
            $y = $box->low + fmod(($fromRim + 0.5) * self::UP, 1.0) * $box->height();
            $half = $body->frontMm($x, $y);
            if (is_nan($half)) {
                continue;
            }
            $stretches = $isPlain
                ? self::stretches($frames, $x, $y, $half)
                : self::searched($frames, $x, $y, $half, fmod($fromRim * M_SQRT2, 1.0));
            foreach ($stretches as [$from, $to]) {
                $mm = $to - $from;
                $volume += $mm;
                $first[0] += $mm * $x;
                $first[1] += $mm * $y;
                $first[2] += $mm * ($from + $to) / 2;
            }
        }
        $cm3 = $volume / $columns * $box->width() * $box->height() / 1000.0;

        return $cm3 <= 0.0
            ? self::none()
            : new self(
                min(1.0, $cm3 / $body->volumeCm3()),
                [$first[0] / $volume, $first[1] / $volume, $first[2] / $volume],
            );
    }

    /**
     * The share of a piece's skin that lies within others, by the quads of its loft.
     *
     * @param  list<Placement>  $others
     */
    public static function skin(Placement $piece, array $others): float
    {
        $frames = self::near($piece, $others);
        if ($frames === []) {
            return 0.0;
        }
        $loft = $piece->part->solid->loft();
        $rings = $loft->rings;
        if ($loft->closed) {
            $rings[] = $rings[0];
        } else {
            // Its ends are flat: rings that draw in to their middle.
            $rings = [...array_reverse(self::drawnIn($rings[0])), ...$rings, ...self::drawnIn($rings[count($rings) - 1])];
        }
        $all = $within = 0.0;
        for ($i = 1, $n = count($rings); $i < $n; $i++) {
            [$low, $high] = [$rings[$i - 1], $rings[$i]];
            for ($j = 0, $m = count($low); $j < $m; $j += 3) {
                $k = ($j + 3) % $m;
                // Half the cross product of its diagonals.
                [$ax, $ay, $az] = [$high[$k] - $low[$j], $high[$k + 1] - $low[$j + 1], $high[$k + 2] - $low[$j + 2]];
                [$bx, $by, $bz] = [$high[$j] - $low[$k], $high[$j + 1] - $low[$k + 1], $high[$j + 2] - $low[$k + 2]];
                $mm2 = sqrt(($ay * $bz - $az * $by) ** 2 + ($az * $bx - $ax * $bz) ** 2 + ($ax * $by - $ay * $bx) ** 2) / 2;
                $all += $mm2;
                $within += $mm2 * (int) self::isWithin(
                    $frames,
                    ($low[$j] + $low[$k] + $high[$j] + $high[$k]) / 4,
                    ($low[$j + 1] + $low[$k + 1] + $high[$j + 1] + $high[$k + 1]) / 4,
                    ($low[$j + 2] + $low[$k + 2] + $high[$j + 2] + $high[$k + 2]) / 4,
                );
            }
        }

        return $all > 0.0 ? $within / $all : 0.0;
    }

    /**
     * @param  list<float>  $ring
     * @return list<list<float>> from just within it to its middle
     */
    private static function drawnIn(array $ring): array
    {
        $middle = [0.0, 0.0, 0.0];
        foreach ($ring as $i => $mm) {
            $middle[$i % 3] += 3 * $mm / count($ring);
        }
        $rings = [];
        for ($k = self::DRAWN_IN - 1; $k >= 0; $k--) {
            $share = $k / self::DRAWN_IN;
            $rings[] = array_map(
                static fn (float $mm, int $i): float => $share * $mm + (1 - $share) * $middle[$i % 3],
                $ring,
                array_keys($ring),
            );
        }

        return $rings;
    }

    /**
     * The frames of those others that may reach the piece: a ball round each meets the box round it.
     *
     * @param  list<Placement>  $others
     * @return list<Frame>
     */
    private static function near(Placement $piece, array $others): array
    {
        $size = $piece->part->solid->size();
        $half = [$size->widthMm / 2, $size->heightMm / 2, $size->depthMm / 2];
        $near = [];
        foreach ($others as $other) {
            $frame = self::frame($piece, $other);
            $square = 0.0;
            foreach ($half as $i => $mm) {
                $square += max(0.0, abs($frame[3][$i]) - $mm) ** 2;
            }
            if ($square < $frame[3][3] ** 2) {
                $near[] = $frame;
            }
        }

        return $near;
    }

    /**
     * From the frame of a piece into that of another: where its origin lies there, where each of its axes leads, and a ball round the
     * other one in the frame of the piece.
     *
     * @return Frame
     */
    private static function frame(Placement $piece, Placement $other): array
    {
        $into = static function (float $x, float $y, float $z) use ($piece, $other): array {
            [$px, $py, $pz] = $piece->place($x, $y, $z);

            return $other->own($px - $other->at[0], $py - $other->at[1], $pz - $other->at[2]);
        };
        $origin = $into(0.0, 0.0, 0.0);
        $axes = array_map(static function (array $axis) use ($into, $origin): array {
            $to = $into(...$axis);

            return [$to[0] - $origin[0], $to[1] - $origin[1], $to[2] - $origin[2]];
        }, [[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]]);
        // Axes are turned, never stretched: they lead back by their transpose.
        $back = array_map(
            static fn (array $axis): float => -($origin[0] * $axis[0] + $origin[1] * $axis[1] + $origin[2] * $axis[2]),
            $axes,
        );
        $size = $other->part->solid->size();

        $radius = sqrt($size->widthMm ** 2 + $size->heightMm ** 2 + $size->depthMm ** 2) / 2;

        return [$other, $origin, $axes, [$back[0], $back[1], $back[2], $radius]];
    }

    /** @return list<array{float, float}> the outline of another piece, in the frame of this one; neither is turned out of the picture */
    private static function seen(Placement $piece, Placement $other): array
    {
        return array_map(static function (array $p) use ($piece, $other): array {
            [$x, $y] = $other->place($p[0], $p[1], 0.0);
            [$right, $up] = $piece->own($x - $piece->at[0], $y - $piece->at[1], 0.0);

            return [$right, $up];
        }, $other->part->solid->front()[0]);
    }

    /**
     * @param  list<Frame>  $frames
     * @return list<array{float, float}> from where to where a column lies in any of the others, apart from each other
     */
    private static function stretches(array $frames, float $x, float $y, float $half): array
    {
        $found = [];
        foreach ($frames as [$other, $origin, [$right, $up]]) {
            $deep = $other->part->solid->frontMm(
                $origin[0] + $x * $right[0] + $y * $up[0],
                $origin[1] + $x * $right[1] + $y * $up[1],
            );
            // Both look to the front: depths differ by where they stand.
            [$from, $to] = [max(-$half, -$deep - $origin[2]), min($half, $deep - $origin[2])];
            if ($to > $from) {
                $found[] = [$from, $to];
            }
        }

        return self::apart($found);
    }

    /**
     * The same where something is turned: looked at in places as far as a ball round each of the others goes.
     *
     * @param  list<Frame>  $frames
     * @param  float  $on  which part of its stretch each place is, 0 to 1
     * @return list<array{float, float}>
     */
    private static function searched(array $frames, float $x, float $y, float $half, float $on): array
    {
        $found = [];
        foreach ($frames as $frame) {
            [$cx, $cy, $cz, $radius] = $frame[3];
            $square = $radius ** 2 - ($x - $cx) ** 2 - ($y - $cy) ** 2;
            $from = max(-$half, $cz - sqrt(max(0.0, $square)));
            $mm = (min($half, $cz + sqrt(max(0.0, $square))) - $from) / self::DEEP;
            for ($k = 0; $square > 0.0 && $mm > 0.0 && $k < self::DEEP; $k++) {
                if (self::isWithin([$frame], $x, $y, $from + ($k + $on) * $mm)) {
                    $found[] = [$from + $k * $mm, $from + ($k + 1) * $mm];
                }
            }
        }

        return self::apart($found);
    }

    /**
     * @param  list<array{float, float}>  $stretches
     * @return list<array{float, float}> those that overlap made one
     */
    private static function apart(array $stretches): array
    {
        if (count($stretches) < 2) {
            return $stretches;
        }
        sort($stretches);
        $apart = [array_shift($stretches)];
        foreach ($stretches as [$from, $to]) {
            $last = count($apart) - 1;
            if ($from > $apart[$last][1]) {
                $apart[] = [$from, $to];
            } else {
                $apart[$last][1] = max($apart[$last][1], $to);
            }
        }

        return $apart;
    }

    /**
     * Whether a place of the piece's own frame lies in any of the others.
     *
     * @param  list<Frame>  $frames
     */
    private static function isWithin(array $frames, float $x, float $y, float $z): bool
    {
        foreach ($frames as [$other, $origin, [$right, $up, $towards]]) {
            $front = $other->part->solid->frontMm(
                $origin[0] + $x * $right[0] + $y * $up[0] + $z * $towards[0],
                $origin[1] + $x * $right[1] + $y * $up[1] + $z * $towards[1],
            );
            if (abs($origin[2] + $x * $right[2] + $y * $up[2] + $z * $towards[2]) <= $front) {
                return true;
            }
        }

        return false;
    }
}
