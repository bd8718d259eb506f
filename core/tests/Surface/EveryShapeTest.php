<?php

declare(strict_types=1);

/*
 * All that a face is measured, told and printed by, on every shape, however it is turned. Slow; bin/mutate.php leaves it out.
 */

namespace Impa\Tests\EveryShape;

use Impa\Face\Advice\Advice;
use Impa\Face\Advice\Evenness;
use Impa\Face\Advice\FaceAdvice;
use Impa\Face\Advice\Sliding;
use Impa\Face\Laying;
use Impa\Face\Needles;
use Impa\Figure\Detail;
use Impa\Material\Densities;
use Impa\Print\Page\Paper;
use Impa\Print\Template\FaceTemplates;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Surface\Anchor;
use Impa\Surface\Girth;
use Impa\Surface\Surface;
use Impa\Surface\TapeGrid;
use Impa\Tests\Support\Figures;

it('answers for every kind of shape, however it is turned, in numbers that can be sent', function (ShapeKind $kind) {
    $usual = Catalogue::usualSize($kind);
    foreach ([['x' => 0], ['x' => 40, 'y' => -70, 'z' => 30]] as $turn) {
        $figure = Figures::read(
            Figures::document(
                [
                    Figures::part('head', $kind->value, $usual->widthMm, $usual->heightMm, $usual->depthMm, 0, 30, 0, [
                        'turnDeg' => $turn,
                    ]),
                ],
                [
                    ['key' => 'a', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 3, 'colour' => 'black'],
                    [
                        'key' => 'b',
                        'on' => 'head',
                        'kind' => 'line',
                        'widthMm' => 1,
                        'pointsMm' => [[-9, -9], [9, 9]],
                        'colour' => 'black',
                        'mirror' => true,
                    ],
                    [
                        'key' => 'c',
                        'on' => 'head',
                        'kind' => 'bead',
                        'widthMm' => 3,
                        'xMm' => 0.45 * $usual->widthMm,
                        'colour' => 'black',
                        'mirror' => true,
                    ],
                ],
            ),
        );
        $part = $figure->parts['head'];
        $surface = Surface::of($part->placements()[0]);
        $grid = TapeGrid::of($surface);
        $even = Evenness::of($figure, 'head');
        $said = [
            $grid,
            Girth::widest($part, $surface, $grid['crownMm'], $grid['footMm']),
            $even->levelMm,
            $even->asideMm,
            array_map(
                static fn (array $list): array => array_map(static fn (Advice $a): array => $a->document(), $list),
                FaceAdvice::of($figure, 'head', Needles::usual(), $even),
            ),
            array_map(static fn (Anchor $a): ?array => $a->to($surface, 2.0, 2.0), Anchor::all($figure, $part, $surface)),
            array_map(
                static fn (Detail $d): array => [
                    Laying::of(
                        $figure,
                        $d,
                        $surface,
                        Needles::usual(),
                        Densities::house(),
                    )->document(),
                    Sliding::inSize($d, $surface),
                ],
                array_values($figure->details),
            ),
        ];
        // JSON knows no infinity and no "not a number".
        expect(json_encode($said))->toBeString();
        foreach (
            $turn === ['x' => 0] ? FaceTemplates::of($figure, $part)->pages(Paper::A4) : [] as $page
        ) {
            expect(strtolower($page))->not->toContain('nan')->not->toContain('inf ');
        }
    }
})->with(ShapeKind::cases());
