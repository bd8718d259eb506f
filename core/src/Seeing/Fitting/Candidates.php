<?php

declare(strict_types=1);

namespace Impa\Seeing\Fitting;

use Impa\Raster\Blob;
use Impa\Raster\Contour;
use Impa\Raster\Stroke;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;

/** The shapes that are tried on a blob: each kind of the catalogue in the blob's box, upright and along its longest axis. */
final class Candidates
{
    /** By which shares of its size a partly hidden blob is drawn out on trial (house choice). */
    private const DRAWN_OUT = [0.2, 0.5, 0.9];

    /** A blob so many times longer than wide is a roll, which may be bent; by so many degrees at least. */
    private const ROLL = 3.0;

    public const BENT_DEG = 25.0;

    /** A cord is so many times longer than thick, and its course covers such a share of the blob. */
    private const CORD = 4.5;

    private const ALONG_CORD = 0.7;

    /** It is no thicker than this share of the picture's width. */
    private const THIN = 0.025;

    /** How much narrower the one end of a cup is, and how round the corners of a block, before both are pulled. */
    private const CUP_BOTTOM = 0.65;

    private const BLOCK_CORNER = 0.15;

    /** A ring's roll is at most half as thick as the ring is wide; a little less leaves a hole. */
    public const THICKEST_RING = 0.48;

    /**
     * @param  bool  $all  every kind of the catalogue that has few numbers, or the common ones only
     * @return iterable<Fit>
     */
    public static function of(Blob $blob, bool $partlyHidden, bool $all): iterable
    {
        foreach (self::leans($blob) as $turn) {
            yield self::ball($blob, $turn);
            foreach (self::boxes($blob->box($turn), $turn, $partlyHidden) as $i => $box) {
                yield from self::inBox($box, $turn, $all && $i === 0);
            }
        }
    }

    /** @return list<float> upright, and as it leans where that can be told */
    private static function leans(Blob $blob): array
    {
        $lean = $blob->leanDeg();

        return $blob->elongation() > 1.12 && min(abs($lean), 90 - abs($lean)) > 3 ? [0.0, $lean] : [0.0];
    }

    /**
     * @param  array{float, float, float, float}  $box
     * @return iterable<Fit>
     */
    public static function inBox(array $box, float $turn, bool $all): iterable
    {
        [$w, $h, $x, $y] = $box;
        $new = static fn (ShapeKind $kind, float $across, float $along, float $more, array $options = []): Fit => new Fit(
            kind: $kind,
            widthPx: $across,
            heightPx: $along,
            options: $options,
            x: $x,
            y: $y,
            turnDeg: Fit::angle($turn + $more),
        );
        yield $new(ShapeKind::Ball, $w, $h, 0.0);
        yield $new(ShapeKind::Drum, $w, $h, 0.0);
        if ($all) {
            yield $new(ShapeKind::Block, $w, $h, 0.0, ['cornerMm' => self::BLOCK_CORNER * min($w, $h)]);
        }
        foreach ($all ? [-0.45, -0.2, 0.2, 0.45] : [-0.3, 0.3] as $taper) {
            yield $new(ShapeKind::Egg, $w, $h, 0.0, ['taper' => $taper]);
            yield $new(ShapeKind::Egg, $h, $w, 90.0, ['taper' => $taper]);
        }
        foreach ([0.0, 90.0, 180.0, -90.0] as $more) {
            [$across, $along] = $more === 0.0 || $more === 180.0 ? [$w, $h] : [$h, $w];
            if ($along > 1.2 * $across && $more >= 0.0 && $more <= 90.0) {
                yield $new(ShapeKind::Sausage, $across, $along, $more);
            }
            if ($all || $along > $across) {
                yield $new(ShapeKind::Cone, $across, $along, $more);
            }
            if ($all) {
                yield $new(ShapeKind::Dome, $across, $along, $more);
                $ends = ['topMm' => $across, 'bottomMm' => self::CUP_BOTTOM * $across];
                yield $new(ShapeKind::Cup, $across, $along, $more, $ends + ['edgeMm' => Catalogue::CUP_EDGE * $ends['bottomMm']]);
            }
            if ($all && $along > 1.1 * $across) {
                yield $new(ShapeKind::Drop, $across, $along, $more);
                yield $new(ShapeKind::Drumstick, $across, $along, $more, ['topMm' => 0.5 * $across, 'bottomMm' => $across]);
            }
        }
    }

    /**
     * The blob's own outline as a plate; none where it has too few corners. A long one is as thick as it is wide.
     *
     * @return list<Fit>
     */
    public static function ownOutline(Blob $blob): array
    {
        [$w, $h, $x, $y] = $blob->box(0.0);
        $outline = array_map(
            static fn (array $p): array => [$p[0] - $x, $p[1] - $y],
            Contour::around($blob, max(0.8, 0.01 * max($w, $h))),
        );
        $stroke = Stroke::of($blob);
        $depth = $stroke->lengthPx > self::ROLL * $stroke->widthPx ? min(1.0, $stroke->widthPx / min($w, $h)) : 0.2;

        // An outline of its own covers all of the blob but the rounding of its corners.
        return count($outline) >= 3
            ? [
                new Fit(
                    kind: ShapeKind::Plate,
                    widthPx: $w,
                    heightPx: $h,
                    options: ['outline' => $outline],
                    x: $x,
                    y: $y,
                    overlap: 0.97,
                    depthShare: $depth,
                ),
            ]
            : [];
    }

    /**
     * Evenly bent rolls along a long blob's course, if it has one.
     *
     * @return list<Fit>
     */
    public static function bent(Blob $blob): array
    {
        $stroke = Stroke::of($blob);
        if (
            $stroke->bendDeg() < self::BENT_DEG ||
            $stroke->lengthPx < self::ROLL * $stroke->widthPx ||
            ! $stroke->covers($blob, 0.8)
        ) {
            return [];
        }

        return self::rolls(ShapeKind::Arc, $stroke, $stroke->bendDeg(), [0.9, 1.0, 1.1]);
    }

    /**
     * Thin cords along a blob that is one stroke, straight or bent: whiskers, feelers, stalks.
     *
     * @return list<Fit>
     */
    public static function cords(Blob $blob): array
    {
        $stroke = Stroke::of($blob);

        return $stroke->widthPx < self::THIN * $blob->width
            && $stroke->lengthPx > self::CORD * $stroke->widthPx
            && $stroke->covers($blob, self::ALONG_CORD)
            ? self::rolls(ShapeKind::Cord, $stroke, $stroke->archDeg(), [0.8, 1.0])
            : [];
    }

    /**
     * Evenly bent rolls that lie along a stroke's course.
     *
     * @param  list<float>  $thicks  shares of its mean width
     * @return list<Fit>
     */
    private static function rolls(ShapeKind $kind, Stroke $stroke, float $bendDeg, array $thicks): array
    {
        [$ax, $ay] = $stroke->course[0];
        [$bx, $by] = $stroke->course[count($stroke->course) - 1];
        [$mx, $my] = $stroke->course[intdiv(count($stroke->course), 2)];
        $chord = hypot($bx - $ax, $by - $ay);
        if ($chord < 1.0) {
            return [];
        }
        $bends = [];
        // A roll's ends point to its right; the course's middle bulges to the left of the way from its foot to its head.
        $bulgesRight = ($bx - $ax) * ($my - $ay) - ($by - $ay) * ($mx - $ax) < 0.0;
        [$dx, $dy] = $bulgesRight ? [$ax - $bx, $ay - $by] : [$bx - $ax, $by - $ay];
        foreach ([0.85, 1.0, 1.15] as $more) {
            $bend = min(330.0, $bendDeg * $more);
            $sagitta = ($chord / 2) * tan(deg2rad($bend) / 4);
            $x = ($ax + $bx) / 2 - (($dy / $chord) * $sagitta) / 2;
            $y = ($ay + $by) / 2 + (($dx / $chord) * $sagitta) / 2;
            foreach ($thicks as $thick) {
                $bends[] = new Fit(
                    kind: $kind,
                    widthPx: $stroke->widthPx * $thick,
                    heightPx: $stroke->lengthPx,
                    options: ['bendDeg' => $bend],
                    x: $x,
                    y: $y,
                    turnDeg: rad2deg(atan2(-$dx, $dy)),
                );
            }
        }

        return $bends;
    }

    /**
     * Rings as wide and high as the blob, as thick as its area asks for.
     *
     * @return iterable<Fit>
     */
    public static function rings(Blob $blob): iterable
    {
        foreach (self::leans($blob) as $turn) {
            [$w, $h, $x, $y] = $blob->box($turn);
            // One oval lies so far inside another that the blob's area is between them: pi/4 (w h - (w - 2d)(h - 2d)).
            $rest = ($w + $h) ** 2 - (16 * $blob->area()) / M_PI;
            $thick = ($w + $h - sqrt(max(0.0, $rest))) / 4;
            yield new Fit(
                kind: ShapeKind::Ring,
                widthPx: $w,
                heightPx: $h,
                x: $x,
                y: $y,
                turnDeg: $turn,
                depthShare: min(self::THICKEST_RING, $thick / min($w, $h)),
            );
        }
    }

    /**
     * A box, and where the blob may go on behind others, the box drawn out to each side.
     *
     * @param  array{float, float, float, float}  $box
     * @return iterable<int, array{float, float, float, float}>
     */
    private static function boxes(array $box, float $turnDeg, bool $drawnOut): iterable
    {
        yield $box;
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        foreach ($drawnOut ? self::DRAWN_OUT : [] as $share) {
            foreach ([[0, 1], [0, -1], [1, 0], [-1, 0]] as [$u, $v]) {
                [$w, $h] = [$box[0] * (1 + $share * abs($u)), $box[1] * (1 + $share * abs($v))];
                [$moveU, $moveV] = [($u * $share * $box[0]) / 2, ($v * $share * $box[1]) / 2];
                yield [$w, $h, $box[2] + $moveU * $c - $moveV * $s, $box[3] + $moveU * $s + $moveV * $c];
            }
        }
    }

    /** The rounded rectangle with the blob's own area and spread. */
    public static function box(Blob $blob, float $turnDeg): Fit
    {
        $ball = self::ball($blob, $turnDeg);
        // As a box has the same area and spread as an oval, it is so much narrower.
        $side = sqrt(M_PI / 4);

        return new Fit(
            kind: ShapeKind::Block,
            widthPx: $side * $ball->widthPx,
            heightPx: $side * $ball->heightPx,
            options: ['cornerMm' => self::BLOCK_CORNER * $side * min($ball->widthPx, $ball->heightPx)],
            x: $ball->x,
            y: $ball->y,
            turnDeg: $turnDeg,
        );
    }

    /** The oval with the blob's own area and spread. */
    public static function ball(Blob $blob, float $turnDeg): Fit
    {
        [$xx, $xy, $yy] = $blob->covariance;
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        $w = sqrt(max(1e-6, $xx * $c * $c + 2 * $xy * $c * $s + $yy * $s * $s));
        $h = sqrt(max(1e-6, $xx * $s * $s - 2 * $xy * $c * $s + $yy * $c * $c));
        $grow = sqrt($blob->area() / (M_PI * $w * $h));

        return new Fit(
            kind: ShapeKind::Ball,
            widthPx: 2 * $w * $grow,
            heightPx: 2 * $h * $grow,
            x: $blob->middle[0],
            y: $blob->middle[1],
            turnDeg: $turnDeg,
        );
    }
}
