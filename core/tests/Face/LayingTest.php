<?php

declare(strict_types=1);

namespace Impa\Tests\Laying;

use Impa\Colour\Srgb;
use Impa\Face\Advice\Advice;
use Impa\Face\Advice\CrispAdvice;
use Impa\Face\Advice\Crispness;
use Impa\Face\Advice\Mend;
use Impa\Face\DetailGround;
use Impa\Face\Laying;
use Impa\Face\LayingOrder;
use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Render\FromAfar;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Surface\Surface;
use Impa\Tests\Support\Figures;
use Impa\Voice\Amount;

/** A head of our own with a face, every colour named. */
function faced(array $details, string $head = 'teal'): Figure
{
    return Figures::read(
        Figures::document([Figures::part('head', 'ball', 60, 60, 60, 0, 30, 0, ['colour' => $head])], $details, [
            'colours' => [
                ['key' => 'teal', 'name' => 'Teal', 'hex' => '#2f8f86'],
                ['key' => 'black', 'name' => 'Black', 'hex' => '#141416'],
                ['key' => 'charcoal', 'name' => 'Charcoal', 'hex' => '#26262a'],
                ['key' => 'white', 'name' => 'White', 'hex' => '#f8f4ec'],
            ],
        ]),
    );
}

/** @return array<string, mixed> */
function spot(string $key, float $mm, float $x, float $y, string $colour, int $layer = 1, array $more = []): array
{
    return $more + [
        'key' => $key,
        'name' => ucfirst($key),
        'on' => 'head',
        'kind' => 'disc',
        'widthMm' => $mm,
        'heightMm' => $mm,
        'xMm' => $x,
        'yMm' => $y,
        'colour' => $colour,
        'layer' => $layer,
    ];
}

function layingOf(Figure $figure, string $key): Laying
{
    return Laying::of(
        $figure,
        $figure->details[$key],
        Surface::of($figure->parts['head']->placements()[0]),
        Needles::usual(),
        \Impa\Material\Densities::house(),
    );
}

it('lays underlays first, big before small, the middle before the sides, light before dark', function () {
    $figure = faced([
        spot('spark', 1.5, 10, 2, 'white', 3),
        spot('pupil', 4, 10, 0, 'black', 2),
        spot('cheek', 6, 16, -8, 'white', 1, ['mirror' => true]),
        spot('nose', 6, 0, -6, 'white'),
        spot('ground', 7, 10, 0, 'white'),
        spot('mole', 6, -16, -8, 'black'),
    ]);
    $order = array_map(static fn ($d): string => $d->key, LayingOrder::of($figure, array_values($figure->details)));
    expect(array_search('nose', $order))
        ->toBeLessThan(array_search('cheek', $order))
        ->and(array_search('cheek', $order))
        ->toBeLessThan(array_search('mole', $order))
        ->and(array_slice($order, -2))
        ->toBe(['pupil', 'spark'])
        ->and(count($order))
        ->toBe(6);
});

it('tells the ground that a detail really lies on', function () {
    $figure = faced([spot('white', 9, 10, 0, 'white'), spot('pupil', 4, 10, 0, 'black', 2), spot('far', 4, -10, 0, 'black', 2)]);
    expect(DetailGround::colour($figure, $figure->details['pupil']))
        ->toBe('white')
        ->and(DetailGround::colour($figure, $figure->details['far']))
        ->toBe('teal')
        ->and(DetailGround::difference($figure, $figure->details['pupil']))
        ->toBeGreaterThan(60.0);
});

it('says how much wool, which marks, in which order it is stabbed, and what to leave proud', function () {
    $figure = faced([spot('eye', 6, 12, -3, 'black', 1, ['mirror' => true]), spot('cheek', 6, 0, -12, 'white')]);
    $eye = layingOf($figure, 'eye');
    // A ball of 30 mm radius: 12.6 mm along its circle at that level, by hand: r' = sqrt(900 - 9), r' asin(12 / r').
    $across = sqrt(891) * asin(12 / sqrt(891));
    expect($eye->marks[0])
        ->toBe(sprintf('its middle: %s out on both sides, %s down', Amount::mm($across), Amount::mm(30 * (M_PI / 2 + asin(0.1)))))
        ->and($eye->stabs)
        ->toBe([
            'Tack it at the top',
            'at the bottom',
            'right',
            'left',
            'Stab round the rim, slanting inwards',
            'The middle last, and little: leave it 0.4 mm proud',
        ])
        ->and($eye->woolMg)
        ->toEqualWithDelta((M_PI / 4) * 36 * 0.45 * 30 / sqrt(900 - 153), 0.15)
        ->and($eye->wool())
        ->toContain('10 mg each')
        ->and($eye->check)
        ->toContain('mirror')
        ->and($eye->undo)
        ->toContain('Lift it out');
    // Softer ground gives more.
    $soft = Figures::read(['firmness' => 'squishy'] + json_decode($figure->toJson(), true));
    expect(layingOf($soft, 'eye')->proudMm)->toBeGreaterThan($eye->proudMm);
    // Light on dark does not sink to the eye.
    expect(layingOf($figure, 'cheek')->proudMm)
        ->toBe(0.0)
        ->and(layingOf($figure, 'cheek')->marks[0])
        ->toStartWith('its middle: on the middle line');
});

it('pins a curved line at both ends and on the way', function () {
    $figure = faced([
        [
            'key' => 'smile',
            'on' => 'head',
            'kind' => 'line',
            'widthMm' => 1.2,
            'pointsMm' => [[-12, -8], [-6, -12], [0, -13], [6, -12], [12, -8]],
            'colour' => 'black',
        ],
    ]);
    $line = layingOf($figure, 'smile');
    expect(count($line->marks))
        ->toBeGreaterThanOrEqual(4)
        ->and($line->marks[0])
        ->toContain('pin 1: ')
        ->toContain('to the left')
        ->and($line->marks[count($line->marks) - 1])
        ->toContain('to the right')
        ->and($line->stabs[2])
        ->toBe('Lay it round the pins');
});

it('tells what is not felted by its own way', function (array $more, string $first, string $undo) {
    $figure = faced([$more + spot('eye', 5, 10, 0, 'black')]);
    $laying = layingOf($figure, 'eye');
    expect($laying->stabs[0])
        ->toBe($first)
        ->and($laying->undo)
        ->toContain($undo)
        ->and($laying->woolMg)
        ->toBe(0.0)
        ->and($laying->needle)
        ->toBeNull();
})->with([
    [['kind' => 'bead', 'method' => 'bead'], 'Prick the mark', 'Cut the thread'],
    [['kind' => 'eye', 'method' => 'ready-made'], 'Prick the mark', 'before the glue'],
    [['method' => 'stitch'], 'Come up at the first mark', 'Cut the thread'],
    [['method' => 'paint'], 'Flatten the fuzz under it with the needle', 'thin wisp'],
    [['method' => 'pin'], 'Push it in on the mark', 'before the glue'],
]);

it('says of a detail off its part that it must be moved', function () {
    expect(layingOf(faced([spot('eye', 5, 40, 0, 'black')]), 'eye')->marks)->toBe([
        'It does not lie on the part as seen from here: move it first.',
    ]);
});

describe('crispness', function () {
    it('mends what is too small by stitch, size or bead, each of which is then large enough', function () {
        $figure = faced([
            spot('white', 8, 10, 0, 'white'),
            spot('pupil', 4, 10, 0, 'black', 2),
            spot('spark', 0.8, 10, 1, 'white', 3),
        ]);
        $advice = CrispAdvice::of($figure, $figure->details['spark'], Needles::usual());
        expect($advice[0]->why)
            ->toBe('0.8 mm, and felt holds no less than 1 mm cleanly')
            ->and(array_map(static fn (Mend $m): string => (string) $m->text, $advice[0]->mends))
            ->toBe(['stitch it', 'make it 1 mm', 'sew on a bead of 2 mm']);
        foreach ($advice[0]->mends as $mend) {
            $document = json_decode($figure->toJson(), true);
            $document['details'][2] = $mend->change() + $document['details'][2];
            $mended = Figures::read($document);
            expect(
                array_filter(
                    CrispAdvice::of($mended, $mended->details['spark'], Needles::usual()),
                    static fn (Advice $a): bool => $a->code === 'too-small',
                ),
            )->toBe([]);
        }
    });

    it('mends black on charcoal by a rim, a glossy eye or another colour; the rim and the colour then read', function () {
        $figure = faced([spot('eye', 5, 10, 0, 'black', 1, ['mirror' => true])], 'charcoal');
        $advice = CrispAdvice::of($figure, $figure->details['eye'], Needles::usual());
        expect($advice)
            ->toHaveCount(1)
            ->and($advice[0]->why)
            ->toContain('black on charcoal reads at')
            ->and(array_map(static fn (Mend $m): string => (string) $m->text, $advice[0]->mends))
            ->toBe(['rim it in white, 1 mm all round', 'use a glossy eye of 5 mm', 'felt it in white']);
        $document = json_decode($figure->toJson(), true);
        $rim = $advice[0]->mends[0];
        $document['details'] = [$rim->add[0], $rim->change() + $document['details'][0]];
        $mended = Figures::read($document);
        expect(DetailGround::difference($mended, $mended->details['eye']))
            ->toBeGreaterThan(20.0)
            ->and(DetailGround::difference($mended, $mended->details['eye-rim']))
            ->toBeGreaterThan(20.0)
            ->and($mended->details['eye-rim']->drawn->widthMm)
            ->toBe(7.0);
    });

    it('takes a light disc on a dark detail for a spark, in whatever layer, and nothing else', function () {
        $figure = faced([
            spot('eye', 6, 10, 0, 'black'),
            spot('glint', 1.3, 10, 1, 'white', 2, ['xMm' => 10.5]),
            spot('dot', 1.3, -10, 0, 'white', 3),
            spot('white', 6, 0, 12, 'white'),
            spot('pupil', 1.3, 0, 12, 'black', 3),
        ]);
        $isSpark = static fn (string $key): bool => Crispness::isSpark($figure, $figure->details[$key]);
        // A spark may be 1 mm small; a dot on the bare head or a pupil on its white may not.
        expect(array_map($isSpark, ['eye', 'glint', 'dot', 'white', 'pupil']))
            ->toBe([false, true, false, false, false])
            ->and(CrispAdvice::of($figure, $figure->details['glint'], Needles::usual()))
            ->toBe([])
            ->and(CrispAdvice::of($figure, $figure->details['pupil'], Needles::usual())[0]->code)
            ->toBe('too-small');
    });

    it('warns of a small mark that differs in hue alone', function () {
        // A red and a green of the same luminance.
        $figure = Figures::read(
            Figures::document(
                [Figures::part('head', 'ball', 60, 60, 60, 0, 30, 0, ['colour' => 'green'])],
                [spot('small', 3, 10, 0, 'red'), spot('large', 9, -10, 0, 'red')],
                [
                    'colours' => [
                        ['key' => 'green', 'name' => 'Green', 'hex' => '#3c8a3c'],
                        ['key' => 'red', 'name' => 'Red', 'hex' => '#d0503c'],
                        ['key' => 'white', 'name' => 'White', 'hex' => '#f8f4ec'],
                    ],
                ],
            ),
        );
        $advice = CrispAdvice::of($figure, $figure->details['small'], Needles::usual());
        expect($advice[0]->code)
            ->toBe('as-light')
            ->and($advice[0]->why)
            ->toContain('red is as light as green')
            ->and($advice[0]->mends)
            ->not->toBe([])
            ->and(CrispAdvice::of($figure, $figure->details['large'], Needles::usual()))
            ->toBe([]);
    });

    it('asks for larger marks where the finest needle at hand is coarser', function () {
        $figure = faced(
            [
                spot('dot', 2.2, 10, 0, 'black'),
                [
                    'key' => 'line',
                    'on' => 'head',
                    'kind' => 'line',
                    'widthMm' => 1.2,
                    'pointsMm' => [[-4, -9], [4, -9]],
                    'colour' => 'black',
                ],
            ],
            'white',
        );
        $why = static fn (string $key, array $gauges): array => array_map(
            static fn (Advice $a): string => (string) $a->why,
            CrispAdvice::of($figure, $figure->details[$key], Needles::of($gauges)),
        );
        expect($why('dot', [36, 38, 40, 42]))
            ->toBe([])
            ->and($why('line', [40, 42]))
            ->toBe([])
            ->and($why('dot', [36, 38]))
            ->toBe(['2.2 mm, and felt holds no less than 2.6 mm cleanly with a 38, your finest needle'])
            ->and($why('line', [36]))
            ->toBe(['1.2 mm, and felt holds no less than 1.6 mm cleanly with a 36, your finest needle'])
            // Finer never asks for more, and what is not sold is no needle.
            ->and(Needles::of([36])->coarser())
            ->toBeGreaterThan(Needles::of([38])->coarser())
            ->and(Needles::of([7, -1])->finest())
            ->toBe(42);
    });

    it('says nothing of what reads', function () {
        $figure = faced([spot('eye', 5, 10, 0, 'black', 1)], 'white');
        expect(CrispAdvice::of($figure, $figure->details['eye'], Needles::usual()))->toBe([]);
    });

    it('offers only sizes that are sold', function (float $mm) {
        $figure = faced([spot('eye', $mm, 10, 0, 'black')], 'charcoal');
        foreach (CrispAdvice::of($figure, $figure->details['eye'], Needles::usual()) as $advice) {
            foreach ($advice->mends as $mend) {
                if (isset($mend->change()['kind'])) {
                    expect(fmod(2 * $mend->change()['widthMm'], 1.0))
                        ->toBe(0.0)
                        ->and($mend->change()['widthMm'])
                        ->toBeGreaterThanOrEqual(2.0)
                        ->toBeLessThanOrEqual(12.0);
                }
            }
        }
    })->with([0.7, 1.3, 4.3, 7.77, 30.0]);
});

describe('from afar', function () {
    /** A step from dark to light, 10 px to the millimetre. */
    $step = static function (): string {
        $image = imagecreatetruecolor(200, 40);
        imagefilledrectangle($image, 100, 0, 199, 39, 0xFFFFFF);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    };

    it('blurs an edge as a Gaussian of its sigma does: 10 to 90 % over 2.56 sigma', function (float $metres) use ($step) {
        $image = imagecreatefromstring(FromAfar::of($step(), 10.0, $metres));
        $light = array_map(static fn (int $x): float => Srgb::linear(imagecolorat($image, $x, 20) & 255), range(0, 199));
        $crosses = static function (float $level) use ($light): float {
            foreach ($light as $x => $v) {
                if ($v >= $level) {
                    return $x - 1 + ($level - $light[$x - 1]) / max(1e-9, $v - $light[$x - 1]);
                }
            }

            return NAN;
        };
        expect(($crosses(0.9) - $crosses(0.1)) / 10)
            ->toEqualWithDelta(2.563 * FromAfar::sigmaMm($metres), 0.12)
            ->and($crosses(0.5))
            ->toEqualWithDelta(99.5, 0.3);
    })->with([0.3, 1.0, 3.0, 6.0]);

    it('keeps the light there is', function () use ($step) {
        $sum = static fn (string $png): float => array_sum(
            array_map(
                static fn (int $x): float => Srgb::linear(imagecolorat(imagecreatefromstring($png), $x, 10) & 255),
                range(0, 199),
            ),
        );
        expect($sum(FromAfar::of($step(), 10.0, 3.0)))->toEqualWithDelta($sum($step()), 0.5);
    });

    it('loses small things first, the farther off the more', function () {
        $figure = faced([spot('eye', 6, 12, 0, 'black'), spot('freckle', 1, -12, 0, 'black')], 'white');
        $seen = static function (float $metres) use ($figure): array {
            $px = 240;
            $image = imagecreatefromstring(
                FromAfar::of(
                    Painter::png($figure, View::Front, $px, Srgb::hex('#efe6d6')),
                    Painter::pxPerMm($figure, View::Front, $px),
                    $metres,
                ),
            );
            $at = static fn (float $mm): int => imagecolorat(
                $image,
                (int) round($px / 2 + $mm * Painter::pxPerMm($figure, View::Front, $px)),
                $px / 2,
            ) & 255;

            return [$at(12.0), $at(-12.0)];
        };
        [$near, $far] = [$seen(0.3), $seen(3.0)];
        expect($near[0])
            ->toBeLessThan(40)
            ->and($far[0])
            ->toBeLessThan(60)
            ->and($far[1])
            ->toBeGreaterThan($near[1] + 20)
            ->and($far[1])
            ->toBeGreaterThan(150);
    });
});
