<?php

declare(strict_types=1);

namespace Impa\Tests\SizeCards;

use Impa\Plan\Plan;
use Impa\Print\Page\Paper;
use Impa\Print\Template\SizeCards;
use Impa\Tests\Support\Figures;

function cardsPlan(): Plan
{
    return Plan::of(
        Figures::read(
            Figures::document([
                Figures::part('head', 'ball', 50, 44, 48, 0, 80, 0),
                Figures::part('arm', 'sausage', 12, 30, 12, 20, 40, 0, ['mirror' => true, 'join' => ['to' => 'head']]),
                Figures::part('leg', 'ring', 40, 40, 8, 0, 20, 0, ['join' => ['to' => 'head']]),
            ]),
        ),
    );
}

/** @return list<array{float, float}> width and height in mm of every outline on a page */
function outlines(string $svg): array
{
    $sizes = [];
    preg_match_all('/<path d="([^"]*Z)"/', $svg, $paths);
    foreach ($paths[1] as $d) {
        preg_match_all('/(-?[\d.]+) (-?[\d.]+)/', $d, $points);
        $sizes[] = [max($points[1]) - min($points[1]), max($points[2]) - min($points[2])];
    }

    return $sizes;
}

it('draws every part from the front and from the side at true size', function () {
    $pages = SizeCards::pages(cardsPlan(), Paper::A4);
    expect($pages)->toHaveCount(1);
    $sizes = outlines($pages[0]);
    // Sizes are published by the part itself: width x height, then depth x height.
    expect($sizes)->toHaveCount(6);
    foreach ([[50, 44], [48, 44], [40, 40], [8, 40], [12, 30], [12, 30]] as $i => $size) {
        expect($sizes[$i])->toEqualWithDelta($size, 0.3);
    }
    expect($pages[0])->toContain('arm x 2')->toContain('springy')->toContain('each')->toContain('viewBox="0 0 210 297"');
    // A ruler of 100 mm with a mark for every millimetre.
    expect(substr_count($pages[0], 'v2') + substr_count($pages[0], 'v3.4') + substr_count($pages[0], 'v5'))->toBe(101);
});

it('keeps cards on the paper and apart from each other, whatever the figure', function (Paper $paper) {
    [$width, $height] = $paper->sizeMm();
    foreach (range(1, 12) as $seed) {
        $plan = Plan::of(Figures::read(Figures::random($seed, 14, 0)));
        foreach (SizeCards::pages($plan, $paper) as $page) {
            preg_match_all(
                '/<g transform="translate\((\S+) (\S+)\)"><rect x="0" y="0" width="(\S+)" height="(\S+)"/',
                $page,
                $cards,
                PREG_SET_ORDER,
            );
            foreach ($cards as $i => [, $x, $y, $w, $h]) {
                $isTile = $w > $width - 20 || $h > $height - 42;
                expect($isTile || ($x + $w <= $width - 9.9 && $y + $h <= $height - 31.9))->toBeTrue();
                foreach (array_slice($cards, 0, $i) as [, $a, $b, $c, $d]) {
                    expect($x + 1 > $a + $c || $a + 1 > $x + $w || $y + 1 > $b + $d || $b + 1 > $y + $h)->toBeTrue();
                }
            }
        }
    }
})->with(Paper::cases());

it('shows a part larger than the paper on as many pages as it takes', function () {
    $plan = Plan::of(Figures::read(Figures::document([Figures::part('moon', 'ball', 320, 320, 320, 0, 160, 0)])));
    $pages = SizeCards::pages($plan, Paper::Letter);
    expect(count($pages))
        ->toBe(4 * 2)
        ->and(SizeCards::sheet($plan, Paper::Letter))
        ->toContain('width="215.9mm"');
});
