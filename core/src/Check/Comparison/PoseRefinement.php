<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Check\Photo\PhotoPose;
use Impa\Geometry\Gaussian;
use Impa\Geometry\LeastSquares;

/**
 * A pose brought finely onto what was found on a photo: shift, turn, scale and the camera's place go with most of it (iteratively
 * reweighted least squares, Tukey's weights); a piece that lies otherwise than the rest moves nothing.
 */
final class PoseRefinement
{
    /** What is farther off than this counts for nothing, mm, round by round. */
    private const LIMITS_MM = [8.0, 4.0, 2.0, 1.2, 0.9, 0.9];

    /** The same where it begins with what one piece says. */
    private const CLOSE_MM = [1.2, 0.9, 0.9];

    /** What it begins with lies so far apart, mm, or is larger by shares that are. */
    private const APART_MM = 1.0;

    private const APART = 0.02;

    /** Where it goes together better by less than that, what was found first stays (tuned on the made-up characters of bench/). */
    private const BETTER = 0.92;

    /** What is off by so much is otherwise, mm; so much fewer of that are clearly fewer (tuned likewise). */
    private const OTHERWISE_MM = 1.0;

    private const SIMPLER = 1.0;

    /** A piece of which fewer places are seen counts less; with so few in all nothing is moved. */
    private const FEW = 15;

    private const LEAST = 12;

    /**
     * How well the camera's place is known before: how much nearer things are larger, a mm, and how far from askew it looks; the latter
     * better by a marker sheet. So far off pieces lie, mm (house choices).
     */
    private const NEARER = 0.0005;

    private const ASKEW = 0.045;

    private const ASKEW_BY_SHEET = 0.015;

    private const PLACED_MM = 0.7;

    /** Unknowns: across, up, turn, the parallax, and the scale where it is not known. */
    private const UNKNOWNS = 7;

    /**
     * @param  list<array{Rim, float}>  $edges  how much farther out than planned a rim is seen, mm
     * @param  list<array{float, float, float, array{float, float}, array{float, float}}>  $raised  places that are so much nearer to
     *     the camera than what bears them, how far off that they are seen, and the middle of that, mm
     * @param  array{float, float, float}  $before  the parallax by what was known before
     * @param  array<string, array{PieceFit, int}>  $pieces  as they are found, with their labels on the plan
     */
    public static function of(PhotoPose $pose, Expected $plan, array $edges, array $raised, array $before, array $pieces): PhotoPose
    {
        $rows = [...self::rims($pose, $plan, $edges), ...self::raised($plan, $raised)];
        // What is known before counts as one piece more.
        $known = [];
        foreach ([self::NEARER, ...array_fill(0, 2, $pose->isOnSheet() ? self::ASKEW_BY_SHEET : self::ASKEW)] as $i => $sigma) {
            $known[] = [self::only(3 + $i, 1.0), $before[$i] - $pose->parallax[$i], self::PLACED_MM / $sigma];
        }
        if ($pose->isMeasured()) {
            $known[] = [self::only(6, 1.0), 0.0, 1e6];
        }
        // What goes with most is sought from where each piece by itself says that all lie, and as large.
        $least = $fewest = INF;
        $found = array_fill(0, self::UNKNOWNS, 0.0);
        foreach ([[0.0, 0.0, 0.0], ...self::starts($plan, $pieces)] as $i => [$x, $y, $larger]) {
            $begin = [$x, $y, 0.0, 0.0, 0.0, 0.0, $pose->isMeasured() ? 0.0 : $larger];
            $next = self::from($begin, $i === 0 ? self::LIMITS_MM : self::CLOSE_MM, $rows, $known);
            $cost = self::cost($next, $rows, $known);
            $otherwise = self::otherwise($plan, $edges, $rows, $next);
            $isSimpler = $otherwise < $fewest - self::SIMPLER;
            if ($isSimpler || $otherwise < $fewest + self::SIMPLER && $cost < self::BETTER * $least) {
                [$found, $least, $fewest] = [$next, $cost, $otherwise];
            }
        }
        [$x, $y, $turn, $nearer, $right, $up, $larger] = $found;

        return $pose->moved($x, $y, $turn, 1 + $larger)->seenWith([
            $pose->parallax[0] + $nearer,
            $pose->parallax[1] + $right,
            $pose->parallax[2] + $up,
        ]);
    }

    /**
     * Where the whole plan would lie by each piece that is surely placed: moved as it is, and grown as it is, where that is something else.
     *
     * @param  array<string, array{PieceFit, int}>  $pieces
     * @return list<array{float, float, float}> mm across and up, and by which share larger
     */
    private static function starts(Expected $plan, array $pieces): array
    {
        $starts = [];
        [$mx, $my] = $plan->box->middle();
        foreach ($pieces as [$fit, $label]) {
            if ($fit->places < Seen::LEAST_PLACES || max($fit->sigma['across'], $fit->sigma['level']) > Seen::SURE_MM) {
                continue;
            }
            $piece = $plan->layers[$label]->piece;
            [$x, $y] = [$fit->off['across'], $fit->off['level']];
            [$cx, $cy] = $plan->side->see(...$piece->at);
            foreach (array_unique([0.0, $fit->larger($piece) ?? 0.0]) as $larger) {
                $start = [$x - $larger * ($cx - $mx), $y - $larger * ($cy - $my), $larger];
                $like = array_filter([[0.0, 0.0, 0.0], ...$starts], static fn (array $other): bool => self::isLike($start, $other));
                $starts = $like === [] ? [...$starts, $start] : $starts;
            }
        }

        return $starts;
    }

    /**
     * @param  array{float, float, float}  $one
     * @param  array{float, float, float}  $two
     */
    private static function isLike(array $one, array $two): bool
    {
        return hypot($one[0] - $two[0], $one[1] - $two[1]) < self::APART_MM && abs($one[2] - $two[2]) < self::APART;
    }

    /**
     * @param  list<float>  $found  to begin with
     * @param  list<float>  $limits  round by round
     * @param  list<array{list<float>, float, float}>  $rows
     * @param  list<array{list<float>, float, float}>  $known
     * @return list<float>
     */
    private static function from(array $found, array $limits, array $rows, array $known): array
    {
        foreach ($limits as $limit) {
            $kept = $values = [];
            foreach ($rows as [$row, $value, $weight]) {
                $rest = $value - Gaussian::dot($row, $found);
                if (abs($rest) < $limit) {
                    $kept[] = self::times($row, $weight * (1 - ($rest / $limit) ** 2));
                    $values[] = $value * $weight * (1 - ($rest / $limit) ** 2);
                }
            }
            if (count($kept) < self::LEAST) {
                break;
            }
            foreach ($known as [$row, $value, $weight]) {
                $kept[] = self::times($row, $weight);
                $values[] = $weight * $value;
            }
            $next = LeastSquares::fit($kept, $values);
            if ($next === null) {
                break;
            }
            $found = $next;
        }

        return $found;
    }

    /**
     * In how many ways pieces would lie otherwise than planned, or be of other sizes: what is off by little counts for little.
     *
     * @param  list<array{Rim, float}>  $edges
     * @param  list<array{list<float>, float, float}>  $rows  theirs first
     * @param  list<float>  $found
     */
    private static function otherwise(Expected $plan, array $edges, array $rows, array $found): float
    {
        $of = [];
        foreach ($edges as $i => [$rim, $off]) {
            $of[$rim->layer][] = [$rim, $off - Gaussian::dot($rows[$i][0], $found)];
        }
        $sum = 0.0;
        foreach ($of as $label => $own) {
            $fit = PieceFit::of($plan->layers[$label]->piece, $plan->side, $own);
            foreach (['across', 'level', 'width', 'height'] as $what) {
                $sum += $fit->isTold($what) ? min(1.0, ($fit->off[$what] / self::OTHERWISE_MM) ** 2) : 0.0;
            }
        }

        return $sum;
    }

    /**
     * How badly all goes together: Tukey's loss of what was found, squares of what is known before.
     *
     * @param  list<float>  $found
     * @param  list<array{list<float>, float, float}>  $rows
     * @param  list<array{list<float>, float, float}>  $known
     */
    private static function cost(array $found, array $rows, array $known): float
    {
        $limit = self::LIMITS_MM[count(self::LIMITS_MM) - 1];
        $cost = 0.0;
        foreach ($rows as [$row, $value, $weight]) {
            $near = max(0.0, 1 - (($value - Gaussian::dot($row, $found)) / $limit) ** 2);
            $cost += ($weight * $limit) ** 2 / 6 * (1 - $near ** 3);
        }
        foreach ($known as [$row, $value, $weight]) {
            $cost += ($weight * ($value - Gaussian::dot($row, $found))) ** 2 / 2;
        }

        return $cost;
    }

    /**
     * @param  list<array{Rim, float}>  $edges
     * @return list<array{list<float>, float, float}> row, value, weight
     */
    private static function rims(PhotoPose $pose, Expected $plan, array $edges): array
    {
        [$mx, $my] = $plan->box->middle();
        // Every piece counts alike, however large: as few as can be then lie otherwise than planned.
        $counts = array_count_values(array_map(static fn (array $edge): int => $edge[0]->layer, $edges));
        $rows = [];
        foreach ($edges as [$rim, $off]) {
            [$nx, $ny] = $rim->normal;
            [$qx, $qy] = [$rim->x - $mx, $rim->y - $my];
            [$out, $z] = [$nx * $qx + $ny * $qy, $rim->towardsMm];
            $row = [$nx, $ny, $ny * $qx - $nx * $qy, $z * $out, $z * $nx, $z * $ny, $out];
            $rows[] = [$row, $off, 1 / sqrt(max(self::FEW, $counts[$rim->layer]))];
        }

        return $rows;
    }

    /**
     * @param  list<array{float, float, float, array{float, float}, array{float, float}}>  $raised
     * @return list<array{list<float>, float, float}>
     */
    private static function raised(Expected $plan, array $raised): array
    {
        [$mx, $my] = $plan->box->middle();
        $rows = [];
        foreach ($raised as [$x, $y, $z, [$across, $up], [$px, $py]]) {
            // They turn about the piece that bears them: of a ball alone only they tell how it is turned.
            $rows[] = [[0.0, 0.0, $py - $y, $z * ($x - $mx), $z, 0.0, 0.0], $across, 1.0];
            $rows[] = [[0.0, 0.0, $x - $px, $z * ($y - $my), 0.0, $z, 0.0], $up, 1.0];
        }

        return $rows;
    }

    /** @return list<float> */
    private static function only(int $at, float $value): array
    {
        return array_map(static fn (int $i): float => $i === $at ? $value : 0.0, range(0, self::UNKNOWNS - 1));
    }

    /**
     * @param  list<float>  $row
     * @return list<float>
     */
    private static function times(array $row, float $by): array
    {
        return array_map(static fn (float $x): float => $by * $x, $row);
    }
}
