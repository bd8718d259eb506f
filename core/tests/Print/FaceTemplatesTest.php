<?php

declare(strict_types=1);

namespace Impa\Tests\FaceTemplates;

use Impa\Figure\Figure;
use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;
use Impa\Print\Template\FaceTemplates;
use Impa\Tests\Support\Figures;

/** @param  array<string, mixed>  $head */
function faceToPrint(array $head = [], float $w = 60, float $h = 60, string $kind = 'ball'): Figure
{
    return Figures::faced($kind, $w, $h, $w, $head);
}

/** @return list<array{float, float, float, float}> left, top, right and bottom in mm of every drawn path of a page, dashed lines apart */
function drawnOn(string $svg): array
{
    $boxes = [];
    preg_match_all('/<path d="(M[^"]*)" fill="none" stroke="#3a2a20" stroke-width="0\.(?:25|3)"\/>/', $svg, $paths);
    foreach ($paths[1] as $d) {
        if (preg_match_all('/(-?[\d.]+) (-?[\d.]+)/', $d, $p) > 2) {
            $boxes[] = [min($p[1]), min($p[2]), max($p[1]), max($p[2])];
        }
    }

    return array_map(static fn (array $b): array => array_map(floatval(...), $b), $boxes);
}

it('draws the face flat at true size, its pair twice', function () {
    $figure = faceToPrint();
    [$flat] = FaceTemplates::of($figure, $figure->parts['head'])->pages(Paper::A4);
    $boxes = drawnOn($flat);
    $sizes = array_map(static fn (array $b): array => [round($b[2] - $b[0], 1), round($b[3] - $b[1], 1)], $boxes);
    expect($sizes[0])->toEqualWithDelta([60.0, 60.0], 0.2);
    $eyes = array_values(
        array_filter($boxes, static fn (array $b): bool => abs($b[2] - $b[0] - 8) < 0.2 && abs($b[3] - $b[1] - 8) < 0.2),
    );
    // The third is the same eye on the folded half.
    expect($eyes)
        ->toHaveCount(3)
        ->and(abs(($eyes[0][0] + $eyes[0][2]) / 2 - ($eyes[1][0] + $eyes[1][2]) / 2))
        ->toEqualWithDelta(24.0, 0.1);
});

it('carries the marks on strips, as long as the tape', function () {
    $figure = faceToPrint();
    [$flat] = FaceTemplates::of($figure, $figure->parts['head'])->pages(Paper::A4);
    preg_match_all('/<path d="M([\d.]+) [\d.]+ v8"/', $flat, $marks);
    // By hand on a ball of 30 mm: the nose lies 30 (90 + asin(10/30)) down, the eye 29.85 asin(12/29.85) out at its level.
    $found = array_map(static fn (string $x): float => (float) $x - Page::RIM, $marks[1]);
    foreach ([30 * (M_PI / 2 + asin(1 / 3)), sqrt(891) * asin(12 / sqrt(891))] as $byHand) {
        expect(min(array_map(static fn (float $mm): float => abs($mm - $byHand), $found)))->toBeLessThan(0.06);
    }
});

it('prints an empty head as well', function () {
    $figure = Figures::read(Figures::document([Figures::part('head', 'ball', 60, 60, 60)]));
    $pages = FaceTemplates::of($figure, $figure->parts['head'])->pages(Paper::A4);
    expect($pages)
        ->toHaveCount(2)
        ->and($pages[1])
        ->toContain('There is nothing on this face yet.')
        ->and($pages[0])
        ->not->toContain('v8');
});

it('lays a template out from the crown where no place of what lies on the part is reached by tape', function () {
    $figure = Figures::read(Figures::document(
        [Figures::part('head', 'sausage', 4.945, 32, 0.3, 0, 20, 0, ['turnDeg' => ['z' => 49.9]])],
        [['key' => 'd', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 4, 'heightMm' => 16.8, 'xMm' => 8.3, 'colour' => 'black']],
    ));
    $pages = FaceTemplates::of($figure, $figure->parts['head'])->pages(Paper::A4);
    expect(count($pages))->toBeGreaterThan(0)->and(json_encode($pages))->not->toContain('NAN')->not->toContain('INF');
});
