<?php

declare(strict_types=1);

namespace Impa\Tests\Brush;

use Impa\Raster\File\PictureRefused;
use Impa\Raster\Raster;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Foreground\BrushStroke;
use Impa\Seeing\Wishes;
use Impa\Tests\Support\Sketch;

const SIDE = 400;
const TEAL = 0x2F8F86;
const INK = 0x1C1820;
const MUD = 0x8A6A55;

/** @param  list<array{float, float}>  $points  in pixels of a drawing */
function stroke(string $as, array $points, float $wide = 12): BrushStroke
{
    $points = array_map(static fn (array $p): array => [$p[0] / SIDE, $p[1] / SIDE], $points);

    return BrushStroke::read((object) ['as' => $as, 'width' => $wide / SIDE, 'points' => $points]);
}

/** Pixels of the figure. @param  list<BrushStroke>  $strokes */
function figure(Sketch $drawing, array $strokes = []): int
{
    return Background::of(Raster::decode($drawing->png()), $strokes)->count;
}

/**
 * @param  list<BrushStroke>  $strokes
 * @return array<string, mixed>
 */
function seen(Sketch $drawing, array $strokes): array
{
    return Breakdown::of($drawing->png(), Wishes::of(100.0, strokes: $strokes))->document;
}

describe('a stroke', function () {
    it('covers what lies within half its width of its line, and its ends are round', function () {
        $under = BrushStroke::read((object) ['as' => 'ink', 'width' => 0.1, 'points' => [[0.25, 0.5], [0.75, 0.5]]])->pixels(400, 200);
        expect(count($under))->toEqualWithDelta(200 * 40 + M_PI * 400, 60);
        $dab = BrushStroke::read((object) ['as' => 'ink', 'width' => 0.1, 'points' => [[0.5, 0.5]]])->pixels(400, 200);
        expect(count($dab))->toEqualWithDelta(M_PI * 400, 20);
    });

    it('keeps to the picture, at its very corner as well, and turns over twice to itself', function () {
        $corner = BrushStroke::read((object) ['as' => 'paper', 'width' => 0.05, 'points' => [[1, 1], [0.9, 1]]]);
        expect(array_filter(array_keys($corner->pixels(60, 40)), static fn (int $i): bool => $i < 0 || $i >= 2400))
            ->toBe([])
            ->and($corner->mirrored()->points[0])
            ->toBe([0.0, 1.0])
            ->and($corner->mirrored()->mirrored()->document())
            ->toEqual($corner->document());
    });

    it('is refused in words where it is none', function (array $wrong) {
        $value = (object) ($wrong + ['as' => 'ink', 'width' => 0.1, 'points' => [[0.5, 0.5]]]);
        expect(fn () => BrushStroke::read($value))->toThrow(PictureRefused::class, 'A brush stroke says');
    })->with([
        [['as' => 'water']],
        [['as' => 7]],
        [['width' => 0]],
        [['width' => NAN]],
        [['width' => 'wide']],
        [['points' => []]],
        [['points' => 'there']],
        [['points' => [[0.5, 1.2]]]],
        [['points' => [[0.5]]]],
        [['points' => [[0.5, 0.5], 'x']]],
        [['points' => array_fill(0, 501, [0.5, 0.5])]],
    ]);

    it('is one of forty at most', function () {
        $strokes = array_fill(0, 41, stroke('ink', [[1, 1]]));
        expect(fn () => Wishes::of(100.0, strokes: $strokes))->toThrow(PictureRefused::class, 'More than 40 brush strokes');
        $long = array_fill(0, 9, stroke('ink', array_fill(0, 500, [1, 1])));
        expect(fn () => Wishes::of(100.0, strokes: $long))->toThrow(PictureRefused::class, 'or very long ones');
        expect(Wishes::of(100.0, strokes: array_slice($long, 1))->strokes)->toHaveCount(8);
    });
});

describe('this is paper', function () {
    it('takes a mat out from under a figure by one dab, and leaves the figure', function () {
        $drawing = (new Sketch)->oval(200, 340, 300, 70, 0xE0C878)->oval(200, 200, 180, 260, TEAL);
        $without = figure((new Sketch)->oval(200, 200, 180, 260, TEAL));
        expect(figure($drawing))->toBeGreaterThan($without * 1.2)
            ->and(figure($drawing, [stroke('paper', [[80, 345]]), stroke('paper', [[320, 345]])]))
            ->toEqualWithDelta($without, 0.01 * $without);
        // Nothing of its rim is left lying about.
        expect(seen($drawing, [stroke('paper', [[80, 345]]), stroke('paper', [[320, 345]])])['parts'])->toHaveCount(1);
    });

    it('takes a feeler away without the outline that it springs from', function () {
        $bug = (new Sketch)->oval(200, 280, 200, 180, MUD)->round(200, 280, 200, 180, 6, INK);
        $whole = figure($bug);
        foreach ([-1, 1] as $side) {
            $bug->line([[200 + $side * 30, 195], [200 + $side * 90, 60]], 5, INK);
        }
        $feeler = (figure($bug) - $whole) / 2;
        expect(figure($bug, [stroke('paper', [[292, 55], [236, 180]], 20)]))->toEqualWithDelta($whole + $feeler, 0.25 * $feeler);
    });

    it('takes no more than what was brushed where the whole figure would go along', function () {
        $drawing = (new Sketch)->oval(200, 200, 180, 260, TEAL);
        $dab = stroke('paper', [[200, 200]], 30);
        expect(figure($drawing, [$dab]))->toEqualWithDelta(figure($drawing) - M_PI * 225, 40);
    });
});

describe('this belongs to it', function () {
    it('fills the line about it though its gap is wide, and only there', function () {
        // A white body on white paper; the gap of a quarter lets everything in.
        $body = (new Sketch)->oval(200, 90, 90, 90, TEAL)->round(200, 250, 160, 220, 6, INK, 20, 350);
        $inside = M_PI * 77 * 107;
        $lost = figure($body);
        expect($lost)->toBeLessThan(0.6 * $inside)
            ->and(figure($body, [stroke('figure', [[200, 250], [200, 290]])]))
            ->toEqualWithDelta($lost + $inside, 0.08 * $inside);
    });

    it('is the stroke alone where nothing parts it from the paper', function () {
        $drawing = (new Sketch)->oval(120, 200, 120, 200, TEAL);
        $dab = stroke('figure', [[300, 200]], 40);
        expect(figure($drawing, [$dab]))->toEqualWithDelta(figure($drawing) + M_PI * 400, 40);
    });

    it('is undone by a later stroke that says paper', function () {
        $drawing = (new Sketch)->oval(120, 200, 120, 200, TEAL);
        $on = stroke('figure', [[300, 200]], 40);
        expect(figure($drawing, [$on, stroke('paper', [[300, 200]], 60)]))->toBe(figure($drawing));
    });
});

describe('this is ink', function () {
    it('makes a line a line that is too thick or too pale to be known for one', function () {
        $drawing = (new Sketch)->oval(200, 200, 220, 280, 0xF2D8A0)->round(200, 200, 220, 280, 22, 0x8A6A55);
        $round = array_map(
            static fn (int $deg): array => [200 + 110 * cos(deg2rad($deg)), 200 + 140 * sin(deg2rad($deg))],
            range(0, 350, 10),
        );
        $without = seen($drawing, []);
        $with = seen($drawing, [stroke('ink', array_slice($round, 3, 4))]);
        expect(array_column($without['colours'], 'name'))->toBe(['Cream', 'Brown'])->and($without['details'])->toHaveCount(1)
            ->and(array_column($with['colours'], 'name'))->toBe(['Cream'])->and($with['details'])->toBe([]);
        $shape = $with['parts'][0]['shape'];
        expect($with['parts'])->toHaveCount(1)->and($shape['widthMm'] / $shape['heightMm'])->toEqualWithDelta(242 / 302, 0.02);
    });

    it('is seen alike in a mirror', function () {
        $drawn = static fn (callable $x): Sketch => (new Sketch)->oval($x(170), 230, 200, 240, 0xF2D8A0)
            ->round($x(170), 230, 200, 240, 20, 0x8A6A55)->oval($x(320), 120, 90, 90, TEAL);
        $line = static fn (callable $x): array => [stroke('ink', [[$x(70), 230], [$x(80), 180]])];
        [$as, $turned] = [static fn (float $x): float => $x, static fn (float $x): float => SIDE - $x];
        $sizes = static fn (array $document): array => array_map(
            static fn (array $p): array => [$p['shape']['kind'], round($p['shape']['widthMm']), round($p['shape']['heightMm'])],
            $document['parts'],
        );
        expect($sizes(seen($drawn($turned), $line($turned))))->toEqual($sizes(seen($drawn($as), $line($as))));
    });
});
