<?php

declare(strict_types=1);

use App\Models\Figure;
use App\Models\Needle;

it('lists the pieces of a face, puts one on a head, and varies it', function () {
    $pieces = $this->getJson('/api/face/pieces')->assertOk()->json('pieces');
    expect(count($pieces))
        ->toBeGreaterThan(8)
        ->and($pieces[0]['sliders'][0])
        ->toHaveKeys(['key', 'name', 'from', 'to', 'usual', 'step']);
    $put = $this->postJson('/api/face/pieces', [
        'document' => demoFigure(),
        'part' => 'head',
        'kind' => 'brows',
        'values' => ['tilt' => 20],
    ])->assertOk();
    $brow = collect($put->json('document.details'))->firstWhere('key', 'brows-brow');
    expect($put->json('key'))
        ->toBe('brows')
        ->and($brow['piece']['values']['tilt'])
        ->toEqual(20)
        ->and($brow['mirror'])
        ->toBeTrue();
    $varied = $this->postJson('/api/face/pieces', [
        'document' => $put->json('document'),
        'part' => 'head',
        'kind' => 'brows',
        'piece' => 'brows',
        'values' => (object) [],
    ])->assertOk();
    expect($varied->json('document.details'))->toHaveCount(count($put->json('document.details')));
    // One that is not there is not varied; a detail too many is refused here and not when it is saved.
    $this->postJson('/api/face/pieces', [
        'document' => demoFigure(),
        'part' => 'head',
        'kind' => 'brows',
        'piece' => 'brows',
    ])->assertStatus(422);
    $full = demoFigure();
    $full['details'] = array_map(static fn (int $i): array => ['key' => 'd'.$i] + $full['details'][0], range(0, 399));
    $this->postJson('/api/face/pieces', ['document' => $full, 'part' => 'head', 'kind' => 'brows'])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/details');
    // What comes back is a whole figure.
    $this->postJson('/api/plan', ['document' => $varied->json('document')])->assertOk();
});

it('refuses pieces that there are not, and values that are none', function (array $more) {
    $this->postJson('/api/face/pieces', $more + ['document' => demoFigure(), 'part' => 'head', 'kind' => 'brows'])
        ->assertStatus(422)
        ->assertHeader('Content-Type', 'application/problem+json');
})->with([
    [['kind' => 'monocle']],
    [['part' => 'tail']],
    [['values' => [1, 2]]],
    [['values' => ['tilt' => 'steep']]],
    [['values' => 'all']],
    [['document' => []]],
]);

it('copies a face from a saved figure, and says where there is none', function () {
    $from = $this->postJson('/api/figures', ['document' => demoFigure()])->json('id');
    $bare = ['details' => []] + demoFigure();
    $copied = $this->postJson('/api/face/copy', ['document' => $bare, 'part' => 'body', 'from' => $from, 'fromPart' => 'head'])
        ->assertOk()
        ->json('document');
    $on = static fn (array $document, string $part): int => collect($document['details'])->where('on', $part)->count();
    expect($on($copied, 'body'))->toBe($on(demoFigure(), 'head'))->and($on($copied, 'body'))->toBeGreaterThan(2);
    $instead = $this->postJson('/api/face/copy', [
        'document' => $copied,
        'part' => 'body',
        'from' => $from,
        'fromPart' => 'head',
        'instead' => true,
    ])
        ->assertOk()
        ->json('document');
    expect($on($instead, 'body'))->toBe($on($copied, 'body'));
    $this->postJson('/api/face/copy', [
        'document' => $bare,
        'part' => 'body',
        'from' => 9999,
        'fromPart' => 'head',
    ])->assertStatus(404);
    $this->postJson('/api/face/copy', [
        'document' => $bare,
        'part' => 'body',
        'from' => $from,
        'fromPart' => 'arm',
    ])->assertStatus(422);
    expect(Figure::query()->count())->toBe(1);
});

it('measures the details from any anchor, and other places besides', function () {
    $crown = $this->postJson('/api/face/marks', ['document' => demoFigure(), 'part' => 'head'])->assertOk();
    $anchors = $crown->json('anchors');
    expect($anchors[0]['key'])->toBe('crown')->and(count($anchors))->toBeGreaterThan(3);
    $plan = collect($this->postJson('/api/plan', ['document' => demoFigure()])->json('details'))->keyBy('key');
    foreach ($crown->json('marks') as $key => $mark) {
        expect($mark['acrossMm'])
            ->toEqualWithDelta($plan[$key]['marks']['acrossMm'], 1e-6)
            ->and($mark['downMm'])
            ->toEqualWithDelta($plan[$key]['marks']['downMm'], 1e-6);
    }
    $own = $anchors[1]['key'];
    $from = $this->postJson('/api/face/marks', ['document' => demoFigure(), 'part' => 'head', 'from' => $own])->assertOk();
    expect($from->json("marks.{$own}.downMm"))->toEqualWithDelta(0.0, 1e-9);
    $at = $this->postJson('/api/face/marks', [
        'document' => demoFigure(),
        'part' => 'head',
        'at' => [[6, -3], [-6, -3], [400, 0]],
    ])->assertOk();
    expect($at->json('at.0.acrossMm'))
        ->toEqualWithDelta(-$at->json('at.1.acrossMm'), 1e-9)
        ->and($at->json('at.0.downMm'))
        ->toBe($at->json('at.1.downMm'))
        ->and($at->json('at.2'))
        ->toBeNull();
    $this->postJson('/api/face/marks', ['document' => demoFigure(), 'part' => 'head', 'from' => 'the moon'])->assertStatus(422);
    $this->postJson('/api/face/marks', ['document' => demoFigure(), 'part' => 'head', 'at' => [[6, 'x'], [1, 1]]])->assertStatus(
        422,
    );
});

it('keeps a detail as drawn or in size, and shows it through the needle\'s eye', function () {
    $document = demoFigure();
    $key = $document['details'][0]['key'];
    $this->postJson('/api/face/keep', ['document' => $document, 'detail' => $key, 'keep' => 'drawn'])
        ->assertOk()
        ->assertJsonPath('set.keep', 'drawn');
    $this->postJson('/api/face/keep', ['document' => $document, 'detail' => $key, 'keep' => 'size'])
        ->assertOk()
        ->assertJsonPath('set.keep', 'size');
    $this->postJson('/api/face/keep', ['document' => $document, 'detail' => $key, 'keep' => 'both'])->assertStatus(422);
    $this->postJson('/api/face/keep', ['document' => $document, 'detail' => 'gone', 'keep' => 'size'])->assertStatus(422);
    $seen = $this->postJson('/api/face/needles-eye', ['document' => $document, 'detail' => $key])->assertOk();
    expect($seen->json('reachMm'))->toBeGreaterThan(3)->and(array_column($seen->json('outlines'), 'key'))->toContain($key);
    $document['details'][0]['xMm'] = 500;
    $this->postJson('/api/face/needles-eye', ['document' => $document, 'detail' => $key])->assertStatus(422);
    $this->postJson('/api/face/keep', ['document' => $document, 'detail' => $key, 'keep' => 'size'])->assertStatus(422);
});

it('knows the needles at hand, and asks for more where they are coarse', function () {
    $this->getJson('/api/needles')
        ->assertOk()
        ->assertJsonPath('gauges', [36, 38, 40, 42])
        ->assertJsonPath('finest', 42);
    $document = demoFigure();
    $document['details'] = [
        [
            'key' => 'dot',
            'role' => 'spot',
            'on' => 'head',
            'kind' => 'disc',
            'widthMm' => 2.2,
            'xMm' => 5,
            'yMm' => 0,
            'colour' => $document['details'][0]['colour'],
        ],
    ];
    $crisp = fn (): string => $this->postJson('/api/plan', ['document' => $document])->json('details.0.crisp');
    expect($crisp())->not->toBe('too-small');
    $this->putSeen('/api/needles', ['gauges' => [38, 36, 36]])
        ->assertOk()
        ->assertJsonPath('gauges', [36, 38])
        ->assertJsonPath('finest', 38);
    expect($crisp())
        ->toBe('too-small')
        ->and($this->postJson('/api/face/advice', ['document' => $document, 'part' => 'head'])->json('advice.dot.0.why'))
        ->toContain('with a 38, your finest needle');
    // What is not sold is refused, and nothing is half kept.
    $this->putSeen('/api/needles', ['gauges' => [38, 7]])->assertStatus(422);
    $this->putSeen('/api/needles', ['gauges' => []])->assertStatus(422);
    expect(Needle::gauges())->toBe([36, 38]);
});

it('tells a fault in place with its mend, and takes the document all the same', function () {
    $document = demoFigure();
    $colour = $document['details'][0]['colour'];
    $document['details'] = [
        [
            'key' => 'bow',
            'role' => 'other',
            'on' => 'head',
            'kind' => 'patch',
            'pointsMm' => [[-5, -5], [5, 5], [5, -5], [-5, 5]],
            'colour' => $colour,
        ],
        ['key' => 'far', 'role' => 'spot', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5, 'xMm' => 400, 'colour' => $colour],
        ['key' => 'huge', 'role' => 'other', 'on' => 'head', 'kind' => 'bead', 'widthMm' => 300, 'colour' => $colour],
    ];
    $advice = $this->postJson('/api/face/advice', ['document' => $document, 'part' => 'head'])
        ->assertOk()
        ->json('advice');
    foreach (['bow' => 'tangled', 'far' => 'off-part', 'huge' => 'too-large'] as $key => $code) {
        expect($advice[$key][0]['code'])
            ->toBe($code)
            ->and($advice[$key][0]['isFault'])
            ->toBeTrue()
            ->and($advice[$key][0]['mends'])
            ->not->toBe([]);
    }
    $this->postJson('/api/board', ['document' => $document])->assertOk();
    $this->postJson('/api/face/sheets', ['document' => $document, 'part' => 'head'])->assertOk();
});

it(
    'prints a wrapped template that is true on paper: rasterised, every rim lies where the cones through its cuts put it',
    function () {
        // A ball of 60 mm, an eye on either side. Each strip of the template is the frustum through its two cuts, unrolled: closed form.
        $radius = 30.0;
        $document = [
            'format' => 'impa-figure',
            'version' => 1,
            'name' => 'A ball',
            'heightMm' => 60,
            'colours' => [['key' => 'a', 'hex' => '#8fa36a']],
            'parts' => [
                [
                    'key' => 'head',
                    'shape' => ['kind' => 'ball', 'widthMm' => 60, 'heightMm' => 60, 'depthMm' => 60],
                    'at' => ['xMm' => 0, 'yMm' => 30],
                    'colour' => 'a',
                ],
            ],
            'details' => [
                [
                    'key' => 'eye',
                    'on' => 'head',
                    'kind' => 'disc',
                    'widthMm' => 9,
                    'heightMm' => 9,
                    'xMm' => 13,
                    'yMm' => -4,
                    'colour' => 'a',
                    'mirror' => true,
                ],
            ],
        ];
        $file = tempnam(sys_get_temp_dir(), 'wrap');
        file_put_contents(
            $file,
            $this->postJson('/api/face/sheets', ['document' => $document, 'part' => 'head'])
                ->assertOk()
                ->getContent(),
        );
        (new Symfony\Component\Process\Process([
            'pdftoppm',
            '-r',
            '254',
            '-f',
            '2',
            '-l',
            '2',
            '-png',
            '-singlefile',
            $file,
            $file,
        ]))->mustRun();
        $image = imagecreatefrompng($file.'.png');
        array_map(unlink(...), [$file, $file.'.png']);
        $figure = Impa\Figure\Figure::fromJson(json_encode($document));
        $template = Impa\Print\Template\FaceTemplates::of($figure, $figure->parts['head'])->template();
        // Where the cuts cross the middle line, by tape from the crown.
        $cuts = [];
        foreach ($template->outlines() as $outline) {
            $middle = array_column(array_filter($outline, static fn (array $p): bool => abs($p[0]) < 1e-9), 1);
            $cuts[] = [min($middle), max($middle)];
        }
        $darkWithin = static function (float $u, float $v, float $mm) use ($image): bool {
            [$px, $py] = [10 * (105.0 + $u), 10 * (12.0 + $v)];
            for ($dx = -10 * $mm; $dx <= 10 * $mm; $dx++) {
                for ($dy = -10 * $mm; $dy <= 10 * $mm; $dy++) {
                    if (
                        hypot($dx, $dy) <= 10 * $mm &&
                        (imagecolorat($image, (int) round($px + $dx), (int) round($py + $dy)) & 255) < 140
                    ) {
                        return true;
                    }
                }
            }

            return false;
        };
        $flat = static function (float $x, float $y) use ($radius, $cuts): ?array {
            $down = acos($y / $radius);
            $longitude = atan2($x, sqrt($radius ** 2 - $x ** 2 - $y ** 2));
            foreach ($cuts as [$from, $to]) {
                // A little way off the cuts, whose own lines are dark as well.
                if ($down * $radius > $from + 0.7 && $down * $radius < $to - 0.7) {
                    [$r1, $r2] = [$radius * sin($from / $radius), $radius * sin($to / $radius)];
                    $apex = (($to - $from) * $r1) / ($r2 - $r1);
                    $far = $apex + $down * $radius - $from;
                    $turn = ($longitude * ($r2 - $r1)) / ($to - $from);

                    return [$far * sin($turn), $from - $apex + $far * cos($turn)];
                }
            }

            return null;
        };
        $met = 0;
        foreach ([1, -1] as $way) {
            for ($deg = 0; $deg < 360; $deg += 10) {
                $at = static fn (float $reach): ?array => $flat(
                    $way * (13 + $reach * cos(deg2rad($deg))),
                    -4 + $reach * sin(deg2rad($deg)),
                );
                [$rim, $inside] = [$at(4.5), $at(3.3)];
                if ($rim !== null) {
                    expect($darkWithin(...$rim, ...[0.25]))->toBeTrue("the rim at $deg degrees");
                    $met++;
                }
                if ($inside !== null) {
                    expect($darkWithin(...$inside, ...[0.3]))->toBeFalse("1.2 mm inside the rim at $deg degrees");
                }
            }
        }
        expect($met)->toBeGreaterThan(35);
    },
);
