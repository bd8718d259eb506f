<?php

declare(strict_types=1);

namespace Impa\Tests\DrawnLines;

use Impa\Seeing\Breakdown;
use Impa\Tests\Support\Sketch;

/*
 * Characters of our own whose details are easily taken for something else: a shell of plates, ink round eyes and a beak, a cheek behind a
 * paw, a face on a screen.
 */
const INK = 0x1B1512;
const FUR = 0xB07040;
const LEAF = 0x7FA65A;
const SKY = 0x4A6A90;
const CREAM = 0xF2E6CC;
const GOLD = 0xE0A030;

/** @return array<string, list<array<string, mixed>>> parts or details by the first word of their names */
function named(Sketch $drawing, string $of): array
{
    $named = [];
    foreach (Breakdown::of($drawing->png(), 110.0)->document[$of] as $one) {
        $named[preg_replace('/ \d+$/', '', $one['name'])][] = $one;
    }

    return $named;
}

/** How many are drawn: twins count twice. */
function drawnIn(array $details): int
{
    return array_sum(array_map(static fn (array $d): int => 1 + (int) $d['mirror'], $details));
}

function crawler(bool $hasPlates): Sketch
{
    $crawler = (new Sketch)->oval(330, 250, 90, 80, LEAF)->oval(120, 320, 56, 60, LEAF)->oval(270, 320, 56, 60, LEAF)
        ->oval(195, 240, 250, 190, FUR);
    $hexagon = [[195, 190], [240, 215], [240, 265], [195, 290], [150, 265], [150, 215]];
    $rim = [[195, 147], [300, 190], [300, 290], [195, 333], [92, 290], [92, 190]];
    if ($hasPlates) {
        $crawler->line([...$hexagon, $hexagon[0]], 5, INK);
        foreach ($hexagon as $k => $corner) {
            $crawler->line([$corner, $rim[$k]], 5, INK);
        }
    }

    return $crawler->oval(345, 240, 14, 16, INK);
}

it('sees a shell of plates as one piece with twelve lines on it, no wider and no taller than without them', function () {
    $with = Breakdown::of(crawler(true)->png(), 110.0)->document;
    $without = Breakdown::of(crawler(false)->png(), 110.0)->document;
    $shell = static fn (array $document): array => $document['parts'][0]['shape'];
    $lines = array_filter($with['details'], static fn (array $d): bool => $d['kind'] === 'line');
    expect(count($with['parts']))->toBe(count($without['parts']))
        ->and($shell($with)['kind'])->toBe($shell($without)['kind'])
        // How flat its base is made differs by a little, and with that how far it grows.
        ->and($shell($with)['widthMm'] / $shell($without)['widthMm'])->toEqualWithDelta(1.0, 0.025)
        ->and($shell($with)['heightMm'] / $shell($without)['heightMm'])->toEqualWithDelta(1.0, 0.025)
        ->and(array_column($with['parts'], 'name'))->toBe(['Body', 'Head', 'Foot'])
        ->and(array_column($with['details'], 'name'))->toContain('Eye')
        ->and(drawnIn($lines))->toBe(12)
        ->and(array_unique(array_column($lines, 'on')))->toHaveCount(1)
        // 5 px of 400, of which 380 are 110 mm wide or so.
        ->and(array_sum(array_column($lines, 'widthMm')) / count($lines))->toEqualWithDelta(2.7, 0.5);
});

it('leaves apart what ink parts of one colour where it is no plain form: a head among ears, a body among limbs', function () {
    $bear = new Sketch;
    foreach ([-1, 1] as $side) {
        $bear->oval(200 + $side * 70, 60, 60, 60, FUR)->round(200 + $side * 70, 60, 60, 60, 6, INK)
            ->oval(200 + $side * 95, 260, 50, 110, FUR)->round(200 + $side * 95, 260, 50, 110, 6, INK)
            ->oval(200 + $side * 45, 355, 60, 50, FUR)->round(200 + $side * 45, 355, 60, 50, 6, INK);
    }
    foreach ([[280, 170, 170], [120, 180, 150]] as [$y, $w, $h]) {
        $bear->oval(200, $y, $w, $h, FUR)->round(200, $y, $w, $h, 6, INK);
    }
    expect(count(Breakdown::of($bear->png(), 110.0)->document['parts']))->toBe(5);
});

it('takes ink round eyes and a beak for their rims: thread lines of its width, of which the eyes\' are twins', function () {
    $bird = (new Sketch)->oval(200, 280, 160, 170, SKY)->oval(200, 130, 170, 150, SKY);
    foreach ([-1, 1] as $side) {
        $bird->oval(200 + $side * 38, 115, 46, 54, 0xFFFFFF)->round(200 + $side * 38, 115, 46, 54, 5, INK)
            ->oval(200 + $side * 34, 120, 18, 22, INK);
    }
    $beak = [[175, 150], [225, 150], [200, 185]];
    $bird->polygon($beak, GOLD)->line([...$beak, $beak[0]], 5, INK);
    $seen = named($bird, 'details');
    $mmPerPx = 110.0 / 310;
    expect(drawnIn($seen['Rim']))->toBe(3)->and($seen['Rim'][0]['mirror'])->toBeTrue()->and($seen['Rim'][1]['mirror'])->toBeFalse()
        ->and(drawnIn($seen['Eye white']))->toBe(2)->and(drawnIn($seen['Pupil']))->toBe(2);
    foreach ($seen['Rim'] as $rim) {
        expect($rim['role'])->toBe('rim')->and($rim['kind'])->toBe('line')->and($rim['widthMm'])->toEqualWithDelta(5 * $mmPerPx, 0.4)
            ->and($rim['pointsMm'][0])->toBe($rim['pointsMm'][count($rim['pointsMm']) - 1]);
    }
    // The beak's runs where it was drawn: so far apart lie the corners of the pen's way, on the head's own middle.
    foreach ([0 => 50, 1 => 35] as $of => $px) {
        $places = array_column($seen['Rim'][1]['pointsMm'], $of);
        expect(max($places) - min($places))->toEqualWithDelta($px * $mmPerPx, 1.0);
    }
    $across = array_column($seen['Rim'][0]['pointsMm'], 0);
    expect(max($across) - min($across))->toEqualWithDelta(46 * $mmPerPx, 0.8);
});

it('takes a dark eye with a spark in it for an eye and no rim, and a dark nose on a pale muzzle for no pupil', function () {
    $cub = (new Sketch)->oval(200, 280, 160, 170, FUR)->oval(200, 130, 190, 160, FUR)->oval(200, 160, 150, 90, CREAM)
        ->oval(200, 145, 34, 24, INK);
    foreach ([-1, 1] as $side) {
        $cub->oval(200 + $side * 52, 90, 30, 34, INK)->oval(205 + $side * 52, 84, 11, 11, 0xFFFFFF);
    }
    $seen = named($cub, 'details');
    expect($seen)->not->toHaveKey('Rim')->not->toHaveKey('Pupil')->and(drawnIn($seen['Eye']))->toBe(2);
});

it('takes a wide dark patch round an eye for a patch and no rim', function () {
    $badger = (new Sketch)->oval(200, 280, 160, 170, CREAM)->oval(200, 130, 190, 160, CREAM);
    foreach ([-1, 1] as $side) {
        $badger->oval(200 + $side * 45, 120, 60, 70, INK)->oval(200 + $side * 45, 120, 36, 42, 0xFFFFFF)
            ->oval(200 + $side * 42, 122, 14, 18, INK);
    }
    expect(named($badger, 'details'))->not->toHaveKey('Rim')->toHaveKeys(['Eye white', 'Pupil']);
});

it('makes one pair of two cheeks though a paw hides half of one, as large as the whole one', function (int $side) {
    $mouse = (new Sketch)->oval(200, 290, 160, 160, FUR)->oval(200, 150, 200, 170, FUR);
    foreach ([-1, 1] as $way) {
        $mouse->oval(200 + $way * 40, 135, 16, 20, INK)->oval(200 + $way * 66, 175, 30, 20, 0xE08090);
    }
    $mouse->oval(200 + $side * 74, 190, 30, 30, FUR);
    $cheeks = named($mouse, 'details')['Cheek'] ?? [];
    expect(drawnIn($cheeks))->toBe(2)
        ->and($cheeks[0]['widthMm'] / $cheeks[0]['heightMm'])->toEqualWithDelta(1.5, 0.15)
        ->and($cheeks[0]['widthMm'])->toEqualWithDelta(30 * 110 / 305, 0.8);
})->with(['left' => -1, 'right' => 1]);

it('gives a screen and a straight mouth the outline of a rounded rectangle, and is sure of them', function () {
    $box = static function (Sketch $s, float $x, float $y, float $w, float $h, float $r, int $colour): void {
        foreach ([[$w, $h - 2 * $r], [$w - 2 * $r, $h]] as [$wide, $high]) {
            $s->polygon([
                [$x - $wide / 2, $y - $high / 2], [$x + $wide / 2, $y - $high / 2],
                [$x + $wide / 2, $y + $high / 2], [$x - $wide / 2, $y + $high / 2],
            ], $colour);
        }
        foreach ([[-1, -1], [-1, 1], [1, -1], [1, 1]] as [$a, $b]) {
            $s->oval($x + $a * ($w / 2 - $r), $y + $b * ($h / 2 - $r), 2 * $r, 2 * $r, $colour);
        }
    };
    $robot = new Sketch;
    $box($robot, 200, 290, 150, 120, 30, FUR);
    $box($robot, 200, 125, 190, 150, 40, SKY);
    $box($robot, 200, 125, 140, 84, 22, CREAM);
    $box($robot, 200, 150, 40, 12, 4, INK);
    foreach ([-1, 1] as $side) {
        $robot->oval(200 + $side * 32, 118, 18, 22, INK);
    }
    $seen = Breakdown::of($robot->png(), 110.0)->document;
    $byName = array_column($seen['details'], null, 'name');
    $side = static function (array $points, int $of): float {
        $values = array_column($points, $of);

        return max($values) - min($values);
    };
    $mmPerPx = 110.0 / 300;
    expect(array_column($seen['parts'], null, 'name')['Head']['shape']['kind'])->toBeIn(['block', 'drum'])
        ->and($byName['Patch']['kind'])->toBe('patch')->and($byName['Patch']['seen']['confidence'])->toBeGreaterThan(0.6)
        ->and($side($byName['Patch']['pointsMm'], 0))->toEqualWithDelta(140 * $mmPerPx, 1.5)
        ->and($side($byName['Patch']['pointsMm'], 1))->toEqualWithDelta(84 * $mmPerPx, 1.5)
        ->and($byName['Mouth']['kind'])->toBe('patch')
        ->and($side($byName['Mouth']['pointsMm'], 0) / $side($byName['Mouth']['pointsMm'], 1))->toEqualWithDelta(40 / 12, 0.5);
});
