<?php

declare(strict_types=1);

namespace Impa\Tests\Naming;

use Impa\Balance\Balance;
use Impa\Material\Densities;
use Impa\Seeing\Breakdown;
use Impa\Tests\Support\Sketch;
use Impa\Wool\Ledger\Ledger;

/*
 * Characters of our own, one of each plan: from the front and from the side, on legs, with fins, in a shell, on a stem, of boxes.
 */
const INK = 0x1B1512;
const FUR = 0xB07040;
const CREAM = 0xF2E6CC;
const SKY = 0x4A6A90;
const LEAF = 0x7FA65A;
const GOLD = 0xE0A030;
const ROSE = 0xD08090;
const RED = 0xC0402F;
const MIST = 0xE8E4F0;

/** @return list<string> names without their numbers, twins once, in alphabetical order */
function names(Sketch $drawing, string $of = 'parts'): array
{
    $names = array_map(
        static fn (array $one): string => (string) preg_replace('/ \d+$/', '', $one['name']),
        Breakdown::of($drawing->png(), 110.0)->document[$of],
    );
    sort($names);

    return $names;
}

/** A drawing of all that is given, from back to front: ovals as [x, y, width, height], lines as [[from], [to], width], else outlines. */
function drawn(array ...$shapes): Sketch
{
    $drawing = new Sketch;
    foreach ($shapes as [$as, $what, $colour]) {
        match ($as) {
            'oval' => $drawing->oval(...[...$what, $colour]),
            'line' => $drawing->line([$what[0], $what[1]], $what[2], $colour),
            default => $drawing->polygon($what, $colour),
        };
    }

    return $drawing;
}

/** The same seen in a mirror. */
function turned(array $shapes): array
{
    $x = static fn (array $p): array => [400 - $p[0], ...array_slice($p, 1)];

    return array_map(static fn (array $s): array => [$s[0], match ($s[0]) {
        'oval' => $x($s[1]),
        'line' => [$x($s[1][0]), $x($s[1][1]), $s[1][2]],
        default => array_map($x, $s[1]),
    }, $s[2]], $shapes);
}

$bird = [
    ['line', [[185, 300], [185, 370], 8], GOLD], ['line', [[225, 300], [225, 370], 8], GOLD], ['oval', [180, 372, 40, 14], GOLD],
    ['oval', [220, 372, 40, 14], GOLD], ['outline', [[310, 230], [385, 190], [385, 250]], SKY], ['oval', [210, 250, 220, 140], FUR],
    ['oval', [110, 150, 120, 110], FUR], ['outline', [[60, 140], [60, 170], [15, 158]], GOLD], ['oval', [95, 140, 14, 16], INK],
];
$fish = [
    ['outline', [[300, 200], [385, 130], [385, 270]], GOLD], ['outline', [[170, 120], [240, 60], [250, 125]], GOLD],
    ['oval', [190, 200, 260, 170], SKY], ['oval', [105, 180, 24, 26], 0xFFFFFF], ['oval', [102, 181, 12, 14], INK],
];
$snail = [
    ['oval', [200, 340, 330, 60], CREAM], ['oval', [60, 270, 70, 130], CREAM], ['oval', [235, 230, 200, 200], FUR],
    ['oval', [235, 230, 110, 110], GOLD], ['oval', [50, 245, 10, 12], INK],
];

it('names what is drawn from its side by where it looks, whichever way that is', function (array $shapes, array $parts, string $eye) {
    foreach ([$shapes, turned($shapes)] as $way) {
        $drawing = drawn(...$way);
        expect(array_intersect($parts, names($drawing)))->toBe($parts)
            ->and(array_intersect(['Part', 'Hat', 'Chin', 'Hand'], names($drawing)))->toBe([])
            ->and(names($drawing, 'details'))->toContain($eye);
    }
})->with([
    'a bird' => [$bird, ['Beak', 'Body', 'Foot', 'Head', 'Leg', 'Tail'], 'Eye'],
    'a fish' => [$fish, ['Body', 'Fin', 'Tail'], 'Eye white'],
    'a snail' => [$snail, ['Body', 'Head', 'Shell'], 'Eye'],
]);

it('names what goes on four legs', function () {
    $dog = new Sketch;
    foreach ([110, 150, 260, 300] as $x) {
        $dog->oval($x, 330, 36, 100, FUR);
    }
    $dog->line([[325, 240], [375, 180]], 16, FUR)->oval(210, 260, 250, 120, FUR)->oval(95, 180, 120, 110, FUR)
        ->polygon([[60, 150], [75, 80], [105, 130]], SKY)->polygon([[105, 130], [135, 85], [140, 150]], SKY)
        ->oval(75, 170, 12, 14, INK)->oval(40, 195, 22, 16, INK);
    $names = names($dog);
    expect(array_values(array_unique(array_intersect(['Body', 'Ear', 'Head', 'Leg', 'Snout', 'Tail'], $names))))
        ->toBe(['Body', 'Ear', 'Head', 'Leg', 'Snout', 'Tail'])
        ->and(array_intersect(['Arm', 'Hat'], $names))->toBe([]);
});

it('stands what is drawn from its side on legs of the near and the far side, its head and tail in the middle', function () {
    $dog = new Sketch;
    foreach ([125, 175, 265, 315] as $x) {
        $dog->oval($x, 335, 34, 90, FUR);
    }
    $dog->oval(220, 260, 250, 120, FUR)->oval(345, 205, 40, 90, SKY)->oval(110, 180, 120, 110, FUR)->oval(85, 170, 12, 14, INK)
        ->oval(50, 195, 24, 18, INK);
    $breakdown = Breakdown::of($dog->png(), 110.0);
    $figure = $breakdown->figure();
    $z = [];
    foreach ($breakdown->document['parts'] as $part) {
        $z[explode(' ', $part['name'])[0]][] = $part['at']['zMm'];
    }
    $deepMm = array_column($breakdown->document['parts'], null, 'key')['body']['shape']['depthMm'];
    expect($z['Leg'])->toHaveCount(2)
        ->and(min($z['Leg']))->toBeLessThan(-0.2 * $deepMm)->and(max($z['Leg']))->toBeGreaterThan(0.2 * $deepMm)
        ->and(max(array_map(abs(...), [...$z['Head'], ...$z['Tail'], ...$z['Snout']])))->toBeLessThan(1.0)
        ->and(Balance::of(Ledger::of($figure, Densities::house()))->tipDeg())->toBeGreaterThan(Balance::TOUCHY_DEG);
});

it('names a flower by stem and leaves, and a mushroom\'s cap no head', function () {
    $flower = (new Sketch)->line([[200, 200], [200, 390]], 16, LEAF)->oval(150, 330, 90, 36, LEAF)->oval(250, 330, 90, 36, LEAF);
    for ($deg = 0; $deg < 360; $deg += 60) {
        $flower->oval(200 + 70 * cos(deg2rad($deg)), 120 + 70 * sin(deg2rad($deg)), 80, 80, ROSE);
    }
    $flower->oval(200, 120, 100, 100, GOLD)->oval(182, 112, 10, 14, INK)->oval(218, 112, 10, 14, INK)->oval(200, 138, 22, 8, INK);
    $mushroom = (new Sketch)->oval(200, 300, 130, 170, CREAM)->oval(200, 160, 280, 170, RED)->oval(140, 130, 40, 36, 0xFFFFFF)
        ->oval(240, 120, 50, 44, 0xFFFFFF)->oval(174, 290, 14, 18, INK)->oval(226, 290, 14, 18, INK)->oval(200, 320, 20, 8, INK);
    expect(names($flower))->toContain('Stem')->toContain('Leaf')
        ->and(names($mushroom))->toContain('Head')->not->toContain('Body')
        ->and(names($mushroom, 'details'))->toContain('Eye')->toContain('Mouth');
});

it('takes a head that winks for a head, with its hat on', function () {
    $wink = (new Sketch)->oval(200, 260, 220, 210, FUR)->polygon([[120, 170], [280, 170], [200, 40]], SKY)->oval(150, 240, 18, 22, INK)
        ->line([[230, 240], [270, 240]], 6, INK);
    expect(names($wink))->toContain('Head')->not->toContain('Body')->not->toContain('Fin');
});

it('names a ghost\'s face and a box\'s limbs as seen from the front', function () {
    $ghost = (new Sketch)->oval(200, 160, 220, 240, MIST)->polygon([[90, 160], [310, 160], [310, 340], [90, 340]], MIST)
        ->oval(200, 200, 24, 30, INK);
    $box = static fn (Sketch $s, int $x, int $y, int $w, int $h, int $colour): Sketch => $s->polygon(
        [[$x - $w / 2, $y - $h / 2], [$x + $w / 2, $y - $h / 2], [$x + $w / 2, $y + $h / 2], [$x - $w / 2, $y + $h / 2]],
        $colour,
    );
    $robot = new Sketch;
    foreach ([-1, 1] as $side) {
        $ghost->oval(200 + $side * 40, 150, 26, 36, INK)->oval(200 + $side * 70, 190, 30, 18, ROSE);
        $box($box($robot, 200 + $side * 100, 265, 30, 100, SKY), 200 + $side * 40, 360, 44, 50, SKY);
    }
    $box($box($robot, 200, 270, 170, 140, FUR), 200, 120, 190, 150, SKY)->oval(168, 120, 18, 22, INK)->oval(232, 120, 18, 22, INK);
    expect(names($ghost, 'details'))->toContain('Eye')->toContain('Cheek')
        ->and(names($robot))->toBe(['Arm', 'Body', 'Foot', 'Head'])
        ->and(names($robot, 'details'))->toBe(['Eye']);
});
