<?php

declare(strict_types=1);

namespace Impa\Tests\EveryDocument;

use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Tests\Support\AnyFigure;
use Impa\Tests\Support\Doors;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Turns;
use Impa\Tests\Support\Works;

/** Whatever document the check takes in, every reckoning answers: with numbers that are numbers, or in words. */

/** Doors that take longest. */
const DEAR = ['show', 'face', 'face/sheets', 'build/paper', 'build/picture', 'model', 'render'];

it('answers at every door, for documents that use every member of the schema', function (int $part) {
    $taken = 0;
    $members = [];
    for ($seed = 60 * $part; $seed < 60 * ($part + 1); $seed++) {
        $document = AnyFigure::of($seed, 1 + $seed % 3, [0.0, 0.05, 0.3][$seed % 3]);
        try {
            $figure = Figure::fromDocument(json_decode(json_encode($document, JSON_THROW_ON_ERROR)));
        } catch (FigureRefused) {
            continue;
        }
        $taken++;
        $members += get_object_vars($document);
        foreach (array_keys(Doors::all()) as $i => $door) {
            // By turns every document goes through some, every door is gone through by many.
            if (Turns::isOn($seed + $i, in_array($door, DEAR, true) ? 120 : 20)) {
                expect(Doors::fault($door, $figure))->toBe('', "{$door}, document {$seed}");
            }
        }
    }
    // Most of them are figures, and each member came up.
    expect($taken)->toBeGreaterThan(40)->and(array_keys($members))
        ->toContain('pose', 'firmness', 'coverMm', 'core', 'school', 'base', 'work', 'flat', 'details', 'wires', 'picture', 'sidePicture');
})->with(range(0, 4));

it('says a length of every detail over the rim of every kind of shape, or in words that it goes round', function (ShapeKind $kind) {
    $size = Catalogue::usualSize($kind);
    $part = Figures::part('head', $kind->value, $size->widthMm, $size->heightMm, $size->depthMm, 0, $size->heightMm / 2);
    $doors = ['face/laying', 'face/advice', 'face/needles-eye', 'plan', 'board'];
    $places = [[0.46, 0.1], [0.5, 0.0], [0.62, -0.1], [0.0, 0.49], [-0.35, 0.37], [0.0, -0.5], [0.3, 0.0]];
    foreach (Turns::isWhole() ? ['front', 'left', 'top'] : ['front'] as $side) {
        $details = [];
        foreach ($places as $i => [$x, $y]) {
            foreach (['drawn', 'size', null] as $keep) {
                $details[] = array_filter([
                    'key' => 'd'.count($details), 'on' => 'head', 'colour' => 'black', 'keep' => $keep,
                    'kind' => $i % 4 === 3 ? 'patch' : 'disc',
                    'widthMm' => 5, 'heightMm' => 6, 'side' => $side, 'xMm' => $x * $size->widthMm, 'yMm' => $y * $size->heightMm,
                    'mirror' => $i % 2 === 1, 'pointsMm' => $i % 4 === 3 ? [[-3, -2], [3, -3], [4, 2], [0, 4]] : null,
                ], static fn (mixed $value): bool => $value !== null);
            }
        }
        $figure = Figures::read(Figures::document([$part], $details));
        foreach ($doors as $door) {
            expect(Doors::fault($door, $figure))->toBe('', "{$door}, from {$side}");
        }
    }
})->with(ShapeKind::cases());

it('tells that there are too many points, before anything is reckoned with them', function () {
    $points = array_map(static fn (int $i): array => [10 * cos($i), 10 * sin($i)], range(0, 399));
    $like = ['on' => 'a', 'kind' => 'line', 'widthMm' => 1, 'colour' => 'black', 'pointsMm' => $points];
    $line = static fn (int $i): array => ['key' => "d{$i}"] + $like;
    $of = static fn (int $count): array => Figures::document([Figures::part('a', 'ball', 40, 40, 40)], array_map($line, range(1, $count)));
    expect(Figures::read($of(12))->details)->toHaveCount(12);
    try {
        Figures::read($of(13));
        $faults = [];
    } catch (FigureRefused $refused) {
        $faults = array_map(static fn ($f): string => $f->line(), $refused->faults);
    }
    expect($faults)->toHaveCount(1)->and($faults[0])->toContain('/details')->toContain('5200 points together, at most 5000');
});

it('has steps for layers among which a thing has pairs, joined to what lies on the ground', function () {
    $document = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/demo/sorrel.impa.json'));
    $document->flat = (object) ['way' => 'sheet'];
    $work = Works::of(Figure::fromDocument($document));
    expect($work->keys())->toContain('inspect')->and(Doors::fault('build/paper', $work->ledger->figure))->toBe('');
});
