<?php

declare(strict_types=1);

namespace Impa\Shape\Solid;

use Impa\Geometry\Outline\Polygon;
use Impa\Geometry\Outline\Rays;
use Impa\Shape\Body;
use Impa\Shape\Loft;
use Impa\Shape\Outline;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;
use Impa\Shape\Within;

/**
 * A flat piece of even thickness with a rounded rim: plate, strip or sheet. Towards either face the
 * outline draws in as the rim rounds; it is drawn in towards its middle, which is exact for
 * outlines with an inscribed circle (disc, triangle). Immutable.
 */
final readonly class Plate implements Solid
{
    /** Rings of the loft from the back face to the front, per rounded half. */
    private const RIM_RINGS = 6;

    /** The same where it is looked at from within. */
    private const INSET_RINGS = 16;

    /**
     * @param  list<array{float, float}>  $outline  in mm, filling the width and height
     * @param  float  $rimMm  radius of the rounded rim
     * @param  float  $drawIn  how far the outline draws in at the faces, as a share of 1
     * @param  array{float, float}  $middle  of the outline's area, mm
     */
    private function __construct(
        private ShapeKind $kind,
        private Size $size,
        private array $outline,
        private float $rimMm,
        private float $drawIn,
        private float $areaMm2,
        private array $middle,
        private Rays $rays,
    ) {
    }

    /**
     * @param  list<array{float, float}>  $outline  at least three points, any scale; stretched to the width and height
     *
     * @throws ShapeRefused if a dimension is not positive or the outline encloses nothing
     */
    public static function of(ShapeKind $kind, Size $size, array $outline): self
    {
        $size->positive();
        $filled = Outline::filling($outline, $size->widthMm, $size->heightMm);
        $areaMm2 = Polygon::signedArea($filled);
        // Twice the area over the perimeter is the inscribed radius, where there is one.
        $inscribed = 2 * $areaMm2 / Polygon::perimeter($filled);
        $rimMm = min($size->depthMm / 2, $inscribed);

        $drawIn = $inscribed > 0.0 ? $rimMm / $inscribed : 1.0;
        [$x, $y] = Polygon::centroid($filled);

        return new self(
            kind: $kind,
            size: $size,
            outline: $filled,
            rimMm: $rimMm,
            drawIn: $drawIn,
            areaMm2: $areaMm2,
            middle: [$x, $y],
            rays: Rays::of($filled, $x, $y),
        );
    }

    public function kind(): ShapeKind
    {
        return $this->kind;
    }

    public function size(): Size
    {
        return $this->size;
    }

    public function thinnestMm(): float
    {
        return $this->size->smallestMm();
    }

    public function options(): array
    {
        return [];
    }

    public function volumeCm3(): float
    {
        $face = 1 - $this->drawIn;
        // The mean of (face + drawIn sqrt(1 - x^2))^2 for x from 0 to 1.
        $rim = $face ** 2 + $face * $this->drawIn * M_PI / 2 + $this->drawIn ** 2 * 2 / 3;

        return $this->areaMm2 * ($this->size->depthMm - 2 * $this->rimMm + 2 * $this->rimMm * $rim) / 1000.0;
    }

    public function areaCm2(): float
    {
        $face = 1 - $this->drawIn;
        $girth = Polygon::perimeter($this->outline);
        $rim = 2 * $this->rimMm * ($face * M_PI / 2 + $this->drawIn) + $this->size->depthMm - 2 * $this->rimMm;

        return (2 * $this->areaMm2 * $face ** 2 + $girth * $rim) / 100.0;
    }

    public function middleOfMass(): array
    {
        return [...$this->middle, 0.0];
    }

    public function front(): array
    {
        return [$this->outline];
    }

    public function side(): array
    {
        $flat = $this->size->depthMm / 2 - $this->rimMm;
        $points = [];
        for ($i = 0; $i < 32; $i++) {
            $a = 2 * M_PI * ($i + 0.5) / 32;
            $y = sin($a);
            $points[] = [
                ($flat + $this->rimMm * abs(cos($a))) * (cos($a) <=> 0.0),
                $this->size->heightMm / 2 * (1 - $this->drawIn * (1 - abs($y))) * ($y <=> 0.0),
            ];
        }

        return [$points];
    }

    public function loft(): Loft
    {
        [$cx, $cy] = $this->middle;
        $rings = [];
        foreach ($this->rims(self::RIM_RINGS) as [$z, $share]) {
            $ring = [];
            foreach ($this->outline as [$x, $y]) {
                array_push($ring, $cx + ($x - $cx) * $share, $cy + ($y - $cy) * $share, $z);
            }
            $rings[] = $ring;
        }

        return Loft::of($rings);
    }

    public function frontMm(float $x, float $y): float
    {
        // How large a share of the outline, drawn in about its middle, still reaches the point.
        $share = $this->rays->share($x - $this->middle[0], $y - $this->middle[1]);
        if ($share > 1.0) {
            return NAN;
        }
        $flat = $this->size->depthMm / 2 - $this->rimMm;
        $down = $this->drawIn > 0.0 ? min(1.0, (1 - $share) / $this->drawIn) : 1.0;

        return $flat + $this->rimMm * sqrt(1 - (1 - $down) ** 2);
    }

    public function scaled(float $factor): self
    {
        return self::of($this->kind, $this->size->scaled($factor), $this->outline);
    }

    public function within(float $mm): ?Body
    {
        if ($mm <= 0.0) {
            return $this;
        }

        return Within::flat($this->outline, $this->middle, $this->rims(self::INSET_RINGS), $mm);
    }

    /** @return non-empty-list<array{float, float}> z in mm and the outline's share there, back to front */
    private function rims(int $rings): array
    {
        $flat = $this->size->depthMm / 2 - $this->rimMm;
        $front = [[$flat, 1.0]];
        for ($i = 1; $i <= $rings; $i++) {
            $a = M_PI / 2 * $i / $rings;
            $front[] = [$flat + $this->rimMm * sin($a), 1 - $this->drawIn * (1 - cos($a))];
        }
        $back = array_map(static fn (array $rim): array => [-$rim[0], $rim[1]], array_reverse($front));

        return $flat > 0.0 ? [...$back, ...$front] : [...array_slice($back, 0, -1), ...$front];
    }
}
