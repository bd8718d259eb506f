<?php

declare(strict_types=1);

namespace Impa\Tests\Light;

use Impa\Check\Comparison\Colours;
use Impa\Check\Comparison\Expected;
use Impa\Check\Comparison\Rim;
use Impa\Check\Comparison\Seen;
use Impa\Check\Photo\Photo;
use Impa\Check\Photo\PhotoGround;
use Impa\Check\Photo\PhotoRefused;
use Impa\Check\Photo\Scale;
use Impa\Check\PhotoCheck;
use Impa\Figure\Figure;
use Impa\Figure\Term\Side;
use Impa\Render\Bench\BenchCamera;
use Impa\Render\Bench\BenchLight;
use Impa\Render\RenderRefused;
use Impa\Render\View;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use stdClass;

// Characters of the bench, by seed.
require_once __DIR__.'/../../../bench/characters.php';

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

/** Of felt in greys, as a shadow on paper has them: a head on a body, ears, arms, feet, a hat with a brim. */
function greys(?callable $otherwise = null): Figure
{
    $at = static fn (string $key, string $kind, array $mm, array $at, string $colour, array $more = []): array => Figures::part(
        $key,
        $kind,
        ...$mm,
        ...$at,
        more: ['colour' => $colour] + $more,
    );
    $document = json_decode((string) json_encode(Figures::document([
        $at('body', 'ball', [40, 44, 38], [0, 28, 0], 'slate'),
        $at('head', 'ball', [48, 42, 44], [0, 66, 0], 'ash', ['join' => ['to' => 'body']]),
        $at('arm', 'sausage', [9, 30, 9], [25, 32, 3], 'slate', ['join' => ['to' => 'body'], 'mirror' => true, 'turnDeg' => ['z' => 35]]),
        $at('foot', 'dome', [16, 12, 20], [11, 6, 4], 'moss', ['join' => ['to' => 'body'], 'mirror' => true]),
        $at('brim', 'drum', [54, 4, 50], [0, 84, 0], 'moss', ['join' => ['to' => 'head']]),
        $at('crown', 'drum', [28, 22, 28], [0, 96, 0], 'moss', ['join' => ['to' => 'brim']]),
    ], [
        ['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 6, 'heightMm' => 7, 'xMm' => 9, 'yMm' => 0, 'colour' => 'ink',
            'mirror' => true],
        ['key' => 'mouth', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 7, 'heightMm' => 4, 'xMm' => 0, 'yMm' => -10, 'colour' => 'ink'],
    ], ['heightMm' => 107, 'colours' => [
        ['key' => 'ash', 'hex' => '#a19da1'], ['key' => 'slate', 'hex' => '#5d595c'], ['key' => 'moss', 'hex' => '#5e7d45'],
        ['key' => 'ink', 'hex' => '#232026'],
    ]])));
    if ($otherwise !== null) {
        $otherwise(array_column($document->parts, null, 'key'));
    }

    return Figure::fromDocument($document);
}

/** @return array<string, mixed> */
function greyIn(string $kind, int $seed, bool $hasMarker = true, ?callable $otherwise = null): array
{
    $png = BenchCamera::png(greys(), greys($otherwise), View::Front, $seed, $hasMarker, 1200, BenchLight::of($kind, $seed));

    return PhotoCheck::of(greys(), $png, View::Front)->document();
}

/** @return list<string> what is told of 0.7 mm or more */
function saysOf(array $check): array
{
    return array_column(array_filter($check['deviations'], static fn (array $d): bool => isset($d['mm'])), 'text');
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

    it('is as far in hue from another as their directions are, whatever the light on either', function () {
        [$violet, $amber] = [[134.0, 93.0, 160.0], [226.0, 165.0, 60.0]];
        $dim = array_map(static fn (float $c): float => 0.4 * $c, $violet);
        expect(Colours::hues($violet, $dim))->toEqualWithDelta(0.0, 1e-6)
            ->and(Colours::hues([100.0, 0.0, 0.0], [0.0, 0.0, 30.0]))->toEqualWithDelta(M_PI / 2, 1e-9)
            ->and(Colours::hues([100.0, 100.0, 0.0], [70.0, 0.0, 0.0]))->toEqualWithDelta(M_PI / 4, 1e-9)
            ->and(Colours::hues($dim, $amber))->toEqualWithDelta(Colours::hues($violet, $amber), 1e-9)
            ->and(Colours::hues([0.0, 0.0, 0.0], $amber))->toBe(0.0);
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
                ->and($light->lamp->shading)->toBeLessThan(0.5)
                ->and(array_sum(array_map(static fn (float $c): float => $c ** 2, $light->lamp->towards())))->toEqualWithDelta(1.0, 1e-9);
        }
        expect(BenchLight::of('even', 5)->lamp->shading)->toBe(0.0)
            ->and(BenchLight::of('side', 5)->lamp->shading)->toBeGreaterThan(0.2)
            ->and(BenchLight::of('hard', 5)->shadow)->toBeGreaterThan(0.2)
            ->and(BenchLight::of('wood', 5)->ground)->toBe('wood')
            ->and(fn () => BenchLight::of('dusk', 5))->toThrow(RenderRefused::class, 'even, soft');
    });

    it('makes skin darkest that looks away from it: Lambert\'s law from a lamp, half of it from a window', function () {
        foreach (['strong' => true, 'side' => false] as $kind => $isHard) {
            $light = BenchLight::of($kind, 5);
            [$x, $y, $z] = $light->lamp->towards();
            $across = hypot($x, $y);
            expect($light->lamp->isHard)->toBe($isHard)
                ->and($light->lamp->on([$x, $y, $z]))->toEqualWithDelta(1.0, 1e-9)
                ->and($light->lamp->on([-$x, -$y, -$z]))->toEqualWithDelta(1 - $light->lamp->shading, 1e-9)
                ->and($light->lamp->on([-$y / $across, $x / $across, 0.0]))
                ->toEqualWithDelta(1 - $light->lamp->shading * ($isHard ? 1.0 : 0.5), 1e-9);
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
        $count = static function (Photo $photo, float $darkest): int {
            $ground = PhotoGround::of($photo);

            return array_sum(array_map(count(...), $ground->withoutShadow($ground->pieces(), $darkest)));
        };
        $figure = $count(Photo::of(lit('bobbin', 'even', 3)), 0.45);
        expect($count($photo, 0.45))->toEqualWithDelta($figure, 0.06 * $figure)
            ->and($count($photo, 1.0))->toBeGreaterThan(1.15 * $figure);
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
        foreach (Seen::on(Photo::of($png), $check->fit->pose, $planned, Rim::all($planned))->edges as [$rim]) {
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

describe('grey felt', function () {
    it('is no larger for a lamp that shines on it from a side', function (int $seed) {
        expect(saysOf(greyIn('strong', $seed)))->toBe([]);
    })->with([1, 8])->group('dear');

    it('ends where it ends, not where its shade is as dark as the felt below', function (int $seed) {
        $document = greys()->document();
        foreach ($document->colours as $colour) {
            assert($colour instanceof stdClass);
            $colour->hex = ['ash' => '#8b9192', 'slate' => '#626768'][$colour->key] ?? $colour->hex;
        }
        $plan = Figure::fromDocument($document);
        $png = BenchCamera::png($plan, $plan, View::Front, $seed, true, 1200, BenchLight::of('strong', $seed));
        expect(saysOf(PhotoCheck::of($plan, $png, View::Front)->document()))->toBe([]);
    })->with([28, 40])->group('dear');
});

describe('what lies elsewhere than planned', function () {
    it('is not told by the rim of another piece of its colour: a crown on a brim that came out lower', function (int $seed) {
        // Its foot is as low as the brim's.
        $planned = static fn (array $parts) => $parts['crown']->at->yMm -= 3.0;
        $made = static function (array $parts) use ($planned): void {
            $planned($parts);
            $parts['brim']->at->yMm -= 1.3;
            $parts['crown']->at->xMm -= 3.9;
        };
        $png = BenchCamera::png(greys($planned), greys($made), View::Front, $seed, true, 1200, BenchLight::of('soft', $seed));
        $says = saysOf(PhotoCheck::of(greys($planned), $png, View::Front)->document());
        expect($says)->toHaveCount(2)
            ->and($says[0])->toMatch('/Crown sits [34](\.\d)? mm too far to the left/')
            ->and($says[1])->toMatch('/Brim sits 1\.\d mm lower/');
    })->with([1, 2])->group('dear');

    it('is said not to be seen where it should be, where its whole thickness lies elsewhere', function (float $mm) {
        $check = greyIn('soft', 1, true, static fn (array $parts) => $parts['brim']->at->yMm += $mm);
        expect(saysOf($check))->toBe([])
            ->and(array_column($check['deviations'], 'text'))->toContain('Brim is not seen where it should be.');
    })->with([4.0, -5.0])->group('dear');

    it('is said not to be seen where the bare ground is seen, not to be of the colour of that', function (int $seed) {
        $plan = Works::demo('sorrel');
        $document = $plan->document();
        array_column($document->parts, null, 'key')['leaf']->at->xMm += 22.0;
        $png = BenchCamera::png($plan, Figure::fromDocument($document), View::Front, $seed, true, 1200, BenchLight::of('even', $seed));
        expect(array_column(PhotoCheck::of($plan, $png, View::Front)->document()['deviations'], 'text'))
            ->toBe(['Leaf is not seen where it should be.']);
    })->with([5, 6])->group('dear');

    it('is told as moved, not as smaller all round: hands move pieces rather than make each of them smaller', function (int $seed) {
        $otherwise = static function (array $parts): void {
            $parts['arm']->at->xMm -= 3.4;
            $parts['foot']->at->yMm -= 2.4;
            $parts['brim']->at->yMm += 1.5;
            $parts['crown']->at->yMm += 2.5;
        };
        $check = greyIn('side', $seed, false, $otherwise);
        expect(array_unique(array_column($check['deviations'], 'what')))->each->toBeIn(['across', 'level'])
            ->and(implode(' ', saysOf($check)))->toMatch('/Right arm sits [34](\.\d)? mm too far to the left/')
            ->toMatch('/Left arm sits [34](\.\d)? mm too far to the right/');
    })->with([4, 6])->group('dear');

    it('does not make the whole figure larger without a sheet: most pieces keep their size', function () {
        $plan = Figure::fromDocument(\character(1107));
        $document = $plan->document();
        foreach ($document->parts as $part) {
            assert($part instanceof stdClass);
            $part->at->xMm += ['ear' => 2.2, 'arm' => -2.8][$part->key] ?? 0.0;
        }
        $png = BenchCamera::png($plan, Figure::fromDocument($document), View::Front, 207, false, 1600, BenchLight::of('side', 107));
        foreach (PhotoCheck::of($plan, $png, View::Front)->document()['deviations'] as $deviation) {
            expect([$deviation['part'], $deviation['what']])->toBeIn([['ear', 'across'], ['arm', 'across']], $deviation['text']);
        }
    })->group('dear');

    it('has its own colour where only what lies behind it is seen at its place: a brim that hangs to one side', function () {
        $plan = Figure::fromDocument(\character(1079));
        $document = $plan->document();
        foreach ($document->parts as $part) {
            assert($part instanceof stdClass);
            if ($part->key === 'brim') {
                $part->turnDeg = (object) ['z' => 7.3];
            }
        }
        $png = BenchCamera::png($plan, Figure::fromDocument($document), View::Front, 179, false, 1600, BenchLight::of('side', 79));
        $says = array_column(PhotoCheck::of($plan, $png, View::Front)->document()['deviations'], 'text');
        expect($says)->toHaveCount(1)->and($says[0])->toMatch('/Brim leans [4-8]° to the left/');
    })->group('dear');

    it('is told by its place alone, not as narrower or shorter', function (callable $otherwise, array $words) {
        $says = saysOf(greyIn('even', 1, true, $otherwise));
        expect($says)->toHaveCount(count($words));
        foreach ($words as $word) {
            expect(implode(' ', $says))->toMatch($word);
        }
    })->with([
        // Over the body, no longer beside it: what lies beyond their rims is its colour now.
        'arms' => [
            static fn (array $parts) => $parts['arm']->at->xMm -= 3.0,
            ['/Right arm sits [23](\.\d)? mm too far to the left/', '/Left arm sits [23](\.\d)? mm too far to the right/'],
        ],
        // By a third of their height, so that their rims run otherwise there.
        'feet' => [
            static fn (array $parts) => $parts['foot']->at->yMm += 3.5,
            ['/Right foot sits 3\.\d mm higher/', '/Left foot sits 3\.\d mm higher/'],
        ],
        // Its face with it: where the eyes should be, the head is seen.
        'a head' => [static fn (array $parts) => $parts['head']->at->yMm -= 3.6, ['/Head sits 3\.\d mm lower/']],
        // In two ways, above and below: most lies as planned.
        'crown and feet' => [
            static function (array $parts): void {
                $parts['foot']->at->yMm += 2.6;
                $parts['crown']->at->yMm += 1.4;
            },
            ['/Right foot sits 2\.\d mm higher/', '/Left foot sits 2\.\d mm higher/', '/Crown sits 1\.\d mm higher/'],
        ],
    ])->group('dear');

    it('is told of thin pieces by a ruler as by the sheet', function () {
        $otherwise = static function (array $parts): void {
            $parts['brim']->shape->widthMm *= 1.1;
            $parts['crown']->shape->heightMm *= 0.88;
        };
        // The camera is the same of one seed: a strip of so many pixels is so long.
        $perPx = greyIn('even', 1, false)['mmPerPx'];
        $image = imagecreatefromstring(
            BenchCamera::png(greys(), greys($otherwise), View::Front, 1, false, 1200, BenchLight::of('even', 1)),
        );
        imagefilledrectangle($image, 10, imagesy($image) - 60, 500, imagesy($image) - 1, 0x302820);
        ob_start();
        imagepng($image);
        $at = static fn (float $x): array => [$x, imagesy($image) - 30.0];
        $scale = Scale::byRuler($at(60.0), $at(460.0), 400 * $perPx);
        $byRuler = PhotoCheck::of(greys(), (string) ob_get_clean(), View::Front, $scale)->document();
        foreach ([$byRuler, greyIn('even', 1, true, $otherwise)] as $check) {
            $told = [];
            foreach ($check['deviations'] as $deviation) {
                $told[$deviation['part'].' '.$deviation['what']] = $deviation['mm'] ?? 0.0;
            }
            expect($told)->toHaveKeys(['brim width', 'crown height'])->toHaveCount(2)
                ->and($told['brim width'])->toEqualWithDelta(5.4, 1.0)
                ->and($told['crown height'])->toEqualWithDelta(-2.64, 1.0);
        }
    })->group('dear');
});

describe('a face that sits too high or too low as a whole', function () {
    it('is told by the marker sheet, and without one only that nothing tells it', function (float $mm, int $seed) {
        $document = greys()->document();
        foreach ($document->details as $detail) {
            assert($detail instanceof stdClass);
            $detail->yMm += $mm;
        }
        $made = Figure::fromDocument($document);
        $check = static fn (bool $hasMarker): array => PhotoCheck::of(
            greys(),
            BenchCamera::png(greys(), $made, View::Front, $seed, $hasMarker, 1200, BenchLight::of('even', $seed)),
            View::Front,
        )->document();
        $bySheet = $check(true)['deviations'];
        expect(array_column($bySheet, 'detail'))->toHaveCount(3)->toContain('eye', 'mouth');
        foreach ($bySheet as $deviation) {
            expect($deviation['what'])->toBe('level')->and($deviation['mm'])->toEqualWithDelta($mm, 0.7);
        }
        expect($check(false)['deviations'])->toBe([])
            ->and(implode(' ', $check(false)['unjudged']))->toContain('Whether its face sits too high')->toContain('only the marker sheet');
    })->with([[-3.0, 1], [-3.0, 2], [3.0, 3]])->group('dear');

    it('is held against itself without a sheet, and says so', function () {
        $document = greys()->document();
        foreach ($document->details as $detail) {
            assert($detail instanceof stdClass);
            $detail->yMm += ($detail->key === 'eye' ? -2.0 : 0.0);
        }
        $says = static fn (bool $hasMarker): array => saysOf(PhotoCheck::of(
            greys(),
            BenchCamera::png(greys(), Figure::fromDocument($document), View::Front, 1, $hasMarker, 1200, BenchLight::of('even', 1)),
            View::Front,
        )->document());
        expect(implode(' ', $says(true)))->toMatch('/Right eye sits [12](\.\d)? mm too low\./')->not->toContain('for what else');
        expect($says(false))->toHaveCount(2)
            ->and(implode(' ', $says(false)))->toMatch('/Right eye sits [12](\.\d)? mm too low for what else lies on the head\./');
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
            'text' => 'No visible difference from the plan.',
        ]);
    })->group('dear');

    it('tells grey felt from its shadow where that is lighter, and says that it cannot tell where it is as dark', function () {
        $strong = greyIn('strong', 2);
        $hard = greyIn('hard', 2);
        expect($strong['verdict']['is'])->not->toBe('cannot-tell')
            ->and(array_filter($strong['deviations'], static fn (array $d): bool => abs($d['mm'] ?? 0.0) >= 1.0))->toBe([])
            ->and($hard['verdict']['is'])->toBe('cannot-tell')
            ->and($hard['verdict']['text'])->toStartWith('This photo cannot tell: a shadow')->toContain('light from all sides')
            ->and($hard['deviations'])->toBe([])->and($hard['symmetry'])->toBe([]);
    })->group('dear');

    it('is refused on a cloth with a pattern, and with a finger on the figure', function (string $kind) {
        expect(static fn () => checkedIn('bobbin', $kind, 3))->toThrow(PhotoRefused::class);
    })->with(['cloth', 'finger'])->group('dear');
});
