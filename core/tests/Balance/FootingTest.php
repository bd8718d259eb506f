<?php

declare(strict_types=1);

namespace Impa\Tests\Footing;

use Impa\Balance\Balance;
use Impa\Balance\Footing;
use Impa\Figure\Figure;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Material\Densities;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger\Ledger;

/** A body on two drums, so far forwards and so long from front to back; no lower than the drums are high. */
function onFeet(float $feetZ, float $footMm, string $pose = 'stand'): Figure
{
    return Figures::read(Figures::document([
        Figures::part('body', 'egg', 40, 60, 36, 0, 40),
        Figures::part('head', 'ball', 44, 44, 40, 0, 85, 4, ['join' => ['to' => 'body', 'by' => 'fluff']]),
        Figures::part('foot', 'drum', 16, 14, $footMm, 18, 7, $feetZ, ['join' => ['to' => 'body', 'by' => 'fluff'], 'mirror' => true]),
    ], [], ['heightMm' => 107, 'pose' => $pose]));
}

function weighed(Figure $figure): Balance
{
    return Balance::of(Ledger::of($figure, Densities::house()));
}

it('puts the feet under the weight: they move to where it lies over their middle, and nothing else is changed', function () {
    $balance = weighed(onFeet(-9, 30));
    expect($balance->isTouchy())->toBeTrue();
    $footing = Footing::of($balance);
    $now = weighed($footing->figure);
    expect($footing->feetMm)->toBeGreaterThan(5.0)->and([$footing->longMm, $footing->flattenMm])->toBe([0.0, 0.0])
        ->and($now->tipDeg())->toEqualWithDelta($footing->tipDeg, 0.01)->toBeGreaterThan(Balance::TOUCHY_DEG)
        // By the law of the lever the weight comes to stand over the middle.
        ->and($now->centreMm[2])->toEqualWithDelta($now->footprint->middle()[1], 0.1);
});

it('moves what is joined to the feet along with them', function () {
    $document = onFeet(-9, 30)->document();
    $toe = Figures::part('toe', 'ball', 5, 5, 5, 18, 6, 8, ['join' => ['to' => 'foot', 'by' => 'fluff'], 'mirror' => true]);
    $document->parts[] = json_decode(json_encode($toe));
    $footing = Footing::of(weighed(Figure::fromDocument($document)));
    expect($footing->feetMm)->toBeGreaterThan(5.0)
        ->and($footing->figure->parts['toe']->stand->at[2])->toEqualWithDelta(8.0 + $footing->feetMm, 1e-6);
});

it('moves feet of legs with their legs, as far as what those hang on is deep', function () {
    $document = Figures::document([
        Figures::part('body', 'egg', 40, 50, 36, 0, 45),
        Figures::part('head', 'ball', 44, 44, 40, 0, 85, 2, ['join' => ['to' => 'body', 'by' => 'fluff']]),
        Figures::part('leg', 'sausage', 10, 24, 10, 12, 16, -12, ['join' => ['to' => 'body', 'by' => 'fluff'], 'mirror' => true]),
        Figures::part('foot', 'drum', 16, 8, 30, 12, 4, -12, ['join' => ['to' => 'leg', 'by' => 'fluff'], 'mirror' => true]),
    ], [], ['heightMm' => 107]);
    $balance = weighed(Figures::read($document));
    $footing = Footing::of($balance);
    $z = static fn (string $key): float => $footing->figure->parts[$key]->stand->at[2];
    expect($balance->tipDeg())->toBeLessThan(Balance::FALLS_DEG)
        ->and($footing->feetMm)->toBeGreaterThan(9.0)
        ->and($z('leg'))->toEqualWithDelta(-12.0 + $footing->feetMm, 1e-6)
        ->and($z('foot'))->toEqualWithDelta(-12.0 + $footing->feetMm, 1e-6)
        ->and($z('body'))->toBe(0.0)
        ->and(weighed($footing->figure)->tipDeg())->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG);
});

it('makes feet that were seen as plates deep enough to stand on, but no fin beside feet that are round', function () {
    $standing = static fn (array $more): ?Footing => Footing::of(weighed(Figures::read(Figures::document([
        Figures::part('body', 'ball', 40, 44, 40, 0, 36),
        ...$more,
    ], [], ['heightMm' => 58]))));
    $foot = static fn (string $key, string $kind, float $deep, float $x): array => Figures::part($key, $kind, 14, 16, $deep, $x, 8, 0, [
        'join' => ['to' => 'body', 'by' => 'fluff'], 'mirror' => true,
    ]);
    $plates = $standing([$foot('foot', 'plate', 3, 9)]);
    expect($plates->longMm)->toBeGreaterThan(0.6 * 14)
        ->and(weighed($plates->figure)->tipDeg())->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG);
    $both = $standing([$foot('foot', 'drum', 9, 9), $foot('fin', 'plate', 3, 20)]);
    expect($both->figure->parts['fin']->solid->size()->depthMm)->toBe(3.0)
        ->and($both->figure->parts['foot']->solid->size()->depthMm)->toBeGreaterThan(9.0);
});

it('makes short feet longer where moving them is not enough, and is not seen from the front', function () {
    $figure = onFeet(0, 17);
    $footing = Footing::of(weighed($figure));
    expect($footing->longMm)->toBeGreaterThan(17.0)->toBeLessThanOrEqual(17.0 * 2.2)
        ->and(weighed($footing->figure)->tipDeg())->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG);
    foreach ($figure->parts as $key => $part) {
        $front = static fn (Figure $f): array => Silhouette::of($f->parts[$key]->placements()[0], Side::Front);
        expect($front($footing->figure))->toEqualWithDelta($front($figure), 1e-6);
    }
});

it('flattens what stands on nothing but its own round base, by as much as a flatter base alone would take', function () {
    $egg = Figures::read(Figures::document([Figures::part('body', 'egg', 40, 90, 40, 0, 45)]));
    $footing = Footing::of(weighed($egg));
    expect([$footing->feetMm, $footing->longMm])->toBe([0.0, 0.0])
        ->and($footing->flattenMm)->toBe(weighed($egg)->flattenMm())
        ->and($footing->figure->base->flattenMm)->toBe($footing->flattenMm);
});

it('offers nothing to what stands firmly, need not stand, or falls for all of it', function () {
    expect(Footing::of(weighed(onFeet(0, 40))))->toBeNull()
        ->and(Footing::of(weighed(onFeet(-9, 30, pose: 'lie'))))->toBeNull();
    $pole = Figures::document([Figures::part('pole', 'drum', 4, 300, 4, 0, 150)], [], ['heightMm' => 300]);
    expect(Footing::of(weighed(Figures::read($pole))))->toBeNull();
});

it('says what it does in the order in which it is done', function () {
    expect((string) Footing::of(weighed(onFeet(-9, 30)))->text())->toMatch('/^move the feet [\d.]+ mm forwards$/');
});
