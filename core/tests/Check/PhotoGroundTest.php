<?php

declare(strict_types=1);

namespace Impa\Tests\PhotoGround;

use Impa\Check\Photo\Photo;
use Impa\Check\Photo\PhotoGround;
use Impa\Check\Photo\PhotoRefused;
use Impa\Tests\Support\Painted;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Normal numbers by Box and Muller's sum in closed form. */
function normal(Randomizer $random): float
{
    $share = static fn (): float => $random->getInt(1, 1_000_000_000) / 1_000_000_000;

    return sqrt(-2 * log($share())) * cos(2 * M_PI * $share());
}

/** A ground whose cells differ by chance, sigma grey values in each channel, and a square that differs from it in its light. */
function grained(float $sigma, float $by, int $seed = 7): Photo
{
    $random = new Randomizer(new Mt19937($seed));
    $cells = [];
    for ($i = 0; $i < Painted::CELLS_WIDE * Painted::CELLS_HIGH; $i++) {
        $cells[] = [130 + $sigma * normal($random), 130 + $sigma * normal($random), 130 + $sigma * normal($random)];
    }

    return Painted::cells(static function (int $x, int $y) use ($cells, $by): array {
        $in = Painted::isIn($x, $y, 40, 69, 30, 59) ? $by : 0.0;

        return array_map(static fn (float $c): float => $c + $in, $cells[$y * Painted::CELLS_WIDE + $x]);
    });
}

/** Cells of the square of `grained` that are told to stand on the ground. */
function told(Photo $photo): int
{
    return count(array_intersect(array_keys(PhotoGround::of($photo)->foreground), Painted::box(40, 69, 30, 59)));
}

describe('a photo', function () {
    it('has between its pixels what a surface that is linear in x and in y has there', function () {
        $photo = Painted::photo(static fn (int $x, int $y): array => [$x, 255 - $y, $x * $y], 200, 120);
        foreach ([[10.25, 20.5], [3.5, 40.75], [0.0, 0.0], [7.0, 12.0]] as [$x, $y]) {
            expect(array_slice($photo->at($x, $y), 0, 2))->toEqualWithDelta([$x, 255 - $y], 1e-9);
        }
        expect($photo->at(3.25, 4.5)[2])->toEqualWithDelta(3.25 * 4.5, 1e-9)
            ->and($photo->rgb(7, 12))->toBe([7, 243, 84]);
    });

    it('has no colour beyond its middles of pixels', function (float $x, float $y, bool $is) {
        $photo = Painted::photo(static fn (): array => [9, 8, 7], 40, 30);
        $at = $photo->at($x, $y);
        $is ? expect($at)->toEqualWithDelta([9.0, 8.0, 7.0], 1e-9) : expect(array_filter($at, is_nan(...)))->toHaveCount(3);
    })->with([
        [0.0, 0.0, true], [-0.01, 5.0, false], [5.0, -0.01, false], [38.99, 28.99, true], [39.0, 5.0, false], [5.0, 29.0, false],
    ]);

    it('is looked at with 1200 pixels at most, and says how many of its own go to one', function () {
        $large = Painted::photo(static fn (): array => [9, 8, 7], 1800, 30);
        $small = Painted::photo(static fn (): array => [9, 8, 7], 1200, 30);
        expect([$large->width, $large->height, $large->ownPerPx])->toEqual([1200, 20, 1.5])
            ->and([$small->width, $small->height, $small->ownPerPx])->toEqual([1200, 30, 1.0]);
    });
});

describe('what stands on the ground', function () {
    it('is a square to the cell, in a light that falls off as a quadratic surface does', function () {
        $photo = Painted::photo(static function (int $x, int $y): array {
            [$u, $v] = [$x / Painted::WIDTH, $y / Painted::HEIGHT];
            $light = 1.0 - 0.3 * $u * $u - 0.15 * $v + 0.1 * $u * $v - 0.1 * $v * $v;
            $in = Painted::isIn(intdiv($x, 3), intdiv($y, 3), 40, 69, 30, 49) ? 30 : 0;

            return [220 * $light, 210 * $light - $in, 190 * $light];
        });
        expect(Painted::sorted(PhotoGround::of($photo)->foreground))->toBe(Painted::box(40, 69, 30, 49));
    });

    it('is what differs by 16 grey values, taken over all channels', function (array $by, bool $stands) {
        $photo = Painted::cells(static fn (int $x, int $y): ?array => Painted::isIn($x, $y, 40, 49, 30, 39)
            ? [200 + $by[0], 190 + $by[1], 170 + $by[2]]
            : null);
        expect(count(PhotoGround::of($photo)->foreground))->toBe($stands ? 100 : 0);
    })->with([
        [[15, 0, 0], false], [[0, -15, 0], false], [[0, 0, 15], false], [[17, 0, 0], true], [[0, -17, 0], true], [[0, 0, 17], true],
        [[9, 9, 9], false], [[10, 10, -10], true],
    ]);

    it('has no single cells and no ends of threads, which are noise', function () {
        $photo = Painted::cells(static fn (int $x, int $y): ?array => match (true) {
            $x === 20 && $y === 20, $y === 50 && $x >= 30 && $x <= 39, $x === 90 && $y >= 30 && $y <= 39 => [40, 40, 40],
            default => null,
        });
        $column = array_map(static fn (int $y): int => $y * Painted::CELLS_WIDE + 90, range(31, 38));
        $all = [...Painted::box(31, 38, 50, 50), ...$column];
        sort($all);
        expect(Painted::sorted(PhotoGround::of($photo)->foreground))->toBe($all);
    });

    it('differs by more than five sigma where the ground is grained', function () {
        // In light alone, 30 in each channel differ by 52; and grain of 6 and 9 has limits of 30 and 45, of 13 one of 65.
        expect(told(grained(6.0, 30.0)))->toBeGreaterThan(890)
            ->and(told(grained(9.0, 30.0)))->toBeBetween(600, 850)
            ->and(told(grained(13.0, 30.0)))->toBeLessThan(300);
    });

    it('cannot be told on a ground whose grain is above 14 grey values, or that is too dark', function () {
        expect(told(grained(14.4, 120.0)))->toBe(900)
            ->and(static fn () => PhotoGround::of(grained(15.0, 120.0)))->toThrow(PhotoRefused::class, 'too busy')
            ->and(PhotoGround::of(Painted::cells(static fn (): ?array => null, [20, 41, 30]))->foreground)->toBe([])
            ->and(static fn () => PhotoGround::of(Painted::cells(static fn (): ?array => null, [20, 39, 30])))
            ->toThrow(PhotoRefused::class, 'too dark');
    });

    it('is too dark where its middle is, in a light that falls off', function (array $light, bool $isDark) {
        $photo = static fn (): PhotoGround => PhotoGround::of(Painted::photo(static function (int $x, int $y) use ($light): array {
            [$from, $acrossTo, $downTo] = $light;
            $grey = $from + ($acrossTo - $from) * $x / Painted::WIDTH + ($downTo - $from) * $y / Painted::HEIGHT;

            return [$grey, $grey, $grey];
        }));
        $isDark
            ? expect($photo)->toThrow(PhotoRefused::class, 'too dark')
            : expect($photo()->foreground)->toBe([]);
    })->with([
        [[90, 20, 90], false], [[90, 90, 20], false], [[60, 10, 60], true], [[60, 60, 10], true],
    ]);

    it('is looked at as a sheet from 15 % of the picture on', function (int $rows, bool $isSheet) {
        $table = Painted::cells(static fn (int $x, int $y): ?array => Painted::isIn($x, $y, 30, 89, 30, 29 + $rows)
            ? [230, 228, 225]
            : null, [110, 80, 50]);
        expect(PhotoGround::of($table)->onSheet($table) !== null)->toBe($isSheet);
    })->with([[29, false], [30, true], [31, true]]);

    it('is found where a third of the rim is something else, and not where half of it is', function () {
        $strip = static fn (bool $two): Photo => Painted::cells(static fn (int $x, int $y): ?array => match (true) {
            $y < 12, $two && $x < 16 && $y < 70 => [20, 30, 140],
            default => null,
        });
        $foreground = PhotoGround::of($strip(false))->foreground;
        expect(Painted::sorted($foreground))->toBe(Painted::box(0, Painted::CELLS_WIDE - 1, 0, 11))
            ->and(static fn () => PhotoGround::of($strip(true)))->toThrow(PhotoRefused::class, 'too busy');
    });

    it('is found where a quarter of the rim is a tenth darker, by what most of it is', function (int $to, int $right) {
        // The shadow of a book, along the upper rim and down the left one; light falls off by a tenth to the right.
        $isDark = static fn (int $x, int $y): bool => ($y < 12 && $x < $to) || ($x < 12 && $y < $right);
        $photo = Painted::cells(static function (int $x, int $y) use ($isDark): array {
            $light = (1 - 0.1 * $x / Painted::CELLS_WIDE) * ($isDark($x, $y) ? 0.9 : 1.0);

            return [220 * $light, 210 * $light, 190 * $light];
        });
        $all = array_unique([...Painted::box(0, $to - 1, 0, 11), ...Painted::box(0, 11, 0, $right - 1)]);
        sort($all);
        expect(Painted::sorted(PhotoGround::of($photo)->foreground))->toBe($all);
    })->with([[40, 12], [80, 12], [60, 60], [90, 12]]);

    it('is told piece by piece, the largest first', function () {
        $photo = Painted::cells(static fn (int $x, int $y): ?array => Painted::isIn($x, $y, 20, 24, 20, 24)
            || Painted::isIn($x, $y, 60, 79, 40, 59) || Painted::isIn($x, $y, 40, 49, 20, 29) ? [30, 30, 90] : null);
        expect(array_map(count(...), PhotoGround::of($photo)->pieces()))->toBe([400, 100, 25]);
    });
});

describe('a shadow', function () {
    /** Felt of 20 x 20 cells with a shadow of 20 x 15 to its right, in which so much of the light is left. */
    function withShadow(float $light, array $off = [0, 0, 0]): array
    {
        $ground = PhotoGround::of(Painted::cells(static fn (int $x, int $y): ?array => match (true) {
            Painted::isIn($x, $y, 40, 59, 40, 59) => [180, 40, 50],
            Painted::isIn($x, $y, 60, 79, 43, 57) => [200 * $light + $off[0], 190 * $light + $off[1], 170 * $light + $off[2]],
            default => null,
        }));

        return [$ground, static fn (float $darkest): array => $ground->withoutShadow($ground->pieces(), $darkest)];
    }

    it('is the ground in less light: away where it may be so dark, kept where it may not', function () {
        [$ground, $without] = withShadow(0.7);
        $kept = array_keys(array_replace([], ...$without(0.65)));
        // An opening leaves two corners of it.
        expect(count($ground->foreground))->toBe(700)
            ->and(array_diff(Painted::box(40, 59, 40, 59), $kept))->toBe([])->and(count($kept))->toBe(402)
            ->and(array_sum(array_map(count(...), $without(0.75))))->toBe(700)
            ->and(array_sum(array_map(count(...), $without(1.0))))->toBe(700);
    });

    it('has the hue of the ground to 7 grey values', function (array $off, int $left) {
        [, $without] = withShadow(0.7, $off);
        expect(array_sum(array_map(count(...), $without(0.45))))->toBe($left);
    })->with([
        [[0, 8, 0], 402], [[0, -8, 0], 402], [[0, 14, 0], 700], [[0, -14, 0], 700], [[8, 0, 0], 402], [[14, 0, 0], 700],
        [[0, 0, -8], 402], [[0, 0, -14], 700],
    ]);

    it('has it to two sigma where the ground is grained', function () {
        $random = new Randomizer(new Mt19937(3));
        $grain = array_map(
            static fn (): array => [6 * normal($random), 6 * normal($random), 6 * normal($random)],
            range(1, Painted::CELLS_WIDE * Painted::CELLS_HIGH),
        );
        $ground = PhotoGround::of(Painted::cells(static function (int $x, int $y) use ($grain): array {
            [$r, $g, $b] = $grain[$y * Painted::CELLS_WIDE + $x];
            $light = Painted::isIn($x, $y, 40, 69, 30, 59) ? 0.6 : 1.0;

            return [200 * $light + $r, 190 * $light + $g, 170 * $light + $b];
        }));
        $left = array_sum(array_map(count(...), $ground->withoutShadow($ground->pieces(), 0.45)));
        // Of a normal number 5 % lie beyond two sigma, of three some 14 %; the opening keeps what lies round those.
        expect(count($ground->foreground))->toBeGreaterThan(880)->and($left)->toBeBetween(60, 500);
    });

    it('is nothing that is lighter than the ground', function () {
        [$ground, $without] = withShadow(1.2);
        expect(count($ground->foreground))->toBe(700)->and(array_sum(array_map(count(...), $without(0.45))))->toBe(700);
    });

    it('is not the rim of dark felt, which is half ground; a crease away from all felt is', function () {
        $half = [140, 133, 119];
        $photo = Painted::cells(static fn (int $x, int $y): ?array => match (true) {
            Painted::isIn($x, $y, 42, 57, 42, 57) => [20, 20, 24],
            Painted::isIn($x, $y, 41, 58, 41, 58) => $half,
            Painted::isIn($x, $y, 80, 81, 20, 79) => $half,
            default => null,
        });
        $ground = PhotoGround::of($photo);
        $kept = Painted::sorted(array_replace([], ...$ground->withoutShadow($ground->pieces(), 0.45)));
        // Its four corners have two neighbours each and count.
        expect(count($ground->foreground))->toBe(18 * 18 + 2 * 60)->and($kept)->toBe(Painted::box(41, 58, 41, 58));
    });
});

describe('a sheet on a table', function () {
    function onTable(int $right, array $sheet = [230, 228, 220], bool $busy = false): Photo
    {
        return Painted::cells(static fn (int $x, int $y): ?array => match (true) {
            Painted::isIn($x, $y, 45, 64, 45, 54) => [180, 40, 50],
            Painted::isIn($x, $y, 30, $right, 30, 79) => $busy ? [$sheet, [90, 140, 60], [60, 60, 190]][($x * 7 + $y * 4) % 3] : $sheet,
            default => null,
        }, [120, 85, 60]);
    }

    it('is the ground of what lies on it', function () {
        $photo = onTable(89);
        $table = PhotoGround::of($photo);
        expect(Painted::sorted($table->foreground))->toBe(Painted::box(30, 89, 30, 79))
            ->and(Painted::sorted($table->onSheet($photo)->foreground ?? []))->toBe(Painted::box(45, 64, 45, 54));
    });

    it('takes up 15 % of the picture, and is plain', function () {
        // 50 rows: 36 columns are 15 % of 12,000 cells.
        foreach ([64 => false, 66 => true] as $right => $is) {
            $photo = onTable($right);
            expect(PhotoGround::of($photo)->onSheet($photo) !== null)->toBe($is);
        }
        $photo = onTable(89, busy: true);
        expect(PhotoGround::of($photo)->onSheet($photo))->toBeNull();
    });
});
