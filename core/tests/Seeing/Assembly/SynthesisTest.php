<?php

declare(strict_types=1);

namespace Impa\Tests\Synthesis;

use GdImage;
use Impa\Raster\Blob;
use Impa\Seeing\Assembly\Joining;
use Impa\Seeing\Assembly\Scene;
use Impa\Seeing\Assembly\Synthesis;
use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\PartExtraction;
use Impa\Seeing\Decomposition\Piece;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Segmentation\Region;
use Impa\Shape\ShapeKind;
use Impa\Tests\Support\Pixels;
use RuntimeException;

const PURPLE = 0x8A5F9F;
const OCHRE = 0xD9A441;
const MIDDLE = 150.0;

/**
 * What is seen in a drawing, joined, with its regions' width. The figure alone is looked at once.
 *
 * @param  ?callable(GdImage): mixed  $more  besides the figure, on a white sheet of 300 px a side
 * @return array{array<int, Piece>, PartExtraction, int}
 */
function seenIn(?callable $more = null): array
{
    static $alone = null;
    if ($more === null && $alone !== null) {
        return [array_map(static fn (Piece $p): Piece => clone $p, $alone[0]), $alone[1], $alone[2]];
    }
    [$regions] = Pixels::regions(static function (GdImage $image) use ($more): void {
        imagefilledellipse($image, 150, 200, 120, 150, PURPLE);
        imagefilledellipse($image, 150, 90, 130, 110, OCHRE);
        $more === null || $more($image);
    });
    $extraction = PartExtraction::of($regions, silent(...));
    Joining::of($extraction->pieces, $extraction->map, $regions->width, MIDDLE);
    $seen = [$extraction->pieces, $extraction, $regions->width];
    if ($more === null) {
        $alone = $seen;

        return seenIn();
    }

    return $seen;
}

function silent(): void
{
}

/** The piece whose middle lies nearest to a place. @param  array<int, Piece>  $pieces */
function nearest(array $pieces, float $x, float $y): int
{
    $far = array_map(static fn (Piece $p): float => hypot($p->fit->x - $x, $p->fit->y + $y), $pieces);
    asort($far);

    return (int) array_key_first($far);
}

it('pulls a piece that lies off back to where it is drawn', function (float $wider, float $right, float $up) {
    [$pieces, $extraction, $width] = seenIn();
    $head = nearest($pieces, 150, 90);
    $fit = $pieces[$head]->fit;
    $pieces[$head]->fit = $fit->at(
        $wider * $fit->widthPx,
        $fit->heightPx,
        $fit->x + $right * $fit->widthPx,
        $fit->y + $up * $fit->heightPx,
        $fit->turnDeg,
        $fit->options,
    );
    [$pieces] = Synthesis::of($pieces, $extraction, $width, MIDDLE, silent(...));
    // Cells are 2 px wide here.
    expect($pieces[$head]->fit->widthPx)
        ->toEqualWithDelta(130, 4)
        ->and($pieces[$head]->fit->heightPx)
        ->toEqualWithDelta(110, 3)
        ->and($pieces[$head]->fit->x)
        ->toEqualWithDelta(150, 2)
        ->and($pieces[$head]->fit->y)
        ->toEqualWithDelta(-90, 2);
})->with(['wider' => [1.08, 0.0, 0.0], 'to the right' => [1.0, 0.05, 0.0], 'lower and narrower' => [0.93, 0.0, -0.04]]);

it('brings in front what is drawn in front', function () {
    [$pieces, $extraction, $width] = seenIn();
    [$head, $body] = [nearest($pieces, 150, 90), nearest($pieces, 150, 200)];
    // The body goes on behind the head.
    $fit = $pieces[$body]->fit;
    $pieces[$body]->fit = $fit->at(120.0, 150.0, 150.0, -200.0, 0.0, $fit->options);
    [$pieces[$head]->zPx, $pieces[$body]->zPx] = [0.0, 20.0];
    [$pieces] = Synthesis::of($pieces, $extraction, $width, MIDDLE, silent(...));
    expect($pieces[$head]->zPx)->toBeGreaterThan($pieces[$body]->zPx);
});

it('leaves out what has its bearer\'s colour and is hardly seen, and what lay on it lies on that', function () {
    [$pieces, $extraction, $width] = seenIn();
    $body = nearest($pieces, 150, 200);
    $lump = static function (int $label) use ($pieces, $body): Piece {
        $of = $pieces[$body];
        $piece = new Piece(new Region(99, $label), $of->blob, new Fit(ShapeKind::Ball, 16, 16, [], 206, -200), 0.0, 1);
        [$piece->joinTo, $piece->zPx] = [$body, 30.0];

        return $piece;
    };
    $mark = new Mark(0, $pieces[$body]->blob, 99, 1, 10);
    $all = [99 => $lump($pieces[$body]->region->label)] + $pieces;
    [$stay, $moved] = Synthesis::of($all, $extraction->withMarks([$mark]), $width, MIDDLE, silent(...));
    expect($stay)
        ->not->toHaveKey(99)
        ->toHaveCount(2)
        ->and($moved->marks[count($moved->marks) - 1]->on)
        ->toBe($body);
    // One of a colour of its own is no lump.
    [$stay] = Synthesis::of([99 => $lump(77)] + $pieces, $extraction, $width, MIDDLE, silent(...));
    expect($stay)->toHaveKey(99);
});

it('makes twins of two that mirror, and of nothing else', function (float $lower, bool $areTwins) {
    [$pieces, $extraction, $width] = seenIn(static function (GdImage $image) use ($lower): void {
        imagefilledellipse($image, 70, 190, 50, 30, OCHRE);
        imagefilledellipse($image, 230, (int) (190 + $lower), 50, 30, OCHRE);
    });
    $right = nearest($pieces, 230, 190 + $lower);
    // One of them was seen as a roll, so that they were no twins.
    $fit = $pieces[$right]->fit;
    $pieces[$right]->fit = new Fit(ShapeKind::Drum, 52, 31, [], $fit->x, $fit->y);
    $count = count($pieces);
    [$pieces] = Synthesis::of($pieces, $extraction, $width, MIDDLE, silent(...));
    expect($pieces)
        ->toHaveCount($areTwins ? $count - 1 : $count)
        ->and($pieces[$right]->mirror)
        ->toBe($areTwins);
    if ($areTwins) {
        expect($pieces[$right]->fit->x)
            ->toEqualWithDelta(230, 2)
            ->and($pieces[$right]->twin)
            ->toBeGreaterThanOrEqual(0);
    }
})->with(['alike' => [0.0, true], 'nearly' => [2.0, true], 'one lower' => [26.0, false]]);

it('sees two in what stands on the middle line and was taken for one', function () {
    [$pieces, $extraction, $width] = seenIn(static function (GdImage $image): void {
        imagefilledellipse($image, 128, 280, 44, 24, OCHRE);
        imagefilledellipse($image, 172, 280, 44, 24, OCHRE);
    });
    $feet = array_filter($pieces, static fn (Piece $p): bool => -$p->fit->y > 260);
    $foot = (int) array_key_first($feet);
    if (count($feet) === 2) {
        // Cut already: both are put back to one.
        [$one, $two] = array_keys($feet);
        $pixels = $pieces[$one]->blob->pixels + $pieces[$two]->blob->pixels;
        $whole = new Piece(
            $pieces[$one]->region,
            Blob::of($pixels, $width),
            new Fit(ShapeKind::Ball, 88, 24, [], MIDDLE, -280),
            0.0,
            1,
        );
        [$whole->joinTo, $whole->zPx, $whole->twin] = [$pieces[$one]->joinTo, $pieces[$one]->zPx, $two];
        unset($pieces[$two]);
        $pieces[$one] = $whole;
        $foot = $one;
    }
    $root = array_map(static fn (Piece $p): Piece => clone $p, $pieces);
    $root[$foot]->joinTo = -1;
    expect(Synthesis::of($root, $extraction, $width, MIDDLE, silent(...))[0][$foot]->mirror)->toBeFalse();
    [$pieces] = Synthesis::of($pieces, $extraction, $width, MIDDLE, silent(...));
    expect($pieces[$foot]->mirror)
        ->toBeTrue()
        ->and(abs($pieces[$foot]->fit->x - MIDDLE))
        ->toEqualWithDelta(22, 3)
        ->and($pieces[$foot]->fit->widthPx)
        ->toEqualWithDelta(44, 4);
});

it('leaves alone what is seen as it is drawn', function () {
    [$pieces, $extraction, $width] = seenIn();
    $before = array_map(static fn (Piece $p): Fit => $p->fit, $pieces);
    [$after] = Synthesis::of($pieces, $extraction, $width, MIDDLE, silent(...));
    expect(array_keys($after))->toBe(array_keys($before));
    foreach ($after as $k => $piece) {
        expect(hypot($piece->fit->x - $before[$k]->x, $piece->fit->y - $before[$k]->y))->toBeLessThan(2.0);
        expect($piece->fit->kind)->toBe($before[$k]->kind);
    }
});

it('never joins in a circle what is left when one of a chain goes over into another', function () {
    $joined = static function (int $k, int $into): array {
        $pieces = [];
        // Each on the one before.
        for ($i = 0; $i < 5; $i++) {
            $region = new Region($i, 1);
            $region->add(10 + $i, 10);
            $pieces[$i] = new Piece($region, Pixels::blob([5 * 240 + $i => true]), new Fit(ShapeKind::Ball, 9, 9, [], $i, -5), 0.0, 1);
            $pieces[$i]->joinTo = $i - 1;
        }
        $scene = new Scene($pieces, array_fill(0, 240 * 240, -1), 240, 50.0);
        $scene->merge($k, $into);

        return array_map(static fn (Piece $p): int => $p->joinTo, $scene->pieces);
    };
    expect($joined(1, 3))
        ->toBe([0 => -1, 2 => 3, 3 => 0, 4 => 3])
        ->and($joined(3, 1))
        ->toBe([0 => -1, 1 => 0, 2 => 1, 4 => 1])
        ->and($joined(2, 3))
        ->toBe([0 => -1, 1 => 0, 3 => 1, 4 => 3]);
});

it('costs least as drawn: any piece smaller, larger, elsewhere or left out costs more', function () {
    [$pieces, $extraction, $width] = seenIn();
    [$pieces] = Synthesis::of($pieces, $extraction, $width, MIDDLE, silent(...));
    $cost = (new Scene($pieces, $extraction->map, $width, MIDDLE))->cost();
    foreach ($pieces as $k => $piece) {
        foreach ([[1.2, 0.0], [0.8, 0.0], [1.0, 0.15], [1.0, -0.15]] as [$times, $aside]) {
            $scene = clone new Scene($pieces, $extraction->map, $width, MIDDLE);
            $fit = $piece->fit;
            $other = $fit->at(
                $times * $fit->widthPx,
                $times * $fit->heightPx,
                $fit->x + $aside * $fit->widthPx,
                $fit->y,
                $fit->turnDeg,
                $fit->options,
            );
            $gain = $scene->gain($k, $other);
            $scene->lay($k, $other);
            expect($scene->cost())->toBeGreaterThan($cost)->and($gain)->toBeLessThan(0.0);
            // What is seen to change is told beforehand; guesses behind others are priced on top.
            expect($cost - $scene->cost())->toBeGreaterThanOrEqual($gain - 1e-6);
        }
        $numbers = (new Scene($pieces, $extraction->map, $width, MIDDLE))->worth($k);
        expect((clone new Scene($pieces, $extraction->map, $width, MIDDLE))->gain($k, null))->toBeLessThan(-$numbers);
    }
});

it('tells how much is behind, always more, and stops when it is told to', function () {
    [$pieces, $extraction, $width] = seenIn();
    $told = [];
    Synthesis::of($pieces, $extraction, $width, MIDDLE, static function (float $share) use (&$told): void {
        $told[] = $share;
    });
    $sorted = $told;
    sort($sorted);
    expect($told)->toBe($sorted)->and($told[0])->toBe(0.0)->and(max($told))->toBeLessThan(1.0)->and(count($told))->toBeGreaterThan(6);
    $stop = static fn (float $share) => $share > 0.3 ? throw new RuntimeException('stop') : null;
    Synthesis::of($pieces, $extraction, $width, MIDDLE, $stop);
})->throws(RuntimeException::class, 'stop');
