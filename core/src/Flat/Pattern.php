<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Figure\Part;
use Impa\Geometry\Ellipse;
use Impa\Geometry\Outline\Polygon;
use Impa\Material\CoreMaterial;
use Impa\Material\Densities;
use Impa\Shape\ShapeKind;
use Impa\Shape\Solid\Stack;
use Impa\Voice\Message;

/** What is cut from felt for a part that is sewn instead of felted: pieces, seams, thread, stuffing. Immutable. */
final readonly class Pattern
{
    /** A gore is about so broad at most, mm: broader ones show as facets (house choice). */
    private const GORE_MM = 40.0;

    private const GORES = [4, 12];

    /** A strip about twice as thick as the felt is folded; within so much of its thickness (house choice). */
    private const FOLDED = 0.5;

    /** A stiffening card is so much smaller than the foot it lies in, all round, mm (common practice). */
    private const CARD_MM = 1.5;

    /** What stands is stiffened from this breadth of its foot on, mm (house choice). */
    private const CARD_FROM_MM = 15.0;

    /**
     * @param  list<PatternPiece>  $pieces  of one part; a pair takes as many again
     * @param  list<array{name: Message, stitching: Stitching}>  $seams
     */
    private function __construct(
        public Part $part,
        public Sewing $sewing,
        public array $pieces,
        public array $seams,
        public float $stuffingG,
    ) {
    }

    /** @throws FlatRefused if there is no pattern for such a shape */
    public static function of(Part $part, Sewing $sewing, ?Densities $densities = null): self
    {
        [$pieces, $seams, $isStuffed] = self::parts($part, $sewing);
        $stitched = [];
        foreach ($seams as [$name, $mm]) {
            $stitched[] = ['name' => $name, 'stitching' => Stitching::along($sewing->stitch, $mm, $sewing->stitchMm, 2 * $sewing->feltMm)];
        }

        return new self(
            $part,
            $sewing,
            $pieces,
            $stitched,
            $isStuffed ? self::stuffing($part, $sewing, $densities ?? Densities::house()) : 0.0,
        );
    }

    /**
     * @return array{list<PatternPiece>, list<array{Message, float}>, bool} pieces, seams with their length, whether it is stuffed
     */
    private static function parts(Part $part, Sewing $sewing): array
    {
        $solid = $part->solid;
        $size = $solid->size();
        $kind = $solid->kind();
        $options = $solid->options();
        if ($kind === ShapeKind::Cone) {
            return self::tapered($size->widthMm, $size->depthMm, $size->heightMm, 0.0, $sewing, false);
        }
        if ($kind === ShapeKind::Cup) {
            [$top, $bottom] = [$options['topMm'], $options['bottomMm']];
            $share = min($top, $bottom) / max($top, $bottom);

            return self::tapered($size->widthMm, $size->depthMm, $size->heightMm, $share, $sewing, $top > $bottom);
        }
        if ($kind === ShapeKind::Drum) {
            return self::tapered($size->widthMm, $size->depthMm, $size->heightMm, 1.0, $sewing, false);
        }
        if ($kind === ShapeKind::Cord) {
            return self::rolled($size->heightMm, min($size->widthMm, $size->depthMm), $sewing);
        }
        if ($kind === ShapeKind::Strip && abs($size->depthMm - 2 * $sewing->feltMm) <= self::FOLDED * $sewing->feltMm) {
            return self::folded($size->widthMm, $size->heightMm, $sewing);
        }
        if ($solid->kind()->isFlat()) {
            return self::cushion($part, $sewing);
        }
        if ($solid instanceof Stack) {
            return self::gores($solid, $sewing);
        }

        throw FlatRefused::cannotBeSewn($part->name, $kind->value);
    }

    /**
     * A side and what closes it. The wide end of a hat is its foot; a cup that widens upwards stands on its narrow one.
     *
     * @param  float  $share  the narrower end as a share of the wider: 0 a cone, 1 a tube
     * @return array{list<PatternPiece>, list<array{Message, float}>, bool}
     */
    private static function tapered(float $width, float $depth, float $height, float $share, Sewing $sewing, bool $widensUp): array
    {
        $side = $share < 1.0 - 1e-6 ? Development::frustum($width, $depth, $height, $share) : Development::tube($width, $depth, $height);
        $pieces = [new PatternPiece(Message::of('flat.piece.side'), $side, 1, $sewing->seamMm)];
        // The seam runs where the unrolled side begins: at the front and back of the oval, along its slope.
        $seams = [[Message::of('flat.seam.side'), hypot($height, $depth / 2 * (1 - $share))]];
        $ends = [['wide-end', 1.0], ...$share > 0.0 ? [['narrow-end', $share]] : []];
        if ($share >= 1.0 - 1e-6) {
            $ends = [['foot', 1.0], ['top', 1.0]];
        }
        // A hat is open at its wide end, a pot at its upper one; what is closed is closed all round.
        $open = $sewing->isHollow ? ($share >= 1.0 - 1e-6 ? 'top' : 'wide-end') : '';
        foreach ($ends as [$name, $times]) {
            if ($name === $open) {
                continue;
            }
            $pieces[] = new PatternPiece(
                Message::of('flat.piece.'.$name),
                Development::disc($width * $times, $depth * $times),
                1,
                $sewing->seamMm,
            );
            $seams[] = [Message::of('flat.seam.'.$name), Ellipse::perimeter($width * $times / 2, $depth * $times / 2)];
        }
        $foot = $widensUp ? $share : 1.0;
        if (! $sewing->isHollow || $widensUp) {
            array_push($pieces, ...self::card($width * $foot, $depth * $foot));
        }

        return [$pieces, $seams, ! $sewing->isHollow];
    }

    /** @return array{list<PatternPiece>, list<array{Message, float}>, bool} */
    private static function gores(Stack $solid, Sewing $sewing): array
    {
        $size = $solid->size();
        $girth = Ellipse::perimeter($size->widthMm / 2, $size->depthMm / 2);
        // What is long is sewn from two halves, as limbs are.
        $count = $solid->kind()->isLong() ? 2 : 2 * (int) ceil($girth / self::GORE_MM / 2);
        $count = $solid->kind()->isLong() ? $count : min(self::GORES[1], max(self::GORES[0], $count));
        $gore = Development::gore($solid, $count);
        $pieces = [new PatternPiece(Message::of($count === 2 ? 'flat.piece.half' : 'flat.piece.gore'), $gore, $count, $sewing->seamMm)];
        $base = Ellipse::perimeter($size->widthMm / 2 * $solid->profile(0.0), $size->depthMm / 2 * $solid->profile(0.0));
        // Round a gore once, less its open foot, is two seams' sides.
        $name = Message::of('flat.seam.gores', count: $count);
        $seams = [[$name, $count * (Polygon::perimeter($gore) - $base / $count) / 2]];
        $isStuffed = ! $sewing->isHollow;
        if ($base > 1.0) {
            [$w, $d] = [$size->widthMm * $solid->profile(0.0), $size->depthMm * $solid->profile(0.0)];
            if ($isStuffed) {
                $pieces[] = new PatternPiece(Message::of('flat.piece.foot'), Development::disc($w, $d), 1, $sewing->seamMm);
                $seams[] = [Message::of('flat.seam.foot'), $base];
                array_push($pieces, ...self::card($w, $d));
            }
        }

        return [$pieces, $seams, $isStuffed];
    }

    /**
     * Two outlines sewn together and stuffed; a piece no thicker than the felt is cut once.
     *
     * @return array{list<PatternPiece>, list<array{Message, float}>, bool}
     */
    private static function cushion(Part $part, Sewing $sewing): array
    {
        $outline = $part->solid->front()[0];
        if ($sewing->isHollow || $part->solid->size()->depthMm < 3 * $sewing->feltMm) {
            return [[new PatternPiece(Message::of('flat.piece.piece'), $outline, 1, 0.0)], [], false];
        }

        return [
            [new PatternPiece(Message::of('flat.piece.both'), $outline, 2, $sewing->seamMm)],
            [[Message::of('flat.seam.rim'), Polygon::perimeter($outline)]],
            true,
        ];
    }

    /**
     * A cord rolled from a strip of felt: as much of it as its cross-section holds, sewn along its rim.
     *
     * @return array{list<PatternPiece>, list<array{Message, float}>, bool}
     */
    private static function rolled(float $long, float $thick, Sewing $sewing): array
    {
        $wound = M_PI * $thick * $thick / 4 / $sewing->feltMm;

        return [
            [new PatternPiece(Message::of('flat.piece.rolled'), [[0.0, 0.0], [$long, 0.0], [$long, $wound], [0.0, $wound]], 1, 0.0)],
            [[Message::of('flat.seam.roll'), $long]],
            false,
        ];
    }

    /**
     * A belt or scarf folded along its middle and sewn along its open side: the fold itself takes half a circle of felt.
     *
     * @return array{list<PatternPiece>, list<array{Message, float}>, bool}
     */
    private static function folded(float $width, float $height, Sewing $sewing): array
    {
        [$long, $broad] = [max($width, $height), 2 * min($width, $height) + M_PI / 2 * $sewing->feltMm];

        return [
            [new PatternPiece(Message::of('flat.piece.folded'), [[0.0, 0.0], [$long, 0.0], [$long, $broad], [0.0, $broad]], 1, 0.0)],
            [[Message::of('flat.seam.open'), $long]],
            false,
        ];
    }

    /** @return list<PatternPiece> a card for a foot that is broad enough to stand on */
    private static function card(float $width, float $depth): array
    {
        return min($width, $depth) < self::CARD_FROM_MM
            ? []
            : [new PatternPiece(
                Message::of('flat.piece.stiffening'),
                Development::disc($width - 2 * self::CARD_MM, $depth - 2 * self::CARD_MM),
                1,
                0.0,
                'card',
            )];
    }

    /** Stuffing for one of it: what the shape holds within the felt. */
    private static function stuffing(Part $part, Sewing $sewing, Densities $densities): float
    {
        $cm3 = $part->solid->within($sewing->feltMm)?->volumeCm3() ?? 0.0;

        return $cm3 * $densities->insideGPerCm3(CoreMaterial::Stuffing, $part->made->firmness);
    }

    public function threadMm(): float
    {
        return array_sum(array_map(static fn (array $s): float => $s['stitching']->threadMm(), $this->seams));
    }

    /** @return array<string, mixed> as formats/impa-http-1.openapi.json has it; amounts of one part */
    public function document(): array
    {
        return [
            'part' => $this->part->key,
            'name' => $this->part->name,
            'parts' => $this->part->count(),
            'pieces' => array_map(static fn (PatternPiece $p): array => [
                'name' => $p->name,
                'of' => $p->of,
                'count' => $p->count,
                'outlineMm' => $p->outline,
                'cutMm' => $p->cut,
                'cutCm2' => $p->cutMm2() / 100,
            ], $this->pieces),
            'seams' => array_map(static fn (array $s): array => [
                'name' => $s['name'],
                'lengthMm' => $s['stitching']->lengthMm,
                'stitches' => $s['stitching']->count,
                'threadMm' => $s['stitching']->threadMm(),
            ], $this->seams),
            'threadMm' => $this->threadMm(),
            'stuffingG' => $this->stuffingG,
        ];
    }
}
