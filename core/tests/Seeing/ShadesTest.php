<?php

declare(strict_types=1);

namespace Impa\Tests\Shades;

use GdImage;
use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Wishes;
use Impa\Tests\Support\Pixels;

/**
 * A disc on white, its colour by how far from its middle a place lies, from 0 to 1.
 *
 * @param  callable(float): array{float, float, float}  $colour
 * @return array<string, mixed> what is seen
 */
function disc(callable $colour, float $shades = 0.2): array
{
    $png = Pixels::png(static function (GdImage $image) use ($colour): void {
        for ($y = 0; $y < 200; $y++) {
            for ($x = 0; $x < 200; $x++) {
                $far = hypot($x - 100, $y - 100) / 80;
                [$r, $g, $b] = $far < 1 ? array_map(static fn (float $c): int => (int) min(255, $c), $colour($far)) : [255, 255, 255];
                imagesetpixel($image, $x, $y, $r << 16 | $g << 8 | $b);
            }
        }
    }, 200, 200);
    $document = Breakdown::of($png, Wishes::of(80.0, $shades))->document;

    return json_decode(Figure::fromJson((string) json_encode($document))->toJson(), true);
}

/** @return callable(float): array{float, float, float} a violet that grows darker outwards, by so much in all */
function shaded(float $by): callable
{
    return static fn (float $far): array => array_map(static fn (int $c): float => $c * (1 + $by * (0.4 - $far)), [138, 95, 160]);
}

it('makes one colour of soft shading, which tells its darker and its lighter shade', function () {
    $document = disc(shaded(0.35));
    expect($document['parts'])->toHaveCount(1)
        ->and($document['details'])->toBe([])
        ->and($document['colours'])->toHaveCount(1);
    [$darker, $lighter] = $document['colours'][0]['shades'];
    $l = static fn (string $hex): float => Srgb::hex($hex)->lab()->l;
    expect($l($darker['hex']))->toBeLessThan($l($document['colours'][0]['hex']) - 4)
        ->and($l($lighter['hex']))->toBeGreaterThan($l($document['colours'][0]['hex']) + 4)
        ->and($darker['name'])->toBe('Darker violet')
        // A ring from 0.79 of the way out on, and a disc to 0.39 of it, as far as the lightness says.
        ->and($darker['share'] + $lighter['share'])->toBeGreaterThan(0.2)->toBeLessThan(0.6);
});

it('leaves a colour that is drawn flat without shades, and one with an edge a colour of its own', function () {
    expect(disc(static fn (): array => [138, 95, 160])['colours'][0])->not->toHaveKey('shades');
    $two = disc(static fn (float $far): array => $far < 0.5 ? [158, 115, 180] : [118, 75, 140]);
    expect($two['colours'])->toHaveCount(2)->and($two['details'])->toHaveCount(1);
});

it('does not make one of two hues that run into each other', function () {
    $two = disc(static fn (float $far): array => [200 - 120 * $far, 80 + 10 * $far, 80 + 110 * $far]);
    expect(count($two['colours']))->toBeGreaterThan(1);
});

it('merges the more the felter wishes', function () {
    $colours = array_map(static fn (float $wish): int => count(disc(shaded(0.8), $wish)['colours']), [0.0, 0.4, 1.0]);
    expect($colours[0])->toBeGreaterThan($colours[2]);
    expect($colours[1])->toBeLessThanOrEqual($colours[0])->toBeGreaterThanOrEqual($colours[2])->and($colours[2])->toBe(1);
});
