<?php

declare(strict_types=1);

namespace Impa\Tests\FaceAdvice;

use Impa\Face\Advice\Advice;
use Impa\Face\Advice\Evenness;
use Impa\Face\Advice\FaceAdvice;
use Impa\Face\Advice\Sliding;
use Impa\Face\Needles;
use Impa\Face\ReadyMade;
use Impa\Figure\Figure;
use Impa\Geometry\Outline\Polygon;
use Impa\Plan\Plan;
use Impa\Surface\Chart;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Tests\Support\Figures;

/** A ball of 60 mm with these details. @param  list<array<string, mixed>>  $details */
function ball60(array $details): Figure
{
    return Figures::read(
        Figures::document(
            [Figures::part('head', 'ball', 60, 60, 60, 0, 30)],
            array_map(
                static fn (array $d): array => $d + ['on' => 'head', 'colour' => 'black', 'name' => ucfirst($d['key'])],
                $details,
            ),
        ),
    );
}

function front(Figure $figure): Surface
{
    return Surface::of($figure->parts['head']->placements()[0]);
}

/** @return list<Advice> */
function advised(Figure $figure, string $key): array
{
    return FaceAdvice::of($figure, 'head', Needles::usual(), Evenness::of($figure, 'head'))[$key] ?? [];
}

/** The figure with a mend taken, as the screen takes it. */
function mended(Figure $figure, string $key, string $code, int $which = 0): Figure
{
    $advice = array_values(array_filter(advised($figure, $key), static fn (Advice $a): bool => $a->code === $code))[0];
    $mend = $advice->mends[$which];
    $document = json_decode($figure->toJson(), true);
    $document['details'] = array_values(
        array_filter(
            array_map(static fn (array $d): array => $d['key'] === $key ? $mend->change() + $d : $d, $document['details']),
            static fn (array $d): bool => ! in_array($d['key'], $mend->remove, true),
        ),
    );
    array_push($document['details'], ...$mend->add);

    return Figures::read(json_decode(json_encode($document), true));
}

/** @return list<string> */
function codes(Figure $figure, string $key): array
{
    return array_map(static fn (Advice $a): string => $a->code, advised($figure, $key));
}

describe('what cannot be made', function () {
    it('finds each fault, puts it first, and its mend clears it', function (array $detail, string $code) {
        $figure = ball60([$detail + ['key' => 'd']]);
        expect(codes($figure, 'd')[0])
            ->toBe($code)
            ->and(advised($figure, 'd')[0]->isFault)
            ->toBeTrue()
            ->and(codes(mended($figure, 'd', $code), 'd'))
            ->not->toContain($code)
            ->not->toContain('off-part');
    })->with([
        'off its part' => [['kind' => 'disc', 'widthMm' => 6, 'xMm' => 35, 'yMm' => 20], 'off-part'],
        'far off' => [['kind' => 'patch', 'pointsMm' => [[-300, 4], [-290, 4], [-295, 14]]], 'off-part'],
        'larger than its part' => [['kind' => 'disc', 'widthMm' => 80, 'heightMm' => 20], 'too-large'],
        'a patch larger than it' => [
            ['kind' => 'patch', 'pointsMm' => [[-40, -5], [40, -5], [0, 30]], 'holesMm' => [[[-4, 0], [4, 0], [0, 8]]]],
            'too-large',
        ],
        'a bead larger than the head' => [['kind' => 'bead', 'widthMm' => 90, 'heightMm' => 90], 'too-large'],
        'a bow tie' => [['kind' => 'patch', 'pointsMm' => [[-5, -5], [5, 5], [5, -5], [-5, 5]]], 'tangled'],
        'two points in one place' => [
            [
                'kind' => 'line',
                'widthMm' => 1.5,
                'pointsMm' => [[-8, 0], [0, -3], [0, -3], [8, 0]],
                'widthsMm' => [1.2, 1.5, 1.5, 1.2],
            ],
            'doubled',
        ],
        'first and last of a patch' => [['kind' => 'patch', 'pointsMm' => [[-5, -5], [5, -5], [0, 6], [-5, -5]]], 'doubled'],
    ]);

    it('untangles any tangle of few points without losing one', function () {
        mt_srand(12);
        for ($n = 0; $n < 30; $n++) {
            $points = array_map(
                static fn (): array => [mt_rand(-120, 120) / 10, mt_rand(-120, 120) / 10],
                range(1, mt_rand(4, 12)),
            );
            $figure = ball60([['key' => 'd', 'kind' => 'patch', 'pointsMm' => $points]]);
            if (! in_array('tangled', codes($figure, 'd'), true)) {
                continue;
            }
            $after = mended($figure, 'd', 'tangled')->details['d']->drawn->pointsMm;
            $sorted = static function (array $list): array {
                sort($list);

                return $list;
            };
            expect(codes(mended($figure, 'd', 'tangled'), 'd'))
                ->not->toContain('tangled')
                ->and($sorted($after))
                ->toEqual($sorted(array_map(static fn (array $p): array => array_map(floatval(...), $p), $points)))
                // Without crossings the sum by the shoelace is the area, which is never 0.
                ->and(abs(Polygon::signedArea($after)))
                ->toBeGreaterThan(0.0);
        }
    });

    it('undoes a tangle of 400 points as well', function () {
        mt_srand(3);
        $points = array_map(static fn (): array => [mt_rand(-1200, 1200) / 100, mt_rand(-1200, 1200) / 100], range(1, 400));
        $figure = ball60([['key' => 'd', 'kind' => 'patch', 'pointsMm' => $points]]);
        expect(codes($figure, 'd')[0])
            ->toBe('tangled')
            ->and(codes(mended($figure, 'd', 'tangled'), 'd'))
            ->not->toContain('tangled');
    });

    it('says nothing of what can be made', function () {
        $figure = ball60([
            ['key' => 'd', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 8],
            ['key' => 'b', 'kind' => 'bead', 'widthMm' => 4.5, 'xMm' => -8],
        ]);
        expect(codes($figure, 'd'))->toBe([])->and(codes($figure, 'b'))->toBe([]);
    });

    it('takes only sizes that are sold', function (float $mm, float $sold) {
        $figure = ball60([['key' => 'b', 'kind' => 'eye', 'widthMm' => $mm, 'heightMm' => $mm, 'xMm' => 8]]);
        expect(codes($figure, 'b'))
            ->toBe(['not-sold'])
            ->and(mended($figure, 'b', 'not-sold')->details['b']->drawn->widthMm)
            ->toBe($sold)
            ->and(ReadyMade::isSold($sold))
            ->toBeTrue();
    })->with([[4.3, 4.5], [1.2, 2.0], [5.76, 6.0], [14.0, 12.0]]);
});

describe('round the edge', function () {
    it('says by how much it slides: a spot at 24 of 30 mm takes 1.67 times its width', function () {
        // On a ball, x from 22 to 26 of radius 30: the arc is 30 (asin(26/30) - asin(22/30)) = 6.26 mm for 4 seen.
        $figure = ball60([['key' => 'd', 'kind' => 'disc', 'widthMm' => 4, 'heightMm' => 4, 'xMm' => 24]]);
        $advice = Sliding::of($figure->details['d'], front($figure));
        expect($advice->code)
            ->toBe('slides')
            ->and($advice->why)
            ->toContain(sprintf('takes %.1f x', 30 * (asin(26 / 30) - asin(22 / 30))))
            ->and(array_map(static fn ($m): string => $m->keep, $advice->mends))
            ->toBe(['drawn', 'size']);
        expect(
            Sliding::of(
                ball60([['key' => 'd', 'kind' => 'disc', 'widthMm' => 4, 'heightMm' => 4, 'xMm' => 8]])->details['d'],
                front($figure),
            ),
        )->toBeNull();
    });

    it('says no size of what lies on the part by its corners, but not straight across between them', function (array $points) {
        $figure = ball60([['key' => 'd', 'kind' => 'patch', 'pointsMm' => $points, 'smooth' => false]]);
        $surface = front($figure);
        $detail = $figure->details['d'];
        expect(array_filter($detail->outline(), static fn (array $p): bool => ! $surface->has(...$p)))->toBe([])
            ->and(Sliding::of($detail, $surface))->toBeNull()
            ->and(json_encode(array_map(static fn (Advice $a): array => $a->document(), advised($figure, 'd'))))->not->toContain('NaN');
    })->with([
        'level' => [[[-29, 0], [0, 24], [9, 10]]],
        'down' => [[[0, -29], [24, 0], [10, 9]]],
    ]);

    it('kept in size it is as large on the wool, and as far by tape, as it was drawn', function (array $detail) {
        $figure = ball60([$detail + ['key' => 'd']]);
        $surface = front($figure);
        $set = Sliding::inSize($figure->details['d'], $surface);
        $after = ball60([$set + $detail + ['key' => 'd']])->details['d'];
        [$x, $y] = $figure->details['d']->middle();
        $box = \Impa\Geometry\Box::around($figure->details['d']->outline());
        $seen = \Impa\Geometry\Box::around($after->outline());
        $chart = Chart::of($surface);
        $from = [$seen->left, $after->middle()[1]];
        $to = [$seen->right, $after->middle()[1]];
        expect(TapeMark::straightMm($surface, $from, $to))
            ->toEqualWithDelta($box->width(), 0.05 * $box->width())
            ->and($chart->mark(...$after->middle())->acrossMm)
            ->toEqualWithDelta($x, 0.3)
            ->and($chart->mark(...$after->middle())->downMm)
            ->toEqualWithDelta((30 * M_PI) / 2 - $y, 0.3)
            ->and(Sliding::of($after, $surface))
            ->toBeNull();
    })->with([
        [['kind' => 'disc', 'widthMm' => 5, 'heightMm' => 6, 'xMm' => 24, 'yMm' => -4]],
        [['kind' => 'disc', 'widthMm' => 5, 'heightMm' => 8, 'xMm' => -22, 'yMm' => 6, 'turnDeg' => 30]],
        [['kind' => 'patch', 'pointsMm' => [[-3, -3], [3, -3], [3, 3], [-3, 3]], 'xMm' => 22, 'yMm' => 0]],
        [['kind' => 'line', 'widthMm' => 1.2, 'pointsMm' => [[20, -6], [24, -4], [27, 2]]]],
    ]);

    it('keeps silent once it is chosen', function () {
        expect(
            Sliding::of(
                ball60([['key' => 'd', 'kind' => 'disc', 'widthMm' => 4, 'xMm' => 24, 'keep' => 'drawn']])->details['d'],
                front(ball60([])),
            ),
        )->toBeNull();
    });
});

describe('even and level', function () {
    it('measures how far two that are meant as twins are from being so', function () {
        $figure = ball60([
            ['key' => 'right', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 10, 'yMm' => -3],
            ['key' => 'left', 'kind' => 'disc', 'widthMm' => 5.2, 'xMm' => -11.2, 'yMm' => -2.2],
        ]);
        $even = Evenness::of($figure, 'head');
        expect($even->levelMm)
            ->toEqualWithDelta(0.8, 1e-6)
            ->and($even->asideMm)
            ->toEqualWithDelta(1.2, 1e-6)
            ->and($even->advice['left'][0]->why)
            ->toBe('it lies 0.8 mm higher and 1.2 mm farther out than right');
        $pair = mended($figure, 'left', 'uneven');
        expect($pair->details)
            ->toHaveCount(1)
            ->and($pair->details['left']->lie->mirror)
            ->toBeTrue()
            ->and(Evenness::of($pair, 'head')->levelMm)
            ->toBe(0.0);
        $level = Evenness::of(mended($figure, 'left', 'uneven', 1), 'head');
        expect($level->levelMm)->toBe(0.0)->and($level->asideMm)->toEqualWithDelta(1.2, 1e-6);
    });

    it('lets a wink be: what is meant so is neither said nor counted, and what cannot be made stays said', function () {
        $wink = ['key' => 'right', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 10, 'yMm' => -3];
        $other = ['key' => 'left', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => -10, 'yMm' => -1];
        expect(codes(ball60([$wink, $other]), 'left'))->toBe(['uneven']);
        $meant = ball60([$wink, $other + ['meant' => ['uneven']]]);
        $even = Evenness::of($meant, 'head');
        expect(codes($meant, 'left'))->toBe([])->and($even->levelMm)->toBe(0.0)->and($even->asideMm)->toBe(0.0);
        // Whichever of the two it was said of.
        expect(Evenness::of(ball60([$wink + ['meant' => ['uneven']], $other]), 'head')->levelMm)->toBe(0.0);
        $nose = ['key' => 'nose', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 0.6, 'yMm' => -8, 'meant' => ['aside']];
        expect(codes(ball60([$nose]), 'nose'))->toBe([])->and(Evenness::of(ball60([$nose]), 'head')->asideMm)->toBe(0.0);
        expect(codes(ball60([['xMm' => 35, 'meant' => ['off-part']] + $wink]), 'right'))->toBe(['off-part']);
        // The plan holds its tongue as well.
        $notes = static fn (array $more): array => array_column(
            Plan::of(ball60([$more + ['key' => 'dot', 'kind' => 'disc', 'widthMm' => 1]]))->document()['notes'],
            'code',
        );
        expect($notes([]))
            ->toContain('too-small')
            ->and($notes(['meant' => ['too-small']]))
            ->not->toContain('too-small')
            ->and($notes(['meant' => ['off-part'], 'xMm' => 40]))
            ->toContain('off-part');
    });

    it('takes no strangers for twins', function (array $other) {
        $figure = ball60([
            ['key' => 'right', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 10, 'yMm' => -3],
            $other + ['key' => 'left', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => -10, 'yMm' => -2],
        ]);
        expect(Evenness::of($figure, 'head')->advice)->toBe([]);
    })->with([[['colour' => 'white']], [['widthMm' => 9]], [['yMm' => -12]], [['kind' => 'bead']], [['xMm' => 10, 'yMm' => 9]]]);

    it('lets two sparks lean the same way on their eyes, whatever their layer', function () {
        $figure = ball60([
            ['key' => 'eye', 'kind' => 'disc', 'widthMm' => 8, 'xMm' => 10, 'yMm' => -3, 'mirror' => true],
            ['key' => 'right', 'kind' => 'disc', 'widthMm' => 2, 'xMm' => 11.2, 'yMm' => -2, 'layer' => 2, 'colour' => 'white'],
            ['key' => 'left', 'kind' => 'disc', 'widthMm' => 2, 'xMm' => -8.8, 'yMm' => -2, 'layer' => 2, 'colour' => 'white'],
        ]);
        $even = Evenness::of($figure, 'head');
        expect($even->advice)
            ->toBe([])
            ->and($even->asideMm)
            ->toBe(0.0)
            ->and($even->eyeLineMm)
            ->toBe(-3.0);
    });

    it('centres a nose that sits aside', function () {
        $figure = ball60([['key' => 'nose', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 0.6, 'yMm' => -8]]);
        expect(advised($figure, 'nose')[0]->why)
            ->toBe('it lies 0.6 mm to the right of the middle line')
            ->and(mended($figure, 'nose', 'aside')->details['nose']->lie->xMm)
            ->toBe(0.0);
    });

    it('puts both sparks on the same side of their pupils', function () {
        $figure = ball60([
            ['key' => 'eye', 'kind' => 'disc', 'widthMm' => 8, 'xMm' => 12, 'yMm' => -3, 'mirror' => true],
            [
                'key' => 'pupil',
                'kind' => 'disc',
                'widthMm' => 5,
                'xMm' => 12,
                'yMm' => -3,
                'mirror' => true,
                'layer' => 2,
                'colour' => 'teal',
            ],
            [
                'key' => 'spark',
                'kind' => 'disc',
                'widthMm' => 1.5,
                'xMm' => 13,
                'yMm' => -2,
                'mirror' => true,
                'layer' => 3,
                'colour' => 'white',
            ],
        ]);
        $after = mended($figure, 'spark', 'sparks');
        expect($after->details)
            ->toHaveCount(4)
            ->and($after->details['spark']->lie->xMm - 12)
            ->toEqualWithDelta($after->details['spark-left']->lie->xMm + 12, 1e-9)
            ->and($after->details['spark-left']->lie->mirror)
            ->toBeFalse()
            ->and(codes($after, 'spark'))
            ->toBe([])
            ->and(codes($after, 'spark-left'))
            ->toBe([]);
    });
});
