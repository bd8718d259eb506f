<?php

declare(strict_types=1);

namespace Impa\Balance;

use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Shape\Box;
use Impa\Shape\Hull;

/** The hull of all the places where a figure touches the table. Immutable. */
final readonly class Footprint
{
    /** How far a felted foot gives way under its own weight (house prior). */
    public const FLATTENING_MM = 1.0;

    /** @param  list<array{float, float}>  $hull [x, z] in mm, anticlockwise */
    private function __construct(
        public array $hull,
        public float $tableMm,
    ) {
    }

    /** @param  float  $flatteningMm how much of the lowest part is flat on the table, >= 0 */
    public static function of(Figure $figure, float $flatteningMm = self::FLATTENING_MM): self
    {
        $pieces = self::pieces($figure);
        $lowest = INF;
        foreach ($pieces as $rings) {
            foreach ($rings as $ring) {
                $lowest = min($lowest, ...array_column($ring, 1));
            }
        }
        $points = [];
        foreach ($pieces as $rings) {
            array_push($points, ...self::below($rings, $lowest + $flatteningMm));
        }

        return new self(Hull::of($points), is_infinite($lowest) ? 0.0 : $lowest);
    }

    /**
     * How far a point on the table lies inside the footprint's edge; negative outside.
     *
     * @return float mm
     */
    public function marginMm(float $x, float $z): float
    {
        $count = count($this->hull);
        if ($count < 3) {
            return 0.0;
        }
        $least = INF;
        foreach ($this->hull as $i => [$ax, $az]) {
            [$bx, $bz] = $this->hull[($i + 1) % $count];
            $length = hypot($bx - $ax, $bz - $az);
            if ($length > 1e-9) {
                $least = min($least, (($bx - $ax) * ($z - $az) - ($bz - $az) * ($x - $ax)) / $length);
            }
        }

        return $least;
    }

    /** @return array{float, float} its middle, x and z */
    public function middle(): array
    {
        return Box::around($this->hull)->middle();
    }

    /**
     * The rings of the pieces that may reach lowest: the others are spared the work.
     *
     * @return list<list<list<array{float, float, float}>>>
     */
    private static function pieces(Figure $figure): array
    {
        $placements = [];
        $reaches = [];
        foreach ($figure->parts as $part) {
            $size = $part->solid->size();
            $reach = hypot($size->widthMm, $size->heightMm) / 2 + $size->depthMm / 2;
            foreach ($part->placements() as $placement) {
                $placements[] = $placement;
                $reaches[] = [$placement->at[1] - $reach, $placement->at[1]];
            }
        }
        $surelyReached = $reaches === [] ? 0.0 : min(array_column($reaches, 1));

        return array_map(
            static fn (Placement $p): array => $p->rings(),
            array_values(array_filter($placements, static fn (int $i): bool => $reaches[$i][0] <= $surelyReached, ARRAY_FILTER_USE_KEY)),
        );
    }

    /**
     * The [x, z] of the piece's skin at and below a level: ring points, and where the skin crosses it.
     *
     * @param  list<list<array{float, float, float}>>  $rings
     * @return list<array{float, float}>
     */
    private static function below(array $rings, float $level): array
    {
        $points = [];
        foreach ($rings as $i => $ring) {
            $count = count($ring);
            foreach ($ring as $j => $point) {
                if ($point[1] <= $level) {
                    $points[] = [$point[0], $point[2]];
                }
                $neighbours = [$ring[($j + 1) % $count]];
                if (isset($rings[$i + 1])) {
                    $neighbours[] = $rings[$i + 1][$j];
                }
                foreach ($neighbours as $other) {
                    if (($point[1] <= $level) !== ($other[1] <= $level)) {
                        $s = ($level - $point[1]) / ($other[1] - $point[1]);
                        $points[] = [$point[0] + $s * ($other[0] - $point[0]), $point[2] + $s * ($other[2] - $point[2])];
                    }
                }
            }
        }

        return $points;
    }
}
