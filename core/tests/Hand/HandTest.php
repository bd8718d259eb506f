<?php

declare(strict_types=1);

namespace Impa\Tests\Hand;

use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Hand\EstimateComparison;
use Impa\Hand\FinishedPiece;
use Impa\Hand\Hand;
use Impa\Hand\HandRefused;
use Impa\Hand\HandSheet;
use Impa\Hand\Observation;
use Impa\Hand\Practice;
use Impa\Hand\Quantity;
use Impa\Hand\RecordsTable;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Material\HandModel;
use Impa\Material\Pace;
use Impa\Material\Preparation;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Tests\Support\Works;
use Impa\Wool\Ledger\Ledger;

function piece(float $off, string $group = 'springy', string $id = '', Quantity $quantity = Quantity::Density): Observation
{
    static $number = 0;

    return new Observation($id === '' ? 'n'.++$number : $id, $quantity, $group, 'a piece', 10.0, 10 * exp($off));
}

/** A standard normal, by Box and Muller. */
function gauss(): float
{
    return sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
}

/**
 * Mean and standard deviation of hand + group after some pieces, by summing the posterior on a grid of both.
 *
 * @param  array<string, list<float>>  $pieces  by group: two groups
 * @return array{float, float} of the first group's
 */
function onAGrid(float $hand, float $group, float $scatter, array $pieces): array
{
    [$one, $two] = array_values($pieces);
    $sum = $first = $second = 0.0;
    $n = 90;
    for ($i = -$n; $i <= $n; $i++) {
        $h = 6 * $hand * $i / $n;
        // Given the hand's effect, the groups are apart: the second one's is summed by itself.
        $other = 0.0;
        for ($k = -$n; $k <= $n; $k++) {
            $e = 6 * $group * $k / $n;
            $log = -($e ** 2) / (2 * $group ** 2);
            foreach ($two as $y) {
                $log -= ($y - $h - $e) ** 2 / (2 * $scatter ** 2);
            }
            $other += exp($log);
        }
        for ($k = -$n; $k <= $n; $k++) {
            $e = 6 * $group * $k / $n;
            $log = -($h ** 2) / (2 * $hand ** 2) - $e ** 2 / (2 * $group ** 2);
            foreach ($one as $y) {
                $log -= ($y - $h - $e) ** 2 / (2 * $scatter ** 2);
            }
            $weight = exp($log) * $other;
            $sum += $weight;
            $first += $weight * ($h + $e);
            $second += $weight * ($h + $e) ** 2;
        }
    }

    return [$first / $sum, sqrt($second / $sum - ($first / $sum) ** 2)];
}

describe('what is known of a hand', function () {
    it('is the posterior that numerical integration finds', function (array $one, array $two) {
        $model = HandModel::prior(0.23, 0.10, 0.10);
        foreach ($one as $y) {
            $model = $model->after('springy', $y);
        }
        foreach ($two as $y) {
            $model = $model->after('firm', $y);
        }
        [$mean, $sigma] = onAGrid(0.23, 0.10, 0.10, ['springy' => $one, 'firm' => $two]);
        expect($model->mean('springy'))->toEqualWithDelta($mean, 1e-4)
            ->and(sqrt($model->covariance('springy', 'springy')))->toEqualWithDelta($sigma, 1e-4);
    })->with([
        'nothing' => [[], []],
        'one piece' => [[0.2], []],
        'pieces of the other firmness only' => [[], [0.3, 0.25]],
        'both' => [[0.2, 0.1, 0.24], [-0.1, 0.05]],
        'a hand far from the house' => [[0.7, 0.8, 0.66, 0.71], [0.6]],
    ]);

    it('is what a published exercise has: weights of students', function (int $n, float $mean, float $sigma, float $next) {
        // Gelman et al., Bayesian Data Analysis, exercise 2.8 (its solution, from memory): prior N(180, 40), sigma 20, n weigh 150 on
        // the average: the mean is N(150.7, 6.2) for 10, N(150.07, 1.997) for 100; the next one's sigma is hypot of that and 20.
        $model = HandModel::prior(40.0, 1e-9, 20.0);
        for ($i = 0; $i < $n; $i++) {
            $model = $model->after('students', 150.0 - 180.0);
        }
        expect(180 + $model->mean('students'))->toEqualWithDelta($mean, 0.05)
            ->and(sqrt($model->covariance('students', 'students')))->toEqualWithDelta($sigma, 0.05)
            ->and($model->sigma('students'))->toEqualWithDelta($next, 0.05);
    })->with([[10, 150.7, 6.2, 20.95], [100, 150.07, 1.997, 20.1]]);

    it('is the same in whatever order the pieces come', function () {
        $pieces = [['springy', 0.2], ['firm', -0.1], ['springy', 0.3], ['soft', 0.0]];
        $of = static fn (array $list): HandModel => array_reduce(
            $list,
            static fn (HandModel $m, array $p): HandModel => $m->after($p[0], $p[1]),
            HandModel::prior(0.23, 0.1, 0.1),
        );
        [$one, $two] = [$of($pieces), $of(array_reverse($pieces))];
        foreach (['springy', 'firm', 'soft', 'hard'] as $group) {
            expect($one->mean($group))->toEqualWithDelta($two->mean($group), 1e-12)
                ->and($one->sigma($group))->toEqualWithDelta($two->sigma($group), 1e-12);
        }
    });

    it('never becomes less by one more piece, of whatever firmness', function () {
        mt_srand(9);
        $model = HandModel::prior(0.23, 0.1, 0.1);
        for ($i = 0; $i < 30; $i++) {
            $next = $model->after(['soft', 'springy', 'firm'][$i % 3], gauss());
            foreach (['soft', 'springy', 'firm', 'hard'] as $group) {
                expect($next->sigma($group))->toBeLessThan($model->sigma($group) + 1e-12);
            }
            $model = $next;
        }
    });

    it('halves the spread of the next piece after six at the most', function () {
        $model = HandModel::prior(0.23, 0.1, 0.1);
        for ($i = 0; $i < 6; $i++) {
            $model = $model->after('springy', 0.1);
        }
        expect($model->sigma('springy') / HandModel::prior(0.23, 0.1, 0.1)->sigma('springy'))->toBeLessThan(0.5);
    });

    it('holds 75 to 85 of a hundred simulated pieces in its ranges, whatever was seen', function (int $seen, float $hand) {
        mt_srand(77 + $seen);
        $in = 0;
        $felters = 3000;
        for ($f = 0; $f < $felters; $f++) {
            $own = is_nan($hand) ? 0.23 * gauss() : $hand;
            $groups = ['soft' => 0.1 * gauss(), 'springy' => 0.1 * gauss()];
            $model = HandModel::prior(0.23, 0.1, 0.1);
            for ($i = 0; $i < $seen; $i++) {
                $group = $i % 3 === 2 ? 'soft' : 'springy';
                $model = $model->after($group, $own + $groups[$group] + 0.1 * gauss());
            }
            $next = $own + $groups['springy'] + 0.1 * gauss();
            $in += (int) (abs($next - $model->mean('springy')) <= HandModel::Z80 * $model->sigma('springy'));
        }
        expect($in / $felters)->toBeGreaterThan(0.75)->toBeLessThan(0.85);
    })->with([
        'none yet' => [0, NAN],
        'one' => [1, NAN],
        'six' => [6, NAN],
        'twenty' => [20, NAN],
        // Three sigma from the house: the prior alone would be wrong, six pieces have said so.
        'six of a hand far denser than the house' => [6, 0.69],
        'six of a hand far looser' => [6, -0.69],
    ]);

    it('spreads a sum as simulated sums do: what is shared stays, scatter cancels out', function () {
        mt_srand(5);
        $model = HandModel::prior(0.05, 0.04, 0.1)->after('a', 0.02);
        $pieces = [['a', 3.0], ['a', 1.0], ['b', 4.0], ['b', 0.5], ['b', 1.5]];
        $logs = [];
        // Of the effects as they are known now: the hand's and the group's of a were seen together once.
        $off = 0.02;
        for ($n = 0; $n < 60_000; $n++) {
            $h = 0.05 * gauss();
            $e = 0.04 * gauss();
            // Drawn from the prior, and moved by what the piece told (Matheron's rule).
            $seen = $h + $e + 0.1 * gauss();
            $gain = ($off - $seen) / (0.05 ** 2 + 0.04 ** 2 + 0.1 ** 2);
            [$h, $a, $b] = [$h + 0.05 ** 2 * $gain, $e + 0.04 ** 2 * $gain, 0.04 * gauss()];
            $sum = 0.0;
            foreach ($pieces as [$group, $g]) {
                $sum += $g * exp($h + ($group === 'a' ? $a : $b) + 0.1 * gauss());
            }
            $logs[] = log($sum);
        }
        $mean = array_sum($logs) / count($logs);
        $sigma = sqrt(array_sum(array_map(static fn (float $l): float => ($l - $mean) ** 2, $logs)) / count($logs));
        expect($model->sigmaOfSum($pieces))->toEqualWithDelta($sigma, 0.02 * $sigma)
            ->and($model->sigmaOfSum([]))->toBe(0.0)
            ->and($model->sigmaOfSum([['a', 7.0]]))->toEqualWithDelta($model->sigma('a'), 1e-12);
    });
});

describe('a hand', function () {
    it('makes every estimate its own: grams, spread and minutes', function () {
        $hand = Hand::of([
            ...array_map(static fn (int $i): Observation => piece(log(1.2)), range(1, 12)),
            ...array_map(static fn (int $i): Observation => piece(log(2.0), 'core', '', Quantity::Pace), range(1, 40)),
            ...array_map(static fn (int $i): Observation => piece(0.0, 'cover', '', Quantity::Waste), range(1, 3)),
        ]);
        $house = Ledger::of(Works::demo('sorrel'), Densities::house());
        $own = Ledger::of(Works::demo('sorrel'), $hand->densities());
        // Nearly all of what twelve pieces say; the rest is still the house's.
        expect($own->totalG() / $house->totalG())->toBeGreaterThan(1.17)->toBeLessThan(1.2)
            ->and($own->totals()[0]['sigma'])->toBeLessThan(0.55 * $house->totals()[0]['sigma'])
            ->and($hand->pace()->factor('core'))->toBeGreaterThan(1.9)->toBeLessThan(2.0)
            ->and($hand->pace()->factor('join'))->toBeGreaterThan(1.3)->toBeLessThan(1.9);
        $usual = Works::of(Works::demo('sorrel'))->minutes();
        $slow = Work::of($house, $hand->pace(), Needles::usual())->minutes();
        expect($slow['core:head'] / $usual['core:head'])->toEqualWithDelta($hand->pace()->factor('core'), 1e-9);
    });

    it('loses no less than nothing, and learns what it loses', function () {
        $lost = static fn (float $off): float => Hand::of(array_map(
            static fn (int $i): Observation => piece($off, 'cover', '', Quantity::Waste),
            range(1, 30),
        ))->densities()->coverWaste;
        expect($lost(log(1.15 / 1.08)))->toEqualWithDelta(0.15, 0.005)->and($lost(-0.5))->toBe(0.0);
    });

    it('forgets what is set aside', function () {
        $with = [piece(0.1), piece(0.2), new Observation('x', Quantity::Density, 'springy', 'x', 10, 40, isAside: true)];
        expect(Hand::of($with)->model(Quantity::Density))->toEqual(Hand::of(array_slice($with, 0, 2))->model(Quantity::Density));
    });

    it('is surprised by each piece as a hand is that knows all the others and not it', function () {
        mt_srand(11);
        $pieces = array_map(static fn (int $i): Observation => piece(
            0.3 * gauss(),
            ['soft', 'springy', 'hard'][mt_rand(0, 2)],
            'o'.intdiv($i, 2),
            Quantity::cases()[$i % 3],
        ), range(0, 59));
        $pieces[7] = $pieces[7]->aside();
        $hand = Hand::of([...$pieces, piece(0.4, 'alone', 'lonely')]);
        foreach ($hand->observations as $i => $one) {
            $rest = Hand::of(array_values(array_diff_key($hand->observations, [$i => true])))->model($one->quantity);
            $by = abs($one->off() - $rest->mean($one->group)) / $rest->sigma($one->group);
            expect($hand->surprise($one))->toEqualWithDelta($by, 1e-9 * (1 + $by));
        }
        // Weighed once more: what it was found to be before is left out.
        $again = piece(0.9, $pieces[3]->group, $pieces[3]->id, $pieces[3]->quantity);
        $rest = Hand::of(array_values(array_diff_key($hand->observations, [3 => true])));
        expect($hand->surprise($again))->toEqualWithDelta($rest->surprise($again), 1e-9);
    });

    it('doubts a slipped digit, and nothing that a hand can do', function () {
        mt_srand(3);
        $pieces = array_map(static fn (int $i): Observation => piece(0.15 + 0.1 * gauss(), 'springy', 'p'.$i), range(1, 8));
        $slipped = new Observation('s', Quantity::Density, 'springy', 'slipped', 5.2, 52.0);
        $hand = Hand::of([...$pieces, $slipped]);
        expect($hand->isDoubtful($slipped))->toBeTrue()
            ->and(array_filter($pieces, static fn (Observation $o): bool => Hand::of($pieces)->isDoubtful($o)))->toBe([])
            // Also before anything else is known.
            ->and(Hand::of([$slipped])->isDoubtful($slipped))->toBeTrue()
            ->and(Hand::of([])->surprise(piece(0.27)))->toEqualWithDelta(0.27 / sqrt(0.23 ** 2 + 0.02), 1e-9);
    });
});

describe('a table of records', function () {
    $read = static fn (string ...$lines): RecordsTable => RecordsTable::read(
        implode("\r\n", ['preparation,firmness,cm3,grams,minutes', ...$lines]),
    );

    it('teaches density and speed line by line', function () use ($read) {
        $table = $read('carded batting,springy,60,10.8,12', 'core batting,soft,20,2.2,');
        expect($table->observations)->toHaveCount(3)
            ->and($table->observations[0]->expected)->toEqualWithDelta(9.0, 1e-9)
            ->and($table->observations[0]->off())->toEqualWithDelta(log(1.2), 1e-9)
            // As a ball of its volume that is written down for itself: with one needle, and its surface.
            ->and($table->observations[1]->expected)->toEqualWithDelta(
                Pace::house()->bulk(10.8, Firmness::Springy, 1)->is + Pace::house()->surface((36 * M_PI * 60 ** 2) ** (1 / 3), false)->is,
                0.01,
            )
            ->and($table->last)->toBe(['preparation' => Preparation::CoreBatting, 'firmness' => Firmness::Soft, 'cm3' => 20.0])
            ->and($read('stuffing,springy,10,0.9,')->observations[0]->off())->toEqualWithDelta(0.0, 1e-9);
    });

    it('foretells the next piece, and narrows with every line', function () use ($read) {
        $widths = [];
        foreach ([1, 2, 6] as $n) {
            $table = $read(...array_fill(0, $n, 'carded batting,springy,20,3.3,'));
            $sheet = HandSheet::of(Hand::of($table->observations), Preparation::CardedBatting, Firmness::Springy, 20.0);
            expect($sheet['records'])->toBe($n)->and($sheet['next']['g'])->toBeGreaterThan(3.0)->toBeLessThan(3.3);
            $widths[] = log($sheet['next']['highG'] / $sheet['next']['lowG']);
        }
        expect($widths[0])->toBeGreaterThan($widths[1])->and($widths[1])->toBeGreaterThan($widths[2])
            ->and($widths[2])->toBeLessThan(0.5 * 2 * HandModel::Z80 * Densities::handPrior()->sigma('springy'));
    });

    it('tells a bad line and learns from the others', function (string $line, string $why) use ($read) {
        $table = $read('carded batting,springy,20,3.3,10', $line);
        expect($table->observations)->toHaveCount(2)
            ->and($table->refused)->toHaveCount(1)
            ->and($table->refused[0]['line'])->toBe(3)
            ->and($table->refused[0]['why'])->toContain($why);
    })->with([
        ['yak,springy,20,3,', 'preparation: "yak" is none of core batting'],
        ['tops,crisp,20,3,', 'firmness: "crisp" is none of squishy'],
        ['tops,firm,-2,3,', 'cm3: "-2" is no number above 0'],
        ['tops,firm,2,,', 'grams: "" is no number above 0'],
        ['tops,firm,20,3.6,nan', 'minutes: "nan" is no number'],
        ['tops,firm,2,20,', '10 g/cm³ is denser than wool itself'],
    ]);

    it('refuses what is no such table', function (string $bytes, string $why) {
        expect(static fn () => RecordsTable::read($bytes))->toThrow(HandRefused::class, $why);
    })->with([
        ['', 'firmness, cm3 and grams are missing'],
        ["firmness,cm3\n", 'grams is missing'],
        ["firmness,cm3,grams\n", 'There is no line to learn from'],
        ["firmness,cm3,grams\nhot,1,1\n", 'Line 2: firmness: "hot" is none of'],
        ["a\0b", 'This is no text'],
    ]);
});

it('learns the same of a ball by a table and by a form', function (float $mm, string $firmness, float $g, float $minutes) {
    $size = Size::of($mm, $mm, $mm);
    $piece = FinishedPiece::alone('', ShapeKind::Ball, $size, Firmness::from($firmness), $g, null, $minutes);
    $cm3 = M_PI / 6 * ($mm / 10) ** 3;
    $table = RecordsTable::read(sprintf("firmness,cm3,grams,minutes\n%s,%.9f,%.4f,%.2f\n", $firmness, $cm3, $g, $minutes));
    foreach ($piece->observations('1') as $i => $observation) {
        [$by, $other] = [$observation, $table->observations[$i]];
        expect([$other->quantity, $other->group, $other->found])->toBe([$by->quantity, $by->group, $by->found])
            ->and($other->expected)->toEqualWithDelta($by->expected, 1e-3 * $by->expected);
    }
    $factor = static fn (array $all, Quantity $q, string $group): float => Hand::of($all)->model($q)->factor($group);
    foreach ([[Quantity::Pace, 'felt'], [Quantity::Density, $firmness]] as [$quantity, $group]) {
        [$byTable, $byForm] = [$factor($table->observations, $quantity, $group), $factor($piece->observations('1'), $quantity, $group)];
        expect($byTable)->toEqualWithDelta($byForm, 1e-3);
    }
})->with([[32.0, 'springy', 2.6, 9.0], [50.0, 'firm', 12.0, 40.0], [20.0, 'soft', 0.5, 12.0]]);

it('says what was learned in a sentence, draws both curves, and how the spread shrank', function () {
    $sheet = HandSheet::station(Hand::of([...array_map(static fn (int $i): Observation => piece(log(1.2)), range(1, 6))]));
    [$density, $waste, $pace] = $sheet['quantities'];
    expect($density['text'])
        ->toMatch('/^Felted springy, your pieces come out 1\d% denser; 8 out of 10 lie within 1\d% of that. 6 records.$/')
        ->and($waste['text'])->toStartWith('Nothing is known of what you lose yet')
        ->and($pace['text'])->toStartWith('Nothing is known of your speed yet')
        ->and($density['shrank'])->toHaveCount(7)
        ->and($density['shrank'][6])->toBeLessThan(0.5 * $density['shrank'][0])
        ->and($sheet['observations'])->toHaveCount(6);
    // Both are densities of probability over the logarithm: each encloses an area of 1.
    foreach ([1, 2] as $curve) {
        $area = 0.0;
        for ($i = 1; $i < count($density['curve']); $i++) {
            $area += ($density['curve'][$i][$curve] + $density['curve'][$i - 1][$curve]) / 2
                * log($density['curve'][$i][0] / $density['curve'][$i - 1][0]);
        }
        expect($area)->toEqualWithDelta(1.0, 0.01);
    }
});

it('teaches a hand with three small balls and a sausage in about 40 minutes: half the spread is gone', function () {
    $pieces = Practice::pieces();
    expect(array_sum(array_column($pieces, 'minutes')))->toBeGreaterThan(30)->toBeLessThan(42)
        ->and(array_count_values(array_column($pieces, 'kind')))->toBe(['ball' => 3, 'sausage' => 1]);
    $model = Densities::handPrior();
    foreach ($pieces as $piece) {
        // CRC: a ball; a capsule of so many mm across.
        $r = $piece['widthMm'] / 20;
        $cm3 = 4 / 3 * M_PI * $r ** 3 + ($piece['heightMm'] - $piece['widthMm']) / 10 * M_PI * $r ** 2;
        expect($piece['cm3'])->toEqualWithDelta($cm3, 0.002 * $cm3);
        $model = $model->after($piece['firmness'], 0.2);
    }
    foreach (['soft', 'springy', 'firm'] as $firmness) {
        expect($model->sigma($firmness))->toBeLessThan(0.52 * Densities::handPrior()->sigma($firmness));
    }
});

it('lets a hand that learns while it works change minutes, never the order of what is to be done', function (string $name) {
    $ledger = Ledger::of(Works::demo($name), Densities::house());
    $keys = static fn (Pace $pace): array => Work::of($ledger, $pace, Needles::usual())->keys();
    $hand = Hand::of(array_map(
        static fn (string $kind): Observation => piece($kind === 'core' ? log(4.0) : log(0.2), $kind, '', Quantity::Pace),
        ['core', 'cover', 'detail', 'join', 'felt'],
    ));
    expect($keys($hand->pace()))->toBe($keys(Pace::house()));
})->with(['sorrel', 'bobbin', 'lanto', 'wick']);

it('holds plan against done figure by figure: foretold by what was known before the figure was begun', function () {
    $of = static fn (string $figure, string $id, float $off): Observation => new Observation(
        $id,
        Quantity::Density,
        'springy',
        $id,
        10.0,
        10.0 * exp($off),
        $figure,
    );
    $rows = EstimateComparison::of(Hand::of([
        $of('First', 'a', 0.3),
        $of('First', 'b', 0.3),
        $of('', 'practice', 0.3),
        $of('Second', 'c', 0.3),
        $of('Second', 'd', 0.3)->aside(),
    ]));
    expect(array_column($rows, 'figure'))->toBe(['First', 'Second'])
        ->and($rows[0]['planned'])->toBe(20.0)
        ->and($rows[0]['done'])->toEqualWithDelta(20 * exp(0.3), 1e-9)
        ->and($rows[0]['records'])->toBe(2)
        ->and($rows[1]['records'])->toBe(1)
        // Three pieces that were 35 % heavier: the second is foretold nearly so, in a narrower range.
        ->and($rows[1]['planned'])->toEqualWithDelta(10 * Hand::of([
            $of('', 'a', 0.3), $of('', 'b', 0.3), $of('', 'c', 0.3),
        ])->model(Quantity::Density)->factor('springy'), 1e-9)
        ->and($rows[1]['planned'])->toBeGreaterThan(12.0)
        ->and($rows[1]['high'] / $rows[1]['low'])->toBeLessThan($rows[0]['high'] / $rows[0]['low']);
});
