<?php

declare(strict_types=1);

/*
 * Made-up characters whose parts are known, hidden halves included, and drawings of them by polygons alone, flat or inked: nothing of
 * how Impa draws is in them. By mt_srand's seed. Seeds up to 1000 are for tuning; those above are kept aside for measuring.
 */

const PX = 512;
/** Drawn so many times as large, and made small: its edges are smooth then. */
const FINE = 3;
const INK_PX = 6;
/** Overlaps are counted on every so many pixels each way. */
const GRID = 4;

function between(float $low, float $high): float
{
    return $low + ($high - $low) * mt_rand() / mt_getrandmax();
}

/** @return list<array{float, float}> an oval about a place, turned */
function oval(float $x, float $y, float $w, float $h, float $deg = 0.0): array
{
    $angles = array_map(static fn (int $i): float => $i * M_PI / 24, range(0, 47));

    return turned(array_map(static fn (float $a): array => [$w / 2 * cos($a), $h / 2 * sin($a)], $angles), $x, $y, $deg);
}

/** @return list<array{float, float}> a roll with round ends, standing on its lower end before it is turned about it */
function roll(float $x, float $y, float $w, float $long, float $deg): array
{
    $points = [];
    for ($i = 0; $i <= 12; $i++) {
        $points[] = [$w / 2 * cos(M_PI * $i / 12), $long - $w / 2 + $w / 2 * sin(M_PI * $i / 12)];
    }
    for ($i = 0; $i <= 12; $i++) {
        $points[] = [-$w / 2 * cos(M_PI * $i / 12), $w / 2 - $w / 2 * sin(M_PI * $i / 12)];
    }

    return turned($points, $x, $y, $deg);
}

/** @return list<array{float, float}> a cone with a blunt tip, standing on its base before it is turned about it */
function cone(float $x, float $y, float $w, float $long, float $deg): array
{
    return turned([[-$w / 2, 0], [$w / 2, 0], [0.08 * $w, 0.94 * $long], [0, $long], [-0.08 * $w, 0.94 * $long]], $x, $y, $deg);
}

/**
 * @param  list<array{float, float}>  $points
 * @return list<array{float, float}>
 */
function turned(array $points, float $x, float $y, float $deg): array
{
    [$c, $s] = [cos(deg2rad($deg)), sin(deg2rad($deg))];

    return array_map(static fn (array $p): array => [$x + $p[0] * $c - $p[1] * $s, $y + $p[0] * $s + $p[1] * $c], $points);
}

/**
 * A character that stands on y = 0 about x = 0, 100 high or so; parts from back to front.
 *
 * @return array{
 *     list<array{kind: string, pair: int, to: string, colour: int, points: list<array{float, float}>}>, list<array<string, mixed>>,
 * }
 */
function known(): array
{
    $colours = [0x8A5F9F, 0xC96F4A, 0x5E93A8, 0xD9A441, 0x6B8F4E, 0xB8546B, 0x7A6A58];
    shuffled($colours);
    [$fur, $other, $third] = $colours;
    $chance = static fn (float $share): bool => between(0, 1) < $share;
    $bodyW = between(30, 46);
    $bodyH = between(34, 52);
    $headW = between(34, 50);
    $headH = $headW * between(0.82, 1.05);
    $bodyY = between(6, 14) + $bodyH / 2;
    $headY = $bodyY + $bodyH / 2 + 0.34 * $headH;
    $headColour = $chance(0.6) ? $fur : $other;
    $limb = $chance(0.5) ? $fur : $third;
    $back = $front = [];
    $add = static function (bool $inFront, string $kind, string $to, int $colour, array $points, bool $pair) use (&$back, &$front): void {
        foreach ($pair ? [1, -1] : [0] as $side) {
            $own = $side === -1 ? array_map(static fn (array $p): array => [-$p[0], $p[1]], $points) : $points;
            $part = ['kind' => $kind, 'pair' => $side, 'to' => $to, 'colour' => $colour, 'points' => $own];
            $inFront ? $front[] = $part : $back[] = $part;
        }
    };
    if ($chance(0.5)) {
        $tail = roll($bodyW * 0.3, $bodyY - $bodyH * 0.25, between(6, 11), between(26, 40), -between(50, 85));
        $add(false, 'tail', 'body', $chance(0.6) ? $fur : $third, $tail, false);
    }
    $ears = between(0, 1);
    if ($ears < 0.4) {
        $ear = oval($headW * 0.36, $headY + $headH * 0.46, between(12, 17), between(14, 30), -between(5, 30));
        $add(false, 'ear', 'head', $chance(0.7) ? $headColour : $third, $ear, true);
    } elseif ($ears < 0.65) {
        $horn = cone($headW * 0.26, $headY + $headH * 0.38, between(8, 12), between(16, 24), -between(10, 30));
        $add(false, 'horn', 'head', $third, $horn, true);
    } elseif ($ears < 0.85) {
        $add(true, 'ear', 'head', $third, oval($headW * 0.46, $headY - 2, between(9, 13), between(20, 28), between(5, 18)), true);
    }
    $add(false, 'leg', 'body', $limb, roll($bodyW * 0.24, 0, between(8, 13), $bodyY - $bodyH * 0.3, 0), true);
    $front = array_merge([
        ['kind' => 'body', 'pair' => 0, 'to' => '', 'colour' => $fur, 'points' => oval(0, $bodyY, $bodyW, $bodyH)],
        ['kind' => 'head', 'pair' => 0, 'to' => 'body', 'colour' => $headColour, 'points' => oval(0, $headY, $headW, $headH)],
    ], $front);
    $armInFront = $chance(0.4);
    $deg = $armInFront ? 180 - between(5, 25) : -between(95, 150);
    $arm = roll($bodyW * 0.42, $bodyY + $bodyH * 0.22, between(7, 11), between(22, 32), $deg);
    $add($armInFront, 'arm', 'body', $limb, $arm, true);
    if ($chance(0.25)) {
        $hat = cone(between(-3, 3), $headY + $headH * 0.36, $headW * 0.6, between(20, 30), between(-8, 8));
        $add(true, 'hat', 'head', $third, $hat, false);
    }
    if ($chance(0.35)) {
        $add(true, 'foot', 'leg', $other, oval($bodyW * 0.27, 3.5, between(13, 18), 8), true);
    }
    $details = [];
    foreach ([1, -1] as $side) {
        $details[] = ['colour' => 0x1B1B1D, 'points' => oval($side * $headW * 0.2, $headY + 1, 5.5, 6.5)];
    }
    if ($chance(0.6)) {
        $details[] = ['colour' => 0x2A1B1B, 'points' => oval(0, $headY - $headH * 0.16, 6, 4)];
    }
    if ($chance(0.5)) {
        $details[] = ['colour' => 0xF0E4CC, 'points' => oval(0, $bodyY - 2, $bodyW * 0.5, $bodyH * 0.5)];
    }

    return [[...$back, ...$front], $details];
}

/** @param  list<int>  $list */
function shuffled(array &$list): void
{
    for ($i = count($list) - 1; $i > 0; $i--) {
        $j = mt_rand(0, $i);
        [$list[$i], $list[$j]] = [$list[$j], $list[$i]];
    }
}

/** @return array{float, float} on a picture so many pixels a side */
function onPicture(array $point, int $side): array
{
    return [$side / 2 + $point[0] * $side / 132, $side * 0.93 - $point[1] * $side / 132];
}

/** @param  list<array{float, float}>  $points */
function fill(GdImage $image, array $points, int $colour, int $side): void
{
    $whole = static fn (array $p): array => array_map(static fn (float $v): int => (int) round($v), onPicture($p, $side));
    imagefilledpolygon($image, array_merge(...array_map($whole, $points)), $colour);
}

function drawn(array $parts, array $details, bool $inked): string
{
    $side = PX * FINE;
    $image = imagecreatetruecolor($side, $side);
    imagealphablending($image, false);
    imagefill($image, 0, 0, 0x7FFFFFFF);
    foreach ([...$parts, ...$details] as $k => $one) {
        fill($image, $one['points'], $one['colour'], $side);
        if ($inked && $k < count($parts)) {
            $n = count($one['points']);
            foreach ($one['points'] as $i => $p) {
                [[$x, $y], [$u, $v]] = [onPicture($p, $side), onPicture($one['points'][($i + 1) % $n], $side)];
                for ($t = 0, $steps = max(1, (int) hypot($u - $x, $v - $y)); $t <= $steps; $t++) {
                    [$cx, $cy] = [(int) ($x + ($u - $x) * $t / $steps), (int) ($y + ($v - $y) * $t / $steps)];
                    imagefilledellipse($image, $cx, $cy, INK_PX * FINE, INK_PX * FINE, 0x1B1512);
                }
            }
        }
    }
    $small = imagecreatetruecolor(PX, PX);
    imagealphablending($small, false);
    imagecopyresampled($small, $image, 0, 0, 0, 0, PX, PX, $side, $side);
    imagesavealpha($small, true);
    ob_start();
    imagepng($small);

    return (string) ob_get_clean();
}

/**
 * The cells of a grid that lie within loops given in picture pixels, by even-odd crossings.
 *
 * @param  list<list<array{float, float}>>  $loops
 * @return array<int, true>
 */
function cells(array $loops): array
{
    $cells = [];
    for ($y = GRID / 2; $y < PX; $y += GRID) {
        $cuts = [];
        foreach ($loops as $loop) {
            $n = count($loop);
            foreach ($loop as $i => [$ax, $ay]) {
                [$bx, $by] = $loop[($i + 1) % $n];
                if (($ay <= $y) !== ($by <= $y)) {
                    $cuts[] = $ax + ($y - $ay) / ($by - $ay) * ($bx - $ax);
                }
            }
        }
        sort($cuts);
        for ($k = 0; $k + 1 < count($cuts); $k += 2) {
            $first = max(GRID / 2, ceil(($cuts[$k] - GRID / 2) / GRID) * GRID + GRID / 2);
            for ($x = $first; $x < min(PX, $cuts[$k + 1]); $x += GRID) {
                $cells[(int) ($y / GRID) * 1000 + (int) ($x / GRID)] = true;
            }
        }
    }

    return $cells;
}

/** @return array<int, true> the cells under a part or a detail as it was drawn */
function covered(array $drawn): array
{
    return cells([array_map(static fn (array $p): array => onPicture($p, PX), $drawn['points'])]);
}

function overlap(array $one, array $two): float
{
    $both = count(array_intersect_key($one, $two));

    return $both / max(1, count($one) + count($two) - $both);
}

/**
 * The best overlaps first, each of either side once.
 *
 * @return array<int, int> the found one by the true one
 */
function matched(array $true, array $found, float $least): array
{
    $all = [];
    foreach ($true as $i => $one) {
        foreach ($found as $j => $two) {
            $share = overlap($one, $two);
            if ($share >= $least) {
                $all["$i $j"] = $share;
            }
        }
    }
    arsort($all);
    $matched = [];
    foreach (array_keys($all) as $pair) {
        [$i, $j] = array_map(intval(...), explode(' ', $pair));
        if (! isset($matched[$i]) && ! in_array($j, $matched, true)) {
            $matched[$i] = $j;
        }
    }

    return $matched;
}
