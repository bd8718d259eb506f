<?php

declare(strict_types=1);

namespace Impa\Render\Bench;

use GdImage;
use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;
use Impa\Render\FlatArea;
use Impa\Render\RenderRefused;
use Impa\Render\View;
use Random\Engine\Mt19937;
use Random\Randomizer;
use RuntimeException;

/**
 * The stand-in for a camera over the bench: photographs a figure, or another one as if it had been made for it, with everything that
 * spoils real photos, by seed: a camera held askew, its lens, fuzz, light that falls off, blur and noise.
 */
final class BenchCamera
{
    /** Of the picture the figure fills so much at most; with a marker sheet, the marks do. */
    private const FILLS = 0.72;

    private const MARKS_FILL = 0.88;

    /** How far the camera is held askew at most: in the picture's plane, and out of it; its distance, mm. */
    private const TILT_DEG = 3.0;

    private const LEAN_DEG = 4.0;

    private const AWAY_MM = [500.0, 900.0];

    /** Barrel or cushion of the lens, at the corner of the picture. */
    private const LENS = 0.012;

    /** Fuzz at the rim of wool, sigma and how far it stays alike along the rim, mm. */
    private const FUZZ_MM = 0.18;

    private const ALIKE_MM = 0.5;

    private const MOST_PLACES = 2500;

    /** Light at the darkest corner against the brightest, at the least; how warm or cold, per channel. */
    private const FALLS_TO = 0.72;

    private const WARM = 0.06;

    /** Noise of the sensor, sigma in grey values. */
    private const NOISE = 4.0;

    private Randomizer $random;

    private float $tilt;

    private float $nod;

    private float $pan;

    private float $lens;

    private float $away;

    private function __construct(
        private int $width,
        private int $height,
        private float $pxPerMm,
        private Box $box,
        int $seed,
    ) {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->tilt = deg2rad($this->between(-self::TILT_DEG, self::TILT_DEG));
        $this->nod = deg2rad($this->between(-self::LEAN_DEG, self::LEAN_DEG));
        $this->pan = deg2rad($this->between(-self::LEAN_DEG, self::LEAN_DEG));
        $this->lens = $this->between(-self::LENS, self::LENS);
        $this->away = $this->between(...self::AWAY_MM);
    }

    /**
     * @param  Figure  $plan  what was to be made: the camera is set up for it
     * @param  Figure  $made  what stands there
     * @param  int  $px  the longer side of the picture
     * @param  ?BenchLight  $light  what the bench is like; even light on paper where that is not said
     * @return string PNG
     *
     * @throws RenderRefused if px is not 200 to 2400
     */
    public static function png(
        Figure $plan,
        Figure $made,
        View $view,
        int $seed = 1,
        bool $hasMarker = false,
        int $px = 1600,
        ?BenchLight $light = null,
    ): string {
        if ($px < 200 || $px > 2400) {
            throw RenderRefused::photoSizeOutOfRange($px);
        }
        $layers = FlatArea::all($plan, $view->side());
        $box = Box::around(array_merge(...array_map(static fn (FlatArea $layer): array => $layer->loops[0], $layers)));
        $short = (int) round($px * 3 / 4);
        $marker = MarkerSheet::for($box);
        // What is higher than wide is photographed upright.
        $isUpright = $hasMarker || $box->height() > $box->width();
        [$width, $height] = $isUpright ? [$short, $px] : [$px, $short];
        $pxPerMm = $hasMarker
            ? self::MARKS_FILL * min(
                $width / ($marker->wideMm + MarkerSheet::ACROSS_MM),
                $height / ($marker->highMm + MarkerSheet::ACROSS_MM),
            )
            : self::FILLS * min($width / $box->width(), $height / $box->height());
        $camera = new self($width, $height, $pxPerMm, $box, $seed);
        $bench = $light === null ? null : new BenchScene($light, $seed);
        $image = $camera->ground($hasMarker ? $marker : null, $bench);
        $back = FlatArea::backMm($made, $view->side());
        $layers = FlatArea::all($made, $view->side());
        foreach ($layers as $layer) {
            $camera->lay($image, $layer, $layer->towardsMm($view->side()) - $back);
        }
        if ($bench !== null) {
            $pieces = array_values(array_filter($layers, static fn (FlatArea $layer): bool => $layer->detail === null));
            $bench->shade($image, $pieces, $view->side(), $back, $camera->seen(...), $camera->from(...));
            $bench->interfere($image, $pieces, $view->side(), $back, $camera->seen(...));
        }
        for ($i = 0; $i <= ($light->blur ?? 0); $i++) {
            imagefilter($image, IMG_FILTER_GAUSSIAN_BLUR);
        }
        $camera->light($image);
        ob_start();
        imagepng($image, null, 1);

        return (string) ob_get_clean();
    }

    private function ground(?MarkerSheet $marker, ?BenchScene $bench): GdImage
    {
        $image = imagecreatetruecolor(max(1, $this->width), max(1, $this->height));
        if ($image === false) {
            throw new RuntimeException('There is not enough memory for a photo of this size.');
        }
        imageantialias($image, true);
        $grey = (int) $this->between(214, 240);
        $paper = Srgb::of($grey, $grey, $grey - 6);
        imagefill($image, 0, 0, self::colour($image, $paper));
        $bench?->lay($image, $this->pxPerMm);
        if ($marker === null) {
            return $image;
        }
        [$x, $y] = $this->box->middle();
        foreach ($marker->marks() as $i => [$u, $v]) {
            $this->fill($image, self::circle($x + $u, $y + $v, MarkerSheet::ACROSS_MM / 2), Srgb::of(24, 22, 22));
            if ($i === 3) {
                $this->fill($image, self::circle($x + $u, $y + $v, MarkerSheet::HOLE_MM / 2), $paper);
            }
        }
        foreach (self::foot($marker) as [$left, $low, $wide, $high]) {
            [$left, $low] = [$x + $left, $y + $low];
            $box = [[$left, $low], [$left + $wide, $low], [$left + $wide, $low + $high], [$left, $low + $high]];
            $this->fill($image, $box, Srgb::of(60, 46, 36));
        }

        return $image;
    }

    /**
     * What is printed at the foot of the sheet: a line of words, and a ruler.
     *
     * @return list<array{float, float, float, float}> left, low, width and height, from the middle of the sheet, mm
     */
    private static function foot(MarkerSheet $marker): array
    {
        $print = [];
        for ($i = 0; $i < 70; $i++) {
            $print[] = [-95.0 + 1.9 * $i, -$marker->highMm / 2 - 27.5, $i % 6 === 5 ? 0.0 : 1.3, 2.4];
        }
        for ($mm = 0; $mm <= 100; $mm++) {
            $print[] = [-95.0 + $mm, -$marker->highMm / 2 - 31.5, 0.2, $mm % 10 === 0 ? 5.0 : 2.0];
        }
        $print[] = [-95.0, -$marker->highMm / 2 - 31.5, 100.0, 0.2];

        return $print;
    }

    /** @param  float  $towardsMm  how far it lies above the bench */
    private function lay(GdImage $image, FlatArea $layer, float $towardsMm): void
    {
        $loops = array_map(fn (array $loop): array => $this->fuzzed($loop, $layer->detail === null ? 1.0 : 0.4), $layer->loops);
        $this->fill($image, array_merge(...array_map(
            // A hole is reached over a bridge of no width and filled by the even-odd rule.
            static fn (array $loop): array => $loop === $loops[0] ? [...$loop, $loop[0]] : [...$loop, $loop[0], $loops[0][0]],
            $loops,
        )), $layer->srgb, $towardsMm);
    }

    /**
     * @param  list<array{float, float}>  $loop
     * @return list<array{float, float}> the same with a place every so often, each a little off
     */
    private function fuzzed(array $loop, float $share): array
    {
        $fuzzed = [];
        $n = count($loop);
        $off = [0.0, 0.0];
        // Of a large figure no finer than the picture tells, of a long rim not at more places than can be filled soon.
        $every = max(self::ALIKE_MM, 1 / $this->pxPerMm, Polygon::perimeter($loop) / self::MOST_PLACES);
        for ($i = 0; $i < $n; $i++) {
            [$a, $b] = [$loop[$i], $loop[($i + 1) % $n]];
            $steps = max(1, (int) ceil(hypot($b[0] - $a[0], $b[1] - $a[1]) / $every));
            for ($k = 0; $k < $steps; $k++) {
                $t = $k / $steps;
                // Fibres stand alike beside each other: an autoregressive walk (AR(1)).
                $off = [0.5 * $off[0] + $share * self::FUZZ_MM * $this->normal(), 0.5 * $off[1] + $share * self::FUZZ_MM * $this->normal()];
                $fuzzed[] = [$a[0] + $t * ($b[0] - $a[0]) + $off[0], $a[1] + $t * ($b[1] - $a[1]) + $off[1]];
            }
        }

        return $fuzzed;
    }

    /** @return list<array{float, float}> */
    private static function circle(float $x, float $y, float $r): array
    {
        return array_map(
            static fn (int $k): array => [$x + $r * cos($k * M_PI / 24), $y + $r * sin($k * M_PI / 24)],
            range(0, 47),
        );
    }

    /** @param  list<array{float, float}>  $points  in mm of the figure */
    private function fill(GdImage $image, array $points, Srgb $srgb, float $towardsMm = 0.0): void
    {
        $flat = [];
        foreach ($points as [$x, $y]) {
            [$px, $py] = $this->seen($x, $y, $towardsMm);
            array_push($flat, (int) round($px), (int) round($py));
        }
        if (count($flat) >= 6) {
            imagefilledpolygon($image, $flat, self::colour($image, $srgb));
        }
    }

    private static function colour(GdImage $image, Srgb $srgb): int
    {
        return (int) imagecolorallocate($image, $srgb->red, $srgb->green, $srgb->blue);
    }

    /** @return array{float, float} the pixel where a place so far above the bench is seen */
    private function seen(float $x, float $y, float $towardsMm): array
    {
        [$mx, $my] = $this->box->middle();
        [$x, $y] = [$x - $mx, $my - $y];
        [$x, $y] = [$x * cos($this->tilt) - $y * sin($this->tilt), $x * sin($this->tilt) + $y * cos($this->tilt)];
        // A pinhole that looks at the bench from above, leaning.
        $far = $x * sin($this->pan) + $y * sin($this->nod) - $towardsMm * cos($this->pan) * cos($this->nod);
        $by = $this->pxPerMm / (1 + $far / $this->away);
        [$x, $y] = [
            ($x * cos($this->pan) + $towardsMm * sin($this->pan)) * $by,
            ($y * cos($this->nod) + $towardsMm * sin($this->nod)) * $by,
        ];
        $corner = hypot($this->width, $this->height) / 2;
        $bend = 1 + $this->lens * ($x ** 2 + $y ** 2) / $corner ** 2;

        return [$this->width / 2 + $x * $bend, $this->height / 2 + $y * $bend];
    }

    /** @return array{float, float} about where in the figure a pixel lies, mm: without the lens and the leaning */
    private function from(float $px, float $py): array
    {
        [$mx, $my] = $this->box->middle();
        [$x, $y] = [($px - $this->width / 2) / $this->pxPerMm, ($py - $this->height / 2) / $this->pxPerMm];
        [$x, $y] = [$x * cos($this->tilt) + $y * sin($this->tilt), $y * cos($this->tilt) - $x * sin($this->tilt)];

        return [$mx + $x, $my - $y];
    }

    private function light(GdImage $image): void
    {
        $warm = $this->between(-self::WARM, self::WARM);
        $gains = [1 + $warm, 1.0, 1 - $warm];
        $angle = $this->between(0.0, 2 * M_PI);
        $falls = $this->between(self::FALLS_TO, 1.0);
        $corner = hypot($this->width, $this->height) / 2;
        $noise = [];
        for ($i = 0; $i < 4096; $i++) {
            $noise[] = self::NOISE * $this->normal();
        }
        // Along a row the light falls off by the same from pixel to pixel: this runs for every pixel of a photo.
        [$step, $down] = [(1 - $falls) * 0.5 * cos($angle) / $corner, (1 - $falls) * 0.5 * sin($angle) / $corner];
        [$red, $blue, $width] = [$gains[0], $gains[2], $this->width];
        for ($y = 0; $y < $this->height; $y++) {
            $n = $this->random->getInt(0, 4095);
            $bright = 0.96 - (1 - $falls) * 0.5 + $step * $width / 2 - $down * ($y - $this->height / 2);
            for ($x = 0; $x < $width; $x++, $n += 3, $bright -= $step) {
                $c = imagecolorat($image, $x, $y);
                $r = (int) (($c >> 16 & 255) * $bright * $red + $noise[$n & 4095]);
                $g = (int) (($c >> 8 & 255) * $bright + $noise[$n + 1 & 4095]);
                $b = (int) (($c & 255) * $bright * $blue + $noise[$n + 2 & 4095]);
                $r = $r < 0 ? 0 : ($r > 255 ? 255 : $r);
                $g = $g < 0 ? 0 : ($g > 255 ? 255 : $g);
                $b = $b < 0 ? 0 : ($b > 255 ? 255 : $b);
                imagesetpixel($image, $x, $y, $r << 16 | $g << 8 | $b);
            }
        }
    }

    private function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->random->getInt(0, 1_000_000) / 1_000_000;
    }

    /** A standard normal number (Box and Muller 1958). */
    private function normal(): float
    {
        $u = ($this->random->getInt(0, 999_999) + 1) / 1_000_001;

        return sqrt(-2 * log($u)) * cos(2 * M_PI * $this->random->getInt(0, 999_999) / 1_000_000);
    }
}
