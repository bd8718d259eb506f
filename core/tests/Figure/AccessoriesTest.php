<?php

declare(strict_types=1);

namespace Impa\Tests\Accessories;

use Impa\Figure\Editing\Accessories;
use Impa\Figure\Editing\EditRefused;
use Impa\Figure\Editing\Scaling;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Term\Carried;
use Impa\Material\Densities;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Wool\Ledger\Ledger;
use stdClass;

function read(stdClass $document): Figure
{
    return Figure::fromDocument($document);
}

function grams(Figure $figure): float
{
    return Ledger::of($figure, Densities::house())->totalG();
}

/** A body with an arm that hangs to the right. */
function holding(): Figure
{
    return Figures::read(Figures::document([
        Figures::part('body', 'ball', 50, 60, 50, 0, 30),
        Figures::part('arm', 'sausage', 10, 40, 10, 35, 30, 0, ['join' => ['to' => 'body', 'by' => 'fluff'], 'turnDeg' => ['z' => 90]]),
    ]));
}

/** A broom: a stick with bristles, 60 mm tall, and an eye of its own. */
function broom(): Figure
{
    return Figures::read(Figures::document(
        [
            Figures::part('stick', 'sausage', 4, 48, 4, 0, 36, 0, ['colour' => 'black']),
            Figures::part('arm', 'cone', 16, 18, 10, 0, 9, 0, ['join' => ['to' => 'stick', 'by' => 'fluff'], 'colour' => 'white']),
        ],
        [['key' => 'band', 'on' => 'arm', 'kind' => 'disc', 'widthMm' => 4, 'xMm' => 0, 'yMm' => 3, 'colour' => 'black']],
    ));
}

describe('a figure brought in', function () {
    it('keeps its pairs about its own middle where it is held aside: parts, and the wires in them', function () {
        $fork = Figures::read(Figures::document(
            [
                Figures::part('stick', 'sausage', 4, 40, 4, 0, 20),
                Figures::part('tine', 'sausage', 3, 20, 3, 6, 50, 0, ['mirror' => true, 'join' => ['to' => 'stick']]),
            ],
            [],
            ['heightMm' => 60, 'wires' => [['key' => 'w', 'pointsMm' => [[6, 41, 1], [6, 59, 2]], 'mirror' => true]]],
        ));
        $figure = read(Accessories::put(holding(), $fork, 'fork', Carried::Held, 'arm', 60.0)->document);
        $aside = $figure->parts['stick']->stand->at[0];
        expect($aside)->toBeGreaterThan(10.0)->and(array_column($figure->wires, 'mirror'))->toBe([false, false]);
        foreach (array_values($figure->wires) as $i => $wire) {
            foreach ($wire->pointsMm as $k => [$x, , $z]) {
                expect($x - $aside)->toEqualWithDelta($i === 0 ? 6.0 : -6.0, 1e-6)
                    ->and($z - $figure->parts['stick']->stand->at[2])->toEqualWithDelta(1.0 + $k, 1e-6);
            }
        }
        expect($figure->parts['tine']->stand->at[0] + $figure->parts['tine-left']->stand->at[0])->toEqualWithDelta(2 * $aside, 1e-6);
    });

    it('is held at the free end of the arm, as tall as asked, under keys and colours of its own', function () {
        $figure = read(Accessories::put(holding(), broom(), 'broom', Carried::Held, 'arm', 90.0)->document);
        $thing = Accessories::all($figure)[0];
        expect(array_keys($figure->parts))->toBe(['body', 'arm', 'stick', 'arm-2'])
            ->and($thing)->toMatchArray(['name' => 'broom', 'parts' => ['stick', 'arm-2'], 'holder' => 'arm', 'isLost' => false])
            ->and($thing['heightMm'])->toEqualWithDelta(90.0, 0.1)
            ->and($thing['times'])->toEqualWithDelta(9.0, 0.05)
            ->and($figure->parts['stick']->join->to)->toBe('arm')
            ->and($figure->parts['arm-2']->join->to)->toBe('stick')
            ->and($figure->details['band']->on)->toBe('arm-2')
            ->and($figure->details['band']->drawn->widthMm)->toEqualWithDelta(6.0, 1e-6)
            ->and($figure->colours)->toHaveCount(3)
            // The arm lies level, its free end at 35 + 20 - 5.
            ->and($figure->parts['stick']->stand->at[0])->toEqualWithDelta(50.0, 0.1);
    });

    it('weighs what it weighs by itself at that size, and what was there weighs as before', function () {
        $both = read(Accessories::put(holding(), broom(), 'broom', Carried::Held, 'arm', 90.0)->document);
        $alone = read(Accessories::taken($both, 'broom'));
        expect(grams($both))->toEqualWithDelta(grams(holding()) + grams($alone), 1e-9)
            ->and(grams($alone))->toEqualWithDelta(grams(Scaling::to(broom(), 100 * 90 / 60)), 0.02 * grams($alone));
    });

    it('is worn on top, or stands beside on the table and is loose', function () {
        $worn = read(Accessories::put(holding(), broom(), '', Carried::Worn, 'body', 30.0)->document);
        $beside = read(Accessories::put(holding(), broom(), 'broom', Carried::Beside, '', 30.0)->document);
        $foot = static fn (Figure $f): float => min(array_map(
            static fn (Part $p): float => $p->placements()[0]->levelsMm()[0],
            array_filter(array_values($f->parts), static fn (Part $p): bool => $p->stand->group !== ''),
        ));
        // It sinks in by a tenth.
        expect($foot($worn))->toEqualWithDelta(60.0 - 3.0, 0.1)
            ->and($foot($beside))->toEqualWithDelta(0.0, 0.1)
            ->and(Accessories::all($beside)[0]['holder'])->toBe('')
            ->and($beside->parts['stick']->stand->at[0])->toBeGreaterThan(55.0);
    });

    it('with pairs of its own has them as two, each where it was', function () {
        $lanto = Works::demo('lanto');
        $figure = read(Accessories::put(holding(), $lanto, 'pod', Carried::Held, 'arm', 40.0)->document);
        $own = array_filter($figure->parts, static fn (Part $p): bool => $p->stand->group === 'pod');
        $made = array_sum(array_map(static fn (Part $p): int => $p->count(), $lanto->parts));
        expect($own)->toHaveCount($made)->and(array_filter($own, static fn (Part $p): bool => $p->stand->mirror))->toBe([]);
        $small = Scaling::to(Works::demo('lanto'), $lanto->heightMm * 0.25);
        $figure = read(Accessories::put(holding(), $lanto, 'pod', Carried::Held, 'arm', Accessories::all(
            read(Accessories::gather($small, array_keys($small->parts), 'all')->document),
        )[0]['heightMm'])->document);
        expect(grams(read(Accessories::taken($figure, 'pod'))))->toEqualWithDelta(grams($small), 0.01 * grams($small));
    });

    it('comes twice under two names', function () {
        $once = read(Accessories::put(holding(), broom(), 'broom', Carried::Held, 'arm', 30.0)->document);
        $twice = read(Accessories::put($once, broom(), 'broom', Carried::Worn, 'body', 30.0)->document);
        expect(array_column(Accessories::all($twice), 'name'))->toBe(['broom', 'broom-2']);
    });
});

describe('a thing', function () {
    it('is made of parts that are there, and taken out as a figure that stands on the table', function () {
        $figure = Works::demo('wick');
        expect(array_column(Accessories::all($figure), 'name'))->toBe(['lamp']);
        $alone = read(Accessories::taken($figure, 'lamp'));
        $levels = array_map(static fn (Part $p): array => $p->placements()[0]->levelsMm(), array_values($alone->parts));
        expect(min(array_column($levels, 0)))->toEqualWithDelta(0.0, 0.05)
            ->and($alone->heightMm)->toEqualWithDelta(max(array_column($levels, 1)), 0.05)
            ->and(array_filter($alone->parts, static fn (Part $p): bool => $p->stand->group !== '' || $p->join->to === 'arm'))->toBe([])
            ->and($alone->name)->toBe('Lamp');
        $hat = read(Accessories::gather($figure, ['brim', 'crown'], 'hat')->document);
        expect(Accessories::all($hat)[0]['parts'])->toBe(['brim', 'crown'])
            ->and(read(Accessories::taken($hat, 'hat'))->parts)->toHaveCount(2);
    });

    it('grows where it is held: its size by the factor, its mass by the cube, the place it is held at kept', function () {
        $figure = read(Accessories::put(holding(), broom(), 'broom', Carried::Held, 'arm', 60.0)->document);
        $larger = read(Accessories::resize($figure, 'broom', 1.5)->document);
        [$was, $is] = [Accessories::all($figure)[0], Accessories::all($larger)[0]];
        $off = static fn (Figure $f): array => [
            $f->parts['stick']->stand->at[0] - $f->parts['arm']->stand->at[0],
            $f->parts['stick']->stand->at[1] - $f->parts['arm']->stand->at[1],
        ];
        expect($is['heightMm'])->toEqualWithDelta(1.5 * $was['heightMm'], 1e-6)
            ->and($is['widthMm'])->toEqualWithDelta(1.5 * $was['widthMm'], 1e-6)
            ->and($larger->parts['body'])->toEqual($figure->parts['body'])
            ->and($off($larger)[1])->toEqualWithDelta(1.5 * $off($figure)[1], 1.0);
        expect(Accessories::all(read(Accessories::resize($larger, 'broom', 1 / 1.5)->document))[0]['heightMm'])
            ->toEqualWithDelta($was['heightMm'], 1e-6);
    });

    it('is joined to another part, or left loose', function () {
        $figure = read(Accessories::put(holding(), broom(), 'broom', Carried::Held, 'arm', 60.0)->document);
        $loose = read(Accessories::fasten($figure, 'broom', '')->document);
        $worn = read(Accessories::fasten($loose, 'broom', 'body')->document);
        expect(Accessories::all($loose)[0]['holder'])->toBe('')->and(Accessories::all($worn)[0]['holder'])->toBe('body')
            ->and($worn->parts['arm-2']->join->to)->toBe('stick');
    });

    it('no larger than the hand that holds it is said to be lost there', function () {
        $figure = read(Accessories::put(holding(), broom(), 'broom', Carried::Held, 'arm', 9.0)->document);
        expect(Accessories::all($figure)[0]['isLost'])->toBeTrue();
    });

    it('is refused where there is none, where it would hold itself, and at no size', function () {
        $figure = read(Accessories::put(holding(), broom(), 'broom', Carried::Held, 'arm', 60.0)->document);
        expect(fn () => Accessories::taken($figure, 'fish'))->toThrow(EditRefused::class, 'no thing "fish"')
            ->and(fn () => Accessories::taken($figure, ''))->toThrow(EditRefused::class)
            ->and(fn () => Accessories::fasten($figure, 'broom', 'stick'))->toThrow(EditRefused::class, 'cannot hold itself')
            ->and(fn () => Accessories::resize($figure, 'broom', NAN))->toThrow(EditRefused::class)
            ->and(fn () => Accessories::gather($figure, [], 'x'))->toThrow(EditRefused::class)
            ->and(fn () => Accessories::put($figure, broom(), 'x', Carried::Held, 'wing', 20.0))->toThrow(EditRefused::class)
            ->and(fn () => Accessories::put($figure, broom(), 'x', Carried::Held, 'arm', 0.0))->toThrow(EditRefused::class);
    });
});
