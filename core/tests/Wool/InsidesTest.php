<?php

declare(strict_types=1);

namespace Impa\Tests\Insides;

use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Material\CoreMaterial;
use Impa\Material\Densities;
use Impa\Tests\Support\Figures;
use Impa\Wool\Inside\CoverAdvice;
use Impa\Wool\Inside\Inside;
use Impa\Wool\Inside\Insides;
use Impa\Wool\Ledger\Foam;
use Impa\Wool\Ledger\PartWool;

const TEAL = '#2f8f86';

function alone(array $part): Figure
{
    return Figures::read(Figures::document([$part]));
}

/** @return list<Inside> */
function ways(array $part, string $cover = TEAL, bool $carries = false): array
{
    $part = alone($part)->parts['a'];

    return Insides::of($part, PartWool::of($part, Densities::house()), Srgb::hex($cover), $carries);
}

function materials(array $ways): array
{
    return array_map(static fn (Inside $w): string => $w->material->value, $ways);
}

it('offers every way that goes, the advised one first, and gives a reason with it alone', function () {
    $ways = ways(Figures::part('a', 'ball', 60, 60, 60));
    expect(materials($ways))
        ->toBe(['core-wool', 'none', 'scrap', 'stuffing', 'foam'])
        ->and($ways[0]->reason)
        ->not->toBe('')
        ->and(array_unique(array_map(static fn (Inside $w): string => (string) $w->reason, array_slice($ways, 1))))
        ->toBe([''])
        ->and(array_map(static fn (Inside $w): string => (string) $w->what, $ways))
        ->toBe(['core wool', 'solid colour', 'scrap wool', 'stuffing', 'foam ball 50 mm']);
});

it('offers foam from 40 mm on, and no inside where the cover fills it, or where it is nothing but its covering', function () {
    expect(materials(ways(Figures::part('a', 'ball', 40, 40, 40))))
        ->toContain('foam')
        ->and(materials(ways(Figures::part('a', 'ball', 39.9, 39.9, 39.9))))
        ->not->toContain('foam')
        ->and(materials(ways(Figures::part('a', 'ball', 30, 30, 30, more: ['coverMm' => 15]))))
        ->toBe(['none'])
        ->and(ways(Figures::part('a', 'sausage', 30, 60, 30, more: ['covering' => ['way' => 'plait']])))
        ->toHaveCount(1)
        ->and(ways(Figures::part('a', 'sausage', 30, 60, 30, more: ['covering' => ['way' => 'plait']]))[0]->reason)
        ->toBe('It is nothing but its covering: there is no inside to fill.');
});

it('says of each advice why, with its amounts', function () {
    $solid = ways(Figures::part('a', 'ball', 24, 24, 24));
    $wire = ways(Figures::part('a', 'sausage', 7, 80, 7));
    $core = ways(Figures::part('a', 'ball', 50, 50, 50), carries: true);
    $light = ways(Figures::part('a', 'ball', 50, 50, 50));
    $large = ways(Figures::part('a', 'ball', 70, 70, 70));
    $dark = ways(Figures::part('a', 'ball', 50, 50, 50), '#101014');
    $by = static fn (array $ways): array => array_column(
        array_map(static fn (Inside $w): array => ['m' => $w->material->value, 'w' => $w], $ways),
        'w',
        'm',
    );
    $volume = (M_PI / 6) * 343;
    $difference = CoverAdvice::of(Srgb::hex(CoverAdvice::UNDYED), Srgb::hex('#101014'))->difference;
    expect($solid[0]->reason)
        ->toBe('24 mm thick: a core pays from 25 mm on.')
        ->and($wire[0]->reason)
        ->toBe('80 mm long and 7 mm thick: colour felted round a wire, or it bends.')
        ->and($core[0]->reason)
        ->toBe(
            sprintf(
                'It saves %.1f g of colour, felts fast, and its %.1f g keep the weight low.',
                $by($core)['none']->coverG - $by($core)['core-wool']->coverG,
                $by($core)['core-wool']->finishedG,
            ),
        )
        ->and($light[0]->reason)
        ->toBe(sprintf('It saves %.1f g of colour, felts fast.', $by($light)['none']->coverG - $by($light)['core-wool']->coverG))
        ->and($large[0]->reason)
        ->toBe(
            sprintf(
                '%.0f cm³: stuffing takes %.1f g where core wool takes %.1f g, and leaves the figure %.1f g lighter up there.',
                $volume,
                $by($large)['stuffing']->insideG,
                $by($large)['core-wool']->insideG,
                $by($large)['core-wool']->finishedG - $by($large)['stuffing']->finishedG,
            ),
        )
        ->and($dark[0]->reason)
        ->toBe(
            sprintf(
                'The colour differs from undyed wool by %.0f: a core of scrap in a like colour cannot show through a cover of 3 mm.',
                $difference,
            ),
        );
});

it('advises stuffing above 150 cm3, unless the figure stands on it', function () {
    // A ball of 66 mm holds 150.5 cm3, one of 65.9 mm less.
    expect(materials(ways(Figures::part('a', 'ball', 66, 66, 66)))[0])
        ->toBe('stuffing')
        ->and(materials(ways(Figures::part('a', 'ball', 65.9, 65.9, 65.9)))[0])
        ->toBe('core-wool')
        ->and(materials(ways(Figures::part('a', 'ball', 66, 66, 66), carries: true))[0])
        ->toBe('core-wool')
        ->and(materials(ways(Figures::part('a', 'ball', 25, 25, 25)))[0])
        ->toBe('core-wool');
});

it('covers by 2 mm and more as it differs from its core, by halves, half a millimetre more for pale over dark', function () {
    $grey = static fn (int $v): Srgb => Srgb::of($v, $v, $v);
    $previous = 0.0;
    foreach (range(0, 255, 15) as $v) {
        $advice = CoverAdvice::of($grey(0), $grey($v));
        $pale = $grey($v)->lab()->l > 20.0 ? 0.5 : 0.0;
        expect($advice->coverMm)->toBe(round(2 * (2 + 2 * min(1, $advice->difference / 60) + $pale)) / 2);
        expect($advice->difference)->toBeGreaterThanOrEqual($previous);
        $previous = $advice->difference;
        // Dark over pale is no paler: nothing is added.
        $over = CoverAdvice::of($grey($v), $grey(0));
        expect($over->coverMm)->toBe(round(2 * (2 + 2 * min(1, $over->difference / 60))) / 2);
    }
    $same = CoverAdvice::of($grey(90), $grey(90));
    expect(array_map($same->differsFrom(...), [2.0, 2.59, 2.61, 1.41, 1.39]))->toBe([false, false, true, false, true]);
});

it('sells foam balls of 15 to 200 mm and eggs of 20 to 110 mm, the largest first', function () {
    $names = array_map(static fn (Foam $f): string => (string) $f->name(), Foam::stock());
    $volumes = array_map(static fn (Foam $f): float => $f->solid->volumeCm3(), Foam::stock());
    $sorted = $volumes;
    rsort($sorted);
    expect($names)
        ->toHaveCount(24)
        ->and($names[0])
        ->toBe('foam ball 200 mm')
        ->and(end($names))
        ->toBe('foam ball 15 mm')
        ->and($volumes)
        ->toBe($sorted)
        ->and(array_filter($names, static fn (string $n): bool => str_contains($n, 'egg')))
        ->toHaveCount(9)
        ->and($names)
        ->toContain('foam egg 38 x 50 mm')
        ->toContain('foam ball 35 mm');
    foreach (Foam::stock() as $foam) {
        preg_match('/(\d+)(?: x (\d+))? mm/', (string) $foam->name(), $mm);
        $size = $foam->solid->size();
        expect([$size->widthMm, $size->heightMm, $size->depthMm])->toEqual([$mm[1], $mm[2] ?? $mm[1], $mm[1]]);
    }
});

it('fits into a ball the foam ball that leaves the cover, to the millimetre', function (float $mm, float $cover, string $name) {
    $solid = alone(Figures::part('a', 'ball', $mm, $mm, $mm))->parts['a']->solid;
    expect(Foam::inside($solid, $cover)?->name() ?? '')->toBe($name);
})->with([
    [60.0, 5.0, 'foam ball 50 mm'],
    [59.9, 5.0, 'foam ball 40 mm'],
    [21.0, 3.0, 'foam ball 15 mm'],
    [20.9, 3.0, ''],
    [100.0, 0.0, 'foam ball 100 mm'],
]);

it('moves a piece down into the wide end of a drop, and leaves its cover all round', function () {
    $part = alone(Figures::part('a', 'drop', 50, 80, 50))->parts['a'];
    $foam = Foam::inside($part->solid, 3.0);
    expect($foam)->not->toBeNull()->and($foam->solid->size()->widthMm)->toBeGreaterThanOrEqual(38.0)->toBeLessThanOrEqual(44.0);
    // Flat from front to back leaves room for none so wide.
    $flat = alone(Figures::part('a', 'ball', 60, 60, 30))->parts['a'];
    expect(Foam::inside($flat->solid, 3.0)->solid->size()->widthMm)->toBeLessThanOrEqual(24.0);
});

it('keeps the same room for what is wrapped or stuffed, takes another for foam, none for solid', function () {
    $part = alone(Figures::part('a', 'ball', 60, 60, 60))->parts['a'];
    $wool = PartWool::of($part, Densities::house());
    foreach ([CoreMaterial::Scrap, CoreMaterial::Stuffing, CoreMaterial::CoreWool] as $material) {
        expect($wool->filledWith($material)->insideCm3)->toEqualWithDelta((M_PI / 6) * 54 ** 3 / 1000, 0.05);
    }
    $foam = $wool->filledWith(CoreMaterial::Foam);
    expect($foam->insideCm3)
        ->toEqualWithDelta((M_PI / 6) * 50 ** 3 / 1000, 0.05)
        ->and($foam->filledWith(CoreMaterial::CoreWool)->insideCm3)
        ->toEqualWithDelta((M_PI / 6) * 54 ** 3 / 1000, 0.05)
        ->and($wool->filledWith(CoreMaterial::None)->insideCm3)
        ->toBe(0.0)
        ->and($wool->filledWith(CoreMaterial::None)->coreMaterial())
        ->toBe(CoreMaterial::None);
});
