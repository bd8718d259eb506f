<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Geometry\Outline\ParallelCurve;
use Impa\Geometry\Outline\Polygon;
use Impa\Voice\Message;

/** One piece of a sewn pattern. Immutable. */
final readonly class PatternPiece
{
    /** @var list<array{float, float}> with its seam allowance */
    public array $cut;

    /**
     * @param  list<array{float, float}>  $outline  the line that is sewn, or the rim where nothing is; anticlockwise, mm
     * @param  int  $count  how many are cut
     * @param  float  $seamMm  allowance all round
     * @param  string  $of  felt or card
     */
    public function __construct(
        public Message $name,
        public array $outline,
        public int $count,
        float $seamMm,
        public string $of = 'felt',
    ) {
        $this->cut = ParallelCurve::outside($outline, $seamMm);
    }

    public function areaMm2(): float
    {
        return abs(Polygon::signedArea($this->outline));
    }

    public function cutMm2(): float
    {
        return abs(Polygon::signedArea($this->cut));
    }
}
