<?php

declare(strict_types=1);

namespace Impa\Seeing\Layers;

use Impa\Colour\ColourWords;
use Impa\Figure\FlatWork;
use Impa\Figure\Term\DetailRole;
use Impa\Figure\Term\FlatWay;
use Impa\Figure\Upgrade\Upgrade;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polyline;
use Impa\Raster\Blob;
use Impa\Raster\Contour;
use Impa\Raster\Raster;
use Impa\Seeing\Assembly\TwinPairing;
use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Result\ColourWriting;
use Impa\Seeing\Result\MarkShape;
use Impa\Seeing\Result\SeenNames;
use Impa\Seeing\Result\ShapeWriting;
use Impa\Seeing\Segmentation\Extent;
use Impa\Seeing\Segmentation\FlatColours;
use Impa\Seeing\Segmentation\Ink;
use Impa\Seeing\Segmentation\Region;
use Impa\Seeing\Segmentation\Regions;
use Impa\Seeing\Wishes;
use Impa\Voice\Message;
use Impa\Voice\Name;

/**
 * Writes layers that were seen as a figure document: each a flat part, from the ground up; drawn outlines become cords.
 *
 * @phpstan-type LayerPart array<string, mixed>&array{
 *     key: string, name: string, colour: string, mirror: bool, at: array{xMm: float, yMm: float, zMm: float},
 *     points: list<array{float, float}>,
 * }
 */
final readonly class FlatWriting
{
    /** How thick a layer lies, mm: a usual craft felt, and a thin lay of batting when it is felted (common practice). */
    private const THICK_MM = ['none' => 1.5, 'sheet' => 1.5, 'batting' => 3.0];

    /** The thinnest cord that is rolled, and the thickest that is laid as an outline, mm (house choice). */
    private const CORD_MM = [1.0, 6.0];

    /** Outlines keep corners to so much, mm: scissors follow no finer. */
    private const TOLERANCE_MM = 0.35;

    /** Corners are cut round by so much, mm: sharper ones fray. */
    private const CORNER_MM = 1.0;

    /** Places along an outline, to tell where cords run together, mm. */
    private const CORD_STEP_MM = 1.5;

    private float $axis;

    private float $bottom;

    private float $mmPerPx;

    private float $heightPx;

    /** @param  array<int, Region>  $ink  drawn outlines, which became no region */
    public function __construct(
        private FlatLayers $layers,
        private FlatColours $flat,
        private Regions $regions,
        private Raster $raster,
        private Wishes $wishes,
        private array $ink,
    ) {
        $extent = Extent::of($regions->all);
        $this->axis = $extent->middleX();
        $this->bottom = -$extent->maxY - 1.0;
        $this->heightPx = (float) $extent->heightPx();
        $this->mmPerPx = $wishes->heightMm / $this->heightPx;
    }

    /** @return array<string, mixed> */
    public function document(string $name, string $file): array
    {
        $parts = $this->parts();
        $details = [...$this->cords($parts), ...$this->spots($parts)];
        /** @var list<string> $used */
        $used = [...array_column($parts, 'colour'), ...array_column($details, 'colour')];
        $own = $this->raster->ownPerPx();

        return [
            'format' => 'impa-figure',
            'version' => Upgrade::VERSION,
            'name' => $name,
            'heightMm' => $this->wishes->heightMm,
            'pose' => 'lie',
            'firmness' => 'firm',
            'core' => 'none',
            'school' => ['face' => 'face-first', 'join' => 'fluff'],
            'flat' => ['way' => $this->wishes->flat->value, 'overlapMm' => FlatWork::OVERLAP_MM]
                + ($this->wishes->flat === FlatWay::Sheet ? ['stitch' => 'whip'] : ['stitch' => 'none'])
                + ($this->layers->openings === [] ? [] : ['openings' => $this->openings()]),
            'colours' => ColourWriting::of($this->raster, $this->flat, $used),
            'parts' => array_values(array_map(static fn (array $p): array => array_diff_key($p, ['points' => true]), $parts)),
            'details' => $details,
            'wires' => [],
            'picture' => [
                'file' => $file,
                'widthPx' => $this->raster->ownWidth,
                'heightPx' => $this->raster->ownHeight,
                'mmPerPx' => $this->mmPerPx / $own,
                'originPx' => [round($this->axis * $own, 2), round(-$this->bottom * $own, 2)],
                'wishes' => $this->wishes->document(),
            ],
        ];
    }

    /**
     * One part for each layer, or for two that mirror each other.
     *
     * @return array<int, LayerPart> by number of the layer
     */
    private function parts(): array
    {
        $way = $this->wishes->flat;
        $thick = self::THICK_MM[$way->value];
        $twin = $this->layerTwins();
        $parts = $named = $keyOf = [];
        foreach ($this->layers->layers as $k => $layer) {
            if (($twin[$k] ?? $k) < $k) {
                $keyOf[$k] = $keyOf[$twin[$k]];

                continue;
            }
            $isPair = isset($twin[$k]);
            // Of a pair the one on the right speaks for both.
            $own = $isPair && $layer->seen->middle[0] < $this->axis ? $this->layers->layers[$twin[$k]] : $layer;
            $points = $this->outline($own->cut);
            $box = Box::around($points);
            $word = $layer->under < 0 ? 'Ground' : ColourWords::of($this->flat->colours[$layer->label]);
            $named[$word] = ($named[$word] ?? 0) + 1;
            $number = $named[$word] === 1 ? '' : ' '.$named[$word];
            $keyOf[$k] = strtolower(str_replace(' ', '-', $word.$number));
            $middle = $box->middle();
            $parts[$k] = [
                'key' => $keyOf[$k],
                'name' => ($layer->under < 0
                    ? SeenNames::said('Ground')
                    : ColourWords::said($this->flat->colours[$layer->label])).$number,
                'shape' => [
                    'kind' => 'plate',
                    'widthMm' => ShapeWriting::size($box->width()),
                    'heightMm' => ShapeWriting::size($box->height()),
                    'depthMm' => $thick,
                    'outline' => self::written($points, ...$middle),
                ],
                'at' => [
                    'xMm' => round($middle[0], 2) + 0.0,
                    'yMm' => round($middle[1], 2) + 0.0,
                    'zMm' => round($thick * ($layer->level + 0.5), 2),
                ],
                'mirror' => $isPair,
                'colour' => ColourWriting::key($layer->label),
                'core' => 'none',
                'points' => $points,
            ]
                + ($layer->under < 0 ? [] : ['join' => ['to' => $keyOf[$layer->under], 'by' => $way === FlatWay::Sheet ? 'sew' : 'fluff']]);
        }

        return $parts;
    }

    /** @return array<int, int> the other's number of each layer that has a twin */
    private function layerTwins(): array
    {
        return $this->twins(array_map(static fn (FlatLayer $l): array => [$l->label, $l->seen], $this->layers->layers));
    }

    /**
     * Which of them mirror each other about the middle line.
     *
     * @param  list<array{int, Blob}>  $all  colour and pixels
     * @return array<int, int> the other's number
     */
    private function twins(array $all): array
    {
        $twins = [];
        foreach ($all as $i => [$label, $one]) {
            foreach ($all as $j => [$other, $two]) {
                if (
                    $j > $i && $label === $other && ! isset($twins[$i]) && ! isset($twins[$j])
                    && TwinPairing::mirrors($one, $two, $this->axis, $this->heightPx)
                    && abs($one->middle[0] - $this->axis) > sqrt($one->covariance[0])
                ) {
                    [$twins[$i], $twins[$j]] = [$j, $i];
                }
            }
        }

        return $twins;
    }

    /** @return list<array{float, float}> in the figure's frame, mm */
    private function outline(Blob $blob): array
    {
        return array_map(
            fn (array $p): array => [($p[0] - $this->axis) * $this->mmPerPx, ($p[1] - $this->bottom) * $this->mmPerPx],
            Contour::around($blob, max(1.0, self::TOLERANCE_MM / $this->mmPerPx), self::CORNER_MM / $this->mmPerPx),
        );
    }

    /**
     * As a document has places: from a middle, to a hundredth of a millimetre.
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function written(array $points, float $x = 0.0, float $y = 0.0): array
    {
        return array_map(static fn (array $p): array => [round($p[0] - $x, 2) + 0.0, round($p[1] - $y, 2) + 0.0], $points);
    }

    /** @return list<array<string, mixed>> */
    private function openings(): array
    {
        $openings = [];
        foreach ($this->layers->openings as $i => $blob) {
            $points = self::written($this->outline($blob));
            if (count($points) >= 3) {
                $openings[] = [
                    'key' => 'opening-'.($i + 1),
                    'name' => (string) Message::of('seeing.flat.opening', number: $i + 1),
                    'pointsMm' => $points,
                ];
            }
        }

        return $openings;
    }

    /**
     * A cord along the rim of every layer where the drawing is outlined.
     *
     * @param  array<int, LayerPart>  $parts
     * @return list<array<string, mixed>>
     */
    private function cords(array $parts): array
    {
        if ($this->ink === []) {
            return [];
        }
        $by = array_map(static fn (Region $r): int => $r->area, $this->ink);
        arsort($by);
        $colour = ColourWriting::key($this->ink[array_key_first($by)]->label);
        $wide = min(self::CORD_MM[1], max(self::CORD_MM[0], Ink::widthPx($this->ink) * $this->mmPerPx));
        $cords = $laid = [];
        foreach ($parts as $part) {
            foreach (self::runs($part['points'], $laid, $wide) as $i => $run) {
                $key = 'outline-'.$part['key'].($i === 0 ? '' : '-'.($i + 1));
                $cords[] = [
                    'key' => $key,
                    'name' => Message::of('seeing.flat.outline', name: new Name($part['name'])).($i === 0 ? '' : ' '.($i + 1)),
                    'on' => $part['key'],
                    'role' => DetailRole::Other->value,
                    'kind' => 'line',
                    'widthMm' => round($wide, 1),
                    'pointsMm' => self::written($run, $part['at']['xMm'], $part['at']['yMm']),
                    'colour' => $colour,
                    'layer' => 1,
                    'mirror' => $part['mirror'],
                    'method' => 'felt',
                ];
            }
            $points = Polyline::closed($part['points'], self::CORD_STEP_MM);
            array_push($laid, ...$points, ...$part['mirror'] ? self::mirrored($points) : []);
        }

        return $cords;
    }

    /**
     * An outline without what runs along cords that are laid already: two layers that end together have one cord.
     *
     * @param  list<array{float, float}>  $points  closed
     * @param  list<array{float, float}>  $laid
     * @return list<list<array{float, float}>> the whole, closed, or its stretches
     */
    private static function runs(array $points, array $laid, float $wide): array
    {
        $points = Polyline::closed($points, self::CORD_STEP_MM);
        $isFree = array_map(static fn (array $p): bool => self::farFrom($p, $laid) > $wide, $points);
        if (! in_array(false, $isFree, true)) {
            return [Contour::line([...$points, $points[0]], self::TOLERANCE_MM)];
        }
        // From where one begins to be laid already, so that none is cut at the outline's first point.
        $from = (int) array_search(false, $isFree, true);
        /** @var list<list<array{float, float}>> $runs */
        $runs = [];
        $run = [];
        for ($i = 0, $n = count($points); $i <= $n; $i++) {
            $k = ($from + $i) % $n;
            if ($isFree[$k]) {
                $run[] = $points[$k];
            } elseif ($run !== []) {
                $runs[] = $run;
                $run = [];
            }
        }
        $long = array_values(array_filter($runs, static fn (array $run): bool => count($run) * self::CORD_STEP_MM > 3 * $wide));

        return array_map(static fn (array $run): array => Contour::line($run, self::TOLERANCE_MM), $long);
    }

    /**
     * @param  array{float, float}  $point
     * @param  list<array{float, float}>  $laid
     */
    private static function farFrom(array $point, array $laid): float
    {
        $least = INF;
        foreach ($laid as [$x, $y]) {
            $least = min($least, ($x - $point[0]) ** 2 + ($y - $point[1]) ** 2);
        }

        return sqrt($least);
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function mirrored(array $points): array
    {
        return array_map(static fn (array $p): array => [-$p[0], $p[1]], $points);
    }

    /**
     * @param  array<int, LayerPart>  $parts
     * @return list<array<string, mixed>>
     */
    private function spots(array $parts): array
    {
        $spots = $this->layers->spots;
        $twin = $this->twins(array_map(static fn (Mark $m): array => [$m->label, $m->blob], $spots));
        $layerTwin = $this->layerTwins();
        $details = $named = [];
        foreach ($spots as $i => $mark) {
            $part = $parts[$mark->on] ?? $parts[$layerTwin[$mark->on] ?? -1] ?? null;
            $isLeft = $mark->blob->middle[0] < $this->axis;
            // The right one of two speaks for both: as a pair of its own, or as what lies on a pair.
            $isPair = isset($twin[$i]) && $part !== null && ! $part['mirror'] && $spots[$twin[$i]]->on === $mark->on;
            $isOnBoth = isset($twin[$i]) && $part !== null && $part['mirror'] && ($layerTwin[$mark->on] ?? -1) === $spots[$twin[$i]]->on;
            if ($part === null || ($isLeft && ($isPair || $isOnBoth))) {
                continue;
            }
            // What lies on the left of a pair alone is told of its right one, mirrored.
            $way = $part['mirror'] && $isLeft ? -1 : 1;
            $colour = $this->flat->colours[$mark->label];
            $drawn = MarkShape::of(
                $mark,
                $this->axis + $way * $part['at']['xMm'] / $this->mmPerPx,
                $this->bottom + $part['at']['yMm'] / $this->mmPerPx,
                $way,
                $this->mmPerPx,
                $this->heightPx,
            );
            $kind = $drawn->shape['kind'] === 'line' ? 'line' : 'spot';
            $word = ColourWords::of($colour).' '.$kind;
            $named[$word] = ($named[$word] ?? 0) + 1;
            $number = $named[$word] === 1 ? '' : ' '.$named[$word];
            $name = Message::of('seeing.flat.'.$kind, colour: ColourWords::said($colour)).$number;
            $key = strtolower(str_replace(' ', '-', $word.$number));
            $details[] = ['key' => $key, 'name' => $name, 'on' => $part['key']] + $drawn->shape + [
                'role' => DetailRole::Other->value,
                'colour' => ColourWriting::key($mark->label),
                'layer' => 2,
                'mirror' => $isPair,
                'method' => $drawn->shape['kind'] === 'line' && $this->wishes->flat === FlatWay::Sheet ? 'stitch' : 'felt',
            ];
        }

        return $details;
    }
}
