<?php

declare(strict_types=1);

namespace Impa\Tests\Expressions;

use Impa\Face\Advice\Evenness;
use Impa\Face\Advice\FaceAdvice;
use Impa\Face\Expressions;
use Impa\Face\FaceCopy;
use Impa\Face\FaceRefused;
use Impa\Face\Needles;
use Impa\Face\ReadyMade;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Tests\Support\Figures;

/** @param  array<string, mixed>  $more */
function bareHead(float $w = 60, float $h = 60, float $d = 60, string $kind = 'ball', array $more = []): Figure
{
    return Figures::read(Figures::document([Figures::part('head', $kind, $w, $h, $d, 0, $h / 2, 0, $more)]));
}

/** @param  array<string, float>  $values */
function wearing(Figure $figure, string $kind, array $values = [], string $piece = ''): Figure
{
    return Figure::fromDocument(Expressions::put($figure, $figure->parts['head'], $kind, $values, $piece)['document']);
}

it('puts every piece on every head without a fault that it made itself', function (string $kind) {
    foreach ([['ball', 60, 60, 60], ['egg', 40, 52, 38], ['drum', 70, 50, 60], ['ball', 120, 90, 100]] as [$shape, $w, $h, $d]) {
        $figure = wearing(bareHead($w, $h, $d, $shape), $kind);
        expect(count($figure->details))->toBeGreaterThan(0);
        foreach (FaceAdvice::of($figure, 'head', Needles::usual(), Evenness::of($figure, 'head')) as $key => $advice) {
            foreach ($advice as $one) {
                expect($one->isFault)->toBeFalse("$kind on $shape, $key: $one->why");
            }
        }
        expect(Evenness::of($figure, 'head')->levelMm)
            ->toEqualWithDelta(0.0, 0.011)
            ->and(Evenness::of($figure, 'head')->asideMm)
            ->toEqualWithDelta(0.0, 0.011);
    }
})->with(array_column(Expressions::catalogue(), 'kind'));

it('stays whole with every slider at either end', function () {
    foreach (Expressions::catalogue() as $piece) {
        foreach ($piece['sliders'] as $slider) {
            foreach ([$slider->from, $slider->to, -1e9, 1e9] as $value) {
                $figure = wearing(bareHead(), $piece['kind'], [$slider->key => $value]);
                expect(count($figure->details))->toBeGreaterThan(0);
            }
        }
    }
});

it('scales with the head', function (string $kind) {
    $one = array_values(wearing(bareHead(50, 46, 48), $kind)->details);
    $two = array_values(wearing(bareHead(100, 92, 96), $kind)->details);
    foreach ($one as $i => $detail) {
        expect($two[$i]->lie->xMm)
            ->toEqualWithDelta(2 * $detail->lie->xMm, 0.06)
            ->and($two[$i]->lie->yMm)
            ->toEqualWithDelta(2 * $detail->lie->yMm, 0.06);
        if ($detail->method->value === 'felt') {
            expect($two[$i]->drawn->areaMm2())->toEqualWithDelta(4 * $detail->drawn->areaMm2(), 0.03 * 4 * $detail->drawn->areaMm2() + 0.1);
        }
    }
})->with(array_column(Expressions::catalogue(), 'kind'));

it('says of what it puts on what it is', function (string $kind, array $roles) {
    $worn = wearing(bareHead(), $kind, ['white' => 0.4, 'lid' => 0.3, 'tongue' => 0.5]);
    expect(array_values(array_unique(array_column($worn->document()->details, 'role'))))->toBe($roles);
})->with([
    ['bead-eyes', ['eye']],
    ['smiling-eyes', ['eye']],
    ['open-eyes', ['eye-white', 'pupil', 'spark', 'lid']],
    ['brows', ['brow']],
    ['eyelashes', ['lid']],
    ['button-nose', ['nose']],
    ['mouth-line', ['mouth']],
    ['open-mouth', ['mouth', 'other']],
    ['cheeks', ['cheek']],
    ['freckles', ['spot']],
    ['whiskers', ['other']],
]);

it('varies a piece where it stands, and keeps what the felter gave it', function () {
    $figure = wearing(bareHead(), 'open-eyes');
    $document = json_decode($figure->toJson(), true);
    foreach ($document['details'] as &$detail) {
        if ($detail['key'] === 'open-eyes-pupil') {
            $detail['colour'] = 'teal';
            $detail['name'] = 'Big eye';
            $detail['meant'] = ['low-contrast'];
        }
    }
    unset($detail);
    $varied = wearing(Figures::read($document), 'open-eyes', ['size' => 0.3, 'white' => 0.4], 'open-eyes');
    $pupil = $varied->details['open-eyes-pupil'];
    expect($pupil->colour)
        ->toBe('teal')
        ->and($pupil->name)
        ->toBe('Big eye')
        ->and($pupil->isMeant('low-contrast'))
        ->toBeTrue()
        ->and($varied->details['open-eyes-white']->drawn->areaMm2())
        ->toBeGreaterThan($figure->details['open-eyes-pupil']->drawn->areaMm2());
    // A second of the same kind is its own piece.
    expect(count(wearing($varied, 'open-eyes')->details))->toBeGreaterThan(count($varied->details));
});

it('looks aside with both eyes, and keeps both sparks on one side', function () {
    $figure = wearing(bareHead(), 'open-eyes', ['white' => 0.5, 'across' => 1.0]);
    $right = $figure->details['open-eyes-pupil'];
    $left = $figure->details['open-eyes-pupil-left'];
    $white = $figure->details['open-eyes-white'];
    expect($right->lie->xMm - $white->lie->xMm)
        ->toEqualWithDelta($left->lie->xMm + $white->lie->xMm, 0.011)
        ->toBeGreaterThan(0.5);
    $straight = wearing(bareHead(), 'open-eyes');
    $sparks = [
        $straight->details['open-eyes-spark']->lie->xMm - $straight->details['open-eyes-pupil']->lie->xMm,
        $straight->details['open-eyes-spark-left']->lie->xMm + $straight->details['open-eyes-pupil']->lie->xMm,
    ];
    expect($sparks[0])->toEqualWithDelta($sparks[1], 0.011)->toBeGreaterThan(0.2);
});

it('turns the corners of a mouth up or down, and leaves as many teeth open as asked for', function () {
    $rise = static function (float $smile): float {
        $points = wearing(bareHead(), 'mouth-line', ['smile' => $smile])->details['mouth-line-line']->outline();

        return $points[0][1] - $points[intdiv(count($points), 2)][1];
    };
    expect($rise(0.8))
        ->toBeGreaterThan(1.0)
        ->and($rise(-0.8))
        ->toBeLessThan(-1.0)
        ->and($rise(0.0))
        ->toEqualWithDelta(0.0, 1e-9);
    foreach ([0, 2, 5] as $teeth) {
        expect(wearing(bareHead(), 'open-mouth', ['teeth' => $teeth])->details['open-mouth-mouth']->holes())->toHaveCount($teeth);
    }
    $mouth = static fn (float $teeth): Detail => wearing(bareHead(), 'open-mouth', ['teeth' => $teeth])->details[
        'open-mouth-mouth'
    ];
    expect($mouth(4)->drawn->areaMm2())->toBeLessThan($mouth(0)->drawn->areaMm2());
});

it('takes colours that are there, and brings its own where none would do', function () {
    $figure = wearing(bareHead(), 'open-eyes');
    expect($figure->colours)
        ->toHaveCount(3)
        ->and($figure->details['open-eyes-pupil']->colour)
        ->toBe('black')
        ->and($figure->details['open-eyes-spark']->colour)
        ->toBe('white');
    $cheeks = wearing(bareHead(), 'cheeks');
    expect($cheeks->colours)
        ->toHaveCount(4)
        ->and($cheeks->colours[$cheeks->details['cheeks-cheek']->colour]->name)
        ->toBe('Rose');
});

it('refuses a piece that there is not, and names those that there are', function () {
    wearing(bareHead(), 'monocle');
})->throws(FaceRefused::class, 'There is no piece "monocle". There are: open-eyes');

describe('a face copied', function () {
    it('keeps its proportions on another head, its pieces still to be varied', function () {
        $one = wearing(wearing(bareHead(60, 50, 55), 'open-eyes'), 'mouth-line');
        $two = bareHead(90, 100, 80);
        $copied = Figure::fromDocument(FaceCopy::of($one, $one->parts['head'], $two, $two->parts['head'], false));
        expect(count($copied->details))->toBe(count($one->details));
        foreach ($one->details as $key => $detail) {
            $copy = $copied->details[$key];
            expect($copy->lie->yMm)
                ->toEqualWithDelta(2 * $detail->lie->yMm, 0.02)
                ->and($copy->lie->xMm / 90)
                ->toEqualWithDelta($detail->lie->xMm / 60, 0.001);
        }
        expect(wearing($copied, 'open-eyes', ['size' => 0.3], 'open-eyes')->details)->toHaveCount(count($copied->details));
    });

    it('onto the same head gives the same marks; instead of what was there it leaves nothing of it', function () {
        $one = wearing(bareHead(), 'button-nose');
        $again = Figure::fromDocument(FaceCopy::of($one, $one->parts['head'], $one, $one->parts['head'], true));
        $mark = static fn (Figure $f): TapeMark => TapeMark::on(
            Surface::of($f->parts['head']->placements()[0]),
            ...array_values($f->details)[0]->middle(),
        );
        expect($again->details)
            ->toHaveCount(1)
            ->and($mark($again)->downMm)
            ->toBe($mark($one)->downMm)
            ->and(Figure::fromDocument(FaceCopy::of($one, $one->parts['head'], $one, $one->parts['head'], false))->details)
            ->toHaveCount(2);
    });

    it('takes its colours along once, and sells only what is sold', function () {
        $one = wearing(
            Figures::read(
                ['colours' => [['key' => 'teal', 'hex' => '#aa7733'], ['key' => 'ink', 'name' => 'Ink', 'hex' => '#201818']]] +
                    json_decode(bareHead()->toJson(), true),
            ),
            'bead-eyes',
            ['size' => 4.5],
        );
        $two = bareHead(96, 96, 96);
        $copied = Figure::fromDocument(FaceCopy::of($one, $one->parts['head'], $two, $two->parts['head'], false));
        $bead = array_values($copied->details)[0];
        expect(ReadyMade::isSold($bead->drawn->widthMm))
            ->toBeTrue()
            ->and($bead->drawn->widthMm)
            ->toBe(7.0)
            ->and($copied->colours[$bead->colour]->name)
            ->toBe('Ink')
            ->and($copied->colours)
            ->toHaveCount(4);
        $twice = Figure::fromDocument(FaceCopy::of($one, $one->parts['head'], $copied, $copied->parts['head'], false));
        expect($twice->colours)->toHaveCount(4)->and($twice->details)->toHaveCount(2);
    });

    it('refuses a bare head', function () {
        FaceCopy::of(bareHead(), bareHead()->parts['head'], bareHead(), bareHead()->parts['head'], false);
    })->throws(FaceRefused::class, 'nothing on head');
});
