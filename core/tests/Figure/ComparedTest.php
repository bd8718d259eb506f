<?php

declare(strict_types=1);

namespace Impa\Tests\Compared;

use Impa\Figure\Editing\Anew;
use Impa\Figure\Editing\Branch;
use Impa\Figure\Editing\Changes;
use Impa\Figure\Editing\EditRefused;
use Impa\Figure\Figure;
use Impa\Tests\Support\Figures;
use stdClass;

/** @param  array<string, mixed>  $members */
function document(array $members): stdClass
{
    return json_decode((string) json_encode((object) $members));
}

describe('what came again', function () {
    $head = ['key' => 'head', 'colour' => 'red'];
    $only = static fn (array ...$parts): stdClass => document(['parts' => $parts]);

    it('is anew where it was gone and comes otherwise, and not where an undo brings it back as it was', function () use ($head, $only) {
        $without = $only();
        $blue = ['colour' => 'blue'] + $head;
        expect(Anew::things($only($head), $without, [$only($head)]))->toBe([])
            ->and(Anew::things($only($blue), $without, [$only($head)]))->toBe([['part', 'head']])
            // The latest that had it says how it was.
            ->and(Anew::things($only($blue), $without, [$only($head), $only($blue)]))->toBe([['part', 'head']])
            ->and(Anew::things($only($head), $without, [$only(), $only($head), $only($blue)]))->toBe([])
            // Whose trace nobody has any more is new.
            ->and(Anew::things($only($head), $without, []))->toBe([['part', 'head']])
            ->and(Anew::things($only($head), $only($head), [$only($blue)]))->toBe([]);
    });

    it('tells parts, details, weights and wires apart, whatever their keys', function () {
        $all = document([
            'parts' => [['key' => 'a']], 'details' => [['key' => 'a']], 'wires' => [['key' => 'a']],
            'base' => ['weights' => [['key' => 'a']]],
        ]);
        $things = [['part', 'a'], ['detail', 'a'], ['weight', 'a'], ['wire', 'a']];
        expect(Anew::things($all, document([]), []))->toBe($things)
            ->and(Anew::gone($all, document([])))->toBe($things)
            ->and(Anew::gone($all, $all))->toBe([])
            ->and(Anew::gone($all, document(['parts' => [['key' => 'a']]])))->toBe(array_slice($things, 1))
            ->and(Anew::gone(document(['parts' => 'none', 'details' => [3, ['key' => 7]], 'base' => 4]), document([])))->toBe([]);
    });

    it('looks through earlier documents only as far as it must', function () use ($head, $only) {
        $looked = 0;
        $earlier = (static function () use ($head, $only, &$looked): iterable {
            foreach ([$only($head), $only($head), $only($head)] as $document) {
                $looked++;
                yield $document;
            }
        })();
        expect(Anew::things($only($head), $only(), $earlier))->toBe([])->and($looked)->toBe(1);
    });

    it('knows the steps of a thing by their keys', function () {
        $of = static fn (string $kind): array => array_values(array_filter(
            ['core:a', 'cover:a', 'join:a', 'detail:a', 'weight:a', 'thread:a', 'mix:a', 'core:ba', 'portion'],
            static fn (string $step): bool => Anew::isStepOf($step, $kind, 'a'),
        ));
        expect($of('part'))->toBe(['core:a', 'cover:a', 'join:a'])
            ->and($of('wire'))->toBe(['thread:a'])
            ->and($of('detail'))->toBe(['detail:a'])
            ->and($of('weight'))->toBe(['weight:a']);
    });
});

describe('changes in words', function () {
    $between = static fn (array $was, array $is, string $list = 'parts'): array => Changes::between(
        document([$list => [['key' => 'a', 'name' => 'Ear'] + $was]]),
        document([$list => [['key' => 'a', 'name' => 'Ear'] + $is]]),
    );

    it('name sizes and places in order, and both ways', function () use ($between) {
        $of = static fn (float $by): array => [
            'shape' => ['widthMm' => 10 + $by, 'heightMm' => 10 + $by, 'depthMm' => 10 + $by],
            'at' => ['xMm' => $by, 'yMm' => $by, 'zMm' => $by],
        ];
        expect($between($of(0), $of(2)))->toBe([
            'Ear is 2 mm wider, 2 mm higher, 2 mm deeper, 2 mm farther right, 2 mm higher up, 2 mm nearer',
        ])->and($between($of(2), $of(0)))->toBe([
            'Ear is 2 mm narrower, 2 mm lower, 2 mm thinner, 2 mm farther left, 2 mm lower down, 2 mm farther back',
        ]);
    });

    it('do not name what is off by less than a twentieth of a mm, nor three measures beside other changes', function () use ($between) {
        $at = static fn (float $x, float $y = 0, float $z = 0): array => ['at' => ['xMm' => $x, 'yMm' => $y, 'zMm' => $z]];
        expect($between($at(0), $at(0.0625)))->toBe(['Ear is 0.1 mm farther right'])
            ->and($between($at(0), $at(0.046875)))->toBe(['Ear changed'])
            ->and($between($at(0), $at(0.046875, 1)))->toBe(['Ear is 1 mm higher up'])
            ->and($between($at(0), ['colour' => 'b'] + $at(1, 1)))->toBe([
                'Ear is 1 mm farther right, 1 mm higher up, and otherwise changed',
            ])
            ->and($between($at(0), ['colour' => 'b'] + $at(1, 1, 1)))->toBe(['Ear changed']);
    });

    it('tell of details by their own measures, of wires, and of what has none of them', function () use ($between) {
        expect($between(['widthMm' => 4], ['widthMm' => 5], 'details'))->toBe(['Ear is 1 mm wider'])
            ->and($between(['gaugeMm' => 1], ['gaugeMm' => 2], 'wires'))->toBe(['Ear changed'])
            ->and(Changes::between(document(['parts' => [['key' => 'a']]]), document([])))->toBe(['a is gone'])
            ->and(Changes::between(document(['heightMm' => 9]), document(['heightMm' => 10])))->toBe(['the finished height changed'])
            ->and(Changes::between(document(['parts' => 4]), document(['parts' => [3, ['key' => 5]]])))->toBe([]);
    });
});

describe('a branch', function () {
    $figure = static fn (): Figure => Figures::read(
        Figures::document([Figures::part('a', 'ball', 20.1234, 20, 20)], [], ['heightMm' => 50]),
    );

    it('is made from a tenth to ten times as large, both with them', function () use ($figure) {
        $figure = Figures::read(Figures::document([Figures::part('a', 'ball', 60, 60, 60)], [], ['heightMm' => 120]));
        expect(Branch::of($figure, 'x', 10.0, [])->heightMm)->toEqualWithDelta(1200.0, 1e-9)
            ->and(Branch::of($figure, 'x', 0.1, [])->heightMm)->toEqualWithDelta(12.0, 1e-9)
            ->and(static fn () => Branch::of($figure, 'x', 10.001, []))->toThrow(EditRefused::class)
            ->and(static fn () => Branch::of($figure, 'x', 0.0999, []))->toThrow(EditRefused::class);
    });

    it('of the same size keeps every number as it is, and the figure that it was read as', function () use ($figure) {
        $was = $figure();
        $same = Branch::of($was, 'x', 1.0, ['teal' => '#102030']);
        expect($same->document()->parts[0]->shape->widthMm)->toBe(20.1234)
            ->and($same->parts)->toBe($was->parts)
            ->and($same->colours['teal']->srgb->toHex())->toBe('#102030')
            ->and(Branch::of($was, 'x', 1.5, [])->document()->parts[0]->shape->widthMm)->toEqualWithDelta(30.19, 0.01);
    });

    it('in another colour is called by it, and is mixed of nothing yet', function () use ($figure) {
        $document = $figure()->document();
        $document->colours[0]->mix = [(object) ['wool' => 'Sea', 'percent' => 100]];
        $key = $document->colours[0]->key;
        $branch = Branch::of(Figure::fromDocument($document), 'x', 1.0, [$key => '#FF0000'])->document();
        expect($branch->colours[0]->hex)->toBe('#FF0000')
            ->and($branch->colours[0]->name)->toBe('Red')
            ->and($branch->colours[0])->not->toHaveProperty('mix');
    });
});
