<?php

declare(strict_types=1);

use Impa\Colour\Ciede2000;
use Impa\Colour\Contrast;
use Impa\Colour\Lab;
use Impa\Colour\Srgb;

it('gives the published differences of Sharma, Wu and Dalal (2005)', function () {
    $pairs = require __DIR__.'/../fixtures/ciede2000-sharma.php';
    expect($pairs)->toHaveCount(34);
    foreach ($pairs as [$l, $a, $b, $l2, $a2, $b2, $published]) {
        expect(Ciede2000::between(Lab::of($l, $a, $b), Lab::of($l2, $a2, $b2)))
            ->toEqualWithDelta($published, 0.00006)
            ->and(Ciede2000::between(Lab::of($l2, $a2, $b2), Lab::of($l, $a, $b)))
            ->toEqualWithDelta($published, 0.00006);
    }
});

it('agrees with culori on 300 random pairs, in Lab, in difference and in WCAG contrast', function () {
    $pairs = json_decode((string) file_get_contents(__DIR__.'/../fixtures/colour-culori.json'), true);
    expect($pairs)->toHaveCount(300);
    foreach ($pairs as $pair) {
        $lab = Srgb::hex($pair['one'])->lab();
        expect([$lab->l, $lab->a, $lab->b])
            ->toEqualWithDelta($pair['lab'], 0.02)
            ->and(Ciede2000::between($lab, Srgb::hex($pair['two'])->lab()))
            ->toEqualWithDelta($pair['difference'], 0.03)
            ->and(
                Srgb::hex($pair['one'])
                    ->light()
                    ->contrast(Srgb::hex($pair['two'])->light()),
            )
            ->toEqualWithDelta($pair['wcag'], 0.002 * $pair['wcag']);
    }
    // WCAG 2: white on black is 21 to 1, a colour on itself 1 to 1.
    expect(
        Srgb::hex('#ffffff')
            ->light()
            ->contrast(Srgb::hex('#000000')->light()),
    )
        ->toEqualWithDelta(21.0, 1e-9)
        ->and(
            Srgb::hex('#123456')
                ->light()
                ->contrast(Srgb::hex('#123456')->light()),
        )
        ->toBe(1.0);
});

it('places white, black and the sRGB primaries as IEC 61966-2-1 does', function () {
    // Lab of the primaries for D65: the usual published values, from memory to 0.01.
    $lab = static fn (string $hex): array => [Srgb::hex($hex)->lab()->l, Srgb::hex($hex)->lab()->a, Srgb::hex($hex)->lab()->b];
    expect($lab('#ffffff'))
        ->toEqualWithDelta([100.0, 0.0, 0.0], 0.02)
        ->and($lab('#000000'))
        ->toEqualWithDelta([0.0, 0.0, 0.0], 0.001)
        ->and($lab('#ff0000'))
        ->toEqualWithDelta([53.24, 80.09, 67.2], 0.02)
        ->and($lab('#00ff00'))
        ->toEqualWithDelta([87.73, -86.18, 83.18], 0.02)
        ->and($lab('#0000ff'))
        ->toEqualWithDelta([32.3, 79.19, -107.86], 0.02)
        ->and(Srgb::linear(10))
        ->toEqualWithDelta(10 / 255 / 12.92, 1e-12)
        ->and(Srgb::linear(128))
        ->toEqualWithDelta(0.21586, 0.00001);
});

it('keeps hex, and refuses what is not a colour', function () {
    expect(Srgb::hex('#2F8f86')->toHex())->toBe('#2f8f86');
    Srgb::hex('teal');
})->throws(InvalidArgumentException::class, 'not a colour');

it('calls black on charcoal lost', function () {
    $read = static fn (string $one, string $two): Contrast => Contrast::of(
        Ciede2000::between(Srgb::hex($one)->lab(), Srgb::hex($two)->lab()),
    );
    // docs/trade.md, Colours: black on charcoal hardly reads (common practice).
    expect($read('#000000', '#1c1c1e'))->toBe(Contrast::Lost)->and($read('#000000', '#f4efe6'))->toBe(Contrast::Crisp);
});
