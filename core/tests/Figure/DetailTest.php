<?php

declare(strict_types=1);

namespace Impa\Tests\Detail;

use Impa\Colour\Srgb;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\Scaling;
use Impa\Figure\Figure;
use Impa\Figure\Term\Keep;
use Impa\Render\Board;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Tests\Support\Figures;
use Impa\Wool\Ledger\DetailWool;

/** A head of 60 mm with one detail. @param  array<string, mixed>  $detail */
function withDetail(array $detail): Figure
{
    return Figures::read(
        Figures::document(
            [Figures::part('head', 'ball', 60, 60, 60, 0, 30)],
            [$detail + ['key' => 'd', 'on' => 'head', 'colour' => 'black']],
        ),
    );
}

it('curves through every one of its points, straight where they are straight', function () {
    $points = [[-8.0, -4.0], [-3.0, -9.0], [2.0, -7.0], [9.0, -4.0]];
    $line = withDetail(['kind' => 'line', 'widthMm' => 1.0, 'pointsMm' => $points, 'smooth' => true])->details['d'];
    foreach ($points as $point) {
        $nearest = min(array_map(static fn (array $p): float => hypot($p[0] - $point[0], $p[1] - $point[1]), $line->outline()));
        expect($nearest)->toBeLessThan(1e-9);
    }
    $straight = static fn (bool $smooth): float => withDetail([
        'kind' => 'line',
        'widthMm' => 1.0,
        'pointsMm' => [[-9, 3], [-3, 3], [3, 3], [9, 3]],
        'smooth' => $smooth,
    ])->details['d']->drawn->lengthMm();
    expect($straight(true))
        ->toEqualWithDelta(18.0, 1e-9)
        ->and($straight(false))
        ->toEqualWithDelta(18.0, 1e-9)
        ->and($line->drawn->lengthMm())
        ->toBeGreaterThan(withDetail(['kind' => 'line', 'widthMm' => 1.0, 'pointsMm' => $points])->details['d']->drawn->lengthMm());
});

it('closes the curve of a patch: twelve points of a circle come within 0.5 % of its area', function () {
    $circle = array_map(static fn (int $i): array => [8 * cos(($i * M_PI) / 6), 8 * sin(($i * M_PI) / 6)], range(0, 11));
    expect(withDetail(['kind' => 'patch', 'pointsMm' => $circle, 'smooth' => true])->details['d']->drawn->areaMm2())
        ->toEqualWithDelta(M_PI * 64, 0.005 * M_PI * 64)
        // The polygon itself: n r^2 sin(2 pi / n) / 2.
        ->and(withDetail(['kind' => 'patch', 'pointsMm' => $circle])->details['d']->drawn->areaMm2())
        ->toEqualWithDelta(6 * 64 * sin(M_PI / 6), 1e-9);
});

it('takes wool for a line as wide as it is at each place', function () {
    // A wedge of 20 mm, 0.5 to 2.5 mm wide: 30 mm2.
    $wedge = withDetail([
        'kind' => 'line',
        'widthMm' => 1.0,
        'pointsMm' => [[-10, 0], [0, 0], [10, 0]],
        'widthsMm' => [0.5, 1.5, 2.5],
    ])->details['d'];
    expect($wedge->drawn->areaMm2())
        ->toEqualWithDelta(30.0, 1e-9)
        ->and($wedge->drawn->widths())
        ->toBe([0.5, 1.5, 2.5])
        ->and(withDetail(['kind' => 'line', 'widthMm' => 1.5, 'pointsMm' => [[-10, 0], [10, 0]]])->details['d']->drawn->areaMm2())
        ->toEqualWithDelta(30.0, 1e-9);
});

it('leaves holes open: less wool, and the ground shows', function () {
    $mouth = ['kind' => 'patch', 'pointsMm' => [[-10, -5], [10, -5], [10, 5], [-10, 5]]];
    $teeth = $mouth + ['holesMm' => [[[-6, 1], [6, 1], [6, 5], [-6, 5]]]];
    expect(withDetail($teeth)->details['d']->drawn->areaMm2())
        ->toEqualWithDelta(200.0 - 48.0, 1e-9)
        ->and(DetailWool::g(withDetail($teeth)->details['d'], null)?->is)
        ->toBeLessThan(DetailWool::g(withDetail($mouth)->details['d'], null)?->is);
    $px = static function (Figure $figure, float $x, float $y): string {
        $image = imagecreatefromstring(Painter::png($figure, View::Front, 200, Srgb::hex('#ffffff')));
        $scale = Painter::pxPerMm($figure, View::Front, 200);

        return sprintf('%06x', imagecolorat($image, (int) (100 + $x * $scale), (int) (100 - $y * $scale)));
    };
    [$open, $whole] = [withDetail($teeth), withDetail($mouth)];
    expect($px($open, 0, 3))
        ->toBe(ltrim($open->colours['teal']->srgb->toHex(), '#'))
        ->and($px($open, 0, -3))
        ->toBe($px($whole, 0, 3))
        ->and($px($whole, 0, 3))
        ->not->toBe($px($open, 0, 3));
    $openings = (array) Board::turning($open)['openings'];
    expect($openings['d']['colour'])
        ->toBe('teal')
        ->and($openings['d']['pieces'][0][0])
        ->toHaveCount(4)
        ->and((array) Board::turning($whole)['openings'])
        ->toBe([]);
});

it('keeps what is chosen, and grows all of it with the figure', function () {
    $figure = withDetail([
        'kind' => 'line',
        'widthMm' => 1.0,
        'pointsMm' => [[-10, 0], [10, 0]],
        'widthsMm' => [0.5, 1.5],
        'smooth' => true,
        'keep' => 'size',
    ]);
    $twice = Scaling::to($figure, 2 * $figure->heightMm)->details['d'];
    expect($figure->details['d']->lie->keep)
        ->toBe(Keep::InSize)
        ->and($twice->drawn->widthsMm)
        ->toEqualWithDelta([1.0, 3.0], 1e-9)
        ->and($twice->drawn->areaMm2())
        ->toEqualWithDelta(4 * $figure->details['d']->drawn->areaMm2(), 1e-6);
});

it('refuses a width too many, and says how many points there are', function () {
    try {
        withDetail(['kind' => 'line', 'widthMm' => 1.0, 'pointsMm' => [[-10, 0], [10, 0]], 'widthsMm' => [0.5, 1.5, 1.0]]);
        expect(false)->toBeTrue('it was taken');
    } catch (FigureRefused $refused) {
        expect($refused->faults[0]->pointer)
            ->toBe('/details/0/widthsMm')
            ->and($refused->faults[0]->text)
            ->toBe('A line of 2 points has 3 widths here: give one for each point.');
    }
});
