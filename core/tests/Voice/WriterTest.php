<?php

declare(strict_types=1);

namespace Impa\Tests\Voice;

use Impa\Voice\Amount;
use Impa\Voice\Language;
use Impa\Voice\Units;
use Impa\Voice\Voice;
use Impa\Voice\Writer;

/** @return list<array{measure: string, is: float, metric: string, imperial: string, german: string}> */
function rows(): array
{
    return json_decode((string) file_get_contents(dirname(__DIR__, 3).'/formats/quantities.json'), true);
}

it('writes every quantity of the table as the table has it, in both units and languages', function () {
    $make = [
        'mass' => Amount::g(...), 'length' => Amount::mm(...), 'time' => Amount::minutes(...), 'angle' => Amount::degrees(...),
        'share' => Amount::share(...), 'area' => Amount::cm2(...), 'volume' => Amount::cm3(...), 'density' => Amount::gPerCm3(...),
        'number' => Amount::number(...),
    ];
    foreach (rows() as $row) {
        $amount = $make[$row['measure']]($row['is']);
        $written = array_map(static fn (Voice $voice): string => $voice->write($amount), [
            new Voice, new Voice(Language::English, Units::Imperial), new Voice(Language::German),
        ]);
        expect($written)->toBe([$row['metric'], $row['imperial'], $row['german']]);
    }
});

it('writes weights and lengths that are never off by more than what it says a hand can use', function () {
    mt_srand(1);
    for ($n = 0; $n < 2000; $n++) {
        $is = 10 ** (mt_rand(-2200, 2900) / 1000);
        // House choices of docs/trade.md, Amounts: 0.1 g from 5 g, 0.05 g from 1 g, 10 mg below; a mm from 100 mm, half a mm from
        // 20 mm, a tenth below.
        $mass = (new Voice)->write(Amount::g($is));
        $shown = (float) $mass / (str_ends_with($mass, 'mg') ? 1000 : 1);
        expect(abs($shown - $is))->toBeLessThanOrEqual(($is < 0.995 ? 0.005 : ($is < 4.975 ? 0.025 : 0.05)) + 1e-9);
        $length = (new Voice)->write(Amount::mm($is));
        expect(abs((float) $length - $is))->toBeLessThanOrEqual(($is < 19.95 ? 0.05 : ($is < 99.75 ? 0.25 : 0.5)) + 1e-9);
        // A tape's sixteenths, and hundredths of an inch below a quarter of one.
        $parts = explode(' ', str_replace(' in', '', (new Voice(Language::English, Units::Imperial))->write(Amount::mm($is))));
        $inches = array_sum(array_map(static fn (string $part): float => str_contains($part, '/')
            ? (float) strtok($part, '/') / (float) strtok('/')
            : (float) $part, $parts));
        expect(abs($inches - $is / 25.4))->toBeLessThanOrEqual(($is < 6.35 ? 0.005 : 1 / 32) + 1e-9);
    }
});

it('shows shares that add up to the whole that is shown', function () {
    mt_srand(2);
    expect(Writer::percentages([1 / 3, 1 / 3, 1 / 3]))->toBe([34, 33, 33])
        ->and(Writer::percentages([0.126, 0.374, 0.5]))->toBe([13, 37, 50]);
    for ($n = 0; $n < 300; $n++) {
        $weights = array_map(static fn (): int => mt_rand(1, 1000), range(0, mt_rand(0, 8)));
        $shares = array_map(static fn (int $w): float => $w / array_sum($weights), $weights);
        $shown = Writer::percentages($shares);
        expect(array_sum($shown))->toBe(100);
        foreach ($shown as $i => $percent) {
            expect(abs($percent - 100 * $shares[$i]))->toBeLessThan(1.0 + 1e-9);
        }
    }
});
