<?php

declare(strict_types=1);

namespace Impa\Tests\AccessoriesByHand;

use Impa\Figure\Editing\Accessories;
use Impa\Figure\Editing\EditRefused;
use Impa\Figure\Figure;
use Impa\Figure\Term\Carried;
use Impa\Tests\Support\Figures;
use stdClass;

/*
 * Things whose places are known by hand: balls and upright sausages, whose outlines are as wide and high as they say.
 *
 * The bearer: a body 40 across about (0, 30, 0); an arm 8 thick and 30 long about (25, 40, 2), upright; a head 30 across about (2, 60, 3).
 */

/**
 * @param  list<array<string, mixed>>  $more
 * @param  array<string, mixed>  $arm
 */
function bearer(array $more = [], array $arm = ['join' => ['to' => 'body', 'by' => 'slit']]): Figure
{
    return Figures::read(Figures::document([
        Figures::part('body', 'ball', 40, 40, 40, 0, 30, 0),
        Figures::part('arm', 'sausage', 8, 30, 8, 25, 40, 2, $arm),
        Figures::part('head', 'ball', 30, 30, 30, 2, 60, 3, ['join' => ['to' => 'body']]),
        ...$more,
    ]));
}

/** @param  array<string, mixed>  $more */
function ball(string $key, float $mm, float $x, float $y, float $z, array $more = []): array
{
    return Figures::part($key, 'ball', $mm, $mm, $mm, $x, $y, $z, $more);
}

/** A ball 20 across about (3, 10, 1), as a figure of its own. */
function berry(): Figure
{
    return Figures::read(['name' => 'Berry'] + Figures::document([ball('berry', 20, 3, 10, 1)]));
}

/** @return array{float, float, float} */
function at(stdClass $document, string $key): array
{
    foreach ($document->parts as $part) {
        if ($part->key === $key) {
            return [(float) $part->at->xMm, (float) $part->at->yMm, (float) $part->at->zMm];
        }
    }

    return [NAN, NAN, NAN];
}

describe('a thing put in', function () {
    $put = static fn (Figure $into, Carried $how, string $holder, float $mm = 10.0): stdClass => Accessories::put(
        $into,
        berry(),
        'berry',
        $how,
        $holder,
        $mm,
    )->document;

    it('is held with its middle at the end of the arm that is farther from what that is joined to, before it', function () use ($put) {
        // The ends of the arm's middle line lie 11 mm above and below its middle; the upper one is farther from the body's.
        expect(at($put(bearer(), Carried::Held, 'arm'), 'berry'))->toEqualWithDelta([25, 51, 2 + 4 + 0.5], 1e-6);
        // From above the lower one is.
        $down = Figures::read(Figures::document([
            ball('body', 40, 0, 90, 0),
            Figures::part('arm', 'sausage', 8, 30, 8, 25, 40, 2, ['join' => ['to' => 'body']]),
        ]));
        expect(at($put($down, Carried::Held, 'arm'), 'berry'))->toEqualWithDelta([25, 29, 6.5], 1e-6)
            // What hangs on nothing holds it at its lower end.
            ->and(at($put(bearer(arm: []), Carried::Held, 'arm'), 'berry'))->toEqualWithDelta([25, 29, 6.5], 1e-6);
    });

    it('is worn on top of a part, a tenth of its height sunk in', function () use ($put) {
        expect(at($put(bearer(), Carried::Worn, 'head'), 'berry'))->toEqualWithDelta([2, 75 + 4, 3 + 0.5], 1e-6);
    });

    it('stands 8 mm beside everything that there is, twins as well, on the same ground', function () use ($put) {
        expect(at($put(bearer(), Carried::Beside, ''), 'berry'))->toEqualWithDelta([29 + 8 + 5, 10 + 5, 0.5], 1e-6);
        $left = bearer([ball('knob', 10, -40, 30, 0, ['mirror' => true])]);
        expect(at($put($left, Carried::Beside, ''), 'berry'))->toEqualWithDelta([45 + 8 + 5, 10 + 5, 0.5], 1e-6);
    });

    it('is as tall as asked, from 1 to 2000 mm', function () use ($put) {
        $tall = static fn (float $mm): float => end($put(bearer(), Carried::Beside, '', $mm)->parts)->shape->heightMm;
        expect($tall(1.0))->toEqualWithDelta(1.0, 0.01)->and($tall(25.0))->toEqualWithDelta(25.0, 0.01);
        foreach ([0.999, 2000.001, NAN] as $mm) {
            expect(static fn () => $put(bearer(), Carried::Beside, '', $mm))->toThrow(EditRefused::class);
        }
        expect(static fn () => $put(bearer(), Carried::Held, 'nobody'))->toThrow(EditRefused::class);
    });

    it('is called as it is called itself where no name is given', function () {
        $names = static fn (string $name): array => array_unique(array_filter(array_map(
            static fn (stdClass $part): string => $part->group ?? '',
            Accessories::put(bearer(), berry(), $name, Carried::Beside, '', 10.0)->document->parts,
        )));
        expect(array_values($names('')))->toBe(['Berry'])->and(array_values($names('fruit')))->toBe(['fruit']);
    });

    it('has its pairs as two where it stands aside, each mirrored about its own middle', function () {
        $thing = Figures::read(Figures::document(
            [
                ball('middle', 20, 0, 20, 0),
                Figures::part('wing', 'plate', 10, 8, 3, 12, 20, 1, [
                    'name' => 'Wing',
                    'mirror' => true,
                    'turnDeg' => ['y' => 20, 'z' => 30],
                    'shape' => ['kind' => 'plate', 'widthMm' => 10, 'heightMm' => 8, 'depthMm' => 3,
                        'outline' => [[-5, -4], [5, -4], [1, 4]]],
                    'join' => ['to' => 'middle'],
                ]),
                Figures::part('foot', 'ball', 6, 6, 6, 5, 8, 0, ['mirror' => true]),
            ],
            [['key' => 'dot', 'on' => 'wing', 'kind' => 'disc', 'widthMm' => 2, 'xMm' => 1, 'yMm' => 1, 'colour' => 'black']],
            ['wires' => [
                ['key' => 'w', 'pointsMm' => [[4, 20, 1], [16, 20, 2]], 'mirror' => true],
                ['key' => 'v', 'pointsMm' => [[0, 20, 1], [0, 30, 2]]],
            ]],
        ));
        $height = 23 - 5 + 7.0;
        $aside = Accessories::put(bearer(), $thing, 'bird', Carried::Beside, '', $height)->document;
        $by = array_column($aside->parts, null, 'key');
        $middle = $by['middle']->at->xMm;
        expect(array_keys($by))->toContain('wing', 'wing-left', 'foot', 'foot-left')
            ->and($by['wing-left']->name)->toBe('Wing, left')
            ->and($by['foot-left']->name)->toBe('foot, left')
            ->and([$by['wing']->mirror, $by['wing-left']->mirror])->toBe([false, false])
            ->and($by['wing-left']->at->xMm - $middle)->toEqualWithDelta($middle - $by['wing']->at->xMm, 1e-6)
            ->and((array) $by['wing-left']->turnDeg)->toEqual(['y' => -20, 'z' => -30])
            ->and(array_column($by['wing-left']->shape->outline, 0))
            ->toEqualWithDelta(array_map(static fn (array $p): float => -$p[0], $by['wing']->shape->outline), 1e-9)
            ->and(array_column($by['wing-left']->shape->outline, 1))->toEqual(array_column($by['wing']->shape->outline, 1))
            ->and($by['wing-left']->join->to)->toBe('middle')
            ->and(array_column($aside->details, 'on', 'key'))->toMatchArray(['dot' => 'wing', 'dot-left' => 'wing-left']);
        $wires = array_column($aside->wires, null, 'key');
        expect(array_keys($wires))->toBe(['w', 'v', 'w-left'])
            ->and($wires['w-left']->pointsMm[0][0] - $middle)->toEqualWithDelta($middle - $wires['w']->pointsMm[0][0], 1e-6)
            ->and(array_column($wires['w-left']->pointsMm, 2))->toEqual(array_column($wires['w']->pointsMm, 2))
            ->and([$wires['w']->mirror, $wires['w-left']->mirror])->toBe([false, false]);
        // About the same middle line they stay pairs.
        $above = Figures::read(Figures::document([ball('head', 30, 0, 60, 0)]));
        $worn = array_column(Accessories::put($above, $thing, 'bird', Carried::Worn, 'head', $height)->document->parts, null, 'key');
        expect(array_keys($worn))->toBe(['head', 'middle', 'wing', 'foot'])->and($worn['wing']->mirror)->toBeTrue();
    });

    it('hangs with what hung on nothing on who holds it, and with the rest as it did', function () {
        $thing = Figures::read(Figures::document([
            ball('cup', 20, 0, 10, 0), ball('ear', 8, 12, 10, 0, ['join' => ['to' => 'cup', 'by' => 'sew']]),
        ]));
        $joins = static fn (Carried $how, string $holder): array => array_map(
            static fn (stdClass $part): array => (array) ($part->join ?? []),
            array_slice(Accessories::put(bearer(), $thing, 'cup', $how, $holder, 20.0)->document->parts, -2),
        );
        expect($joins(Carried::Held, 'arm'))->toBe([['to' => 'arm', 'by' => 'fluff'], ['to' => 'cup', 'by' => 'sew']])
            ->and($joins(Carried::Beside, ''))->toBe([[], ['to' => 'cup', 'by' => 'sew']]);
    });
});

describe('a thing that is there', function () {
    $cup = static fn (array $first = [], array $second = []): array => [
        ball('cup', 10, 20, 15, 0, $first + ['group' => 'cup']), ball('lid', 10, 30, 15, 4, $second + ['group' => 'cup']),
    ];

    it('that is loose grows from the middle of its foot', function () use ($cup) {
        $grown = Accessories::resize(bearer($cup()), 'cup', 2.0);
        expect(at($grown->document, 'cup'))->toEqualWithDelta([15, 20, 0], 1e-6)
            ->and(at($grown->document, 'lid'))->toEqualWithDelta([35, 20, 8], 1e-6)
            ->and([$grown->kind, $grown->key])->toBe(['part', 'cup'])
            ->and(at($grown->document, 'arm'))->toEqual([25, 40, 2]);
    });

    it('that is held grows from the place of its box that is nearest to who holds it', function () {
        $held = static fn (float $x, float $y): array => at(Accessories::resize(
            bearer([ball('cup', 10, $x, $y, 6, ['group' => 'cup', 'join' => ['to' => 'arm']])]),
            'cup',
            2.0,
        )->document, 'cup');
        // The arm's middle is at (25, 40, 2): left of the box and below it, right and above it, within it.
        expect($held(32, 50))->toEqualWithDelta([27 + 10, 45 + 10, 10], 1e-6)
            ->and($held(18, 30))->toEqualWithDelta([23 - 10, 35 - 10, 10], 1e-6)
            ->and($held(26, 41))->toEqualWithDelta([25 + 2, 40 + 2, 10], 1e-6);
    });

    it('grows and shrinks by twenty times at most', function () use ($cup) {
        foreach ([20.0, 0.05] as $times) {
            expect(Accessories::resize(bearer($cup()), 'cup', $times)->document->parts[3]->shape->widthMm)
                ->toEqualWithDelta(10 * $times, 0.01);
        }
        foreach ([20.001, 0.0499, NAN] as $times) {
            expect(static fn () => Accessories::resize(bearer($cup()), 'cup', $times))->toThrow(EditRefused::class);
        }
    });

    it('is fastened by all that hangs on nothing of its own, as it was joined before, and let loose again', function () use ($cup) {
        $figure = bearer($cup(['join' => ['to' => 'arm', 'by' => 'glue']], ['join' => ['to' => 'cup', 'by' => 'sew']]));
        $joins = static fn (Figure $figure, string $holder): array => array_map(
            static fn (stdClass $part): array => (array) ($part->join ?? []),
            array_slice(Accessories::fasten($figure, 'cup', $holder)->document->parts, -2),
        );
        expect($joins($figure, 'head'))->toBe([['to' => 'head', 'by' => 'glue'], ['to' => 'cup', 'by' => 'sew']])
            ->and($joins($figure, ''))->toBe([[], ['to' => 'cup', 'by' => 'sew']])
            ->and($joins(bearer($cup()), 'head'))->toBe([['to' => 'head', 'by' => 'fluff'], ['to' => 'head', 'by' => 'fluff']])
            ->and(Accessories::fasten($figure, 'cup', 'head')->key)->toBe('cup')
            ->and(static fn () => Accessories::fasten($figure, 'cup', 'lid'))->toThrow(EditRefused::class)
            ->and(static fn () => Accessories::fasten($figure, 'cup', 'nobody'))->toThrow(EditRefused::class);
    });

    it('is told with its size, who holds it, and how large it is for that', function () {
        $one = static fn (float $mm, array $more): array => Accessories::all(
            bearer([ball('cup', $mm, 40, 40, 0, $more + ['group' => 'cup'])]),
        )[0];
        expect($one(12, []))->toMatchArray(['name' => 'cup', 'parts' => ['cup'], 'holder' => '', 'times' => 0.0, 'isLost' => false])
            ->and($one(12, [])['widthMm'])->toEqualWithDelta(12, 0.05)
            // The arm is 8 mm thick.
            ->and($one(12, ['join' => ['to' => 'arm']])['times'])->toEqualWithDelta(1.5, 0.01)
            ->and($one(7.9, ['join' => ['to' => 'arm']])['isLost'])->toBeTrue()
            ->and($one(8.2, ['join' => ['to' => 'arm']])['isLost'])->toBeFalse()
            // Of a pair it is as wide as one of them.
            ->and($one(12, ['mirror' => true])['widthMm'])->toEqualWithDelta(12, 0.05);
    });

    it('is gathered under a name of its own', function () use ($cup) {
        $group = static fn (string $name, Figure $figure): string => Accessories::gather($figure, ['head', 'arm'], $name)
            ->document->parts[2]->group;
        expect($group('  hat ', bearer()))->toBe('hat')
            ->and($group('   ', bearer()))->toBe('Thing')
            ->and($group(str_repeat('x', 80), bearer()))->toBe(str_repeat('x', 56))
            ->and($group('cup', bearer($cup())))->not->toBe('cup')
            ->and(Accessories::gather(bearer(), ['head', 'arm'], 'hat')->key)->toBe('head')
            ->and(static fn () => Accessories::gather(bearer(), [], 'hat'))->toThrow(EditRefused::class);
    });
});

describe('a thing taken out', function () {
    $taken = static fn (float $x, array $more = []): stdClass => Accessories::taken(bearer([
        ball('cup', 10, $x, 50, 6, $more + ['group' => 'cup', 'join' => ['to' => 'arm']]),
        ball('lid', 6, $x + 1, 57, 8, $more + ['group' => 'cup', 'join' => ['to' => 'cup', 'by' => 'sew']]),
    ]), 'cup');

    it('stands on the table about the middle line, one of a pair, with the joins within it', function () use ($taken) {
        foreach ([20.0, -20.0] as $x) {
            $cup = $taken($x, ['mirror' => true]);
            expect(at($cup, 'cup')[1])->toEqualWithDelta(5, 0.05)
                ->and(at($cup, 'cup')[0])->toEqualWithDelta(0, 0.05)
                ->and(at($cup, 'lid')[0])->toEqualWithDelta(1, 0.05)
                ->and([at($cup, 'cup')[2], at($cup, 'lid')[2]])->toEqual([0, 2])
                ->and(array_column($cup->parts, 'mirror'))->toBe([false, false])
                ->and($cup->heightMm)->toEqualWithDelta(15, 0.05)
                ->and(isset($cup->parts[0]->join))->toBeFalse()
                ->and($cup->parts[1]->join->to)->toBe('cup')
                ->and($cup->name)->toBe('Cup');
        }
    });

    it('that lies across the middle line is whole with its twins, where it was', function () use ($taken) {
        $across = $taken(3.0, ['mirror' => true]);
        expect(array_column($across->parts, 'mirror'))->toBe([true, true])
            ->and(at($across, 'cup')[0])->toEqualWithDelta(3.0, 1e-6);
    });
});
