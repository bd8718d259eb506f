<?php

declare(strict_types=1);

namespace Impa\Tests\ForegroundMask;

use Impa\Check\Photo\ForegroundMask;
use Impa\Check\Photo\Marks;
use Impa\Check\Photo\Photo;
use Impa\Check\Photo\PhotoGround;
use Impa\Check\Photo\PhotoRefused;
use Impa\Check\Photo\Scale;
use Impa\Colour\Srgb;
use Impa\Tests\Support\Painted;

/** Middles of four marks in pixels: upper left, upper right, lower right, lower left. */
const MIDDLES = [[40.3, 35.8], [310.6, 50.2], [300.4, 260.7], [50.1, 250.5]];

/**
 * A sheet's four discs of 15 pixels, one with a hole of 6, their rims as smooth as a camera's, over whatever else there is.
 *
 * @param  ?callable(int, int, int): ?array{int, int, int}  $disc  the colour of a mark's pixel, by mark and place off its middle
 * @param  ?callable(int, int): ?array{int, int, int}  $else
 * @param  list<array{float, float}>  $middles
 */
function marked(int $hollow, ?callable $disc = null, ?callable $else = null, array $middles = MIDDLES): Photo
{
    $covered = static fn (float $off): float => max(0.0, min(1.0, 0.5 - $off));

    return Painted::photo(static function (int $x, int $y) use ($hollow, $disc, $else, $middles, $covered): array {
        $paper = ($else === null ? null : $else($x, $y)) ?? [225, 222, 215];
        foreach ($middles as $i => [$mx, $my]) {
            $off = hypot($x - $mx, $y - $my);
            $own = $disc === null ? null : $disc($i, (int) round($x - $mx), (int) round($y - $my));
            if ($own !== null) {
                return $own;
            }
            $ink = $covered($off - 15) - ($i === $hollow ? $covered($off - 6) : 0.0);
            if ($ink > 0.0) {
                return array_map(static fn (int $light, int $dark): float => $light + $ink * ($dark - $light), $paper, [30, 30, 32]);
            }
        }

        return $paper;
    });
}

function marks(Photo $photo): ?Marks
{
    $ground = PhotoGround::of($photo);

    return Marks::among($ground->pieces(), $ground, $photo);
}

/**
 * @param  list<Srgb>  $colours
 * @return list<int> cells of the figure, by turns
 */
function counts(Photo $photo, ?Scale $scale = null, array $colours = []): array
{
    $counts = [];
    foreach (ForegroundMask::on($photo, $scale, $colours) as $mask) {
        $counts[] = count($mask->cells);
    }

    return $counts;
}

describe('the marks of a sheet', function () {
    it('are found to a twentieth of a pixel, told from the one with a hole, whichever way the sheet lies', function (int $hollow) {
        $corners = marks(marked($hollow))->corners ?? [];
        // The sheet's own corners begin after its lower left.
        foreach ([1, 2, 3, 0] as $at => $after) {
            expect($corners[$at] ?? null)->toEqualWithDelta(MIDDLES[($hollow + $after) % 4], 0.05);
        }
        expect($corners)->toHaveCount(4);
    })->with([3, 0, 1, 2]);

    it('are found on a sheet that lies askew, either way, by a pair of others beside them', function (array $middles) {
        // Two of its own size within the sheet, near its middle line: no corner of it.
        $isInner = static fn (int $x, int $y): bool => min(hypot($x - 150, $y - 150), hypot($x - 210, $y - 150)) <= 12;
        $inner = static fn (int $x, int $y): ?array => $isInner($x, $y) ? [30, 30, 32] : null;
        $corners = marks(marked(3, else: $inner, middles: $middles))->corners ?? [];
        foreach ($middles as $i => $middle) {
            expect($corners[$i] ?? null)->toEqualWithDelta($middle, 0.05);
        }
    })->with([
        'with the clock' => [[[130.0, 25.0], [330.0, 95.0], [240.0, 275.0], [30.0, 200.0]]],
        'against it' => [[[30.0, 100.0], [230.0, 25.0], [330.0, 200.0], [125.0, 275.0]]],
    ]);

    it('lie a cell off the edge of the picture, all of them', function (float $x, float $y, bool $is) {
        // A mark's box begins on the cell in which its rim does.
        $middles = [[60.0, 60.0], [300.0, 60.0], [300.0, 240.0], [60.0, 240.0]];
        $middles[($y > 150 ? 2 : 0) + (($x > 180) === ($y > 150) ? 0 : 1)] = [$x, $y];
        expect(marks(marked(3, middles: $middles)) !== null)->toBe($is);
    })->with([
        'left' => [18.6, 60.0, true], 'off to the left' => [17.0, 60.0, false],
        'above' => [60.0, 18.6, true], 'off above' => [60.0, 17.0, false],
        'right' => [340.0, 60.0, true], 'off to the right' => [342.5, 60.0, false],
        'below' => [300.0, 280.0, true], 'off below' => [300.0, 282.5, false],
    ]);

    it('are four', function () {
        expect(marks(marked(3, static fn (int $i): ?array => $i === 1 ? [225, 222, 215] : null)))->toBeNull();
    });

    it('are dark and grey', function (array $colour, bool $is) {
        $photo = marked(3, static fn (int $i, int $x, int $y): ?array => $i === 1 && hypot($x, $y) <= 15 ? $colour : null);
        expect(marks($photo) !== null)->toBe($is);
    })->with([
        [[70, 68, 66], true], [[96, 95, 94], false], [[60, 30, 35], true], [[70, 10, 15], false], [[10, 70, 15], false],
        [[15, 10, 70], false],
    ]);

    it('are round, of one size, and no outlines', function (callable $is, bool $isMark) {
        $photo = marked(3, static fn (int $i, int $x, int $y): ?array => match (true) {
            $i !== 1 => null,
            $is($x, $y) => [30, 30, 32],
            hypot($x, $y) <= 16 => [225, 222, 215],
            default => null,
        });
        expect(marks($photo) !== null)->toBe($isMark);
    })->with([
        'a disc half as large again' => [static fn (int $x, int $y): bool => hypot($x, $y) <= 19, true],
        'one twice as large' => [static fn (int $x, int $y): bool => hypot($x, $y) <= 26, false],
        'a slanting disc' => [static fn (int $x, int $y): bool => hypot($x / 1.5, $y) <= 12, true],
        'a bar' => [static fn (int $x, int $y): bool => abs($x) <= 24 && abs($y) <= 8, false],
        'a cross' => [static fn (int $x, int $y): bool => min(abs($x), abs($y)) <= 3 && max(abs($x), abs($y)) <= 20, false],
    ]);

    it('are those that lie farthest out, and hold what is between them', function () {
        $inner = static fn (int $x, int $y): ?array => hypot($x - 120, $y - 120) <= 15 ? [30, 30, 32] : null;
        $marks = marks(marked(3, else: $inner));
        foreach (MIDDLES as $i => $middle) {
            expect($marks->corners[$i] ?? null)->toEqualWithDelta($middle, 0.05);
        }
        foreach ([[180, 150], [60, 60], [295, 240], [60, 240]] as [$x, $y]) {
            expect($marks?->hold($x, $y))->toBeTrue();
        }
        foreach ([[30, 150], [180, 30], [320, 150], [180, 275], [-900, 150]] as [$x, $y]) {
            expect($marks?->hold($x, $y))->toBeFalse();
        }
        // Turned, its corners still go round with the clock: a sheet is never seen in a mirror.
        expect(marks(marked(1))?->hold(180, 150))->toBeTrue();
    });

    it('are eight cells large at least, wherever they stand among the pieces', function () {
        $small = static fn (int $i, int $x, int $y): ?array => match (true) {
            max(abs($x), abs($y)) <= 3 => [30, 30, 32],
            hypot($x, $y) <= 16 => [225, 222, 215],
            default => null,
        };
        expect(marks(marked(3, $small)))->toBeNull()
            ->and(marks(marked(3))->places ?? [])->toEqualCanonicalizing([0, 1, 2, 3]);
    });
});

describe('what tells the scale', function () {
    it('is pixels over mm by Pythagoras, or nothing where a part tells it', function () {
        expect(Scale::byRuler([10.0, 20.0], [40.0, 60.0], 25.0)->pxPerMm())->toEqualWithDelta(2.0, 1e-12)
            ->and(Scale::byPart('head', 25.0)->pxPerMm())->toBeNull()
            ->and(Scale::byPart('head', 25.0)->part)->toBe('head');
    });

    it('takes places from 20 pixels apart and 1 to 1000 mm', function (float $px, float $mm, ?string $why) {
        $read = static fn (): Scale => Scale::byRuler([5.0, 5.0], [5.0, 5.0 + $px], $mm);
        $why === null ? expect($read()->mm)->toBe($mm) : expect($read)->toThrow(PhotoRefused::class, $why);
    })->with([
        [20.0, 1.0, null], [20.0, 1000.0, null], [19.9, 50.0, 'too near'],
        [200.0, 0.99, '1 mm to 1.00 m'], [200.0, 1000.1, '1 mm to 1.00 m'],
        [NAN, 50.0, 'too near'], [200.0, NAN, '1 mm to 1.00 m'],
    ]);

    it('runs over the cells that its line goes through, and over no other', function () {
        $photo = Painted::cells(static fn (): ?array => null);
        $ground = PhotoGround::of($photo);
        $over = static fn (array $from, array $to, int $column, int $row): bool => Scale::byRuler($from, $to, 50.0)
            ->isOn([$row * Painted::CELLS_WIDE + $column => true], $ground, $photo);
        // Three pixels to a cell: from 30.1 to 92.9 those of columns 10 to 30, in row 20; and the same upright.
        foreach (range(0, Painted::CELLS_WIDE - 1) as $n) {
            $is = $n >= 10 && $n <= 30;
            expect($over([30.1, 61.0], [92.9, 61.0], $n, 20))->toBe($is)->and($over([92.9, 61.0], [30.1, 61.0], $n, 20))->toBe($is)
                ->and($over([30.1, 61.0], [92.9, 61.0], $n, 19))->toBeFalse()->and($over([30.1, 61.0], [92.9, 61.0], $n, 21))->toBeFalse();
        }
        foreach (range(0, Painted::CELLS_HIGH - 1) as $n) {
            expect($over([61.0, 30.1], [61.0, 92.9], 20, $n))->toBe($n >= 10 && $n <= 30)
                ->and($over([61.0, 30.1], [61.0, 92.9], 19, $n))->toBeFalse();
        }
        // On the picture's own rim; beyond it nothing, on the rows above and below neither.
        expect($over([0.0, 61.0], [60.0, 61.0], 0, 20))->toBeTrue()
            ->and($over([300.0, 61.0], [359.9, 61.0], 119, 20))->toBeTrue()
            ->and($over([-50.0, 61.0], [-0.1, 61.0], 119, 19))->toBeFalse()
            ->and($over([360.0, 61.0], [400.0, 61.0], 0, 21))->toBeFalse();
    });

    it('lies on what the line between both places runs over', function () {
        $photo = Painted::cells(static fn (int $x, int $y): ?array => Painted::isIn($x, $y, 20, 99, 80, 84) ? [20, 20, 90] : null);
        $ground = PhotoGround::of($photo);
        $piece = $ground->pieces()[0];
        $isOn = static fn (array $from, array $to): bool => Scale::byRuler($from, $to, 50.0)->isOn($piece, $ground, $photo);
        expect($isOn([70.0, 246.0], [250.0, 246.0]))->toBeTrue()
            ->and($isOn([150.0, 200.0], [150.0, 290.0]))->toBeTrue()
            ->and($isOn([70.0, 200.0], [250.0, 200.0]))->toBeFalse()
            ->and($isOn([70.0, 200.0], [70.0, 241.0]))->toBeTrue()
            ->and($isOn([70.0, 200.0], [70.0, 238.0]))->toBeFalse()
            // Beyond the picture there is nothing, on the next row neither.
            ->and($isOn([366.0, 243.0], [440.0, 243.0]))->toBeFalse()
            ->and($isOn([-300.0, 246.0], [-10.0, 246.0]))->toBeFalse()
            ->and(Scale::byPart('head', 30.0)->isOn($piece, $ground, $photo))->toBeFalse();
        // Places are in pixels of the photo as it came, twice as many to a side here.
        $large = Painted::photo(static fn (int $x, int $y): array => Painted::isIn($x, $y, 400, 1900, 500, 540)
            ? [20, 20, 90]
            : [200, 190, 170], 2400, 600);
        $ground = PhotoGround::of($large);
        expect(Scale::byRuler([500.0, 520.0], [1500.0, 520.0], 50.0)->isOn($ground->pieces()[0], $ground, $large))->toBeTrue()
            ->and(Scale::byRuler([500.0, 260.0], [1500.0, 260.0], 50.0)->isOn($ground->pieces()[0], $ground, $large))->toBeFalse();
    });
});

describe('a figure on a photo', function () {
    it('is the largest piece and those of 2 % of it', function () {
        $photo = Painted::cells(static fn (int $x, int $y): ?array => match (true) {
            Painted::isIn($x, $y, 40, 69, 30, 59) => [150, 30, 60],
            Painted::isIn($x, $y, 80, 84, 30, 34), Painted::isIn($x, $y, 80, 83, 60, 63) => [150, 30, 60],
            default => null,
        });
        // 900 cells; 25 are more than a fiftieth of them, 16 less.
        expect(counts($photo))->toBe([925]);
    });

    it('has 60 cells, and lies off the edge of the picture', function () {
        $box = static fn (int $left, int $right, int $top, int $bottom): Photo => Painted::cells(
            static fn (int $x, int $y): ?array => Painted::isIn($x, $y, $left, $right, $top, $bottom) ? [150, 30, 60] : null,
        );
        expect(counts($box(40, 49, 30, 35)))->toBe([60])
            ->and(static fn () => counts($box(40, 49, 30, 34)))->toThrow(PhotoRefused::class, 'No figure is seen')
            ->and(static fn () => counts(Painted::cells(static fn (): ?array => null)))->toThrow(PhotoRefused::class, 'No figure is seen')
            ->and(counts($box(1, 30, 1, 30)))->toBe([900])
            ->and(counts($box(89, 118, 69, 98)))->toBe([900])
            ->and(static fn () => counts($box(0, 30, 30, 60)))->toThrow(PhotoRefused::class, 'cut off')
            ->and(static fn () => counts($box(89, 119, 30, 60)))->toThrow(PhotoRefused::class, 'cut off')
            ->and(static fn () => counts($box(30, 60, 0, 30)))->toThrow(PhotoRefused::class, 'cut off')
            ->and(static fn () => counts($box(30, 60, 69, 99)))->toThrow(PhotoRefused::class, 'cut off');
    });

    it('has no ruler in it, where that is said', function () {
        $photo = Painted::cells(static fn (int $x, int $y): ?array => match (true) {
            Painted::isIn($x, $y, 40, 69, 30, 59) => [150, 30, 60],
            Painted::isIn($x, $y, 20, 99, 80, 84) => [20, 20, 90],
            default => null,
        });
        expect(counts($photo))->toBe([1300])
            ->and(counts($photo, Scale::byRuler([70.0, 246.0], [250.0, 246.0], 60.0)))->toBe([900])
            ->and(counts($photo, Scale::byPart('head', 60.0)))->toBe([1300]);
    });

    it('lies between the marks of a sheet, also where that lies on a table', function () {
        $figure = static fn (int $x, int $y): ?array => match (true) {
            Painted::isIn(intdiv($x, 3), intdiv($y, 3), 50, 69, 40, 59) => [150, 30, 60],
            Painted::isIn(intdiv($x, 3), intdiv($y, 3), 50, 69, 90, 95) => [150, 30, 60],
            default => null,
        };
        $photo = marked(3, else: $figure);
        foreach (ForegroundMask::on($photo, null, []) as $mask) {
            expect(count($mask->cells))->toBe(400)->and($mask->marks)->not->toBeNull();
        }
        $table = static fn (int $x, int $y): ?array => $figure($x, $y)
            ?? ($x < 18 || $x > 335 || $y < 18 || $y > 281 ? [120, 80, 55] : null);
        $onTable = [...ForegroundMask::on(marked(3, else: $table), null, [])];
        expect(array_map(static fn (ForegroundMask $mask): int => count($mask->cells), $onTable))->toBe([400])
            ->and($onTable[0]->marks)->not->toBeNull();
        // A sheet without marks is a thing on the table.
        $bare = Painted::cells(static fn (int $x, int $y): ?array => match (true) {
            Painted::isIn($x, $y, 50, 69, 40, 59) => [150, 30, 60],
            Painted::isIn($x, $y, 20, 99, 20, 79) => [230, 228, 220],
            default => null,
        }, [120, 85, 60]);
        expect(counts($bare))->toBe([4800]);
    });

    it('is looked for without shadows first, and with them where the plan has grey felt that they could be', function () {
        $photo = Painted::cells(static fn (int $x, int $y): ?array => match (true) {
            Painted::isIn($x, $y, 40, 59, 40, 59) => [180, 40, 50],
            Painted::isIn($x, $y, 64, 83, 43, 57) => [140, 133, 119],
            default => null,
        });
        $red = Srgb::hex('#b42832');
        // Grey, from 40 to 88 of lightness: not black, not white, not a blue of chroma 10.
        foreach (['#b42832' => false, '#787878' => true, '#202020' => false, '#f4f4f4' => false, '#707880' => true, '#6a7884' => true,
            '#607890' => false, '#5f5f5f' => true, '#5b5b5b' => false, '#dadada' => true, '#e0e0e0' => false] as $hex => $isGrey) {
            expect(counts($photo, null, [$red, Srgb::hex($hex)]))->toBe($isGrey ? [700, 400] : [400, 700], $hex);
        }
        // What is left of the light is 0.7: the shadow is kept where 0.8 is asked for; nothing is told twice.
        expect(counts($photo, null, [$red]))->toHaveCount(2);
    });
});
