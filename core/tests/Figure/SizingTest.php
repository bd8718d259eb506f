<?php

declare(strict_types=1);

namespace Impa\Tests\Sizing;

use Impa\Figure\Editing\Scaling;
use Impa\Figure\Editing\Sizing;
use Impa\Figure\Editing\SizingRefused;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Plan\Plan;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Wool\Ledger\Growth;

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
    $grown = Scaling::to(snow(), $sizing->heightMm);
    expect($grown->parts['head']->solid->size()->widthMm)
        ->toEqualWithDelta(50, 1e-9)
        ->and($grown->parts['body']->solid->size()->widthMm)
        ->toEqualWithDelta(75, 1e-9);
});

it('takes eight times the wool twice as tall', function () {
    // In solid colour there is no cover to keep its thickness.
    expect(Growth::ofWool(snow(), 200.0, Densities::house()))->toEqualWithDelta(8, 1e-6);
});

it('takes as many times the wool as the plans of both sizes say, where covers keep their thickness', function (float $heightMm) {
    foreach (['wick', 'bobbin', 'sorrel'] as $name) {
        $figure = Works::demo($name);
        $both = Plan::of(Scaling::to($figure, $heightMm))->totalG() / Plan::of($figure)->totalG();
        $cube = ($heightMm / $figure->heightMm) ** 3;
        expect(Growth::ofWool($figure, $heightMm, Densities::house()))->toEqualWithDelta($both, 1e-9)
            ->and(abs($both / $cube - 1))->toBeLessThan(0.2);
    }
})->with([60.0, 240.0]);

it('takes less than eight times the wool twice as tall where its core is lighter than its cover', function () {
    // A ball of 40 mm, 3 mm of cover: by hand, shells of (20, 17) and (40, 37) mm at the house's densities and wastes.
    $figure = Figures::read(Figures::document([Figures::part('a', 'ball', 40, 40, 40, 0, 20, more: ['core' => 'stuffing'])]));
    $densities = Densities::house();
    $felt = $densities->feltGPerCm3($figure->parts['a']->made->firmness) * (1 + $densities->coverWaste);
    $core = $densities->insideGPerCm3($figure->parts['a']->made->core, $figure->parts['a']->made->firmness) * (1 + $densities->insideWaste);
    $g = static fn (float $r): float => ($r ** 3 - ($r - 3) ** 3) * $felt + ($r - 3) ** 3 * $core;
    $times = Growth::ofWool($figure, 2 * $figure->heightMm, $densities);
    expect($times)->toEqualWithDelta($g(40.0) / $g(20.0), 0.01)->toBeLessThan(7.5);
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
    [fn () => Sizing::toPartWidth(snow(), 'head', 1500), '2.00 m'],
    [fn () => Sizing::toFit(snow(), -3), 'more than 0'],
]);
