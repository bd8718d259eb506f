<?php

declare(strict_types=1);

namespace Impa\Tests\Blend;

use Impa\Colour\Blend;
use Impa\Colour\Ciede2000;
use Impa\Colour\GreyCard;
use Impa\Colour\Light;
use Impa\Colour\Srgb;
use Impa\Raster\Raster;
use Impa\Raster\Swab;
use Impa\Stash\Mixing\Recipes;
use Impa\Stash\Mixing\Swatch;
use Impa\Tests\Support\Pixels;

/** @return array<int, Srgb> so many made-up wools, numbered from 1 */
function wools(int $seed, int $count): array
{
    mt_srand($seed);
    $wools = [];
    for ($i = 1; $i <= $count; $i++) {
        $wools[$i] = Srgb::of(mt_rand(15, 245), mt_rand(15, 245), mt_rand(15, 245));
    }

    return $wools;
}

/** The least difference of all mixes of up to three wools in steps of 5 %, tried one by one. */
function leastOfAll(Srgb $target, array $wools): float
{
    $lights = array_map(static fn (Srgb $w): Light => $w->light(), array_values($wools));
    $least = INF;
    $count = count($lights);
    for ($i = 0; $i < $count; $i++) {
        for ($j = $i; $j < $count; $j++) {
            for ($k = $j; $k < $count; $k++) {
                for ($b = 0; $b <= 20; $b++) {
                    for ($c = 0; $c <= 20 - $b; $c++) {
                        $mix = Blend::of([$lights[$i], $lights[$j], $lights[$k]], [(20 - $b - $c) / 20, $b / 20, $c / 20]);
                        $least = min($least, Ciede2000::between($target->lab(), $mix->lab()));
                    }
                }
            }
        }
    }

    return $least;
}

describe('a blend of wools', function () {
    it('follows Stearns and Noechel (1944) with M = 0.15', function () {
        // By hand from the published relation: f(0.05) = 0.95 / 0.016, f(0.85) = 0.15 / 0.136, half of each, and back.
        expect(Blend::f(0.05))
            ->toEqualWithDelta(59.375, 1e-9)
            ->and(Blend::f(0.85))
            ->toEqualWithDelta(1.102941, 1e-6)
            ->and(Blend::reflectance((59.375 + 1.102941) / 2))
            ->toEqualWithDelta(0.134211, 1e-6);
    });

    it('gives the pure wools at both ends, and back from f what went in', function () {
        foreach ([0.0, 0.01, 0.2, 0.5, 0.99, 1.0] as $r) {
            expect(Blend::reflectance(Blend::f($r)))->toEqualWithDelta($r, 1e-12);
        }
        $teal = Srgb::hex('#2f8f86');
        $rose = Srgb::hex('#d88498');
        expect(
            Blend::of([$teal->light(), $rose->light()], [1.0, 0.0])
                ->srgb()
                ->toHex(),
        )
            ->toBe('#2f8f86')
            ->and(
                Blend::of([$teal->light(), $rose->light()], [0.0, 1.0])
                    ->srgb()
                    ->toHex(),
            )
            ->toBe('#d88498');
    });

    it('makes a grey of black and white that is darker than their mean, and darker with every share of black', function () {
        $black = Srgb::hex('#1a1a1a')->light();
        $white = Srgb::hex('#f5f5f5')->light();
        $before = INF;
        foreach (range(1, 9) as $tenths) {
            $share = $tenths / 10;
            $grey = Blend::of([$black, $white], [$share, 1 - $share])->green;
            expect($grey)
                ->toBeLessThan($share * $black->green + (1 - $share) * $white->green)
                ->toBeLessThan($before);
            $before = $grey;
        }
    });

    it('is the same whatever the order, and the same again in two steps', function () {
        [$a, $b, $c] = array_map(static fn (Srgb $w): Light => $w->light(), array_values(wools(3, 3)));
        $one = Blend::of([$a, $b, $c], [0.5, 0.3, 0.2]);
        $two = Blend::of([$c, $a, $b], [0.2, 0.5, 0.3]);
        $stepwise = Blend::of([Blend::of([$a, $b], [0.625, 0.375]), $c], [0.8, 0.2]);
        foreach (['red', 'green', 'blue'] as $channel) {
            expect($two->{$channel})
                ->toEqualWithDelta($one->{$channel}, 1e-12)
                ->and($stepwise->{$channel})
                ->toEqualWithDelta($one->{$channel}, 1e-9);
        }
    });

    it('goes from one wool to another in steps that look alike', function () {
        $ramp = Blend::ramp(Srgb::hex('#f2e6c8')->light(), Srgb::hex('#1d3b5c')->light(), 6);
        expect($ramp)
            ->toHaveCount(6)
            ->and($ramp[0]['share'])
            ->toEqualWithDelta(0.0, 1e-9)
            ->and($ramp[5]['share'])
            ->toEqualWithDelta(1.0, 1e-9)
            ->and($ramp[0]['light']->srgb()->toHex())
            ->toBe('#f2e6c8')
            ->and($ramp[5]['light']->srgb()->toHex())
            ->toBe('#1d3b5c');
        $steps = [];
        for ($i = 1; $i < 6; $i++) {
            $steps[] = Ciede2000::between($ramp[$i - 1]['light']->lab(), $ramp[$i]['light']->lab());
            expect($ramp[$i]['share'])->toBeGreaterThan($ramp[$i - 1]['share']);
        }
        expect(max($steps) / min($steps))->toBeLessThan(1.25);
    });

    it('stays where it is on a ramp between two wools of one colour', function () {
        $same = Srgb::hex('#808080')->light();
        expect(array_map(static fn (array $s): string => $s['light']->srgb()->toHex(), Blend::ramp($same, $same, 3)))->toBe([
            '#808080',
            '#808080',
            '#808080',
        ]);
    });
});

describe('recipes', function () {
    it('are as good as the best of all that there are, within 0.2', function (int $seed) {
        $wools = wools($seed, 9);
        mt_srand($seed + 100);
        $target = Srgb::of(mt_rand(20, 235), mt_rand(20, 235), mt_rand(20, 235));
        $found = min(array_map(static fn ($r): float => $r->difference, Recipes::for($target, $wools, [], 3, 500)));
        $least = leastOfAll($target, $wools);
        expect($found)
            ->toBeLessThan($least + 0.2)
            ->toBeGreaterThan($least - 1e-6);
    })->with([1, 2, 3, 4, 5, 6]);

    it('have shares of 5 % that sum to 100, and look as they are said to', function () {
        $wools = wools(11, 14);
        $target = Srgb::hex('#5a7f6a');
        foreach (Recipes::for($target, $wools) as $recipe) {
            expect(array_sum($recipe->percent))->toBe(100);
            foreach ($recipe->percent as $percent) {
                expect($percent % 5)
                    ->toBe(0)
                    ->and($percent)
                    ->toBeGreaterThan(0);
            }
            $shares = array_map(static fn (int $p): float => $p / 100, $recipe->percent);
            expect($recipe->difference)
                ->toEqualWithDelta(Ciede2000::between($target->lab(), Recipes::predict($wools, $shares)->lab()), 1e-9)
                ->and(array_sum($recipe->grams(7.5)))
                ->toEqualWithDelta(7.5, 1e-9);
        }
    });

    it('never find worse with more wools in the stash', function (int $seed) {
        $wools = wools($seed, 16);
        $target = Srgb::of((10 * $seed) % 256, (37 * $seed) % 256, (91 * $seed) % 256);
        $before = INF;
        foreach ([1, 2, 4, 8, 12, 16] as $count) {
            $best = min(
                array_map(
                    static fn ($r): float => $r->difference,
                    Recipes::for($target, array_slice($wools, 0, $count, true), [], 3, 900),
                ),
            );
            expect($best)->toBeLessThanOrEqual($before + 1e-9);
            $before = $best;
        }
    })->with([3, 8, 21, 40]);

    it('take one wool alone where it is the colour, and fewer wools where more bring next to nothing', function () {
        $wools = wools(5, 12);
        $best = Recipes::for($wools[7], $wools)[0];
        expect($best->percent)
            ->toBe([7 => 100])
            ->and($best->difference)
            ->toEqualWithDelta(0, 1e-9);
    });

    it('come in order of their difference, a wool more counted as one that is just visible', function (int $seed) {
        $found = Recipes::for(Srgb::hex('#7a6f8a'), wools($seed, 14), [], 3, 40);
        $worth = array_map(static fn ($r): float => $r->difference + count($r->percent), $found);
        $sorted = $worth;
        sort($sorted);
        expect($worth)->toBe($sorted)->toHaveCount(40);
    })->with([2, 9]);

    it('say of each set of wools its best mix: no twentieth given from one to another comes nearer', function (int $seed) {
        $wools = wools($seed, 8);
        $target = Srgb::hex('#6a8a5f');
        foreach (Recipes::for($target, $wools, [], 3, 30) as $recipe) {
            foreach (array_keys($recipe->percent) as $from) {
                foreach (array_keys($recipe->percent) as $to) {
                    $moved = [$from => $recipe->percent[$from] - 5] + [$to => $recipe->percent[$to] + 5] + $recipe->percent;
                    if ($from !== $to && $moved[$from] > 0) {
                        $shares = array_map(static fn (int $p): float => $p / 100, $moved);
                        expect(Ciede2000::between($target->lab(), Recipes::predict($wools, $shares)->lab()))
                            ->toBeGreaterThanOrEqual($recipe->difference - 1e-9);
                    }
                }
            }
        }
    })->with([4, 6]);

    it('find in a large stash the pair that makes the colour, though many wools are nearer by themselves', function (int $others) {
        mt_srand(3);
        $wools = [1 => Srgb::hex('#f4f1ea'), 2 => Srgb::hex('#161616')];
        $target = Recipes::predict($wools, [1 => 0.6, 2 => 0.4])->srgb();
        // All on one side of it: no mix of these is as grey.
        for ($i = 0; $i < $others; $i++) {
            $wools[] = Srgb::of(150 + mt_rand(0, 25), 70 + mt_rand(0, 15), 75 + mt_rand(0, 15));
        }
        $best = Recipes::for($target, $wools)[0];
        expect($best->percent)->toBe([1 => 60, 2 => 40])->and($best->difference)->toBeLessThan(0.5);
    })->with([58, 59, 400]);

    it('are none for an empty stash, and one for one wool', function () {
        expect(Recipes::for(Srgb::hex('#123456'), []))
            ->toBe([])
            ->and(Recipes::for(Srgb::hex('#123456'), [4 => Srgb::hex('#654321')]))
            ->toHaveCount(1);
    });

    it('take two wools at most when two are asked for', function () {
        expect(
            max(array_map(static fn ($r): int => count($r->percent), Recipes::for(Srgb::hex('#7a5f4a'), wools(2, 10), [], 2, 60))),
        )->toBe(2);
    });
});

describe('the felter\'s own swatches', function () {
    $wools = [1 => Srgb::hex('#f4efe4'), 2 => Srgb::hex('#274f7c'), 3 => Srgb::hex('#c0453a')];

    it('make the prediction of that very mix what it became', function () use ($wools) {
        $swatch = new Swatch([1 => 0.6, 2 => 0.4], Srgb::hex('#8fa3b8'));
        expect(
            Recipes::predict($wools, [1 => 0.6, 2 => 0.4], [$swatch])
                ->srgb()
                ->toHex(),
        )->toBe('#8fa3b8');
    });

    it('pull mixes like it, the more alike the more, and leave pure wools and other mixes alone', function () use ($wools) {
        $swatch = new Swatch([1 => 0.6, 2 => 0.4], Srgb::hex('#8fa3b8'));
        $moved = static fn (array $shares): float => Ciede2000::between(
            Recipes::predict($wools, $shares)->lab(),
            Recipes::predict($wools, $shares, [$swatch])->lab(),
        );
        expect($moved([1 => 0.6, 2 => 0.4]))
            ->toBeGreaterThan($moved([1 => 0.7, 2 => 0.3]))
            ->and($moved([1 => 0.7, 2 => 0.3]))
            ->toBeGreaterThan($moved([1 => 0.95, 2 => 0.05]))
            ->and($moved([1 => 1.0]))
            ->toEqualWithDelta(0, 1e-9)
            ->and($moved([2 => 1.0]))
            ->toEqualWithDelta(0, 1e-9)
            ->and($moved([3 => 1.0]))
            ->toEqualWithDelta(0, 1e-9);
    });

    it('say on the recipe that they had a say, and change which is best', function () use ($wools) {
        $target = Srgb::hex('#8fa3b8');
        $best = Recipes::for($target, $wools, [new Swatch([1 => 0.6, 2 => 0.4], $target)])[0];
        expect($best->isCorrected)
            ->toBeTrue()
            ->and($best->percent)
            ->toBe([1 => 60, 2 => 40])
            ->and($best->difference)
            ->toBeLessThan(0.01)
            ->and(Recipes::for($target, $wools)[0]->isCorrected)
            ->toBeFalse();
    });

    it('are let be where one of their wools is gone', function () use ($wools) {
        $swatch = new Swatch([1 => 0.5, 9 => 0.5], Srgb::hex('#000000'));
        expect(Recipes::predict($wools, [1 => 0.5, 2 => 0.5], [$swatch]))->toEqual(
            Recipes::predict($wools, [1 => 0.5, 2 => 0.5]),
        );
    });
});

describe('a wool in a photo', function () {
    it('loses the colour of the light by the grey card beside it', function () {
        $wool = Srgb::hex('#2f8f86')->light();
        // A warm, dim lamp: each channel weaker by its own factor.
        [$r, $g, $b] = [0.8, 0.55, 0.3];
        $seen = Light::of($wool->red * $r, $wool->green * $g, $wool->blue * $b);
        $card = Light::of(GreyCard::GREY * $r, GreyCard::GREY * $g, GreyCard::GREY * $b);
        expect(GreyCard::corrected($seen, $card)?->srgb()->toHex())->toBe('#2f8f86');
    });

    it('is not told by a card that is blown out or black', function (float $v) {
        expect(GreyCard::corrected(Light::of(0.3, 0.3, 0.3), Light::of(0.5, $v, 0.5)))->toBeNull();
    })->with([0.0, 0.01, 0.99, 1.0]);

    it('is looked at in the middle of many fibres, not at a glint', function () {
        $png = Pixels::png(static function ($image): void {
            imagefilledrectangle($image, 50, 50, 250, 250, 0x2F8F86);
            for ($i = 0; $i < 40; $i++) {
                imagesetpixel($image, 120 + ($i % 8) * 7, 120 + intdiv($i, 8) * 7, 0xFFFFFF);
            }
        });
        expect(Swab::at(Raster::decode($png), 0.5, 0.5, 0.15)->srgb()->toHex())
            ->toBe('#2f8f86')
            ->and(Swab::at(Raster::decode($png), 0.02, 0.02, 0.02)->srgb()->toHex())
            ->toBe('#ffffff')
            ->and(Swab::at(Raster::decode($png), 5.0, 5.0, 0.02)->srgb()->toHex())
            ->toBe('#000000');
    });
});
