<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Face\DetailGround;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Flat\CutLayer;
use Impa\Shape\Loft;
use Impa\Wool\Ledger\Ledger;

/** What the screens draw of a figure: outlines for the flat views, rings for the turning one. */
final class Board
{
    /**
     * Per part its pieces' outlines from front and right (loops of [right, up] in mm from the middle of the piece), the outline
     * of what fills it, and every choice and number that the document leaves to the house, filled in.
     *
     * @return array{parts: array<string, mixed>}
     */
    public static function flat(Ledger $ledger): array
    {
        return ['parts' => array_map(static fn (Part $p): array => self::part($p, $ledger), $ledger->figure->parts)];
    }

    /**
     * For the view in the round: the loft of each part's shape in its own frame, per detail the rings of its pieces on the skin, in
     * the figure's frame; `openings` likewise for the holes of those that have any, with the colour that shows in them.
     *
     * @return array{parts: array<string, mixed>, details: array<string, mixed>, openings: object}
     */
    public static function turning(Figure $figure): array
    {
        $parts = $details = $openings = [];
        foreach ($figure->parts as $key => $part) {
            $loft = $part->solid->loft();
            $parts[$key] = [
                'rings' => self::roundedRings($loft),
                'closed' => $loft->closed,
                'cut' => self::cutThrough($figure, $part),
            ];
        }
        foreach ($figure->details as $key => $detail) {
            $pieces = $holes = [];
            foreach ($figure->parts[$detail->on]->placements() as $placement) {
                foreach (DetailPiece::all($detail, $placement) as $piece) {
                    $pieces[] = $piece->skin();
                    $holes[] = $piece->openings();
                }
            }
            $details[$key] = $pieces;
            if ($detail->drawn->holesMm !== []) {
                $openings[$key] = ['colour' => DetailGround::colour($figure, $detail), 'pieces' => $holes];
            }
        }

        return ['parts' => $parts, 'details' => $details, 'openings' => (object) $openings];
    }

    /**
     * A layer with what goes right through it, piece by piece, for each of a pair.
     *
     * @return ?list<list<list<list<float>>>> by placement: the rings of each piece that is left; null where nothing is cut through any
     */
    private static function cutThrough(Figure $figure, Part $part): ?array
    {
        $isCut = false;
        $placed = [];
        foreach ($part->placements() as $placement) {
            $lofts = CutLayer::of($figure, $placement);
            $isCut = $isCut || $lofts !== null;
            $placed[] = array_map(static fn (Loft $loft): array => self::roundedRings($loft), $lofts ?? [$part->solid->loft()]);
        }

        return $isCut ? $placed : null;
    }

    /** @return list<list<float>> JSON would keep the minus of -0.0 */
    private static function roundedRings(Loft $loft): array
    {
        return array_map(
            static fn (array $ring): array => array_map(static fn (float $mm): float => round($mm, 2) + 0.0, $ring),
            $loft->rings,
        );
    }

    /** @return array<string, mixed> */
    private static function part(Part $part, Ledger $ledger): array
    {
        $inside = $ledger->wool[$part->key]->inside;
        $pieces = $part->placements();
        // A twin stands mirrored across the picture: seen along it both are the same.
        $seen = static fn (Placement $p, Side $from): array => self::rounded(Tufts::along($part, Silhouette::of($p, $from)));
        $side = $seen($pieces[0], Side::Right);

        return [
            // An empty list would read as no object at all.
            'options' => (object) $part->solid->options(),
            'core' => $part->made->core->value,
            'coverMm' => $part->made->coverMm,
            'firmness' => $part->made->firmness->value,
            'joinBy' => $part->join->by->value,
            'covering' => ['way' => $part->made->covering->way->value]
                + array_filter(get_object_vars($part->made->covering), is_float(...)),
            'pieces' => array_map(
                static fn (Placement $p): array => ['front' => $seen($p, Side::Front), 'side' => $side],
                $pieces,
            ),
            'inside' => $inside === null ? [] : self::rounded(Silhouette::of($pieces[0], Side::Front, $inside)),
        ];
    }

    /**
     * @param  non-empty-list<list<array{float, float}>>  $loops
     * @return list<list<array{float, float}>>
     */
    private static function rounded(array $loops): array
    {
        return array_map(
            static fn (array $loop): array => array_map(static fn (array $p): array => [round($p[0], 2), round($p[1], 2)], $loop),
            $loops,
        );
    }
}
