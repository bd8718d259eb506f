<?php

declare(strict_types=1);

namespace Impa\Tests\Render;

use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Render\Board;
use Impa\Render\Painter;
use Impa\Render\RenderRefused;
use Impa\Render\View;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger\Ledger;

/** @return array{int, int, int, int} red, green, blue, alpha (127 is clear) */
function pixel(string $png, float $x, float $y): array
{
    $image = imagecreatefromstring($png);
    $p = imagecolorsforindex($image, imagecolorat($image, (int) ($x * imagesx($image)), (int) ($y * imagesy($image))));

    return array_values($p);
}

/** Share of the picture that is painted. */
function painted(string $png): float
{
    $image = imagecreatefromstring($png);
    $count = 0;
    for ($y = 0; $y < imagesy($image); $y++) {
        for ($x = 0; $x < imagesx($image); $x++) {
            $count += (127 - (imagecolorat($image, $x, $y) >> 24)) / 127;
        }
    }

    return $count / imagesx($image) / imagesy($image);
}

function lonely(array $part, array $details = []): Figure
{
    return Figures::read(Figures::document([$part], $details));
}

it('paints a ball as a disc of the right area, on a clear ground', function () {
    $png = Painter::png(lonely(Figures::part('a', 'ball', 40, 40, 40)), View::Front, 200);
    // The ball fills the square but for a rim of 4 % each side.
    expect(painted($png))
        ->toEqualWithDelta((M_PI / 4) * 0.92 ** 2, 0.01)
        ->and(pixel($png, 0.5, 0.5))
        ->toBe([0x2F, 0x8F, 0x86, 0])
        ->and(pixel($png, 0.02, 0.02)[3])
        ->toBe(127);
});

it('leaves the hole of a ring open', function () {
    $png = Painter::png(lonely(Figures::part('a', 'ring', 40, 40, 8)), View::Front, 200);
    expect(painted($png))
        ->toEqualWithDelta((M_PI / 4) * 0.92 ** 2 * (1 - 0.6 ** 2), 0.01)
        ->and(pixel($png, 0.5, 0.5)[3])
        ->toBe(127);
});

it('smooths edges', function () {
    $image = imagecreatefromstring(Painter::png(lonely(Figures::part('a', 'ball', 40, 40, 40)), View::Front, 100));
    $alphas = [];
    for ($x = 0; $x < 100; $x++) {
        $alphas[imagecolorat($image, $x, 20) >> 24] = true;
    }
    expect(count($alphas))->toBeGreaterThan(2);
});

it('shows the face from the front, not from the back, and from the side on the left', function () {
    $figure = lonely(Figures::part('a', 'ball', 40, 40, 40, 0, 20), [
        ['key' => 'eye', 'on' => 'a', 'kind' => 'disc', 'widthMm' => 16, 'xMm' => 0, 'colour' => 'black'],
    ]);
    $black = static fn (View $view, float $x): bool => pixel(Painter::png($figure, $view, 200), $x, 0.5)[1] < 60;
    expect($black(View::Front, 0.5))
        ->toBeTrue()
        ->and($black(View::Back, 0.5))
        ->toBeFalse()
        ->and($black(View::Side, 0.06))
        ->toBeTrue()
        ->and($black(View::Side, 0.94))
        ->toBeFalse();
});

it('paints what is nearer over what is farther, from every side', function () {
    $figure = Figures::read(
        Figures::document([
            Figures::part('near', 'ball', 40, 40, 40, 0, 20, 30, ['colour' => 'black']),
            Figures::part('far', 'ball', 40, 40, 40, 0, 20, -30),
        ]),
    );
    expect(pixel(Painter::png($figure, View::Front, 100), 0.5, 0.5)[0])
        ->toBeLessThan(60)
        ->and(pixel(Painter::png($figure, View::Back, 100), 0.5, 0.5)[1])
        ->toBeGreaterThan(100);
});

it('mirrors a twin', function () {
    $figure = lonely(Figures::part('a', 'cone', 20, 30, 20, 30, 20, 0, ['mirror' => true, 'turnDeg' => ['z' => 40]]));
    $image = imagecreatefromstring(Painter::png($figure, View::Front, 120));
    $unlike = 0;
    for ($y = 0; $y < 120; $y++) {
        for ($x = 0; $x < 60; $x++) {
            $unlike += (int) (abs((imagecolorat($image, $x, $y) >> 24) - (imagecolorat($image, 119 - $x, $y) >> 24)) > 64);
        }
    }
    expect($unlike)->toBeLessThan(20);
});

it('lies over the drawing in its own pixels', function () {
    $figure = Figures::read(
        Figures::document(
            [Figures::part('a', 'ball', 40, 40, 40, 10, 20)],
            [],
            ['picture' => ['widthPx' => 300, 'heightPx' => 200, 'mmPerPx' => 0.5, 'originPx' => [100, 180]]],
        ),
    );
    $png = Painter::match($figure);
    $size = getimagesizefromstring($png);
    expect([$size[0], $size[1]])
        ->toBe([300, 200])
        // The ball's middle lies 20 px right of the origin and 40 px above it, its radius is 40 px.
        ->and(pixel($png, 120 / 300, 140 / 200)[3])
        ->toBe(0)
        ->and(pixel($png, 158 / 300, 140 / 200)[3])
        ->toBe(0)
        ->and(pixel($png, 163 / 300, 140 / 200)[3])
        ->toBe(127);
});

it('takes a ground, and refuses what cannot be drawn', function () {
    $figure = lonely(Figures::part('a', 'ball', 40, 40, 40));
    expect(pixel(Painter::png($figure, View::Top, 64, Srgb::hex('#ffffff')), 0.01, 0.01))
        ->toBe([255, 255, 255, 0])
        ->and(fn () => Painter::match($figure))
        ->toThrow(RenderRefused::class, 'no "picture"')
        ->and(fn () => Painter::png($figure, View::Front, 9000))
        ->toThrow(RenderRefused::class, '4096')
        ->and(painted(Painter::png(Figures::read(Figures::document([])), View::Front, 64)))
        ->toBe(0.0);
});

it('gives the screens outlines and rings for random figures, without a hole in the numbers', function () {
    foreach (range(1, 6) as $seed) {
        $figure = Figures::read(Figures::random($seed));
        $board = Board::flat(Ledger::of($figure, Densities::house()));
        expect(json_encode([$board, Board::turning($figure)]))
            ->toBeString()
            ->and(array_keys($board['parts']))
            ->toBe(array_keys($figure->parts));
        foreach ($figure->parts as $key => $part) {
            expect($board['parts'][$key]['pieces'])->toHaveCount($part->count());
        }
    }
});

it('lets the ground show through what is cut out of layers, from before and from behind, and not from the side', function () {
    $document = Figures::document([Figures::part('a', 'plate', 80, 80, 1.5, 0, 40, 0, [])], [], ['flat' => [
        'way' => 'sheet',
        'openings' => [['key' => 'eye', 'pointsMm' => [[10, 30], [30, 30], [30, 50], [10, 50]]]],
    ]]);
    $document['parts'][0]['shape']['outline'] = 'rectangle';
    $figure = Figures::read($document);
    // 80 mm fill 92 % of the picture: the opening's middle is 20 mm to the right of its own.
    [$right, $left] = [0.5 + 0.92 * 20 / 80, 0.5 - 0.92 * 20 / 80];
    $front = Painter::png($figure, View::Front, 200);
    expect(pixel($front, $right, 0.5)[3])->toBe(127)->and(pixel($front, $left, 0.5)[3])->toBe(0)
        ->and(painted($front))->toEqualWithDelta(0.92 ** 2 * (1 - 400 / 6400), 0.01);
    $back = Painter::png($figure, View::Back, 200, Srgb::hex('#102030'));
    expect(pixel($back, $left, 0.5))->toBe([0x10, 0x20, 0x30, 0])->and(pixel($back, $right, 0.5))->not->toBe([0x10, 0x20, 0x30, 0]);
});
