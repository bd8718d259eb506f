<?php

declare(strict_types=1);

namespace Impa\Tests\LocalMetric;

use Impa\Colour\Blend;
use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;
use Impa\Stash\Mixing\LocalMetric;

const TARGETS = ['#2f8f86', '#1b1b1d', '#f8f4ec', '#c03a2b', '#7a7a7a', '#e8c23a', '#3b2a8c'];

/** @param  list<float>  $v */
function length(array $v): float
{
    return sqrt(array_sum(array_map(static fn (float $x): float => $x ** 2, $v)));
}

/** A step of 2 % of 1 + f along each channel named. */
function stepped(Srgb $target, int ...$along): array
{
    $at = Blend::point($target->light());
    foreach ($along as $c) {
        $at[$c] += 0.02 * (1 + $at[$c]);
    }

    return $at;
}

function difference(Srgb $target, array $point): float
{
    return Ciede2000::between($target->lab(), Blend::light($point)->lab());
}

it('is CIEDE2000 itself a step away along a channel or along two, and nothing at the wanted colour', function () {
    foreach (TARGETS as $hex) {
        $target = Srgb::hex($hex);
        $points = array_map(static fn (array $along): array => stepped($target, ...$along), [[], [0], [1], [2], [0, 1], [0, 2], [1, 2]]);
        foreach (LocalMetric::inDeltaE($target, $points) as $i => $vector) {
            expect(length($vector))->toEqualWithDelta(difference($target, $points[$i]), 2e-4);
        }
    }
});

it('is CIEDE2000 within a third for small steps in any direction', function () {
    mt_srand(5);
    foreach (TARGETS as $hex) {
        $target = Srgb::hex($hex);
        $at = Blend::point($target->light());
        for ($n = 0; $n < 20; $n++) {
            $point = array_map(static fn (float $f): float => $f + (1 + $f) * mt_rand(-10, 10) / 1000, $at);
            $asked = difference($target, $point);
            expect(length(LocalMetric::inDeltaE($target, [$point])[0]))->toEqualWithDelta($asked, max($asked / 3, 0.05));
        }
    }
});

it('grows in proportion to how far away a wool lies, so that mixes are weighed along straight lines', function () {
    $target = Srgb::hex('#2f8f86');
    $at = Blend::point($target->light());
    $near = array_map(static fn (float $f, float $by): float => $f + $by, $at, [0.4, -0.2, 0.3]);
    $far = array_map(static fn (float $f, float $by): float => $f + 3 * $by, $at, [0.4, -0.2, 0.3]);
    [$one, $three] = LocalMetric::inDeltaE($target, [$near, $far]);
    expect($three)->toEqualWithDelta(array_map(static fn (float $x): float => 3 * $x, $one), 1e-9);
});

/** CIE 94 for graphic arts, as its standard (CIE 116-1995) has it: k 1, 0.045, 0.015; S by the wanted colour's chroma. */
function cie94(Srgb $wanted, Srgb $other): float
{
    [$one, $two] = [$wanted->lab(), $other->lab()];
    [$c1, $c2] = [hypot($one->a, $one->b), hypot($two->a, $two->b)];
    $hue2 = max(0.0, ($two->a - $one->a) ** 2 + ($two->b - $one->b) ** 2 - ($c2 - $c1) ** 2);

    return sqrt(($two->l - $one->l) ** 2 + (($c2 - $c1) / (1 + 0.045 * $c1)) ** 2 + $hue2 / (1 + 0.015 * $c1) ** 2);
}

it('weighs chroma and hue in CIE L*a*b* as CIE 94 does', function () {
    $pairs = [
        ['#2f8f86', '#358a84'], ['#c03a2b', '#bb4130'], ['#e8c23a', '#e2bf48'], ['#3b2a8c', '#412f8b'], ['#7a7a7a', '#807878'],
    ];
    foreach ($pairs as [$hex, $other]) {
        [$target, $near] = [Srgb::hex($hex), Srgb::hex($other)];
        $vector = LocalMetric::inLab($target, [Blend::point($near->light())])[0];
        expect(length($vector))
            ->toEqualWithDelta(cie94($target, $near), 0.02 * cie94($target, $near))
            ->and($vector[0])
            ->toEqualWithDelta($near->lab()->l - $target->lab()->l, 1e-6);
    }
});

it('tells lighter, more vivid and turned in hue apart, each along its own direction', function () {
    // A dull red: darker, paler and a yellower one of its lightness and chroma, made in L*a*b*.
    $target = Srgb::hex('#a5645f');
    $to = static fn (string $hex): array => LocalMetric::inLab($target, [Blend::point(Srgb::hex($hex)->light())])[0];
    [$grey, $vivid, $yellow] = [$to('#7e7878'), $to('#c34a45'), $to('#956c41')];
    expect($grey[1])
        ->toBeLessThan(-5.0)
        ->and($vivid[1])
        ->toBeGreaterThan(5.0)
        ->and(abs($grey[2]))
        ->toBeLessThan(1.5)
        ->and($yellow[2])
        ->toBeGreaterThan(8.0)
        ->and($to('#8b4b47')[0])
        ->toBeLessThan(-8.0);
});
