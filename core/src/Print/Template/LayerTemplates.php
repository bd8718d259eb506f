<?php

declare(strict_types=1);

namespace Impa\Print\Template;

use Impa\Figure\Figure;
use Impa\Flat\FlatPlan;
use Impa\Flat\Layer;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;
use Impa\Print\Page\Paper;
use Impa\Print\Page\TruePiece;
use Impa\Print\Page\TruePieces;
use Impa\Voice\Amount;
use Impa\Voice\Message;

/**
 * The layers of a figure on paper as they are cut or laid: true size, larger by what they draw in; where the next layers go, openings and
 * holes marked. Mirrored for the back of the felt.
 */
final readonly class LayerTemplates
{
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
            Message::of($isMirrored ? 'print.layers.mirrored' : 'print.layers.title', name: $figure->name),
            $paper,
        );
    }

    /** One piece with everything that is marked on it. */
    private function piece(int $i): TruePiece
    {
        $layer = $this->plan->layers->all[$i];
        $way = $this->way(Box::around($this->plan->cut($layer)));
        $marks = array_map(
            fn (array $mark): array => [array_map($way, $this->plan->laid($mark[0], $layer)), $mark[1]],
            $this->marks($layer, $i),
        );
        $twin = $layer->part->stand->mirror ? Message::of('print.layers.two') : '';
        $more = 100 * ($this->figure->flat->laid() - 1);
        $larger = $more > 0.0 ? Message::of('print.layers.larger', by: Amount::share($more / 100)) : '';
        $colour = $this->figure->colours[$layer->part->colour]->name;
        $of = str_starts_with($layer->part->name, $colour) ? '' : ', '.$colour;

        return TruePiece::of(
            $layer->part->name,
            ($i + 1).'. '.$layer->part->name.$of.$twin.$larger,
            array_map($way, $this->plan->cut($layer)),
            $marks,
        );
    }

    /**
     * How its points lie on the page: mirrored where that is asked for, on its side where it goes on a page only so.
     *
     * @return callable(array{float, float}): array{float, float}
     */
    private function way(Box $box): callable
    {
        [$width, $height] = TruePieces::roomMm($this->paper);
        $isTurned = $box->width() + TruePiece::GAP_MM > $width && $box->height() + TruePiece::GAP_MM <= $width
            && $box->width() + TruePiece::GAP_MM + TruePiece::NAME_MM <= $height;

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
        foreach ($this->figure->flat->cutThrough() as $cut) {
            if ($layer->has(...Polygon::centroid($cut))) {
                $marks[] = [$cut, false];
            }
        }

        return $marks;
    }
}
