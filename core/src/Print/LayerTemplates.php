<?php

declare(strict_types=1);

namespace Impa\Print;

use Impa\Figure\Figure;
use Impa\Flat\FlatPlan;
use Impa\Flat\Layer;
use Impa\Geometry\Box;
use Impa\Geometry\Polygon;

/**
 * The layers of a figure on paper as they are cut or laid: true size, larger by what they draw in; where the next layers go, openings and
 * holes marked. Mirrored for the back of the felt.
 */
final readonly class LayerTemplates
{
    /** Room beside a piece, and the line for its name above, mm. */
    private const GAP_MM = 4.0;

    private const NAME_MM = 6.0;

    /** A letter of a name is about so broad, mm. */
    private const LETTER_MM = 1.6;

    private const INK = '#3a2a20';

    private function __construct(private Figure $figure, private FlatPlan $plan, private Paper $paper, private bool $isMirrored)
    {
    }

    /** @return non-empty-list<string> pages as SVG in mm */
    public static function pages(Figure $figure, FlatPlan $plan, Paper $paper, bool $isMirrored = false): array
    {
        $templates = new self($figure, $plan, $paper, $isMirrored);
        $pieces = [];
        foreach ($plan->layers->all as $i => $layer) {
            if (! $layer->isTwin) {
                $pieces[] = $templates->piece($i);
            }
        }

        return TruePieces::pages(
            $pieces,
            $figure->name.', in layers'.($isMirrored ? ', mirrored: draw them on the back of the felt' : ''),
            $paper,
        );
    }

    /**
     * One piece with everything that is marked on it.
     *
     * @return array{name: string, widthMm: float, heightMm: float, svg: string}
     */
    private function piece(int $i): array
    {
        $layer = $this->plan->layers->all[$i];
        $way = $this->way(Box::around($this->plan->cut($layer)));
        $outline = array_map($way, $this->plan->cut($layer));
        $box = Box::around($outline);
        $drawn = static fn (array $points, string $pen): string => sprintf(
            '<path d="%s" fill="none" stroke="%s" %s/>',
            Page::path([array_values(array_map(static fn (array $p): array => [
                self::GAP_MM / 2 + $p[0] - $box->left,
                self::NAME_MM + self::GAP_MM / 2 + $box->high - $p[1],
            ], $points))]),
            self::INK,
            $pen,
        );
        $svg = $drawn($outline, 'stroke-width="0.35"');
        foreach ($this->marks($layer, $i) as [$points, $isDashed]) {
            $pen = 'stroke-width="0.2"'.($isDashed ? ' stroke-dasharray="1.6 1.2"' : '');
            $svg .= $drawn(array_map($way, $this->plan->laid($points, $layer)), $pen);
        }
        $twin = $layer->part->mirror ? '; cut 2, one turned over' : '';
        $more = 100 * ($this->figure->flat->laid() - 1);
        $larger = $more > 0.0 ? sprintf('; %.0f %% larger than finished', $more) : '';

        $colour = $this->figure->colours[$layer->part->colour]->name;
        $of = str_starts_with($layer->part->name, $colour) ? '' : ', '.$colour;
        $words = ($i + 1).'. '.$layer->part->name.$of.$twin.$larger;

        return [
            'name' => $layer->part->name,
            // A name may be broader than what it names.
            'widthMm' => max($box->width(), self::LETTER_MM * mb_strlen($words)) + self::GAP_MM,
            'heightMm' => $box->height() + self::GAP_MM + self::NAME_MM,
            'svg' => $svg.Page::text($words, self::GAP_MM / 2, 4.0, 3.2),
        ];
    }

    /**
     * How its points lie on the page: mirrored where that is asked for, on its side where it goes on a page only so.
     *
     * @return callable(array{float, float}): array{float, float}
     */
    private function way(Box $box): callable
    {
        [$width, $height] = TruePieces::roomMm($this->paper);
        $isTurned = $box->width() + self::GAP_MM > $width && $box->height() + self::GAP_MM <= $width
            && $box->width() + self::GAP_MM + self::NAME_MM <= $height;

        return function (array $p) use ($isTurned): array {
            $x = $this->isMirrored ? -$p[0] : $p[0];

            return $isTurned ? [-$p[1], $x] : [$x, $p[1]];
        };
    }

    /**
     * What is drawn on a piece: where those on it go, what is cut out of it, holes.
     *
     * @return list<array{list<array{float, float}>, bool}> finished outlines, and whether they are dashed
     */
    private function marks(Layer $layer, int $own): array
    {
        $marks = [];
        foreach ($this->plan->layers->all as $k => $upper) {
            if (in_array($own, $this->plan->layers->under[$k], true)) {
                $marks[] = [$upper->outline, true];
            }
        }
        foreach ($this->figure->flat->openings as $opening) {
            if ($layer->has(...Polygon::centroid($opening))) {
                $marks[] = [$opening, false];
            }
        }
        foreach ($layer->level === 0 ? $this->figure->flat->ribbonAt : [] as [$x, $y]) {
            if ($layer->has($x, $y)) {
                $marks[] = [self::ring($x, $y, $this->figure->flat->holeMm() / 2), false];
            }
        }

        return $marks;
    }

    /** @return list<array{float, float}> */
    private static function ring(float $x, float $y, float $radius): array
    {
        return array_map(
            static fn (int $k): array => [$x + $radius * cos($k * M_PI / 8), $y + $radius * sin($k * M_PI / 8)],
            range(0, 15),
        );
    }
}
