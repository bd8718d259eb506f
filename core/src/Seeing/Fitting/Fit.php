<?php

declare(strict_types=1);

namespace Impa\Seeing\Fitting;

use Closure;
use Impa\Raster\Blob;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;

/**
 * A simple shape laid over a blob, and how well it covers it, by intersection over union (the Jaccard index). Pixels, y up. Immutable.
 *
 * @phpstan-import-type Options from Catalogue
 */
final readonly class Fit
{
    /** What a guess behind other parts costs (house choice). */
    private const HIDDEN_COST = 0.045;

    /** The options that are lengths. */
    public const LENGTHS = ['topMm', 'bottomMm', 'edgeMm', 'cornerMm'];

    /** Samples each way where it is only asked how much of a blob it covers. */
    private const LOOKS = 24;

    /**
     * @param  Options  $options
     * @param  float  $overlap  intersection over union with the blob; 0 where it is not measured yet
     * @param  float  $depthShare  of a plate or ring: how thick, as a share of its shorter side
     */
    public function __construct(
        public ShapeKind $kind,
        public float $widthPx,
        public float $heightPx,
        public array $options = [],
        public float $x = 0.0,
        public float $y = 0.0,
        public float $turnDeg = 0.0,
        public float $overlap = 0.0,
        public float $depthShare = 1.0,
    ) {
    }

    /** The shape seen in a mirror that stands at x. An arc's ends point to its right, so that it is turned about as well. */
    public function mirrored(float $axis): self
    {
        $options = $this->options;
        if (isset($options['outline']) && is_array($options['outline'])) {
            $options['outline'] = array_map(static fn (array $p): array => [-$p[0], $p[1]], $options['outline']);
        }

        return $this->with(
            options: $options,
            x: 2 * $axis - $this->x,
            turnDeg: self::angle(-$this->turnDeg + ($this->isBent() ? 180.0 : 0.0)),
        );
    }

    /** Half-way between two fits of the same kind, so that twins come out equal. */
    public function mean(self $other): self
    {
        if ($this->kind !== $other->kind || isset($this->options['outline']) || abs($this->turnDeg - $other->turnDeg) > 30) {
            return $this->overlap >= $other->overlap ? $this : $other;
        }
        $between = static fn (float $a, float $b): float => ($a + $b) / 2;
        $options = $this->options;
        if (isset($options['taper'], $other->options['taper'])) {
            $options['taper'] = $between($options['taper'], $other->options['taper']);
        }
        $widthPx = $between($this->widthPx, $other->widthPx);

        return $this->with(
            widthPx: $widthPx,
            heightPx: $between($this->heightPx, $other->heightPx),
            options: self::grown($options, $widthPx / $this->widthPx),
            x: $between($this->x, $other->x),
            y: $between($this->y, $other->y),
            turnDeg: $between($this->turnDeg, $other->turnDeg),
            overlap: min($this->overlap, $other->overlap),
        );
    }

    /** The same shape felted flat: a plate of the same outline. A ring stays one, or its hole would close. */
    public function flattened(): self
    {
        if ($this->kind === ShapeKind::Ring) {
            return $this;
        }
        $outline =
            $this->options['outline'] ??
            match ($this->kind) {
                ShapeKind::Ball, ShapeKind::Plate => 'disc',
                ShapeKind::Cone => 'triangle',
                default => $this->solid()->front()[0],
            };

        return $this->with(kind: ShapeKind::Plate, options: ['outline' => $outline]);
    }

    public function isFlat(): bool
    {
        return $this->kind === ShapeKind::Plate;
    }

    /** Whether its ends point to its right. */
    private function isBent(): bool
    {
        return in_array($this->kind, [ShapeKind::Arc, ShapeKind::Cord], true);
    }

    /** The same shape with its middle above another place, turned otherwise. */
    public function standing(float $x, float $turnDeg): self
    {
        return $this->with(x: $x, turnDeg: self::angle($turnDeg));
    }

    /** Longer at its upper end (1) or its lower one (-1), the other end staying where it is. */
    public function drawnOut(float $byPx, float $up): self
    {
        [$c, $s] = [cos(deg2rad($this->turnDeg)), sin(deg2rad($this->turnDeg))];

        return $this->with(
            heightPx: $this->heightPx + $byPx,
            x: $this->x - $up * $byPx / 2 * $s,
            y: $this->y + $up * $byPx / 2 * $c,
        );
    }

    /** The same plate or ring, so thick as a share of its shorter side. */
    public function withDepthShare(float $share): self
    {
        return $this->with(depthShare: $share);
    }

    /**
     * How deep a felter would make it, in pixels: round shapes as deep as wide, plates thin, a ring as its roll is thick
     * (house choice).
     */
    public function depthPx(): float
    {
        return match ($this->kind) {
            ShapeKind::Plate, ShapeKind::Ring => $this->depthShare * min($this->widthPx, $this->heightPx),
            default => min($this->widthPx, 1.15 * $this->heightPx),
        };
    }

    /** @throws ShapeRefused if the shape cannot be made */
    public function solid(): Solid
    {
        return Catalogue::solid($this->kind, Size::of($this->widthPx, $this->heightPx, $this->depthPx()), $this->options);
    }

    /**
     * Its outline where it lies.
     *
     * @return non-empty-list<list<array{float, float}>>
     */
    public function outlinePx(): array
    {
        [$c, $s] = [cos(deg2rad($this->turnDeg)), sin(deg2rad($this->turnDeg))];

        return array_map(
            fn (array $loop): array => array_map(
                fn (array $p): array => [$this->x + $p[0] * $c - $p[1] * $s, $this->y + $p[0] * $s + $p[1] * $c],
                $loop,
            ),
            $this->solid()->front(),
        );
    }

    /** @return Closure(float $x, float $y): bool whether a place of the picture lies under the shape, pixels, y up */
    public function over(): Closure
    {
        $solid = $this->solid();
        [$c, $s] = [cos(deg2rad($this->turnDeg)), sin(deg2rad($this->turnDeg))];

        return function (float $x, float $y) use ($solid, $c, $s): bool {
            [$dx, $dy] = [$x - $this->x, $y - $this->y];

            return ! is_nan($solid->frontMm($dx * $c + $dy * $s, $dy * $c - $dx * $s));
        };
    }

    /** Share of a blob's pixels that lie under the shape. */
    public function covers(Blob $blob): float
    {
        $samples = Samples::of($blob, [], self::LOOKS, 1.0);

        return $samples->inBlob === 0 ? 0.0 : $this->cover($samples)[0] / $samples->inBlob;
    }

    /** Its overlap, less what it must cover more than a ball to be worth its extra numbers (house choice). */
    public function score(): float
    {
        return $this->overlap -
            match ($this->kind) {
                ShapeKind::Ball => 0.0,
                ShapeKind::Sausage => 0.004,
                ShapeKind::Egg, ShapeKind::Drum, ShapeKind::Dome => 0.012,
                ShapeKind::Cup, ShapeKind::Block => 0.016,
                ShapeKind::Cone, ShapeKind::Drop, ShapeKind::Drumstick, ShapeKind::Arc, ShapeKind::Cord, ShapeKind::Ring => 0.018,
                default => 0.07,
            };
    }

    /** How many numbers its kind takes besides its place, size and turn; what an outline says is not counted. */
    public function numbers(): int
    {
        return count($this->options);
    }

    /** The same, its overlap measured on a blob's samples. */
    public function measured(Samples $samples): self
    {
        [$both, $either, $hidden] = $this->cover($samples);
        // What is only guessed behind another region counts a little against the guess.
        $overlap = $both / max(1, $either) - (self::HIDDEN_COST * $hidden) / max(1, $both + $hidden);

        return $this->with(overlap: $overlap);
    }

    /**
     * The same kind of shape in another size and place, not measured yet.
     *
     * @param  Options  $options
     */
    public function at(float $width, float $height, float $x, float $y, float $turnDeg, array $options): self
    {
        $options = self::grown($options, $width / $this->widthPx);

        return new self(
            kind: $this->kind,
            widthPx: max(1.0, $width),
            heightPx: max(1.0, $height),
            options: $options,
            x: $x,
            y: $y,
            turnDeg: $turnDeg,
            overlap: 0.0,
            depthShare: $this->depthShare,
        );
    }

    /**
     * Ends and corners grow with the shape.
     *
     * @param  Options  $options
     * @return Options
     */
    private static function grown(array $options, float $factor): array
    {
        foreach (self::LENGTHS as $name) {
            if (isset($options[$name])) {
                $options[$name] *= $factor;
            }
        }

        return $options;
    }

    /** @return array{int, int, int} samples in both, in either, and of the shape where something else is seen */
    private function cover(Samples $samples): array
    {
        return match ($this->kind) {
            ShapeKind::Arc, ShapeKind::Cord, ShapeKind::Ring => $samples->coverBy($this->solid(), $this->x, $this->y, $this->turnDeg),
            default => $samples->cover(
                Profiles::halfWidths($this->kind, $this->widthPx, $this->heightPx, $this->options),
                $this->widthPx,
                $this->heightPx,
                $this->x,
                $this->y,
                $this->turnDeg,
            ),
        };
    }

    /** An angle between -180 and 180 degrees. */
    public static function angle(float $deg): float
    {
        return $deg > 180 ? $deg - 360 : ($deg <= -180 ? $deg + 360 : $deg);
    }

    /** @param  ?Options  $options */
    private function with(
        ?ShapeKind $kind = null,
        ?float $widthPx = null,
        ?float $heightPx = null,
        ?array $options = null,
        ?float $x = null,
        ?float $y = null,
        ?float $turnDeg = null,
        ?float $overlap = null,
        ?float $depthShare = null,
    ): self {
        return new self(
            kind: $kind ?? $this->kind,
            widthPx: $widthPx ?? $this->widthPx,
            heightPx: $heightPx ?? $this->heightPx,
            options: $options ?? $this->options,
            x: $x ?? $this->x,
            y: $y ?? $this->y,
            turnDeg: $turnDeg ?? $this->turnDeg,
            overlap: $overlap ?? $this->overlap,
            depthShare: $depthShare ?? $this->depthShare,
        );
    }
}
