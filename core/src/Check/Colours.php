<?php

declare(strict_types=1);

namespace Impa\Check;

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

    /** A channel darker than this (linear light) tells nothing of the light. */
    private const BLACK = 0.03;

    /**
     * @param  array<int, array{float, float, float}>  $of  red, green, blue by label
     * @param  array{float, float, float}  $gains  what the photo's light does to each channel of linear light (von Kries)
     */
    private function __construct(public array $of, public array $gains)
    {
    }

    public static function seen(Photo $photo, Pose $pose, Expected $plan): self
    {
        $of = [];
        foreach (self::MARGINS_MM as $margin) {
            foreach ($plan->within(self::STEP_MM, $margin) as $label => $places) {
                $least = $plan->layers[$label]->detail === null ? self::LEAST_PLACES : self::LARGE_PLACES;
                if (! isset($of[$label]) && count($places) >= $least) {
                    $of[$label] = self::median($photo, $pose, $places, $plan->towardsMm($label));
                }
            }
        }
        $gains = self::gains($plan, $of);
        foreach ($plan->layers as $label => $layer) {
            $of[$label] ??= self::inLight($layer->srgb, $gains);
        }
        $of[Expected::GROUND] = self::median($photo, $pose, self::beside($plan), 0.0);

        return new self($of, $gains);
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

    /**
     * Medians of what is seen by what is planned, over all pieces.
     *
     * @param  array<int, array{float, float, float}>  $of
     * @return array{float, float, float}
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
                if ($planned > self::BLACK) {
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
     * @param  array{float, float, float}  $gains
     * @return array{float, float, float} a colour as it is seen in this light, 0 to 255
     */
    private static function inLight(Srgb $srgb, array $gains): array
    {
        [$r, $g, $b] = self::linear($srgb);
        $seen = Light::of(min(1.0, $r * $gains[0]), min(1.0, $g * $gains[1]), min(1.0, $b * $gains[2]))->srgb();

        return [(float) $seen->red, (float) $seen->green, (float) $seen->blue];
    }

    /** @return array{float, float, float} */
    public static function linear(Srgb $srgb): array
    {
        $light = $srgb->light();

        return [$light->red, $light->green, $light->blue];
    }

    /** @param  array{float, float, float}  $rgb  0 to 255 */
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
     * @return array{float, float, float}
     */
    private static function median(Photo $photo, Pose $pose, array $places, float $towardsMm): array
    {
        $channels = [[], [], []];
        foreach ($places as [$x, $y]) {
            $colour = $photo->at(...$pose->at($x, $y, $towardsMm));
            if (! is_nan($colour[0])) {
                foreach ($colour as $c => $value) {
                    $channels[$c][] = $value;
                }
            }
        }
        $median = [];
        foreach ($channels as $values) {
            sort($values);
            $median[] = $values === [] ? 255.0 : $values[intdiv(count($values), 2)];
        }

        return [$median[0], $median[1], $median[2]];
    }
}
