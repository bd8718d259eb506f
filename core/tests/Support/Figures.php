<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

use Impa\Figure\Figure;
use Impa\Material\CoveringWay;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;

/** Figure documents for tests: small ones by hand, and random ones by seed. */
final class Figures
{
    /**
     * @param  list<array<string, mixed>>  $parts
     * @param  list<array<string, mixed>>  $details
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    public static function document(array $parts, array $details = [], array $more = []): array
    {
        return $more + [
            'format' => 'impa-figure',
            'version' => 1,
            'name' => 'Test',
            'heightMm' => 100,
            'colours' => [
                ['key' => 'teal', 'hex' => '#2f8f86'],
                ['key' => 'black', 'hex' => '#1b1b1d'],
                ['key' => 'white', 'hex' => '#f8f4ec'],
            ],
            'parts' => $parts,
            'details' => $details,
        ];
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    public static function part(
        string $key,
        string $kind,
        float $w,
        float $h,
        float $d,
        float $x = 0,
        float $y = 0,
        float $z = 0,
        array $more = [],
    ): array {
        return $more + [
            'key' => $key,
            'shape' => ['kind' => $kind, 'widthMm' => $w, 'heightMm' => $h, 'depthMm' => $d],
            'at' => ['xMm' => $x, 'yMm' => $y, 'zMm' => $z],
            'colour' => 'teal',
        ];
    }

    /** @param  array<string, mixed>  $document */
    public static function read(array $document): Figure
    {
        return Figure::fromJson(json_encode($document, JSON_THROW_ON_ERROR));
    }

    /**
     * A head standing on the table, with eyes, a nose and a mouth so low.
     *
     * @param  array<string, mixed>  $head  more of the head
     * @param  array<string, mixed>  $eye  more of the eyes
     */
    public static function faced(
        string $kind,
        float $w,
        float $h,
        float $d,
        array $head = [],
        array $eye = [],
        float $mouthMm = -15,
    ): Figure {
        $on = ['on' => 'head', 'colour' => 'black'];
        $disc = $on + ['kind' => 'disc'];
        $mouth = [[-6, $mouthMm], [0, $mouthMm - 2], [6, $mouthMm]];

        return self::read(
            self::document(
                [self::part('head', $kind, $w, $h, $d, 0, $h / 2, 0, $head)],
                [
                    $eye + ['key' => 'eye', 'widthMm' => 8, 'heightMm' => 8, 'xMm' => 12, 'yMm' => -3, 'mirror' => true] + $disc,
                    ['key' => 'nose', 'widthMm' => 5, 'heightMm' => 4, 'xMm' => 0, 'yMm' => -10] + $disc,
                    ['key' => 'mouth', 'kind' => 'line', 'widthMm' => 1.2, 'pointsMm' => $mouth] + $on,
                ],
            ),
        );
    }

    /** @return array<string, mixed> a random whole figure whose parts are covered in every way there is, by turns */
    public static function covered(int $seed, int $partCount = 12): array
    {
        $document = self::random($seed, $partCount);
        $ways = CoveringWay::cases();
        foreach ($document['parts'] as $i => &$part) {
            $part['covering'] = ['way' => $ways[($seed + $i) % count($ways)]->value];
        }

        return $document;
    }

    /** @return array<string, mixed> a random whole figure: parts of every kind, twins, turns, joins, details */
    public static function random(int $seed, int $partCount = 12, int $detailCount = 10): array
    {
        mt_srand($seed);
        $between = static fn (float $low, float $high): float => round($low + (($high - $low) * mt_rand()) / mt_getrandmax(), 2);
        $kinds = ShapeKind::cases();
        $parts = $details = [];
        for ($i = 0; $i < $partCount; $i++) {
            $kind = $kinds[mt_rand(0, count($kinds) - 1)];
            $usual = Catalogue::usualSize($kind)->scaled($between(0.6, 2.0));
            $parts[] = self::part(
                'p'.$i,
                $kind->value,
                $usual->widthMm,
                $usual->heightMm,
                $usual->depthMm,
                $between(-40, 40),
                $between(10, 120),
                $between(-20, 20),
                [
                    'mirror' => mt_rand(0, 1) === 1,
                    'core' => ['core-wool', 'stuffing', 'none', 'foam', 'scrap'][mt_rand(0, 4)],
                    'coverMm' => $between(1, 5),
                    'firmness' => ['squishy', 'soft', 'springy', 'firm', 'hard'][mt_rand(0, 4)],
                    'turnDeg' => ['x' => $between(-30, 30), 'y' => $between(-30, 30), 'z' => $between(-180, 180)],
                ] + ($i > 0 ? ['join' => ['to' => 'p'.mt_rand(0, $i - 1)]] : []),
            );
        }
        for ($i = 0; $i < $detailCount; $i++) {
            $details[] =
                [
                    'key' => 'd'.$i,
                    'on' => 'p'.mt_rand(0, $partCount - 1),
                    'colour' => 'black',
                    'layer' => mt_rand(1, 3),
                    'mirror' => mt_rand(0, 1) === 1,
                ] +
                ($i % 3 === 0
                    ? [
                        'kind' => 'line',
                        'widthMm' => $between(0.8, 2),
                        'pointsMm' => [[$between(-6, 0), $between(-4, 4)], [$between(1, 6), $between(-4, 4)]],
                    ]
                    : [
                        'kind' => 'disc',
                        'widthMm' => $between(1, 8),
                        'heightMm' => $between(1, 8),
                        'xMm' => $between(-8, 8),
                        'yMm' => $between(-8, 8),
                    ]);
        }

        return self::document($parts, $details);
    }
}
