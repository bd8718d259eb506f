<?php

declare(strict_types=1);

namespace Impa\Picture;

use Impa\Shape\ShapeKind;
use Impa\Wool\CoreMaterial;

/** Writes what was seen as a figure document: pixels become mm, the figure's origin its middle on the table. */
final readonly class Writing
{
    /** The thinnest plate that is suggested, and the thickest, in mm (house choice). */
    private const PLATE_MM = [3.0, 6.0];

    private float $mmPerPx;

    private float $bottom;

    private float $figureHeightPx;

    /**
     * @param  array<int, Piece>  $pieces  by region index, twins made one
     * @param  list<int>  $map  region per pixel
     */
    public function __construct(
        private array $pieces,
        private Sorting $sorting,
        private FlatColours $flat,
        private Raster $raster,
        private array $map,
        private float $axis,
        private float $heightMm,
    ) {
        $extent = Extent::of(array_map(static fn (Piece $p): Region => $p->region, $sorting->pieces));
        $this->bottom = -$extent->maxY - 1.0;
        $this->figureHeightPx = (float) $extent->heightPx();
        $this->mmPerPx = $heightMm / $this->figureHeightPx;
    }

    /** @return array<string, mixed> */
    public function document(string $name, string $file): array
    {
        $parts = array_values(array_map($this->part(...), $this->pieces));
        $details = $this->details();
        $used = [...array_column($parts, 'colour'), ...array_column($details, 'colour')];
        $colours = $named = [];
        foreach ($this->flat->colours as $i => $colour) {
            if (in_array(self::colourKey($i), $used, true)) {
                $word = ColourWords::of($colour);
                $named[$word] = ($named[$word] ?? 0) + 1;
                $colours[] = ['key' => self::colourKey($i), 'name' => $named[$word] === 1 ? $word : $word.' '.$named[$word], 'hex' => $colour->toHex()];
            }
        }
        $own = $this->raster->ownPerPx();

        return [
            'format' => 'impa-figure',
            'version' => 1,
            'name' => $name,
            'heightMm' => $this->heightMm,
            'pose' => 'stand',
            'firmness' => 'springy',
            'coverMm' => 3,
            'core' => 'core-wool',
            'school' => ['face' => 'loose-head', 'join' => 'fluff'],
            'colours' => $colours,
            'parts' => $parts,
            'details' => $details,
            'wires' => [],
            'picture' => [
                'file' => $file,
                'widthPx' => $this->raster->ownWidth,
                'heightPx' => $this->raster->ownHeight,
                'mmPerPx' => $this->mmPerPx / $own,
                'originPx' => [round($this->axis * $own, 2), round(-$this->bottom * $own, 2)],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function part(Piece $piece): array
    {
        $fit = $piece->fit;
        $x = abs($fit->x - $this->axis) < 0.012 * $this->figureHeightPx ? $this->axis : $fit->x;
        $depth = $this->mm($fit->depthPx());
        $shape = [
            'kind' => $fit->kind->value,
            'widthMm' => $this->size($fit->widthPx),
            'heightMm' => $this->size($fit->heightPx),
            'depthMm' => max(0.3, round($fit->kind === ShapeKind::Plate ? min(max($depth, self::PLATE_MM[0]), self::PLATE_MM[1]) : $depth, 1)),
        ];
        if (isset($fit->options['taper'])) {
            $shape['taper'] = $fit->options['taper'];
        }
        if (isset($fit->options['outline']) && is_array($fit->options['outline'])) {
            $shape['outline'] = array_map(fn (array $p): array => [round($this->mm($p[0] - $fit->x), 2), round($this->mm($p[1] - $fit->y), 2)], $fit->options['outline']);
        }
        $part = [
            'key' => $piece->key,
            'name' => $piece->name,
            'shape' => $shape,
            'at' => ['xMm' => $this->round($x - $this->axis), 'yMm' => $this->round($fit->y - $this->bottom), 'zMm' => $this->round($piece->zPx)],
            'turnDeg' => ['x' => 0, 'y' => 0, 'z' => round($fit->turnDeg, 1)],
            'mirror' => $piece->mirror,
            'colour' => self::colourKey($piece->region->label),
            'core' => CoreMaterial::usualFor(min($shape['widthMm'], $shape['heightMm'], $shape['depthMm']))->value,
            'finish' => 'smooth',
        ];
        if ($piece->joinTo >= 0) {
            $part['join'] = ['to' => $this->pieces[$piece->joinTo]->key, 'by' => $fit->kind === ShapeKind::Plate ? 'slit' : 'fluff'];
        }

        return $part;
    }

    /** @return list<array<string, mixed>> */
    private function details(): array
    {
        $details = [];
        $done = [];
        $number = 0;
        foreach ($this->sorting->details as $i => [$region, $blob, $on, $layer]) {
            $piece = $this->pieces[$on] ?? null;
            if ($piece === null || isset($done[$i])) {
                continue;
            }
            $twin = $this->twin($i, $region, $blob, $on, $piece);
            if ($twin >= 0 && $blob->middle[0] < $piece->fit->x) {
                continue;
            }
            $done[$twin] = true;
            $number++;
            $details[] = $this->detail($region, $blob, $piece, $layer, $twin >= 0, $number);
        }

        return $details;
    }

    /** Index of the same detail on the other side of a part that stands on the middle line, or -1. */
    private function twin(int $i, Region $region, Blob $blob, int $on, Piece $piece): int
    {
        if ($piece->mirror || abs($piece->fit->x - $this->axis) > 0.03 * $this->figureHeightPx) {
            return -1;
        }
        foreach ($this->sorting->details as $j => [$other, $otherBlob, $otherOn]) {
            if ($j !== $i && $otherOn === $on && $other->label === $region->label && Pairing::mirrors($blob, $otherBlob, $this->axis, $this->figureHeightPx)) {
                return $j;
            }
        }

        return -1;
    }

    /** @return array<string, mixed> */
    private function detail(Region $region, Blob $blob, Piece $piece, int $layer, bool $mirror, int $number): array
    {
        // From the part's middle as the document has it, which may have been moved to the middle line.
        $middleX = abs($piece->fit->x - $this->axis) < 0.012 * $this->figureHeightPx ? $this->axis : $piece->fit->x;
        $local = fn (array $p): array => [$this->round($p[0] - $middleX), $this->round($p[1] - $piece->fit->y)];
        $detail = ['key' => 'detail-'.$number, 'name' => $this->name($blob, $piece, $mirror, $layer), 'on' => $piece->key];
        $disc = Fit::disc($blob, $this->map);
        if ($disc->overlap > 0.8) {
            [$x, $y] = $local([$disc->x, $disc->y]);
            $detail += ['kind' => 'disc', 'widthMm' => $this->size($disc->widthPx), 'heightMm' => $this->size($disc->heightPx), 'xMm' => $x, 'yMm' => $y, 'turnDeg' => round($disc->turnDeg, 1)];
        } elseif (Stroke::isOne($blob, $region->edge)) {
            $stroke = Stroke::of($blob);
            $detail += ['kind' => 'line', 'widthMm' => $this->size($stroke->widthPx), 'pointsMm' => array_map($local, $stroke->course)];
        } else {
            $outline = Fit::outline($blob, max(0.5, 0.004 * $this->figureHeightPx));
            $detail += count($outline) >= 3
                ? ['kind' => 'patch', 'pointsMm' => array_map($local, $outline)]
                : ['kind' => 'disc', 'widthMm' => $this->size($disc->widthPx), 'heightMm' => $this->size($disc->heightPx), 'xMm' => $local([$disc->x, $disc->y])[0], 'yMm' => $local([$disc->x, $disc->y])[1]];
        }

        return $detail + ['colour' => self::colourKey($region->label), 'layer' => $layer, 'mirror' => $mirror, 'method' => 'felt'];
    }

    private function name(Blob $blob, Piece $piece, bool $mirror, int $layer): string
    {
        $share = $blob->area() / $piece->blob->area();

        return match (true) {
            $layer >= 3 || ($layer === 2 && ! $mirror && $share < 0.02) => 'Spark',
            $share > 0.15 => 'Patch',
            $mirror => $layer === 2 ? 'Pupil' : 'Eye',
            $layer === 1 && $blob->middle[1] < $piece->fit->y && $share < 0.05 => 'Mouth',
            default => 'Spot',
        };
    }

    private static function colourKey(int $label): string
    {
        return 'c'.($label + 1);
    }

    private function mm(float $px): float
    {
        return $px * $this->mmPerPx;
    }

    private function round(float $px): float
    {
        return round($this->mm($px), 2) + 0.0;
    }

    /** A length as the document takes it. */
    private function size(float $px): float
    {
        return min(2000.0, max(0.3, round($this->mm($px), 2)));
    }
}
