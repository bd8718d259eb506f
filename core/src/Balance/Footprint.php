<?php

declare(strict_types=1);

namespace Impa\Balance;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Hull;

/** The hull of all the places where a figure touches the table. Immutable. */
final readonly class Footprint
{
    /** How far a felted foot gives way under its own weight (house prior). */
    public const FLATTENING_MM = 1.0;

    /**
     * @param  list<list<list<Vec3>>>  $pieces  placed rings of the pieces that may touch the table
     * @param  list<array{float, float}>  $hull  [x, z] in mm, anticlockwise
     * @param  float  $lowestMm  where the figure ends before anything is made flat
     * @param  float  $tableMm  where it stands: what is made flat lowers it by as much
     */
    private function __construct(
        private array $pieces,
        public array $hull,
        private float $lowestMm,
        public float $tableMm,
    ) {
    }

    /** The footprint of a figure whose lowest parts give way by FLATTENING_MM, or are made flat by more. */
    public static function of(Figure $figure): self
    {
        $pieces = self::pieces($figure);
        $lowest = INF;
        foreach ($pieces as $rings) {
            foreach ($rings as $ring) {
                $lowest = min($lowest, ...array_column($ring, 1));
            }
        }

        $lowest = is_infinite($lowest) ? 0.0 : $lowest;

        return (new self($pieces, [], $lowest, $lowest))->flattened(
            max(self::FLATTENING_MM, $figure->base->flattenMm),
        );
    }

    /** Whether a part stands on the table, or gives way so far that it does. */
    public function bears(Part $part): bool
    {
        return $part->placements()[0]->levelsMm()[0] <= $this->tableMm + self::FLATTENING_MM;
    }

    /** The most that is ever flattened, on a figure so tall, in mm (house choice). */
    public static function mostMm(float $heightMm): float
    {
        return max(4.0, $heightMm * 0.08);
    }

    /** The same figure's footprint with so many mm of its lowest parts flat on the table; by less than they give way they need not be made so. */
    public function flattened(float $mm): self
    {
        $points = [];
        foreach ($this->pieces as $rings) {
            array_push($points, ...self::below($rings, $this->lowestMm + $mm));
        }

        return new self(
            $this->pieces,
            Hull::of($points),
            $this->lowestMm,
            $this->lowestMm + ($mm > self::FLATTENING_MM ? $mm : 0.0),
        );
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

    /** How far it reaches from a point of the table in a direction of length 1 (its support function), in mm; negative on the far side. */
    public function reachMm(float $x, float $z, float $dx, float $dz): float
    {
        $farthest = $this->hull === [] ? 0.0 : -INF;
        foreach ($this->hull as [$px, $pz]) {
            $farthest = max($farthest, ($px - $x) * $dx + ($pz - $z) * $dz);
        }

        return $farthest;
    }

    /** @return array{float, float} its middle, x and z */
    public function middle(): array
    {
        return Box::around($this->hull)->middle();
    }

    /**
     * The rings of the pieces that may reach lowest: the others are spared the work.
     *
     * @return list<list<list<Vec3>>>
     */
    private static function pieces(Figure $figure): array
    {
        $feet = [];
        $placements = [];
        foreach ($figure->parts as $part) {
            [$foot] = $part->placements()[0]->levelsMm();
            foreach ($part->placements() as $placement) {
                $feet[] = $foot;
                $placements[] = $placement;
            }
        }
        $near = $feet === [] ? 0.0 : min($feet) + self::mostMm($figure->heightMm);
        $rings = [];
        foreach ($placements as $i => $placement) {
            if ($feet[$i] <= $near) {
                $rings[] = $placement->rings();
            }
        }

        return $rings;
    }

    /**
     * The [x, z] of the piece's skin at and below a level: ring points, and where the skin crosses it.
     *
     * @param  list<list<Vec3>>  $rings
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
