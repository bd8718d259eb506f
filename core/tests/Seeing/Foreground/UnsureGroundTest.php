<?php

declare(strict_types=1);

namespace Impa\Tests\UnsureGround;

use Impa\Raster\Raster;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Foreground\BrushStroke;
use Impa\Seeing\QuickPreview;
use Impa\Seeing\Wishes;
use Impa\Tests\Support\Pixels;
use Impa\Tests\Support\Sketch;
use Impa\Voice\Message;

/*
 * Drawings of our own in which it is hard to say what is paper. bench/open.php measures on many more.
 */
const INK = 0x1B1512;
const FUR = 0xB07040;

function ground(string $png, array $strokes = [], bool $keepsUnsure = false): Background
{
    return Background::of(Raster::decode($png, 400), $strokes, $keepsUnsure);
}

/** Whether a place on a picture of 400 by 400 belongs to the figure. */
function has(Background $ground, int $x, int $y): bool
{
    return $ground->figure[$y * 400 + $x];
}

/** A snowman of two white balls; the upper one's line is open for so many degrees. */
function snowman(float $gapDeg): string
{
    return (new Sketch)->oval(200, 280, 170, 170, 0xFFFFFF)->round(200, 280, 170, 170, 6, INK)
        ->oval(200, 120, 150, 150, 0xFFFFFF)->round(200, 120, 150, 150, 6, INK, $gapDeg)->png();
}

/** A white letter C in outline, as a handle is; between its ends it is open for so many degrees. */
function handle(float $openDeg): string
{
    $c = new Sketch;
    $rim = [];
    foreach ([130, 70] as $k => $r) {
        $arc = [];
        for ($deg = $openDeg / 2; $deg <= 360 - $openDeg / 2; $deg += 2) {
            $arc[] = [200 + $r * cos(deg2rad($deg)), 200 + $r * sin(deg2rad($deg))];
        }
        $rim = [...$rim, ...$k === 0 ? $arc : array_reverse($arc)];
    }

    return $c->line([...$rim, $rim[0]], 6, INK)->png();
}

/** A brown ball half seen through a glassy one, or within a glow that fades, on a clear ground. */
function glass(bool $isEven): string
{
    return Pixels::png(static function (\GdImage $image) use ($isEven): void {
        imagealphablending($image, false);
        imagesavealpha($image, true);
        for ($i = 0; $i < 400 * 400; $i++) {
            $r = hypot($i % 400 - 200, intdiv($i, 400) - 200);
            $alpha = match (true) {
                $r < 110 => 0,
                $r < 150 => $isEven ? 45 : (int) (14 + ($r - 110) * 1.2),
                default => 127,
            };
            imagesetpixel($image, $i % 400, intdiv($i, 400), $alpha << 24 | ($r < 110 ? FUR : 0x90B0E0));
        }
    }, 400, 400);
}

describe('an outline that is open', function () {
    it('holds its white body where the line ends on both sides of the gap', function (float $gapDeg) {
        $ground = ground(snowman($gapDeg));
        expect(has($ground, 200, 100))->toBeTrue()->and(has($ground, 200, 290))->toBeTrue()
            ->and(has($ground, 60, 200))->toBeFalse()->and($ground->isUnsure())->toBeFalse();
    })->with(['6 % of its height' => 15.0, '4 %' => 10.0, 'closed' => 0.0]);

    it('does not where it is open for a quarter of its length', function () {
        expect(has(ground(snowman(90.0)), 200, 100))->toBeFalse();
    });

    it('is a question where the line goes on round a bay: either reading is had, and a brush answers it', function () {
        $png = handle(18.0);
        $ground = ground($png);
        $other = $ground->otherwise();
        $kept = ground($png, [], true);
        $stroke = (object) ['as' => 'paper', 'width' => 0.05, 'points' => [[0.5, 0.5], [0.55, 0.5]]];
        $brushed = ground($png, BrushStroke::list([$stroke]), true);
        expect($ground->isUnsure())->toBeTrue()
            ->and(has($ground, 200, 200))->toBeFalse()->and(has($ground, 100, 200))->toBeTrue()
            ->and(has($other, 200, 200))->toBeTrue()->and($kept->figure)->toBe($other->figure)
            ->and($kept->isUnsure())->toBeTrue()->and($kept->otherwise()->figure)->toBe($ground->figure)
            ->and(has($brushed, 200, 200))->toBeFalse();
    });
});

it('asks about what is evenly seen through, as glass is, and leaves out what fades, as a glow does', function () {
    $glass = ground(glass(true));
    $glow = ground(glass(false));
    expect(has($glass, 200, 60))->toBeFalse()->and($glass->isUnsure())->toBeTrue()->and(has($glass->otherwise(), 200, 60))->toBeTrue()
        ->and(has($glow, 200, 60))->toBeFalse()->and($glow->isUnsure())->toBeFalse();
});

it('asks about a grey patch of which half the rim is crisp and half fades', function () {
    $puddle = static fn (float $fadesFromDeg): string => Pixels::png(static function (\GdImage $image) use ($fadesFromDeg): void {
        for ($i = 0; $i < 400 * 400; $i++) {
            [$x, $y] = [$i % 400 - 200, intdiv($i, 400)];
            $in = 1.0 - hypot($x / 150, ($y - 330) / 45);
            $blur = abs(rad2deg(atan2($y - 330, $x))) > $fadesFromDeg ? 0.35 : 0.02;
            $grey = (int) round(255 - 45 / (1.0 + exp(-5.0 * $in / $blur)));
            imagesetpixel($image, $i % 400, $y, hypot($x, $y - 180) < 110 ? FUR : $grey * 0x10101);
        }
    }, 400, 400);
    expect(ground($puddle(90.0))->isUnsure())->toBeTrue()
        ->and(ground($puddle(0.0))->isUnsure())->toBeFalse()
        ->and(has(ground($puddle(0.0)), 120, 330))->toBeFalse()
        ->and(has(ground($puddle(180.0)), 120, 330))->toBeTrue();
});

it('shows both readings at a glance, and breaks down the one that is wished for', function () {
    $png = handle(18.0);
    [$usual, $kept] = array_map(static fn (bool $keeps): Wishes => Wishes::of(100.0, keepsUnsure: $keeps), [false, true]);
    [$one, $two] = [QuickPreview::of($png, $usual), QuickPreview::of($png, $kept)];
    [$without, $with] = [Breakdown::of($png, $usual), Breakdown::of($png, $kept)];
    $widest = static fn (Breakdown $b): float => max(array_map(
        static fn (array $p): float => min($p['shape']['widthMm'], $p['shape']['heightMm']),
        $b->document['parts'],
    ));
    $asked = (string) Message::of('seeing.background.something-may-belong');
    expect($one->other)->toBe($two->png)->and($two->other)->toBe($one->png)
        ->and(QuickPreview::of(snowman(0.0), $usual)->other)->toBeNull()
        ->and($with->document['picture']['wishes']['keepsUnsure'])->toBeTrue()
        ->and($without->document['picture']['wishes'])->not->toHaveKey('keepsUnsure')
        ->and(array_map(strval(...), $without->notices))->toContain($asked)
        ->and(array_map(strval(...), $with->notices))->not->toContain($asked)
        // A ring is a hundred millimetres wide as well; filled, it is a ball.
        ->and(array_column(array_column($with->document['parts'], 'shape'), 'kind'))->not->toContain('ring')
        ->and($widest($with))->toBeGreaterThan(90.0);
});
