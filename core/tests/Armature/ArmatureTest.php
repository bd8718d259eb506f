<?php

declare(strict_types=1);

namespace Impa\Tests\Armature;

use Impa\Armature\ArmatureRefused;
use Impa\Armature\ArmatureSheet;
use Impa\Armature\Beam;
use Impa\Armature\CutList;
use Impa\Armature\Gauge;
use Impa\Armature\Passage;
use Impa\Armature\Skeleton;
use Impa\Armature\WireAdvice;
use Impa\Balance\Balance;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Figure\Member\WireMade;
use Impa\Figure\Placement;
use Impa\Figure\Wire;
use Impa\Material\Densities;
use Impa\Material\WireMaterial;
use Impa\Tests\Support\Figures;
use Impa\Voice\Amount;
use Impa\Wool\Ledger\Ledger;

/** @param  list<array<string, mixed>>  $wires */
function doll(array $wires = [], float $armMm = 6): Figure
{
    return Figures::read(Figures::document([
        Figures::part('body', 'ball', 40, 50, 36, 0, 25),
        Figures::part('arm', 'sausage', $armMm, 60, $armMm, 45, 36, 0, [
            'name' => 'Arm',
            'mirror' => true,
            'turnDeg' => ['z' => -90],
            'join' => ['to' => 'body'],
        ]),
    ], [], ['wires' => $wires]));
}

/** @param  list<array{float, float, float}>  $points */
function wire(array $points, bool $doubled = false, float $loopMm = 0.0, float $gaugeMm = 1.0): Wire
{
    return new Wire('w', 'W', WireMaterial::Steel, $gaugeMm, $points, new WireMade($doubled, $loopMm));
}

function sheet(Figure $figure, array $stock = []): array
{
    return ArmatureSheet::of($figure, Ledger::of($figure, Densities::house()), Skeleton::of($figure), $stock);
}

it('knows the gauges as ASTM B258 has them', function (int $awg, float $mm) {
    // ASTM B258, Table 1, in mm; from memory.
    expect(Gauge::mm($awg))->toEqualWithDelta($mm, 0.0006)->and(Gauge::awg($mm))->toBe($awg);
})->with([
    [36, 0.127], [30, 0.2546], [24, 0.5106], [22, 0.6438], [20, 0.8118],
    [18, 1.0237], [16, 1.2908], [14, 1.6277], [10, 2.5882], [0, 8.2515],
]);

describe('a beam', function () {
    it('sinks and is strained as the cases of handbooks have it', function () {
        // A steel wire of 2 mm, 100 mm free, 50 g at its end. Roark, case 1a: F L^3 / (3 E I) with I = pi/4 mm4.
        $end = new Beam(100, 2, 1, 200, 0, 50);
        $f = 0.05 * 9.80665;
        expect($end->sagMm())->toEqualWithDelta($f * 100 ** 3 / (3 * 200000 * M_PI / 4), 1e-9)
            ->and($end->stressMPa())->toEqualWithDelta($f * 100 / (M_PI / 4 * 2 ** 3 / 8), 1e-9);
        // Case 2a: w L^4 / (8 E I).
        $even = new Beam(100, 2, 1, 200, 50, 0);
        expect($even->sagMm())->toEqualWithDelta($f / 100 * 100 ** 4 / (8 * 200000 * M_PI / 4), 1e-9)
            ->and($even->stressMPa())->toEqualWithDelta($end->stressMPa() / 2, 1e-9);
    });

    it('sinks as a beam of many small pieces does, bent one by one', function () {
        // The curvature M / (E I) summed up twice along the beam.
        [$n, $length, $g, $e, $d] = [2000, 80.0, 12.0, 69.0, 1.2];
        $w = $g * 9.80665e-3 / $length;
        $ei = $e * 1000 * M_PI * $d ** 4 / 64;
        $slope = $sag = 0.0;
        for ($i = 0; $i < $n; $i++) {
            $left = $length * (1 - ($i + 0.5) / $n);
            $slope += ($w * $left ** 2 / 2) / $ei * $length / $n;
            $sag += $slope * $length / $n;
        }
        expect((new Beam($length, $d, 1, $e, $g, 0))->sagMm())->toEqualWithDelta($sag, $sag * 0.001);
    });

    it('is sixteen times as stiff twice as thick, and twice as stiff of two strands', function () {
        $sag = static fn (float $d, int $strands): float => (new Beam(60, $d, $strands, 117, 5, 3))->sagMm();
        expect($sag(1, 1) / $sag(2, 1))->toEqualWithDelta(16, 1e-9)->and($sag(1, 1) / $sag(1, 2))->toEqualWithDelta(2, 1e-9);
    });
});

describe('what to cut', function () {
    it('is the course, its loop, and each end turned back that has none', function () {
        // 30 along and 40 up: 70; 20 turned back; a loop of 12 across, and 10 at the other end.
        expect(WireAdvice::cut(wire([[0, 0, 0], [30, 0, 0], [30, 40, 0]])))->toEqualWithDelta(90.0, 1e-9)
            ->and(WireAdvice::cut(wire([[0, 0, 0], [0, 0, 50]], loopMm: 12)))->toEqualWithDelta(60 + M_PI * 12, 1e-9)
            ->and(WireAdvice::cut(wire([[0, 0, 0], [0, 0, 50]], loopMm: 0.8)))->toEqualWithDelta(60 + M_PI * 0.8, 1e-9);
    });

    it('is twice the course for a doubled wire, and what twisting takes up: the length of a helix in closed form', function () {
        // One turn of a helix of radius r that climbs p: sqrt((2 pi r)^2 + p^2), here r = 0.5 and p = 7 (docs/trade.md: once in seven mm).
        $turn = hypot(2 * M_PI * 0.5, 7.0) / 7.0;
        expect(Wire::takeUp(1.0))->toEqualWithDelta($turn, 1e-12)
            ->and(WireAdvice::cut(wire([[0, 0, 0], [100, 0, 0]], true)))->toEqualWithDelta(200 * $turn + 20, 1e-9);
        // And as a course of many small straight pieces.
        $length = 0.0;
        for ($i = 1; $i <= 1000; $i++) {
            [$a, $b] = [2 * M_PI * ($i - 1) / 1000, 2 * M_PI * $i / 1000];
            $length += sqrt((0.5 * (cos($b) - cos($a))) ** 2 + (0.5 * (sin($b) - sin($a))) ** 2 + (7.0 / 1000) ** 2);
        }
        expect($length / 7.0)->toEqualWithDelta($turn, 1e-5);
    });

    it('weighs what so much metal weighs', function () {
        // 100 mm of steel, 2 mm thick: pi mm2 x 100 mm = 0.314 cm3.
        expect(wire([[0, 0, 0], [100, 0, 0]], gaugeMm: 2)->massG())->toEqualWithDelta(M_PI / 10 * 7.85, 1e-9)
            ->and(wire([[0, 0, 0], [100, 0, 0]], true, gaugeMm: 2)->massG())->toBeGreaterThan(2 * M_PI / 10 * 7.85)
            ->and(wire([[0, 0, 0], [100, 0, 0], [100, 50, 0]])->middleMm())->toEqualWithDelta([200 / 3, 25 / 3, 0.0], 1e-9);
    });
});

describe('the skeleton', function () {
    it('runs from tip to tip through what bears both limbs, and needs two holes there', function () {
        $wires = Skeleton::of(doll());
        expect(array_keys($wires))->toBe(['wire-arm']);
        $points = $wires['wire-arm']->pointsMm;
        expect($points[0][0])->toEqualWithDelta(72.0, 0.5)
            ->and($points[count($points) - 1][0])->toEqualWithDelta(-72.0, 0.5)
            ->and($wires['wire-arm']->lengthMm())->toEqualWithDelta(144.0, 1.0);
        $through = array_column(sheet(doll())['wires'][0]['through'], 'holes', 'part');
        expect($through)->toHaveKeys(['body', 'arm'])->and($through['body'])->toHaveCount(2);
        // At that height the body, a ball of 40 by 50, is so wide.
        $half = 20 * sqrt(1 - ((36 - 25) / 25) ** 2);
        expect(abs($through['body'][0][0]))->toEqualWithDelta($half, 1.2);
    });

    it('is for limbs that bend without one, or for all that are to be posed', function () {
        expect(Skeleton::of(doll([], 12)))->toBe([])->and(Skeleton::of(doll([], 12), true))->toHaveKey('wire-arm');
    });

    it('is what the felter drew, where she drew one', function () {
        $own = ['key' => 'tail', 'pointsMm' => [[0, 20, -10], [0, 30, -60]], 'material' => 'copper', 'gaugeMm' => 0.8, 'mirror' => false];
        $figure = doll([$own]);
        expect(array_keys(Skeleton::of($figure)))->toBe(['tail'])
            ->and(Skeleton::of($figure)['tail']->material)->toBe(WireMaterial::Copper)
            ->and(sheet($figure)['drawn'])->toBeTrue();
    });

    it('is refused where it is none, each fault with its place', function (array $wire, string $at) {
        try {
            doll([$wire]);
            $pointers = [];
        } catch (FigureRefused $refused) {
            $pointers = array_map(static fn ($f): string => $f->pointer, $refused->faults);
        }
        expect(implode(' ', $pointers))->toContain($at);
    })->with([
        [['key' => 'w'], '/wires/0/pointsMm'],
        [['key' => 'w', 'pointsMm' => [[0, 0, 0]]], '/wires/0/pointsMm'],
        [['key' => 'w', 'pointsMm' => [[0, 0], [1, 1]]], '/wires/0/pointsMm/0'],
        [['key' => 'w', 'pointsMm' => [[0, 0, 0], [1, 1, 1]], 'material' => 'gold'], '/wires/0/material'],
        [['key' => 'w', 'pointsMm' => [[0, 0, 0], [1, 1, 1]], 'gaugeMm' => 0], '/wires/0/gaugeMm'],
        [['key' => 'w', 'pointsMm' => [[0, 0, 0], [1, 1, 1]], 'wrapped' => 'nowhere'], '/wires/0/wrapped'],
    ]);

    it('says what holds: a thin soft wire does not, what is advised does', function () {
        $across = [[72, 36, 0], [15, 36, 0], [-15, 36, 0], [-72, 36, 0]];
        $thin = ['key' => 'w', 'pointsMm' => $across, 'material' => 'aluminium', 'gaugeMm' => 0.2];
        $told = sheet(doll([$thin], 14))['wires'][0];
        expect($told['freeMm'])->toBe(60.0)
            ->and($told['adviceMm'])->toBeGreaterThan(0.2)
            ->and($told['text'])->toContain(sprintf('take %.1f mm', $told['adviceMm']));
        $better = sheet(doll([['gaugeMm' => $told['adviceMm']] + $thin], 14))['wires'][0];
        expect($better['staysAsBent'])->toBeTrue()
            ->and($better['sagMm'])->toBeLessThanOrEqual(3.0)
            ->and($better['text'])->toContain('holds')
            ->and($better['sagMm'])->toBeLessThan($told['sagMm']);
    });
});

describe('the cut list', function () {
    /** The least stock that is used, by trying every way of putting every piece into every bar. */
    function leastUsed(array $pieces, array $stock): float
    {
        $best = INF;
        $try = static function (int $at, array $room) use (&$try, &$best, $pieces, $stock): void {
            if ($at === count($pieces)) {
                $used = 0.0;
                foreach ($stock as $i => $mm) {
                    $used += $room[$i] < $mm ? $mm : 0.0;
                }
                $best = min($best, $used);

                return;
            }
            foreach ($room as $i => $free) {
                if ($free >= $pieces[$at] - 1e-9) {
                    $next = $room;
                    $next[$i] -= $pieces[$at];
                    $try($at + 1, $next);
                }
            }
        };
        $try(0, $stock);

        return $best;
    }

    it('uses the least stock there is, as found by trying every way', function () {
        mt_srand(17);
        foreach (range(1, 25) as $round) {
            $pieces = array_map(static fn (): float => (float) mt_rand(40, 190), range(1, mt_rand(2, 7)));
            $stock = array_map(static fn (): float => (float) mt_rand(200, 320), range(1, 4));
            $least = leastUsed($pieces, $stock);
            if ($least === INF) {
                expect(fn () => CutList::of($pieces, $stock))->toThrow(ArmatureRefused::class);

                continue;
            }
            $cuts = CutList::of($pieces, $stock);
            expect(array_sum(array_column($cuts, 'stockMm')))->toEqualWithDelta($least, 1e-6);
        }
    });

    it('uses the fewest bars for twelve pieces, as found over all subsets of them', function () {
        // Held and Karp's way: for each subset the fewest bars, and of those the most room in the last one.
        $fewest = static function (array $pieces, float $bar): int {
            $best = [0 => [0, 0.0]];
            for ($set = 1; $set < 2 ** count($pieces); $set++) {
                $best[$set] = [PHP_INT_MAX, 0.0];
                foreach ($pieces as $i => $mm) {
                    if (($set >> $i & 1) === 1) {
                        [$bars, $room] = $best[$set ^ 1 << $i];
                        $next = $room >= $mm - 1e-9 ? [$bars, $room - $mm] : [$bars + 1, $bar - $mm];
                        $isBetter = $next[0] < $best[$set][0] || ($next[0] === $best[$set][0] && $next[1] > $best[$set][1]);
                        $best[$set] = $isBetter ? $next : $best[$set];
                    }
                }
            }

            return $best[2 ** count($pieces) - 1][0];
        };
        mt_srand(8);
        foreach (range(1, 6) as $round) {
            $pieces = array_map(static fn (): float => (float) mt_rand(35, 210), range(1, CutList::EXACT_PIECES));
            expect(CutList::fromLengths($pieces, 300.0))->toHaveCount($fewest($pieces, 300.0));
        }
        // Beyond, within a twentieth: here of what no way can fall below.
        foreach (range(1, 6) as $round) {
            $pieces = array_map(static fn (): float => (float) mt_rand(35, 110), range(1, 40));
            expect(count(CutList::fromLengths($pieces, 300.0)))->toBeLessThanOrEqual(ceil(array_sum($pieces) / 300 * 1.05));
        }
    })->group('dear');

    it('cuts every piece once, out of stock that is there, and says what is left', function () {
        mt_srand(4);
        foreach ([5, 12, 30] as $count) {
            $pieces = array_map(static fn (): float => (float) mt_rand(30, 280), range(1, $count));
            $cuts = CutList::fromLengths($pieces, 300.0);
            $cut = array_merge(...array_column($cuts, 'pieces'));
            expect($cut)->toEqualCanonicalizing($pieces);
            foreach ($cuts as $c) {
                expect($c['stockMm'])->toEqualWithDelta(300.0, 1e-6)
                    ->and($c['wasteMm'])->toEqualWithDelta(300.0 - array_sum($c['pieces']), 1e-6)
                    ->and($c['wasteMm'])->toBeGreaterThanOrEqual(-1e-6);
            }
            // Within a twentieth of what no way can fall below.
            $least = ceil(array_sum($pieces) / 300);
            expect(count($cuts))->toBeLessThanOrEqual(max($least + 1, ceil($least * 1.05) + 1));
        }
    });

    it('finds a way that wastes nothing where bars were cut up, to a tenth of a millimetre', function (int $seed) {
        mt_srand($seed);
        $pieces = [];
        foreach (range(1, 4) as $_) {
            $first = mt_rand(500, 1500);
            $second = mt_rand(300, 2700 - $first);
            array_push($pieces, $first / 10, $second / 10, (3000 - $first - $second) / 10);
        }
        shuffle($pieces);
        $cuts = CutList::fromLengths($pieces, 300.0);
        expect($cuts)->toHaveCount(4)->and(array_column($cuts, 'wasteMm'))->toEqualWithDelta([0.0, 0.0, 0.0, 0.0], 1e-6);
    })->with(range(1, 20));

    it('takes the shortest stock that a piece goes into, and the one of it that is used up', function () {
        $cuts = CutList::of([100.0, 60.5, 39.5], [300.0, 150.0, 100.0, 100.0]);
        expect(array_column($cuts, 'stockMm'))->toEqualWithDelta([100.0, 100.0], 1e-6)
            ->and(array_column($cuts, 'pieces'))->toEqual([[100.0], [60.5, 39.5]]);
    });

    it('fills as few bars as the sum of the pieces asks for, where that can be', function () {
        // Bars of 100; 361 mm of pieces ask for four at least.
        $pieces = [45.0, 45.0, 45.0, 36.0, 36.0, 36.0, 31.0, 31.0, 14.0, 14.0, 14.0, 14.0];
        expect(CutList::fromLengths($pieces, 100.0))->toHaveCount(4);
    });

    it('cuts a piece from stock of just its length, and says of none that there is none', function () {
        expect(CutList::of([100.0], [100.0]))->toBe([['stockMm' => 100.0, 'pieces' => [100.0], 'wasteMm' => 0.0]])
            ->and(fn () => CutList::of([10.0], []))->toThrow(ArmatureRefused::class, 'the longest you have is 0 mm: get one 10 mm longer');
    });

    it('does not rest at a way that wastes half a millimetre where another wastes nothing', function () {
        // Best fit puts 60 into 60.5; 60 and 40 fill a hundred, and 60.5 is left whole for its own.
        $cuts = CutList::of([60.5, 60.0, 40.0], [100.0, 61.0, 60.5]);
        expect(array_sum(array_column($cuts, 'wasteMm')))->toEqualWithDelta(0.0, 1e-9);
    });

    it('refuses what is too short, and says how much is missing', function () {
        expect(fn () => CutList::of([350.0], [300.0, 300.0]))->toThrow(ArmatureRefused::class, 'one 50 mm longer')
            // Whole millimetres, and never too few.
            ->and(fn () => CutList::of([350.4], [300.0]))->toThrow(ArmatureRefused::class, 'one 51 mm longer')
            ->and(fn () => CutList::of([200.0, 200.0], [300.0]))->toThrow(ArmatureRefused::class, 'get one more')
            ->and(fn () => CutList::of([10.0], []))->toThrow(ArmatureRefused::class)
            ->and(CutList::of([], [300.0]))->toBe([]);
    });
});

it('weighs wires, beads and eyes with the figure, where they are', function () {
    $bare = Balance::of(Ledger::of(doll(), Densities::house()));
    $own = ['key' => 'w', 'pointsMm' => [[0, 90, 0], [0, 100, 0]], 'material' => 'steel', 'gaugeMm' => 3];
    $wired = Balance::of(Ledger::of(doll([$own]), Densities::house()));
    $g = M_PI / 4 * 9 * 10 / 1000 * 7.85;
    expect($wired->massG - $bare->massG)->toEqualWithDelta($g, 1e-9)
        ->and($wired->centreMm[1])->toEqualWithDelta(($bare->massG * $bare->centreMm[1] + $g * 95) / ($bare->massG + $g), 1e-9);
    $beaded = static fn (array $detail): Figure => Figures::read(Figures::document(
        [Figures::part('head', 'ball', 40, 40, 40, 0, 20)],
        [$detail + ['key' => 'eye', 'on' => 'head', 'widthMm' => 6, 'heightMm' => 6, 'xMm' => 8, 'mirror' => true, 'colour' => 'black']],
    ));
    $of = static fn (Figure $f): float => Balance::of(Ledger::of($f, Densities::house()))->massG;
    // Two balls of glass of 6 mm, less the wool of two felted eyes.
    $bead = 2 * M_PI / 6 * 0.6 ** 3 * 2.5;
    expect($of($beaded(['kind' => 'bead'])) - $of($beaded(['kind' => 'disc', 'method' => 'stitch'])))->toBeGreaterThan($bead * 0.9);
});

describe('the sheet', function () {
    it('says of each wire what it is, how many there are, and what to cut of it', function () {
        $wires = [
            ['key' => 'a', 'name' => 'A', 'pointsMm' => [[0, 10, 0], [60, 10, 0], [60, 10, 80]], 'mirror' => true, 'material' => 'steel'],
            ['key' => 'b', 'pointsMm' => [[0, 0, 0], [0, 100, 0]], 'gaugeMm' => 0.5, 'doubled' => true, 'wrapped' => 'teal'] + [
                'material' => 'copper',
            ],
        ];
        $sheet = sheet(doll($wires));
        [$a, $b] = $sheet['wires'];
        expect([$a['key'], $a['name'], $a['count'], $a['material'], $a['doubled'], $a['awg']])->toBe(['a', 'A', 2, 'steel', false, 18])
            ->and([$b['key'], $b['name'], $b['count'], $b['material'], $b['doubled'], $b['awg']])->toBe(['b', 'b', 1, 'copper', true, 24])
            ->and($a['lengthMm'])->toEqualWithDelta(140.0, 1e-9)
            ->and($a['cutMm'])->toEqualWithDelta(160.0, 1e-9)
            ->and($a['pathMm'])->toBe([[0.0, 10.0, 0.0], [60.0, 10.0, 0.0], [60.0, 10.0, 80.0]])
            ->and($a['massG'])->toEqualWithDelta(M_PI / 4 * 0.14 * 7.85, 1e-9)
            ->and($a['ribbonM'])->toBe(0.0)
            // A ribbon of 8 mm, a third over, round 2 mm and so far along as the wire and its fold-backs.
            ->and($b['ribbonM'])->toEqualWithDelta(120 / 5.6 * hypot(M_PI * 2, 5.6) / 1000, 1e-9)
            ->and($b['adviceAwg'])->toBe($b['adviceMm'] === null ? null : Gauge::awg($b['adviceMm']))
            ->and($sheet['figure'])->toBe('Test')
            // Two of 160 and one of 223: three of the 300 that are sold.
            ->and(array_column($sheet['cuts'], 'stockMm'))->toEqualWithDelta([300.0, 300.0, 300.0], 1e-6);
        expect([$sheet['format'], $sheet['version'], $sheet['drawn']])->toBe(['impa-armature', 1, true])
            ->and([$a['gaugeMm'], $b['gaugeMm']])->toBe([1.0, 0.5]);
        $long = sheet(doll([['key' => 'l', 'pointsMm' => [[0, 0, 0], [0, 0, 700]]]]))['cuts'];
        // What is longer than is sold is cut from as many lengths in one.
        expect(array_column($long, 'stockMm'))->toEqualWithDelta([900.0], 1e-6)->and($long[0]['wasteMm'])->toEqualWithDelta(180.0, 1e-6);
        $both = sheet(doll([
            ['key' => 'l', 'pointsMm' => [[0, 0, 0], [0, 0, 700]]],
            ['key' => 's', 'pointsMm' => [[0, 0, 0], [0, 0, 100]]],
        ]))['cuts'];
        expect(array_column($both, 'stockMm'))->toEqualWithDelta([900.0], 1e-6)->and($both[0]['wasteMm'])->toEqualWithDelta(60.0, 1e-6);
    });

    it('winds a ribbon round a thick wire by its thickness with the wool that is under it', function () {
        $wire = ['key' => 'w', 'pointsMm' => [[0, 0, 0], [0, 100, 0]], 'gaugeMm' => 1.5, 'wrapped' => 'teal', 'material' => 'steel'];
        // Twice 1.5 mm thick; 8 mm wide, a third over; 100 mm and two fold-backs.
        expect(sheet(doll([$wire]))['wires'][0]['ribbonM'])->toEqualWithDelta(120 / 5.6 * hypot(M_PI * 3, 5.6) / 1000, 1e-9);
    });

    it('says whether a wire holds, and what would', function (array $wire, float $armMm, string $words) {
        $own = $wire + ['key' => 'w', 'pointsMm' => [[72, 36, 0], [15, 36, 0], [-15, 36, 0], [-72, 36, 0]]];
        expect(sheet(doll([$own], $armMm))['wires'][0]['text'])->toContain($words);
    })->with([
        [['material' => 'steel', 'gaugeMm' => 1.0], 8, '1 mm of bare steel wire holds; 0.5 mm would do.'],
        [['material' => 'steel', 'gaugeMm' => 0.5], 8, '0.5 mm of bare steel wire holds, and stays as bent.'],
        [['material' => 'aluminium', 'gaugeMm' => 0.2], 14, '0.2 mm of bare aluminium wire bends under the limb: take'],
        [['material' => 'pipe-cleaner', 'gaugeMm' => 0.4], 60, 'No pipe cleaner that is sold holds this limb out: double it'],
    ]);

    it('carries its own weight where nothing hangs on it: half of a loose wire, held by its middle', function (bool $doubled) {
        $loose = ['key' => 'w', 'pointsMm' => [[100, 200, 0], [500, 200, 0]], 'material' => 'steel', 'gaugeMm' => 1.0];
        $wire = sheet(doll([$loose + ['doubled' => $doubled]]))['wires'][0];
        // W L^3 / (8 E I) of 200 mm of steel of 1 mm (Roark, case 2a); of two strands twice the weight and twice the stiffness.
        $g = M_PI / 4 * 0.2 * 7.85;
        expect([$wire['freeMm'], $wire['carriesG']])->toBe([200.0, 0.0])
            ->and($wire['sagMm'])->toEqualWithDelta(9.80665e-3 * $g * 200 ** 3 / 8 / (200_000 * M_PI / 64), 1e-9);
    })->with([false, true]);

    it('says of a wire that stays as bent by how much it sinks, and what would not', function () {
        $long = ['key' => 'w', 'pointsMm' => [[100, 200, 0], [900, 200, 0]], 'material' => 'steel', 'gaugeMm' => 0.5];
        $wire = sheet(doll([$long]))['wires'][0];
        $sag = 9.80665e-3 * M_PI / 4 * 0.25 * 0.4 * 7.85 * 400 ** 3 / 8 / (200_000 * M_PI * 0.0625 / 64);
        expect($wire['text'])->toStartWith(sprintf('0.5 mm of bare steel wire sinks by %s: take ', Amount::mm($sag)))
            ->and($wire['staysAsBent'])->toBeTrue();
        // What is advised sinks by a twentieth of its length at most, and the next thinner one by more.
        $sagOf = static fn (float $mm): float => sheet(doll([['gaugeMm' => $mm] + $long]))['wires'][0]['sagMm'];
        $thinner = array_filter(WireMaterial::Steel->soldMm(), static fn (float $mm): bool => $mm < $wire['adviceMm']);
        expect($sagOf($wire['adviceMm']))->toBeLessThanOrEqual(20.0)
            ->and($thinner)->not->toBe([])
            ->and($sagOf(max($thinner)))->toBeGreaterThan(20.0);
    });

    it('holds the longest limb that it goes through, with what hangs there', function () {
        $figure = Figures::read(Figures::document([
            Figures::part('body', 'ball', 40, 50, 36, 0, 25),
            Figures::part('arm', 'sausage', 8, 40, 8, 35, 36, 0, ['turnDeg' => ['z' => -90], 'join' => ['to' => 'body']]),
            Figures::part('wing', 'sausage', 8, 90, 8, -60, 36, 0, ['turnDeg' => ['z' => 90], 'join' => ['to' => 'body']]),
        ], [], ['wires' => [['key' => 'w', 'pointsMm' => [[54, 36, 0], [-104, 36, 0]]]]]));
        $wire = sheet($figure)['wires'][0];
        expect($wire['freeMm'])->toBe(90.0)
            ->and($wire['carriesG'])->toEqualWithDelta(Ledger::of($figure, Densities::house())->wool['wing']->finishedG(), 1e-9);
    });

    it('holds no part out that is joined to nothing, though it goes through it', function () {
        $document = json_decode(doll([['key' => 'w', 'pointsMm' => [[72, 36, 0], [0, 36, 0]]]], 8)->toJson(), true);
        expect(sheet(Figures::read($document))['wires'][0]['freeMm'])->toBe(60.0);
        unset($document['parts'][1]['join']);
        expect(sheet(Figures::read($document))['wires'][0]['freeMm'])->toBe(36.0);
    });

    it('holds parts whose keys are numbers, and what hangs on those', function () {
        $document = json_decode(doll([['key' => 'w', 'pointsMm' => [[72, 36, 0], [0, 36, 0]]]], 8)->toJson(), true);
        $document['parts'][] = Figures::part('7', 'ball', 20, 20, 20, 80, 36, 0, ['join' => ['to' => 'arm'], 'core' => 'none']);
        $document['parts'][] = Figures::part('8', 'ball', 10, 10, 10, 80, 20, 0, ['join' => ['to' => '7'], 'core' => 'none']);
        $figure = Figures::read($document);
        $wool = Ledger::of($figure, Densities::house())->wool;
        expect(sheet($figure)['wires'][0]['carriesG'])
            ->toEqualWithDelta($wool['arm']->finishedG() + $wool['7']->finishedG() + $wool['8']->finishedG(), 1e-9);
    });

    it('says what hangs on it as it weighs, and counts what is held at the end for more than what is spread along it', function () {
        $document = json_decode(doll([['key' => 'w', 'pointsMm' => [[72, 36, 0], [0, 36, 0]]]], 8)->toJson(), true);
        $bare = sheet(Figures::read($document))['wires'][0];
        $document['parts'][] = Figures::part('lamp', 'ball', 20, 20, 20, 80, 36, 0, ['join' => ['to' => 'arm'], 'core' => 'none']);
        $figure = Figures::read($document);
        $held = sheet($figure)['wires'][0];
        $wool = Ledger::of($figure, Densities::house())->wool;
        $g = $wool['lamp']->finishedG();
        expect($bare['carriesG'])->toEqualWithDelta($wool['arm']->finishedG(), 1e-9)
            ->and($held['carriesG'] - $bare['carriesG'])->toEqualWithDelta($g, 1e-9)
            ->and($held['freeMm'])->toBe(60.0)
            // F L^3 / 3 E I, for 60 mm of 1 mm paper-covered steel (Roark, case 1a): what the lamp alone sinks it.
            ->and($held['sagMm'] - $bare['sagMm'])->toEqualWithDelta(9.80665e-3 * $g * 60 ** 3 / 3 / (200_000 * M_PI / 64), 1e-9);
        // What hangs on what is held hangs there as well.
        $document['parts'][] = Figures::part('ring', 'ball', 10, 10, 10, 80, 20, 0, ['join' => ['to' => 'lamp'], 'core' => 'none']);
        $figure = Figures::read($document);
        $ring = Ledger::of($figure, Densities::house())->wool['ring']->finishedG();
        expect(sheet($figure)['wires'][0]['carriesG'] - $held['carriesG'])->toEqualWithDelta($ring, 1e-9);
    });

    it('lets a pipe cleaner hold that stays as bent, and sinks by less than anybody sees', function () {
        $own = ['key' => 'w', 'pointsMm' => [[72, 36, 0], [0, 36, 0]], 'material' => 'pipe-cleaner', 'gaugeMm' => 0.4];
        $seen = [];
        foreach (range(4, 40, 2) as $thick) {
            $wire = sheet(doll([$own], $thick))['wires'][0];
            $seen[] = $wire['sagMm'] < 1.0 && $wire['staysAsBent'];
            expect(str_contains((string) $wire['text'], 'holds, and stays as bent'))->toBe($wire['staysAsBent'] && $wire['sagMm'] <= 3.0);
        }
        expect(array_filter($seen))->not->toBe([]);
    });
});

it('runs along the axis of a slanting limb, and from its root straight towards the middle of what bears it', function () {
    $figure = Figures::read(Figures::document([
        Figures::part('body', 'ball', 50, 50, 50, 4, 40, 7),
        Figures::part('tail', 'sausage', 6, 60, 6, 44, 66, -12, ['name' => 'Tail', 'turnDeg' => ['z' => -60], 'join' => ['to' => 'body']]),
    ]));
    $wire = Skeleton::of($figure)['wire-tail'];
    $at = [44.0, 66.0, -12.0];
    $along = [sin(deg2rad(60)), cos(deg2rad(60)), 0.0];
    $place = static fn (float $mm): array => array_map(static fn (int $i): float => $at[$i] + $mm * $along[$i], [0, 1, 2]);
    [$first, $last] = [$wire->pointsMm[0], $wire->pointsMm[count($wire->pointsMm) - 1]];
    $root = $place(-30.0);
    $to = [4.0 - $root[0], 40.0 - $root[1], 7.0 - $root[2]];
    $far = hypot(hypot($to[0], $to[1]), $to[2]);
    expect($first)->toEqualWithDelta($place(27.0), 1e-6)
        ->and($wire->pointsMm[count($wire->pointsMm) - 2])->toEqualWithDelta($root, 1e-6)
        // 20 mm in, for the body is thick enough.
        ->and($last)->toEqualWithDelta(array_map(static fn (int $i): float => $root[$i] + 20 / $far * $to[$i], [0, 1, 2]), 1e-6)
        ->and([$wire->key, $wire->name, $wire->mirror])->toBe(['wire-tail', 'Wire of tail', false]);
    // Everything between lies on the axis.
    foreach (array_slice($wire->pointsMm, 0, -1) as $point) {
        $mm = ($point[0] - $at[0]) * $along[0] + ($point[1] - $at[1]) * $along[1];
        expect($point)->toEqualWithDelta($place($mm), 1e-6);
    }
});

it('runs from tip to tip of a pair through the depth at which what bears both has its middle', function () {
    $document = json_decode(doll()->toJson(), true);
    $document['parts'][0]['at']['zMm'] = 9;
    $points = Skeleton::of(Figures::read($document))['wire-arm']->pointsMm;
    $middle = $points[intdiv(count($points), 2)];
    expect(count($points) % 2)->toBe(1)
        ->and($middle)->toEqualWithDelta([0.0, 36.0, 9.0], 1e-6)
        ->and($points[0])->toEqualWithDelta([72.0, 36.0, 0.0], 1e-6);
    foreach ($points as $i => [$x, $y, $z]) {
        expect($points[count($points) - 1 - $i])->toEqualWithDelta([-$x, $y, $z], 1e-9);
    }
});

it('has a limb made round it that it follows for six tenths, on either side of a pair of wires', function (float $mm, bool $is) {
    $tail = doll()->parts['arm'];
    $wire = new Wire('w', 'W', WireMaterial::Steel, 1.0, [[20.0, 36.0, 0.0], [20.0 + $mm, 36.0, 0.0]]);
    expect(Passage::isRound($wire, $tail))->toBe($is);
    // Only one of the two lies in a limb that is no pair.
    $document = json_decode(doll()->toJson(), true);
    $document['parts'][1]['mirror'] = false;
    $document['wires'] = [['key' => 'w', 'mirror' => true, 'pointsMm' => [[20, 36, 0], [20 + $mm, 36, 0]]]];
    $alone = Figures::read($document);
    expect(Passage::of($alone->wires['w'], $alone)->limbs)->toBe($is ? ['arm'] : [])
        ->and(Passage::of($alone->wires['w'], $alone)->isLoose())->toBe(! $is);
})->with([[33.0, false], [39.0, true]]);

describe('a course through a part', function () {
    it('is as long as places along it lie within it, counted one by one, for any convex part and any course', function (int $seed) {
        mt_srand($seed);
        $any = static fn (float $most): float => $most * (2 * mt_rand() / mt_getrandmax() - 1);
        $kind = ['ball', 'egg', 'block', 'drum', 'dome', 'cone'][$seed % 6];
        $at = [$any(60), $any(60), $any(60)];
        $part = Figures::read(Figures::document([Figures::part('p', $kind, 30 + $any(15), 40 + $any(20), 30 + $any(15), ...$at, more: [
            'turnDeg' => ['x' => $any(90), 'y' => $any(90), 'z' => $any(90)],
            'mirror' => $seed % 2 === 0,
        ])]))->parts['p'];
        // It leads through the part, or by it.
        $course = [[$any(90), $any(90), $any(90)]];
        foreach ([1, 2, 3] as $_) {
            $course[] = array_map(static fn (float $at): float => $at + $any(25), $part->stand->at);
            $course[] = [$any(90), $any(90), $any(90)];
        }
        $inside = 0.0;
        $bends = count($course) - 1;
        for ($i = 0; $i < $bends; $i++) {
            [$a, $b] = [$course[$i], $course[$i + 1]];
            $mm = sqrt(array_sum(array_map(static fn (float $from, float $to): float => ($to - $from) ** 2, $a, $b)));
            $count = (int) ceil($mm / 0.1);
            for ($k = 0; $k < $count; $k++) {
                $at = array_map(static fn (float $from, float $to): float => $from + ($k + 0.5) / $count * ($to - $from), $a, $b);
                $isIn = array_filter($part->placements(), static fn (Placement $piece): bool => $piece->holds(...$at)) !== [];
                $inside += $isIn ? $mm / $count : 0.0;
            }
        }
        // A millimetre for each of six places where it may enter or leave.
        expect(WireAdvice::insideMm($course, $part))->toEqualWithDelta($inside, 6.0);
    })->with(range(1, 24));

    it('is as long as the part is thick, and pierces it at its skin, however long the wire', function (float $mm) {
        $figure = Figures::read(Figures::document([Figures::part('p', 'ball', 300, 300, 300, 10, 200)]));
        $course = [[-$mm, 200.0, 0.0], [$mm, 200.0, 0.0]];
        $step = max(1.0, 2 * $mm / 1000);
        expect(WireAdvice::insideMm($course, $figure->parts['p']))->toEqualWithDelta(300.0, 2 * $step);
        [$through] = WireAdvice::through(new Wire('w', 'W', WireMaterial::Steel, 1.0, $course), $figure);
        expect(array_column($through['holes'], 0))->toEqualWithDelta([-140.0, 160.0], $step);
    })->with([200.0, 900.0, 4000.0, 9000.0]);
});

it('is looked for once in a figure, as a list, whatever the wires are called', function () {
    $figure = doll([['key' => 'w', 'pointsMm' => [[72, 36, 0], [0, 36, 0]]]]);
    $all = Passage::all($figure);
    expect(array_is_list($all))->toBeTrue()->and($all)->toHaveCount(1)->and(Passage::all($figure)[0])->toBe($all[0]);
});

it('ends a single limb\'s wire 3 mm before its tip, and 20 mm deep in what bears it, never past its middle', function () {
    $figure = static fn (float $bodyMm): Figure => Figures::read(Figures::document([
        Figures::part('body', 'ball', $bodyMm, $bodyMm, $bodyMm, 0, 40),
        Figures::part('tail', 'sausage', 6, 60, 6, 0, 40, -($bodyMm / 2 + 28), ['turnDeg' => ['x' => 90], 'join' => ['to' => 'body']]),
    ]));
    foreach ([[60.0, 20.0], [20.0, 8.0]] as [$bodyMm, $deepMm]) {
        $points = Skeleton::of($figure($bodyMm))['wire-tail']->pointsMm;
        $root = $points[count($points) - 2];
        $end = $points[count($points) - 1];
        $tip = -($bodyMm / 2 + 28) - 30;
        expect($points[0][2])->toEqualWithDelta($tip + 3, 0.1)
            ->and($end[2] - $root[2])->toEqualWithDelta($deepMm, 0.1)
            ->and($end[1])->toEqualWithDelta(40.0, 0.5);
    }
});

it('proposes a wire for each of a pair on a pair, and wraps what is wound', function () {
    $figure = Figures::read(Figures::document([
        Figures::part('body', 'ball', 50, 50, 50, 0, 40),
        Figures::part('arm', 'sausage', 14, 50, 14, 40, 40, 0, ['mirror' => true, 'turnDeg' => ['z' => -90], 'join' => ['to' => 'body']]),
        Figures::part('finger', 'sausage', 3, 30, 3, 75, 40, 0, ['mirror' => true, 'turnDeg' => ['z' => -90], 'join' => ['to' => 'arm']]),
        Figures::part('stalk', 'cord', 12, 40, 12, 0, 85, 0, ['join' => ['to' => 'body'], 'covering' => ['way' => 'wrap']]),
        Figures::part('pin', 'ball', 10, 10, 10, 0, 15, 20, ['join' => ['to' => 'body', 'by' => 'wire']]),
    ]));
    $wires = Skeleton::of($figure);
    expect(array_keys($wires))->toBe(['wire-finger', 'wire-stalk', 'wire-pin'])
        ->and($wires['wire-finger']->mirror)->toBeTrue()
        ->and($wires['wire-finger']->count())->toBe(2)
        ->and($wires['wire-stalk']->made->wrapped)->toBe('teal')
        ->and($wires['wire-pin']->made->wrapped)->toBe('')
        ->and($wires['wire-stalk']->mirror)->toBeFalse();
});

it('goes into a thin part by six tenths of its thickness, and has a twin where what bears a pair is a pair', function () {
    $arm = static fn (bool $isPair, bool $onPair): Wire => Skeleton::of(Figures::read(Figures::document([
        Figures::part('body', 'ball', 60, 60, 60, 0, 30),
        Figures::part('hand', 'ball', 30, 30, 10, 60, 30, 0, ['mirror' => $onPair, 'join' => ['to' => 'body']]),
        Figures::part('finger', 'sausage', 4, 50, 4, 60, 70, 0, ['mirror' => $isPair, 'join' => ['to' => 'hand']]),
    ])))['wire-finger'];
    $points = $arm(true, true)->pointsMm;
    [$root, $end] = array_slice($points, -2);
    expect(hypot($root[0] - $end[0], $root[1] - $end[1]))->toEqualWithDelta(6.0, 1e-6)
        ->and([$arm(true, true)->mirror, $arm(true, false)->mirror, $arm(false, true)->mirror, $arm(false, false)->mirror])
        ->toBe([true, false, false, false]);
});
