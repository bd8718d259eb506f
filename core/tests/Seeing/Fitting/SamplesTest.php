<?php

declare(strict_types=1);

namespace Impa\Tests\Samples;

use Impa\Seeing\Fitting\Samples;
use Impa\Tests\Support\Pixels;

/** A blob with a hole, beside something else that it may go on behind. */
function samples(int $across = 30): Samples
{
    $blob = Pixels::where(static fn (float $x, float $y): bool => hypot($x / 60, $y / 40) < 1 && hypot($x + 20, $y) > 9);
    $map = Pixels::map($blob);
    foreach (Pixels::where(static fn (float $x, float $y): bool => $x > 35 && abs($y) < 30) as $i => $_) {
        $map[$i] = 1;
    }
    foreach ($blob as $i => $_) {
        $map[$i] = 0;
    }

    return Samples::of(Pixels::blob($blob), $map, $across, 1.4);
}

/**
 * The same counted sample by sample.
 *
 * @param  list<float>  $halfWidths
 * @return array{int, int, int}
 */
function counted(Samples $samples, array $halfWidths, float $width, float $height, float $x, float $y, float $turnDeg): array
{
    [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];
    $found = [1 => 0, 0 => 0, -1 => 0];
    foreach ($samples->seen as $i => $seen) {
        [$dx, $dy] = [$samples->x[$i] - $x, $samples->y[$i] - $y];
        $t = ($dy * $c - $dx * $s) / $height + 0.5;
        if ($t >= 0 && $t < 1 && abs($dx * $c + $dy * $s) <= $width / 2 * $halfWidths[(int) ($t * count($halfWidths))]) {
            $found[$seen]++;
        }
    }

    return [$found[1], $samples->inBlob + $found[0], $found[-1]];
}

/** @return list<float> half-widths of an oval, or of a shape with a waist */
function profile(bool $hasWaist): array
{
    return array_map(static function (int $k) use ($hasWaist): float {
        $t = ($k + 0.5) / 12 - 1;

        return $hasWaist ? 0.4 + 0.6 * $t ** 2 : sqrt(1 - $t ** 2);
    }, range(0, 23));
}

it('counts what a shape covers as if every sample were asked, however it is turned', function (bool $hasWaist, float $turnDeg) {
    $samples = samples();
    mt_srand(7);
    for ($n = 0; $n < 40; $n++) {
        [$width, $height] = [mt_rand(40, 85), mt_rand(40, 85)];
        [$x, $y] = [120 + mt_rand(-14, 14), -120 + mt_rand(-10, 10)];
        $args = [profile($hasWaist), (float) $width, (float) $height, (float) $x, (float) $y, $turnDeg];
        $truth = counted($samples, ...$args);
        // Where a step of the profile makes an oval's rim a little hollow, a sample or two of the row count as covered.
        $near = $hasWaist || $turnDeg === 0.0 ? 0 : 3;
        foreach ($samples->cover(...$args) as $k => $count) {
            expect($count)->toEqualWithDelta($truth[$k], $near);
        }
    }
})->with([[false, 0.0], [true, 0.0], [false, 33.0], [true, 33.0], [false, 90.0], [true, -75.0], [false, 179.0]]);

it('counts nothing of a shape that lies off it', function () {
    $samples = samples();
    expect($samples->cover(profile(false), 10, 10, 120, -215, 0.0)[0])->toBe(0)
        ->and($samples->cover(profile(false), 10, 10, 120, -215, 20.0)[0])->toBe(0);
});

it('takes everything else for ground where nothing is to hide it', function () {
    $samples = samples();
    [$both, $either, $hidden] = $samples->cover(profile(false), 150, 84, 120, -120, 0.0);
    [$same, $more, $none] = $samples->withoutHiding()->cover(profile(false), 150, 84, 120, -120, 0.0);
    expect($hidden)->toBeGreaterThan(0)->and([$same, $more, $none])->toBe([$both, $either + $hidden, 0]);
});
