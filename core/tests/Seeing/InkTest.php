<?php

declare(strict_types=1);

namespace Impa\Tests\Ink;

use Impa\Figure\Figure;
use Impa\Raster\CellGrid;
use Impa\Raster\TrappedBall;
use Impa\Render\Painter;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Decomposition\Completion;
use Impa\Seeing\Fitting\Fit;
use Impa\Shape\ShapeKind;
use Impa\Tests\Support\Pixels;
use Impa\Tests\Support\Sketch;

const INK = 0x1C1820;
const FUR = 0xD9A066;

/** @return array<string, list<array<string, mixed>>> the parts of what is seen, by their names without a number */
function seen(Sketch $drawing): array
{
    $parts = [];
    foreach (Breakdown::of($drawing->png(), 100.0)->document['parts'] as $part) {
        $parts[explode(' ', $part['name'])[0]][] = $part;
    }

    return $parts;
}

/** A sitting cat drawn in ink; whiskers and a gap in the head's line where asked. */
function cat(int $fill, float $gapDeg = 0.0, bool $whiskers = true): Sketch
{
    $cat = new Sketch;
    foreach ([-1, 1] as $side) {
        $ear = [[200 + $side * 75, 110], [200 + $side * 85, 40], [200 + $side * 25, 80]];
        $cat->polygon($ear, $fill)->line($ear, 6, INK);
    }
    $cat->oval(200, 280, 130, 180, $fill)->round(200, 280, 130, 180, 6, INK);
    foreach ([-1, 1] as $side) {
        $cat->oval(200 + $side * 35, 365, 50, 30, $fill)->round(200 + $side * 35, 365, 50, 30, 6, INK);
    }
    $cat->oval(200, 140, 180, 150, $fill)->round(200, 140, 180, 150, 6, INK, $gapDeg)
        ->oval(165, 130, 18, 24, INK)->oval(235, 130, 18, 24, INK);
    foreach ($whiskers ? [-1, 1] : [] as $side) {
        foreach ([-8, 6, 20] as $k) {
            $cat->line([[200 + $side * 60, 155 + $k * 0.6], [200 + $side * 135, 150 + $k * 1.6]], 3, INK);
        }
    }

    return $cat;
}

describe('strokes that stand free', function () {
    it('are whiskers: three pairs of cords on the head, as thin and as long as they stick out', function () {
        $parts = seen(cat(FUR));
        expect($parts['Whisker'] ?? [])->toHaveCount(3);
        // 400 px are drawn 110 mm wide or so: 3 px are 0.8 mm, and about 50 px stick out of the head.
        foreach ($parts['Whisker'] as $whisker) {
            expect($whisker['mirror'])->toBeTrue()
                ->and($whisker['join']['to'])->toBe('head')
                ->and($whisker['shape']['kind'])->toBe('cord')
                ->and($whisker['shape']['widthMm'])->toBeGreaterThan(0.6)->toBeLessThan(1.6)
                ->and($whisker['shape']['heightMm'])->toBeGreaterThan(11.0)->toBeLessThan(22.0)
                ->and($whisker['seen']['why'])->toContain('a thin line, followed by a cord');
        }
    });

    it('are feelers and a stalk where they rise from the top', function () {
        $bug = (new Sketch)->oval(200, 255, 180, 210, 0xC0402F)->oval(200, 120, 150, 120, 0x4A6A90);
        foreach ([-1, 1] as $side) {
            $bug->line([[200 + $side * 25, 70], [200 + $side * 45, 40], [200 + $side * 70, 14]], 5, INK);
        }
        $feeler = seen($bug)['Feeler'][0];
        expect($feeler['mirror'])->toBeTrue()->and($feeler['shape']['kind'])->toBe('cord')->and($feeler['at']['xMm'])->toBeGreaterThan(5.0);
        $apple = (new Sketch)->oval(200, 265, 200, 200, 0xC0402F)->oval(200, 140, 150, 120, 0x4A6A90)->line([[200, 85], [206, 25]], 6, INK);
        $stalk = seen($apple)['Stalk'][0];
        expect($stalk['shape']['heightMm'] / $stalk['shape']['widthMm'])->toBeGreaterThan(7.0)->and($stalk['join']['to'])->toBe('head');
    });
});

describe('a line with a gap', function () {
    it('still parts an arm from the belly it lies on, of one colour', function (float $gapPx) {
        $arm = static fn (Sketch $s, int $side): Sketch => $s->line([[200 + $side * 60, 215], [200 + $side * 45, 290]], 40, INK)
            ->line([[200 + $side * 60, 215], [200 + $side * 45, 290]], 28, FUR);
        $bear = (new Sketch)->oval(200, 270, 200, 220, INK)->oval(200, 270, 188, 208, FUR)
            ->oval(200, 110, 170, 150, INK)->oval(200, 110, 158, 138, FUR);
        foreach ([-1, 1] as $side) {
            $arm($bear, $side)->oval(200 + $side * 37, 245, $gapPx, $gapPx, FUR);
        }
        $parts = seen($bear);
        expect($parts['Arm'] ?? [])->toHaveCount(1)
            ->and($parts['Arm'][0]['mirror'])->toBeTrue()
            ->and($parts['Arm'][0]['shape']['heightMm'] / $parts['Arm'][0]['shape']['widthMm'])->toBeGreaterThan(2.0)->toBeLessThan(4.5)
            ->and($parts['Body'])->toHaveCount(1)
            ->and($parts['Body'][0]['shape']['widthMm'] / $parts['Head'][0]['shape']['widthMm'])->toEqualWithDelta(200 / 170, 0.08);
    })->with([0.0, 8.0]);

    it('still holds a white body on white paper', function () {
        $parts = seen(cat(0xFFFFFF, gapDeg: 8.0, whiskers: false));
        expect($parts['Head'][0]['shape']['widthMm'] / $parts['Head'][0]['shape']['heightMm'])->toEqualWithDelta(54 / 45, 0.06)
            ->and($parts['Body'][0]['shape']['heightMm'] / $parts['Head'][0]['shape']['heightMm'])->toEqualWithDelta(52 / 45, 0.07)
            // Nor is a whisker seen where none is drawn.
            ->and($parts)->not->toHaveKey('Whisker');
    });

    it('is no line where it is open for half of its length: a bay stays paper', function () {
        $bow = (new Sketch)->round(200, 200, 200, 200, 8, INK, 0, 200)->oval(200, 330, 160, 90, FUR);
        $document = Breakdown::of($bow->png(), 100.0)->document;
        foreach ($document['parts'] as $part) {
            expect($part['shape']['widthMm'] * $part['shape']['heightMm'])->toBeLessThan(120 * 60);
        }
        expect(array_column($document['colours'], 'hex'))->not->toContain('#ffffff');
    });
});

it('takes a line round a belly for ink, and the belly for colour', function () {
    $doc = Breakdown::of(
        (new Sketch)->oval(200, 220, 240, 260, INK)->oval(200, 220, 228, 248, FUR)
            ->oval(200, 240, 130, 140, INK)->oval(200, 240, 120, 130, 0xF4EAD6)
            ->png(),
        100.0,
    )->document;
    $hex = array_column($doc['colours'], 'hex', 'key');
    expect($doc['parts'])->toHaveCount(1)
        ->and($doc['details'])->toHaveCount(1)
        ->and($hex[$doc['details'][0]['colour']])->toBe('#f4ead6');
});

it('keeps a line that ends within a body: it is drawn on it', function () {
    $doc = Breakdown::of(
        (new Sketch)->oval(200, 220, 240, 260, INK)->oval(200, 220, 228, 248, FUR)->line([[200, 345], [200, 270]], 6, INK)->png(),
        100.0,
    )->document;
    expect($doc['parts'])->toHaveCount(1)
        ->and($doc['details'])->toHaveCount(1)
        ->and($doc['details'][0]['kind'])->toBe('line');
});

describe('TrappedBall', function () {
    // Two rooms of 20 x 20 cells, and a door between them.
    $rooms = static function (int $door): array {
        $labels = [];
        for ($y = 0; $y < 24; $y++) {
            for ($x = 0; $x < 45; $x++) {
                $isRoom = $y >= 2 && $y < 22 && ($x >= 2 && $x < 22 || $x >= 23 && $x < 43);
                $isDoor = $x === 22 && $y >= 12 - intdiv($door, 2) && $y < 12 - intdiv($door, 2) + $door;
                $labels[] = $isRoom || $isDoor ? 7 : -1;
            }
        }

        return $labels;
    };

    it('does not get through a door narrower than itself', function (int $door, float $radius, int $count) use ($rooms) {
        [$numbers, $labelOf] = TrappedBall::of($rooms($door), 45, $radius, 10);
        expect(count(array_unique(array_filter($numbers, static fn (int $n): bool => $n >= 0))))->toBe($count);
        expect(array_unique($labelOf))->toBe([7]);
        // Every pixel of the rooms is given out, and nothing else.
        expect(count(array_filter($numbers, static fn (int $n): bool => $n >= 0)))->toBe(800 + $door);
    })->with([[4, 3.0, 2], [4, 1.0, 1], [9, 3.0, 1]]);

    it('gives what has no room for it to nobody', function () use ($rooms) {
        expect(array_unique(TrappedBall::of($rooms(0), 45, 3.0, 1000)[0]))->toBe([-1]);
    });
});

it('lays a grid without holes over a blob, whatever its size', function (int $wide) {
    $blob = Pixels::blob(Pixels::where(Pixels::oval(0, 0, $wide / 2, $wide / 2)));
    $grid = CellGrid::of($blob, 84);
    $rows = array_chunk($grid->inside, $grid->width);
    foreach ($rows as $row) {
        // A row of a disc is one run of cells.
        expect(substr_count(trim(implode('', array_map(static fn (bool $in): string => $in ? '#' : ' ', $row))), ' '))->toBe(0);
    }
    expect(count(array_filter($grid->inside)) * $grid->pxPerCell ** 2)->toEqualWithDelta($blob->area(), 0.02 * $blob->area());
})->with([90, 120, 145, 170, 200, 231]);

describe('Completion', function () {
    $limb = static function (float $from, float $to, callable $body): array {
        $own = Pixels::where(static fn (float $x, float $y): bool => abs($x) < 10 && $y > $from && $y < $to && ! $body($x, $y));
        $other = Pixels::where($body);
        $map = array_fill(0, Pixels::SIZE ** 2, -1);
        foreach ($other as $i => $_) {
            $map[$i] = 1;
        }
        foreach ($own as $i => $_) {
            $map[$i] = 0;
        }

        return [Pixels::blob($own), array_values($map), [count($own), count($other)]];
    };

    it('roots a limb nearly half of its width deep in what hides its end, and leaves the free end where it is', function () use ($limb) {
        [$blob, $map, $areas] = $limb(-70.0, 40.0, static fn (float $x, float $y): bool => $y > 0);
        $fit = new Fit(ShapeKind::Sausage, 20, 70, [], Pixels::SIZE / 2, -Pixels::SIZE / 2 - 35, 0.0, 0.98);
        $rooted = Completion::of($fit, $blob, 0, $map, $areas);
        expect($rooted->heightPx)->toEqualWithDelta(70 + 0.45 * 20, 1.5)
            ->and($rooted->y - $rooted->heightPx / 2)->toEqualWithDelta($fit->y - 35, 0.01)
            ->and($rooted->widthPx)->toBe(20.0);
        // Nothing is drawn out that reaches so deep already, nor what ends in the open.
        $deep = new Fit(ShapeKind::Sausage, 20, 90, [], Pixels::SIZE / 2, -Pixels::SIZE / 2 - 25, 0.0, 0.98);
        expect(Completion::of($deep, $blob, 0, $map, $areas))->toBe($deep);
        [$free, $alone] = $limb(-70.0, 0.0, static fn (): bool => false);
        expect(Completion::of($fit, $free, 0, $alone, [1400, 0]))->toBe($fit);
    });

    it('makes a roll of a stub between a body and a foot, that goes on behind both', function () use ($limb) {
        [$blob, $map, $areas] = $limb(-14.0, 2.0, static fn (float $x, float $y): bool => $y > 0 || $y < -14 && abs($x) < 16 && $y > -30);
        // The foot is another piece.
        foreach ($map as $i => $piece) {
            $map[$i] = $piece === 1 && intdiv($i, Pixels::SIZE) > Pixels::SIZE / 2 + 5 ? 2 : $piece;
        }
        $fit = new Fit(ShapeKind::Drum, 20, 14, [], Pixels::SIZE / 2, -Pixels::SIZE / 2 - 7, 0.0, 0.98);
        $roll = Completion::of($fit, $blob, 0, $map, [$areas[0], 20_000, 512]);
        expect($roll->kind)->toBe(ShapeKind::Sausage)
            ->and($roll->widthPx)->toEqualWithDelta(20, 1.0)
            ->and($roll->heightPx)->toEqualWithDelta(14 + 2 * 0.45 * 20, 1.5)
            ->and($roll->y)->toEqualWithDelta($fit->y, 1.0)
            // Measured: its round ends lie behind the others, so that it covers nearly all of the stub.
            ->and($roll->overlap)->toBeGreaterThan(0.9)->toBeLessThan(1.0);
    });
});

/** A body with two arms and, behind the right one, a tail that is seen on both sides of it; inked or not. */
function tailed(bool $inked): Sketch
{
    $drawing = new Sketch;
    $shape = static function (array $points, int $colour) use ($drawing, $inked): void {
        $drawing->polygon($points, $colour);
        if ($inked) {
            $drawing->line([...$points, $points[0]], 6, INK);
        }
    };
    $roll = static function (float $ax, float $ay, float $bx, float $by, float $wide): array {
        [$along, $points] = [atan2($by - $ay, $bx - $ax), []];
        for ($k = 0; $k < 24; $k++) {
            $turn = $along - M_PI / 2 + M_PI * ($k < 12 ? $k : $k - 1) / 11;
            [$x, $y] = $k < 12 ? [$bx, $by] : [$ax, $ay];
            $points[] = [$x + $wide / 2 * cos($turn), $y + $wide / 2 * sin($turn)];
        }

        return $points;
    };
    $oval = static fn (float $x, float $y, float $w, float $h): array => array_map(
        static fn (int $deg): array => [$x + $w / 2 * cos(deg2rad($deg)), $y + $h / 2 * sin(deg2rad($deg))],
        range(0, 350, 10),
    );
    $shape($roll(230, 290, 370, 262, 26), 0x6B8F4E);
    $shape($oval(200, 250, 120, 190), 0xC96F4A);
    $shape($oval(200, 110, 150, 130), 0xC96F4A);
    $shape($roll(245, 205, 325, 310, 26), 0xC96F4A);
    $shape($roll(155, 205, 75, 310, 26), 0xC96F4A);

    return $drawing;
}

it('sees one tail behind the arm that parts it, as long as it is drawn from the body on', function (bool $inked) {
    $document = Breakdown::of(tailed($inked)->png(), 100.0)->document;
    $green = array_values(array_filter($document['parts'], static function (array $part) use ($document): bool {
        $hex = array_column($document['colours'], 'hex', 'key')[$part['colour']];

        return hexdec(substr($hex, 3, 2)) > hexdec(substr($hex, 1, 2)) && hexdec(substr($hex, 3, 2)) > hexdec(substr($hex, 5, 2));
    }));
    expect($green)->toHaveCount(1);
    // Seen from the body's rim at 255 px to its end at 383 px, along its slope; its root is a guess of half its width or so.
    $longPx = max($green[0]['shape']['widthMm'], $green[0]['shape']['heightMm']) / $document['picture']['mmPerPx'];
    expect($longPx)->toBeGreaterThan(130)->toBeLessThan(130 + 26);
})->with(['flat' => false, 'inked' => true]);

it('ends a shape in the middle of the line that is drawn round it', function () {
    $ball = (new Sketch)->oval(150, 200, 200, 240, FUR)->round(150, 200, 200, 240, 6, INK)->oval(130, 160, 16, 16, INK);
    $document = Breakdown::of($ball->png(), 100.0)->document;
    [$width, $height] = [$document['parts'][0]['shape']['widthMm'], $document['parts'][0]['shape']['heightMm']];
    $px = $document['picture']['mmPerPx'];
    expect($document['parts'])->toHaveCount(1)
        ->and($width / $px)->toEqualWithDelta(200, 2.5)
        ->and($height / $px)->toEqualWithDelta(240, 2.5);
});

it('leaves a dark rim along a third of a figure as it is drawn: that is no outline', function () {
    $drawing = (new Sketch)->oval(200, 250, 200, 200, FUR)->round(200, 250, 200, 200, 12, INK, 0, 110);
    $document = Breakdown::of($drawing->png(), 100.0)->document;
    $px = $document['picture']['mmPerPx'];
    expect($document['heightMm'] / $px)->toEqualWithDelta(206, 3);
});

it('leaves open what an inked ring goes round: a white disc on a dark one stays white', function () {
    $ball = (new Sketch)->oval(200, 200, 340, 340, 0x2B3A4A)->round(200, 200, 340, 340, 8, INK)
        ->oval(200, 200, 190, 190, 0xF4F4F0)->round(200, 200, 190, 190, 8, INK)
        ->oval(200, 200, 70, 110, 0x2B3A4A)->round(200, 200, 70, 110, 8, INK);
    $document = Breakdown::of($ball->png(), 100.0)->document;
    $figure = Figure::fromJson((string) json_encode($document));
    $shown = imagecreatefromstring(Painter::match($figure));
    $pixel = imagecolorat($shown, (int) (0.32 * imagesx($shown)), (int) (0.5 * imagesy($shown)));
    expect($pixel >> 16 & 255)->toBeGreaterThan(220);
});
