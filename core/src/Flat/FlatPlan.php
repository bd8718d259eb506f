<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\FlatWay;
use Impa\Figure\Term\Method;
use Impa\Figure\Term\Stitch;
use Impa\Geometry\Outline\Polygon;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Wool\Ledger\DetailWool;

/** A figure of layers, ready to be cut, laid and stitched: everything that is not in its ledger or its steps. Immutable. */
final readonly class FlatPlan
{
    /** Below this width scissors leave no clean piece (common practice), mm. */
    private const NARROW_MM = 4.0;

    /** What two ends of a cord lie over each other, mm (common practice). */
    public const CORD_JOIN_MM = 10.0;

    private function __construct(
        private Figure $figure,
        public Layers $layers,
        private FeltSheet $sheet,
    ) {
    }

    /** @throws FlatRefused if the figure is not made of layers */
    public static function of(Figure $figure, FeltSheet $sheet): self
    {
        if (! $figure->flat->isFlat()) {
            throw FlatRefused::notInLayers($figure->name);
        }

        return new self($figure, Layers::of($figure), $sheet);
    }

    /**
     * A piece as it is cut or laid: larger by what it draws in, about its own middle.
     *
     * @return list<array{float, float}>
     */
    public function cut(Layer $layer): array
    {
        return $this->laid($layer->outline, $layer);
    }

    /**
     * Places on a layer as they lie on its template.
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    public function laid(array $points, Layer $on): array
    {
        $factor = $this->figure->flat->laid();
        [$x0, $y0] = $on->box->middle();

        return array_map(static fn (array $p): array => [$x0 + ($p[0] - $x0) * $factor, $y0 + ($p[1] - $y0) * $factor], $points);
    }

    /** Stitches round a layer's rim, through it and what it lies on; none round a ground. */
    public function stitching(Layer $layer): Stitching
    {
        $flat = $this->figure->flat;

        return Stitching::along(
            $layer->level === 0 ? Stitch::None : $flat->stitch,
            $layer->rimMm,
            $flat->stitchMm,
            2 * $layer->part->solid->thinnestMm(),
        );
    }

    /**
     * What is embroidered: back stitch along a line, round what is larger than a knot, a knot for what is not.
     *
     * @return list<array{detail: Detail, stitching: Stitching, isKnot: bool}>
     */
    public function embroidery(): array
    {
        $all = [];
        foreach ($this->figure->details as $detail) {
            if ($detail->method !== Method::Stitch) {
                continue;
            }
            $thickMm = 2 * $this->figure->parts[$detail->on]->solid->thinnestMm();
            $pieces = $this->figure->pieces($detail);
            $isKnot = $detail->drawn->kind === DetailKind::Disc && $detail->drawn->widthMm <= 4.0;
            $length = match ($detail->drawn->kind) {
                DetailKind::Line => $detail->drawn->lengthMm(),
                DetailKind::Patch => Polygon::perimeter($detail->drawn->pointsMm),
                default => M_PI * ($detail->drawn->widthMm + $detail->drawn->heightMm) / 2,
            };
            $all[] = [
                'detail' => $detail,
                'stitching' => $isKnot
                    ? Stitching::knots($pieces, $thickMm)
                    : Stitching::along(Stitch::Back, $pieces * $length, min($this->figure->flat->stitchMm, 3.0), $thickMm),
                'isKnot' => $isKnot,
            ];
        }

        return $all;
    }

    /**
     * Cords and lines that are laid as wool.
     *
     * @return list<array{detail: Detail, lengthMm: float, mg: float}> of all pieces of each together
     */
    public function cords(): array
    {
        $cords = [];
        foreach ($this->figure->details as $detail) {
            if ($detail->drawn->kind === DetailKind::Line && $detail->method === Method::Felt) {
                $pieces = $this->figure->pieces($detail);
                $course = $detail->drawn->pointsMm;
                $isRing = $course !== [] && $course[0] === $course[count($course) - 1];
                $cords[] = [
                    'detail' => $detail,
                    'lengthMm' => $pieces * ($detail->drawn->lengthMm() + ($isRing ? self::CORD_JOIN_MM : 0.0)),
                    'mg' => $pieces * 1000 * (DetailWool::g($detail, null)->is ?? 0.0),
                ];
            }
        }

        return $cords;
    }

    /**
     * The layers of each colour on the sheets at hand; none where they are laid from batting.
     *
     * @return array<string, Nesting|FlatRefused> by colour; why it cannot be, where it cannot
     */
    public function nested(): array
    {
        if ($this->figure->flat->way !== FlatWay::Sheet) {
            return [];
        }
        $nested = [];
        foreach ($this->byColour() as $colour => $layers) {
            try {
                $nested[$colour] = Nesting::of(
                    array_map(fn (Layer $l): array => [$l->name(), $this->cut($l)], $layers),
                    $this->sheet,
                );
            } catch (FlatRefused $refused) {
                $nested[$colour] = $refused;
            }
        }

        return $nested;
    }

    /** @return array<string, non-empty-list<Layer>> */
    public function byColour(): array
    {
        $by = [];
        foreach ($this->layers->all as $layer) {
            $by[$layer->part->colour][] = $layer;
        }

        return $by;
    }

    /** @return list<array{code: string, text: Message}> what would go wrong, each with its mend */
    public function notes(): array
    {
        $notes = [];
        foreach ($this->layers->shortSeams() as $seam) {
            $notes[] = ['code' => 'short-overlap', 'text' => Message::of(
                'flat.note.short-overlap',
                upper: $seam['upper'],
                by: Amount::mm($seam['overlapMm']),
                lower: new Name($seam['lower']),
                wanted: Amount::mm($seam['wantedMm']),
            )];
        }
        foreach ($this->layers->all as $i => $layer) {
            if ($layer->acrossMm() < self::NARROW_MM) {
                $notes[] = ['code' => 'narrow', 'text' => Message::of(
                    'flat.note.narrow',
                    name: $layer->name(),
                    wide: Amount::mm($layer->acrossMm()),
                    least: Amount::mm(self::NARROW_MM),
                )];
            }
            if ($layer->level === 0 && $i > 0 && $layer->part->isJoined()) {
                $notes[] = [
                    'code' => 'off-ground',
                    'text' => Message::of('flat.note.off-ground', name: $layer->name()),
                ];
            }
        }
        $apart = EyeHoles::apartMm($this->figure->flat->openings);
        // Only what is tied on is looked through.
        if ($apart !== null && $this->figure->flat->ties->at !== [] && ($apart < EyeHoles::RANGE_MM[0] || $apart > EyeHoles::RANGE_MM[1])) {
            $notes[] = ['code' => 'eyes-apart', 'text' => Message::of(
                'flat.note.eyes-apart',
                apart: Amount::mm($apart),
                least: Amount::mm(EyeHoles::RANGE_MM[0]),
                most: Amount::mm(EyeHoles::RANGE_MM[1]),
            )];
        }
        $holeMm = $this->figure->flat->ties->holeMm();
        foreach (Ribbon::torn($this->layers) as $torn) {
            $notes[] = ['code' => 'torn-hole', 'text' => Message::of(
                'flat.note.'.($torn['rimMm'] < 0 ? 'hole-off' : 'torn-hole'),
                number: $torn['hole'] + 1,
                rim: Amount::mm($torn['rimMm']),
                wanted: Amount::mm(Ribbon::rimMm($holeMm)),
            )];
        }
        foreach ($this->nested() as $nesting) {
            if ($nesting instanceof FlatRefused) {
                $notes[] = ['code' => 'sheet-too-small', 'text' => $nesting->why];
            }
        }

        return $notes;
    }

    /** @return array<string, mixed> the impa-flat document, version 1; formats/impa-flat-1.schema.json */
    public function document(): array
    {
        $flat = $this->figure->flat;
        $rims = array_map($this->stitching(...), $this->layers->all);
        $embroidery = $this->embroidery();
        $thread = [...$rims, ...array_column($embroidery, 'stitching')];
        $ribbonMm = $flat->ties->mm > 0.0 ? $flat->ties->mm : 8.0;
        $nested = $this->nested();

        return [
            'format' => 'impa-flat',
            'version' => 1,
            'figure' => $this->figure->name,
            'way' => $flat->way->value,
            'shrink' => $flat->shrink,
            'laidTimes' => $flat->laid(),
            'overlapMm' => $flat->overlapMm,
            'layers' => array_map(
                fn (int $i): array => $this->layerDocument($i, $rims[$i]),
                array_keys($this->layers->all),
            ),
            'openings' => array_map(
                static fn (string $key, array $points): array => [
                    'key' => $key,
                    'outlineMm' => $points,
                    'rimMm' => Polygon::perimeter($points),
                ],
                array_keys($flat->openings),
                array_values($flat->openings),
            ),
            'eyeHoles' => EyeHoles::suggested($this->layers),
            'cords' => array_map(static fn (array $c): array => self::named($c['detail']) + [
                'widthMm' => $c['detail']->drawn->widthMm,
                'lengthMm' => $c['lengthMm'],
                'mg' => $c['mg'],
            ], $this->cords()),
            'embroidery' => array_map(static fn (array $e): array => self::named($e['detail']) + [
                'isKnot' => $e['isKnot'],
                'stitches' => $e['stitching']->count,
                'threadMm' => $e['stitching']->threadMm(),
            ], $embroidery),
            'thread' => ['stitch' => $flat->stitch->value, 'stitchMm' => $flat->stitchMm] + self::summed($thread),
            'ribbon' => [
                'widthMm' => $flat->ties->mm,
                'lengthMm' => $flat->ties->lengthMm,
                'holeMm' => $flat->ties->at === [] ? 0.0 : $flat->ties->holeMm(),
                'holesMm' => $flat->ties->at,
                'totalMm' => Ribbon::lengthMm($this->layers),
                'suggested' => Ribbon::suggested($this->layers, $ribbonMm),
            ],
            'sheet' => ['widthMm' => $this->sheet->widthMm, 'heightMm' => $this->sheet->heightMm, 'hasGrain' => $this->sheet->hasGrain],
            'sheets' => array_map(
                fn (string $colour): array => $this->sheetDocument($colour, $nested[$colour]),
                array_map(strval(...), array_keys($nested)),
            ),
            'notes' => $this->notes(),
        ];
    }

    /** @return array{detail: string, name: string, colour: string} */
    private static function named(Detail $detail): array
    {
        return ['detail' => $detail->key, 'name' => $detail->name, 'colour' => $detail->colour];
    }

    /**
     * @param  list<Stitching>  $thread
     * @return array{stitches: int, threadMm: float, needlefuls: int}
     */
    private static function summed(array $thread): array
    {
        return [
            'stitches' => array_sum(array_map(static fn (Stitching $s): int => $s->count, $thread)),
            'threadMm' => array_sum(array_map(static fn (Stitching $s): float => $s->threadMm(), $thread)),
            'needlefuls' => array_sum(array_map(static fn (Stitching $s): int => $s->needlefuls(), $thread)),
        ];
    }

    /** @return array<string, mixed> */
    private function layerDocument(int $i, Stitching $rim): array
    {
        $layer = $this->layers->all[$i];

        return [
            'part' => $layer->part->key,
            'name' => $layer->name(),
            'isTwin' => $layer->isTwin,
            'colour' => $layer->part->colour,
            'level' => $layer->level,
            'areaCm2' => $layer->areaMm2 / 100,
            'rimMm' => $layer->rimMm,
            'outlineMm' => $layer->outline,
            'rimsMm' => CutLayer::rims($layer->outline, $this->figure->flat->cutThrough()),
            'laidMm' => [$layer->box->width() * $this->figure->flat->laid(), $layer->box->height() * $this->figure->flat->laid()],
            'on' => array_map(fn (int $k): string => $this->layers->all[$k]->name(), $this->layers->under[$i]),
            'stitches' => $rim->count,
            'threadMm' => $rim->threadMm(),
        ];
    }

    /** @return array<string, mixed> */
    private function sheetDocument(string $colour, Nesting|FlatRefused $nesting): array
    {
        $is = $nesting instanceof Nesting;
        $layers = $this->byColour()[$colour];

        return [
            'colour' => $colour,
            'trouble' => $is ? null : $nesting->why,
            'sheets' => $is ? $nesting->sheets : 0,
            'lengthMm' => $is ? $nesting->lengthMm : 0.0,
            'waste' => $is ? $nesting->waste : 0.0,
            'placed' => $is
                ? array_map(fn (array $p): array => [
                    'name' => $layers[$p['piece']]->name(),
                    'sheet' => $p['sheet'],
                    'outlineMm' => $p['outline'],
                    'cutsMm' => $this->cutsOn($layers[$p['piece']], $p['outline']),
                ], $nesting->placed)
                : [],
        ];
    }

    /**
     * What goes right through a layer, where that lies on a sheet; what of it runs beyond the layer's rim is not there.
     *
     * @param  list<array{float, float}>  $placed  the layer's outline on the sheet, turned and moved alone
     * @return list<list<array{float, float}>>
     */
    private function cutsOn(Layer $layer, array $placed): array
    {
        $cut = $this->cut($layer);
        // Of two far places before and after: the turn and the move between them.
        $far = 0;
        foreach ($cut as $i => $p) {
            $isFarther = hypot($p[0] - $cut[0][0], $p[1] - $cut[0][1]) > hypot($cut[$far][0] - $cut[0][0], $cut[$far][1] - $cut[0][1]);
            $far = $isFarther ? $i : $far;
        }
        $angle = static fn (array $of): float => atan2($of[$far][1] - $of[0][1], $of[$far][0] - $of[0][0]);
        $turn = $angle($placed) - $angle($cut);
        [$c, $s] = [cos($turn), sin($turn)];
        $way = static fn (array $p): array => [
            $placed[0][0] + ($p[0] - $cut[0][0]) * $c - ($p[1] - $cut[0][1]) * $s,
            $placed[0][1] + ($p[0] - $cut[0][0]) * $s + ($p[1] - $cut[0][1]) * $c,
        ];
        $cuts = [];
        foreach ($this->figure->flat->cutThrough() as $opening) {
            if (CutLayer::rims($layer->outline, [$opening]) !== [$layer->outline]) {
                $cuts[] = array_map($way, $this->laid($opening, $layer));
            }
        }

        return $cuts;
    }
}
