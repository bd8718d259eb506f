<?php

declare(strict_types=1);

namespace Impa\Tests\Diary;

use Impa\Build\Diary;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\Branch;
use Impa\Figure\Editing\Changes;
use Impa\Figure\Editing\EditRefused;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\PartWool;

it('keeps of a stretch what no other holds, minute by minute, whatever was told before', function () {
    mt_srand(6);
    foreach (range(1, 60) as $round) {
        $minutes = array_fill(0, 120, false);
        $taken = [];
        foreach (range(1, 12) as $told) {
            $from = mt_rand(0, 100);
            $to = $from + mt_rand(1, 20);
            $new = 0;
            for ($m = $from; $m < $to; $m++) {
                $new += (int) ! $minutes[$m];
                $minutes[$m] = true;
            }
            $free = Diary::untaken($taken, $from, $to);
            expect(array_sum(array_map(static fn (array $s): int => $s[1] - $s[0], $free)))->toBe($new);
            foreach ($free as [$begun, $ended]) {
                expect($begun)->toBeGreaterThanOrEqual($from)->toBeLessThan($ended)->and($ended)->toBeLessThanOrEqual($to);
            }
            $taken = [...$taken, ...$free];
        }
        expect(array_sum(array_map(static fn (array $s): int => $s[1] - $s[0], $taken)))->toBe(count(array_filter($minutes)));
    }
});

it('begins another sitting after a pause of three quarters of an hour, and tells notes with the sitting they lie in', function () {
    $minute = 60_000;
    $bout = static fn (string $step, int $from, int $to): array => ['step' => $step, 'from' => $from * $minute, 'to' => $to * $minute];
    $note = static fn (int $at): array => [
        'uuid' => 'n'.$at,
        'kind' => 'note',
        'step' => '',
        'text' => 'x',
        'grams' => null,
        'gauge' => null,
        'picture' => null,
        'at' => $at * $minute,
    ];
    $work = Works::of(Works::demo('lanto'));
    $bouts = [$bout('cover:head', 60, 70), $bout('core:head', 0, 10), $bout('core:head', 12, 20), $bout('core:head', 116, 120)];
    $diary = Diary::of($work, $bouts, [$note(65), $note(300)]);
    expect(array_column($diary['sittings'], 'minutes'))->toBe([28.0, 4.0, 0.0])
        ->and(array_column($diary['sittings'][0]['steps'], 'minutes', 'key'))->toBe(['core:head' => 18.0, 'cover:head' => 10.0])
        ->and(array_column($diary['sittings'][0]['entries'], 'uuid'))->toBe(['n65'])
        ->and(array_column($diary['sittings'][2]['entries'], 'uuid'))->toBe(['n300'])
        ->and($diary['minutes'])->toBe(32.0);
    $done = array_column($diary['steps'], 'done', 'key');
    expect([$done['core:head'], $done['cover:head'], $done['inspect']])->toBe([22.0, 10.0, 0.0]);
});

it('counts the tips of broken needles that were not found', function (array $kinds, int $missing) {
    $entries = [];
    foreach ($kinds as $at => $kind) {
        $entry = ['uuid' => 'e'.$at, 'kind' => $kind, 'step' => '', 'text' => '', 'grams' => null];
        $entries[] = $entry + ['gauge' => null, 'picture' => null, 'at' => $at];
    }
    expect(Diary::of(Works::of(Works::demo('lanto')), [], $entries)['tipsMissing'])->toBe($missing);
})->with([[[], 0], [['broken'], 1], [['broken', 'note', 'broken', 'found'], 1], [['broken', 'found'], 0], [['found'], 0]]);

it('says what became otherwise between two documents, and nothing of what did not', function () {
    $document = Works::demo('bobbin')->document();
    $after = Works::demo('bobbin')->document();
    expect(Changes::between($document, $after))->toBe([]);
    $after->parts[0]->firmness = 'firm';
    unset($after->parts[1]);
    $after->parts = array_values($after->parts);
    $after->details[] = (object) ['key' => 'scar', 'on' => 'head'];
    $after->school = (object) ['face' => 'limbs-first'];
    expect(Changes::between($document, $after))->toBe(['Head changed', 'Body is gone', 'scar is new', 'the school changed']);
});

it('says by how much a part became otherwise, where only its sizes and its place did', function () {
    $of = static function (callable $how): array {
        $after = Works::demo('bobbin')->document();
        $how($after->parts[0]);

        return Changes::between(Works::demo('bobbin')->document(), $after);
    };
    expect($of(static function (\stdClass $p): void {
        $p->shape->widthMm += 3;
        $p->at->yMm -= 1.5;
    }))->toBe(['Head is 3 mm wider, 1.5 mm lower down'])
        ->and($of(static fn (\stdClass $p) => $p->shape->depthMm -= 2))->toBe(['Head is 2 mm thinner'])
        ->and($of(static function (\stdClass $p): void {
            $p->at->zMm += 4;
            $p->colour = 'other';
        }))->toBe(['Head is 4 mm nearer, and otherwise changed'])
        ->and($of(static fn (\stdClass $p) => $p->firmness = 'firm'))->toBe(['Head changed']);
});

describe('a branch', function () {
    it('is the same figure so much larger, weighing as the cube of that where nothing is covered, in other colours', function () {
        $document = json_decode(Works::demo('bobbin')->toJson(), true);
        $solid = Figures::read(['core' => 'none', 'parts' => array_map(
            static fn (array $p): array => ['core' => 'none'] + array_diff_key($p, ['core' => 1]),
            $document['parts'],
        )] + $document);
        $key = (string) array_key_first($solid->colours);
        $branch = Branch::of($solid, 'Larger', 1.2, [$key => '#a02020']);
        $g = static fn (Figure $f): float => array_sum(array_map(
            static fn (PartWool $w): float => $w->finishedG(),
            array_filter(Ledger::of($f, Densities::house())->wool, static fn (PartWool $w): bool => $w->covering->g === 0.0),
        ));
        expect($branch->heightMm)->toEqualWithDelta(1.2 * $solid->heightMm, 1e-9)
            ->and($branch->name)->toBe('Larger')
            ->and($branch->colours[$key]->srgb->toHex())->toBe('#a02020')
            ->and(array_diff_key($branch->colours, [$key => 1]))->toEqual(array_diff_key($solid->colours, [$key => 1]))
            ->and($g($branch) / $g($solid))->toEqualWithDelta(1.2 ** 3, 0.01);
    });

    it('is refused in a size out of range, or in a colour that there is not', function () {
        $figure = Works::demo('bobbin');
        expect(static fn () => Branch::of($figure, 'x', 0.01, []))->toThrow(EditRefused::class, '10% to 1000%')
            ->and(static fn () => Branch::of($figure, 'x', NAN, []))->toThrow(EditRefused::class)
            ->and(static fn () => Branch::of($figure, 'x', 1.0, ['sky' => '#ffffff']))->toThrow(EditRefused::class, 'no colour "sky"')
            ->and(static fn () => Branch::of($figure, 'x', 1.0, [array_key_first($figure->colours) => 'red']))
            ->toThrow(FigureRefused::class);
    });
});
