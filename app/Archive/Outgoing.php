<?php

declare(strict_types=1);

namespace App\Archive;

use App\Accounts\CurrentFelter;
use App\Models\Figure;
use App\Models\FigureSet;
use App\Models\Picture;
use App\Models\Wool;
use Generator;
use Illuminate\Database\Query\Builder;
use Impa\Stash\Table\StashTable;
use Impa\Stash\Table\WoolEntry;
use stdClass;

/**
 * All that is a felter's, as one archive (docs/formats.md, impa-archive-1): figures with what they once were, their log and photos,
 * pictures, stash, sets, needles, what is known of the hand. Numbers of this store stay here: everything is named by what it is called in
 * every store.
 */
final class Outgoing
{
    public const FORMAT = 'impa-archive';

    public const VERSION = 1;

    /** So many documents are in memory at once. */
    private const AT_ONCE = 10;

    private const README = <<<'TXT'
        This is everything that one felter made with Impa.

        figures/…/figure.json    a figure as it is (format impa-figure, version 1: lengths in mm, masses in g)
        figures/…/about.json     its revision, its drawing, when it was changed
        figures/…/log.json       steps that are done, stretches of work (milliseconds since 1970), notes, photos, wool taken
        figures/…/revisions/     what it once was
        pictures/                drawings and photos, each under the SHA-256 of its bytes
        stash.csv                the wools as a table (RFC 4180); stash.json has them with their weighings and swatches
        sets/                    figures planned together
        hand.json                finished pieces that were weighed and measured, and what was taken out of what is learned
        needles.json             the box of needles
        manifest.json            every file with its SHA-256

        Any program reads these files. Impa takes the archive in at House, or by: php artisan impa:unpack FILE

        TXT;

    /** @var array<int, string> the name of a wool in every store, by its number here */
    private array $wools = [];

    /** @var array<int, string> SHA-256 of a picture by its number here */
    private array $pictures = [];

    /** @var array<int, string> the name of a figure in every store, by its number here */
    private array $figures = [];

    public function __construct()
    {
        foreach (CurrentFelter::rows('wools')->get(['id', 'uuid']) as $row) {
            $this->wools[(int) $row->id] = (string) $row->uuid;
        }
        foreach (CurrentFelter::rows('pictures')->get(['id', 'hash']) as $row) {
            $this->pictures[(int) $row->id] = (string) $row->hash;
        }
        foreach (CurrentFelter::rows('figures')->get(['id', 'uuid']) as $row) {
            $this->figures[(int) $row->id] = (string) $row->uuid;
        }
    }

    /** @return Generator<string> the file, piece by piece */
    public function stream(): Generator
    {
        $zip = new ZipStream;
        $hashes = [];
        foreach ($this->entries() as $name => $bytes) {
            $hashes[$name] = hash('sha256', $bytes);
            yield $zip->entry($name, $bytes, isPacked: str_starts_with($name, 'pictures/'));
        }
        yield $zip->entry('manifest.json', Json::of(['format' => self::FORMAT, 'version' => self::VERSION, 'files' => $hashes]));
        yield $zip->end();
    }

    /** @return Generator<string, string> bytes by name, in an order that is always the same */
    public function entries(): Generator
    {
        yield 'README.txt' => self::README;
        /** @var iterable<Figure> $figures */
        $figures = Figure::withTrashed()->orderBy('uuid')->lazy(self::AT_ONCE);
        foreach ($figures as $figure) {
            yield from $this->figure($figure);
        }
        /** @var iterable<Picture> $pictures */
        $pictures = Picture::query()->orderBy('hash')->lazy(200);
        foreach ($pictures as $picture) {
            $bytes = $picture->bytesOrNone();
            if ($bytes !== '') {
                yield 'pictures/'.$picture->hash.'.'.self::ending($picture->media_type) => $bytes;
            }
        }
        yield 'stash.csv' => StashTable::write(array_map(static fn (Wool $w): WoolEntry => $w->entry(), Wool::byName()));
        yield 'stash.json' => Json::of(['wools' => $this->stash(), 'swatches' => $this->swatches()]);
        /** @var iterable<FigureSet> $sets */
        $sets = FigureSet::query()->orderBy('uuid')->lazy(50);
        foreach ($sets as $set) {
            yield "sets/{$set->uuid}.json" => Json::of($this->set($set));
        }
        yield 'hand.json' => Json::of($this->hand());
        $needles = CurrentFelter::rows('needles')->orderBy('gauge')->orderBy('kind');
        yield 'needles.json' => Json::of($needles->get(['gauge', 'kind', 'left'])->all());
    }

    /** @return Generator<string, string> one figure's files */
    public function figure(Figure $figure): Generator
    {
        $at = "figures/{$figure->uuid}";
        yield "{$at}/figure.json" => $figure->document;
        $revisions = [];
        foreach ($this->of('figure_revisions', $figure)->orderBy('revision')->lazy(self::AT_ONCE) as $row) {
            $revisions[] = ['revision' => (int) $row->revision, 'at' => self::time($row->created_at)];
            yield sprintf('%s/revisions/%06d.json', $at, $row->revision) => (string) $row->document;
        }
        yield "{$at}/about.json" => Json::of([
            'uuid' => $figure->uuid,
            'name' => $figure->name,
            'revision' => (int) $figure->revision,
            'picture' => $this->pictures[$figure->picture_id ?? 0] ?? null,
            'presentStep' => $figure->present_step,
            'demo' => $figure->is_demo,
            'createdAt' => self::time($figure->getRawOriginal('created_at')),
            'changedAt' => self::time($figure->getRawOriginal('updated_at')),
            'binnedAt' => self::time($figure->getRawOriginal('deleted_at')),
            'revisions' => $revisions,
        ]);
        yield "{$at}/log.json" => Json::of($this->log($figure));
    }

    /** @return array<string, mixed> */
    private function log(Figure $figure): array
    {
        return [
            'done' => $this->list('step_marks', $figure, static fn (stdClass $r): array => [
                'step' => $r->step,
                'at' => self::time($r->created_at),
            ]),
            'work' => $this->list('bouts', $figure, static fn (stdClass $r): array => [
                'step' => $r->step,
                'from' => (int) $r->begun_at,
                'to' => (int) $r->ended_at,
            ]),
            'notes' => $this->list('log_entries', $figure, fn (stdClass $r): array => [
                'uuid' => $r->uuid,
                'kind' => $r->kind,
                'step' => $r->step,
                'text' => $r->text,
                'grams' => self::number($r->grams),
                'gauge' => $r->gauge === null ? null : (int) $r->gauge,
                'needle' => $r->needle,
                'picture' => $this->pictures[(int) $r->picture_id] ?? null,
                'at' => (int) $r->at,
            ]),
            'timed' => $this->list('finished_steps', $figure, static fn (stdClass $r): array => [
                'step' => $r->step,
                'kind' => $r->kind,
                'what' => $r->what,
                'minutes' => self::number($r->minutes),
                'houseMinutes' => self::number($r->house_minutes),
                'at' => (int) $r->at,
            ]),
            'photos' => $this->list('photo_checks', $figure, fn (stdClass $r): array => [
                'picture' => $this->pictures[(int) $r->picture_id] ?? null,
                'view' => $r->view,
                'found' => json_decode((string) $r->found),
                'at' => (int) $r->at,
            ]),
            'woolAside' => $this->list('set_asides', $figure, fn (stdClass $r): array => [
                'wool' => $this->wools[(int) $r->wool_id] ?? null,
                'grams' => self::number($r->grams),
            ], 'wool'),
            'woolUsed' => $this->list('wool_uses', $figure, fn (stdClass $r): array => [
                'wool' => $this->wools[(int) $r->wool_id] ?? null,
                'plannedG' => self::number($r->planned_g),
                'usedG' => self::number($r->used_g),
                'at' => self::time($r->created_at),
            ], 'wool'),
        ];
    }

    /** @return array<string, mixed> a wool as an archive says it */
    public function wool(stdClass $r): array
    {
        return [
            'uuid' => $r->uuid,
            'name' => $r->name,
            'hex' => $r->hex,
            'material' => $r->material,
            'preparation' => $r->preparation,
            'gramsLeft' => self::number($r->grams_left),
            'micron' => self::number($r->micron),
            'gPerM' => self::number($r->g_per_m),
            'price' => self::number($r->price),
            'packG' => self::number($r->pack_g),
            'maker' => $r->maker,
            'demo' => (bool) $r->is_demo,
            'createdAt' => self::time($r->created_at),
            'changedAt' => self::time($r->updated_at),
            'thrownAt' => self::time($r->deleted_at),
            'weighings' => CurrentFelter::rows('weighings')->where('wool_id', $r->id)->orderBy('id')->get()
                ->map(static fn (stdClass $w): array => ['grams' => self::number($w->grams), 'at' => self::time($w->created_at)])->all(),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function stash(): array
    {
        return array_values(CurrentFelter::rows('wools')->orderBy('uuid')->get()->map($this->wool(...))->all());
    }

    /** @return list<array<string, mixed>> in the order in which they were made */
    private function swatches(): array
    {
        return array_values(CurrentFelter::rows('swatches')->orderBy('id')->get()->map(function (stdClass $r): array {
            $shares = [];
            foreach ((array) json_decode((string) $r->shares, true) as $wool => $share) {
                $shares[$this->wools[(int) $wool] ?? ''] = self::number($share);
            }
            ksort($shares);

            return ['shares' => (object) $shares, 'hex' => $r->hex, 'at' => self::time($r->created_at)];
        })->all());
    }

    /** @return array<string, mixed> */
    public function set(FigureSet $set): array
    {
        $members = [];
        foreach ($set->rows() as $row) {
            $members[] = ['figure' => $this->figures[is_int($row->figure ?? null) ? $row->figure : 0] ?? null] + (array) $row;
        }
        $aside = CurrentFelter::rows('set_wools')->where('figure_set_id', $set->id)->get();

        return [
            'uuid' => $set->uuid,
            'name' => $set->name,
            'revision' => $set->revision,
            'demo' => $set->is_demo,
            'createdAt' => self::time($set->getRawOriginal('created_at')),
            'changedAt' => self::time($set->getRawOriginal('updated_at')),
            'members' => $members,
            'woolAside' => self::sorted($aside->map(fn (stdClass $r): array => [
                'wool' => $this->wools[(int) $r->wool_id] ?? null,
                'grams' => self::number($r->grams),
            ])->all(), 'wool'),
        ];
    }

    /** @return array<string, mixed> */
    private function hand(): array
    {
        $pieces = CurrentFelter::rows('finished_parts')->orderBy('at')->orderBy('uuid')->get();
        $steps = CurrentFelter::rows('finished_steps')->get(['id', 'figure_id', 'step']);
        $marks = [];
        $since = null;
        foreach (CurrentFelter::rows('hand_marks')->orderBy('at')->orderBy('id')->get() as $mark) {
            [$kind, $id] = explode(':', (string) $mark->record) + ['', ''];
            if ($id === '') {
                $since = (int) $mark->at;

                continue;
            }
            $step = $kind === 'step' ? $steps->firstWhere('id', (int) $id) : null;
            $marks[] = [
                'what' => $kind,
                'piece' => $kind === 'step' ? null : $pieces->firstWhere('id', (int) $id)?->uuid,
                'figure' => $step === null ? null : $this->figures[(int) $step->figure_id] ?? null,
                'step' => $step?->step,
                'at' => (int) $mark->at,
            ];
        }

        return ['since' => $since, 'aside' => $marks, 'pieces' => array_values($pieces->map(fn (stdClass $r): array => [
            'uuid' => $r->uuid,
            'figure' => $this->figures[(int) $r->figure_id] ?? null,
            'part' => $r->part,
            'twin' => (bool) $r->is_twin,
            'what' => $r->what,
            'firmness' => $r->firmness,
            'widthMm' => self::number($r->width_mm),
            'heightMm' => self::number($r->height_mm),
            'depthMm' => self::number($r->depth_mm),
            'cm3' => self::number($r->cm3),
            'grams' => self::number($r->grams),
            'houseG' => self::number($r->house_g),
            'weighedG' => self::number($r->weighed_g),
            'minutes' => self::number($r->minutes),
            'houseMinutes' => self::number($r->house_minutes),
            'at' => (int) $r->at,
        ])->all())];
    }

    private function of(string $table, Figure $figure): Builder
    {
        return CurrentFelter::rows($table)->where('figure_id', $figure->id);
    }

    /**
     * @param  callable(stdClass): array<string, mixed>  $row
     * @return list<array<string, mixed>> in the order in which they came, or by one of their members
     */
    private function list(string $table, Figure $figure, callable $row, string $by = ''): array
    {
        $rows = array_values($this->of($table, $figure)->orderBy('id')->get()->map($row)->all());

        return $by === '' ? $rows : self::sorted($rows, $by);
    }

    /**
     * @param  array<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    private static function sorted(array $rows, string $by): array
    {
        usort($rows, static fn (array $a, array $b): int => $a[$by] <=> $b[$by]);

        return $rows;
    }

    /** To the second, in UTC, whatever the store says beyond it. */
    private static function time(mixed $stored): ?string
    {
        return is_string($stored) ? substr($stored, 0, 19) : null;
    }

    private static function number(mixed $stored): ?float
    {
        return is_numeric($stored) ? (float) $stored : null;
    }

    private static function ending(string $mediaType): string
    {
        return ['image/jpeg' => 'jpg', 'image/webp' => 'webp', 'image/gif' => 'gif'][$mediaType] ?? 'png';
    }
}
