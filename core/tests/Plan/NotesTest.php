<?php

declare(strict_types=1);

namespace Impa\Tests\Notes;

use Impa\Balance\Balance;
use Impa\Balance\BalanceSheet;
use Impa\Balance\Cures;
use Impa\Figure\Editing\Edits;
use Impa\Figure\Editing\Sizing;
use Impa\Figure\Figure;
use Impa\Plan\Note;
use Impa\Plan\Notes;
use Impa\Plan\Plan;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger\Ledger;

/** @return list<Note> */
function notes(array $parts, array $details = [], array $more = []): array
{
    return Notes::of(plan($parts, $details, $more));
}

function plan(array $parts, array $details = [], array $more = []): Plan
{
    return Plan::of(Figures::read(Figures::document($parts, $details, $more)));
}

/** @return list<array{string, string}> code and place of each note */
function told(array $notes): array
{
    return array_map(static fn (Note $n): array => [$n->code, $n->at], $notes);
}

/** The text of the one note with a code. */
function text(array $notes, string $code): string
{
    $found = array_values(array_filter($notes, static fn (Note $n): bool => $n->code === $code));
    expect($found)->toHaveCount(1);

    return (string) $found[0]->text;
}

/** A broad dome that stands firmly, as tall as the figure. */
function dome(array $more = []): array
{
    return Figures::part('body', 'dome', 78, 100, 78, 0, 50, 0, $more);
}

it('says nothing of a figure that is as it should be', function () {
    expect(notes([dome()]))->toBe([])->and(notes([]))->toBe([]);
});

it('names the place of what it speaks of, part by part, then detail by detail', function () {
    $notes = notes(
        [
            dome(),
            Figures::part('fin', 'plate', 20, 20, 2, 0, 60, 33, ['name' => 'Fin', 'join' => ['to' => 'body']]),
            Figures::part('ball', 'ball', 20, 20, 20, 0, 60, 0, ['name' => 'Ball']),
        ],
        [
            ['key' => 'eye', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 8, 'colour' => 'black'],
            ['key' => 'speck', 'name' => 'Speck', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 0.4, 'yMm' => 20, 'colour' => 'black'],
        ],
    );
    expect(told($notes))
        ->toBe([['thin', '/parts/1'], ['loose-part', '/parts/2'], ['too-small', '/details/1']])
        ->and(text($notes, 'loose-part'))
        ->toBe('Ball is joined to nothing: say what it is fixed to, or which accessory it belongs to.')
        ->and(text($notes, 'too-small'))
        ->toStartWith('Speck: 0.4 mm');
});

it('leaves what stands apart out of the joins and the height', function () {
    $lantern = Figures::part('lantern', 'ball', 30, 30, 30, 80, 140, 0, ['group' => 'lantern']);
    expect(notes([dome(), $lantern]))->toBe([]);
    // Only the second of two that are joined to nothing is loose.
    $two = [dome(), ['group' => ''] + $lantern];
    expect(array_column(told(notes($two)), 0))->toBe(['height', 'loose-part']);
});

it('compares the parts\' height with the finished one, and lets pass what a tape does not show', function (float $height, array $told) {
    $notes = notes([dome()], [], ['heightMm' => $height]);
    expect(told($notes))->toBe($told === [] ? [] : [['height', '/heightMm']]);
    if ($told !== []) {
        expect(text($notes, 'height'))->toBe(
            sprintf('The parts stand %s mm tall, the finished height says %s mm: say what they stand, or ', ...$told)
                .'make them as tall as it says.',
        );
    }
})->with([
    [94, ['100', '94']], [99.4, ['100', '99.4']], [99.6, []], [100, []], [100.5, []], [101, ['100', '101']], [106, ['100', '106']],
]);

it('is one height once it says what it stands, or is made as tall as it says', function (bool $grows, float $mm, float $wide) {
    $figure = Figures::read(Figures::document([dome()], [], ['heightMm' => 120, 'coverMm' => 3]));
    $one = Figure::fromDocument(Edits::ofOneHeight($figure, $grows)->document);
    expect($one->heightMm)->toEqualWithDelta($mm, 1e-9)
        ->and(Sizing::standsMm($one))
        ->toEqualWithDelta($mm, 0.01)
        ->and($one->parts['body']->solid->size()->widthMm)
        ->toEqualWithDelta($wide, 0.01)
        // What belongs to the hand stays.
        ->and($one->parts['body']->made->coverMm)
        ->toBe(3.0)
        ->and(array_column(told(Notes::of(Plan::of($one))), 0))
        ->not->toContain('height');
})->with([[false, 100, 78], [true, 120, 93.6]]);

it('stands lower by what is flattened', function () {
    $figure = Figures::read(Figures::document([dome()], [], ['heightMm' => 97, 'base' => ['flattenMm' => 3]]));
    expect(Sizing::standsMm($figure))->toEqualWithDelta(97, 0.01);
});

it('measures the height from the lowest foot to the highest top, wherever the table is', function () {
    $parts = [
        Figures::part('body', 'ball', 60, 60, 60, 0, 80),
        Figures::part('head', 'ball', 40, 40, 40, 0, 120, 0, ['join' => ['to' => 'body']]),
    ];
    expect(text(notes($parts, [], ['pose' => 'hang', 'heightMm' => 120]), 'height'))->toStartWith(
        'The parts stand 90 mm tall, the finished height says 120 mm:',
    );
});

it('says of a figure that tips how far it leans, and cures it by amounts', function (float $x, float $z, float $footMm) {
    $plan = plan(
        [
            Figures::part('foot', 'drum', $footMm, 40, $footMm, 3, 20, -2),
            Figures::part('head', 'ball', 60, 60, 60, 3 + $x, 70, $z - 2, ['join' => ['to' => 'foot']]),
        ],
    );
    $balance = Balance::of($plan->ledger);
    $notes = Notes::of($plan);
    if (! $balance->isTouchy()) {
        expect($notes)->toBe([]);

        return;
    }
    // What the note names is what is shown and tried where it is asked how it stands, and each of them is enough.
    $cures = array_slice(BalanceSheet::of($balance)['cures'], 0, 2);
    foreach ($cures as $cure) {
        $tried = Balance::of(Ledger::of(Cures::tried($balance, $cure['kind']), $plan->ledger->densities));
        expect($tried->tipDeg())->toBeGreaterThan(9.0);
    }
    $texts = array_column($cures, 'text');
    $state = match (true) {
        $balance->tipDeg() >= 5.0 => sprintf('It is touchy to stand: it tips at a lean of %.0f°.', $balance->tipDeg()),
        $balance->tipDeg() > 0.0 => sprintf('It falls: it tips at a lean of %.0f°.', $balance->tipDeg()),
        default => 'It falls at once: its weight lies outside its footprint.',
    };
    $code = $balance->tipDeg() >= 5.0 ? 'touchy' : 'falls';
    expect(array_values(array_filter(told($notes), static fn (array $n): bool => $n[0] !== 'floats')))
        ->toBe([[$code, '']])
        ->and(text($notes, $code))
        ->toBe($state.' '.($texts === [] ? BalanceSheet::of($balance)['noCure'] : ucfirst(implode(', or ', $texts)).'.'));
})->with([0.0, 1.5, -4.0, 9.0, 20.0])->with([0.0, 2.5, -6.0, 14.0])->with([20.0, 26.0, 34.0]);

it('gives a wider base where nothing else cures it', function () {
    $notes = notes([
        Figures::part('foot', 'drum', 6, 84, 6, 0, 42),
        Figures::part('head', 'ball', 40, 40, 40, 0, 90, 0, ['join' => ['to' => 'foot']]),
    ]);
    expect(text($notes, 'falls'))->toEndWith(' None of the usual cures is enough: give it a wider base, or let it sit, lie or hang.');
});

it('wants felt 3 mm thick, and says by how much', function () {
    $fin = static fn (float $thick): array => Figures::part('fin', 'plate', 20, 20, $thick, 0, 60, 33, [
        'name' => 'Fin',
        'join' => ['to' => 'body'],
    ]);
    expect(notes([dome(), $fin(3.0)]))
        ->toBe([])
        ->and(text(notes([dome(), $fin(2.2)]), 'thin'))
        ->toBe('Fin is 2.2 mm thin, and felt wants 3 mm: make it 0.8 mm thicker, or cut it from sheet felt.');
});

it('wants a wire in what is thinner than an eighth of its length, or says how thick it would hold itself', function () {
    $leg = static fn (float $thick): array => Figures::part('leg', 'sausage', $thick, 64, $thick, 0, 50, 39, [
        'name' => 'Leg',
        'join' => ['to' => 'body'],
    ]);
    expect(notes([dome(), $leg(8.0)]))
        ->toBe([])
        ->and(text(notes([dome(), $leg(7.0)]), 'wire'))
        ->toBe('Leg is 64 mm long and 7 mm thick: thinner than an eighth of its length, it wants a wire, or 8 mm.');
});

it('says where no stock piece of foam fits into a part, and only where foam is asked for and would have room', function () {
    $part = static fn (string $core, float $coverMm): array => [
        dome(),
        Figures::part('hat', 'ball', 24, 24, 24, 0, 60, 38, [
            'name' => 'Hat',
            'core' => $core,
            'coverMm' => $coverMm,
            'join' => ['to' => 'body'],
        ]),
    ];
    expect(text(notes($part('foam', 9.0)), 'no-foam'))
        ->toStartWith('No stock piece of foam leaves 9 mm of cover all round in Hat: it is reckoned as solid colour.')
        ->toEndWith('Fill it with core wool, or make the cover thinner.')
        ->and(notes($part('core-wool', 9.0)))
        ->toBe([])
        ->and(notes($part('foam', 12.0)))
        ->toBe([]);
});

it('says when a needle does not reach the middle, and what to start from, unless the part is flat', function () {
    $ball = static fn (float $mm, string $kind = 'ball'): array => notes(
        [Figures::part('body', $kind, $mm, $mm, $mm, 0, $mm / 2, 0, ['name' => 'Body'])],
        [],
        ['heightMm' => $mm, 'pose' => 'lie'],
    );
    expect($ball(80.0))
        ->toBe([])
        ->and(text($ball(81.0), 'too-deep'))
        ->toBe(
            'Body is 81 mm thick, and a needle reaches about 40 mm from each side: start from a tight ball of 20 mm and wrap it in '
                .'layers, or use a foam egg of that size.',
        )
        ->and(text($ball(112.0), 'too-deep'))
        ->toContain('a tight ball of 35 mm')
        ->and($ball(120.0, 'plate'))
        ->toBe([]);
});

it('cautions of small parts once, where there are any', function (string $kind, string $method, bool $isSaid) {
    $detail = static fn (string $key, float $x): array => [
        'key' => $key,
        'on' => 'body',
        'kind' => $kind,
        'method' => $method,
        'widthMm' => 6,
        'xMm' => $x,
        'colour' => 'black',
    ];
    expect(told(notes([dome()], [$detail('a', 0), $detail('b', 15)])))->toBe($isSaid ? [['small-parts', '']] : []);
})->with([
    ['bead', 'bead', true],
    ['eye', 'ready-made', true],
    ['disc', 'pin', true],
    ['disc', 'felt', false],
    ['disc', 'stitch', false],
    ['disc', 'paint', false],
]);

it('does not call thin what is cut from a sheet', function () {
    $layer = Figures::part('badge', 'plate', 40, 40, 1.5, 0, 20);
    expect(array_column(told(notes([$layer])), 0))->toContain('thin')
        ->and(array_column(told(notes([$layer], [], ['flat' => ['way' => 'sheet']])), 0))->not->toContain('thin');
});
