<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Colour\Srgb;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use WeakMap;

/** One flat area of a figure seen from a side: a piece, or a detail on one. Immutable. */
final readonly class FlatArea
{
    public Box $box;

    /**
     * @param  non-empty-list<list<array{float, float}>>  $loops  in mm of the figure, seen from the side; later ones are holes
     * @param  bool  $isOther  of a detail that there is twice on its piece, whether it is the second one
     */
    private function __construct(
        public Placement $piece,
        public ?Detail $detail,
        public Srgb $srgb,
        public array $loops,
        public bool $isOther = false,
        private ?DetailPiece $lies = null,
    ) {
        $this->box = Box::around(array_merge(...$loops));
    }

    /**
     * Everything that is painted of a figure, back to front by depth, each piece with its details; of one figure put together once for each
     * side, as it never changes.
     *
     * @return list<self>
     */
    public static function all(Figure $figure, Side $from): array
    {
        /** @var WeakMap<Figure, array<string, list<self>>> $known */
        static $known = new WeakMap;
        $sides = $known[$figure] ?? [];
        $sides[$from->value] ??= self::painted($figure, $from);
        $known[$figure] = $sides;

        return $sides[$from->value];
    }

    /** @return list<self> */
    private static function painted(Figure $figure, Side $from): array
    {
        $pieces = [];
        foreach ($figure->parts as $part) {
            array_push($pieces, ...$part->placements());
        }
        usort($pieces, static fn (Placement $a, Placement $b): int => $from->see(...$a->at)[2] <=> $from->see(...$b->at)[2]);
        $layers = [];
        foreach ($pieces as $piece) {
            [$right, $up] = $from->see(...$piece->at);
            $outline = self::moved(Tufts::along($piece->part, Silhouette::of($piece, $from)), $right, $up);
            $layers[] = new self($piece, null, $figure->colours[$piece->part->colour]->srgb, $outline);
            foreach ($figure->detailsOn($piece->part->key) as $detail) {
                foreach (DetailPiece::all($detail, $piece) as $nth => $detailPiece) {
                    foreach ($detailPiece->seenFrom($from) as $loops) {
                        $srgb = $figure->colours[$detail->colour]->srgb;
                        $layers[] = new self($piece, $detail, $srgb, self::moved($loops, $right, $up), $nth > 0, $detailPiece);
                    }
                }
            }
        }

        return $layers;
    }

    /** How far towards the viewer the hindmost of a figure lies, mm. */
    public static function backMm(Figure $figure, Side $from): float
    {
        $back = INF;
        foreach ($figure->parts as $part) {
            foreach ($part->placements() as $piece) {
                foreach (array_merge(...$piece->rings()) as $point) {
                    $back = min($back, $from->see(...$point)[2]);
                }
            }
        }

        return is_finite($back) ? $back : 0.0;
    }

    /** How far towards the viewer it lies, mm: the middle of a piece, the skin under a detail. */
    public function towardsMm(Side $from): float
    {
        return $from->see(...$this->piece->at)[2] + ($this->lies?->towardsMm($from) ?? 0.0);
    }

    /**
     * @param  non-empty-list<list<array{float, float}>>  $loops
     * @return non-empty-list<list<array{float, float}>>
     */
    private static function moved(array $loops, float $right, float $up): array
    {
        return array_map(
            static fn (array $loop): array => array_map(static fn (array $p): array => [$p[0] + $right, $p[1] + $up], $loop),
            $loops,
        );
    }
}
