<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use GdImage;
use Impa\Check\Photo\PhotoRefused;
use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Render\FlatArea;
use RuntimeException;

/** The plan as it should be seen from a side: which piece or detail lies where, on a fine grid of labels. Immutable. */
final readonly class Expected
{
    /** Labels to a mm, and pixels of the grid at most. */
    private const PER_MM = 5.0;

    private const MOST_PX = 1000;

    private const RIM_MM = 2.0;

    /** A rim is seen where its layer is seen so near to it, mm. */
    private const BESIDE_MM = 0.5;

    /** Nothing lies there: the ground is seen. */
    public const GROUND = -1;

    /**
     * @param  non-empty-list<FlatArea>  $layers  back to front
     * @param  non-empty-list<float>  $towardsMm  how far each lies towards the camera from the figure's back, mm
     */
    private function __construct(
        public array $layers,
        private array $towardsMm,
        public Side $side,
        public Box $box,
        private GdImage $labels,
        private float $perMm,
        private int $width,
        private int $height,
    ) {
    }

    /** @throws PhotoRefused if the figure has no parts */
    public static function of(Figure $figure, Side $side): self
    {
        $layers = FlatArea::all($figure, $side);
        if ($layers === []) {
            throw PhotoRefused::noParts();
        }
        $box = Box::around(array_merge(...array_map(static fn (FlatArea $layer): array => $layer->loops[0], $layers)));
        $perMm = min(self::PER_MM, self::MOST_PX / max($box->width(), $box->height()));
        $width = (int) ceil(($box->width() + 2 * self::RIM_MM) * $perMm);
        $height = (int) ceil(($box->height() + 2 * self::RIM_MM) * $perMm);
        $labels = imagecreatetruecolor(max(1, $width), max(1, $height));
        if ($labels === false) {
            throw new RuntimeException('There is not enough memory for the plan of this figure.');
        }
        foreach ($layers as $i => $layer) {
            $points = [];
            foreach ($layer->loops as $k => $loop) {
                // A hole is reached over a bridge of no width and filled by the even-odd rule.
                foreach ($k === 0 ? [...$loop, $loop[0]] : [...$loop, $loop[0], $layer->loops[0][0]] as [$x, $y]) {
                    $points[] = (int) round(($x - $box->left + self::RIM_MM) * $perMm - 0.5);
                    $points[] = (int) round(($box->high - $y + self::RIM_MM) * $perMm - 0.5);
                }
            }
            if (count($points) >= 6) {
                imagefilledpolygon($labels, $points, $i + 1);
            }
        }

        $back = FlatArea::backMm($figure, $side);
        $towards = array_map(static fn (FlatArea $layer): float => $layer->towardsMm($side) - $back, $layers);

        return new self($layers, $towards, $side, $box, $labels, $perMm, $width, $height);
    }

    /** How far towards the camera a layer lies from the figure's back, mm; the ground: 0. */
    public function towardsMm(int $label): float
    {
        return $this->towardsMm[$label] ?? 0.0;
    }

    /** The middle of all layers, mm from the figure's back. */
    public function middleTowardsMm(): float
    {
        return array_sum($this->towardsMm) / count($this->towardsMm);
    }

    /** Which layer is seen at a place, in mm of the figure. */
    public function label(float $x, float $y): int
    {
        $i = (int) floor(($x - $this->box->left + self::RIM_MM) * $this->perMm);
        $j = (int) floor(($this->box->high - $y + self::RIM_MM) * $this->perMm);

        return $i < 0 || $j < 0 || $i >= $this->width || $j >= $this->height
            ? self::GROUND
            : (int) imagecolorat($this->labels, $i, $j) - 1;
    }

    /**
     * Stretches of a layer's rim where nothing in front hides it; one that is seen all round ends where it began.
     *
     * @return list<non-empty-list<array{float, float}>> mm
     */
    public function seenRim(int $label): array
    {
        $places = self::closely($this->layers[$label]->loops[0]);
        $isSeen = array_map(fn (array $place): bool => $this->isBeside($label, ...$place), $places);
        // It begins behind something, so that no stretch is cut in two.
        $begin = (int) array_search(false, $isSeen, true);
        $stretches = [[]];
        for ($n = count($places), $i = $begin; $i <= $begin + $n; $i++) {
            if ($isSeen[$i % $n]) {
                $stretches[count($stretches) - 1][] = $places[$i % $n];
            } else {
                $stretches[] = [];
            }
        }

        return array_values(array_filter($stretches, static fn (array $stretch): bool => count($stretch) > 1));
    }

    private function isBeside(int $label, float $x, float $y): bool
    {
        foreach ([[1, 0], [-1, 0], [0, 1], [0, -1]] as [$dx, $dy]) {
            if ($this->label($x + $dx * self::BESIDE_MM, $y + $dy * self::BESIDE_MM) === $label) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<array{float, float}>  $loop
     * @return non-empty-list<array{float, float}> no farther apart than a millimetre
     */
    private static function closely(array $loop): array
    {
        $places = [];
        foreach ($loop as $i => [$x, $y]) {
            [$tx, $ty] = $loop[($i + 1) % count($loop)];
            $steps = max(1, (int) ceil(hypot($tx - $x, $ty - $y)));
            for ($k = 0; $k < $steps; $k++) {
                $places[] = [$x + $k / $steps * ($tx - $x), $y + $k / $steps * ($ty - $y)];
            }
        }

        return $places === [] ? [[0.0, 0.0]] : $places;
    }

    /** The piece that bears a layer; none for the ground. */
    public function piece(int $label): ?Placement
    {
        return $label < 0 ? null : ($this->layers[$label] ?? null)?->piece;
    }

    /** The layer of the piece that bears a layer, which may be that itself. */
    public function bearer(int $label): int
    {
        while ($label > 0 && $this->layers[$label]->detail !== null) {
            $label--;
        }

        return $label;
    }

    /**
     * The layers of each piece of a detail: a line has several.
     *
     * @return array<string, non-empty-list<int>>
     */
    public function details(): array
    {
        $details = [];
        foreach ($this->layers as $label => $layer) {
            if ($layer->detail !== null) {
                $piece = $layer->piece;
                $details[sprintf('%s %s %d %d', $layer->detail->key, $piece->part->key, $piece->isTwin, $layer->isOther)][] = $label;
            }
        }

        return $details;
    }

    /**
     * Places of each layer that lie well within it, so many mm apart.
     *
     * @return array<int, list<array{float, float}>> by layer
     */
    public function within(float $stepMm, float $marginMm): array
    {
        $within = [];
        for ($y = $this->box->low; $y <= $this->box->high; $y += $stepMm) {
            for ($x = $this->box->left; $x <= $this->box->right; $x += $stepMm) {
                $label = $this->label($x, $y);
                if (
                    $label !== self::GROUND && ($marginMm <= 0.0 || (
                        $this->label($x - $marginMm, $y) === $label && $this->label($x + $marginMm, $y) === $label
                        && $this->label($x, $y - $marginMm) === $label && $this->label($x, $y + $marginMm) === $label
                    ))
                ) {
                    $within[$label][] = [$x, $y];
                }
            }
        }

        return $within;
    }
}
