<?php

declare(strict_types=1);

namespace Impa\Tests\MendDesk;

use Impa\Check\CheckRefused;
use Impa\Check\Mending\MendDesk;
use Impa\Check\Mending\Remedy;
use Impa\Check\Mending\Sign;
use Impa\Figure\Term\Side;
use Impa\Material\Densities;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Voice\Amount;
use Impa\Wool\Ledger\Ledger;

function ledger(string $name = 'sorrel'): Ledger
{
    static $ledgers = [];

    return $ledgers[$name] ??= Ledger::of(Works::demo($name), Densities::house());
}

/** @return non-empty-list<Remedy> */
function mended(Sign $sign, string $key, array $answers = [], string $name = 'sorrel'): array
{
    return MendDesk::remedies(ledger($name), $sign, $key, $answers);
}

it('fills a dent with what its cap holds, in closed form: 6 x 3 mm take 8 mg', function (float $across, float $deep) {
    // CRC: a spherical cap of radius a and height h has pi h (3 a^2 + h^2) / 6; springy felt 0.15 g/cm3.
    $mg = M_PI * $deep * (3 * ($across / 2) ** 2 + $deep ** 2) / 6 * 0.15;
    [$fill, $round] = mended(Sign::Dent, 'head', ['across' => $across, 'deep' => $deep]);
    expect($fill->mg)->toEqualWithDelta($mg, 1e-9)
        ->and($fill->colour)->toBe(ledger()->figure->parts['head']->colour)
        ->and($fill->dont)->toContain('deepens it')
        ->and($round->mg)->toBe(0.0);
    if ([$across, $deep] === [6.0, 3.0]) {
        expect($fill->steps[0])->toBe('Tease out 10 mg of its colour: 6 x 3 mm hold that much.');
    }
})->with([[6.0, 3.0], [10.0, 2.0], [3.0, 1.5]]);

it('takes more wool for a broader or a deeper place, never less', function (Sign $sign, string $key, string $ask) {
    $last = 0.0;
    foreach ([1.0, 3.0, 6.0, 12.0, 25.0] as $mm) {
        $mg = max(array_map(static fn (Remedy $r): float => $r->mg, mended($sign, $key, [$ask => $mm])));
        expect($mg)->toBeGreaterThan($last);
        $last = $mg;
    }
})->with([
    [Sign::Dent, 'head', 'across'],
    [Sign::Dent, 'head', 'deep'],
    [Sign::Lumps, 'body', 'across'],
    [Sign::CoreShows, 'body', 'across'],
    [Sign::Foreign, 'body', 'across'],
    [Sign::TooBig, 'eye', 'off'],
    [Sign::TooSmall, 'eye', 'off'],
    [Sign::Lopsided, 'mouth', 'short'],
]);

it('lifts a detail out, closes its ground with wool of its part, and marks it where the plan has it', function () {
    $figure = ledger()->figure;
    [$again] = mended(Sign::WrongPlace, 'mouth', ['up' => -3.0, 'right' => 1.5]);
    [$x, $y] = $figure->details['mouth']->middle();
    $surface = Surface::of($figure->parts['head']->placements()[0], Side::Front);
    expect($again->steps[0])->toBe('It sits 3 mm above and 1.5 mm left of its mark.')
        ->and($again->mg)->toEqualWithDelta($figure->details['mouth']->drawn->areaMm2() * 0.15, 1e-9)
        ->and($again->colour)->toBe($figure->parts['head']->colour)
        ->and($again->steps[3])->toContain(sprintf('%s down from the crown', Amount::mm(TapeMark::downMm($surface, $y))));
});

it('has for every sign a way with steps, a needle or none, what not to do, and how long', function (Sign $sign) {
    foreach (['sorrel', 'bobbin', 'lanto', 'wick'] as $name) {
        $figure = ledger($name)->figure;
        $keys = match ($sign->about()) {
            'part' => array_keys($figure->parts),
            'detail' => array_keys($figure->details),
            default => [''],
        };
        foreach ($keys as $key) {
            foreach (mended($sign, (string) $key, [], $name) as $way) {
                expect($way->steps)->not->toBe([])
                    ->and($way->way)->not->toBe('')
                    ->and($way->dont)->not->toBe('')
                    ->and($way->minutes)->toBeGreaterThan(0.0)
                    ->and($way->mg)->toBeGreaterThanOrEqual(0.0)->toBeLessThan(5000.0);
                if ($way->mg > 0.0) {
                    expect($figure->colours)->toHaveKey($way->colour);
                }
            }
        }
    }
})->with(Sign::cases());

it('cures what tips by the amounts of its balance, and says so where it stands', function () {
    $can = Figures::read(Figures::document([Figures::part('can', 'block', 40, 40, 40, 0, 20)]));
    $block = Ledger::of($can, Densities::house());
    $top = implode(' ', array_merge(...array_map(static fn (Remedy $r): array => $r->steps, mended(Sign::Tips, '', [], 'lanto'))));
    expect($top)->toMatch('/\d+(\.\d+)? (mm|g)/')
        ->and(MendDesk::remedies($block, Sign::Tips, '', [])[0]->steps[0])->toContain('By its plan it stands firmly');
});

it('refuses what is none, in words', function (Sign $sign, string $key, array $answers, string $why) {
    expect(static fn () => mended($sign, $key, $answers))->toThrow(CheckRefused::class, $why);
})->with([
    [Sign::Dent, 'horn', [], 'There is no part "horn"'],
    [Sign::TooBig, 'horn', [], 'There is no detail "horn"'],
    [Sign::Dent, 'head', ['across' => 0.0], 'How broad: a number above 0, and at most 100 mm.'],
    [Sign::Dent, 'head', ['deep' => NAN], 'How deep: a number above 0'],
    [Sign::WrongPlace, 'mouth', ['up' => 900.0], 'at most 100 mm'],
]);

it('closes the ground that shows with the colour of what the detail lies on: a mouth on a belly with the belly\'s', function () {
    $figure = Figures::read(Figures::document(
        [Figures::part('body', 'egg', 60, 80, 50, 0, 40)],
        [
            ['key' => 'belly', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 40, 'heightMm' => 40, 'colour' => 'white', 'layer' => 1],
            ['key' => 'mouth', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 6, 'heightMm' => 4, 'colour' => 'black', 'layer' => 2],
            [
                'key' => 'mole', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 4, 'heightMm' => 4, 'yMm' => 32, 'colour' => 'black',
                'layer' => 2,
            ],
        ],
    ));
    $ledger = Ledger::of($figure, Densities::house());
    $colours = static fn (Sign $sign, string $detail): array => array_values(array_filter(
        array_map(static fn (Remedy $r): string => $r->mg > 0.0 ? $r->colour : '', MendDesk::remedies($ledger, $sign, $detail, [])),
    ));
    expect($colours(Sign::WrongPlace, 'mouth'))->toBe(['white'])
        ->and($colours(Sign::TooBig, 'mouth'))->toBe(['white'])
        ->and($colours(Sign::TooBig, 'mole'))->toBe(['teal'])
        ->and($colours(Sign::TooSmall, 'mouth'))->toBe(['black']);
});

it('does not say of a figure that no usual cure helps that it stands by its plan', function () {
    $figure = Figures::read(Figures::document([
        Figures::part('foot', 'drum', 6, 84, 6, 0, 42),
        Figures::part('head', 'ball', 40, 40, 40, 0, 90, 0, ['join' => ['to' => 'foot']]),
    ]));
    [$remedy] = MendDesk::remedies(Ledger::of($figure, Densities::house()), Sign::Tips, '', []);
    expect($remedy->steps)->toBe(['None of the usual cures is enough: give it a wider base, or let it sit, lie or hang.']);
});
