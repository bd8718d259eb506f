<?php

declare(strict_types=1);

namespace Impa\Tests\Pattern;

use Impa\Figure\Part;
use Impa\Figure\Term\Stitch;
use Impa\Flat\Development;
use Impa\Flat\FlatRefused;
use Impa\Flat\Pattern;
use Impa\Flat\PatternPiece;
use Impa\Flat\Sewing;
use Impa\Geometry\Box;
use Impa\Geometry\Ellipse;
use Impa\Geometry\Outline\ParallelCurve;
use Impa\Geometry\Outline\Polygon;
use Impa\Print\Page\Paper;
use Impa\Print\Template\PatternSheet;
use Impa\Shape\Size;
use Impa\Shape\Solid\Ball;
use Impa\Shape\Solid\Dome;
use Impa\Tests\Support\Figures;

/** @param  array<string, mixed>  $more of its shape */
function sewnPart(string $kind, float $w, float $h, float $d, array $more = []): Part
{
    $part = Figures::part('it', $kind, $w, $h, $d);
    $part['shape'] += $more;

    return Figures::read(Figures::document([$part]))->parts['it'];
}

function pieceOf(Pattern $pattern, string $name): PatternPiece
{
    foreach ($pattern->pieces as $piece) {
        if ((string) $piece->name === $name) {
            return $piece;
        }
    }
    throw new \RuntimeException($name);
}

/** @return list<string> names of the pieces */
function piecesOf(Pattern $pattern): array
{
    return array_map(static fn (PatternPiece $p): string => (string) $p->name, $pattern->pieces);
}

/** @return array<string, float> length by seam */
function seamsOf(Pattern $pattern): array
{
    return array_combine(
        array_column($pattern->seams, 'name'),
        array_map(static fn (array $s): float => $s['stitching']->lengthMm, $pattern->seams),
    );
}

describe('a developed side', function () {
    it('of a cone is a sector: its slant the radius, its rim the base\'s girth, its area pi r s', function (float $r, float $h) {
        $side = Development::frustum(2 * $r, 2 * $r, $h, 0.0);
        $slant = hypot($r, $h);
        expect(Polygon::signedArea($side))->toEqualWithDelta(M_PI * $r * $slant, 0.001 * M_PI * $r * $slant)
            ->and(Polygon::perimeter($side))->toEqualWithDelta(2 * M_PI * $r + 2 * $slant, 0.001 * $slant);
        foreach (array_slice($side, 0, -1) as [$x, $y]) {
            expect(min(abs(hypot($x, $y) - $slant), hypot($x, $y)))->toBeLessThan(1e-6);
        }
    })->with([[20, 40], [30, 5], [3, 90]]);

    it('of a frustum has the area pi (R + r) s and both girths', function (float $R, float $r, float $h) {
        $side = Development::frustum(2 * $R, 2 * $R, $h, $r / $R);
        $slant = hypot($R - $r, $h);
        expect(Polygon::signedArea($side))->toEqualWithDelta(M_PI * ($R + $r) * $slant, 0.001 * M_PI * ($R + $r) * $slant)
            ->and(Polygon::perimeter($side))->toEqualWithDelta(2 * M_PI * ($R + $r) + 2 * $slant, 0.02 * ($R + $r));
    })->with([[30, 20, 25], [40, 5, 12], [20, 19, 60]]);

    it('of a tube is as broad as its girth, oval or round (Ramanujan 1914)', function () {
        $box = Box::around(Development::tube(40, 24, 30));
        expect($box->width())->toEqualWithDelta(Ellipse::perimeter(20, 12), 1e-9)->and($box->height())->toBe(30.0);
    });

    it('of a ball in gores has the ball\'s area, each gore as long as half its girth', function (int $count) {
        $gore = Development::gore(Ball::of(Size::of(50, 50, 50)), $count);
        expect($count * Polygon::signedArea($gore))->toEqualWithDelta(M_PI * 2500, 0.002 * M_PI * 2500)
            ->and(Box::around($gore)->height())->toEqualWithDelta(M_PI * 25, 0.05)
            ->and(Box::around($gore)->width())->toEqualWithDelta(M_PI * 50 / $count, 0.05);
    })->with([2, 4, 6, 12]);

    it('of a dome in gores has the half ball\'s area', function () {
        $gore = Development::gore(Dome::of(Size::of(60, 30, 60)), 6);
        expect(6 * Polygon::signedArea($gore))->toEqualWithDelta(2 * M_PI * 900, 0.003 * 2 * M_PI * 900);
    });
});

it('moves an outline outwards by Steiner\'s formula for convex ones, and to the mitre in a corner', function () {
    $square = [[0.0, 0.0], [30.0, 0.0], [30.0, 20.0], [0.0, 20.0]];
    expect(Polygon::signedArea(ParallelCurve::outside($square, 4.0)))->toEqualWithDelta(600 + 100 * 4 + M_PI * 16, 0.7)
        ->and(Polygon::signedArea(ParallelCurve::outside(Development::disc(40, 40), 5.0)))->toEqualWithDelta(M_PI * 625, 1.5)
        ->and(ParallelCurve::outside($square, 0.0))->toBe($square);
    $corner = [[0.0, 0.0], [20.0, 0.0], [20.0, 10.0], [10.0, 10.0], [10.0, 20.0], [0.0, 20.0]];
    expect(Polygon::signedArea(ParallelCurve::outside($corner, 2.0)))->toEqualWithDelta(300 + 80 * 2 + 5 * M_PI - 4, 0.6);
});

describe('a pattern', function () {
    it('has seams that fit: what is sewn round a disc is as long as the side\'s rim', function (string $kind, array $more) {
        $pattern = Pattern::of(sewnPart($kind, 40, 30, 40, $more), Sewing::of(0.0));
        $side = pieceOf($pattern, 'Side');
        $discs = array_filter($pattern->pieces, static fn (PatternPiece $p): bool => $p->of === 'felt' && (string) $p->name !== 'Side');
        $rims = array_sum(array_map(static fn (PatternPiece $p): float => Polygon::perimeter($p->outline), $discs));
        $seams = seamsOf($pattern);
        $sideSeam = $seams['Side seam'];
        expect(Polygon::perimeter($side->outline))->toEqualWithDelta($rims + 2 * $sideSeam, 0.3)
            ->and(array_sum($seams) - $sideSeam)->toEqualWithDelta($rims, 0.2);
    })->with([
        ['cone', []], ['cup', ['topMm' => 40, 'bottomMm' => 25, 'edgeMm' => 1]], ['cup', ['topMm' => 20, 'bottomMm' => 40]], ['drum', []],
    ]);

    it('of a hat stays open at its wide end: no disc, no card, no stuffing', function () {
        $hat = Pattern::of(sewnPart('cone', 40, 60, 40), Sewing::of(isHollow: true));
        $stuffed = Pattern::of(sewnPart('cone', 40, 60, 40), Sewing::of());
        expect(piecesOf($hat))->toBe(['Side'])
            ->and($hat->stuffingG)->toBe(0.0)
            ->and(piecesOf($stuffed))->toBe(['Side', 'Wide end', 'Stiffening'])
            ->and($stuffed->stuffingG)->toBeGreaterThan(0.5)
            ->and($stuffed->threadMm())->toBeGreaterThan($hat->threadMm());
    });

    it('of a ball is in so many gores that none is broader than 40 mm, and takes every seam once', function () {
        $pattern = Pattern::of(sewnPart('ball', 60, 60, 60), Sewing::of(0.0));
        $gore = pieceOf($pattern, 'Gore');
        expect(Box::around($gore->outline)->width())->toBeLessThanOrEqual(40.0)->and($gore->count)->toBe(6)
            ->and(array_sum(seamsOf($pattern)))->toEqualWithDelta(6 * Polygon::perimeter($gore->outline) / 2, 1e-6);
    });

    it('of a limb is two halves; of a rolled cord as much felt as its cross-section holds', function () {
        $limb = Pattern::of(sewnPart('sausage', 16, 60, 16), Sewing::of());
        $cord = Pattern::of(sewnPart('cord', 8, 100, 8), Sewing::of(feltMm: 1.0));
        expect($limb->pieces[0]->count)->toBe(2)
            ->and($cord->pieces[0]->areaMm2() * 1.0)->toEqualWithDelta(M_PI * 16 * 100, 1e-6)
            ->and(seamsOf($cord))->toBe(['Along the roll' => 100.0]);
    });

    it('of a strip twice as thick as the felt is folded: twice its breadth, and half a circle for the fold', function () {
        $belt = Pattern::of(sewnPart('strip', 120, 14, 3), Sewing::of(feltMm: 1.5));
        $box = Box::around($belt->pieces[0]->outline);
        expect($box->width())->toBe(120.0)->and($box->height())->toEqualWithDelta(28 + M_PI * 0.75, 1e-9)
            ->and(seamsOf($belt))->toBe(['Along the open side' => 120.0])
            ->and(Pattern::of(sewnPart('strip', 120, 14, 1.5), Sewing::of(feltMm: 1.5))->seams)->toBe([]);
    });

    it('of a thin plate is cut once, of a thick one twice and stuffed', function () {
        $thin = Pattern::of(sewnPart('plate', 40, 30, 2, ['outline' => 'leaf']), Sewing::of());
        $thick = Pattern::of(sewnPart('plate', 40, 30, 14, ['outline' => 'leaf']), Sewing::of());
        expect($thin->pieces)->toHaveCount(1)->and($thin->seams)->toBe([])
            ->and($thin->pieces[0]->cutMm2())->toBe($thin->pieces[0]->areaMm2())
            ->and($thick->pieces[0]->count)->toBe(2)->and($thick->stuffingG)->toBeGreaterThan(0.0);
    });

    it('has a stiffening card where a foot is broad enough, so much smaller that it slips in', function () {
        $card = static fn (float $w): ?PatternPiece => array_values(array_filter(
            Pattern::of(sewnPart('drum', $w, 30, $w), Sewing::of())->pieces,
            static fn (PatternPiece $p): bool => $p->of === 'card',
        ))[0] ?? null;
        $width = static fn (?PatternPiece $p): float => $p === null ? 0.0 : Box::around($p->cut)->width();
        expect($card(14.9))->toBeNull()->and($width($card(15.0)))->toEqualWithDelta(12.0, 1e-6)
            ->and($width($card(40.0)))->toEqualWithDelta(37.0, 1e-6);
        // A cup that widens upwards stands on its narrow end; a hat of the same shape upside down has no foot.
        $cup = Pattern::of(sewnPart('cup', 40, 30, 40, ['topMm' => 40, 'bottomMm' => 20]), Sewing::of(isHollow: true));
        expect(piecesOf($cup))->toBe(['Side', 'Narrow end', 'Stiffening'])
            ->and($width($cup->pieces[2]))->toEqualWithDelta(17.0, 1e-6);
        $tube = Pattern::of(sewnPart('drum', 40, 30, 40), Sewing::of(isHollow: true));
        expect(array_map(static fn (PatternPiece $p): string => (string) $p->name, $tube->pieces))->toBe(['Side', 'Foot']);
    });

    it('is stuffed with what the shape holds within the felt', function () {
        $ball = Pattern::of(sewnPart('ball', 50, 50, 50), Sewing::of(feltMm: 2.0));
        // Stuffing of springy felt: 0.6 x 0.15 g/cm3, in a ball of 46 mm.
        expect($ball->stuffingG)->toEqualWithDelta(M_PI / 6 * 4.6 ** 3 * 0.09, 0.01)
            ->and(Pattern::of(sewnPart('ball', 5, 5, 5), Sewing::of(feltMm: 3.0))->stuffingG)->toBe(0.0);
    });

    it('falls into an even number of gores, four to twelve', function (float $wide, int $count) {
        expect(Pattern::of(sewnPart('ball', $wide, $wide, $wide), Sewing::of())->pieces[0]->count)->toBe($count);
    })->with([[10.0, 4], [50.0, 4], [60.0, 6], [100.0, 8], [300.0, 12]]);

    it('of a dome is closed by its foot where it is stuffed, and open where it is a cap', function () {
        $names = static fn (bool $hollow): array => array_map(
            static fn (PatternPiece $p): string => (string) $p->name,
            Pattern::of(sewnPart('dome', 60, 30, 60), Sewing::of(isHollow: $hollow))->pieces,
        );
        $seams = seamsOf(Pattern::of(sewnPart('dome', 60, 30, 60), Sewing::of()));
        expect($names(false))->toBe(['Gore', 'Foot', 'Stiffening'])->and($names(true))->toBe(['Gore'])
            ->and($seams['Round the foot'])->toEqualWithDelta(M_PI * 60, 0.01)
            // Six seams, each a quarter of a girth long over the middle of a gore, and along its rim a little more, which is eased in.
            ->and($seams['6 seams'] / (6 * M_PI * 15))->toBeGreaterThan(1.0)->toBeLessThan(1.07);
    });

    it('takes more felt with a seam allowance, and more thread with closer stitches', function () {
        $of = static fn (float $seam, float $pitch): Pattern => Pattern::of(
            sewnPart('cup', 40, 30, 40, ['topMm' => 40, 'bottomMm' => 30]),
            Sewing::of($seam, Stitch::Whip, $pitch),
        );
        expect(pieceOf($of(5, 3), 'Side')->cutMm2())->toBeGreaterThan(pieceOf($of(2, 3), 'Side')->cutMm2())
            ->and($of(3, 2)->threadMm())->toBeGreaterThan($of(3, 4)->threadMm());
    });

    it('tells everything of one of a pair by hand', function () {
        $part = ['mirror' => true, 'name' => 'Ear'] + Figures::part('ear', 'drum', 20, 10, 20);
        $pattern = Pattern::of(Figures::read(Figures::document([$part]))->parts['ear'], Sewing::of(2.0, Stitch::Running, 4.0, 1.0));
        $told = $pattern->document();
        $girth = M_PI * 20;
        // 62.8 mm in stitches of 4 are 16; the side seam of 10 are 3, the half rounded up.
        $round = $girth + 16 * 2 * 2.0 + 100;
        expect([$told['part'], $told['name'], $told['parts']])->toBe(['ear', 'Ear', 2])
            ->and(array_map(static fn (array $p): array => [$p['name'], $p['of'], $p['count']], $told['pieces']))
            ->toBe([['Side', 'felt', 1], ['Foot', 'felt', 1], ['Top', 'felt', 1], ['Stiffening', 'card', 1]])
            ->and($told['pieces'][0]['cutCm2'])->toEqualWithDelta(($girth * 10 + (2 * $girth + 20) * 2 + M_PI * 4) / 100, 0.01)
            ->and(array_combine(spoken(array_column($told['seams'], 'name')), array_column($told['seams'], 'lengthMm')))->toEqualWithDelta(
                ['Side seam' => 10.0, 'Round the foot' => $girth, 'Round the top' => $girth],
                0.01,
            )
            ->and(array_column($told['seams'], 'stitches'))->toBe([3, 16, 16])
            ->and(array_column($told['seams'], 'threadMm'))->toEqualWithDelta([10 + 3 * 4.0 + 100, $round, $round], 0.01)
            ->and($told['threadMm'])->toEqualWithDelta(array_sum(array_column($told['seams'], 'threadMm')), 1e-9)
            ->and($told['stuffingG'])->toBe($pattern->stuffingG);
    });

    it('is sewn from felt and by stitches within what hands can do, both ends taken', function () {
        $is = static fn (float ...$of): bool => Sewing::of($of[0], Stitch::Back, $of[1], $of[2])->feltMm === $of[2];
        expect($is(0.0, 1.0, 0.3))->toBeTrue()->and($is(20.0, 20.0, 10.0))->toBeTrue();
        foreach ([[20.1, 3, 1.5], [3, 20.1, 1.5], [3, 0.9, 1.5], [3, 3, 0.29], [3, 3, 10.1], [-0.1, 3, 1.5]] as [$seam, $stitch, $felt]) {
            expect(static fn () => Sewing::of($seam, Stitch::Back, $stitch, $felt))->toThrow(FlatRefused::class);
        }
        $usual = Sewing::of();
        expect([$usual->seamMm, $usual->stitch, $usual->stitchMm, $usual->feltMm, $usual->isHollow])
            ->toBe([3.0, Stitch::Back, 3.0, 1.5, false]);
    });

    it('is refused for a ring, and for felt or seams that are none', function () {
        expect(fn () => Pattern::of(sewnPart('ring', 40, 40, 8), Sewing::of()))->toThrow(FlatRefused::class, 'no pattern')
            ->and(fn () => Sewing::of(-1.0))->toThrow(FlatRefused::class)
            ->and(fn () => Sewing::of(NAN))->toThrow(FlatRefused::class)
            ->and(fn () => Sewing::of(3.0, Stitch::Back, 0.5))->toThrow(FlatRefused::class)
            ->and(fn () => Sewing::of(3.0, Stitch::Back, 3.0, 40.0))->toThrow(FlatRefused::class);
    });

    it('comes on paper at true size, cut line and sewn line apart by the allowance', function () {
        $page = PatternSheet::pages(Pattern::of(sewnPart('drum', 30, 20, 30), Sewing::of(5.0)), 'Test', Paper::A4)[0];
        preg_match_all('/<path d="M([^"]+)Z"/', $page, $found);
        $wide = static fn (string $d): float => Box::around(array_map(
            static fn (string $p): array => array_map(floatval(...), explode(' ', $p)),
            explode('L', $d),
        ))->width();
        $girth = M_PI * 30;
        expect($wide($found[1][0]))->toEqualWithDelta($girth + 10, 0.05)->and($wide($found[1][1]))->toEqualWithDelta($girth, 0.05);
    });
});
