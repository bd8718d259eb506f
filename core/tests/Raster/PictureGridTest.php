<?php

declare(strict_types=1);

use Impa\Raster\CellGrid;
use Impa\Raster\ConnectedComponents;
use Impa\Raster\DistanceTransform;
use Impa\Raster\File\PictureRefused;
use Impa\Raster\FineRaster;
use Impa\Raster\Raster;
use Impa\Raster\Stroke;
use Impa\Seeing\Fitting\Samples;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Segmentation\FiguresApart;
use Impa\Seeing\Views\Facing;
use Impa\Seeing\Wishes;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Tests\Support\Pixels;

describe('DistanceField', function () {
    it('lies within 8 % of straight distances', function () {
        $width = 41;
        $seeds = array_fill(0, $width * $width, -1);
        $seeds[20 * $width + 20] = 7;
        [$far, $labels] = DistanceTransform::from($seeds, $width);
        foreach ($far as $i => $thirds) {
            $straight = hypot(($i % $width) - 20, intdiv($i, $width) - 20);
            // Borgefors (1986) gives at most 8 % for steps of 3 and 4.
            expect($thirds / DistanceTransform::SIDE)
                ->toEqualWithDelta($straight, 0.081 * $straight + 1e-9)
                ->and($labels[$i])
                ->toBe(7);
        }
    });

    it('says for every cell which seed is nearest', function () {
        $width = 30;
        $seeds = array_fill(0, $width * $width, -1);
        $seeds[15 * $width + 4] = 1;
        $seeds[15 * $width + 25] = 2;
        [, $labels] = DistanceTransform::from($seeds, $width);
        foreach ($labels as $i => $label) {
            $x = $i % $width;
            if (abs($x - 14.5) > 1) {
                expect($label)->toBe($x < 14.5 ? 1 : 2);
            }
        }
    });

    it('is deepest in the middle, 0 outside, and takes the border for outside', function () {
        $width = 21;
        $inside = [];
        for ($i = 0; $i < $width * $width; $i++) {
            $inside[] = abs(($i % $width) - 10) <= 6 && abs(intdiv($i, $width) - 10) <= 6;
        }
        $deep = DistanceTransform::within($inside, $width);
        expect(max($deep))
            ->toBe($deep[10 * $width + 10])
            ->and($deep[10 * $width + 10] / DistanceTransform::SIDE)
            ->toEqualWithDelta(7, 1e-9)
            ->and($deep[0])
            ->toBe(0)
            ->and(DistanceTransform::within(array_fill(0, 9, true), 3)[4])
            ->toBe(2 * DistanceTransform::SIDE);
    });
});

describe('Grid', function () {
    it('keeps a blob\'s area and form on coarser cells', function () {
        $blob = Pixels::blob(Pixels::where(Pixels::oval(10, -20, 80, 50)));
        $grid = CellGrid::of($blob, 60);
        $cells = count(array_filter($grid->inside));
        expect($cells * $grid->pxPerCell ** 2)->toEqualWithDelta($blob->area(), 0.03 * $blob->area());
        foreach ($blob->pixels as $pixel => $_) {
            expect($grid->cell($pixel))
                ->toBeGreaterThan($grid->width)
                ->toBeLessThan(count($grid->inside) - $grid->width);
        }
    });

    it('counts connected pieces', function () {
        $width = 12;
        $marked = array_fill(0, $width * 6, false);
        foreach ([14, 15, 26, 19, 20, 45] as $i) {
            $marked[$i] = true;
        }
        $pieces = ConnectedComponents::ofLabels(array_map(static fn (bool $in): int => $in ? 0 : -1, $marked), $width)[0];
        expect($pieces[14])
            ->toBe($pieces[15])
            ->toBe($pieces[26])
            ->and($pieces[19])
            ->toBe($pieces[20])
            ->not->toBe($pieces[14])
            ->and(max($pieces))
            ->toBe(2)
            ->and($pieces[0])
            ->toBe(-1);
    });

    it('looks up what a map of the picture says beside the blob', function () {
        $pixels = Pixels::where(Pixels::oval(0, 0, 50, 50));
        $map = array_fill(0, Pixels::SIZE ** 2, -1);
        foreach (Pixels::where(static fn (float $x, float $y): bool => $y > 20 && hypot($x, $y) > 50) as $i => $_) {
            $map[$i] = 4;
        }
        $grid = CellGrid::of(Pixels::blob($pixels), 50);
        $said = array_count_values($grid->mapped(array_values($map)));
        expect(array_keys($said))
            ->toEqualCanonicalizing([-1, 4])
            ->and($said[4])
            ->toBeGreaterThan(20);
    });
});

describe('Samples', function () {
    it('measures intersection over union as areas say', function () {
        // Two discs of radius 50, 50 apart: their lens and union by the circle-circle formula.
        $pixels = Pixels::where(Pixels::oval(0, 0, 50, 50));
        $samples = Samples::of(Pixels::blob($pixels), Pixels::map($pixels), 120, 2.2);
        $halves = array_map(static fn (int $k): float => 2 * sqrt((($k + 0.5) / 200) * (1 - ($k + 0.5) / 200)), range(0, 199));
        [$both, $either, $hidden] = $samples->cover($halves, 100, 100, Pixels::SIZE / 2 + 50, -Pixels::SIZE / 2, 0);
        $lens = 2 * 50 ** 2 * acos(0.5) - (50 / 2) * sqrt(4 * 50 ** 2 - 50 ** 2);
        expect($both / $either)
            ->toEqualWithDelta($lens / (2 * M_PI * 50 ** 2 - $lens), 0.015)
            ->and($hidden)
            ->toBe(0);
    });

    it('gives the same answer by half-widths and by the shape itself', function (ShapeKind $kind, float $deg) {
        $solid = Catalogue::solid($kind, Size::of(60, 110, 60));
        $pixels = Pixels::where(Pixels::oval(5, 8, 50, 70));
        $samples = Samples::of(Pixels::blob($pixels), Pixels::map($pixels), 60, 1.5);
        $halves = [];
        for ($k = 0; $k < 400; $k++) {
            $halves[] = $solid->profile(($k + 0.5) / 400);
        }
        [$a, $b] = [$samples->cover($halves, 60, 110, 120, -120, $deg), $samples->coverBy($solid, 120, -120, $deg)];
        expect($a[0])->toEqualWithDelta($b[0], 12)->and($a[1])->toEqualWithDelta($b[1], 12);
    })
        ->with([ShapeKind::Ball, ShapeKind::Cone, ShapeKind::Sausage])
        ->with([0.0, 40.0]);

    it('tells blob, ground and what may hide apart', function () {
        $pixels = Pixels::where(static fn (float $x, float $y): bool => abs($x) < 40 && abs($y) < 40);
        $map = Pixels::map($pixels);
        foreach (Pixels::where(static fn (float $x, float $y): bool => $x >= 40 && $x < 60 && abs($y) < 40) as $i => $_) {
            $map[$i] = 3;
        }
        $counts = array_count_values(Samples::of(Pixels::blob($pixels), $map, 40, 1.5)->seen);
        expect($counts[1])
            ->toBeGreaterThan(600)
            ->and($counts[-1])
            ->toBeGreaterThan(50)
            ->and($counts[0])
            ->toBeGreaterThan(300)
            ->and(array_count_values(Samples::of(Pixels::blob($pixels), $map, 40, 1.5)->withoutHiding()->seen))
            ->not->toHaveKey(-1);
    });
});

describe('Sheet', function () {
    it('holds outlines in mm and gives places back', function () {
        $square = [[-10.0, 5.0], [10.0, 5.0], [10.0, 25.0], [-10.0, 25.0]];
        $hole = [[-4.0, 11.0], [4.0, 11.0], [4.0, 19.0], [-4.0, 19.0]];
        $sheet = FineRaster::over($square);
        $whole = $sheet->inside([$square]);
        expect(count($whole) / $sheet->pxPerMm ** 2)
            ->toEqualWithDelta(400, 8)
            ->and(count($sheet->inside([$square, $hole])) / $sheet->pxPerMm ** 2)
            ->toEqualWithDelta(336, 10);
        foreach (array_keys($whole) as $k => $pixel) {
            if ($k % 997 === 0) {
                [$x, $y] = $sheet->mm($pixel);
                expect(abs($x))->toBeLessThan(10.2)->and($y)->toBeGreaterThan(4.8)->toBeLessThan(25.2);
            }
        }
        [$x, $y] = $sheet->place($sheet->width / 2, -$sheet->height / 2);
        expect([$x, $y])->toEqualWithDelta([0.0, 15.0], 0.1);
    });
});

describe('Figures and facing', function () {
    it('counts what stands side by side, not what stands above or is small', function () {
        $count = static function (callable $draw): int {
            $raster = Raster::decode(Pixels::png($draw));

            return count(FiguresApart::of(Background::of($raster), $raster->width)->boxes);
        };
        expect($count(fn ($i) => imagefilledellipse($i, 150, 150, 200, 200, 0x804020)))
            ->toBe(1)
            ->and(
                $count(function ($i) {
                    imagefilledellipse($i, 80, 150, 100, 200, 0x804020);
                    imagefilledellipse($i, 220, 150, 100, 200, 0x804020);
                }),
            )
            ->toBe(2)
            ->and(
                $count(function ($i) {
                    imagefilledellipse($i, 150, 70, 150, 100, 0x804020);
                    imagefilledellipse($i, 150, 220, 150, 120, 0x804020);
                }),
            )
            ->toBe(1)
            ->and(
                $count(function ($i) {
                    imagefilledellipse($i, 110, 150, 180, 200, 0x804020);
                    imagefilledellipse($i, 260, 60, 24, 24, 0x804020);
                }),
            )
            ->toBe(1);
    });

    it('leaves an accessory with the figure that it stands nearest to', function () {
        $raster = Raster::decode(
            Pixels::png(function ($i) {
                imagefilledellipse($i, 70, 150, 100, 200, 0x804020);
                imagefilledellipse($i, 230, 150, 100, 200, 0x804020);
                imagefilledellipse($i, 230, 25, 20, 20, 0x204080);
            }),
        );
        $ground = Background::of($raster);
        $figures = FiguresApart::of($ground, $raster->width);
        $right = $figures->only(2, $ground);
        expect($right->figure[25 * 300 + 230])
            ->toBeTrue()
            ->and($right->figure[150 * 300 + 70])
            ->toBeFalse()
            ->and($figures->only(0, $ground)->count)
            ->toBe($ground->count)
            ->and($figures->only(9, $ground)->count)
            ->toBe($ground->count);
    });

    it('looks at a drawing and at its mirror image the same way round', function () {
        mt_srand(5);
        foreach (range(1, 6) as $_) {
            $blobs = array_map(
                static fn (): array => [mt_rand(40, 260), mt_rand(40, 260), mt_rand(20, 90), mt_rand(0, 0xC0C0C0)],
                range(1, 5),
            );
            $raster = Raster::decode(
                Pixels::png(static function ($i) use ($blobs): void {
                    foreach ($blobs as [$x, $y, $size, $colour]) {
                        imagefilledellipse($i, $x, $y, $size, $size, $colour);
                    }
                }),
            );
            $ground = Background::of($raster);
            expect(Facing::isHeavyRight($raster, $ground))->not->toBe(
                Facing::isHeavyRight($raster->mirrored(), $ground->mirrored($raster->width)),
            );
        }
    })->group('dear');

    it('is itself again when mirrored twice', function () {
        $raster = Raster::decode(Pixels::png(fn ($i) => imagefilledellipse($i, 100, 150, 90, 130, 0x804020), 200, 260));
        expect($raster->mirrored()->pixels)
            ->not->toBe($raster->pixels)
            ->and($raster->mirrored()->mirrored()->pixels)
            ->toBe($raster->pixels);
    });
});

describe('Stroke', function () {
    it('follows a roll through its bend: its length, width and ends', function (float $bendDeg) {
        $blob = Pixels::blob(Pixels::of(Catalogue::solid(ShapeKind::Arc, Size::of(16, 170, 16), ['bendDeg' => $bendDeg])));
        $stroke = Stroke::of($blob);
        expect($stroke->widthPx)
            ->toEqualWithDelta(16, 3)
            ->and($stroke->lengthPx)
            ->toEqualWithDelta(170, 22)
            ->and($stroke->covers($blob, 0.9))
            ->toBeTrue();
    })->with([0.0, 60.0, 120.0, 180.0]);

    it('is no line on a clump, a ring or a cross', function (callable $in) {
        $blob = Pixels::blob(Pixels::where($in));
        expect(Stroke::of($blob)->covers($blob, 0.94))->toBeFalse();
    })->with([
        'a clump' => [fn () => Pixels::oval(0, 0, 60, 50)],
        'a ring' => [fn () => static fn (float $x, float $y): bool => abs(hypot($x, $y) - 60) < 8],
        'a cross' => [
            fn () => static fn (float $x, float $y): bool => (abs($x) < 9 && abs($y) < 80) || (abs($y) < 9 && abs($x) < 80),
        ],
    ]);
});

it('refuses wishes that make no sense, in words', function (callable $wish, string $words) {
    expect($wish)->toThrow(PictureRefused::class, $words);
})->with([
    [fn () => Wishes::of(5), '10 mm and 2.00 m'],
    [fn () => Wishes::of(NAN), '10 mm and 2.00 m'],
    [fn () => Wishes::of(100, 1.2), 'between 0 and 1'],
    [fn () => Wishes::of(100, 0.5, -1), 'counted from 1'],
    [fn () => Wishes::of(100, 0.5, 1, 50), '0 to 10 mm'],
]);
