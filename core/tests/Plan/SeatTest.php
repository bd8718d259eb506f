<?php

declare(strict_types=1);

namespace Impa\Tests\Seat;

use Impa\Balance\Balance;
use Impa\Build\Steps\Step;
use Impa\Check\Part\Measurement;
use Impa\Check\Part\PartCheck;
use Impa\Figure\Editing\Buried;
use Impa\Figure\Editing\EditRefused;
use Impa\Figure\Editing\Scaling;
use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Seat;
use Impa\Figure\Placing\Shared;
use Impa\Figure\Term\SeatWay;
use Impa\Material\Densities;
use Impa\Plan\Note;
use Impa\Plan\Notes;
use Impa\Plan\Plan;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Shape\Solid\Ball;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\PartWool;

/** What two balls of radii a and b share, their middles d apart (CRC Standard Mathematical Tables, two spherical caps); cm3. */
function lens(float $a, float $b, float $d): float
{
    return match (true) {
        $d >= $a + $b => 0.0,
        $d <= abs($a - $b) => 4 / 3 * M_PI * min($a, $b) ** 3 / 1000,
        default => M_PI * ($a + $b - $d) ** 2 * ($d ** 2 + 2 * $d * ($a + $b) - 3 * ($a - $b) ** 2) / (12 * $d) / 1000,
    };
}

/**
 * A ball on a ball, in a way that leans.
 *
 * @param  array<string, mixed>  $more  of the smaller
 */
function balls(float $a, float $b, float $d, array $more = []): Figure
{
    return Figures::read(Figures::document([
        Figures::part('head', 'ball', 2 * $b, 2 * $b, 2 * $b, 3, 50, -4),
        Figures::part('hat', 'ball', 2 * $a, 2 * $a, 2 * $a, 3 + 0.6 * $d, 50 + 0.64 * $d, -4 + 0.48 * $d, $more + [
            'join' => ['to' => 'head', 'by' => 'fluff'],
        ]),
    ]));
}

/** @param  list<array<string, mixed>>  $parts */
function wool(array $parts, string $key, array $more = []): PartWool
{
    return Ledger::of(Figures::read(Figures::document($parts, [], $more)), Densities::house())->wool[$key];
}

/** @return list<string> */
function codes(Figure $figure): array
{
    return array_map(static fn (Note $n): string => $n->code, Notes::of(Plan::of($figure)));
}

it('shares as much as two balls do by closed form, turned or not', function (float $a, float $b, float $d) {
    foreach ([[0, 0, 25], [40, 0, 0], [70, -30, 15]] as [$x, $y, $z]) {
        $part = balls($a, $b, $d, ['turnDeg' => ['x' => $x, 'y' => $y, 'z' => $z]])->parts['hat'];
        $host = balls($a, $b, $d)->parts['head'];
        $shared = Shared::of(Placement::of($part), $part->solid, [Placement::of($host)]);
        expect($shared->share * $part->solid->volumeCm3())->toEqualWithDelta(lens($a, $b, $d), 0.02 * lens($a, $b, $d) + 1e-9);
    }
})->with([[10, 20, 15], [10, 20, 25], [20, 10, 17], [10, 30, 5], [12, 12, 12], [10, 20, 31]]);

it('shares what random places say, whatever the kinds, turned or not, and where that lies', function () {
    mt_srand(20261130);
    $between = static fn (float $low, float $high): float => $low + ($high - $low) * mt_rand() / mt_getrandmax();
    $size = static function (ShapeKind $kind) use ($between): array {
        [$w, $h] = [$between(15, 40), $between(15, 40)];

        return match (true) {
            $kind->isLong() => [$w / 3, $h + 15, $w / 3],
            $kind->isFlat() => [$w, $h, 6],
            $kind === ShapeKind::Ring => [$w + 10, $h + 10, 7],
            default => [$w, $h, $between(0.7, 1.2) * $w],
        };
    };
    $kinds = ShapeKind::cases();
    foreach ($kinds as $i => $kind) {
        $to = $kinds[(5 * $i + 3) % count($kinds)];
        $figure = Figures::read(Figures::document([
            Figures::part('host', $to->value, ...[...$size($to), 0, 50]),
            Figures::part('part', $kind->value, ...[...$size($kind), $between(-6, 6), $between(44, 60), $between(-5, 5), [
                'turnDeg' => ['x' => $i % 2 * 35, 'y' => $i % 3 * 20, 'z' => $between(-90, 90)],
            ]]),
        ]));
        [$host, $piece] = [Placement::of($figure->parts['host']), Placement::of($figure->parts['part'])];
        $solid = $figure->parts['part']->solid;
        $front = $solid->front()[0];
        [$x, $y] = [max(array_column($front, 0)), max(array_column($front, 1))];
        $all = $both = 0;
        $middle = [0.0, 0.0, 0.0];
        for ($n = 0; $n < 60000; $n++) {
            $at = [$between(-$x, $x), $between(-$y, $y), $between(-0.5, 0.5) * $solid->size()->depthMm];
            if (abs($at[2]) <= $solid->frontMm($at[0], $at[1])) {
                $all++;
                if ($host->holds(...$piece->place(...$at))) {
                    $both++;
                    $middle = [$middle[0] + $at[0], $middle[1] + $at[1], $middle[2] + $at[2]];
                }
            }
        }
        $true = $both / $all;
        $shared = Shared::of($piece, $solid, [$host]);
        // Four standard errors of the counting besides.
        $within = 0.02 * $true + 4 * sqrt($true * (1 - $true) / $all);
        expect($shared->share)->toEqualWithDelta($true, $within, $kind->value.' on '.$to->value);
        if ($both > 2000) {
            foreach ($middle as $axis => $mm) {
                expect($shared->middle[$axis])->toEqualWithDelta($mm / $both, 0.6, $kind->value.' on '.$to->value);
            }
        }
    }
})->group('dear');

it('shares with a pair what it shares with both', function () {
    $hosts = Figures::read(Figures::document([
        Figures::part('ear', 'ball', 20, 20, 20, 15, 50, 0, ['mirror' => true]),
        Figures::part('band', 'ball', 30, 30, 30, 0, 50, 0),
    ]));
    $band = $hosts->parts['band'];
    $shared = Shared::of(Placement::of($band), $band->solid, $hosts->parts['ear']->placements());
    expect($shared->share * $band->solid->volumeCm3())->toEqualWithDelta(2 * lens(10, 15, 15), 0.02 * 2 * lens(10, 15, 15))
        ->and($shared->middle[0])
        ->toEqualWithDelta(0, 0.1);
});

it('lies within another with the cap of its skin that closed form says', function (float $a, float $b, float $d) {
    $figure = balls($a, $b, $d);
    // A sphere's cap: 2 pi a h, its height from where the two spheres cross.
    $h = $a - ($d ** 2 + $a ** 2 - $b ** 2) / (2 * $d);
    expect(Shared::skin(Placement::of($figure->parts['hat']), [Placement::of($figure->parts['head'])]))
        ->toEqualWithDelta($h / (2 * $a), 0.02);
})->with([[10, 20, 15], [10, 20, 22], [20, 25, 12]]);

it('weighs of a hat what lies outside the head, core and cover by closed form', function (float $a, float $b, float $d, float $cover) {
    $wool = Ledger::of(balls($a, $b, $d, [
        'coverMm' => $cover,
        'core' => 'core-wool',
        'join' => ['to' => 'head', 'onto' => true],
    ]), Densities::house())->wool['hat'];
    $whole = 4 / 3 * M_PI * $a ** 3 / 1000 - lens($a, $b, $d);
    $inside = 4 / 3 * M_PI * ($a - $cover) ** 3 / 1000 - lens($a - $cover, $b, $d);
    $house = Densities::house();
    expect($wool->seat->way)->toBe(SeatWay::Onto)
        ->and($wool->volumeCm3)
        ->toEqualWithDelta($whole, 0.02 * lens($a, $b, $d))
        ->and($wool->insideCm3)
        ->toEqualWithDelta($inside, 0.02 * lens($a - $cover, $b, $d))
        ->and($wool->finishedG())
        ->toEqualWithDelta(0.15 * $whole, 0.02 * 0.15 * lens($a, $b, $d))
        ->and($wool->coreG())
        ->toEqualWithDelta(0.15 * $inside * (1 + $house->insideWaste), 0.1);
})->with([[25, 24, 12, 3], [28, 26, 14, 2], [20, 30, 20, 2]]);

it('leaves of a hat of 64 cm3, of which 56 lie within the head, those 8 to be made', function () {
    $parts = [
        Figures::part('head', 'ball', 60, 56, 58, 0, 60),
        Figures::part('hat', 'ball', 55.5, 39.7, 55.5, 0, 70.3, 0, ['join' => ['to' => 'head']]),
    ];
    $wool = wool($parts, 'hat');
    // Counted in cells of half a millimetre.
    $cells = 0;
    for ($x = -27.75; $x < 28; $x += 0.5) {
        for ($y = 50.25; $y < 90; $y += 0.5) {
            for ($z = -27.75; $z < 28; $z += 0.5) {
                $inHat = ($x / 27.75) ** 2 + (($y - 70.3) / 19.85) ** 2 + ($z / 27.75) ** 2 <= 1;
                $cells += (int) ($inHat && ($x / 30) ** 2 + (($y - 60) / 28) ** 2 + ($z / 29) ** 2 > 1);
            }
        }
    }
    expect(Ball::of(Size::of(55.5, 39.7, 55.5))->volumeCm3())->toEqualWithDelta(64, 0.1)
        ->and($cells / 8000)
        ->toEqualWithDelta(8, 0.3)
        ->and($wool->volumeCm3)
        ->toEqualWithDelta($cells / 8000, 0.1)
        ->and($wool->coreG())
        ->toBe(0.0)
        ->and($wool->seat->capMm)
        ->toEqualWithDelta(3, 1);
});

it('has the middle of its mass where what is made lies', function () {
    // Along the way the two spheres' middles lie: whole less lens, whose middle comes from its two caps.
    [$a, $b, $d] = [25.0, 24.0, 12.0];
    $cap = static function (float $r, float $to): array {
        $h = $r - $to;

        return [M_PI * $h ** 2 * (3 * $r - $h) / 3, 3 * (2 * $r - $h) ** 2 / (4 * (3 * $r - $h))];
    };
    $cross = ($d ** 2 + $b ** 2 - $a ** 2) / (2 * $d);
    [$far, $farAt] = $cap($b, $cross);
    [$near, $nearAt] = $cap($a, $d - $cross);
    $lens = $far + $near;
    $lensAt = ($far * $farAt + $near * ($d - $nearAt)) / $lens - $d;
    $whole = 4 / 3 * M_PI * $a ** 3;
    $middle = -$lens * $lensAt / ($whole - $lens);
    $wool = Ledger::of(balls($a, $b, $d, ['core' => 'none']), Densities::house())->wool['hat'];
    $at = $wool->middleOfMass();
    expect(0.6 * $at[0] + 0.64 * $at[1] + 0.48 * $at[2])->toEqualWithDelta($middle, 0.6)
        ->and(sqrt($at[0] ** 2 + $at[1] ** 2 + $at[2] ** 2))
        ->toEqualWithDelta($middle, 0.6);
});

it('takes less wool and time than one that goes in, and makes the figure lighter by as much', function () {
    $onto = balls(25, 24, 12);
    $in = balls(25, 24, 12, ['join' => ['to' => 'head', 'onto' => false]]);
    [$less, $more] = [Ledger::of($onto, Densities::house()), Ledger::of($in, Densities::house())];
    $minutes = static fn (Figure $f): float => array_sum(array_map(static fn (Step $s): float => $s->time->minutes, Works::of($f)->steps));
    $saved = $more->wool['hat']->finishedG() - $less->wool['hat']->finishedG();
    expect($saved)->toEqualWithDelta(0.15 * lens(25, 24, 12), 0.15 * 0.02 * lens(25, 24, 12))
        ->and(Balance::of($more)->massG - Balance::of($less)->massG)
        ->toEqualWithDelta($saved, 1e-9)
        ->and($minutes($onto))
        ->toBeLessThan($minutes($in) - 5)
        ->and($less->totalG())
        ->toBeLessThan($more->totalG());
});

it('sits as she says, else by join and kind, else by how much lies within', function (SeatWay $way, array $more, float $d = 12) {
    $figure = balls(18, 24, $d, $more);
    expect(Seat::of($figure, $figure->parts['hat'])->way)->toBe($way);
})->with([
    'most of it within' => [SeatWay::Onto, ['join' => ['to' => 'head']]],
    'she says in' => [SeatWay::In, ['join' => ['to' => 'head', 'onto' => false]]],
    'she says onto, with less within' => [SeatWay::Onto, ['join' => ['to' => 'head', 'onto' => true]], 30],
    'an end goes in' => [SeatWay::In, ['join' => ['to' => 'head']], 30],
    'wrapped' => [SeatWay::Onto, ['join' => ['to' => 'head', 'by' => 'wrap']], 30],
    'hair' => [SeatWay::Onto, ['join' => ['to' => 'head'], 'covering' => ['way' => 'hair']], 30],
    'a slit is cut for it' => [SeatWay::In, ['join' => ['to' => 'head', 'by' => 'slit']]],
    'on a wire' => [SeatWay::In, ['join' => ['to' => 'head', 'by' => 'wire']]],
    'hardly any of it within' => [SeatWay::In, ['join' => ['to' => 'head', 'by' => 'wrap']], 40],
    'all of it within' => [SeatWay::Hidden, ['join' => ['to' => 'head']], 4],
    'all of it within, and she says onto' => [SeatWay::Hidden, ['join' => ['to' => 'head', 'onto' => true]], 4],
    'a sheet round it' => [SeatWay::In, ['join' => ['to' => 'head'], 'covering' => ['way' => 'pre-felt']]],
]);

it('sits on nothing where it is joined to nothing, or is a layer', function () {
    $alone = balls(18, 24, 12)->parts['head'];
    expect(Seat::of(balls(18, 24, 12), $alone)->way)->toBe(SeatWay::Apart);
    $flat = Figures::read(Figures::document([
        Figures::part('ground', 'plate', 40, 40, 2),
        Figures::part('spot', 'plate', 10, 10, 2, 0, 0, 0, ['join' => ['to' => 'ground']]),
    ], [], ['flat' => ['way' => 'sheet']]));
    expect(Seat::of($flat, $flat->parts['spot'])->way)->toBe(SeatWay::Apart)
        ->and(Seat::sharing($flat, $flat->parts['spot'])->share)
        ->toBe(0.0);
});

it('counts a ball within a ball whole, and asks about it', function () {
    // Behind the middle of the head, so that the picture does not show it either.
    $figure = balls(10, 24, -4);
    $note = array_values(array_filter(Notes::of(Plan::of($figure)), static fn (Note $n): bool => $n->code === 'hidden'));
    expect($note[0]->at)->toBe('/parts/1')
        ->and($note[0]->text)
        ->toContain('lies wholly within the head')
        ->and(Ledger::of($figure, Densities::house())->wool['hat']->volumeCm3)
        ->toEqualWithDelta(4 / 3 * M_PI, 0.01)
        ->and(codes(balls(10, 24, -4, ['join' => ['to' => 'head', 'onto' => false]])))
        ->not->toContain('hidden');
});

it('says at its step how it is made hollow, and among the notes why, until she says so herself', function () {
    $step = static fn (Figure $f, string $key): string => (string) (array_column(Works::of($f)->steps, null, 'key')[$key]->text ?? '');
    $thick = balls(24, 26, 12, ['coverMm' => 2, 'core' => 'core-wool', 'name' => 'Cap']);
    expect($step($thick, 'core:hat'))->toContain('a cap of 7.7 mm, hollow below. Shape it over the head')
        ->and($step($thick, 'cover:hat'))
        ->toContain('what lies on the head stays bare')
        ->and(codes($thick))
        ->toContain('onto')
        ->and(codes(balls(24, 26, 12, ['join' => ['to' => 'head', 'onto' => true]])))
        ->not->toContain('onto');
    $in = balls(24, 26, 12, ['join' => ['to' => 'head', 'onto' => false]]);
    expect($step($in, 'cover:hat'))->not->toContain('hollow')
        ->and($step(balls(18, 24, 20, ['core' => 'none', 'join' => ['to' => 'head', 'by' => 'wrap']]), 'cover:hat'))
        ->toContain('leave it thinner where it lies on the head')
        ->and($step(balls(24, 26, 12, ['core' => 'none']), 'cover:hat'))
        ->toContain('a cap of 9.7 mm, hollow below. Shape it over the head');
});

it('never weighs less the farther out it sits, and by the cube of its size', function () {
    $g = static fn (float $d): float => Ledger::of(
        balls(20, 24, $d, ['join' => ['to' => 'head', 'onto' => true], 'core' => 'none']),
        Densities::house(),
    )->wool['hat']->finishedG();
    $before = 0.0;
    foreach (range(8, 46, 2) as $d) {
        expect($g($d))->toBeGreaterThanOrEqual(0.995 * $before);
        $before = $g($d);
    }
    $figure = balls(20, 24, 16, ['core' => 'none']);
    $twice = Figure::fromDocument(Scaling::of($figure->document(), 2.0));
    $house = Densities::house();
    expect(Ledger::of($twice, $house)->wool['hat']->finishedG())
        ->toEqualWithDelta(8 * Ledger::of($figure, $house)->wool['hat']->finishedG(), 0.001);
});

it('is right on its card when it weighs what was made, not what was drawn', function () {
    $ledger = Ledger::of(balls(25, 24, 12, ['core' => 'none']), Densities::house());
    $check = PartCheck::of($ledger, 'hat', Measurement::of(50, 50, 50, $ledger->wool['hat']->finishedG()));
    expect($check->gPerCm3())->toEqualWithDelta(0.15, 1e-6)->and($check->addG)->toBe(0.0);
});

it('tells of what a picture shows in front and the round hides, by how much, until it is brought forwards', function () {
    $scarf = Figures::part('scarf', 'sausage', 8, 36, 8, 0, 50, 0.2, [
        'turnDeg' => ['z' => 90],
        'join' => ['to' => 'body', 'by' => 'fluff', 'onto' => false],
    ]);
    $figure = Figures::read(Figures::document([Figures::part('body', 'ball', 46, 46, 46, 0, 46), $scarf]));
    // The ball's front stands 22.9 mm out at y = 48, less than a millimetre below the scarf's deepest place.
    $mm = Buried::mm($figure, $figure->parts['scarf']);
    expect($mm)->toBeGreaterThanOrEqual(20.0)
        ->and($mm)
        ->toBeLessThanOrEqual(26.0)
        ->and(codes($figure))
        ->toContain('buried-roll');
    $shown = Figure::fromDocument(Buried::forwards($figure, 'scarf')->document);
    expect(Buried::mm($shown, $shown->parts['scarf']))->toBe(0.0)
        ->and(codes($shown))
        ->not->toContain('buried-roll')
        ->and($shown->parts['scarf']->stand->at[2])
        ->toEqualWithDelta(0.2 + $mm, 1e-9)
        ->and(fn () => Buried::forwards($shown, 'scarf'))
        ->toThrow(EditRefused::class, 'shows in the round');
});

it('lays a roll round as a ring that is as wide and as thick, and refuses what is no roll across', function () {
    $scarf = Figures::part('scarf', 'sausage', 8, 36, 8, 0, 66, 0.2, ['turnDeg' => ['z' => 90], 'join' => ['to' => 'body']]);
    $figure = Figures::read(Figures::document([Figures::part('body', 'ball', 46, 46, 40, 0, 46), $scarf]));
    $round = Figure::fromDocument(Buried::laidRound($figure, 'scarf')->document);
    $ring = $round->parts['scarf'];
    expect($ring->solid->kind())->toBe(ShapeKind::Ring)
        ->and([$ring->solid->size()->widthMm, $ring->solid->size()->depthMm])
        ->toBe([36.0, 8.0])
        ->and($ring->solid->size()->heightMm)
        ->toEqualWithDelta(36 * 40 / 46, 0.01)
        // It lies flat: no higher than the roll is thick.
        ->and(Placement::of($ring)->levelsMm())
        ->each->toEqualWithDelta(66, 4.01)
        ->and(Buried::all($round))
        ->toBe([])
        ->and(fn () => Buried::laidRound($figure, 'body'))
        ->toThrow(EditRefused::class, 'Only a roll');
});

it('shows every part of the demo in the round that it shows in the picture', function (string $name) {
    expect(Buried::all(Works::demo($name)))->toBe([]);
})->with(['bobbin', 'lanto', 'sorrel', 'wick']);
