<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Colour\ColourWords;
use Impa\Figure\Term\DetailRole;
use Impa\Figure\Upgrade\Upgrade;
use Impa\Geometry\Outline\Polygon;
use Impa\Material\CoreMaterial;
use Impa\Material\Covering;
use Impa\Material\CoveringWay;
use Impa\Raster\Blob;
use Impa\Raster\Raster;
use Impa\Seeing\Assembly\MarkNames;
use Impa\Seeing\Assembly\Naming;
use Impa\Seeing\Assembly\TwinPairing;
use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\PartExtraction;
use Impa\Seeing\Decomposition\Piece;
use Impa\Seeing\Segmentation\Extent;
use Impa\Seeing\Segmentation\FlatColours;
use Impa\Seeing\Segmentation\Region;
use Impa\Seeing\Wishes;
use Impa\Shape\ShapeKind;

/** Writes what was seen as a figure document: pixels become mm, the figure's origin its middle on the table. */
final class FigureWriting
{
    /** Of two marks that are twins, the one that shows so many times more of itself says what both are. */
    private const MORE_SEEN = 1.1;

    /** Twins on a part that stands within this share of the figure's height of the middle line. */
    private const ON_AXIS = 0.03;

    private readonly float $mmPerPx;

    private readonly float $bottom;

    private readonly float $figureHeightPx;

    /** @var array<string, Sureness> of each part, and of each detail, by its key after a slash */
    private array $sureness = [];

    /**
     * @param  array<int, Piece>  $pieces  by number, twins made one
     * @param  list<Region>  $dropped  specks to be listed
     * @param  bool  $isTurned  whether all this was seen in a mirror, and is to be written as it was drawn
     */
    public function __construct(
        private readonly array $pieces,
        private readonly PartExtraction $extraction,
        private readonly FlatColours $flat,
        private readonly Raster $raster,
        private readonly float $axis,
        private readonly Wishes $wishes,
        private readonly array $dropped,
        private readonly bool $isTurned,
    ) {
        $extent = Extent::of(array_map(static fn (Piece $p): Region => $p->region, $extraction->pieces));
        $this->bottom = -$extent->maxY - 1.0;
        $this->figureHeightPx = (float) $extent->heightPx();
        $this->mmPerPx = $wishes->heightMm / $this->figureHeightPx;
    }

    /** @return array<string, mixed> */
    public function document(string $name, string $file): array
    {
        $parts = array_values(array_map($this->part(...), $this->pieces));
        $details = $this->details();
        /** @var list<string> $used */
        $used = [...array_column($parts, 'colour'), ...array_column($details, 'colour')];
        $own = $this->raster->ownPerPx();

        return [
            'format' => 'impa-figure',
            'version' => Upgrade::VERSION,
            'name' => $name,
            'heightMm' => $this->wishes->heightMm,
            'pose' => 'stand',
            'firmness' => 'springy',
            'coverMm' => 3,
            'core' => 'core-wool',
            'school' => ['face' => 'loose-head', 'join' => 'fluff'],
            'colours' => ColourWriting::of($this->raster, $this->flat, $used),
            'parts' => $parts,
            'details' => $details,
            'wires' => [],
            'picture' => [
                'file' => $file,
                'widthPx' => $this->raster->ownWidth,
                'heightPx' => $this->raster->ownHeight,
                'mmPerPx' => $this->mmPerPx / $own,
                'originPx' => [
                    round(($this->isTurned ? $this->raster->width - $this->axis : $this->axis) * $own, 2),
                    round(-$this->bottom * $own, 2),
                ],
                'wishes' => $this->wishes->document(),
                'leftOut' => array_map(
                    fn (Region $r): array => [
                        'xMm' => $this->round($this->way() * (($r->minX + $r->maxX + 1) / 2 - $this->axis)),
                        'yMm' => $this->round(-($r->minY + $r->maxY + 1) / 2 - $this->bottom),
                        'widthMm' => $this->round((float) $r->widthPx()),
                        'colour' => ColourWords::said($this->flat->colours[$r->label]),
                    ],
                    $this->dropped,
                ),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function part(Piece $piece): array
    {
        $fit = $this->isTurned && ! $piece->mirror ? $piece->fit->mirrored($this->axis) : $piece->fit;
        $shape = ShapeWriting::of($fit, $this->mmPerPx, Naming::isThin($piece->name), $this->wishes->roundToMm);
        $part = [
            'key' => $piece->key,
            'name' => SeenNames::said($piece->name),
            'shape' => $shape,
            'at' => [
                'xMm' => $this->round($fit->x - $this->axis),
                'yMm' => $this->round($fit->y - $this->bottom),
                'zMm' => $this->round($piece->zPx),
            ],
            'turnDeg' => ['x' => 0, 'y' => 0, 'z' => round($fit->turnDeg, 1)],
            'mirror' => $piece->mirror,
            'colour' => ColourWriting::key($piece->region->label),
            'core' => CoreMaterial::usualFor(min($shape['widthMm'], $shape['heightMm'], $shape['depthMm']))->value,
            'finish' => 'smooth',
            'seen' => $this->said(
                'parts/'.$piece->key,
                $sureness = Sureness::ofPiece($piece, $this->figureHeightPx),
                Reasons::ofPiece($piece, $this->pieces, $this->extraction->map, $sureness->isUnsure(), $this->mmPerPx),
            ) + ['depth' => ShapeWriting::GUESSED],
        ];
        if ($piece->fringe !== null) {
            $rim = $this->mm(Polygon::perimeter($piece->fit->outlinePx()[0]));
            $part['covering'] = [
                'way' => CoveringWay::Tufts->value,
                'lengthMm' => $this->size($piece->fringe->beyondPx($piece->fit)),
                'perCm2' => round(Covering::perCm2Of(count($piece->fringe->tips), $rim), 2),
            ];
        }
        if ($piece->joinTo >= 0) {
            $part['join'] = [
                'to' => $this->pieces[$piece->joinTo]->key,
                'by' => $fit->kind === ShapeKind::Plate ? 'slit' : 'fluff',
            ];
        }

        return $part;
    }

    /** @return list<array<string, mixed>> */
    private function details(): array
    {
        $details = $used = [];
        $marks = $this->extraction->marks;
        $twins = $this->twins();
        foreach ($marks as $i => $mark) {
            $piece = $this->pieces[$mark->on] ?? null;
            if ($piece === null || in_array($i, $twins, true)) {
                continue;
            }
            $twin = $twins[$i] ?? -1;
            if ($twin >= 0 && $marks[$twin]->blob->area() > self::MORE_SEEN * $mark->blob->area()) {
                // The left one is less hidden: it says what both are.
                $mark = new Mark($mark->label, $this->mirrored($marks[$twin]->blob), $mark->on, $mark->layer, $marks[$twin]->edgePx);
            }
            $pixels = $this->onPiece($mark, $piece);
            if (count($pixels) < 6) {
                continue;
            }
            $mark = new Mark($mark->label, Blob::of($pixels, $mark->blob->width), $mark->on, $mark->layer, $mark->edgePx);
            $name = MarkNames::of($mark, $piece, $twin >= 0, $marks, $this->flat->colours[$mark->label], $this->axis);
            $used[$name] = ($used[$name] ?? 0) + 1;
            $name .= $used[$name] === 1 ? '' : ' '.$used[$name];
            $way = $twin >= 0 || $piece->mirror ? 1 : $this->way();
            $places = [$piece->fit->x, $piece->fit->y, $way, $this->mmPerPx, $this->figureHeightPx];
            $drawn = str_starts_with($name, MarkNames::RIM)
                ? MarkShape::ofRim($mark, MarkNames::ringPx($mark, $marks), ...$places)
                : MarkShape::of($mark, ...$places);
            $key = strtolower(str_replace(' ', '-', $name));
            $sureness = Sureness::ofMark($mark, $drawn->isSimple, $this->extraction->map);
            $details[] = ['key' => $key, 'name' => SeenNames::said($name), 'on' => $piece->key] +
                ['role' => DetailRole::byName($name)->value] +
                $drawn->shape + [
                    'colour' => ColourWriting::key($mark->label),
                    'layer' => $mark->layer,
                    'mirror' => $twin >= 0,
                    'method' => 'felt',
                    'seen' => $this->said(
                        'details/'.$key,
                        $sureness,
                        Reasons::ofMark($mark, $piece, $drawn, $twin >= 0, $sureness->isUnsure()),
                    ),
                ];
        }

        return $details;
    }

    /**
     * @param  string  $of  `parts/KEY` or `details/KEY`
     * @param  array{why: string, else?: string}  $why
     * @return array{confidence: float, why: string, else?: string}
     */
    private function said(string $of, Sureness $sureness, array $why): array
    {
        $this->sureness[$of] = $sureness;

        return ['confidence' => round($sureness->share, 2)] + $why;
    }

    /** @return array<string, Sureness> by `parts/KEY` and `details/KEY`, once the document is written */
    public function sureness(): array
    {
        return $this->sureness;
    }

    /**
     * A mark's pixels that lie on the shape seen in its piece: what hangs over has nothing to be felted on.
     *
     * @return array<int, true>
     */
    private function onPiece(Mark $mark, Piece $piece): array
    {
        $isOver = $piece->fit->over();
        $width = $mark->blob->width;

        return array_filter(
            $mark->blob->pixels,
            static fn (int $pixel): bool => $isOver(($pixel % $width) + 0.5, -intdiv($pixel, $width) - 0.5),
            ARRAY_FILTER_USE_KEY,
        );
    }

    /**
     * Marks that are the same on either side of a part that stands on the middle line, each once.
     *
     * @return array<int, int> the left one's index by that of the right one, which speaks for both
     */
    private function twins(): array
    {
        $twins = [];
        $marks = $this->extraction->marks;
        foreach ($marks as $i => $mark) {
            $piece = $this->pieces[$mark->on] ?? null;
            $isEven = $piece !== null && ! $piece->mirror && abs($piece->fit->x - $this->axis) <= self::ON_AXIS * $this->figureHeightPx;
            foreach ($isEven && $mark->blob->middle[0] >= $this->axis ? $marks : [] as $j => $other) {
                if (
                    $other->blob->middle[0] < $this->axis
                    && [$other->on, $other->label, $other->layer] === [$mark->on, $mark->label, $mark->layer]
                    && ! in_array($j, $twins, true)
                    && (TwinPairing::mirrors($mark->blob, $other->blob, $this->axis, $this->figureHeightPx)
                        || TwinPairing::mirrors($other->blob, $mark->blob, $this->axis, $this->figureHeightPx))
                ) {
                    $twins[$i] = $j;
                    break;
                }
            }
        }

        return $twins;
    }

    private function mirrored(Blob $blob): Blob
    {
        $pixels = [];
        foreach ($blob->pixels as $i => $_) {
            $x = (int) floor(2 * $this->axis - $i % $blob->width - 0.5);
            if ($x >= 0 && $x < $blob->width) {
                $pixels[intdiv($i, $blob->width) * $blob->width + $x] = true;
            }
        }

        return $pixels === [] ? $blob : Blob::of($pixels, $blob->width);
    }

    /** -1 where x is to be written the other way round. */
    private function way(): int
    {
        return $this->isTurned ? -1 : 1;
    }

    private function mm(float $px): float
    {
        return $px * $this->mmPerPx;
    }

    private function round(float $px): float
    {
        return round($this->mm($px), 2) + 0.0;
    }

    private function size(float $px): float
    {
        return ShapeWriting::size($this->mm($px));
    }
}
