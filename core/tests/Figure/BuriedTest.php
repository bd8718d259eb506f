<?php

declare(strict_types=1);

namespace Impa\Tests\Buried;

use Impa\Figure\Editing\Buried;
use Impa\Figure\Editing\EditRefused;
use Impa\Figure\Figure;
use Impa\Tests\Support\Figures;

/**
 * A sheet 20 wide, 20 high and 2 deep before a host. Sheets have flat fronts, and rims rounded down to their middle: there the badge lies
 * deepest, at the depth that it stands at, but for the little that the nearest of the places looked at is away from its edge.
 *
 * @param  array<string, mixed>  $part
 * @param  array<string, mixed>  $host
 */
function before(float $x, float $z, array $part = [], array $host = [], float $deep = 10.0): Figure
{
    return Figures::read(Figures::document([
        Figures::part('host', 'sheet', 60, 60, $deep, 0, 50, 0, $host),
        Figures::part('badge', 'sheet', 20, 20, 2, $x, 50, $z, $part + ['join' => ['to' => 'host']]),
    ]));
}

function mm(Figure $figure): float
{
    return Buried::mm($figure, $figure->parts['badge']);
}

describe('what the round hides', function () {
    it('is brought forwards by how deep it lies and a quarter of its own depth, in whole mm', function () {
        // The host's front lies at 5 mm, the badge's at its own place and 1 mm.
        expect(mm(before(0, 0)))->toBe(ceil(5 + 0.5))
            ->and(mm(before(0, 1.0)))->toBe(ceil(5 - 1.0 + 0.5))
            ->and(mm(before(0, 2.9)))->toBe(ceil(5 - 2.9 + 0.5))
            ->and(mm(before(0, 0, deep: 12.0)))->toBe(ceil(6 + 0.5));
    });

    it('is lost only where it lies deeper than half a mm', function () {
        expect(mm(before(0, 3.49)))->toBeGreaterThan(0.0)->and(mm(before(0, 3.51)))->toBe(0.0);
    });

    it('is told from half of its front on', function () {
        // The host ends 30 mm from its middle: the badge lies over it with (30 - x + 10) / 20 of its width.
        expect(mm(before(29.0, 0)))->toBe(6.0)->and(mm(before(31.0, 0)))->toBe(0.0);
    });

    it('is nothing that lies behind what it is joined to, is joined to nothing, or where one of both is turned', function () {
        expect(mm(before(0, -0.01)))->toBe(0.0)
            ->and(mm(before(0, 0.0)))->toBe(6.0)
            ->and(mm(before(0, 0, ['turnDeg' => ['y' => 30]])))->toBe(0.0)
            ->and(mm(before(0, 0, host: ['turnDeg' => ['x' => 30]])))->toBe(0.0)
            ->and(mm(before(0, 0, ['turnDeg' => ['z' => 90]])))->toBe(6.0);
        $alone = Figures::read(Figures::document([Figures::part('badge', 'sheet', 20, 20, 2)]));
        expect(mm($alone))->toBe(0.0);
    });

    it('is told of a pair that it lies within as of one', function () {
        // The host stands 40 mm to the right, its twin as far to the left.
        $at = static fn (float $x): float => mm(Figures::read(Figures::document([
            Figures::part('host', 'sheet', 60, 60, 10, 40, 50, 0, ['mirror' => true]),
            Figures::part('badge', 'sheet', 20, 20, 2, $x, 50, 0, ['join' => ['to' => 'host']]),
        ])));
        expect($at(40.0))->toBe(6.0)->and($at(-40.0))->toBe(6.0)->and($at(0.0))->toBe(0.0);
    });

    it('is listed by key, and only what is hidden', function () {
        expect(Buried::all(before(0, 0)))->toBe(['badge' => 6.0])->and(Buried::all(before(0, 20)))->toBe([]);
    });

    it('stands where it shows once it is brought forwards, and is refused what shows already', function () {
        $forwards = Buried::forwards(before(0, 1.25), 'badge');
        expect($forwards->document->parts[1]->at->zMm)->toBe(5.25)
            ->and([$forwards->kind, $forwards->key])->toBe(['part', 'badge'])
            ->and(Buried::all(Figure::fromDocument($forwards->document)))->toBe([])
            ->and(static fn () => Buried::forwards(before(0, 20), 'badge'))->toThrow(EditRefused::class)
            ->and(static fn () => Buried::forwards(before(0, 0), 'nobody'))->toThrow(EditRefused::class);
    });
});

describe('a roll across', function () {
    $scarf = static fn (
        array $more = [],
        string $kind = 'sausage',
        float $thick = 8,
        float $long = 36,
        array $host = [],
        float $deep = 30,
    ): Figure => Figures::read(Figures::document([
        Figures::part('neck', 'drum', 40, 40, $deep, 0, 50, 3, $host),
        Figures::part('scarf', $kind, $thick, $long, $thick, 0, 50, 3, $more + [
            'turnDeg' => ['z' => 90], 'join' => ['to' => 'neck', 'by' => 'fluff'],
        ]),
    ]));
    $can = static fn (Figure $figure): bool => Buried::canGoRound($figure->parts['scarf']);

    it('can go round what it is joined to where it is single, long, and lies more across than upright', function () use ($scarf, $can) {
        expect($can($scarf()))->toBeTrue()
            ->and($can($scarf(['turnDeg' => ['z' => 46]])))->toBeTrue()
            ->and($can($scarf(['turnDeg' => ['z' => -46]])))->toBeTrue()
            ->and($can($scarf(['turnDeg' => ['z' => 44]])))->toBeFalse()
            ->and($can($scarf(['mirror' => true])))->toBeFalse()
            ->and($can($scarf(kind: 'ball')))->toBeFalse()
            ->and($can($scarf(thick: 18)))->toBeTrue()
            ->and($can($scarf(thick: 18.2)))->toBeFalse();
        $alone = Figures::part('scarf', 'sausage', 8, 36, 8, 0, 50, 0, ['turnDeg' => ['z' => 90]]);
        expect($can(Figures::read(Figures::document([$alone]))))->toBeFalse();
    });

    it('becomes a ring as wide as it is long, as much deeper or flatter as what it goes round, and is wrapped', function () use ($scarf) {
        $round = static fn (Figure $figure): object => Buried::laidRound($figure, 'scarf')->document->parts[1];
        $ring = $round($scarf());
        expect((array) $ring->shape)->toBe(['kind' => 'ring', 'widthMm' => 36.0, 'heightMm' => 27.0, 'depthMm' => 8.0])
            ->and((array) $ring->turnDeg)->toBe(['x' => 90, 'y' => 0, 'z' => 0])
            // A fifth of a mm before the middle of the neck: it is painted before it.
            ->and($ring->at->zMm)->toBe(3.2)
            ->and($ring->join->by)->toBe('wrap')
            // Never so flat that its hole closes.
            ->and($round($scarf(deep: 4))->shape->heightMm)->toBe(16.0)
            // What stands askew says nothing of how deep it is here.
            ->and($round($scarf(host: ['turnDeg' => ['y' => 90]]))->shape->heightMm)->toBe(36.0)
            ->and($round($scarf(long: 36.346, thick: 8.128))->shape)->toMatchArray([
                'widthMm' => 36.35, 'heightMm' => 27.26, 'depthMm' => 8.13,
            ]);
    });

    it('is refused where it cannot go round', function () use ($scarf) {
        expect(static fn () => Buried::laidRound($scarf(kind: 'ball'), 'scarf'))->toThrow(EditRefused::class, 'scarf')
            ->and(static fn () => Buried::laidRound($scarf(), 'nobody'))->toThrow(EditRefused::class, 'nobody');
    });
});
