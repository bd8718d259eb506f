<?php

declare(strict_types=1);

namespace Impa\Seeing\Foreground;

use Impa\Colour\Lab;
use Impa\Colour\LabTable;
use Impa\Raster\File\PictureRefused;
use Impa\Raster\Raster;
use Impa\Voice\Message;

/** Tells figure from background: by transparency, or by the plain colour that reaches in from the border. Immutable. */
final readonly class Background
{
    /** Alpha (0 opaque to 127 clear) from which a pixel is seen through. */
    private const CLEAR = 64;

    /**
     * Up to so much alpha a pixel is all but opaque. What is more than this and not clear is a halo where there is so much more of it
     * than a smoothed rim has, but less than of the figure.
     */
    private const NEARLY_OPAQUE = 12;

    private const HALO = 2.0;

    /** Glass is evenly seen through: so many pixels to either side by as much, give or take so much alpha. */
    private const BESIDE_PX = 4;

    private const EVEN = 2;

    /**
     * From background to background, a soft shadow or an even gradient changes by so little from pixel to pixel (squared, in
     * Lab); a shadow keeps the background's hue and is darker by so much at most.
     */
    private const SOFT_STEP = 2.2 ** 2;

    private const SHADOW_HUE = 7.0 ** 2;

    private const SHADOW_DARK = 45.0;

    /** A sheet's border is plain along this share of it at least; it is looked for so far within the picture, as shares of its side. */
    private const SHEET = 0.9;

    private const WITHIN = [0.06, 0.12, 0.18];

    /** Of a sheet that does not lie all within, so much of the border shows it. */
    private const SHOWS = 0.2;

    /** One that does is so light (L), and so much lighter than the table. */
    private const PALE = 80.0;

    private const PALER = 12.0;

    /** What may belong to the figure is asked about from such a share of it. */
    private const UNSURE = 0.02;

    /** Share of border pixels that must be plain for the background to be trusted. */
    private const PLAIN = 0.6;

    /**
     * @param  list<bool>  $figure  per pixel, whether it belongs to the figure
     * @param  list<Message>  $notices
     * @param  ?Lab  $colour  of a plain background; none where it is clear
     * @param  array<int, true>  $unsure  pixels that may belong to the figure: what may be no shadow, no halo, or what an open outline may
     *     have been meant to enclose
     * @param  bool  $keepsUnsure  whether they do
     */
    private function __construct(
        public array $figure,
        public int $count,
        public array $notices,
        public ?Lab $colour,
        public array $unsure,
        public bool $keepsUnsure = false,
    ) {
    }

    /**
     * @param  list<BrushStroke>  $strokes  what the felter says of it
     * @param  bool  $keepsUnsure  whether what may belong to the figure does
     *
     * @throws PictureRefused if nothing stands out
     */
    public static function of(Raster $raster, array $strokes = [], bool $keepsUnsure = false): self
    {
        $border = self::border($raster);
        $left = [];
        $clear = count(array_filter($border, static fn (int $i): bool => $raster->pixels[$i] >> 24 > self::CLEAR));
        $notices = [];
        if ($clear > 0.02 * count($border)) {
            $isHaloed = self::isHaloed($raster);
            $clear = $isHaloed ? self::NEARLY_OPAQUE : self::CLEAR;
            $figure = array_map(static fn (int $p): bool => $p >> 24 <= $clear, $raster->pixels);
            $colour = null;
            if ($isHaloed) {
                $left = self::halo($raster);
                $notices[] = Message::of('seeing.background.a-halo-round');
            }
        } else {
            [$figure, $paper, $left] = self::flooded($raster, $border);
            $colour = $paper->colour();
            if ($paper->share < self::PLAIN) {
                $notices[] =
                    Message::of('seeing.background.the-background-is-not');
            }
        }
        $whole = $left === [] ? [] : Brushwork::over($raster, array_values(array_replace($figure, $left)), $strokes);
        $figure = Brushwork::over($raster, $figure, $strokes);
        $unsure = array_filter($whole, static fn (bool $in, int $i): bool => $in && ! $figure[$i], ARRAY_FILTER_USE_BOTH);
        $count = count(array_filter($figure));
        if ($count < 12) {
            throw PictureRefused::nothingDrawn();
        }
        $touching = count(array_filter($border, static fn (int $i): bool => $figure[$i]));
        if ($touching > 0.02 * count($border)) {
            $notices[] = Message::of('seeing.background.the-figure-touches');
        }
        $ground = new self($figure, $count, $notices, $colour, $unsure);

        return $keepsUnsure ? $ground->otherwise() : $ground;
    }

    /** Whether so much may belong to the figure, or not, that the felter is asked. */
    public function isUnsure(): bool
    {
        return count($this->unsure) >= self::UNSURE * ($this->keepsUnsure ? $this->count - count($this->unsure) : $this->count);
    }

    /** The other reading: what may belong to the figure does, or no longer does. */
    public function otherwise(): self
    {
        $figure = array_values(array_replace($this->figure, array_fill_keys(array_keys($this->unsure), ! $this->keepsUnsure)));

        return new self(
            $figure,
            count(array_filter($figure)),
            $this->notices,
            $this->colour,
            $this->unsure,
            ! $this->keepsUnsure,
        );
    }

    private static function isHaloed(Raster $raster): bool
    {
        $opaque = $half = $rim = 0;
        foreach ($raster->pixels as $i => $pixel) {
            $alpha = $pixel >> 24;
            if ($alpha <= self::NEARLY_OPAQUE) {
                $opaque++;
                foreach ([$i - 1, $i + 1, $i - $raster->width, $i + $raster->width] as $j) {
                    $rim += (int) (($raster->pixels[$j] ?? 0) >> 24 > self::NEARLY_OPAQUE);
                }
            } else {
                $half += (int) ($alpha <= self::CLEAR);
            }
        }

        return $half > self::HALO * $rim && $half < $opaque;
    }

    /** @return array<int, true> what is half seen through, where most of it is evenly so, as glass is and no halo */
    private static function halo(Raster $raster): array
    {
        $halo = [];
        $even = 0;
        $alpha = static fn (int $i): int => ($raster->pixels[$i] ?? 0x7F000000) >> 24;
        foreach ($raster->pixels as $i => $pixel) {
            $own = $pixel >> 24;
            if ($own > self::NEARLY_OPAQUE && $own <= self::CLEAR) {
                $halo[$i] = true;
                $steps = [-self::BESIDE_PX, self::BESIDE_PX, -self::BESIDE_PX * $raster->width, self::BESIDE_PX * $raster->width];
                $far = array_map(static fn (int $step): int => abs($alpha($i + $step) - $own), $steps);
                $even += (int) (max($far) <= self::EVEN);
            }
        }

        return 2 * $even > count($halo) ? $halo : [];
    }

    /**
     * The same ground with all but some pixels taken for background.
     *
     * @param  list<bool>  $kept
     */
    public function within(array $kept): self
    {
        $figure = array_map(static fn (bool $in, bool $keep): bool => $in && $keep, $this->figure, $kept);

        return new self(
            $figure,
            count(array_filter($figure)),
            $this->notices,
            $this->colour,
            array_intersect_key($this->unsure, array_filter($kept)),
            $this->keepsUnsure,
        );
    }

    /** The same ground in a mirror. */
    public function mirrored(int $width): self
    {
        return new self(
            array_merge(...array_map(array_reverse(...), array_chunk($this->figure, max(1, $width)))),
            $this->count,
            $this->notices,
            $this->colour,
            array_fill_keys(
                array_map(static fn (int $i): int => $i - 2 * ($i % $width) + $width - 1, array_keys($this->unsure)),
                true,
            ),
            $this->keepsUnsure,
        );
    }

    /** @return list<int> the pixels along a picture's border, or along a frame so many pixels within it */
    private static function border(Raster $raster, int $within = 0): array
    {
        $border = [];
        [$right, $bottom] = [$raster->width - 1 - $within, $raster->height - 1 - $within];
        for ($x = $within; $x <= $right; $x++) {
            array_push($border, $within * $raster->width + $x, $bottom * $raster->width + $x);
        }
        for ($y = $within + 1; $y < $bottom; $y++) {
            array_push($border, $y * $raster->width + $within, $y * $raster->width + $right);
        }

        return $border;
    }

    /**
     * The paper as the border shows it. But where that is not plain, or dark, it may show a table beyond the sheet: then the paper is the
     * plain colour of a frame within, if some of the border has it too, or if it is pale and much lighter than all the border.
     *
     * @param  list<int>  $border
     */
    private static function paper(Raster $raster, array $border): PaperSurface
    {
        $paper = PaperSurface::of($raster, $border);
        $light = array_sum(array_map(static fn (int $i): float => LabTable::of($raster->pixels[$i])[0], $border)) / count($border);
        $isPlain = $paper->isPlain() && $paper->share >= self::SHEET;
        foreach ($isPlain && $light > 100.0 - self::PALER ? [] : self::WITHIN as $share) {
            $inner = PaperSurface::of($raster, self::border($raster, (int) ($share * min($raster->width, $raster->height))));
            if (! $inner->isPlain() || $inner->share < self::SHEET) {
                continue;
            }
            $isOn = static fn (int $i): bool => $inner->isPaper(LabTable::squared(LabTable::of($raster->pixels[$i]), $inner->at($i)));
            $alike = count(array_filter($border, $isOn));
            $isPaler = $inner->colour()->l > max(self::PALE, $light + self::PALER);
            if ($isPaler || (! $isPlain && $alike >= self::SHOWS * count($border))) {
                return $inner;
            }
        }

        return $paper;
    }

    /**
     * @param  list<int>  $border
     * @return array{list<bool>, PaperSurface, array<int, true>} the mask; and what was left out and may belong to it
     */
    private static function flooded(Raster $raster, array $border): array
    {
        $paper = self::paper($raster, $border);
        $off = $paper->off($raster);
        $isPaper = array_map($paper->isPaper(...), $off);
        $isPaper = self::also(PaperLines::of($isPaper, $raster->width), $isPaper);
        $isPaper = self::also(SheetEdge::beyond($isPaper, $raster->width), $isPaper);
        $figure = array_fill(0, count($isPaper), true);
        $soft = $open = [];
        foreach ($border as $i) {
            if ($isPaper[$i]) {
                $figure[$i] = false;
                $open[] = $i;
            }
        }
        while ($open !== []) {
            $i = array_pop($open);
            $x = $i % $raster->width;
            foreach (
                [$x > 0 ? $i - 1 : -1, $x < $raster->width - 1 ? $i + 1 : -1, $i - $raster->width, $i + $raster->width] as $j
            ) {
                if ($j < 0 || ! ($figure[$j] ?? false)) {
                    continue;
                }
                if ($isPaper[$j] || self::isSoft($raster->pixels[$i], $raster->pixels[$j], $paper->at($j))) {
                    $figure[$j] = false;
                    $open[] = $j;
                    if (! $isPaper[$j]) {
                        $soft[$j] = true;
                    }
                }
            }
        }
        $figure = array_replace($figure, CastShadow::drawn($soft, $raster, $isPaper));

        foreach ($paper->isPlain() ? [] : PaleBodies::of($raster, $paper, $off) as $body) {
            $figure = array_replace($figure, $body);
        }
        $figure = array_values($figure);
        [$closed, $left] = OpenOutlines::of($raster, $paper, $isPaper, $figure);
        $shadow = array_filter($soft, static fn (bool $is, int $i): bool => ! $figure[$i], ARRAY_FILTER_USE_BOTH);

        return [array_values(array_replace($figure, $closed)), $paper, $left + CastShadow::doubtful($shadow, $raster, $isPaper)];
    }

    /**
     * @param  array<int, true>  $more
     * @param  list<bool>  $isPaper
     * @return list<bool>
     */
    private static function also(array $more, array $isPaper): array
    {
        foreach ($more as $pixel => $_) {
            $isPaper[$pixel] = true;
        }

        return array_values($isPaper);
    }

    /**
     * Whether the background goes on from one pixel to its neighbour as a soft shadow.
     *
     * @param  Lab3  $paper
     */
    private static function isSoft(int $from, int $to, array $paper): bool
    {
        $lab = LabTable::of($to);

        return LabTable::squared(LabTable::of($from), $lab) < self::SOFT_STEP &&
            ($lab[1] - $paper[1]) ** 2 + ($lab[2] - $paper[2]) ** 2 < self::SHADOW_HUE &&
            $lab[0] < $paper[0] &&
            $lab[0] > $paper[0] - self::SHADOW_DARK;
    }
}
