<?php

declare(strict_types=1);

namespace Impa\Tests\RegionGrouping;

use Impa\Seeing\Decomposition\RegionGrouping;
use Impa\Tests\Support\Pixels;

const SKIN = 0xE0B080;
const HAIR = 0x6A3A20;
const SHIRT = 0x3060B0;
const DARK = 0x181818;
const PALE = 0xF4F0E4;

/**
 * The colour of what carries each carried region, by the carried one's colour.
 *
 * @param  callable(\GdImage): mixed  $draw
 * @return array<string, list<string>>
 */
function carried(callable $draw): array
{
    [$regions, $flat] = Pixels::regions($draw);
    $hex = static fn (int $i): string => $flat->colours[$regions->all[$i]->label]->toHex();
    $carried = [];
    foreach (RegionGrouping::of($regions)->on as $i => $carrier) {
        $carried[$hex($i)][] = $hex($carrier);
    }

    return $carried;
}

function hex(int $colour): string
{
    return sprintf('#%06x', $colour);
}

it('takes what is surrounded for colour on what surrounds it, in layers', function () {
    $carried = carried(function ($i) {
        imagefilledellipse($i, 150, 150, 240, 240, SKIN);
        imagefilledellipse($i, 110, 140, 50, 60, PALE);
        imagefilledellipse($i, 110, 145, 26, 30, DARK);
    });
    expect($carried[hex(PALE)])->toBe([hex(SKIN)])
        ->and($carried[hex(DARK)])->toBe([hex(PALE)])
        ->and($carried)->not->toHaveKey(hex(SKIN));
});

it('takes hair over a round head for colour on the head', function () {
    $carried = carried(function ($i) {
        imagefilledellipse($i, 150, 150, 220, 230, SKIN);
        imagefilledarc($i, 150, 150, 220, 230, 195, 345, HAIR, IMG_ARC_CHORD);
    });
    expect($carried[hex(HAIR)] ?? [])->toBe([hex(SKIN)]);
});

it('keeps a hat that sticks out a part of its own', function () {
    $carried = carried(function ($i) {
        imagefilledellipse($i, 150, 180, 160, 160, SKIN);
        imagefilledrectangle($i, 50, 96, 250, 122, SHIRT);
        imagefilledrectangle($i, 105, 30, 195, 100, SHIRT);
    });
    expect($carried)->not->toHaveKey(hex(SHIRT));
});

it('keeps limbs of another colour parts of their own', function () {
    $carried = carried(function ($i) {
        imagefilledellipse($i, 150, 150, 130, 200, SHIRT);
        imagefilledellipse($i, 55, 140, 90, 30, SKIN);
        imagefilledellipse($i, 245, 140, 90, 30, SKIN);
    });
    expect($carried)->toBe([]);
});

it('sees one ball behind bands of several colours', function () {
    $carried = carried(function ($i) {
        imagefilledellipse($i, 150, 150, 220, 220, SKIN);
        imagefilledarc($i, 150, 150, 220, 220, 20, 160, SHIRT, IMG_ARC_CHORD);
        imagefilledarc($i, 150, 150, 220, 220, 50, 130, HAIR, IMG_ARC_CHORD);
    });
    expect($carried)->toHaveKey(hex(SHIRT))->toHaveKey(hex(HAIR));
});

it('treats twins alike', function () {
    foreach ([0, 6, 12] as $sunk) {
        [$regions, $flat] = Pixels::regions(function ($i) use ($sunk) {
            imagefilledellipse($i, 150, 170, 180, 180, SKIN);
            imagefilledellipse($i, 60 + $sunk, 100, 70, 70, HAIR);
            imagefilledellipse($i, 240 - $sunk, 100, 70, 70, HAIR);
        });
        $on = RegionGrouping::of($regions)->on;
        $ears = array_keys(array_filter($regions->all, static fn ($r): bool => $flat->colours[$r->label]->toHex() === hex(HAIR)));
        expect($ears)->toHaveCount(2)->and(isset($on[$ears[0]]))->toBe(isset($on[$ears[1]]));
    }
});

it('counts every pixel of the figure in some whole, and carried ones in their carrier\'s too', function () {
    [$regions] = Pixels::regions(function ($i) {
        imagefilledellipse($i, 150, 190, 170, 150, SHIRT);
        imagefilledellipse($i, 150, 90, 120, 120, SKIN);
        imagefilledellipse($i, 130, 85, 16, 20, DARK);
        imagefilledellipse($i, 170, 85, 16, 20, DARK);
    });
    $grouping = RegionGrouping::of($regions);
    $bases = array_diff_key($regions->all, $grouping->on);
    $covered = [];
    foreach ($bases as $i => $_) {
        $covered += $grouping->wholes[$i];
    }
    expect(count($covered))->toBe(count(array_filter($regions->map, static fn (int $r): bool => $r >= 0)));
    foreach ($grouping->on as $i => $carrier) {
        expect(array_diff_key($grouping->wholes[$i], $grouping->wholes[$carrier]))->toBe([]);
    }
});

/** @return list<string> the colours of regions that nothing carries, smallest first */
function forms(callable $draw): array
{
    [$regions, $flat] = Pixels::regions($draw);
    $own = array_diff_key($regions->all, RegionGrouping::of($regions)->on);
    usort($own, static fn ($a, $b): int => $a->area <=> $b->area);

    return array_map(static fn ($r): string => $flat->colours[$r->label]->toHex(), $own);
}

describe('forms in front of something larger', function () {
    // A body, and two long ovals on it, so far from its middle and with so much of a line round them.
    $body = static fn (int $arms, int $aside, int $line = 0): callable => static function ($i) use ($arms, $aside, $line): void {
        imagefilledellipse($i, 150, 150, 200, 260, SKIN);
        foreach ([-1, 1] as $side) {
            imagefilledellipse($i, 150 + $side * $aside, 160, 40 + $line, 120 + $line, DARK);
            imagefilledellipse($i, 150 + $side * $aside, 160, 40, 120, $arms);
        }
    };

    it('are arms at its rim, though one ball would cover them and it', function () use ($body) {
        expect(forms($body(SHIRT, 85)))->toBe([hex(SHIRT), hex(SHIRT), hex(SKIN)]);
    });

    it('are none in its middle: two long spots are colour', function () use ($body) {
        expect(forms($body(SHIRT, 45)))->toBe([hex(SKIN)]);
    });

    it('are arms of its own colour that ink parts from it, wherever they lie', function () use ($body) {
        // The ink touches the ground, as an outline does.
        $inked = static function ($i) use ($body): void {
            $body(SKIN, 50, 10)($i);
            imagesetthickness($i, 5);
            imageellipse($i, 150, 150, 202, 262, DARK);
            imageline($i, 100, 105, 60, 60, DARK);
            imageline($i, 200, 105, 240, 60, DARK);
        };
        expect(array_slice(forms($inked), -3))->toBe([hex(SKIN), hex(SKIN), hex(SKIN)]);
    });

    it('are none alone: a single long patch at the rim is colour', function () {
        $one = function ($i) {
            imagefilledellipse($i, 150, 150, 200, 260, SKIN);
            imagefilledellipse($i, 225, 160, 40, 120, SHIRT);
        };
        expect(forms($one))->toBe([hex(SKIN)]);
    });

    it('leave what they part one piece behind them: a tail behind an arm', function () {
        $crossed = function ($i) {
            imagesetthickness($i, 22);
            imageline($i, 150, 180, 285, 150, SHIRT);
            imagefilledellipse($i, 150, 150, 110, 200, SKIN);
            foreach ([-1, 1] as $side) {
                imagefilledpolygon($i, [150 + $side * 40, 80, 150 + $side * 66, 70, 150 + $side * 108, 215, 150 + $side * 82, 225], HAIR);
            }
        };
        [$regions, $flat] = Pixels::regions($crossed);
        $isTail = static fn ($r): bool => $flat->colours[$r->label]->toHex() === hex(SHIRT);
        expect(array_filter($regions->all, $isTail))->toHaveCount(2);
        expect(forms($crossed))->toBe([hex(SHIRT), hex(HAIR), hex(HAIR), hex(SKIN)]);
    });
});

describe('Ink', function () {
    it('takes outlines away and keeps a drawn mouth', function () {
        [$regions, $flat] = Pixels::regions(function ($i) {
            imagefilledellipse($i, 150, 150, 230, 230, DARK);
            imagefilledellipse($i, 150, 150, 220, 220, SKIN);
            imagesetthickness($i, 5);
            imagearc($i, 150, 170, 90, 60, 20, 160, DARK);
        });
        $dark = array_filter($regions->all, static fn ($r): bool => $flat->colours[$r->label]->lab()->l < 25);
        expect($dark)->toHaveCount(1);
        $mouth = array_values($dark)[0];
        expect($mouth->minY)->toBeGreaterThan(150)->and($mouth->widthPx())->toBeLessThan(110);
    });

    it('gives the inner half of an outline to what it goes round: the figure ends in the middle of the line', function () {
        [$regions] = Pixels::regions(function ($i) {
            imagefilledellipse($i, 150, 150, 230, 230, DARK);
            imagefilledellipse($i, 150, 150, 218, 218, SKIN);
        });
        expect($regions->all)->toHaveCount(1);
        expect(array_values($regions->all)[0]->widthPx())->toEqualWithDelta(225, 1);
    });

    it('leaves a black figure black', function () {
        [$regions, $flat] = Pixels::regions(fn ($i) => imagefilledellipse($i, 150, 150, 180, 230, DARK));
        expect($regions->all)->toHaveCount(1)->and($flat->colours[array_values($regions->all)[0]->label]->toHex())->toBe(hex(DARK));
    });

    it('takes a white patch inside an outline on white paper for part of the figure', function () {
        [$regions, $flat] = Pixels::regions(function ($i) {
            imagefilledellipse($i, 150, 150, 230, 230, DARK);
            imagefilledellipse($i, 150, 150, 220, 220, SHIRT);
            imagefilledellipse($i, 150, 180, 110, 120, DARK);
            imagefilledellipse($i, 150, 180, 102, 112, 0xFFFFFF);
        });
        $white = array_filter($regions->all, static fn ($r): bool => $flat->colours[$r->label]->lab()->l > 95);
        expect($white)->toHaveCount(1)->and(array_values($white)[0]->area)->toBeGreaterThan(8000);
    });
});
