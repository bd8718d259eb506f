<?php

declare(strict_types=1);

namespace Impa\Tests\Turnaround;

use Impa\Raster\File\PictureRefused;
use Impa\Raster\Raster;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Segmentation\FiguresApart;
use Impa\Seeing\Segmentation\FlatColours;
use Impa\Seeing\Segmentation\Regions;
use Impa\Seeing\SheetView;
use Impa\Seeing\Views\Turnaround;
use Impa\Seeing\Wishes;
use Impa\Tests\Support\Sketch;

const TEAL = 0x2F8F86;
const CREAM = 0xF2D8A0;
const DARK = 0x1C1820;
/** Of a sheet, square. */
const SIDE = 460;

/** A creature 180 px tall about x: a teal body 80 wide and 60 deep, a cream head 90 wide and 70 deep, feet, and a tail behind. */
function from(Sketch $sheet, string $view, float $x, float $y = 230): Sketch
{
    $way = match ($view) {
        'left' => -1,
        'right' => 1,
        default => 0,
    };
    if ($way !== 0) {
        return $sheet->oval($x - $way * 36, $y + 60, 34, 26, CREAM)
            ->oval($x, $y + 50, 60, 100, TEAL)
            ->oval($x + $way * 4, $y - 35, 70, 84, CREAM)
            ->oval($x + $way * 24, $y - 42, 8, 14, DARK)->oval($x + $way * 12, $y + 98, 40, 18, CREAM);
    }
    foreach ([-1, 1] as $side) {
        $sheet->oval($x + $side * 24, $y + 98, 34, 18, CREAM);
    }
    $sheet->oval($x, $y + 50, 80, 100, TEAL)->oval($x, $y - 35, 90, 84, CREAM);
    if ($view === 'back') {
        return $sheet->oval($x, $y + 60, 34, 26, CREAM)->oval($x, $y - 50, 40, 10, DARK);
    }
    foreach ([-1, 1] as $side) {
        $sheet->oval($x + $side * 18, $y - 42, 12, 16, DARK);
    }

    return $sheet->oval($x, $y - 22, 14, 8, 0xB04A50);
}

/** @param  list<string>  $views */
function sheet(array $views): Sketch
{
    $sheet = new Sketch(SIDE);
    foreach ($views as $i => $view) {
        from($sheet, $view, 100 + 150 * $i);
    }

    return $sheet;
}

/**
 * @param  list<SheetView>  $views
 * @return list<string>
 */
function named(array $views): array
{
    return array_map(static fn (SheetView $v): string => $v->value, $views);
}

/** @return list<string> what each figure is taken for */
function told(Sketch $sheet): array
{
    $raster = Raster::decode($sheet->png());
    $ground = Background::of($raster);
    $regions = Regions::of(FlatColours::of($raster, $ground), $raster, $ground);

    return named(Turnaround::of($ground, FiguresApart::of($ground, $raster->width), $regions));
}

it('tells the views of one character apart, in any order', function (array $views) {
    expect(told(sheet($views)))->toBe($views);
})->with([[['front', 'left', 'back']], [['back', 'front', 'right']], [['right', 'front']], [['front', 'back']]]);

it('makes the front the figure, as deep as the side shows, with what is on the back', function () {
    $seen = Breakdown::of(sheet(['front', 'left', 'back'])->png(), 180.0);
    $parts = array_column($seen->document['parts'], null, 'key');
    $alone = Breakdown::of(from(new Sketch(SIDE), 'front', 230)->png(), 180.0)->document;
    foreach ($alone['parts'] as $part) {
        expect($parts[$part['key']]['shape']['widthMm'])->toEqualWithDelta($part['shape']['widthMm'], 2.5);
    }
    // 80 wide and 60 deep; 90 and 70; the whole is 184 px tall.
    $scale = 180 / 184;
    expect($parts['body']['shape']['depthMm'])
        ->toEqualWithDelta(60 * $scale, 3.0)
        ->and($parts['head']['shape']['depthMm'])
        ->toEqualWithDelta(70 * $scale, 3.0)
        ->and($seen->document['sidePicture'])
        ->toMatchArray(['facesLeft' => true, 'widthPx' => SIDE]);
    $behind = array_values(array_filter($seen->document['details'], static fn (array $d): bool => ($d['side'] ?? '') === 'back'));
    $tail = array_values(array_filter($seen->document['parts'], static fn (array $p): bool => ($p['turnDeg']['y'] ?? 0) != 0));
    expect($tail)->toHaveCount(1)
        ->and($tail[0]['name'])->toBe('Tail')
        ->and($tail[0]['join']['to'])->toBe('body')
        ->and($tail[0]['shape']['widthMm'])->toEqualWithDelta(34 * $scale, 3.0)
        ->and($tail[0]['at']['zMm'])->toEqualWithDelta(-36 * $scale, 3.0)
        ->and($tail[0]['at']['xMm'])->toEqual(0);
    $names = array_column($alone['details'], 'key');
    expect(array_values(array_intersect(array_column($seen->document['details'], 'key'), $names)))->toBe($names)
        // The dark bar on the back of the head; the tail is no patch there, for the side shows it standing out.
        ->and(array_column($behind, 'on'))->toBe(['head'])
        ->and($seen->notices[0])->toContain('the front became the figure');
});

it('asks where it is not sure: two of a kind, two characters, one of two heights', function (int $case) {
    $sheet = from(new Sketch(SIDE), 'front', 120);
    $sheet = match ($case) {
        0 => from($sheet, 'front', 340),
        1 => $sheet->oval(340, 230, 120, 180, 0xB04A50)->oval(320, 190, 12, 12, DARK),
        2 => $sheet->oval(340, 290, 60, 60, TEAL)->oval(340, 230, 70, 64, CREAM),
    };
    expect(told($sheet))->toBe([]);
})->with([0, 1, 2]);

it('takes the felter at her word, and refuses words that do not fit', function () {
    $png = sheet(['front', 'left', 'back'])->png();
    $wish = static fn (array $views): Wishes => Wishes::of(100.0, views: array_map(SheetView::from(...), $views));
    $seen = Breakdown::of($png, $wish(['none', 'none', 'front']));
    expect(named($seen->views))->toBe(['none', 'none', 'front'])->and($seen->document)->not->toHaveKey('sidePicture');
    $one = Breakdown::of($png, Wishes::of(100.0, figure: 1));
    expect($one->views)->toBe([])->and($one->document)->not->toHaveKey('sidePicture');
    expect(fn () => Breakdown::of($png, $wish(['front', 'left'])))->toThrow(PictureRefused::class, '2 views were named, but 3 figures');
    foreach ([['front', 'front', 'back'], ['left', 'none', 'back'], ['front', 'left', 'right']] as $wrong) {
        expect(fn () => $wish($wrong))->toThrow(PictureRefused::class, 'one is the front');
    }
});
