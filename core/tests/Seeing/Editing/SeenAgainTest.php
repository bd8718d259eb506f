<?php

declare(strict_types=1);

namespace Impa\Tests\SeenAgain;

use Impa\Figure\Figure;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Editing\SeenAgain;
use Impa\Seeing\Foreground\BrushStroke;
use Impa\Seeing\QuickPreview;
use Impa\Seeing\Wishes;
use Impa\Tests\Support\Sketch;
use stdClass;

const TEAL = 0x2F8F86;
const CREAM = 0xF2D8A0;
const MAT = 0xC46A50;

/** A seated creature of a head and a body with a dark nose, on a mat where asked. */
function drawing(bool $hasMat = true): Sketch
{
    $drawing = new Sketch;
    if ($hasMat) {
        $drawing->oval(200, 350, 330, 60, MAT);
    }

    return $drawing->oval(200, 260, 150, 180, TEAL)->oval(200, 120, 170, 150, CREAM)->oval(200, 140, 30, 20, 0x1C1820);
}

/** @param  list<array{float, float}>  $points  shares of the picture */
function paper(array $points): Wishes
{
    return Wishes::of(100.0, strokes: [BrushStroke::read((object) ['as' => 'paper', 'width' => 0.03, 'points' => $points])]);
}

/** @return array<string, mixed> */
function seen(Wishes $wishes): array
{
    static $seen = [];

    return $seen[json_encode($wishes->document())] ??= Breakdown::of(drawing()->png(), $wishes)->document;
}

/** @param  stdClass|array<string, mixed>  $document */
function read(stdClass|array $document): Figure
{
    return Figure::fromDocument(json_decode((string) json_encode($document, JSON_PRESERVE_ZERO_FRACTION)));
}

/** @return array<string, stdClass> parts by key */
function parts(Figure $figure): array
{
    return array_column($figure->document()->parts, null, 'key');
}

/** 0xAARRGGBB at a place, in shares of the picture. */
function pixel(QuickPreview $preview, float $x, float $y): int
{
    $image = imagecreatefromstring($preview->png);

    return imagecolorat($image, (int) ($x * imagesx($image)), (int) ($y * imagesy($image)));
}

it('leaves a figure as it is where the drawing is seen as before', function () {
    $figure = read(seen(Wishes::of(100.0)));
    $again = SeenAgain::of($figure, seen(Wishes::of(100.0)));
    expect(read($again->document)->document())
        ->toEqual($figure->document())
        ->and([$again->changed, $again->added, $again->gone])
        ->toBe([0, 0, 0])
        ->and($again->notice())
        ->toBe(count($figure->parts).' parts stay as they were.');
});

it('lets go of a part whose key is a number as well', function () {
    $document = json_decode((string) json_encode(seen(Wishes::of(100.0))));
    $gone = json_decode((string) json_encode($document->parts[0]));
    [$gone->key, $gone->at->yMm, $gone->join] = ['7', 400, (object) ['to' => $document->parts[0]->key]];
    $document->parts[] = $gone;
    $again = SeenAgain::of(read($document), seen(Wishes::of(100.0)));
    expect($again->gone)->toBe(1)->and(parts(read($again->document)))->not->toHaveKey('7');
});

it('lets go of a mat that was brushed away, and keeps all that the felter made of the rest', function () {
    $document = json_decode((string) json_encode(seen(Wishes::of(100.0))));
    $byColour = static fn (stdClass $d, string $hex): string => array_column($d->colours, 'key', 'hex')[$hex];
    $hexes = array_column($document->colours, 'hex');
    expect($hexes)->toContain('#c46a50');
    foreach ($document->parts as $part) {
        if ($part->colour === $byColour($document, '#f2d8a0')) {
            [$part->name, $part->firmness, $part->coverMm] = ['Bonce', 'hard', 5];
            $head = $part->key;
        }
    }
    $document->parts[] = (object) [
        'key' => 'bow',
        'name' => 'Bow',
        'shape' => (object) ['kind' => 'ball', 'widthMm' => 9, 'heightMm' => 9, 'depthMm' => 9],
        'at' => (object) ['xMm' => 22, 'yMm' => 96, 'zMm' => 10],
        'colour' => $byColour($document, '#2f8f86'),
        'join' => (object) ['to' => $head],
    ];
    $document->details[] = (object) [
        'key' => 'cheek', 'role' => 'cheek', 'on' => $head, 'kind' => 'disc', 'colour' => $byColour($document, '#c46a50'),
        'widthMm' => 4, 'heightMm' => 4, 'xMm' => 12, 'yMm' => -3,
    ];
    $figure = read($document);
    $again = SeenAgain::of($figure, seen(paper([[0.08, 0.87], [0.14, 0.87]])));
    $now = parts(read($again->document));
    $mats = array_filter($now, static fn (stdClass $p): bool => isset($p->seen) && $p->shape->widthMm > 60);
    expect($mats)->toBe([])
        ->and($again->gone)->toBe(1)
        ->and($again->added)->toBe(0)
        ->and($now[$head])->toMatchArray(['name' => 'Bonce', 'firmness' => 'hard', 'coverMm' => 5])
        ->and($now)->toHaveKey('bow')
        ->and($now['bow']->join->to)->toBe($head)
        // What the felter laid on it keeps its colour alive.
        ->and(array_column($again->document->colours, 'hex'))->toContain('#c46a50')
        ->and(array_column($again->document->details, 'key'))->toContain('cheek')
        ->and($again->notice())->toContain('1 is gone');
    // Without the mat the same height holds less of the drawing: all is larger by as much, what she added as well.
    $scale = $again->document->picture->mmPerPx / $figure->document()->picture->mmPerPx;
    expect($scale)->toBeGreaterThan(1.02)
        ->and($now['bow']->shape->widthMm)->toEqualWithDelta(9 * $scale, 0.02)
        ->and($now['bow']->at->xMm)->toEqualWithDelta(22 * $scale, 0.6);
    $middle = static fn (Figure $f, string $key): float => $f->picture->originYPx - $f->parts[$key]->stand->at[1] / $f->picture->mmPerPx;
    expect($middle(read($again->document), 'bow'))->toEqualWithDelta($middle($figure, 'bow'), 1.0);
});

it('gives a part that is seen otherwise its new shape and leaves its wool alone', function () {
    $document = json_decode((string) json_encode(seen(Wishes::of(100.0))));
    foreach ($document->parts as $part) {
        if ($part->shape->heightMm > 30 && $part->at->yMm > 50) {
            $head = $part->key;
            $part->core = 'foam';
            $part->at->xMm += 7;
            $part->shape->widthMm *= 0.85;
            $part->shape->depthMm = 0.5 * $part->shape->widthMm;
            unset($part->seen->depth);
        }
    }
    $again = SeenAgain::of(read($document), seen(Wishes::of(100.0)));
    $fresh = parts(read(seen(Wishes::of(100.0))))[$head];
    $now = parts(read($again->document))[$head];
    expect($again->changed)->toBe(1)
        ->and($now->core)->toBe('foam')
        ->and($now->at)->toEqual($fresh->at)
        ->and($now->shape->widthMm)->toBe($fresh->shape->widthMm)
        // She said how deep it is: that is no guess again.
        ->and(isset($fresh->seen->depth))->toBeTrue()
        ->and(isset($now->seen->depth))->toBeFalse()
        // Half as deep as wide: a drawing does not show that.
        ->and($now->shape->depthMm)->toEqualWithDelta(0.5 * $fresh->shape->widthMm, 0.1);
});

it('knows one of a pair again, on either side, and leaves it its wool', function (array $stroke) {
    $bug = (new Sketch)->oval(200, 280, 200, 180, TEAL)->oval(110, 110, 60, 90, CREAM)->oval(290, 110, 60, 90, CREAM);
    $bug->line([[130, 140], [170, 210]], 24, TEAL)->line([[270, 140], [230, 210]], 24, TEAL);
    static $fresh = null;
    $document = json_decode($fresh ??= (string) json_encode(Breakdown::of($bug->png(), 100.0)->document));
    $isHigh = static fn (stdClass $p): bool => $p->mirror && $p->shape->heightMm > 20 && $p->at->yMm > 70;
    $pair = array_values(array_filter($document->parts, $isHigh))[0];
    $pair->firmness = 'hard';
    $again = SeenAgain::of(read($document), Breakdown::of($bug->png(), paper($stroke))->document);
    $one = parts(read($again->document))[$pair->key];
    expect($one->mirror)->toBeFalse()
        ->and($one->firmness)->toBe('hard')
        ->and($again->gone)->toBe(0)
        ->and($one->at->xMm <=> 0)->toBe($stroke[0][0] < 0.5 ? 1 : -1);
})->with([[[[0.27, 0.27]]], [[[0.73, 0.27]]]]);

it('glances at a drawing: clear where there is paper, each colour as it will be', function () {
    $preview = QuickPreview::of(drawing()->png(), Wishes::of(100.0));
    expect($preview->colours)->toBe(4)
        ->and(getimagesizefromstring($preview->png)[0])->toBe(200)
        ->and(pixel($preview, 0.05, 0.05) >> 24)->toBe(127)
        ->and(pixel($preview, 0.5, 0.6))->toBe(TEAL)
        ->and(pixel($preview, 0.1, 0.87))->toBe(MAT);
    $preview = QuickPreview::of(drawing()->png(), paper([[0.1, 0.87]]));
    expect($preview->colours)->toBe(3)->and(pixel($preview, 0.1, 0.87) >> 24)->toBe(127);
});

it('glances at as many colours as the wish leaves', function () {
    $shades = (new Sketch)->oval(150, 200, 180, 180, 0xC05040)->oval(250, 200, 180, 180, 0xD06050);
    expect(QuickPreview::of($shades->png(), Wishes::of(100.0, 0.0))->colours)->toBe(2)
        ->and(QuickPreview::of($shades->png(), Wishes::of(100.0, 1.0))->colours)->toBe(1);
});
