<?php

declare(strict_types=1);

namespace Impa\Tests\Sureness;

use Impa\Seeing\Breakdown;
use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\Piece;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Result\Reasons;
use Impa\Seeing\Result\Sureness;
use Impa\Seeing\Segmentation\Region;
use Impa\Shape\ShapeKind;
use Impa\Tests\Support\Pixels;

/** An oval blob, and a shape that covers so much of its width. */
function seenPiece(float $w, float $h, float $share = 1.0, float $overlap = 0.95, bool $isPair = false, array $options = []): Piece
{
    $region = new Region(0, 0);
    $pixels = Pixels::where(Pixels::oval(0, 0, $w / 2, $h / 2));
    foreach ($pixels as $i => $_) {
        $region->add($i % Pixels::SIZE, intdiv($i, Pixels::SIZE));
    }
    $kind = $options === [] ? ShapeKind::Ball : ShapeKind::Plate;
    $piece = new Piece($region, Pixels::blob($pixels), new Fit($kind, $share * $w, $h, $options, 120.0, -120.0, 0.0, $overlap), 0.0, 1);
    $piece->mirror = $isPair;

    return $piece;
}

/** @param  list<int>  $map */
function mark(float $w, float $h, int $layer = 1, array $map = []): Mark
{
    $pixels = Pixels::where(Pixels::oval(0, 0, $w / 2, $h / 2));

    return new Mark(1, Pixels::blob($pixels), 0, $layer, 10);
}

$sure = static fn (Piece $piece): float => Sureness::ofPiece($piece, 200.0)->share;

it('is surer of what is larger, has a twin, is better covered, and needs no outline of its own', function () use ($sure) {
    $own = ['outline' => [[-10, -20], [10, -20], [10, 20], [-10, 20]]];
    foreach ([[10, 14], [20, 28], [30, 42]] as [$w, $h]) {
        $plain = $sure(seenPiece($w, $h));
        expect($sure(seenPiece(1.3 * $w, 1.3 * $h)))->toBeGreaterThan($plain)
            ->and($sure(seenPiece($w, $h, isPair: true)))->toBeGreaterThan($plain)
            ->and($sure(seenPiece($w, $h, share: 0.6)))->toBeLessThan($plain)
            ->and($sure(seenPiece($w, $h, overlap: 0.7)))->toBeLessThan($plain)
            ->and($sure(seenPiece($w, $h, options: $own)))->toBeLessThan($plain);
    }
});

it('is neither quite sure nor hopeless of anything', function () use ($sure) {
    expect($sure(seenPiece(190, 190, isPair: true)))->toBe(0.99)->and($sure(seenPiece(2, 2, share: 0.3, overlap: 0.0)))->toBe(0.02);
});

it('is less sure of a mark that is long, lies along the rim of its part, or in another mark', function () {
    $on = array_fill(0, Pixels::SIZE ** 2, 0);
    $sure = static fn (Mark $mark, string $kind, array $map): float => Sureness::ofMark($mark, $kind !== 'patch', $map)->share;
    $plain = $sure(mark(20, 20), 'disc', $on);
    // To the left of its middle another piece begins.
    $besides = array_map(static fn (int $i): int => $i % Pixels::SIZE < 112 ? 1 : 0, array_keys($on));
    expect($plain)->toBeGreaterThan(0.9)
        ->and($sure(mark(20, 60), 'disc', $on))->toBeLessThan($plain)
        ->and($sure(mark(20, 20, layer: 2), 'disc', $on))->toBeLessThan($plain)
        ->and($sure(mark(20, 20), 'patch', $on))->toBeLessThan($plain)
        ->and($sure(mark(20, 20), 'disc', $besides))->toBeLessThan($plain);
});

it('says what an unsure piece may be instead: colour on what it lies before, else another kind of shape', function () {
    $small = seenPiece(16, 16);
    $small->joinTo = 1;
    $body = static function (float $px): Piece {
        $piece = seenPiece($px, $px);
        $piece->name = 'Body';

        return $piece;
    };
    $map = array_fill(0, Pixels::SIZE ** 2, -1);
    $told = static fn (float $bodyPx, bool $isUnsure): array => Reasons::ofPiece(
        $small,
        [0 => $small, 1 => $body($bodyPx)],
        $map,
        $isUnsure,
        0.5,
    );
    expect($told(120, true)['else'])->toBe('detail')
        ->and($told(120, true)['why'])->toContain('or it is only colour on')
        ->and($told(4, true)['else'])->toBeIn(array_diff(array_column(ShapeKind::cases(), 'value'), ['ball']))
        ->and($told(4, true)['why'])->toContain('; or a')
        ->and($told(4, false))->not->toHaveKey('else')
        ->and($told(120, false)['why'])->not->toContain('or it is');
});

it('tells in the document how sure each part and detail is, and what else only of what is unsure', function () {
    $seen = Breakdown::of((string) file_get_contents(__DIR__.'/../../../../demo/bobbin.png'), 100.0);
    foreach (['parts', 'details'] as $of) {
        foreach ($seen->document[$of] as $member) {
            $sureness = $seen->sureness["$of/{$member['key']}"];
            expect($member['seen']['confidence'])->toBe(round($sureness->share, 2))
                ->and(isset($member['seen']['else']))->toBe($sureness->isUnsure());
        }
    }
    expect($seen->sureness)->toHaveCount(count($seen->document['parts']) + count($seen->document['details']));
});
