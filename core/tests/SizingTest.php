<?php

declare(strict_types=1);

namespace Impa\Tests\Sizing;

use Impa\Figure\Figure;
use Impa\Figure\Sizing;
use Impa\Figure\SizingRefused;
use Impa\Plan\Plan;
use Impa\Tests\Support\Figures;

/** A ball of 40 mm on a ball of 60 mm, 100 mm tall. */
function snow(): Figure
{
    $document = Figures::document([
        Figures::part('body', 'ball', 60, 60, 60, 0, 30, 0, ['core' => 'none']),
        Figures::part('head', 'ball', 40, 40, 40, 0, 80, 0, ['core' => 'none', 'join' => ['to' => 'body']]),
    ]);
    $document['heightMm'] = 100;

    return Figures::read($document);
}

it('makes one part so wide, and all else grows alike', function () {
    $sizing = Sizing::toPartWidth(snow(), 'head', 50);
    expect($sizing->heightMm)->toEqualWithDelta(125, 1e-9)->and($sizing->factor)->toEqualWithDelta(1.25, 1e-9);
    $grown = snow()->scaledTo($sizing->heightMm);
    expect($grown->parts['head']->solid->size()->widthMm)
        ->toEqualWithDelta(50, 1e-9)
        ->and($grown->parts['body']->solid->size()->widthMm)
        ->toEqualWithDelta(75, 1e-9);
});

it('takes eight times the wool twice as tall', function () {
    $sizing = Sizing::toHeight(snow(), 200);
    expect($sizing->woolTimes())->toEqualWithDelta(8, 1e-9);
    // In solid colour there is no cover to keep its thickness: the plan says the same.
    expect(Plan::of(snow()->scaledTo(200))->totalG() / Plan::of(snow())->totalG())->toEqualWithDelta(8, 1e-6);
});

it('fits into a jar by its opening, or by its height where that is less', function () {
    // The body's 60 mm go through 45: three quarters. The loft stands a little proud of its ball (see Stack).
    expect(Sizing::toFit(snow(), 45)->factor)
        ->toEqualWithDelta(0.75, 0.01)
        ->and(Sizing::toFit(snow(), 45, 50)->heightMm)
        ->toEqualWithDelta(50, 0.01);
});

it('refuses what comes out beyond all figures', function (callable $do, string $words) {
    expect($do)->toThrow(SizingRefused::class, $words);
})->with([
    [fn () => Sizing::toPartWidth(snow(), 'tail', 50), 'no part "tail"'],
    [fn () => Sizing::toPartWidth(snow(), 'head', 0), 'more than 0'],
    [fn () => Sizing::toPartWidth(snow(), 'head', 1500), '2000'],
    [fn () => Sizing::toFit(snow(), -3), 'more than 0'],
]);
