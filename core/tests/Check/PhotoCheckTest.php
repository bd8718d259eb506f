<?php

declare(strict_types=1);

namespace Impa\Tests\PhotoCheck;

use Impa\Check\Comparison\Expected;
use Impa\Check\Comparison\PieceFit;
use Impa\Check\Comparison\Rim;
use Impa\Check\Photo\Marks;
use Impa\Check\Photo\Photo;
use Impa\Check\Photo\PhotoGround;
use Impa\Check\Photo\PhotoRefused;
use Impa\Check\Photo\Scale;
use Impa\Check\PhotoCheck;
use Impa\Figure\Editing\Scaling;
use Impa\Figure\Figure;
use Impa\Figure\Placement;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Raster\File\PictureRefused;
use Impa\Render\Bench\BenchCamera;
use Impa\Render\Bench\MarkerSheet;
use Impa\Render\View;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;

const PX = 700;

/** @param  callable(\stdClass): mixed  $how  what is done to its document */
function otherwise(string $name, callable $how): Figure
{
    $document = Works::demo($name)->document();
    $how($document);

    return Figure::fromDocument($document);
}

function member(\stdClass $document, string $list, string $key): \stdClass
{
    return array_values(array_filter($document->{$list}, static fn (\stdClass $m): bool => $m->key === $key))[0];
}

/** @return array<string, mixed> */
function checked(string $name, ?Figure $made = null, int $seed = 1, bool $hasMarker = false): array
{
    $plan = Works::demo($name);

    return PhotoCheck::of($plan, BenchCamera::png($plan, $made ?? $plan, View::Front, $seed, $hasMarker, PX), View::Front)->document();
}

/** @return array<string, float> what was told, by part or detail and kind */
function told(array $check): array
{
    $told = [];
    foreach ($check['deviations'] as $d) {
        $told[($d['detail'] ?? $d['part']).($d['twin'] ? ' twin' : '').' '.$d['what']] = $d['mm'] ?? $d['deg'] ?? $d['difference'] ?? 0.0;
    }

    return $told;
}

describe('a photo of what was made', function () {
    it('tells a head that is too narrow, ears too high and a mouth too high, in mm, the worst first', function (bool $hasMarker) {
        $check = checked('sorrel', otherwise('sorrel', static function (\stdClass $d): void {
            member($d, 'parts', 'head')->shape->widthMm -= 3.0;
            member($d, 'parts', 'ear')->at->yMm += 2.0;
            foreach (member($d, 'details', 'mouth')->pointsMm as $i => $point) {
                member($d, 'details', 'mouth')->pointsMm[$i][1] += 2.5;
            }
        }), 5, $hasMarker);
        $told = told($check);
        expect($told['head width'])->toEqualWithDelta(-3.0, 0.7)
            ->and($told['ear level'])->toEqualWithDelta(2.0, 0.7)
            ->and($told['ear twin level'])->toEqualWithDelta(2.0, 0.7)
            ->and($told['mouth level'])->toEqualWithDelta(2.5, 0.7)
            ->and($check['deviations'][0]['text'])->toMatch('/^Head [23](\.\d)? mm too narrow\.$/')
            ->and(implode(' ', array_column($check['deviations'], 'text')))->toContain('Left ear sits')->toContain('too high')
            ->and(array_column($check['deviations'], 'mend', 'detail')['mouth']['sign'])->toBe('wrong-place')
            ->and(((array) array_column($check['deviations'], 'mend', 'detail')['mouth']['answers'])['up'])->toEqualWithDelta(-2.5, 0.7)
            ->and($check['scaledBy'])->toBe($hasMarker ? 'sheet' : 'figure')
            ->and($check['overlap'])->toBeGreaterThan(0.9);
    })->with([false, true]);

    it('gives no false alarm on a faultless figure', function (string $name, int $seed, bool $hasMarker) {
        $check = checked($name, null, $seed, $hasMarker);
        $alarms = array_filter($check['deviations'], static fn (array $d): bool => abs($d['mm'] ?? 0.0) > 1.0 || ! isset($d['mm']));
        expect($alarms)->toBe([])->and($check['overlap'])->toBeGreaterThan(0.93);
    })->with([['bobbin', 12, true], ['wick', 13, false]]);

    it('tells the scale by the marker sheet, and a figure that is too large as a whole', function () {
        $plan = Works::demo('lanto');
        $large = Scaling::to($plan, 1.06 * $plan->heightMm);
        $measured = told(checked('lanto', $large, 3, true));
        $head = $plan->parts['head']->solid->size()->widthMm;
        expect($measured['head width'])->toEqualWithDelta(0.06 * $head, 0.8);
        // Without it nothing tells how large it is: that is said.
        $alone = checked('lanto', $large, 3, false);
        expect(told($alone))->not->toHaveKey('head width')
            ->and(implode(' ', $alone['unjudged']))->toContain('Its size as a whole');
    });

    it('tells a lean, an eye line that is not level, and what is missing', function () {
        $check = checked('sorrel', otherwise('sorrel', static function (\stdClass $d): void {
            member($d, 'parts', 'leaf')->turnDeg = (object) ['x' => 0, 'y' => 0, 'z' => 14];
            $d->details = array_values(array_filter($d->details, static fn (\stdClass $x): bool => $x->key !== 'mouth'));
        }), 6);
        expect(told($check)['leaf tilt'] - (Works::demo('sorrel')->document()->parts[4]->turnDeg->z ?? 0.0))->toBeGreaterThan(9.0)
            ->and(told($check))->toHaveKey('mouth missing');
    });

    it('takes the scale from a ruler beside it, or from a part that was measured', function () {
        $plan = Works::demo('lanto');
        $head = $plan->parts['head']->solid->size()->widthMm;
        $png = BenchCamera::png($plan, Scaling::to($plan, 1.05 * $plan->heightMm), View::Front, 103, false, PX);
        $part = PhotoCheck::of($plan, $png, View::Front, Scale::byPart('head', 1.05 * $head))->document();
        expect($part['scaledBy'])->toBe('part')->and(told($part)['head width'])->toEqualWithDelta(0.05 * $head, 0.7);
        // A strip of 400 pixels; as it would be if the figure had the planned size, a pixel has so many mm.
        $perPx = PhotoCheck::of($plan, $png, View::Front)->document()['mmPerPx'];
        $image = imagecreatefromstring($png);
        imagefilledrectangle($image, 10, imagesy($image) - 60, 500, imagesy($image) - 1, 0x302820);
        ob_start();
        imagepng($image);
        $ruled = (string) ob_get_clean();
        $at = static fn (float $x): array => [$x, imagesy($image) - 30.0];
        $ruler = PhotoCheck::of($plan, $ruled, View::Front, Scale::byRuler($at(60.0), $at(460.0), 1.05 * 400 * $perPx))->document();
        expect($ruler['scaledBy'])->toBe('ruler')->and(told($ruler)['head width'])->toEqualWithDelta(0.05 * $head, 0.7)
            ->and(static fn () => PhotoCheck::of($plan, $ruled, View::Front))->toThrow(PhotoRefused::class);
    });

    it('refuses a scale that tells nothing', function (callable $scale, string $why) {
        $plan = Works::demo('lanto');
        $png = BenchCamera::png($plan, $plan, View::Front, 3, false, PX);
        expect(static fn () => PhotoCheck::of($plan, $png, View::Front, $scale()))->toThrow(PhotoRefused::class, $why);
    })->with([
        [static fn () => Scale::byRuler([10.0, 10.0], [20.0, 12.0], 50.0), 'too near to each other'],
        [static fn () => Scale::byRuler([NAN, 10.0], [200.0, 12.0], 50.0), 'too near to each other'],
        [static fn () => Scale::byPart('head', 0.0), '1 mm to 1.00 m'],
        [static fn () => Scale::byPart('head', NAN), '1 mm to 1.00 m'],
        [static fn () => Scale::byPart('tail', 20.0), 'no such part'],
    ]);

    it('finds the sheet where it lies on a table', function () {
        $plan = Works::demo('lanto');
        $sheet = imagecreatefromstring(BenchCamera::png($plan, $plan, View::Front, 21, true, PX));
        [$w, $h] = [imagesx($sheet), imagesy($sheet)];
        $table = imagecreatetruecolor($w + 300, $h + 300);
        imagefill($table, 0, 0, 0x8C603C);
        imagecopy($table, $sheet, 170, 130, 0, 0, $w, $h);
        ob_start();
        imagepng($table);
        $check = PhotoCheck::of($plan, (string) ob_get_clean(), View::Front)->document();
        expect($check['scaledBy'])->toBe('sheet')->and(told($check))->toBe([])->and($check['overlap'])->toBeGreaterThan(0.93);
    });

    it('holds one piece of a part alone against its plan', function () {
        $plan = Works::demo('sorrel');
        $made = otherwise('sorrel', static function (\stdClass $d): void {
            member($d, 'parts', 'wing')->shape->heightMm += 3.0;
        });
        $alone = $plan->onlyPiece('wing');
        $png = BenchCamera::png($alone, $made->onlyPiece('wing'), View::Front, 3, true, PX);
        $told = told(PhotoCheck::of($alone, $png, View::Front)->document());
        expect(array_keys($told))->toBe(['wing height'])->and($told['wing height'])->toEqualWithDelta(3.0, 0.7);
    });

    it('holds the left against the right, and the one flank of what stands on the axis against the other', function () {
        $made = otherwise('sorrel', static function (\stdClass $d): void {
            $ear = member($d, 'parts', 'ear');
            $ear->mirror = false;
            $other = json_decode((string) json_encode($ear));
            $other->key = 'ear-too';
            $other->at->xMm = -$ear->at->xMm;
            $other->at->yMm += 3.0;
            $other->turnDeg->z = -($ear->turnDeg->z ?? 0.0);
            $other->shape->outline = array_map(static fn (array $p): array => [-$p[0], $p[1]], $ear->shape->outline);
            $lump = json_decode((string) json_encode(member($d, 'parts', 'body')));
            $lump->key = 'lump';
            $lump->shape = (object) ['kind' => 'ball', 'widthMm' => 24, 'heightMm' => 24, 'depthMm' => 24];
            $lump->at->xMm = 7.5 - member($d, 'parts', 'body')->shape->widthMm / 2;
            array_push($d->parts, $other, $lump);
            // The inner ear goes along with one of them only.
            $d->details = array_values(array_filter($d->details, static fn (\stdClass $x): bool => $x->on !== 'ear'));
        });
        $symmetry = checked('sorrel', $made, 5, true)['symmetry'];
        // The worst of each kind comes first.
        $of = array_column(array_reverse($symmetry), null, 'what');
        expect(abs($of['level']['mm']))->toEqualWithDelta(3.0, 0.7)
            ->and($of['level']['text'])->toMatch('/^The left ear sits [23](\.\d)? mm/')
            ->and($of['bulge']['mm'])->toBeGreaterThan(0.7)->and($of['bulge']['text'])->toContain('Body bulges')
            ->and(checked('sorrel', null, 5, true)['symmetry'])->toBe([]);
    });

    it('tells another colour than planned in the light of the photo, and none where only the light differs', function () {
        $check = checked('sorrel', otherwise('sorrel', static function (\stdClass $d): void {
            member($d, 'colours', Works::demo('sorrel')->parts['body']->colour)->hex = '#2f6480';
        }), 8);
        expect(told($check))->toHaveKey('body colour')->not->toHaveKey('wing colour')->not->toHaveKey('head colour');
    });
});

describe('a photo on which nothing can be judged', function () {
    $drawn = static function (callable $paint, int $w = 400, int $h = 300): string {
        $image = imagecreatetruecolor($w, $h);
        mt_srand(4);
        for ($y = 0; $y < $h; $y++) {
            for ($x = 0; $x < $w; $x++) {
                imagesetpixel($image, $x, $y, $paint($x, $y));
            }
        }
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    };
    $grey = static fn (float $v): int => (int) max(0, min(255, $v)) * 0x010101;

    it('is refused in words that say how to take it', function (callable $paint, string $why) use ($drawn) {
        expect(static fn () => PhotoCheck::of(Works::demo('sorrel'), $drawn($paint), View::Front))->toThrow(PhotoRefused::class, $why);
    })->with([
        'too dark' => [static fn (int $x, int $y): int => $grey(12 + mt_rand(0, 3)), 'too dark'],
        'a busy ground' => [static fn (int $x, int $y): int => ($x >> 4 & 1) ^ ($y >> 4 & 1) ? 0xD04020 : 0x2060C0, 'too busy'],
        'nothing' => [static fn (int $x, int $y): int => $grey(220 + mt_rand(0, 6)), 'No figure is seen'],
        'cut off' => [static fn (int $x, int $y): int => $x < 90 && $y > 100 && $y < 240 ? 0x904020 : 0xE0E0DA, 'cut off'],
        'a plain square' => [
            static fn (int $x, int $y): int => abs($x - 200) < 130 && abs($y - 150) < 20 ? 0x904020 : 0xE0E0DA,
            'another figure',
        ],
    ]);

    it('is refused where it is a real photograph of something else', function (string $name) {
        // core/tests/fixtures/photos/README.md says where they come from.
        $bytes = (string) file_get_contents(__DIR__."/../fixtures/photos/{$name}.jpg");
        foreach ([Works::demo('sorrel'), Works::demo('bobbin'), Works::demo('lanto')->onlyPiece('head')] as $plan) {
            expect(static fn () => PhotoCheck::of($plan, $bytes, View::Front))->toThrow(PhotoRefused::class);
        }
    })->with(['coffee', 'clock', 'brick', 'gravel', 'grass']);

    it('is refused where it is blurred', function () {
        $plan = Works::demo('sorrel');
        $image = imagecreatefromstring(BenchCamera::png($plan, $plan, View::Front, 2, false, 500));
        $small = imagescale($image, 30, -1, IMG_BICUBIC);
        $image = imagescale($small, 500, -1, IMG_BICUBIC);
        ob_start();
        imagepng($image);
        expect(fn () => PhotoCheck::of($plan, (string) ob_get_clean(), View::Front))->toThrow(PhotoRefused::class, 'blurred');
    });

    it('is refused of another figure, and where it is no picture', function () {
        $lanto = Works::demo('lanto');
        $png = BenchCamera::png($lanto, $lanto, View::Front, 2, false, 600);
        expect(static fn () => PhotoCheck::of(Works::demo('sorrel'), $png, View::Front))->toThrow(PhotoRefused::class, 'another figure')
            ->and(static fn () => PhotoCheck::of($lanto, '', View::Front))->toThrow(PictureRefused::class)
            ->and(static fn () => PhotoCheck::of(Figures::read(Figures::document([])), $png, View::Front))
            ->toThrow(PhotoRefused::class, 'no parts');
    });
});

it('finds the four marks whichever way up the photo is, and none where there is no sheet', function (int $quarters) {
    $plan = Works::demo('sorrel');
    $marks = static function (string $png): ?Marks {
        $photo = Photo::of($png);
        $ground = PhotoGround::of($photo);

        return Marks::among($ground->pieces(), $ground, $photo);
    };
    $upright = BenchCamera::png($plan, $plan, View::Front, 4, true, PX);
    $turned = imagerotate(imagecreatefromstring($upright), 90 * $quarters, 0);
    [$w, $h] = [imagesx($turned), imagesy($turned)];
    ob_start();
    imagepng($turned);
    $seen = $marks((string) ob_get_clean());
    $is = $marks($upright);
    expect($is)->not->toBeNull()->and($seen)->not->toBeNull()
        ->and($marks(BenchCamera::png($plan, $plan, View::Front, 4, false, PX)))->toBeNull();
    foreach ($is->corners ?? [] as $i => [$x, $y]) {
        // A quarter turn anticlockwise takes x, y to y, width - x.
        for ($q = 0, $size = [imagesx(imagecreatefromstring($upright)), imagesy(imagecreatefromstring($upright))]; $q < $quarters; $q++) {
            [$x, $y] = [$y, $size[0] - 1 - $x];
            $size = [$size[1], $size[0]];
        }
        expect($seen->corners[$i] ?? null)->toEqualWithDelta([$x, $y], 2.0);
    }
})->with([1, 2, 3]);

it('fits shift, turn and size to distances along a rim in closed form', function () {
    $figure = Figures::read(Figures::document([Figures::part('egg', 'egg', 30, 44, 30, 5, 40)]));
    $piece = Placement::of($figure->parts['egg']);
    $rims = Rim::all(Expected::of($figure, Side::Front));
    [$dx, $dy, $w, $h, $turn] = [1.3, -0.8, 2.0, -1.5, deg2rad(2)];
    $edges = array_map(static function (Rim $rim) use ($dx, $dy, $w, $h, $turn): array {
        [$qx, $qy] = [$rim->x - 5, $rim->y - 40];
        [$nx, $ny] = $rim->normal;

        return [$rim, $nx * ($dx + $w / 30 * $qx - $turn * $qy) + $ny * ($dy + $h / 44 * $qy + $turn * $qx)];
    }, $rims);
    $off = PieceFit::of($piece, Side::Front, $edges)->off;
    expect([$off['across'], $off['level'], $off['width'], $off['height']])->toEqualWithDelta([$dx, $dy, $w, $h], 0.05)
        ->and($off['turn'])->toEqualWithDelta($turn, 0.005);
    // A tenth of them is something else: nothing changes.
    foreach ($edges as $i => [$rim, $d]) {
        $edges[$i] = $i % 10 === 0 ? [$rim, $d + 6.0] : [$rim, $d];
    }
    $off = PieceFit::of($piece, Side::Front, $edges)->off;
    expect([$off['across'], $off['level'], $off['width'], $off['height']])->toEqualWithDelta([$dx, $dy, $w, $h], 0.3);
});

it('says nothing of the turn of a ball, and knows that it does not', function () {
    $figure = Figures::read(Figures::document([Figures::part('ball', 'ball', 40, 40, 40, 0, 20)]));
    $edges = array_map(static fn (Rim $rim): array => [$rim, 0.1], Rim::all(Expected::of($figure, Side::Front)));
    $fit = PieceFit::of(Placement::of($figure->parts['ball']), Side::Front, $edges);
    expect($fit->sigma['turn'])->toBeGreaterThan(0.05)->and($fit->sigma['width'])->toBeLessThan(0.3)
        ->and($fit->off['width'])->toEqualWithDelta(0.2, 0.05);
});

it('draws of a rim what is not behind something: of a ball all but the arc within the one before it', function () {
    $plan = Expected::of(Figures::read(Figures::document([
        Figures::part('back', 'ball', 40, 40, 40, 0, 50),
        Figures::part('front', 'ball', 20, 20, 20, 18, 50, 30, ['join' => ['to' => 'back']]),
    ])), Side::Front);
    [$behind, $before] = [$plan->seenRim(0), $plan->seenRim(1)];
    $long = static fn (array $line): float => array_sum(array_map(
        static fn (array $a, array $b): float => hypot($b[0] - $a[0], $b[1] - $a[1]),
        array_slice($line, 0, -1),
        array_slice($line, 1),
    ));
    // The law of cosines: radii of 20 and 10, 18 apart.
    $seen = 2 * 20 * (M_PI - acos((20 ** 2 + 18 ** 2 - 10 ** 2) / (2 * 20 * 18)));
    expect($behind)->toHaveCount(1)
        ->and($long($behind[0]))->toEqualWithDelta($seen, 2.0)
        ->and(min(array_map(static fn (array $p): float => hypot($p[0] - 18, $p[1] - 50), $behind[0])))->toBeGreaterThan(9.0)
        ->and($before)->toHaveCount(1)
        ->and($before[0][0])->toEqualWithDelta($before[0][count($before[0]) - 1], 1e-9)
        ->and($long($before[0]))->toEqualWithDelta(20 * M_PI, 0.5);
});

it('chooses a marker sheet with room for the figure', function () {
    $small = MarkerSheet::for(Box::around([[-50.0, 0.0], [50.0, 120.0]]));
    $large = MarkerSheet::for(Box::around([[-90.0, 0.0], [90.0, 240.0]]));
    expect([$small->wideMm, $small->highMm])->toBe([176.0, 220.0])
        ->and($large->wideMm / $small->wideMm)->toEqualWithDelta(M_SQRT2, 1e-9);
});
