<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Figure\Placement;
use Impa\Figure\Term\Side;
use Impa\Geometry\Gaussian;

/**
 * How a piece differs from the plan, by where its rim is seen: shift, turn, width and height, fitted to the distances along the rim's
 * normals by Bayesian linear least squares with Tukey's weights: what the rim says nothing of stays as planned, and is known so badly
 * that it is not told. Immutable.
 */
final readonly class PieceFit
{
    /** What is known before: how far pieces lie from their plan (house choice), mm and radians. */
    private const PRIOR_MM = 4.0;

    private const PRIOR_TURN = 0.15;

    /** How far a place of the rim is off by fuzz alone, mm; off by more than so many times that, it is something else. */
    private const FUZZ_MM = 0.35;

    private const OUTLIER = 4.0;

    /** A dimension that is seen foreshortened by more than this is not told. */
    private const FORESHORTENED = 0.7;

    /** Less surely than this nothing is told, mm; less surely than Seen::SURE_MM only what is off by so many sigma. */
    private const LOOSE_MM = 1.2;

    private const FAR_SIGMAS = 3.5;

    /** A turn must be so sure to be told, and where its far end is so surely, mm. */
    private const SURE_TURN = 0.04;

    private const SURE_SWING_MM = 0.35;

    /** No hand makes a piece larger or smaller by so much (house choice). */
    private const ELSEWHERE = 0.35;

    /** Neighbouring places tell nearly the same: so many count for one. */
    private const ALIKE = 2.0;

    /** Places that lie closer together than this share of its length say nothing of an end; a place looks towards it so far, of 0.5. */
    private const END_SHARE = 0.25;

    private const AT_END = 0.2;

    /**
     * @param  array{across: float, level: float, turn: float, width: float, height: float}  $off  mm, and radians
     * @param  array{across: float, level: float, turn: float, width: float, height: float}  $sigma  how surely each is known
     */
    private function __construct(public array $off, public array $sigma, public int $places, private float $reachMm)
    {
    }

    /**
     * @param  list<array{Rim, float}>  $edges  rims of this piece with how much farther out they are seen, mm
     */
    public static function of(Placement $piece, Side $side, array $edges): self
    {
        [$mx, $my] = $side->see(...$piece->at);
        $size = $piece->part->solid->size();
        $axes = [];
        foreach ([[$size->widthMm, 1.0, 0.0, 0.0], [$size->heightMm, 0.0, 1.0, 0.0]] as [$mm, $x, $y, $z]) {
            [$ex, $ey] = $side->see(...$piece->turn->apply($x, $y, $z));
            $axes[] = [$ex, $ey, $mm, hypot($ex, $ey)];
        }
        $rows = $ends = [];
        foreach ($edges as $i => [$rim, $off]) {
            [$qx, $qy] = [$rim->x - $mx, $rim->y - $my];
            [$nx, $ny] = $rim->normal;
            $row = [$nx, $ny, $ny * $qx - $nx * $qy];
            foreach ($axes as $axis => [$ex, $ey, $mm, $seen]) {
                // A place at so much of the half moves by that share of half of what is more.
                $at = $seen > self::FORESHORTENED ? ($qx * $ex + $qy * $ey) / ($seen ** 2 * $mm / 2) : 0.0;
                $row[] = max(-1.2, min(1.2, $at)) * ($nx * $ex + $ny * $ey) / 2;
                if ($row[3 + $axis] > self::AT_END) {
                    $ends[$axis.($at > 0.0 ? 'far' : 'near')][$i] = $qx * -$ey + $qy * $ex;
                }
            }
            $rows[$i] = [$row, $off];
        }
        foreach ($ends as $end => $places) {
            // An end is as long as the piece is broad across it.
            $across = $end[0] === '0' ? $size->heightMm : $size->widthMm;
            $spans = max($places) - min($places) + Rim::EVERY_MM;
            $rows = count($places) < 2 || $spans < self::END_SHARE * $across ? array_diff_key($rows, $places) : $rows;
        }
        $rows = array_values($rows);
        $mean = array_fill(0, 5, 0.0);
        $covariance = self::prior();
        for ($round = 0; $round < 6; $round++) {
            [$mean, $covariance] = self::solved($rows, $mean, $round);
        }
        $sigma = array_map(static fn (int $i): float => sqrt($covariance[$i][$i]), [0, 1, 2, 3, 4]);

        return new self(self::named($mean), self::named($sigma), count($edges), $size->largestMm() / 2);
    }

    /** Whether a place of its rim lies by more than so many mm otherwise than planned, as far as that is known. */
    public function isOffBy(float $mm): bool
    {
        return max(
            hypot($this->off['across'], $this->off['level']),
            $this->isTold('width') ? abs($this->off['width']) / 2 : 0.0,
            $this->isTold('height') ? abs($this->off['height']) / 2 : 0.0,
            $this->isTurnTold() ? $this->swingMm() : 0.0,
        ) > $mm;
    }

    /** How far its far end is off because it is turned, mm. */
    public function swingMm(): float
    {
        return abs($this->off['turn']) * $this->reachMm;
    }

    /** Whether its turn is known surely enough to be told: of a round piece it never is. */
    public function isTurnTold(): bool
    {
        return $this->sigma['turn'] <= self::SURE_TURN && $this->sigma['turn'] * $this->reachMm <= self::SURE_SWING_MM;
    }

    /**
     * Whether something is known surely enough to be told: what is known less surely than that only where it is off by far more.
     *
     * @param  'across'|'level'|'width'|'height'  $what
     */
    public function isTold(string $what): bool
    {
        $sigma = $this->sigma[$what];

        return $sigma <= Seen::SURE_MM || $sigma <= self::LOOSE_MM && abs($this->off[$what]) >= self::FAR_SIGMAS * $sigma;
    }

    /** Whether it seems larger or smaller by more than any hand makes it: where it should be something else was taken for its rim. */
    public function isElsewhere(Placement $piece): bool
    {
        $size = $piece->part->solid->size();

        return $this->isTold('width') && abs($this->off['width']) > self::ELSEWHERE * $size->widthMm
            || $this->isTold('height') && abs($this->off['height']) > self::ELSEWHERE * $size->heightMm;
    }

    /**
     * Whether it is known where it lies, one way.
     *
     * @param  'across'|'level'  $way
     */
    public function isPlaced(string $way): bool
    {
        return $this->places >= Seen::LEAST_PLACES && $this->isTold($way);
    }

    /** By which share it is larger than planned as a whole, where both its width and its height are known. */
    public function larger(Placement $piece): ?float
    {
        $size = $piece->part->solid->size();

        return $this->isTold('width') && $this->isTold('height')
            ? ($this->off['width'] / $size->widthMm + $this->off['height'] / $size->heightMm) / 2
            : null;
    }

    /**
     * How far off a place of the plan of the piece is seen, mm: moved, turned and drawn out by as much as it came out otherwise.
     *
     * @return array{float, float}
     */
    public function moved(Placement $piece, Side $side, float $x, float $y): array
    {
        [$mx, $my] = $side->see(...$piece->at);
        [$qx, $qy] = [$x - $mx, $y - $my];
        [$sx, $sy] = [$this->off['across'] - $this->off['turn'] * $qy, $this->off['level'] + $this->off['turn'] * $qx];
        foreach ($this->axes($piece, $side) as [$what, $ex, $ey, $mm]) {
            $along = ($qx * $ex + $qy * $ey) / ($ex ** 2 + $ey ** 2) * $this->off[$what] / $mm;
            [$sx, $sy] = [$sx + $along * $ex, $sy + $along * $ey];
        }

        return [$sx, $sy];
    }

    /**
     * Where on the plan of the piece lies what is seen at a place, mm: moved, turned and drawn back by as much as it came out otherwise.
     *
     * @return array{float, float}
     */
    public function planned(Placement $piece, Side $side, float $x, float $y): array
    {
        [$mx, $my] = $side->see(...$piece->at);
        [$qx, $qy] = [$x - $mx - $this->off['across'], $y - $my - $this->off['level']];
        [$cos, $sin] = [cos($this->off['turn']), sin($this->off['turn'])];
        [$qx, $qy] = [$qx * $cos + $qy * $sin, $qy * $cos - $qx * $sin];
        foreach ($this->axes($piece, $side) as [$what, $ex, $ey, $mm]) {
            $along = ($qx * $ex + $qy * $ey) / ($ex ** 2 + $ey ** 2);
            $less = $along * (1 / max(0.5, 1 + $this->off[$what] / $mm) - 1);
            [$qx, $qy] = [$qx + $less * $ex, $qy + $less * $ey];
        }

        return [$mx + $qx, $my + $qy];
    }

    /**
     * The axes along which its size is told.
     *
     * @return list<array{'width'|'height', float, float, float}> where each points to, and its size, mm
     */
    private function axes(Placement $piece, Side $side): array
    {
        $size = $piece->part->solid->size();
        $axes = [];
        foreach ([['width', $size->widthMm, 1.0, 0.0], ['height', $size->heightMm, 0.0, 1.0]] as [$what, $mm, $right, $up]) {
            [$ex, $ey] = $side->see(...$piece->turn->apply($right, $up, 0.0));
            if (hypot($ex, $ey) > self::FORESHORTENED && $this->isTold($what)) {
                $axes[] = [$what, $ex, $ey, $mm];
            }
        }

        return $axes;
    }

    /**
     * @param  list<array{list<float>, float}>  $rows
     * @param  list<float>  $last
     * @return array{list<float>, list<list<float>>}
     */
    private static function solved(array $rows, array $last, int $round): array
    {
        $mean = array_fill(0, 5, 0.0);
        $covariance = self::prior();
        // Wide at first, for a piece may be far off; then only what goes with most.
        $limit = self::OUTLIER * self::FUZZ_MM * max(1.0, 6 / 2 ** $round);
        foreach ($rows as [$row, $off]) {
            $rest = $off - Gaussian::dot($row, $last);
            $weight = $round === 0 ? 1.0 : (abs($rest) < $limit ? (1 - ($rest / $limit) ** 2) ** 2 : 0.0);
            if ($weight > 1e-3) {
                [$mean, $covariance] = Gaussian::after($mean, $covariance, $row, $off, self::ALIKE * self::FUZZ_MM ** 2 / $weight);
            }
        }

        return [$mean, $covariance];
    }

    /** @return list<list<float>> */
    private static function prior(): array
    {
        $sigmas = [self::PRIOR_MM, self::PRIOR_MM, self::PRIOR_TURN, self::PRIOR_MM, self::PRIOR_MM];
        $prior = [];
        foreach ($sigmas as $i => $sigma) {
            $prior[] = array_map(static fn (int $j): float => $i === $j ? $sigma ** 2 : 0.0, [0, 1, 2, 3, 4]);
        }

        return $prior;
    }

    /**
     * @param  list<float>  $values
     * @return array{across: float, level: float, turn: float, width: float, height: float}
     */
    private static function named(array $values): array
    {
        return ['across' => $values[0], 'level' => $values[1], 'turn' => $values[2], 'width' => $values[3], 'height' => $values[4]];
    }
}
