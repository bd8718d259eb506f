<?php

declare(strict_types=1);

namespace App\Archive;

use App\Accounts\Whose;
use App\Hand\OwnHand;
use App\Models\Figure;
use App\Models\FigureSet;
use App\Models\Picture;
use App\Models\Wool;
use App\Store\Writing;
use Illuminate\Support\Str;
use Impa\Figure\Figure as FigureDocument;
use Impa\Figure\FigureRefused;
use Impa\Raster\PictureRefused;
use Impa\Stash\WoolEntry;
use stdClass;

/**
 * An archive taken in: first it is told what is new, the same or in conflict, and what cannot be read; then all of it is written, or
 * nothing. Taken in twice, it changes nothing the second time.
 */
final class Incoming
{
    private readonly Outgoing $here;

    /** @var array<string, int> numbers here of figures, wools and pictures, by what they are called everywhere */
    private array $figures = [];

    /** @var array<string, int> */
    private array $wools = [];

    /** @var array<string, int> */
    private array $pictures = [];

    /** @var array<string, string> figures that were laid beside their own likes, under the name they got */
    private array $renamed = [];

    private function __construct(private readonly Packed $packed)
    {
        $this->here = new Outgoing;
    }

    /** @throws ArchiveRefused in words, if it is none that can be taken in */
    public static function of(string $path): self
    {
        return new self(Packed::open($path));
    }

    /**
     * What would be taken in: figures one by one, each new, the same, in conflict or refused; wools and sets counted.
     *
     * @return array{
     *   figures: list<array{uuid: string, name: string, state: string, why: string}>,
     *   wools: array<string, int>, sets: array<string, int>, pictures: int, pieces: int
     * }
     */
    public function preview(): array
    {
        $figures = [];
        foreach ($this->uuids() as $uuid) {
            $why = '';
            try {
                $name = FigureDocument::fromJson($this->packed->bytes("figures/{$uuid}/figure.json"))->name;
            } catch (FigureRefused $refused) {
                [$name, $why] = ['?', $refused->getMessage()];
            }
            $state = $why !== '' ? 'refused' : $this->state($uuid);
            $figures[] = ['uuid' => $uuid, 'name' => $name, 'state' => $state, 'why' => $why];
        }
        $wools = $sets = ['new' => 0, 'same' => 0, 'conflict' => 0];
        foreach ($this->stash() as $wool) {
            $wools[$this->woolState($wool)]++;
        }
        foreach ($this->sets() as $set) {
            $sets[$this->setState($set)]++;
        }

        return [
            'figures' => $figures,
            'wools' => $wools,
            'sets' => $sets,
            'pictures' => count($this->packed->names('pictures/')),
            'pieces' => count($this->objects($this->packed->object('hand.json'), 'pieces')),
        ];
    }

    /**
     * Takes it in, all at once.
     *
     * @param  array<string, string>  $each  what is done with single figures, by their name everywhere: keep, replace, both
     * @param  ?callable(string, float): void  $progress  what is being done, and the share that is behind
     * @return array{taken: int, same: int, kept: int, refused: int} figures
     */
    public function take(Conflict $conflict, array $each = [], ?callable $progress = null): array
    {
        $progress ??= static function (): void {
        };
        $told = ['taken' => 0, 'same' => 0, 'kept' => 0, 'refused' => 0];
        $this->takePictures($progress);
        Writing::together(function () use ($conflict, $each, $progress, &$told): void {
            $this->figures = $this->numbers('figures', 'uuid');
            $this->takeStash($conflict);
            $uuids = $this->uuids();
            foreach ($uuids as $i => $uuid) {
                $progress('Laying figures on the shelf', 0.4 + 0.5 * $i / max(1, count($uuids)));
                $told[$this->takeFigure($uuid, Conflict::tryFrom($each[$uuid] ?? '') ?? $conflict)]++;
            }
            $progress('Sets, needles, hand', 0.9);
            $this->takeSets($conflict);
            $this->takeNeedles($conflict);
            $this->takeHand();
        });
        OwnHand::changed();

        return $told;
    }

    /** @return 'taken'|'same'|'kept'|'refused' */
    private function takeFigure(string $uuid, Conflict $conflict): string
    {
        $json = $this->packed->bytes("figures/{$uuid}/figure.json");
        try {
            $document = FigureDocument::fromJson($json);
        } catch (FigureRefused) {
            return 'refused';
        }
        $state = $this->state($uuid);
        if ($state === 'same' || ($state === 'conflict' && $conflict === Conflict::Keep)) {
            return $state === 'same' ? 'same' : 'kept';
        }
        $about = $this->packed->object("figures/{$uuid}/about.json");
        $name = $uuid;
        if ($state === 'conflict' && $conflict === Conflict::Both) {
            $name = $this->renamed[$uuid] = (string) Str::uuid();
        }
        $picture = $this->pictures[Row::text($about, 'picture')] ?? null;
        $id = Figure::carry($document, $json, $state === 'conflict' && $conflict === Conflict::Replace ? $this->figures[$uuid] : null, [
            'uuid' => $name,
            'picture_id' => $picture,
            'revision' => max(1, Row::whole($about, 'revision')),
            'present_step' => Row::text($about, 'presentStep', 160),
            'is_demo' => Row::flag($about, 'demo'),
            'created_at' => Row::time($about, 'createdAt') ?? now()->toDateTimeString(),
            'updated_at' => Row::time($about, 'changedAt') ?? now()->toDateTimeString(),
            'deleted_at' => Row::time($about, 'binnedAt'),
        ]);
        $this->figures[$name] = $id;
        $this->takeRevisions($uuid, $id, $about);
        $this->takeLog($id, $this->packed->object("figures/{$uuid}/log.json"));

        return 'taken';
    }

    private function takeRevisions(string $uuid, int $id, stdClass $about): void
    {
        $rows = [];
        foreach ($this->objects($about, 'revisions') as $said) {
            $name = sprintf('figures/%s/revisions/%06d.json', $uuid, Row::whole($said, 'revision'));
            if ($this->packed->has($name)) {
                $rows[Row::whole($said, 'revision')] = [
                    'revision' => Row::whole($said, 'revision'),
                    'document' => $this->packed->bytes($name),
                    'created_at' => Row::time($said, 'at') ?? now()->toDateTimeString(),
                ];
            }
        }
        $this->insert('figure_revisions', $id, array_values($rows));
    }

    private function takeLog(int $id, stdClass $log): void
    {
        $at = static fn (stdClass $r, string $name = 'at'): int => max(0, Row::whole($r, $name));
        $this->insert('step_marks', $id, $this->rows($log, 'done', static fn (stdClass $r): array => [
            'step' => Row::text($r, 'step', 160),
            'created_at' => Row::time($r, 'at') ?? now()->toDateTimeString(),
        ], ['step']));
        $this->insert('bouts', $id, $this->rows($log, 'work', static fn (stdClass $r): array => [
            'step' => Row::text($r, 'step', 160),
            'begun_at' => $at($r, 'from'),
            'ended_at' => $at($r, 'to'),
        ]));
        $this->insert('log_entries', $id, $this->rows($log, 'notes', fn (stdClass $r): array => [
            'uuid' => Row::text($r, 'uuid', 64),
            'kind' => Row::text($r, 'kind', 20),
            'step' => Row::text($r, 'step', 160),
            'text' => Row::text($r, 'text', 2000),
            'grams' => Row::number($r, 'grams'),
            'gauge' => isset($r->gauge) ? Row::whole($r, 'gauge') : null,
            'picture_id' => $this->pictures[Row::text($r, 'picture')] ?? null,
            'at' => $at($r),
        ], ['uuid']));
        $this->insert('finished_steps', $id, $this->rows($log, 'timed', static fn (stdClass $r): array => [
            'step' => Row::text($r, 'step', 160),
            'kind' => Row::text($r, 'kind', 20),
            'what' => Row::text($r, 'what', 200),
            'minutes' => Row::number($r, 'minutes') ?? 0.0,
            'house_minutes' => Row::number($r, 'houseMinutes') ?? 0.0,
            'at' => $at($r),
        ], ['step']));
        $this->insert('photo_checks', $id, array_filter($this->rows($log, 'photos', fn (stdClass $r): array => [
            'picture_id' => $this->pictures[Row::text($r, 'picture')] ?? 0,
            'view' => Row::text($r, 'view', 20),
            'found' => json_encode($r->found ?? new stdClass, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            'at' => $at($r),
        ]), static fn (array $row): bool => $row['picture_id'] !== 0));
        $wool = fn (stdClass $r): int => $this->wools[Row::text($r, 'wool')] ?? 0;
        $this->insert('set_asides', $id, array_filter($this->rows($log, 'woolAside', static fn (stdClass $r): array => [
            'wool_id' => $wool($r),
            'grams' => max(0.0, Row::number($r, 'grams') ?? 0.0),
        ], ['wool_id']), static fn (array $row): bool => $row['wool_id'] !== 0));
        $this->insert('wool_uses', $id, array_filter($this->rows($log, 'woolUsed', static fn (stdClass $r): array => [
            'wool_id' => $wool($r),
            'planned_g' => Row::number($r, 'plannedG') ?? 0.0,
            'used_g' => Row::number($r, 'usedG') ?? 0.0,
            'created_at' => Row::time($r, 'at') ?? now()->toDateTimeString(),
        ], ['wool_id']), static fn (array $row): bool => $row['wool_id'] !== 0));
    }

    /** @param  callable(string, float): void  $progress */
    private function takePictures(callable $progress): void
    {
        $names = $this->packed->names('pictures/');
        foreach ($names as $i => $name) {
            $progress('Taking pictures in', 0.4 * $i / max(1, count($names)));
            try {
                $picture = Picture::keep($this->packed->bytes($name));
            } catch (PictureRefused $refused) {
                throw ArchiveRefused::because(sprintf('"%s" in it is no picture: %s', $name, $refused->getMessage()));
            }
            $this->pictures[$picture->hash] = $picture->id;
        }
    }

    private function takeStash(Conflict $conflict): void
    {
        $this->wools = $this->numbers('wools', 'uuid');
        $byName = [];
        foreach (Wool::byName() as $wool) {
            $byName[mb_strtolower($wool->name)] = $wool->id;
        }
        foreach ($this->stash() as $said) {
            $uuid = Row::text($said, 'uuid');
            $isThrown = Row::time($said, 'thrownAt') !== null;
            $state = $this->woolState($said);
            $twin = $byName[mb_strtolower(Row::text($said, 'name', 120))] ?? 0;
            if ($state === 'new' && $twin > 0 && ! $isThrown) {
                // The drawer has a wool of this name: it is that one.
                $this->wools[$uuid] = $twin;

                continue;
            }
            if ($state === 'same' || ($state === 'conflict' && $conflict !== Conflict::Replace)) {
                continue;
            }
            $faults = [];
            $entry = WoolEntry::of(array_intersect_key((array) $said, array_flip(Row::WOOL)), $faults);
            if ($entry === null) {
                $name = Row::text($said, 'name', 80);
                throw ArchiveRefused::because(sprintf('The wool "%s" in it has faults: %s', $name, implode(' ', $faults)));
            }
            $row = Wool::columns($entry) + Whose::own() + [
                'uuid' => $uuid,
                'is_demo' => Row::flag($said, 'demo'),
                'created_at' => Row::time($said, 'createdAt'),
                'updated_at' => Row::time($said, 'changedAt'),
                'deleted_at' => Row::time($said, 'thrownAt'),
            ];
            $id = $this->wools[$uuid] ?? 0;
            if ($id > 0) {
                Whose::rows('wools')->where('id', $id)->update($row);
                Whose::rows('weighings')->where('wool_id', $id)->delete();
            } else {
                $id = $this->wools[$uuid] = (int) Whose::rows('wools')->insertGetId($row);
            }
            $this->insertAll('weighings', array_map(static fn (stdClass $w): array => [
                'wool_id' => $id,
                'grams' => Row::number($w, 'grams') ?? 0.0,
                'created_at' => Row::time($w, 'at') ?? now()->toDateTimeString(),
            ], $this->objects($said, 'weighings')));
        }
        $this->takeSwatches();
    }

    private function takeSwatches(): void
    {
        $known = [];
        foreach (Whose::rows('swatches')->get() as $row) {
            $shares = self::sharesKey((array) json_decode((string) $row->shares, true));
            $known[$shares.$row->hex.substr((string) $row->created_at, 0, 19)] = true;
        }
        $rows = [];
        foreach ($this->objects($this->packed->object('stash.json'), 'swatches') as $said) {
            $shares = [];
            foreach ((array) ($said->shares ?? []) as $uuid => $share) {
                if (isset($this->wools[$uuid]) && is_numeric($share)) {
                    $shares[$this->wools[$uuid]] = (float) $share;
                }
            }
            $hex = Row::text($said, 'hex', 7);
            $at = Row::time($said, 'at') ?? now()->toDateTimeString();
            $isKnown = isset($known[self::sharesKey($shares).$hex.$at]);
            if (! $isKnown && preg_match('/^#[0-9a-f]{6}$/D', $hex) === 1 && count($shares) === count((array) ($said->shares ?? []))) {
                $rows[] = ['shares' => json_encode($shares, JSON_THROW_ON_ERROR), 'hex' => $hex, 'created_at' => $at];
            }
        }
        $this->insertAll('swatches', $rows);
    }

    private function takeSets(Conflict $conflict): void
    {
        $known = $this->numbers('figure_sets', 'uuid');
        foreach ($this->sets() as $said) {
            $state = $this->setState($said);
            if ($state === 'same' || ($state === 'conflict' && $conflict !== Conflict::Replace)) {
                continue;
            }
            $members = [];
            foreach ($this->objects($said, 'members') as $member) {
                $uuid = Row::text($member, 'figure');
                $id = $this->figures[$this->renamed[$uuid] ?? $uuid] ?? 0;
                // A figure that stays out is not in its set either.
                if ($id > 0) {
                    $members[] = ['figure' => $id] + (array) $member;
                }
            }
            $row = Whose::own() + [
                'uuid' => Row::text($said, 'uuid'),
                'name' => Row::text($said, 'name', 120),
                'revision' => max(1, Row::whole($said, 'revision')),
                'is_demo' => Row::flag($said, 'demo'),
                'members' => json_encode($members, JSON_THROW_ON_ERROR),
                'created_at' => Row::time($said, 'createdAt'),
                'updated_at' => Row::time($said, 'changedAt'),
            ];
            $id = $known[$row['uuid']] ?? 0;
            if ($id > 0) {
                Whose::rows('figure_sets')->where('id', $id)->update($row);
                Whose::rows('set_wools')->where('figure_set_id', $id)->delete();
            } else {
                $id = (int) Whose::rows('figure_sets')->insertGetId($row);
            }
            $asides = [];
            foreach ($this->objects($said, 'woolAside') as $aside) {
                $wool = $this->wools[Row::text($aside, 'wool')] ?? 0;
                if ($wool > 0) {
                    $asides[$wool] = ['figure_set_id' => $id, 'wool_id' => $wool, 'grams' => max(0.0, Row::number($aside, 'grams') ?? 0.0)];
                }
            }
            $this->insertAll('set_wools', array_values($asides));
        }
    }

    /** The box of needles is one: the archive's where there is none here, or it takes its place. */
    private function takeNeedles(Conflict $conflict): void
    {
        if ($conflict !== Conflict::Replace && Whose::rows('needles')->exists()) {
            return;
        }
        $rows = [];
        foreach ((array) json_decode($this->packed->bytes('needles.json')) as $said) {
            if ($said instanceof stdClass) {
                [$gauge, $kind] = [Row::whole($said, 'gauge'), Row::text($said, 'kind', 20)];
                $rows[$gauge.$kind] = ['gauge' => $gauge, 'kind' => $kind, 'left' => max(0, min(999, Row::whole($said, 'left')))];
            }
        }
        Whose::rows('needles')->delete();
        $this->insertAll('needles', array_values($rows));
    }

    /** Records of the hand come beside those that are here; each is known by its name. */
    private function takeHand(): void
    {
        $hand = $this->packed->object('hand.json');
        $known = $this->numbers('finished_parts', 'uuid');
        $rows = [];
        foreach ($this->objects($hand, 'pieces') as $said) {
            $uuid = Row::text($said, 'uuid', 64);
            $figure = Row::text($said, 'figure');
            $of = $this->figures[$this->renamed[$figure] ?? $figure] ?? null;
            // A piece of a figure that stays out stays out with it.
            if (isset($known[$uuid]) || ($figure !== '' && $of === null)) {
                continue;
            }
            $rows[$uuid] = [
                'uuid' => $uuid,
                'figure_id' => $of,
                'part' => Row::text($said, 'part', 120),
                'is_twin' => Row::flag($said, 'twin'),
                'what' => Row::text($said, 'what', 200),
                'firmness' => Row::text($said, 'firmness', 20),
                'width_mm' => Row::number($said, 'widthMm') ?? 0.0,
                'height_mm' => Row::number($said, 'heightMm') ?? 0.0,
                'depth_mm' => Row::number($said, 'depthMm') ?? 0.0,
                'cm3' => Row::number($said, 'cm3') ?? 0.0,
                'grams' => Row::number($said, 'grams') ?? 0.0,
                'house_g' => Row::number($said, 'houseG') ?? 0.0,
                'weighed_g' => Row::number($said, 'weighedG'),
                'minutes' => Row::number($said, 'minutes'),
                'house_minutes' => Row::number($said, 'houseMinutes'),
                'at' => max(0, Row::whole($said, 'at')),
            ];
        }
        $this->insertAll('finished_parts', array_values($rows));
        $this->takeMarks($hand);
    }

    private function takeMarks(stdClass $hand): void
    {
        $pieces = $this->numbers('finished_parts', 'uuid');
        $here = array_flip(array_filter(Whose::rows('hand_marks')->pluck('record')->all(), is_string(...)));
        $marks = [];
        foreach ($this->objects($hand, 'aside') as $said) {
            $kind = Row::text($said, 'what', 8);
            $figure = Row::text($said, 'figure');
            $id = $kind === 'step'
                ? Whose::rows('finished_steps')
                    ->where('figure_id', $this->figures[$this->renamed[$figure] ?? $figure] ?? 0)
                    ->where('step', Row::text($said, 'step', 160))
                    ->value('id')
                : $pieces[Row::text($said, 'piece', 64)] ?? null;
            if (is_numeric($id) && preg_match('/^[a-z]{4,8}$/D', $kind) === 1) {
                $marks["{$kind}:{$id}"] = max(0, Row::whole($said, 'at'));
            }
        }
        if (is_int($hand->since ?? null)) {
            $marks['since'] = $hand->since;
        }
        $new = array_diff_key($marks, $here);
        $this->insertAll('hand_marks', array_map(
            static fn (string $record, int $at): array => ['record' => $record, 'at' => $at],
            array_keys($new),
            $new,
        ));
    }

    /** @return 'new'|'same'|'conflict' */
    private function state(string $uuid): string
    {
        $figure = Figure::withTrashed()->where('uuid', $uuid)->first();
        if ($figure === null) {
            return 'new';
        }
        $here = iterator_to_array($this->here->figure($figure));
        $there = $this->packed->names("figures/{$uuid}/");
        sort($there);
        $names = array_keys($here);
        sort($names);
        if ($names !== $there) {
            return 'conflict';
        }
        foreach ($here as $name => $bytes) {
            if ($bytes !== $this->packed->bytes($name)) {
                return 'conflict';
            }
        }

        return 'same';
    }

    /** @return 'new'|'same'|'conflict' */
    private function woolState(stdClass $said): string
    {
        $row = Whose::rows('wools')->where('uuid', Row::text($said, 'uuid'))->first();

        return $row === null ? 'new' : (Json::of($this->here->wool($row)) === Json::of($said) ? 'same' : 'conflict');
    }

    /** @return 'new'|'same'|'conflict' */
    private function setState(stdClass $said): string
    {
        $set = FigureSet::query()->where('uuid', Row::text($said, 'uuid'))->first();

        return $set === null ? 'new' : (Json::of($this->here->set($set)) === Json::of($said) ? 'same' : 'conflict');
    }

    /** @return list<string> */
    private function uuids(): array
    {
        return array_map(static fn (string $name): string => explode('/', $name)[1], $this->packed->names('figures/', '/figure.json'));
    }

    /** @return list<stdClass> */
    private function stash(): array
    {
        return $this->objects($this->packed->object('stash.json'), 'wools');
    }

    /** @return list<stdClass> */
    private function sets(): array
    {
        return array_map($this->packed->object(...), $this->packed->names('sets/'));
    }

    /** @return list<stdClass> */
    private function objects(stdClass $in, string $member): array
    {
        $all = $in->{$member} ?? [];

        return array_values(array_filter(is_array($all) ? $all : [], static fn (mixed $one): bool => $one instanceof stdClass));
    }

    /**
     * @param  callable(stdClass): array<string, mixed>  $row
     * @param  list<string>  $once  of rows that agree in these the first counts
     * @return list<array<string, mixed>>
     */
    private function rows(stdClass $log, string $member, callable $row, array $once = []): array
    {
        $rows = array_map($row, $this->objects($log, $member));
        if ($once === []) {
            return $rows;
        }
        $first = [];
        foreach ($rows as $one) {
            $first[json_encode(array_intersect_key($one, array_flip($once)), JSON_THROW_ON_ERROR)] ??= $one;
        }

        return array_values($first);
    }

    /** @param  array<array<string, mixed>>  $rows */
    private function insert(string $table, int $figure, array $rows): void
    {
        $this->insertAll($table, array_map(static fn (array $row): array => ['figure_id' => $figure] + $row, array_values($rows)));
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function insertAll(string $table, array $rows): void
    {
        foreach (array_chunk($rows, 50) as $some) {
            Whose::rows($table)->insert(array_map(static fn (array $row): array => Whose::own() + $row, $some));
        }
    }

    /** @return array<string, int> numbers here by what names a row everywhere */
    private function numbers(string $table, string $name): array
    {
        $numbers = [];
        foreach (Whose::rows($table)->pluck('id', $name) as $key => $id) {
            $numbers[(string) $key] = is_numeric($id) ? (int) $id : 0;
        }

        return $numbers;
    }

    /** @param  array<int|string, mixed>  $shares */
    private static function sharesKey(array $shares): string
    {
        ksort($shares);

        return json_encode(array_map(static fn (mixed $s): float => is_numeric($s) ? (float) $s : 0.0, $shares), JSON_THROW_ON_ERROR);
    }
}
