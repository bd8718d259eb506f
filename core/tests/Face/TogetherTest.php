<?php

declare(strict_types=1);

namespace Impa\Tests\Together;

use Impa\Face\Advice\Crispness;
use Impa\Face\Expressions;
use Impa\Face\Piece\Freckles;
use Impa\Face\Piece\OpenEyes;
use Impa\Face\Together;
use Impa\Figure\Editing\Edits;
use Impa\Figure\Figure;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;

/** A face: whites and pupils in pairs, a spark in each, a mouth on a muzzle, a belly with a button, two freckles. */
function face(): Figure
{
    $disc = static fn (string $key, string $on, float $w, float $x, float $y, string $colour, int $layer, array $more = []): array => [
        'key' => $key, 'name' => ucfirst(str_replace('-', ' ', $key)), 'on' => $on, 'kind' => 'disc', 'widthMm' => $w, 'heightMm' => $w,
        'xMm' => $x, 'yMm' => $y, 'colour' => $colour, 'layer' => $layer,
    ] + $more;

    return Figures::read(Figures::document(
        [
            Figures::part('body', 'ball', 60, 60, 60, 0, 30),
            Figures::part('head', 'ball', 60, 60, 60, 0, 85, 0, ['join' => ['to' => 'body']]),
        ],
        [
            $disc('eye-white', 'head', 10, 11, -3, 'white', 1, ['mirror' => true]),
            $disc('pupil', 'head', 6, 10.5, -3.5, 'black', 2, ['mirror' => true]),
            $disc('spark-right', 'head', 1.8, 11.5, -2, 'white', 3),
            $disc('spark-left', 'head', 1.8, -9.5, -2, 'white', 3),
            $disc('muzzle', 'head', 22, 0, -15, 'white', 1),
            $disc('nose', 'head', 5, 0, -12, 'black', 2),
            $disc('belly', 'body', 40, 0, 0, 'white', 1),
            $disc('button', 'body', 4, 0, 5, 'black', 2),
        ],
    ));
}

it('knows an eye by its white, pupil and sparks; a muzzle and a belly are grounds, and a spark goes about in its eye', function () {
    expect(Together::all(face()))->toEqual([
        'eye-white' => ['pupil' => 1, 'spark-right' => 1, 'spark-left' => -1],
        'pupil' => ['eye-white' => 1, 'spark-right' => 1, 'spark-left' => -1],
    ])->and(Together::with(face(), ['pupil', 'button']))
        ->toEqualCanonicalizing(['pupil', 'button', 'eye-white', 'spark-right', 'spark-left']);
});

it('knows the eyes of the demo figures', function (string $name, string $eye, array $others) {
    expect(array_keys(Together::all(Works::demo($name))[$eye]))->toEqualCanonicalizing($others);
})->with([
    ['bobbin', 'pupil', ['eye', 'spark-left', 'spark-right']],
    ['bobbin', 'eye', ['pupil', 'spark-left', 'spark-right']],
    ['lanto', 'eye', ['spark-left', 'spark-right']],
    ['sorrel', 'eye', ['spark-left', 'spark-right']],
]);

it('goes with all details of a piece of a face that lie in one eye, and with none of a scattered one', function () {
    $figure = face();
    $put = static fn (Figure $f, string $kind): Figure => Figure::fromDocument(
        Expressions::put($f, $f->parts['head'], $kind, [])['document'],
    );
    $eyes = $put($figure, OpenEyes::kind());
    $own = array_keys(array_filter($eyes->details, static fn ($d): bool => $d->meaning->piece[1] === OpenEyes::kind()));
    $together = Together::all($eyes);
    expect(count($own))->toBeGreaterThan(2);
    foreach ($own as $key) {
        if (! Crispness::isSpark($eyes, $eyes->details[$key])) {
            expect(array_keys($together[$key]))->toContain(...array_values(array_diff($own, [$key])));
        }
    }
    $dots = $put($figure, Freckles::kind());
    foreach (array_filter($dots->details, static fn ($d): bool => $d->meaning->piece[1] === Freckles::kind()) as $key => $dot) {
        expect(Together::all($dots))->not->toHaveKey($key);
    }
});

it('is mutual but for sparks, and mirrored ways are mirrored back', function () {
    $compared = 0;
    foreach (range(1, 24) as $seed) {
        $all = Together::all(Figures::read(Figures::random($seed, 3, 40)));
        foreach ($all as $key => $others) {
            foreach ($others as $other => $way) {
                if (isset($all[$other])) {
                    expect($all[$other][$key] ?? null)->toBe($way, "seed {$seed}: {$key} and {$other}");
                    $compared++;
                }
            }
        }
    }
    expect($compared)->toBeGreaterThan(20);
});

it('is doubled, made single, paired and parted as one thing', function () {
    $figure = face();
    $others = Together::all($figure)['pupil'];
    $details = static fn (object $of): array => array_column(json_decode((string) json_encode($of->details), true), null, 'key');
    $single = $details(Edits::twinned($figure, 'pupil', false, $others)->document);
    // The left eye's own spark goes with the left eye.
    expect(array_keys(array_diff_key($details($figure->document()), $single)))->toBe(['spark-left'])
        ->and([$single['pupil']['mirror'], $single['eye-white']['mirror']])->toBe([false, false]);
    $doubled = $details(Edits::double($figure, false, 'pupil', $others)->document);
    $new = array_diff_key($doubled, $details($figure->document()));
    expect(array_column($new, 'name'))->toBe(['Pupil again', 'Eye white again', 'Spark right again', 'Spark left again'])
        ->and(array_column($new, 'xMm'))->toEqualWithDelta([12.5, 13.0, 13.5, -11.5], 1e-9);
    $parted = $details(Edits::parted($figure, 'pupil', $others)->document);
    expect($parted)->toHaveKeys(['pupil', 'pupil-left', 'eye-white-left', 'spark-left'])
        ->and($parted['eye-white-left']['xMm'])->toEqual(-11)
        ->and(array_keys(array_filter($parted, static fn (array $d): bool => $d['mirror'] ?? false)))->toBe([]);
});
