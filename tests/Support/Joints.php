<?php

declare(strict_types=1);

namespace Tests\Support;

use Tests\TestCase;

/** What is decided in one room is said by all others: asked over HTTP of the figure that a journey has come to (docs/joints.md). */
final class Joints
{
    /** Grams are said unrounded: nothing but the last bits may differ. */
    private const G = 1e-6;

    /** @var array<string, mixed> */
    private array $plan;

    /** @var array<string, mixed> */
    private array $supply;

    /** @var array<string, mixed> */
    private array $build;

    /** @var list<string> */
    private array $done;

    private string $at;

    private function __construct(private readonly TestCase $http, private readonly Journey $journey)
    {
        $of = ['document' => $journey->document];
        $this->at = sprintf('seed %d, after %s: ', $journey->seed, implode(', ', $journey->did));
        $this->plan = $http->postJson('/api/plan', $of)->assertOk()->json();
        $this->supply = $http->postJson('/api/supply', $of + ['figure' => $journey->figure])->assertOk()->json();
        $this->build = $http->postJson('/api/build', $of)->assertOk()->json('sheet');
        $this->done = $journey->done();
    }

    public static function hold(TestCase $http, Journey $journey): void
    {
        $joints = new self($http, $journey);
        $joints->gramsByWool();
        $joints->gramsOfKitAndSet();
        $joints->mixesByTheirWools();
        $joints->oneOrder();
        $joints->whatIsDone();
        $joints->herHandAndNeedles();
        $joints->openings();
        $joints->nothingLeftBehind();
    }

    /** The same grams by wool in plan, portions with wisps, steps, needs, and on the shelf. */
    private function gramsByWool(): void
    {
        $plan = self::summed($this->plan['wool'], static fn (array $w): float => $w['g']);
        $portions = self::summed($this->supply['portions'], static fn (array $p): float => $p['g']);
        foreach ($this->supply['wisps'] as $wisp) {
            $portions = self::plus($portions, 'wool '.$wisp['colour'], $wisp['mg'] * $wisp['count'] / 1000);
        }
        $steps = [];
        foreach ($this->build['steps'] as $step) {
            foreach ($step['kind'] === 'portion' ? [] : $step['weigh'] as $line) {
                $steps = self::plus($steps, self::name($line), $line['g'] * $line['pieces']);
            }
        }
        $foam = array_filter($plan, static fn (string $key): bool => str_starts_with($key, 'foam'), ARRAY_FILTER_USE_KEY);
        $this->same($portions + $foam, $plan, 'portions and plan');
        $this->same($steps, $plan, 'steps and plan');
        $total = array_sum($plan);
        $this->near(array_sum(array_column($this->supply['needs'], 'g')), $total, 'needs and plan');
        $this->near($this->card()['totalG'], $total, 'shelf and plan');
        $history = $this->http->getJson("/api/figures/{$this->journey->figure}/revisions/{$this->journey->revision}")->json('totalG');
        $this->near($history, $total, 'history and plan');
        $this->asideAndUsed();
    }

    /** What was just set aside is what is wanted, as far as it is free; what was used is what was needed. */
    private function asideAndUsed(): void
    {
        $act = end($this->journey->did) ?: '';
        if (! in_array($act, ['setAside', 'finish'], true)) {
            return;
        }
        $needs = $this->http->postJson('/api/supply', [
            'document' => $this->journey->document, 'figure' => $this->journey->figure, 'reserve' => $this->journey->reserve,
        ])->assertOk()->json('needs');
        $known = array_column(array_filter($needs, static fn (array $n): bool => $n['wool'] !== null), null, 'wool');
        $wool = $this->http->getJson("/api/figures/{$this->journey->figure}/wool")->assertOk()->json();
        [$rows, $name] = $act === 'finish' ? [$wool['used'], 'plannedG'] : [$wool['aside'], 'g'];
        $this->same(array_column($rows, $name, 'wool'), array_map(
            static fn (array $n): float => $act === 'finish' ? $n['g'] : min($n['wantG'], $n['freeG']),
            $known,
        ), $act);
    }

    /** A kit of one and a set of one take as much as the figure alone. */
    private function gramsOfKitAndSet(): void
    {
        $total = array_sum(array_column($this->plan['wool'], 'g'));
        $member = ['figure' => $this->journey->figure, 'count' => 1];
        $kit = $this->http->postJson('/api/kit', [
            'member' => $member, 'people' => 1, 'spare' => 0, 'beginners' => 0, 'reserve' => 'never',
        ])->assertOk()->json('kit');
        $this->near(array_sum(array_column($kit['bag'], 'eachG')) / $kit['factor'], $total, 'kit of one and plan');
        $set = $this->http->postJson('/api/set/plan', ['name' => 'One', 'members' => [$member]])->assertOk()->json();
        $this->near($set['totalG'], $total, 'set of one and plan');
        $this->near(array_sum(array_column($set['wool'], 'g')), $total, 'wool of a set of one and plan');
        foreach ($this->mixed() as $mix) {
            $bag = array_column($kit['bag'], null, 'name')[$mix['name']] ?? null;
            if (! $this->isGone($mix['colour'])) {
                $this->near(($bag['eachG'] ?? 0.0) / $kit['factor'], $mix['g'], 'kit and mix');
                expect(array_column($bag['wools'], 'name'))->toBe(array_column($mix['wools'], 'name'), $this->at.'kit and mix');
            }
        }
    }

    /** A mix that was taken is mixed first, and said by its wools and their grams wherever wool is weighed. */
    private function mixesByTheirWools(): void
    {
        $of = array_column($this->plan['wool'], null, 'colour');
        $said = array_column($this->supply['mixes'], null, 'colour');
        $steps = array_column($this->build['steps'], 'mix', 'key');
        $at = array_flip(array_column($this->build['steps'], 'key'));
        foreach ($this->journey->document['colours'] as $colour) {
            $mix = $colour['mix'] ?? [];
            $total = $of[$colour['key']] ?? null;
            if ($total === null) {
                continue;
            }
            if (count($mix) < 2) {
                expect($said)->not->toHaveKey($colour['key'])->and($total['wools'])->toBe([])
                    ->and($total['name'])->toBe($mix[0]['wool'] ?? $colour['name'] ?? $colour['key'], $this->at.'name of a wool');

                continue;
            }
            $grams = array_combine(array_column($mix, 'wool'), array_map(
                static fn (array $m): float => $total['g'] * $m['percent'] / array_sum(array_column($mix, 'percent')),
                $mix,
            ));
            foreach ([$said[$colour['key']], $steps['mix:'.$colour['key']], $total] as $room) {
                $told = array_column($room['wools'], 'g', 'name');
                $this->same($told, $grams, 'a mix by its wools');
                expect($room['name'])->toEndWith(' mix');
            }
            foreach ($this->build['steps'] as $step) {
                if (in_array($colour['key'], array_column($step['weigh'], 'colour'), true)) {
                    expect($at['mix:'.$colour['key']])->toBeLessThan($at[$step['key']], $this->at.'mixed first');
                    foreach ($step['weigh'] as $line) {
                        $isSaid = $line['colour'] !== $colour['key'] || $line['name'] === $total['name'];
                        expect($isSaid)->toBeTrue($this->at.'weighed by its mix');
                    }
                }
            }
            foreach ($this->supply['portions'] as $portion) {
                if ($portion['colour'] === $colour['key']) {
                    expect($portion['text'])->toContain(mb_strtolower($total['name']));
                }
            }
        }
    }

    /** Plan, steps and shelf have the same steps in one order; what comes after what holds in all of them. */
    private function oneOrder(): void
    {
        $keys = array_column($this->build['steps'], 'key');
        expect(array_column($this->plan['steps'], 'key'))->toBe($keys, $this->at.'order of plan and steps')
            ->and(array_column($this->plan['steps'], 'after', 'key'))->toBe(array_column($this->build['steps'], 'after', 'key'))
            ->and($this->journey->steps())->toBe($keys)
            ->and($this->card()['steps'])->toBe(count($keys), $this->at.'steps on the shelf');
        $at = array_flip($keys);
        foreach ($this->build['steps'] as $step) {
            foreach ($step['after'] as $before) {
                expect($at[$before])->toBeLessThan($at[$step['key']], $this->at.'an order that can be followed');
            }
        }
    }

    /** What is done is done in the evenings, on the shelf and at the last look. */
    private function whatIsDone(): void
    {
        $keys = array_column($this->build['steps'], 'key');
        $minutes = array_column($this->build['steps'], 'minutes', 'key');
        $left = array_values(array_diff($keys, $this->done));
        $schedule = $this->http->postJson('/api/schedule', [
            'document' => $this->journey->document, 'sitting' => 720, 'done' => $this->done,
        ])->assertOk()->json();
        $laid = array_values(array_unique(array_column(array_merge(...array_column($schedule['sittings'], 'steps')), 'key')));
        expect($laid)->toEqualCanonicalizing($left, $this->at.'evenings')
            ->and($this->card()['done'])->toBe(count($keys) - count($left), $this->at.'done on the shelf');
        $this->near($schedule['handsMinutes'], array_sum(array_intersect_key($minutes, array_flip($left))), 'minutes left in the evenings');
        $closing = $this->http->getJson("/api/figures/{$this->journey->figure}/closing")->assertOk()->json('left');
        $isDone = array_column($closing, 'done', 'kind');
        if (isset($isDone['steps'])) {
            expect($isDone['steps'])->toBe($left === [], $this->at.'the last look');
        }
        $safe = max(0, count($this->journey->broken)) === 0;
        expect($this->http->getJson("/api/figures/{$this->journey->figure}/log")->json('tipsMissing') === 0)->toBe($safe, $this->at.'tips');
    }

    /** Her hand's minutes and the needles in her box, wherever work is reckoned. */
    private function herHandAndNeedles(): void
    {
        $minutes = array_column($this->build['steps'], 'minutes', 'key');
        $plan = array_column($this->plan['steps'], 'minutes', 'key');
        $this->same($plan, $minutes, 'minutes of plan and steps');
        $all = array_sum($minutes);
        $this->near($this->plan['minutes']['hands'], $all, 'minutes of the plan');
        $this->near($this->card()['handsMinutes'], $all, 'minutes on the shelf');
        $gauges = $this->http->getJson('/api/needles')->json('gauges');
        foreach ($this->build['steps'] as $step) {
            if ($step['needle'] !== null && $gauges !== []) {
                expect($gauges)->toContain($step['needle']['gauge']);
            }
        }
        $set = $this->http->postJson('/api/set/plan', [
            'name' => 'One', 'members' => [['figure' => $this->journey->figure, 'count' => 1]],
        ])->json('order.rows');
        $this->near(array_sum(array_column($set, 'minutes')), $all, 'minutes of a set of one');
    }

    /** What is cut through layers is cut in every view of them. */
    private function openings(): void
    {
        $flat = $this->journey->document['flat'] ?? null;
        $plates = array_filter($this->journey->document['parts'], static fn (array $p): bool => $p['shape']['kind'] === 'plate');
        if ($flat === null || $plates === []) {
            return;
        }
        $told = $this->http->postJson('/api/flat', ['document' => $this->journey->document]);
        if ($told->status() === 422) {
            return;
        }
        $layers = $told->assertOk()->json('layers');
        $turning = $this->http->postJson('/api/board/turning', ['document' => $this->journey->document])->assertOk()->json('parts');
        $keys = static fn (array $of): array => array_values(array_unique($of));
        $cut = array_column(
            array_filter($layers, static fn (array $l): bool => array_map(count(...), $l['rimsMm']) !== [count($l['outlineMm'])]),
            'part',
        );
        $turned = array_column(array_filter($this->journey->document['parts'], static fn (array $p): bool => isset($p['turnDeg'])), 'key');
        $round = array_keys(array_filter($turning, static fn (array $p): bool => $p['cut'] !== null));
        expect(array_diff($keys($round), $turned))
            ->toEqualCanonicalizing(array_diff($keys($cut), $turned), $this->at.'openings in the round');
        expect($told->json('openings'))->toHaveCount(count($flat['openings'] ?? []));
    }

    /** No tick, no grams set aside and no pulled step of what is not there any more counts. */
    private function nothingLeftBehind(): void
    {
        $there = [
            ...array_column($this->journey->document['parts'], 'key'),
            ...array_column($this->journey->document['details'] ?? [], 'key'),
        ];
        foreach ($this->plan['notes'] as $note) {
            if (preg_match('~^/(parts|details)/(\d+)~', $note['at'], $m) === 1) {
                expect(isset($this->journey->document[$m[1]][(int) $m[2]]))->toBeTrue($this->at.'notes');
            }
        }
        foreach ($this->build['steps'] as $step) {
            foreach (array_filter([$step['part'], $step['detail']]) as $key) {
                expect($there)->toContain($key);
            }
        }
        expect($this->card()['done'])->toBeLessThanOrEqual($this->card()['steps']);
    }

    /** @return array<string, mixed> of the figure, on the shelf */
    private function card(): array
    {
        static $known = [];
        $key = $this->at;
        if (! isset($known[$key])) {
            $known = [$key => array_column($this->http->getJson('/api/figures')->assertOk()->json('figures'), null, 'id')];
        }

        return $known[$key][$this->journey->figure];
    }

    /** @return list<array<string, mixed>> */
    private function mixed(): array
    {
        return $this->supply['mixes'];
    }

    private function isGone(string $colour): bool
    {
        return array_column($this->supply['matches'], 'gone', 'colour')[$colour] !== [];
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @param  callable(array<string, mixed>): float  $g
     * @return array<string, float>
     */
    private static function summed(array $rows, callable $g): array
    {
        $sums = [];
        foreach ($rows as $row) {
            $sums = self::plus($sums, self::name($row), $g($row));
        }

        return $sums;
    }

    /** @param  array<string, mixed>  $row */
    private static function name(array $row): string
    {
        $colour = $row['colour'] ?? '';

        return $colour === '' ? $row['material'].' ' : 'wool '.$colour;
    }

    /**
     * @param  array<string, float>  $sums
     * @return array<string, float>
     */
    private static function plus(array $sums, string $key, float $g): array
    {
        return [$key => ($sums[$key] ?? 0.0) + $g] + $sums;
    }

    /**
     * @param  array<string, float>  $is
     * @param  array<string, float>  $wanted
     */
    private function same(array $is, array $wanted, string $what): void
    {
        expect(array_keys($is))->toEqualCanonicalizing(array_keys($wanted), $this->at.$what);
        foreach ($wanted as $key => $value) {
            $this->near($is[$key], $value, "{$what}, {$key}");
        }
    }

    private function near(float $is, float $wanted, string $what): void
    {
        expect(abs($is - $wanted))->toBeLessThanOrEqual(self::G * max(1.0, abs($wanted)), "{$this->at}{$what}: {$is}, not {$wanted}");
    }
}
