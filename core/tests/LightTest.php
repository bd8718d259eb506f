<?php

declare(strict_types=1);

namespace Impa\Tests\Light;

use Impa\Check\Colours;
use Impa\Check\Expected;
use Impa\Check\Ground;
use Impa\Check\Photo;
use Impa\Check\PhotoCheck;
use Impa\Check\PhotoRefused;
use Impa\Check\Rim;
use Impa\Check\Seen;
use Impa\Figure\Figure;
use Impa\Figure\Side;
use Impa\Render\BenchCamera;
use Impa\Render\BenchLight;
use Impa\Render\RenderRefused;
use Impa\Render\View;
use Impa\Tests\Support\Works;
use stdClass;

/** A photo of the demo's figure in a light, smaller than a real one. */
function lit(string $name, string $kind, int $seed, bool $hasMarker = false, ?Figure $made = null): string
{
    $plan = Works::demo($name);

    return BenchCamera::png($plan, $made ?? $plan, View::Front, $seed, $hasMarker, 1200, BenchLight::of($kind, $seed));
}

/** @return array<string, mixed> */
function checkedIn(string $name, string $kind, int $seed, bool $hasMarker = false, ?Figure $made = null): array
{
    return PhotoCheck::of(Works::demo($name), lit($name, $kind, $seed, $hasMarker, $made), View::Front)->document();
}

function grey(string $png, float $acrossShare, float $downShare): float
{
    $image = imagecreatefromstring($png);
    $sum = 0.0;
    foreach ([-4, 0, 4] as $dx) {
        foreach ([-4, 0, 4] as $dy) {
            $c = imagecolorat($image, (int) ($acrossShare * imagesx($image)) + $dx, (int) ($downShare * imagesy($image)) + $dy);
            $sum += (($c >> 16 & 255) + ($c >> 8 & 255) + ($c & 255)) / 27;
        }
    }

    return $sum;
}

describe('a pixel between two colours', function () {
    it('is the share that it was mixed by, whatever the light on it', function (array $one, array $two) {
        foreach ([0.0, 0.3, 0.5, 0.8, 1.0] as $share) {
            foreach ([0.7, 0.85, 1.0, 1.15] as $light) {
                $pixel = array_map(static fn (float $a, float $b): float => $light * ($share * $a + (1 - $share) * $b), $one, $two);
                [$told, $off] = Colours::between($pixel, $one, $two);
                expect($told)->toEqualWithDelta($share, 0.08)->and($off)->toBeLessThan(0.05);
            }
        }
    })->with([
        'violet on paper' => [[134.0, 93.0, 160.0], [228.0, 226.0, 220.0]],
        'amber on violet' => [[226.0, 165.0, 60.0], [134.0, 93.0, 160.0]],
        'green on brown' => [[82.0, 122.0, 79.0], [150.0, 110.0, 80.0]],
    ]);

    it('is decided by lightness where both are of one hue', function () {
        [$dark, $pale] = [[60.0, 60.0, 60.0], [220.0, 220.0, 220.0]];
        expect(Colours::between($dark, $dark, $pale)[0])->toEqualWithDelta(1.0, 0.01)
            ->and(Colours::between($pale, $dark, $pale)[0])->toEqualWithDelta(0.0, 0.01)
            ->and(Colours::between([140.0, 140.0, 140.0], $dark, $pale)[0])->toEqualWithDelta(0.5, 0.03);
    });

    it('is neither where it is of a third hue', function () {
        expect(Colours::between([60.0, 180.0, 60.0], [134.0, 93.0, 160.0], [228.0, 226.0, 220.0])[1])->toBeGreaterThan(0.4);
    });

    it('lies nearer to its own colour in the shade than to another of its lightness there', function () {
        [$white, $violet, $pink] = [[246.0, 242.0, 236.0], [134.0, 93.0, 160.0], [232.0, 138.0, 148.0]];
        $shaded = array_map(static fn (float $c): float => 0.6 * $c, $white);
        expect(Colours::away($shaded, $white))->toBeLessThan(min(Colours::away($shaded, $violet), Colours::away($shaded, $pink)))
            ->and(Colours::away($white, $white))->toEqualWithDelta(0.0, 1e-9);
    });
});

describe('the bench', function () {
    it('is lit as its kind says, and the same again by the same seed', function () {
        foreach (BenchLight::KINDS as $kind) {
            $light = BenchLight::of($kind, 5);
            expect($light->document())->toBe(BenchLight::of($kind, 5)->document())
                ->and($light->document()['kind'])->toBe($kind)
                ->and($light->shading)->toBeLessThan(0.5)
                ->and(array_sum(array_map(static fn (float $c): float => $c ** 2, $light->towards())))->toEqualWithDelta(1.0, 1e-9);
        }
        expect(BenchLight::of('even', 5)->shading)->toBe(0.0)
            ->and(BenchLight::of('side', 5)->shading)->toBeGreaterThan(0.2)
            ->and(BenchLight::of('hard', 5)->shadow)->toBeGreaterThan(0.2)
            ->and(BenchLight::of('wood', 5)->ground)->toBe('wood')
            ->and(fn () => BenchLight::of('dusk', 5))->toThrow(RenderRefused::class, 'even, soft');
    });

    it('makes skin darkest that looks away from it: Lambert\'s law from a lamp, half of it from a window', function () {
        foreach (['strong' => true, 'side' => false] as $kind => $isHard) {
            $light = BenchLight::of($kind, 5);
            [$x, $y, $z] = $light->towards();
            $across = hypot($x, $y);
            expect($light->isHard)->toBe($isHard)
                ->and($light->on([$x, $y, $z]))->toEqualWithDelta(1.0, 1e-9)
                ->and($light->on([-$x, -$y, -$z]))->toEqualWithDelta(1 - $light->shading, 1e-9)
                ->and($light->on([-$y / $across, $x / $across, 0.0]))
                ->toEqualWithDelta(1 - $light->shading * ($isHard ? 1.0 : 0.5), 1e-9);
        }
    });

    it('throws the figure\'s shadow on the ground, and darkens its corners', function () {
        [$plain, $hard] = [lit('bobbin', 'even', 3), lit('bobbin', 'hard', 3)];
        expect(grey(lit('bobbin', 'corners', 3), 0.03, 0.03))->toBeLessThan(grey($plain, 0.03, 0.03) - 25);
        $darker = 0;
        foreach (range(1, 9) as $i) {
            foreach (range(1, 9) as $j) {
                $darker += (int) (grey($hard, $i / 10, $j / 10) < grey($plain, $i / 10, $j / 10) - 35);
            }
        }
        expect($darker)->toBeGreaterThan(3);
    })->group('dear');
});

describe('a shadow on the ground', function () {
    it('is no part of the figure, unless the plan has grey felt that it could be', function () {
        $photo = Photo::of(lit('bobbin', 'hard', 3));
        $count = static function (bool $hasGrey) use ($photo): int {
            $ground = Ground::of($photo, $hasGrey);

            return array_sum(array_map(count(...), $ground->withoutShadow($ground->pieces())));
        };
        $even = Ground::of(Photo::of(lit('bobbin', 'even', 3)), false);
        $figure = array_sum(array_map(count(...), $even->withoutShadow($even->pieces())));
        expect($count(false))->toEqualWithDelta($figure, 0.06 * $figure)
            ->and($count(true))->toBeGreaterThan(1.15 * $figure);
    })->group('dear');
});

describe('a piece that came out larger', function () {
    it('hides rims of those behind it, which then count for nothing', function (string $name, string $part, float $by) {
        $plan = Works::demo($name);
        $document = $plan->document();
        foreach ($document->parts as $one) {
            if ($one instanceof stdClass && $one->key === $part) {
                foreach (['widthMm', 'heightMm', 'depthMm'] as $side) {
                    $one->shape->{$side} *= $by;
                }
            }
        }
        $made = Figure::fromDocument($document);
        $png = BenchCamera::png($plan, $made, View::Front, 4, true, 1200);
        $check = PhotoCheck::of($plan, $png, View::Front);
        [$planned, $stands] = [Expected::of($plan, Side::Front), Expected::of($made, Side::Front)];
        $hidden = [];
        foreach (Seen::on(Photo::of($png), $check->pose, $planned, Rim::all($planned))->edges as [$rim]) {
            $own = $planned->layers[$rim->layer]->piece->part->key;
            // Just within its own rim.
            [$x, $y] = [$rim->x - 0.5 * $rim->normal[0], $rim->y - 0.5 * $rim->normal[1]];
            $front = $stands->piece($stands->label($x, $y))?->part->key;
            if ($own !== $part && $front === $part) {
                $hidden[] = $own;
            }
        }
        expect(count($hidden))->toBeLessThanOrEqual(2);
        foreach ($check->document()['deviations'] as $deviation) {
            expect($deviation['part'] === $part || ! isset($deviation['mm']))->toBeTrue($deviation['text']);
        }
    })->with([['sorrel', 'head', 1.08], ['bobbin', 'head', 1.08], ['bobbin', 'body', 1.15]])->group('dear');

    it('is not judged where less than a third of its rim is seen', function () {
        // Of the stalk, which stands in the head and bears the bobble, a piece of each flank.
        expect(checkedIn('bobbin', 'even', 4, true)['unjudged'])->toContain('Stalk: less than a third of its rim is seen from this side.');
    })->group('dear');
});

describe('a photo in any light', function () {
    it('gives no alarm of a faultless figure', function (string $kind) {
        foreach ([['sorrel', 4, true], ['bobbin', 7, false]] as [$name, $seed, $hasMarker]) {
            $check = checkedIn($name, $kind, $seed, $hasMarker);
            $alarms = array_filter($check['deviations'], static fn (array $d): bool => abs($d['mm'] ?? 0.0) >= 1.0);
            expect($alarms)->toBe([], $kind.' '.$name);
        }
    })->with(['soft', 'side', 'strong', 'shadow', 'hard', 'cast', 'corners', 'folds'])->group('dear');

    it('tells what is otherwise, and says so first', function (string $kind) {
        $document = Works::demo('bobbin')->document();
        foreach ($document->parts as $part) {
            if ($part instanceof stdClass && $part->key === 'head') {
                $part->shape->widthMm -= 3.5;
            }
        }
        $check = checkedIn('bobbin', $kind, 9, true, Figure::fromDocument($document));
        $width = array_values(array_filter(
            $check['deviations'],
            static fn (array $d): bool => $d['part'] === 'head' && $d['what'] === 'width',
        ));
        expect($width[0]['mm'])->toEqualWithDelta(-3.5, 1.0)
            ->and($check['verdict']['is'])->toBe('look')
            ->and($check['verdict']['text'])->toEndWith(count($check['deviations']) === 1 ? 'One thing to look at.' : 'things to look at.');
    })->with(['side', 'hard', 'shadow'])->group('dear');

    it('is as planned where nothing is told', function () {
        expect(checkedIn('sorrel', 'even', 4, true)['verdict'])->toBe([
            'is' => 'as-planned',
            'text' => 'As planned, as far as this photo tells.',
        ]);
    })->group('dear');

    it('is refused on a cloth with a pattern, and with a finger on the figure', function (string $kind) {
        expect(static fn () => checkedIn('bobbin', $kind, 3))->toThrow(PhotoRefused::class);
    })->with(['cloth', 'finger'])->group('dear');
});
