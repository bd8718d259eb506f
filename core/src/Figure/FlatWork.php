<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Figure\Member\Ties;
use Impa\Figure\Term\FlatWay;
use Impa\Figure\Term\Stitch;
use Impa\Geometry\Outline\Polygon;

/** How a figure of layers is made: mask, badge, bookmark, patch, picture. Its layers are the figure's flat parts. Immutable. */
final readonly class FlatWork
{
    /** How far a layer goes on beneath its neighbours, mm; a bite of thread; a stitch (common practice, docs/trade.md, Flat work). */
    public const OVERLAP_MM = 3.0;

    public const STITCH_MM = 3.0;

    /** Batting felted by needle draws in by so much of its length; a bought sheet by nothing (house choices). */
    public const SHRINK = ['none' => 0.0, 'sheet' => 0.0, 'batting' => 0.08];

    private const MOST_SHRINK = 0.5;

    /** A punched hole is drawn by so many corners. */
    private const ROUND = 16;

    /**
     * @param  float  $overlapMm  how far a layer goes on beneath its neighbours
     * @param  float  $shrink  the share of its length by which a piece draws in while it is felted, 0 to 0.5
     * @param  float  $stitchMm  from stitch to stitch
     * @param  array<string, list<array{float, float}>>  $openings  what is cut right through, by key, as seen from the front
     */
    public function __construct(
        public FlatWay $way = FlatWay::None,
        public float $overlapMm = self::OVERLAP_MM,
        public float $shrink = 0.0,
        public Stitch $stitch = Stitch::None,
        public float $stitchMm = self::STITCH_MM,
        public array $openings = [],
        public Ties $ties = new Ties,
    ) {
    }

    /**
     * What a piece drew in by, as a share of its length, that was laid so long and came out so long: none where it came out no shorter,
     * and never more than the most.
     */
    public static function drawnIn(float $laidMm, float $cameMm): float
    {
        return $laidMm > 0.0 ? max(0.0, min(self::MOST_SHRINK, 1 - $cameMm / $laidMm)) : 0.0;
    }

    public function isFlat(): bool
    {
        return $this->way !== FlatWay::None;
    }

    /** How many times its finished length a piece is cut or laid. */
    public function laid(): float
    {
        return 1 / (1 - $this->shrink);
    }

    /**
     * All that goes right through the layers, as seen from the front: openings, and the holes of the ribbon.
     *
     * @return list<non-empty-list<array{float, float}>>
     */
    public function cutThrough(): array
    {
        $cuts = array_values(array_filter($this->openings));
        foreach ($this->ties->at as [$x, $y]) {
            $cuts[] = array_map(
                fn (int $k): array => [
                    $x + $this->ties->holeMm() / 2 * cos(2 * M_PI * $k / self::ROUND),
                    $y + $this->ties->holeMm() / 2 * sin(2 * M_PI * $k / self::ROUND),
                ],
                range(0, self::ROUND - 1),
            );
        }

        return $cuts;
    }

    /** Area of all openings, mm2. */
    public function openMm2(): float
    {
        return array_sum(array_map(static fn (array $o): float => abs(Polygon::signedArea($o)), $this->openings));
    }
}
