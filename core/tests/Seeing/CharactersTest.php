<?php

declare(strict_types=1);

namespace Impa\Tests\Characters;

use Impa\Figure\Figure;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Result\Agreement;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Pixels;

/** A render so large shows all that is looked for, and is looked at in a third of the time of a usual drawing. */
const PX = 400;

/** Ink is known by its width: it wants a usual drawing's size. */
const INKED_PX = 480;

/**
 * A random character of known parts: a body with a head on it, limbs and ears in pairs, a face. Drawn by our own painter,
 * so that what ought to be seen is known exactly.
 *
 * @return array<string, mixed>
 */
function character(int $seed): array
{
    mt_srand($seed);
    $between = static fn (float $low, float $high): float => $low + (($high - $low) * mt_rand()) / mt_getrandmax();
    $colours = [
        ['key' => 'fur', 'hex' => ['#8a5f9f', '#c96f4a', '#5e93a8', '#d9a441'][$seed % 4]],
        ['key' => 'limb', 'hex' => ['#4c3a63', '#7a3b2a', '#2f5566', '#8a5a1c'][$seed % 4]],
        ['key' => 'black', 'hex' => '#1b1b1d'],
        ['key' => 'pale', 'hex' => '#f4ead6'],
    ];
    $body = $between(44, 60);
    $tall = $between(46, 66);
    $head = $between(40, 56);
    $headY = $tall + 0.42 * $head;
    $parts = [
        Figures::part('body', ['ball', 'egg', 'drum'][$seed % 3], $body, $tall, $body, 0, $tall / 2, 0, ['colour' => 'fur']),
        Figures::part('head', 'ball', $head, 0.92 * $head, $head, 0, $headY, 3, [
            'colour' => $seed % 2 ? 'fur' : 'limb',
            'join' => ['to' => 'body'],
        ]),
        Figures::part('arm', 'sausage', 12, $between(28, 36), 12, $body / 2 + 6, 0.62 * $tall, -2, [
            'colour' => 'limb',
            'mirror' => true,
            'turnDeg' => ['z' => $between(20, 50)],
            'join' => ['to' => 'body'],
        ]),
        Figures::part('ear', 'ball', 15, $between(17, 22), 5, 0.4 * $head, $headY + 0.48 * $head, -4, [
            'colour' => $seed % 2 ? 'limb' : 'fur',
            'mirror' => true,
            'join' => ['to' => 'head'],
        ]),
    ];
    $details = [
        [
            'key' => 'eye',
            'on' => 'head',
            'kind' => 'disc',
            'widthMm' => 6,
            'heightMm' => 7,
            'xMm' => 0.2 * $head,
            'yMm' => -1,
            'colour' => $seed % 2 ? 'black' : 'pale',
            'mirror' => true,
        ],
        [
            'key' => 'belly',
            'on' => 'body',
            'kind' => 'disc',
            'widthMm' => 0.5 * $body,
            'heightMm' => 0.5 * $tall,
            'xMm' => 0,
            'yMm' => -3,
            'colour' => 'pale',
        ],
    ];

    return ['heightMm' => 120] + Figures::document($parts, $details, ['colours' => $colours]);
}

/** @return array{Figure, string, array<string, mixed>} the character, its drawing, and what is seen in it; looked at once */
function seenAgain(int $seed): array
{
    static $seen = [];

    return $seen[$seed] ??= lookedAt($seed);
}

/** @return array{Figure, string, array<string, mixed>} */
function lookedAt(int $seed): array
{
    $figure = Figures::read(character($seed));
    $png = Painter::png($figure, View::Front, PX);

    return [$figure, $png, Breakdown::of($png, $figure->heightMm)->document];
}

it(
    'sees a random character of four parts again as three to six, one or two of them pairs, with a pair of eyes, in one tree',
    function (int $seed) {
        [$figure, $png, $document] = seenAgain($seed);
        $pairs = array_filter($document['parts'], static fn (array $p): bool => $p['mirror']);
        $agreement = Agreement::of($png, Painter::match(Figure::fromJson(json_encode($document))));
        expect(count($document['parts']))
            ->toBeGreaterThanOrEqual(3)
            ->toBeLessThanOrEqual(6)
            ->and(count($pairs))
            ->toBeGreaterThanOrEqual(1)
            ->toBeLessThanOrEqual(2)
            ->and($agreement->share)
            ->toBeGreaterThan(0.93)
            ->and($agreement->overlap)
            ->toBeGreaterThan(0.93);
        $eyes = array_values(
            array_filter($document['details'], static fn (array $d): bool => $d['mirror'] && $d['kind'] === 'disc'),
        );
        expect($eyes)->not->toBeEmpty();
        // The parts stand in one tree.
        $roots = array_filter($document['parts'], static fn (array $p): bool => ! isset($p['join']));
        expect($roots)->toHaveCount(1);
    },
)->with(range(1, 4));

it('finds the sizes that were drawn', function (int $seed) {
    [$figure, , $document] = seenAgain($seed);
    $drawn = $figure->parts['head'];
    $scale = $figure->heightMm / self_height($figure);
    $best = INF;
    foreach ($document['parts'] as $part) {
        $best = min(
            $best,
            abs($part['shape']['widthMm'] / ($drawn->solid->size()->widthMm * $scale) - 1) +
                abs($part['at']['yMm'] / (($drawn->stand->at[1] - self_foot($figure)) * $scale) - 1),
        );
    }
    expect($best)->toBeLessThan(0.1);
})->with(range(1, 4));

function self_foot(Figure $figure): float
{
    return min(array_map(static fn ($p): float => $p->placements()[0]->levelsMm()[0], $figure->parts));
}

function self_height(Figure $figure): float
{
    return max(array_map(static fn ($p): float => $p->placements()[0]->levelsMm()[1], $figure->parts)) - self_foot($figure);
}

/**
 * A square render on white, with ink wherever two colours meet within 2 pixels.
 *
 * @return array{string, callable(int): bool} the picture, and whether the pixel of that number is ink
 */
function inked(string $render): array
{
    $plain = imagecreatefromstring($render);
    $colours = [];
    for ($y = 0; $y < INKED_PX; $y++) {
        for ($x = 0; $x < INKED_PX; $x++) {
            $pixel = imagecolorat($plain, $x, $y);
            $colours[] = $pixel >> 24 > 60 ? 0xFFFFFF : $pixel & 0xFFFFFF;
        }
    }
    $image = imagecreatetruecolor(INKED_PX, INKED_PX);
    $ink = [];
    foreach ($colours as $i => $own) {
        [$x, $y] = [$i % INKED_PX, intdiv($i, INKED_PX)];
        $round = [
            $colours[$i - $x + min(INKED_PX - 1, $x + 2)],
            $colours[$i - $x + max(0, $x - 2)],
            $colours[min(INKED_PX - 1, $y + 2) * INKED_PX + $x],
            $colours[max(0, $y - 2) * INKED_PX + $x],
        ];
        foreach ($round as $other) {
            // Soft edges are no other colour.
            $ink[$i] = ($ink[$i] ?? false) || ($other & 0xF0F0F0) !== ($own & 0xF0F0F0);
        }
        imagesetpixel($image, $x, $y, $ink[$i] ? 0x141010 : $own);
    }
    ob_start();
    imagepng($image);

    return [(string) ob_get_clean(), static fn (int $i): bool => $ink[$i]];
}

it('sees the same through an outline drawn round every colour', function (int $seed) {
    $figure = Figures::read(character($seed));
    [$png, $isInk] = inked(Painter::png($figure, View::Front, INKED_PX));
    $document = Breakdown::of($png, 120)->document;
    $agreement = Agreement::of($png, Painter::match(Figure::fromJson(json_encode($document))), $isInk);
    expect($agreement->share)->toBeGreaterThan(0.9)->and(count($document['parts']))->toBeLessThanOrEqual(8);
})->with([2, 3]);

it('names by place and kind', function () {
    $document = Breakdown::of(
        Pixels::png(
            function ($i) {
                imagefilledellipse($i, 110, 40, 34, 56, 0x8A5FA0);
                imagefilledellipse($i, 190, 40, 34, 56, 0x8A5FA0);
                imagefilledellipse($i, 150, 95, 120, 96, 0x5E93A8);
                imagefilledellipse($i, 150, 195, 110, 120, 0xD9A441);
                foreach ([-1, 1] as $side) {
                    imagefilledellipse($i, 150 + $side * 80, 170, 76, 24, 0x8A5FA0);
                    imagefilledellipse($i, 150 + $side * 28, 262, 26, 60, 0x8A5FA0);
                    imagefilledellipse($i, 150 + $side * 24, 96, 14, 16, 0x181818);
                    imagefilledellipse($i, 150 + $side * 40, 116, 18, 10, 0xE48993);
                }
                imagesetthickness($i, 4);
                imagearc($i, 150, 112, 34, 20, 20, 160, 0x181818);
                imagefilledellipse($i, 150, 200, 56, 64, 0xF4EAD6);
            },
            300,
            300,
        ),
        120,
    )->document;
    $names = static fn (string $list): array => array_column($document[$list], 'name');
    expect($names('parts'))
        ->toEqualCanonicalizing(['Body', 'Head', 'Ear', 'Arm', 'Leg'])
        ->and($names('details'))
        ->toEqualCanonicalizing(['Belly', 'Eye', 'Cheek', 'Mouth']);
    $parts = array_column($document['parts'], null, 'name');
    expect($parts['Body'])
        ->not->toHaveKey('join')
        ->and($parts['Head']['join']['to'])
        ->toBe('body')
        ->and($parts['Ear']['join']['to'])
        ->toBe('head')
        ->and($parts['Arm']['join']['to'])
        ->toBe('body')
        ->and($parts['Leg']['join']['to'])
        ->toBe('body');
    foreach ([...$document['parts'], ...$document['details']] as $member) {
        expect($member['seen']['confidence'])
            ->toBeGreaterThan(0.0)
            ->toBeLessThanOrEqual(1.0)
            ->and($member['seen']['why'])
            ->toEndWith('.');
    }
});

it('sees through a ring: what lies behind it keeps its own colour, and the hole is not felted shut', function () {
    $figure = Figures::read(
        Figures::document(
            [
                Figures::part('body', 'ball', 50, 60, 50, 0, 30, 0, ['colour' => 'fur']),
                Figures::part('ring', 'ring', 44, 44, 9, 62, 30, 0, ['colour' => 'limb', 'join' => ['to' => 'body']]),
            ],
            [],
            ['heightMm' => 60, 'colours' => [['key' => 'fur', 'hex' => '#8a5f9f'], ['key' => 'limb', 'hex' => '#2f5566']]],
        ),
    );
    $png = Painter::png($figure, View::Front, PX);
    $document = Breakdown::of($png, 60.0)->document;
    $agreement = Agreement::of($png, Painter::match(Figure::fromJson(json_encode($document))));
    $kinds = array_map(static fn (array $p): string => $p['shape']['kind'], $document['parts']);
    sort($kinds);
    expect($kinds)
        ->toBe(['ball', 'ring'])
        ->and($agreement->share)
        ->toBeGreaterThan(0.95)
        ->and($document['details'])
        ->toBe([]);
});
