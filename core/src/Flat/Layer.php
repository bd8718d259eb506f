<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Figure\Part;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;

/** One piece that is cut or laid flat, seen from the front. Immutable. */
final readonly class Layer
{
    public Box $box;

    /**
     * @param  list<array{float, float}>  $outline  finished, in the figure's frame, mm, anticlockwise
     * @param  int  $level  how many layers lie beneath it at most
     * @param  bool  $isTwin  whether it is the mirrored one of a pair
     */
    public function __construct(
        public Part $part,
        public array $outline,
        public float $areaMm2,
        public float $rimMm,
        public int $level,
        public bool $isTwin,
    ) {
        $this->box = Box::around($outline);
    }

    /** What it is called where both of a pair are named. */
    public function name(): string
    {
        return $this->part->name.($this->part->stand->mirror ? ($this->isTwin ? ', left' : ', right') : '');
    }

    /**
     * How wide it is: true for a disc, and for a strip as it grows longer; between them by how nearly round it is (Polsby and Popper's
     * ratio).
     */
    public function acrossMm(): float
    {
        $round = 4 * M_PI * $this->areaMm2 / max(1e-9, $this->rimMm ** 2);

        return 2 * $this->areaMm2 / max(1e-9, $this->rimMm) * (1 + $round);
    }

    /** Whether a place lies on it. */
    public function has(float $x, float $y): bool
    {
        return $this->box->has($x, $y) && Polygon::has($this->outline, $x, $y);
    }
}
