<?php

declare(strict_types=1);

namespace Impa\Tests\RuledPaper;

use Impa\Raster\Raster;
use Impa\Seeing\Foreground\Background;
use Impa\Tests\Support\Pixels;

const SIDE = 240;
const PAPER = 0xFBFAF6;
const RULE = 0xA8C4E0;
const TABLE = 0x8A6040;

/** A drawing on paper, with what is drawn on the paper before it. @param  callable(\GdImage): mixed  $beneath */
function on(callable $beneath, bool $isFigure = true): Background
{
    return Background::of(Raster::decode(Pixels::png(static function (\GdImage $image) use ($beneath, $isFigure): void {
        imagefill($image, 0, 0, PAPER);
        $beneath($image);
        if ($isFigure) {
            imagefilledellipse($image, 120, 130, 130, 150, 0xC04050);
        }
    }, SIDE, SIDE)));
}

/** @return callable(\GdImage): void lines across, climbing by so many pixels, and downwards where asked */
function lines(int $apart, int $climb = 0, bool $isSquared = false): callable
{
    return static function (\GdImage $image) use ($apart, $climb, $isSquared): void {
        for ($at = 10 - abs($climb); $at < SIDE; $at += $apart) {
            imageline($image, 0, $at, SIDE - 1, $at + $climb, RULE);
            if ($isSquared) {
                imageline($image, $at, 0, $at - $climb, SIDE - 1, RULE);
            }
        }
    };
}

/** @return callable(\GdImage): void a table beyond the sheet: so deep at the left, top, right and bottom, one edge askew by so much */
function table(array $deep, int $askew = 0): callable
{
    return static function (\GdImage $image) use ($deep, $askew): void {
        [$left, $top, $right, $bottom] = $deep;
        imagefill($image, 0, 0, TABLE);
        [$right, $bottom] = [SIDE - 1 - $right, SIDE - 1 - $bottom];
        imagefilledpolygon($image, [$left, $top, $right, $top, $right, $bottom - $askew, $left, $bottom], PAPER);
    };
}

it('tells the lines of the paper and the table about it from the figure', function (callable $beneath, float $share = 0.012) {
    $plain = on(static fn () => null)->count;
    $seen = on($beneath);
    expect($seen->count)->toEqualWithDelta($plain, $share * $plain)->and($seen->notices)->toBe([]);
})->with([
    'ruled' => [lines(24)],
    'squared' => [lines(17, 0, true)],
    'ruled and askew' => [lines(24, 7)],
    // Where the other lines part them, the ends of lines that a corner cuts off stay.
    'squared and askew' => [lines(20, -5, true), 0.03],
    'a table below' => [table([0, 0, 0, 30])],
    'a table askew' => [table([0, 0, 0, 25], 14)],
    'a table at a corner' => [table([0, 0, 20, 24])],
    'a frame' => [table([6, 6, 6, 6])],
]);

it('leaves what is drawn: a line that ends, a beam, a figure that is cut off, a hill', function (callable $beneath, int $least) {
    expect(on($beneath, false)->count)->toBeGreaterThan($least);
})->with([
    'a line that ends' => [fn ($i) => imagefilledrectangle($i, 0, 120, 150, 121, RULE), 250],
    'a beam' => [fn ($i) => imagefilledrectangle($i, 0, 100, SIDE - 1, 112, RULE), 2500],
    'cut off' => [fn ($i) => imagefilledellipse($i, 120, 240, 230, 200, 0xC04050), 15_000],
    'a hill' => [fn ($i) => imagefilledpolygon($i, [0, 239, 0, 200, 120, 120, 239, 200, 239, 239], 0x40A060), 15_000],
]);
