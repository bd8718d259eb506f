<?php

declare(strict_types=1);

namespace Impa\Tests\OutlineFixture;

use Impa\Tests\Support\Figures;

/** Details of every kind, as the screens must draw them while they are dragged: turned, curved, of changing width, with holes. */
function details(): array
{
    $blob = [[-4, -3], [0, -5], [5, -2], [4, 4], [-3, 5]];

    return [
        ['kind' => 'disc', 'widthMm' => 6, 'heightMm' => 4, 'xMm' => 3, 'yMm' => -2, 'turnDeg' => 30],
        ['kind' => 'line', 'widthMm' => 1.2, 'pointsMm' => [[-5, 0], [0, -2], [5, 0]], 'xMm' => 1, 'yMm' => 2, 'turnDeg' => -15],
        [
            'kind' => 'line',
            'widthMm' => 2,
            'widthsMm' => [0.5, 2, 1, 0.4],
            'pointsMm' => [[-5, 0], [-1, -2], [2, 1], [5, 0]],
            'smooth' => true,
        ],
        ['kind' => 'patch', 'pointsMm' => $blob, 'turnDeg' => 70, 'xMm' => -2],
        [
            'kind' => 'patch',
            'pointsMm' => $blob,
            'smooth' => true,
            'holesMm' => [[[-1, -1], [1, -1], [0, 1]]],
            'yMm' => 3,
            'turnDeg' => 200,
        ],
    ];
}

it('draws every detail as the fixture says, which the screens\' own geometry is held against point by point', function () {
    $rounded = static fn (array $points): array => array_map(
        static fn (array $p): array => [round($p[0], 6), round($p[1], 6)],
        $points,
    );
    $made = [];
    foreach (details() as $i => $detail) {
        $detail += ['key' => 'd'.$i, 'on' => 'head', 'colour' => 'black'];
        $read = Figures::read(Figures::document([Figures::part('head', 'ball', 50, 50, 50)], [$detail]))->details['d'.$i];
        $made[] = [
            'detail' => $detail,
            'outline' => $rounded($read->outline()),
            'widths' => $detail['kind'] === 'line' ? array_map(static fn (float $mm): float => round($mm, 6), $read->drawn->widths()) : [],
            'holes' => array_map($rounded, $read->holes()),
            'middle' => $rounded([$read->middle()])[0],
        ];
    }
    $known = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/tests/Support/outlines.json'), true);
    expect(json_decode((string) json_encode($made), true))->toEqualWithDelta($known, 1e-6);
});
