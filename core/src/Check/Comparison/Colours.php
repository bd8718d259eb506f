<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Check\Photo\Photo;
use Impa\Check\Photo\PhotoPose;
use Impa\Colour\Light;
use Impa\Colour\Srgb;

/**
 * What colour each piece and detail of the plan, and the ground, has on a photo: medians over the places where it should be seen.
 * Immutable.
 */
final readonly class Colours
{
    private const STEP_MM = 0.6;

    /** So deep within a piece its colour is taken, less where it is too small for that. */
    private const MARGINS_MM = [2.0, 1.0, 0.4];

    private const LEAST_PLACES = 10;

    /** A detail of fewer places has the colour that is planned, in this light: it may not be where it should. */
    private const LARGE_PLACES = 60;

    /** Where so many of its places have about the planned colour, a piece has that: at the others something else is seen. */
    private const PLANNED = 0.3;

    /** Felt that lies nearer to the ground in colour than this may be taken for it, grey values; so much nearer is what is bare. */
    private const BARE = 30.0;

    private const BARE_SHARE = 0.33;

    /**
     * What is known of the light at one place before: by a quarter about what it is at the median, where the sensor scatters by six grey
     * values; the square of one by the other.
     */
    private const LIGHT = (6.0 / 0.25) ** 2;

    /** Colours are of other hues, whatever the light on them, from so far on, radians. */
    public const OTHER_HUE = 0.2;

    /** So far from half and half a pixel is one of both, within what light and noise do. */
    private const BEYOND = 0.75;

    /** A channel that is darker than this (linear light), or as full as it gets (grey values), tells nothing of the light. */
    private const BLACK = 0.03;

    private const FULL = 250.0;

    /**
     * @param  array<int, Rgb3>  $of  red, green, blue by label
     * @param  Rgb3  $gains  what the photo's light does to each channel of linear light (von Kries)
     * @param  array<int, true>  $elsewhere  labels at whose places what lies behind them is seen
     */
    private function __construct(public array $of, public array $gains, public array $elsewhere)
    {
    }

    public static function seen(Photo $photo, PhotoPose $pose, Expected $plan): self
    {
        $of = $pixels = $thin = $pieces = $elsewhere = [];
        foreach (self::MARGINS_MM as $margin) {
            foreach ($plan->within(self::STEP_MM, $margin) as $label => $places) {
                $least = $plan->layers[$label]->detail === null ? self::LEAST_PLACES : self::LARGE_PLACES;
                if (! isset($of[$label]) && count($places) >= $least) {
                    $pixels[$label] = self::pixels($photo, $pose, $places, $plan->towardsMm($label));
                    $of[$label] = self::median($pixels[$label]);
                    $thin += $margin < self::MARGINS_MM[0] ? [$label => true] : [];
                }
            }
        }
        $gains = self::gains($plan, $of);
        $ground = self::median(self::pixels($photo, $pose, self::beside($plan), 0.0));
        foreach ($plan->layers as $label => $layer) {
            $planned = self::inLight($layer->srgb, $gains);
            $of[$label] ??= $planned;
            if ($layer->detail === null && isset($pixels[$label])) {
                $of[$label] = self::about($pixels[$label], $of[$label], $planned);
            }
            // Where a detail or a thin piece should be, what bears it or lies behind it is seen: it lies elsewhere.
            $behind = match (true) {
                $layer->detail !== null => [$of[$plan->bearer($label)] ?? $planned],
                isset($thin[$label]) => array_intersect_key($of, $pieces),
                default => [],
            };
            $nearest = min([INF, ...array_map(static fn (array $other): float => self::away($of[$label], $other), $behind)]);
            $isGround = $layer->detail === null && self::isGround($of[$label], $planned, $ground);
            if ($isGround || $nearest < self::away($of[$label], $planned)) {
                $of[$label] = $planned;
                $elsewhere[$label] = true;
            }
            $pieces += $layer->detail === null ? [$label => true] : [];
        }
        $of[Expected::GROUND] = $ground;

        return new self($of, $gains, $elsewhere);
    }

    /**
     * Whether at a piece's place the bare ground is seen, of a colour that the piece could not have.
     *
     * @param  Rgb3  $seen
     * @param  Rgb3  $planned
     * @param  Rgb3  $ground
     */
    private static function isGround(array $seen, array $planned, array $ground): bool
    {
        return self::away($planned, $ground) > self::BARE && self::away($seen, $ground) < self::BARE_SHARE * self::away($seen, $planned);
    }

    /** How far two labels lie apart in colour, grey values; 0 where one is not known. */
    public function apart(int $one, int $two): float
    {
        if (! isset($this->of[$one], $this->of[$two])) {
            return 0.0;
        }
        [[$r, $g, $b], [$s, $h, $c]] = [$this->of[$one], $this->of[$two]];

        return sqrt(($r - $s) ** 2 + ($g - $h) ** 2 + ($b - $c) ** 2);
    }

    /** Whether two labels are of one hue, so that light alone tells them apart. */
    public function isOneHue(int $one, int $two): bool
    {
        return self::hues($this->of[$one], $this->of[$two]) < self::OTHER_HUE;
    }

    /**
     * How much of a pixel is one colour and how much another, whatever the light on it: the least squares of so much of each, whose sum is
     * the light and lies about 1. Where both are of one hue, lightness alone decides.
     *
     * @param  Rgb3  $pixel
     * @param  Rgb3  $one
     * @param  Rgb3  $two
     * @return array{float, float} the share of the first, and how far off the pixel is neither, as a share of how far both lie apart
     */
    public static function between(array $pixel, array $one, array $two): array
    {
        $dot = static fn (array $a, array $b): float => $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2];
        [$oo, $tt, $ot] = [$dot($one, $one) + self::LIGHT, $dot($two, $two) + self::LIGHT, $dot($one, $two) + self::LIGHT];
        [$po, $pt] = [$dot($pixel, $one) + self::LIGHT, $dot($pixel, $two) + self::LIGHT];
        $det = $oo * $tt - $ot * $ot;
        if ($det < 1e-6) {
            return [0.5, INF];
        }
        $a = ($po * $tt - $pt * $ot) / $det;
        $b = ($pt * $oo - $po * $ot) / $det;
        $light = max(0.05, $a + $b);
        $off = $apart = 0.0;
        foreach ([0, 1, 2] as $c) {
            $off += ($pixel[$c] - $a * $one[$c] - $b * $two[$c]) ** 2;
            $apart += ($one[$c] - $two[$c]) ** 2;
        }

        $share = $a / $light;

        // Less than nothing of one and more than all of the other is a third hue.
        return [$share, max(sqrt($off / max(1e-6, $apart)), abs($share - 0.5) - self::BEYOND)];
    }

    /**
     * How far two colours lie apart whatever the light on either: the angle between them, radians.
     *
     * @param  Rgb3  $one
     * @param  Rgb3  $two
     */
    public static function hues(array $one, array $two): float
    {
        $length = sqrt(($one[0] ** 2 + $one[1] ** 2 + $one[2] ** 2) * ($two[0] ** 2 + $two[1] ** 2 + $two[2] ** 2));

        return $length < 1e-6 ? 0.0 : acos(min(1.0, ($one[0] * $two[0] + $one[1] * $two[1] + $one[2] * $two[2]) / $length));
    }

    /**
     * How far a pixel lies from a colour, whatever the light on it, grey values.
     *
     * @param  Rgb3  $pixel
     * @param  Rgb3  $colour
     */
    public static function away(array $pixel, array $colour): float
    {
        $pc = $pixel[0] * $colour[0] + $pixel[1] * $colour[1] + $pixel[2] * $colour[2];
        $cc = $colour[0] ** 2 + $colour[1] ** 2 + $colour[2] ** 2;
        $light = ($pc + self::LIGHT) / ($cc + self::LIGHT);
        $square = self::LIGHT * ($light - 1) ** 2;
        foreach ([0, 1, 2] as $c) {
            $square += ($pixel[$c] - $light * $colour[$c]) ** 2;
        }

        return sqrt($square);
    }

    /**
     * Medians of what is seen by what is planned, over all pieces.
     *
     * @param  array<int, Rgb3>  $of
     * @return Rgb3
     */
    private static function gains(Expected $plan, array $of): array
    {
        $ratios = [[], [], []];
        foreach ($plan->layers as $label => $layer) {
            if ($layer->detail !== null || ! isset($of[$label])) {
                continue;
            }
            $seen = self::linear(self::srgb($of[$label]));
            foreach (self::linear($layer->srgb) as $c => $planned) {
                if ($planned > self::BLACK && $of[$label][$c] < self::FULL) {
                    $ratios[$c][] = $seen[$c] / $planned;
                }
            }
        }
        $gains = [];
        foreach ($ratios as $list) {
            sort($list);
            $gains[] = $list === [] ? 1.0 : max(0.05, $list[intdiv(count($list), 2)]);
        }

        return [$gains[0], $gains[1], $gains[2]];
    }

    /**
     * @param  Rgb3  $gains
     * @return Rgb3 a colour as it is seen in this light, 0 to 255
     */
    private static function inLight(Srgb $srgb, array $gains): array
    {
        [$r, $g, $b] = self::linear($srgb);
        $seen = Light::of(min(1.0, $r * $gains[0]), min(1.0, $g * $gains[1]), min(1.0, $b * $gains[2]))->srgb();

        return [(float) $seen->red, (float) $seen->green, (float) $seen->blue];
    }

    /** @return Rgb3 */
    public static function linear(Srgb $srgb): array
    {
        $light = $srgb->light();

        return [$light->red, $light->green, $light->blue];
    }

    /** @param  Rgb3  $rgb  0 to 255 */
    public static function srgb(array $rgb): Srgb
    {
        $byte = static fn (float $c): int => (int) max(0, min(255, round($c)));

        return Srgb::of($byte($rgb[0]), $byte($rgb[1]), $byte($rgb[2]));
    }

    /** @return list<array{float, float}> places of the ground round the figure */
    private static function beside(Expected $plan): array
    {
        $places = [];
        [$x, $y] = $plan->box->middle();
        [$w, $h] = [0.56 * $plan->box->width() + 4, 0.56 * $plan->box->height() + 4];
        for ($k = 0; $k < 120; $k++) {
            $places[] = [$x + $w * cos($k * M_PI / 60), $y + $h * sin($k * M_PI / 60)];
        }

        return array_values(array_filter($places, static fn (array $p): bool => $plan->label(...$p) === Expected::GROUND));
    }

    /**
     * @param  list<array{float, float}>  $places
     * @return list<Rgb3> what is seen at those that are on the photo
     */
    private static function pixels(Photo $photo, PhotoPose $pose, array $places, float $towardsMm): array
    {
        $pixels = [];
        foreach ($places as [$x, $y]) {
            $pixel = $photo->at(...$pose->at($x, $y, $towardsMm));
            if (! is_nan($pixel[0])) {
                $pixels[] = $pixel;
            }
        }

        return $pixels;
    }

    /**
     * The colour of a piece of which something else is seen at many of its places, because it lies otherwise than planned.
     *
     * @param  list<Rgb3>  $pixels
     * @param  Rgb3  $seen  at the median of them
     * @param  Rgb3  $planned
     * @return Rgb3
     */
    private static function about(array $pixels, array $seen, array $planned): array
    {
        $near = [];
        foreach (self::hues($seen, $planned) < self::OTHER_HUE ? [] : $pixels as $pixel) {
            if (self::away($pixel, $planned) < self::away($pixel, $seen)) {
                $near[] = $pixel;
            }
        }

        return count($near) >= self::PLANNED * count($pixels) ? self::median($near) : $seen;
    }

    /**
     * @param  list<Rgb3>  $pixels
     * @return Rgb3
     */
    private static function median(array $pixels): array
    {
        $median = [];
        foreach ([0, 1, 2] as $c) {
            $values = array_column($pixels, $c);
            sort($values);
            $median[] = $values === [] ? 255.0 : $values[intdiv(count($values), 2)];
        }

        return [$median[0], $median[1], $median[2]];
    }
}
