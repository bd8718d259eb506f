<?php

declare(strict_types=1);

namespace Impa\Picture;

use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;

/**
 * The simple shape that covers a blob best: every candidate of the first depth (ball, egg, drum, sausage, cone,
 * plate) laid over it, upright and along its longest axis. Pixels, y up. Immutable.
 *
 * @phpstan-import-type Options from Catalogue
 */
final readonly class Fit
{
    /** By which shares of its size a partly hidden blob is drawn out on trial, and what a guess costs (house choice). */
    private const DRAWN_OUT = [0.12, 0.25, 0.45, 0.8];

    private const HIDDEN_COST = 0.05;

    /** So many of the roughly best candidates are measured closely. */
    private const CLOSELY = 10;

    /** @param  Options  $options */
    private function __construct(
        public ShapeKind $kind,
        public float $widthPx,
        public float $heightPx,
        public array $options,
        public float $x,
        public float $y,
        public float $turnDeg,
        public float $overlap,
    ) {
    }

    /**
     * @param  list<int>  $map  region per pixel, -1 for the ground
     * @param  bool  $partlyHidden  whether other parts may cover some of it
     */
    public static function best(Blob $blob, array $map, bool $partlyHidden): self
    {
        $samples = $blob->samples($map, $partlyHidden ? 1.7 : 1.2);
        // Every candidate is looked at roughly, the most promising closely.
        $some = array_values(array_filter($samples, static fn (int $i): bool => $i % 5 === 0, ARRAY_FILTER_USE_KEY));
        $rough = self::measuredAll(self::candidates($blob, $partlyHidden), $some);
        $close = self::measuredAll(array_slice($rough, 0, self::CLOSELY), $samples);

        // A ball is always among the candidates, and never refused.
        return $close[0];
    }

    /**
     * @param  iterable<self>  $candidates
     * @param  list<array{float, float, int}>  $samples
     * @return list<self> best first
     */
    private static function measuredAll(iterable $candidates, array $samples): array
    {
        $measured = [];
        foreach ($candidates as $candidate) {
            try {
                $measured[] = $candidate->measured($samples);
            } catch (ShapeRefused) {
                // A box too thin for this shape: the others are tried.
            }
        }
        usort($measured, static fn (self $a, self $b): int => $b->score() <=> $a->score());

        return $measured;
    }

    /**
     * The disc that covers the blob, for spots.
     *
     * @param  list<int>  $map
     */
    public static function disc(Blob $blob, array $map): self
    {
        $samples = array_map(static fn (array $s): array => [$s[0], $s[1], max(0, $s[2])], $blob->samples($map));
        $upright = self::ball($blob, 0.0)->measured($samples);
        $leaning = self::ball($blob, $blob->leanDeg())->measured($samples);

        return $leaning->overlap > $upright->overlap + 0.02 ? $leaning : $upright;
    }

    /** How deep a felter would make it, in pixels: round shapes as deep as wide, plates thin (house choice). */
    public function depthPx(): float
    {
        return match ($this->kind) {
            ShapeKind::Plate => min(max(0.2 * min($this->widthPx, $this->heightPx), 1.0), 0.5 * min($this->widthPx, $this->heightPx)),
            default => min($this->widthPx, 1.15 * $this->heightPx),
        };
    }

    /** @throws ShapeRefused if the shape cannot be made */
    public function solid(): Solid
    {
        return Catalogue::solid($this->kind, Size::of($this->widthPx, $this->heightPx, $this->depthPx()), $this->options);
    }

    /** Its overlap, less what it must cover more than a ball to be worth its extra numbers (house choice). */
    private function score(): float
    {
        return $this->overlap - match ($this->kind) {
            ShapeKind::Ball => 0.0,
            ShapeKind::Sausage => 0.004,
            ShapeKind::Egg, ShapeKind::Drum => 0.012,
            ShapeKind::Cone => 0.015,
            default => 0.07,
        };
    }

    /** @param  list<array{float, float, int}>  $samples */
    private function measured(array $samples): self
    {
        $solid = $this->solid();
        [$c, $s] = [cos(deg2rad($this->turnDeg)), sin(deg2rad($this->turnDeg))];
        $both = $either = $hidden = 0;
        foreach ($samples as [$x, $y, $seen]) {
            [$dx, $dy] = [$x - $this->x, $y - $this->y];
            $inShape = ! is_nan($solid->frontMm($dx * $c + $dy * $s, $dy * $c - $dx * $s));
            if ($seen < 0) {
                $hidden += (int) $inShape;

                continue;
            }
            $both += (int) ($seen === 1 && $inShape);
            $either += (int) ($seen === 1 || $inShape);
        }
        // What is only guessed behind another region counts a little against the guess.
        $overlap = $both / max(1, $either) - self::HIDDEN_COST * $hidden / max(1, $both + $hidden);

        return new self($this->kind, $this->widthPx, $this->heightPx, $this->options, $this->x, $this->y, $this->turnDeg, $overlap);
    }

    /** @return iterable<self> */
    private static function candidates(Blob $blob, bool $partlyHidden): iterable
    {
        $lean = $blob->leanDeg();
        $leans = $blob->elongation() > 1.15 && min(abs($lean), 90 - abs($lean)) > 4 ? [0.0, $lean] : [0.0];
        foreach ($leans as $turn) {
            yield self::ball($blob, $turn);
            foreach (self::boxes($blob->box($turn), $turn, $partlyHidden) as [$w, $h, $x, $y]) {
                yield new self(ShapeKind::Ball, $w, $h, [], $x, $y, $turn, 0.0);
                yield new self(ShapeKind::Drum, $w, $h, [], $x, $y, $turn, 0.0);
                foreach ([-0.5, -0.25, 0.25, 0.5] as $taper) {
                    yield new self(ShapeKind::Egg, $w, $h, ['taper' => $taper], $x, $y, $turn, 0.0);
                }
                foreach ([0.0, 90.0, 180.0, -90.0] as $more) {
                    [$across, $along] = $more === 0.0 || $more === 180.0 ? [$w, $h] : [$h, $w];
                    yield new self(ShapeKind::Cone, $across, $along, [], $x, $y, self::angle($turn + $more), 0.0);
                    if ($along > 1.25 * $across && $more >= 0.0 && $more <= 90.0) {
                        yield new self(ShapeKind::Sausage, $across, $along, [], $x, $y, self::angle($turn + $more), 0.0);
                    }
                }
            }
        }
        [$w, $h, $x, $y] = $blob->box(0.0);
        $outline = self::outline($blob, max(1.0, 0.012 * max($w, $h)));
        if (count($outline) >= 3) {
            yield new self(ShapeKind::Plate, $w, $h, ['outline' => $outline], $x, $y, 0.0, 0.0);
        }
    }

    /**
     * A box, and where the blob may go on behind others, the box drawn out to each side.
     *
     * @param  array{float, float, float, float}  $box
     * @return iterable<array{float, float, float, float}>
     */
    private static function boxes(array $box, float $turnDeg, bool $drawnOut): iterable
    {
        yield $box;
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        foreach ($drawnOut ? self::DRAWN_OUT : [] as $share) {
            foreach ([[0, 1], [0, -1], [1, 0], [-1, 0]] as [$u, $v]) {
                [$w, $h] = [$box[0] * (1 + $share * abs($u)), $box[1] * (1 + $share * abs($v))];
                [$moveU, $moveV] = [$u * $share * $box[0] / 2, $v * $share * $box[1] / 2];
                yield [$w, $h, $box[2] + $moveU * $c - $moveV * $s, $box[3] + $moveU * $s + $moveV * $c];
            }
        }
    }

    /**
     * The blob's own outline in pixels, y up.
     *
     * @return list<array{float, float}>
     */
    public static function outline(Blob $blob, float $tolerancePx): array
    {
        return array_map(static fn (array $p): array => [$p[0], -$p[1]], Contour::rounded(Contour::of($blob->pixels, $blob->width, $tolerancePx)));
    }

    /** The oval with the blob's own area and spread. */
    private static function ball(Blob $blob, float $turnDeg): self
    {
        [$xx, $xy, $yy] = $blob->spread;
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
        $w = sqrt(max(1e-6, $xx * $c * $c + 2 * $xy * $c * $s + $yy * $s * $s));
        $h = sqrt(max(1e-6, $xx * $s * $s - 2 * $xy * $c * $s + $yy * $c * $c));
        $grow = sqrt($blob->area() / (M_PI * $w * $h));

        return new self(ShapeKind::Ball, 2 * $w * $grow, 2 * $h * $grow, [], $blob->middle[0], $blob->middle[1], $turnDeg, 0.0);
    }

    private static function angle(float $deg): float
    {
        return $deg > 180 ? $deg - 360 : ($deg <= -180 ? $deg + 360 : $deg);
    }
}
