<?php

declare(strict_types=1);

namespace Impa\Tests\Standing;

use Impa\Balance\Balance;
use Impa\Figure\Editing\Sizing;
use Impa\Figure\Figure;
use Impa\Figure\Placing\Gap;
use Impa\Material\Densities;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Result\Standing;
use Impa\Tests\Support\Pixels;
use Impa\Wool\Ledger\Ledger;

/** A made-up figure: a large head on a small body, short feet, and a tail that sticks out behind the body's other colour. */
function seen(int $tail = 0): Breakdown
{
    return Breakdown::of(Pixels::png(static function (\GdImage $image) use ($tail): void {
        imagefill($image, 0, 0, 0xFFFFFF);
        $oval = static fn (int $x, int $y, int $w, int $h, int $colour): bool => imagefilledellipse($image, $x, $y, $w, $h, $colour);
        $tail > 0 && $oval(150 + $tail, 235, 44, 24, 0x3A7A4A);
        $oval(150, 230, 90, 110, 0xC96F4A);
        $oval(128, 280, 30, 22, 0x5E93A8);
        $oval(172, 280, 30, 22, 0x5E93A8);
        $oval(150, 110, 150, 140, 0x8A5F9F);
    }, 300, 300), 100.0);
}

function tipDeg(Figure $figure): float
{
    return Balance::of(Ledger::of($figure, Densities::house()))->tipDeg();
}

it('proposes a figure that stands firmly, and leaves the front as it was drawn, of which there is nothing to say', function () {
    $breakdown = seen();
    $figure = $breakdown->figure();
    expect(tipDeg($figure))->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG)
        ->and($breakdown->notices)->toBe([]);
    $head = array_values(array_filter($figure->parts, static fn ($p): bool => $p->solid->size()->widthMm > 50))[0];
    expect($head->solid->size()->widthMm / $figure->picture->mmPerPx)->toEqualWithDelta(150.0, 4.0);
});

it('brings together what lies a little apart, and leaves what is drawn far off where it is', function () {
    // At 66 its side lies 1 px inside the body's, at 72 some 5 px beside it.
    foreach ([66 => [], 72 => ['was', 'brought to it']] as $tail => $said) {
        $breakdown = seen($tail);
        expect(Gap::all($breakdown->figure()))->toBe([])
            ->and(implode(' ', array_map(strval(...), $breakdown->notices)))->toContain('', ...$said);
    }
    $far = seen(110);
    expect(Gap::all($far->figure()))->toHaveCount(1)->and($far->notices)->toBe([]);
});

it('stands as tall as was asked for, though its base is flattened, and lies over its drawing as before', function () {
    $png = Pixels::png(static function (\GdImage $image): void {
        imagefill($image, 0, 0, 0xFFFFFF);
        imagefilledellipse($image, 150, 150, 110, 260, 0x3A7A4A);
    }, 300, 300);
    $breakdown = Breakdown::of($png, 100.0);
    $figure = $breakdown->figure();
    expect($figure->base->flattenMm)->toBeGreaterThan(0.0)
        ->and($figure->heightMm)->toBe(100.0)
        ->and(Sizing::standsMm($figure))->toEqualWithDelta(100.0, 0.1)
        ->and(tipDeg($figure))->toBeGreaterThanOrEqual(Balance::TOUCHY_DEG);
    $only = array_values($figure->parts)[0];
    expect($only->solid->size()->widthMm / $figure->picture->mmPerPx)->toEqualWithDelta(110.0, 2.0);
});

it('leaves the figure as tall as it stands where its thinnest line cannot be made thinner, and refuses nothing', function () {
    $of = static fn (float $wide): Figure => Figure::fromDocument(json_decode((string) json_encode([
        'format' => 'impa-figure', 'version' => 1, 'name' => 'Ball', 'heightMm' => 80,
        'colours' => [['key' => 'fur', 'hex' => '#c96f4a'], ['key' => 'ink', 'hex' => '#1b1b1d']],
        'parts' => [[
            'key' => 'body', 'name' => 'Body', 'colour' => 'fur', 'at' => ['xMm' => 0, 'yMm' => 50, 'zMm' => 0],
            'shape' => ['kind' => 'ball', 'widthMm' => 42, 'heightMm' => 100, 'depthMm' => 42],
        ]],
        'details' => [[
            'key' => 'mouth', 'name' => 'Mouth', 'on' => 'body', 'kind' => 'line', 'widthMm' => $wide,
            'pointsMm' => [[-5, 0], [5, 0]], 'colour' => 'ink', 'layer' => 1,
        ]],
    ])));
    [$thin] = Standing::of($of(0.3), false);
    expect($thin->document()->details[0]->widthMm)->toBe(0.3)
        ->and($thin->base->flattenMm)->toBeGreaterThan(0.0)
        ->and($thin->heightMm)->toEqualWithDelta(Sizing::standsMm($thin), 0.1);
    [$thick] = Standing::of($of(0.6), false);
    expect($thick->heightMm)->toBe(80.0)->and(Sizing::standsMm($thick))->toEqualWithDelta(80.0, 0.1);
});
