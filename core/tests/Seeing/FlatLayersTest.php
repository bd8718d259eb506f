<?php

declare(strict_types=1);

namespace Impa\Tests\FlatLayers;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Term\FlatWay;
use Impa\Flat\Layer;
use Impa\Flat\Layers;
use Impa\Raster\File\PictureRefused;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Editing\SeenAgain;
use Impa\Seeing\Wishes;
use Impa\Tests\Support\Sketch;

const RED = 0xC0392B;
const BLUE = 0x2E5FA8;
const GOLD = 0xE0A52E;
const DARK = 0x201A18;

/** Clear ground round every drawing, pixels. */
const RIM = 20;

/** A drawing of 400 pixels that is to be 100 mm tall, so that a pixel of what fills it is a quarter of a millimetre. */
function seenFlat(Sketch $sketch, float $heightMm = 100.0, FlatWay $way = FlatWay::Sheet): Breakdown
{
    return Breakdown::of($sketch->png(), Wishes::of($heightMm, flat: $way));
}

/** @return array<string, Part> by the colour's name */
function byColour(Figure $figure): array
{
    $by = [];
    foreach ($figure->parts as $part) {
        $by[$figure->colours[$part->colour]->name] = $part;
    }

    return $by;
}

/** @return list<array{float, float}> */
function box(float $left, float $top, float $right, float $bottom): array
{
    return [[$left + RIM, $top + RIM], [$right + RIM, $top + RIM], [$right + RIM, $bottom + RIM], [$left + RIM, $bottom + RIM]];
}

it('sees regions as layers: the largest is the ground under all, what lies within another lies on it', function () {
    $figure = seenFlat((new Sketch(440, null))
        ->polygon(box(0, 0, 400, 400), RED)
        ->polygon(box(100, 100, 300, 300), BLUE)
        ->oval(220, 220, 100, 100, GOLD))->figure();
    $parts = byColour($figure);
    $layers = Layers::of($figure);
    $names = array_map(static fn (Layer $l): string => $figure->colours[$l->part->colour]->name, $layers->all);
    expect($names)->toBe(['Red', 'Violet', 'Yellow'])
        ->and(array_map(static fn (Layer $l): int => $l->level, $layers->all))->toBe([0, 1, 2])
        ->and($parts['Red']->name)->toBe('Ground')
        ->and($parts['Violet']->join->to)->toBe($parts['Red']->key)
        ->and($parts['Yellow']->join->to)->toBe($parts['Violet']->key)
        ->and($layers->all[0]->areaMm2)->toEqualWithDelta(10_000.0, 100.0)
        ->and($layers->all[1]->areaMm2)->toEqualWithDelta(2500.0, 50.0)
        ->and($layers->all[2]->areaMm2)->toEqualWithDelta(M_PI * 156.25, 12.0)
        ->and($layers->shortSeams())->toBe([]);
});

it('lets a layer go on beneath its neighbour by the overlap, and no farther', function () {
    // Two fields side by side on a ground; the larger lies below.
    $figure = seenFlat((new Sketch(440, null))
        ->polygon(box(0, 0, 400, 400), RED)
        ->polygon(box(40, 100, 220, 300), BLUE)
        ->polygon(box(220, 120, 360, 280), GOLD))->figure();
    $parts = byColour($figure);
    $right = $parts['Violet']->stand->at[0] + $parts['Violet']->solid->size()->widthMm / 2;
    $seam = (220 - 200) / 4.0;
    expect($right - $seam)->toEqualWithDelta(3.0, 0.6)
        ->and($parts['Yellow']->stand->at[0] - $parts['Yellow']->solid->size()->widthMm / 2)->toEqualWithDelta($seam, 0.4)
        ->and(Layers::of($figure)->shortSeams())->toBe([]);
});

it('leaves an eye hole open, closes a gap that is narrow, and gives slivers to their neighbours', function () {
    $seen = seenFlat((new Sketch(440, null))
        ->polygon(box(0, 0, 400, 190), RED)
        ->polygon(box(0, 194, 400, 400), RED)
        ->polygon(box(0, 0, 40, 400), RED)
        ->polygon(box(360, 0, 400, 400), RED)
        ->oval(140, 120, 60, 50, 0x7FFFFFFF)
        ->oval(300, 120, 60, 50, 0x7FFFFFFF)
        ->polygon(box(100, 300, 300, 303), BLUE));
    $figure = $seen->figure();
    expect($figure->parts)->toHaveCount(1)->and($figure->flat->openings)->toHaveCount(2)
        ->and($figure->flat->openMm2())->toEqualWithDelta(2 * M_PI * 7.5 * 6.25, 15.0)
        ->and(Layers::of($figure)->all[0]->areaMm2)->toEqualWithDelta(10_000.0, 100.0);
});

it('makes what scissors cannot cut a detail: a spot, a drawn line', function () {
    $figure = seenFlat((new Sketch(440, null))
        ->polygon(box(0, 0, 400, 400), RED)
        ->oval(220, 140, 12, 12, GOLD)
        ->line([[120, 270], [220, 300], [320, 270]], 9, BLUE))->figure();
    $kinds = array_map(static fn ($d): string => $d->drawn->kind->value.' '.$d->method->value, array_values($figure->details));
    sort($kinds);
    expect($figure->parts)->toHaveCount(1)->and($kinds)->toBe(['disc felt', 'line stitch']);
});

it('makes mirrored layers pairs, and lays what lies on them once', function () {
    $sketch = (new Sketch(440, null))->polygon(box(0, 0, 400, 400), RED);
    foreach ([90, 310] as $x) {
        $sketch->oval($x + RIM, 220, 120, 160, BLUE)->oval($x + RIM, 220, 50, 60, GOLD);
    }
    $sketch->line([[80, 280], [100, 282]], 8, DARK)->line([[360, 280], [340, 282]], 8, DARK);
    $figure = seenFlat($sketch)->figure();
    $pairs = array_filter($figure->parts, static fn (Part $p): bool => $p->stand->mirror);
    expect($figure->parts)->toHaveCount(3)->and($pairs)->toHaveCount(2)->and($figure->details)->toHaveCount(1);
    $detail = array_values($figure->details)[0];
    $on = $figure->parts[$detail->on];
    // As seen on the right one.
    $right = $on->stand->at[0];
    expect($right)->toBeGreaterThan(0.0)->and($right + $detail->middle()[0])->toEqualWithDelta((330 - 200) / 4.0, 1.5);
});

it('makes drawn outlines cords, each rim once', function () {
    $figure = seenFlat((new Sketch(440, null))
        ->polygon(box(0, 0, 400, 400), DARK)
        ->polygon(box(12, 12, 388, 388), RED)
        ->polygon(box(94, 94, 306, 306), DARK)
        ->polygon(box(106, 106, 294, 294), BLUE))->figure();
    $cords = array_values(array_filter($figure->details, static fn ($d): bool => str_starts_with($d->key, 'outline')));
    expect($figure->parts)->toHaveCount(2)->and($cords)->toHaveCount(2)
        ->and($cords[0]->drawn->widthMm)->toEqualWithDelta(3.0, 0.8)
        ->and($cords[0]->drawn->lengthMm())->toEqualWithDelta(4 * 100.0, 8.0)
        ->and($cords[1]->drawn->lengthMm())->toEqualWithDelta(4 * 50.0, 6.0);
});

it('is cut where it is of sheet, felted where it is of batting, and has no core', function (FlatWay $way, string $covering) {
    $seen = seenFlat((new Sketch(440, null))->oval(220, 220, 300, 390, RED)->oval(220, 220, 100, 100, GOLD), way: $way);
    $figure = $seen->figure();
    expect($figure->flat->way)->toBe($way)->and($seen->document['picture']['wishes']['flat'])->toBe($way->value);
    foreach ($figure->parts as $part) {
        expect($part->made->covering->way->value)->toBe($covering)->and($part->made->core->value)->toBe('none');
    }
})->with([[FlatWay::Sheet, 'pre-felt'], [FlatWay::Batting, 'felt']]);

it('keeps its drawn size: as high as asked, its layers where they were drawn', function (float $heightMm) {
    $drawn = (new Sketch(440, null))->polygon(box(50, 20, 350, 380), RED)->oval(280, 140, 80, 80, GOLD);
    $figure = seenFlat($drawn, $heightMm)->figure();
    $layers = Layers::of($figure);
    $mm = $heightMm / 360;
    expect($layers->all[0]->box->height())->toEqualWithDelta($heightMm, 0.01 * $heightMm)
        ->and($layers->all[1]->box->middle()[0])->toEqualWithDelta(60 * $mm, 0.01 * $heightMm)
        ->and($layers->all[1]->box->middle()[1])->toEqualWithDelta(260 * $mm, 0.01 * $heightMm);
})->with([60.0, 240.0]);

it('refuses layers of something else', function () {
    expect(fn () => Wishes::way('marble'))->toThrow(PictureRefused::class, 'sheet or of batting')
        ->and(Wishes::way(''))->toBe(FlatWay::None);
});

it('looked at once more keeps what was made of it, and is new altogether where it was made in the round', function () {
    $drawing = (new Sketch(220, null))->polygon(box(0, 0, 200, 200), RED)->oval(110, 110, 100, 100, BLUE);
    $flat = seenFlat($drawing)->figure();
    $document = $flat->document();
    $document->flat->stitch = 'blanket';
    $document->parts[1]->name = 'The eye';
    $again = SeenAgain::of(Figure::fromDocument($document), seenFlat($drawing, way: FlatWay::Batting)->document);
    $now = Figure::fromDocument($again->document);
    expect($again->kept)->toBe(2)->and($now->parts[$document->parts[1]->key]->name)->toBe('The eye')
        ->and($now->flat->way)->toBe(FlatWay::Batting)->and($now->flat->stitch->value)->toBe('blanket');
    $round = Breakdown::of($drawing->png(), Wishes::of(100.0), 'In the round')->figure();
    $made = SeenAgain::of($round, seenFlat($drawing)->document);
    $layers = Figure::fromDocument($made->document);
    expect($made->kept)->toBe(0)->and($layers->isOfLayers())->toBeTrue()->and($layers->name)->toBe('In the round');
});
