<?php

declare(strict_types=1);

namespace App\Archive;

use App\Accounts\CurrentFelter;
use App\Hand\OwnHand;
use App\Hand\Profile;
use App\Models\Figure;
use App\Models\FigureSet;
use App\Models\Picture;
use App\Store\Record;
use App\Store\RecordRefused;
use App\Store\Transaction;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure as FigureDocument;
use Impa\Raster\File\PictureRefused;
use Impa\Voice\Message;
use stdClass;

/**
 * An archive taken in: first it is told what is new, the same or in conflict, and what cannot be read; then all of it is written, or
 * nothing. Taken in twice, it changes nothing the second time.
 */
final class Incoming
{
    private readonly Outgoing $here;

    private readonly Numbers $numbers;

    private readonly IncomingStash $stash;

    /** @var list<Picture> that were not here before, until all of it is */
    private array $newPictures = [];

    private function __construct(private readonly ArchiveReader $archive)
    {
        $this->here = new Outgoing;
        $this->numbers = new Numbers;
        $this->stash = new IncomingStash($archive, $this->here, $this->numbers);
    }

    /** @throws ArchiveRefused in words, if it is none that can be taken in */
    public static function of(string $path): self
    {
        return new self(ArchiveReader::open($path));
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
                $name = FigureDocument::fromJson($this->archive->bytes("figures/{$uuid}/figure.json"))->name;
            } catch (FigureRefused $refused) {
                [$name, $why] = ['?', $refused->getMessage()];
            }
            $state = $why !== '' ? 'refused' : $this->state($uuid);
            $figures[] = ['uuid' => $uuid, 'name' => $name, 'state' => $state, 'why' => $why];
        }
        $wools = $sets = ['new' => 0, 'same' => 0, 'conflict' => 0];
        $names = [];
        foreach ($this->stash->wools() as $wool) {
            $name = mb_strtolower(Row::text($wool, 'name', 120));
            $state = $this->stash->state($wool);
            // Of several new ones of one name the first is new, and the others are that one.
            $wools[$state === 'new' && isset($names[$name]) ? 'same' : $state]++;
            $names[$name] = true;
        }
        foreach ($this->sets() as $set) {
            $sets[$this->setState($set)]++;
        }

        return [
            'figures' => $figures,
            'wools' => $wools,
            'sets' => $sets,
            'pictures' => count($this->archive->names('pictures/')),
            'pieces' => count(Row::objects($this->archive->object('hand.json'), 'pieces')),
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
        // Who hangs up ends the request at any line: pictures that came before are then nobody's.
        register_shutdown_function($this->letPicturesGo(...));
        try {
            $this->takeAll($conflict, $each, $progress, $told);
            $this->newPictures = [];
        } finally {
            $this->letPicturesGo();
        }
        OwnHand::changed();

        return $told;
    }

    /**
     * @param  array<string, string>  $each
     * @param  callable(string, float): void  $progress
     * @param  array{taken: int, same: int, kept: int, refused: int}  $told
     */
    private function takeAll(Conflict $conflict, array $each, callable $progress, array &$told): void
    {
        $this->takePictures($progress);
        Transaction::together(function () use ($conflict, $each, $progress, &$told): void {
            $this->numbers->figures = Numbers::of('figures');
            $this->stash->take($conflict);
            $uuids = $this->uuids();
            foreach ($uuids as $i => $uuid) {
                $progress((string) Message::of('house.incoming.laying-figures'), 0.4 + 0.5 * $i / max(1, count($uuids)));
                $told[$this->takeFigure($uuid, Conflict::tryFrom($each[$uuid] ?? '') ?? $conflict)]++;
            }
            $progress((string) Message::of('house.incoming.sets-needles-hand'), 0.9);
            $this->takeSets($conflict);
            $this->takeNeedles($conflict);
            (new IncomingHand($this->archive, $this->numbers))->take();
        });
    }

    /** Those that came for an archive of which nothing else was taken in. */
    private function letPicturesGo(): void
    {
        foreach ($this->newPictures as $picture) {
            $picture->letGo();
        }
        $this->newPictures = [];
    }

    /** @return 'taken'|'same'|'kept'|'refused' */
    private function takeFigure(string $uuid, Conflict $conflict): string
    {
        $json = $this->archive->bytes("figures/{$uuid}/figure.json");
        try {
            $document = FigureDocument::fromJson($json);
        } catch (FigureRefused) {
            return 'refused';
        }
        $state = $this->state($uuid);
        if ($state === 'same' || ($state === 'conflict' && $conflict === Conflict::Keep)) {
            return $state === 'same' ? 'same' : 'kept';
        }
        $about = $this->archive->object("figures/{$uuid}/about.json");
        $name = $uuid;
        if ($state === 'conflict' && $conflict === Conflict::Both) {
            // By what it is: taken in once more, it is the one that was laid beside before.
            $name = $this->numbers->renamed[$uuid] = $this->besideName($uuid);
            if (isset($this->numbers->figures[$name])) {
                return 'same';
            }
        }
        $picture = $this->numbers->pictures[Row::text($about, 'picture')] ?? null;
        $instead = $state === 'conflict' && $conflict === Conflict::Replace ? $this->numbers->figures[$uuid] : null;
        $id = Figure::carry($document, Profile::summary($document), $json, $instead, [
            'uuid' => $name,
            'picture_id' => $picture,
            ...self::checked('figures', [
                'revision' => max(1, Row::whole($about, 'revision')),
                'present_step' => Row::text($about, 'presentStep', 160),
            ]),
            'is_demo' => Row::flag($about, 'demo'),
            'created_at' => Row::time($about, 'createdAt') ?? now()->toDateTimeString(),
            'updated_at' => Row::time($about, 'changedAt') ?? now()->toDateTimeString(),
            'deleted_at' => Row::time($about, 'binnedAt'),
        ]);
        $this->numbers->figures[$name] = $id;
        $this->takeRevisions($uuid, $id, $about);
        $this->takeLog($id, $this->archive->object("figures/{$uuid}/log.json"));

        return 'taken';
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private static function checked(string $table, array $row): array
    {
        try {
            return Record::checked($table, $row);
        } catch (RecordRefused $refused) {
            throw ArchiveRefused::because((string) Message::of('house.incoming.a-figure', why: $refused->getMessage()));
        }
    }

    /** A name of its own for a figure that is laid beside its like: the same for the same figure (RFC 9562, version 8). */
    private function besideName(string $uuid): string
    {
        $hash = hash('sha256', $uuid.implode('', array_map($this->archive->hash(...), $this->archive->names("figures/{$uuid}/"))));

        return sprintf(
            '%s-%s-8%s-8%s-%s',
            substr($hash, 0, 8),
            substr($hash, 8, 4),
            substr($hash, 12, 3),
            substr($hash, 15, 3),
            substr($hash, 18, 12),
        );
    }

    private function takeRevisions(string $uuid, int $id, stdClass $about): void
    {
        $rows = [];
        foreach (Row::objects($about, 'revisions') as $said) {
            $name = sprintf('figures/%s/revisions/%06d.json', $uuid, Row::whole($said, 'revision'));
            if ($this->archive->has($name)) {
                $rows[Row::whole($said, 'revision')] = [
                    'revision' => Row::whole($said, 'revision'),
                    'document' => $this->archive->bytes($name),
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
            'needle' => isset($r->needle) ? Row::text($r, 'needle', 20) : null,
            'picture_id' => $this->numbers->pictures[Row::text($r, 'picture')] ?? null,
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
            'picture_id' => $this->numbers->pictures[Row::text($r, 'picture')] ?? 0,
            'view' => Row::text($r, 'view', 20),
            'found' => json_encode($r->found ?? new stdClass, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            'at' => $at($r),
        ]), static fn (array $row): bool => $row['picture_id'] !== 0));
        $wool = fn (stdClass $r): int => $this->numbers->wools[Row::text($r, 'wool')] ?? 0;
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
        $names = $this->archive->names('pictures/');
        foreach ($names as $i => $name) {
            $progress((string) Message::of('house.incoming.taking-pictures'), 0.4 * $i / max(1, count($names)));
            try {
                $picture = Picture::keep($this->archive->bytes($name));
            } catch (PictureRefused $refused) {
                throw ArchiveRefused::because((string) Message::of('house.incoming.in-it-is-no', name: $name, why: $refused->getMessage()));
            }
            if ($picture->wasRecentlyCreated) {
                $this->newPictures[] = $picture;
            }
            $this->numbers->pictures[$picture->hash] = $picture->id;
        }
    }

    private function takeSets(Conflict $conflict): void
    {
        $known = Numbers::of('figure_sets');
        foreach ($this->sets() as $said) {
            $state = $this->setState($said);
            if ($state === 'same' || ($state === 'conflict' && $conflict !== Conflict::Replace)) {
                continue;
            }
            $members = [];
            foreach (Row::objects($said, 'members') as $member) {
                $uuid = Row::text($member, 'figure');
                $id = $this->numbers->figure($uuid);
                // A figure that stays out is not in its set either.
                if ($id > 0) {
                    $members[] = ['figure' => $id] + (array) $member;
                }
            }
            $row = CurrentFelter::own() + [
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
                CurrentFelter::rows('figure_sets')->where('id', $id)->update($row);
                CurrentFelter::rows('set_wools')->where('figure_set_id', $id)->delete();
            } else {
                $id = (int) CurrentFelter::rows('figure_sets')->insertGetId($row);
            }
            $asides = [];
            foreach (Row::objects($said, 'woolAside') as $aside) {
                $wool = $this->numbers->wools[Row::text($aside, 'wool')] ?? 0;
                if ($wool > 0) {
                    $asides[$wool] = ['figure_set_id' => $id, 'wool_id' => $wool, 'grams' => max(0.0, Row::number($aside, 'grams') ?? 0.0)];
                }
            }
            Numbers::insert('set_wools', array_values($asides));
        }
    }

    /** The box of needles is one: the archive's where there is none here, or it takes its place. */
    private function takeNeedles(Conflict $conflict): void
    {
        if ($conflict !== Conflict::Replace && CurrentFelter::rows('needles')->exists()) {
            return;
        }
        $rows = [];
        foreach ((array) json_decode($this->archive->bytes('needles.json')) as $said) {
            if ($said instanceof stdClass) {
                [$gauge, $kind] = [Row::whole($said, 'gauge'), Row::text($said, 'kind', 20)];
                $rows[$gauge.$kind] = ['gauge' => $gauge, 'kind' => $kind, 'left' => max(0, min(999, Row::whole($said, 'left')))];
            }
        }
        CurrentFelter::rows('needles')->delete();
        Numbers::insert('needles', array_values($rows));
    }

    /** @return 'new'|'same'|'conflict' */
    private function state(string $uuid): string
    {
        $figure = Figure::withTrashed()->where('uuid', $uuid)->first();
        if ($figure === null) {
            return 'new';
        }
        $here = iterator_to_array($this->here->figure($figure));
        $there = $this->archive->names("figures/{$uuid}/");
        sort($there);
        $names = array_keys($here);
        sort($names);
        if ($names !== $there) {
            return 'conflict';
        }
        foreach ($here as $name => $bytes) {
            if ($bytes !== $this->archive->bytes($name)) {
                return 'conflict';
            }
        }

        return 'same';
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
        return array_map(static fn (string $name): string => explode('/', $name)[1], $this->archive->names('figures/', '/figure.json'));
    }

    /** @return list<stdClass> */
    private function sets(): array
    {
        return array_map($this->archive->object(...), $this->archive->names('sets/'));
    }

    /**
     * @param  callable(stdClass): array<string, mixed>  $row
     * @param  list<string>  $once  of rows that agree in these the first counts
     * @return list<array<string, mixed>>
     */
    private function rows(stdClass $log, string $member, callable $row, array $once = []): array
    {
        $rows = array_map($row, Row::objects($log, $member));
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
        Numbers::insert($table, array_map(static fn (array $row): array => ['figure_id' => $figure] + $row, array_values($rows)));
    }
}
