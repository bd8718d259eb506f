<?php

declare(strict_types=1);

/*
 * Made-up characters by seed, as figure documents: a head on a body, ears, arms and feet in pairs, now and then a hat, a tail or a nose,
 * a face with sparks, cheeks and a belly. Colours are one scheme each: brights, pales, greys, one hue dark and light. Nobody's
 * character. Seeds below 2600 are for tuning or have been looked at; those from 2600 on are kept aside.
 */

/** @return stdClass an impa-figure document, version 1 */
function character(int $seed): stdClass
{
    $random = new Random\Randomizer(new Random\Engine\Mt19937($seed));
    $between = static fn (float $low, float $high): float => round($low + ($high - $low) * $random->getInt(0, 10_000) / 10_000, 2);
    $one = static fn (array $of): mixed => $of[$random->getInt(0, count($of) - 1)];
    $hex = hex(...);
    $hue = $between(0, 360);
    [$head, $body, $limb] = match ($one(['bright', 'bright', 'pale', 'grey', 'one hue'])) {
        'bright' => [$hex($hue, $between(30, 55), $between(50, 75)), $hex($hue + $between(80, 200), $between(25, 50), $between(35, 65)),
            $hex($hue + $between(200, 300), $between(20, 45), $between(35, 60))],
        'pale' => [$hex($hue, $between(6, 16), $between(84, 92)), $hex($hue + $between(60, 200), $between(20, 35), $between(60, 75)),
            $hex($hue, $between(8, 16), $between(70, 80))],
        'grey' => [$hex($hue, $between(1, 5), $between(55, 75)), $hex($hue, $between(1, 6), $between(32, 48)),
            $hex($hue + 120, $between(15, 40), $between(40, 60))],
        default => [$hex($hue, $between(25, 45), $between(62, 76)), $hex($hue, $between(25, 45), $between(36, 48)),
            $hex($hue + 10, $between(20, 35), $between(48, 60))],
    };
    $ink = $hex($hue + 180, $between(2, 10), $between(12, 20));
    $part = static fn (string $key, string $kind, array $mm, array $at, string $colour, array $more = []): array => $more + [
        'key' => $key, 'name' => ucfirst($key), 'colour' => $colour,
        'shape' => ['kind' => $kind, 'widthMm' => $mm[0], 'heightMm' => $mm[1], 'depthMm' => $mm[2]],
        'at' => ['xMm' => $at[0], 'yMm' => $at[1], 'zMm' => $at[2]],
    ];
    $into = static fn (string $to, string $by = 'fluff'): array => ['join' => ['to' => $to, 'by' => $by], 'core' => 'none'];
    [$w, $h] = [$between(32, 48), $between(34, 52)];
    $foot = $between(8, 14);
    [$hw, $hh] = [$between(36, 54), $between(34, 48)];
    $middle = $foot * 0.6 + $h / 2;
    $up = $middle + $h / 2 + 0.4 * $hh;
    $parts = [
        $part('body', $one(['ball', 'egg', 'drum', 'dome']), [$w, $h, 0.9 * $w], [0, $middle, 0], 'body'),
        $part(
            'head',
            $one(['ball', 'ball', 'egg', 'block']),
            [$hw, $hh, 0.92 * $hw],
            [0, $up, 0],
            'head',
            ['join' => ['to' => 'body', 'by' => 'fluff']],
        ),
    ];
    $lean = $between(5, 35);
    [$ew, $eh] = [$between(9, 16), $between(14, 30)];
    $parts[] = $part(
        'ear',
        $one(['cone', 'egg', 'sausage', 'ball']),
        [$ew, $eh, $between(6, 9)],
        [0.32 * $hw, $up + 0.42 * $hh + 0.3 * $eh, -1],
        $one(['head', 'limb']),
        $into('head') + ['mirror' => true, 'turnDeg' => ['z' => -$lean]],
    );
    [$aw, $al, $swing] = [$between(7, 11), $between(22, 36), $between(15, 60)];
    $reach = 0.42 * $w + 0.4 * $al * sin(deg2rad($swing));
    $parts[] = $part(
        'arm',
        $one(['sausage', 'drumstick']),
        [$aw, $al, $aw],
        [$reach, $middle + 0.22 * $h - 0.3 * $al * cos(deg2rad($swing)), 2],
        $one(['body', 'limb']),
        $into('body') + ['mirror' => true, 'turnDeg' => ['z' => $swing]],
    );
    $parts[] = $part('foot', $one(['drum', 'dome', 'egg']), [$between(12, 18), $foot, $between(16, 22)], [0.26 * $w, $foot / 2, 4], 'limb',
        $into('body') + ['mirror' => true]);
    if ($random->getInt(0, 2) === 0) {
        $brim = $between(0.9, 1.2) * $hw;
        $parts[] = $part('brim', 'drum', [$brim, 4, 0.9 * $brim], [0, $up + 0.42 * $hh, 0], 'limb', $into('head'));
        $parts[] = $part(
            'crown',
            $one(['cone', 'drum', 'dome']),
            [0.6 * $hw, $between(16, 28), 0.6 * $hw],
            [0, $up + 0.42 * $hh + 10, 0],
            'limb',
            $into('brim'),
        );
    }
    if ($random->getInt(0, 2) === 0) {
        $parts[] = $part('nose', 'ball', [$between(7, 11), $between(6, 9), 8], [0, $up - 0.08 * $hh, 0.45 * $hw], 'limb', $into('head'));
    }
    if ($random->getInt(0, 3) === 0) {
        $parts[] = $part('tail', 'cone', [10, 30, 10], [0.5 * $w + 8, $middle, -6], 'head', $into('body') + ['turnDeg' => ['z' => -60]]);
    }
    $detail = static fn (string $key, string $on, array $mm, array $at, string $colour, array $more = []): array => $more + [
        'key' => $key, 'name' => ucfirst($key), 'on' => $on, 'kind' => 'disc', 'widthMm' => $mm[0], 'heightMm' => $mm[1],
        'xMm' => $at[0], 'yMm' => $at[1], 'colour' => $colour, 'layer' => 1,
    ];
    [$eye, $ex, $ey] = [$between(4.5, 8), $between(0.17, 0.24) * $hw, $between(-0.08, 0.1) * $hh];
    $details = [$detail('eye', 'head', [$eye, $between(0.9, 1.3) * $eye], [$ex, $ey], 'ink', ['mirror' => true])];
    $mouth = [-0.24 * $hh, $between(2, 5)];
    $details[] = $random->getInt(0, 2) === 0
        ? $detail('mouth', 'head', [$between(5, 8), 4], [0, $mouth[0]], 'ink')
        : ['key' => 'mouth', 'name' => 'Mouth', 'on' => 'head', 'kind' => 'line', 'widthMm' => $between(1.1, 1.7), 'smooth' => true,
            'pointsMm' => [[-5, $mouth[0]], [0, $mouth[0] - $mouth[1]], [5, $mouth[0]]], 'colour' => 'ink', 'layer' => 1];
    foreach ($random->getInt(0, 1) === 0 ? ['right' => 1, 'left' => -1] : [] as $side => $way) {
        $details[] = ['layer' => 2] + $detail("spark-{$side}", 'head', [2.4, 2.4], [$way * $ex + 0.18 * $eye, $ey + 0.22 * $eye], 'snow');
    }
    if ($random->getInt(0, 1) === 0) {
        $details[] = $detail('cheek', 'head', [7, 5], [0.3 * $hw, -0.16 * $hh], 'rose', ['mirror' => true]);
    }
    if ($random->getInt(0, 1) === 0) {
        $details[] = $detail('belly', 'body', [0.5 * $w, 0.5 * $h], [0, -0.06 * $h], $one(['snow', 'head']));
    }
    $colours = ['head' => $head, 'body' => $body, 'limb' => $limb, 'ink' => $ink, 'snow' => '#f8f3ea', 'rose' => $hex(15, 35, 68)];

    $json = json_encode([
        'format' => 'impa-figure', 'version' => 1, 'name' => "Made-up {$seed}",
        'colours' => array_map(static fn (string $key, string $of): array => ['key' => $key, 'hex' => $of], array_keys($colours), $colours),
        'parts' => $parts, 'details' => $details,
    ], JSON_THROW_ON_ERROR);
    $document = json_decode($json);
    $document->heightMm = 100;
    $document->heightMm = round(Impa\Figure\Editing\Sizing::standsMm(Impa\Figure\Figure::fromDocument($document)), 1);

    return $document;
}

/** The nearest colour of sRGB: hue in degrees, chroma and lightness by CIELAB. */
function hex(float $hue, float $chroma, float $light): string
{
    [$a, $b] = [$chroma * cos(deg2rad($hue)), $chroma * sin(deg2rad($hue))];
    $fy = ($light + 16) / 116;
    [$x, $y, $z] = array_map(
        static fn (float $f): float => $f > 6 / 29 ? $f ** 3 : 3 * (6 / 29) ** 2 * ($f - 4 / 29),
        [$fy + $a / 500, $fy, $fy - $b / 200],
    );
    [$x, $z] = [0.9505 * $x, 1.089 * $z];
    // XYZ under D65 to linear sRGB (IEC 61966-2-1).
    $linear = [
        3.2406 * $x - 1.5372 * $y - 0.4986 * $z,
        -0.9689 * $x + 1.8758 * $y + 0.0415 * $z,
        0.0557 * $x - 0.204 * $y + 1.057 * $z,
    ];
    $byte = static fn (float $c): int => (int) round(255 * ($c <= 0.0031308 ? 12.92 * $c : 1.055 * min(1.0, $c) ** (1 / 2.4) - 0.055));

    return sprintf('#%02x%02x%02x', ...array_map(static fn (float $c): int => max(0, min(255, $byte(max(0.0, $c)))), $linear));
}
