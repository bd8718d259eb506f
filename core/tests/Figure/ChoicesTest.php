<?php

declare(strict_types=1);

namespace Impa\Tests\Choices;

use Impa\Figure\Editing\Choices;
use Impa\Figure\Editing\Draft;
use Impa\Figure\Editing\Redrawing;
use Impa\Figure\Editing\Scaling;
use Impa\Figure\Figure;
use Impa\Figure\Picture;
use Impa\Figure\Term\FlatWay;
use Impa\Figure\Term\JoinBy;
use Impa\Shape\Size;
use Impa\Tests\Support\Figures;
use stdClass;

/** @param  array<string, mixed>  $more */
function figure(array $more = []): Figure
{
    return Figures::read(Figures::document(
        [
            Figures::part('body', 'ball', 40, 40, 30, 1, 20, 3),
            Figures::part('arm', 'sausage', 8, 30, 10, 18, 25, 0, ['join' => ['to' => 'body'], 'mirror' => true]),
            Figures::part('head', 'ball', 30, 30, 30, 0, 52, 0, ['join' => ['to' => 'body', 'by' => 'neck']]),
            Figures::part('leg', 'drumstick', 20, 40, 16, 9, 8, 2, ['join' => ['to' => 'body', 'by' => 'fluff']]),
        ],
        [[
            'key' => 'spot', 'on' => 'body', 'kind' => 'disc', 'colour' => 'black',
            'widthMm' => 6, 'heightMm' => 4, 'xMm' => 2, 'yMm' => -3,
        ]],
        $more,
    ));
}

/** @return array<string, stdClass> by key */
function parts(Figure $figure): array
{
    return array_column($figure->document()->parts, null, 'key');
}

describe('a choice', function () {
    it('moves the parts that are named by so much along each axis, and no other', function () {
        $document = figure()->document();
        unset($document->parts[3]->at->zMm);
        $was = Figure::fromDocument($document);
        $is = parts(Choices::moved($was, ['body', 'leg'], [10.0, 20.0, 30.0]));
        expect((array) $is['body']->at)->toEqual(['xMm' => 11.0, 'yMm' => 40.0, 'zMm' => 33.0])
            ->and((array) $is['leg']->at)->toEqual(['xMm' => 19.0, 'yMm' => 28.0, 'zMm' => 30.0])
            ->and([$is['arm'], $is['head']])->toEqual([parts($was)['arm'], parts($was)['head']]);
    });

    it('hides one weight beside another, each under a key of its own', function () {
        $one = Choices::weighted(figure(['base' => ['flattenMm' => 2]]), 5.0, [1.0, 6.0, 0.0]);
        expect(Choices::weighted($one, 7.5, [2.0, 7.0, 1.0])->base->weights)->toBe([
            ['key' => 'low', 'g' => 5.0, 'atMm' => [1.0, 6.0, 0.0]],
            ['key' => 'low-2', 'g' => 7.5, 'atMm' => [2.0, 7.0, 1.0]],
        ])->and(Choices::weighted($one, 7.5, [2.0, 7.0, 1.0])->base->flattenMm)->toBe(2.0);
    });

    it('joins otherwise what says one of those ways, and for all that say none', function () {
        $figure = Choices::joinedBy(figure(), JoinBy::Slit, [JoinBy::Fluff]);
        $parts = parts($figure);
        expect(isset($parts['arm']->join->by))->toBeFalse()->and($figure->parts['arm']->join->by)->toBe(JoinBy::Slit)
            ->and($parts['leg']->join->by)->toBe('slit')->and($parts['head']->join->by)->toBe('neck');
    });

    it('makes a part as it came out, what shapes it beyond its dimensions by thousandths of a mm with them', function () {
        $shape = parts(Choices::sized(figure(), 'leg', Size::of(23, 31, 19)))['leg']->shape;
        expect((array) $shape)->toEqual(['kind' => 'drumstick', 'widthMm' => 23.0, 'heightMm' => 31.0, 'depthMm' => 19.0]);
        $document = figure()->document();
        $document->parts[3]->shape->topMm = 9;
        $shape = parts(Choices::sized(Figure::fromDocument($document), 'leg', Size::of(23.04, 31, 19)))['leg']->shape;
        // 9 times 23.04 of 20.
        expect($shape->topMm)->toBe(10.368)->and(isset($shape->bottomMm))->toBeFalse();
    });

    it('makes it another\'s design, or leaves the drawings out, and keeps all else', function () {
        $picture = ['file' => 'a.png', 'widthPx' => 300, 'heightPx' => 400, 'mmPerPx' => 0.25, 'originPx' => [150, 380]];
        $figure = figure(['picture' => $picture, 'sidePicture' => $picture, 'x-note' => 'kept']);
        $without = Choices::withoutPictures($figure)->document();
        expect(isset($without->picture) || isset($without->sidePicture))->toBeFalse()
            ->and([...(array) $without, 'picture' => $figure->document()->picture, 'sidePicture' => $figure->document()->sidePicture])
            ->toEqual((array) $figure->document())
            ->and((array) Choices::credited($figure, 'Mara', 'as you like')->document()->origin)
            ->toBe(['credit' => 'Mara', 'licence' => 'as you like'])
            ->and(Choices::named($figure, 'Other')->name)->toBe('Other');
    });
});

describe('a figure made larger', function () {
    it('has every length that is drawn as much larger, and keeps what is the hand\'s, the wool\'s and the wire\'s', function () {
        $picture = ['file' => 'a.png', 'widthPx' => 300, 'heightPx' => 400, 'mmPerPx' => 0.25, 'originPx' => [150, 380]];
        $figure = figure([
            'coverMm' => 4,
            'wires' => [['key' => 'w', 'material' => 'copper', 'gaugeMm' => 1, 'endLoopMm' => 5, 'pointsMm' => [[1, 2, 3], [4, 5, 6]]]],
            'base' => ['flattenMm' => 2, 'weights' => [['key' => 'low', 'g' => 5, 'atMm' => [1, 6, 2]]]],
            'picture' => $picture,
            'sidePicture' => ['mmPerPx' => 0.5] + $picture,
        ]);
        $is = Scaling::of($figure->document(), 3.0);
        [$body] = $is->parts;
        expect([$is->heightMm, $is->coverMm])->toEqual([300, 4])
            ->and([(array) $body->at, $body->shape->widthMm, $body->shape->depthMm])
            ->toEqual([['xMm' => 3, 'yMm' => 60, 'zMm' => 9], 120, 90])
            ->and([$is->details[0]->widthMm, $is->details[0]->xMm, $is->details[0]->yMm])->toEqual([18, 6, -9])
            ->and([$is->wires[0]->gaugeMm, $is->wires[0]->endLoopMm, $is->wires[0]->pointsMm])
            ->toEqual([1, 15, [[3, 6, 9], [12, 15, 18]]])
            ->and([$is->base->flattenMm, $is->base->weights[0]->g, $is->base->weights[0]->atMm])->toEqual([6, 5, [3, 18, 6]])
            ->and([$is->picture->mmPerPx, $is->sidePicture->mmPerPx, $is->picture->originPx])->toEqual([0.75, 1.5, [150, 380]])
            ->and(Scaling::to($figure, 300.0)->document())->toEqual($is);
    });

    it('has openings and holes of ties as much larger, ribbon, stitches and overlap as they were', function () {
        $flat = [
            'way' => 'sheet',
            'overlapMm' => 2.5,
            'stitchMm' => 4,
            'ribbon' => ['widthMm' => 6, 'lengthMm' => 200, 'holesMm' => [[1, 2], [3, -4]]],
            'openings' => [['key' => 'eye', 'pointsMm' => [[0, 0], [4, 0], [4, 5]]]],
        ];
        $figure = Figures::read(Figures::document([Figures::part('a', 'plate', 60, 40, 2, 0, 20)], [], ['flat' => $flat]));
        $is = Scaling::of($figure->document(), 2.0)->flat;
        expect([$is->overlapMm, $is->stitchMm, $is->ribbon->widthMm, $is->ribbon->lengthMm])->toEqual([2.5, 4, 6, 200])
            ->and($is->ribbon->holesMm)->toEqual([[2, 4], [6, -8]])
            ->and($is->openings[0]->pointsMm)->toEqual([[0, 0], [8, 0], [8, 10]]);
    });
});

describe('a drawing that is seen again', function () {
    it('gives the figure its own frame: scale, height and where all stands, but for what stands on the middle line', function () {
        $side = ['file' => 's.png', 'widthPx' => 300, 'heightPx' => 400, 'mmPerPx' => 0.25, 'originPx' => [150, 380]];
        $figure = figure(['sidePicture' => $side]);
        $was = new Picture(300, 400, 0.25, 150.0, 380.0);
        $is = Redrawing::inFrame($figure, $was, new Picture(300, 400, 0.5, 140.0, 386.0), 190.0);
        $at = array_map(static fn (stdClass $part): array => [$part->at->xMm, $part->at->yMm], parts($is));
        // Twice as large; 10 px of 0.5 mm to the right, 6 px of it up.
        expect($is->heightMm)->toBe(190.0)
            ->and($at)->toEqual(['body' => [7, 43], 'arm' => [36, 53], 'head' => [0, 107], 'leg' => [23, 19]])
            ->and($is->parts['body']->solid->size()->widthMm)->toBe(80.0)
            ->and([$is->document()->sidePicture->mmPerPx, $is->document()->sidePicture->originPx])->toEqual([0.5, [150, 386]]);
    });

    it('moves nothing by less than half a tenth of a mm, and scales nothing by less than a thousandth', function () {
        $was = new Picture(300, 400, 0.25, 150.0, 380.0);
        $near = Redrawing::inFrame(figure(), $was, new Picture(300, 400, 0.2502, 150.1, 380.1), 100.0);
        expect($near->document()->parts)->toEqual(figure()->document()->parts);
        $far = Redrawing::inFrame(figure(), $was, new Picture(300, 400, 0.25, 150.0, 380.3), 100.0);
        expect($far->parts['body']->stand->at)->toEqualWithDelta([1.0, 20.075, 3.0], 1e-9);
    });

    it('gives a part its shape, place and colour, and leaves the felter\'s: its depth for its width, what she laid on it', function () {
        $mine = ['firmness' => 'hard', 'name' => 'Bonce', 'coverMm' => 5];
        $spot = ['on' => 'body', 'kind' => 'disc', 'widthMm' => 6, 'heightMm' => 4, 'xMm' => 0, 'yMm' => 0, 'colour' => 'black'];
        $seen = (object) ['confidence' => 0.9, 'why' => 'told'];
        $figure = Figures::read(Figures::document(
            [Figures::part('body', 'ball', 40, 40, 30, 1, 20, 3, $mine)],
            [['key' => 'hers'] + $spot, ['key' => 'drawn', 'seen' => $seen] + $spot],
        ));
        $draft = Draft::of($figure);
        $anew = Draft::copy($figure->document()->parts[0]);
        [$anew->name, $anew->key, $anew->firmness, $anew->coverMm, $anew->colour] = ['Blob', 'blob', 'soft', 1, 'white'];
        [$anew->shape->widthMm, $anew->shape->depthMm, $anew->at->xMm] = [50, 50, 9];
        Redrawing::takesOver($draft, 'body', $anew);
        $part = $draft->part('body');
        expect([$part->name, $part->firmness, $part->coverMm, $part->colour, $part->at->xMm])->toEqual(['Bonce', 'hard', 5, 'white', 9])
            ->and([$part->shape->widthMm, $part->shape->depthMm])->toEqual([50, 37.5])
            ->and(array_column($draft->document->details, 'key'))->toBe(['hers']);
        // Of another kind nothing is known of its depth.
        $anew->shape = (object) ['kind' => 'egg', 'widthMm' => 50, 'heightMm' => 60, 'depthMm' => 44];
        Redrawing::takesOver($draft, 'body', $anew);
        expect($draft->part('body')->shape->depthMm)->toBe(44);
    });

    it('keeps depths within what a figure can have', function (float $width, float $depth) {
        $draft = Draft::of(Figures::read(Figures::document([Figures::part('a', 'ball', 4, 40, 400)])));
        $anew = Draft::copy($draft->part('a'));
        $anew->shape->widthMm = $width;
        Redrawing::takesOver($draft, 'a', $anew);
        expect($draft->part('a')->shape->depthMm)->toBe($depth);
    })->with([[19.0, 1900.0], [21.0, 2000.0], [0.002, 0.3], [3.333, 333.3], [0.33333, 33.33]]);

    it('tells how deep a part is, how it is layered, and where its drawings lie, beside what they said before', function () {
        $draft = Draft::of(figure());
        Redrawing::deepened($draft, 'arm', 12.5, -4.0);
        Redrawing::layered($draft, FlatWay::Batting);
        Redrawing::pictured($draft, (object) ['file' => 'a.png', 'widthPx' => 300]);
        Redrawing::pictured($draft, (object) ['file' => 'b.png']);
        Redrawing::sidePictured($draft, (object) ['file' => 's.png']);
        expect([$draft->part('arm')->shape->depthMm, $draft->part('arm')->at->zMm])->toBe([12.5, -4.0])
            ->and($draft->document->flat->way)->toBe('batting')
            ->and((array) $draft->document->picture)->toBe(['file' => 'b.png', 'widthPx' => 300])
            ->and((array) $draft->document->sidePicture)->toBe(['file' => 's.png']);
    });

    it('drops colours that something had and nothing has any more, and keeps those that nothing ever had', function () {
        $figure = figure();
        $draft = Draft::of($figure);
        $draft->removeDetails(['spot']);
        Redrawing::withoutUnusedColours($draft, $figure);
        expect(array_column($draft->document->colours, 'key'))->toBe(['teal', 'white']);
        $draft = Draft::of($figure);
        $draft->detail('spot')->colour = 'white';
        $draft->part('arm')->colour = 'black';
        Redrawing::withoutUnusedColours($draft, $figure);
        expect(array_column($draft->document->colours, 'key'))->toBe(['teal', 'black', 'white']);
    });
});
