<?php

declare(strict_types=1);

namespace App\Store;

use App\Accounts\CurrentFelter;
use App\Hand\Profile;
use App\Models\Felter;
use App\Models\Figure;
use App\Models\Wool;
use Closure;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure as FigureDocument;
use Impa\Voice\Message;
use Throwable;

/** Looks a store over from its pages to its figures, says what is wrong, and mends what can be mended without losing anything. */
final class Doctor
{
    /** A file that belongs to nothing is let go after so long, seconds: it may be on its way in. */
    private const OLD_S = 86_400;

    private const LEAST_FREE = 200_000_000;

    /** @var list<array{Message, ?Closure(): mixed, string}> what is wrong, how it is mended, and the key of the words for that */
    private array $found = [];

    /** @return list<array{what: string, mended: string}> what was mended is empty where it cannot be, or was not asked for */
    public static function look(bool $mend): array
    {
        $doctor = new self;
        $told = [];
        // What is mended may uncover more: the pages come first, the figures last.
        foreach (['pages', 'tables', 'owners', 'records', 'figures', 'pictures', 'files', 'surroundings'] as $look) {
            $doctor->found = [];
            try {
                $doctor->{$look}();
            } catch (Throwable $e) {
                report($e);
                $doctor->say(Message::of('console.doctor.no-further', look: $look));
            }
            foreach ($doctor->found as [$what, $do, $done]) {
                $isMended = $mend && $do !== null && self::tried($do);
                $told[] = ['what' => (string) $what, 'mended' => $isMended ? (string) Message::of("console.doctor.$done") : ''];
            }
        }

        return $told;
    }

    /**
     * One mend that cannot be done keeps none of the others back.
     *
     * @param  Closure(): mixed  $mend
     */
    private static function tried(Closure $mend): bool
    {
        try {
            return $mend() !== false;
        } catch (Throwable $e) {
            report($e);

            return false;
        }
    }

    /** @param  ?Closure(): mixed  $mend */
    private function say(Message $what, ?Closure $mend = null, string $done = ''): void
    {
        $this->found[] = [$what, $mend, $done];
    }

    private function pages(): void
    {
        if (DB::getDriverName() !== 'sqlite') {
            return;
        }
        foreach (DB::select('pragma integrity_check') as $row) {
            $said = (string) current((array) $row);
            $said === 'ok' || $this->say(Message::of('console.doctor.damaged', said: $said));
        }
        foreach (DB::select('pragma foreign_key_check') as $row) {
            [$table, $id, $parent] = [(string) $row->table, (int) $row->rowid, (string) $row->parent];
            $this->say(
                Message::of('console.doctor.orphan', table: $table, parent: $parent),
                static function () use ($table, $id): void {
                    DB::table($table)->where('id', $id)->delete();
                },
                'let-go',
            );
        }
    }

    private function tables(): void
    {
        $files = array_map(static fn (string $f): string => basename($f, '.php'), glob(database_path('migrations/*.php')) ?: []);
        $missing = array_diff($files, array_filter(DB::table('migrations')->pluck('migration')->all(), is_string(...)));
        if ($missing !== []) {
            $migrate = static function (): void {
                Artisan::call('migrate', ['--force' => true]);
            };
            $this->say(Message::of('console.doctor.older', count: count($missing)), $migrate, 'made');
        }
    }

    private function owners(): void
    {
        $felters = DB::table('felters')->pluck('id')->all();
        foreach (CurrentFelter::TABLES as $table) {
            $count = DB::table($table)->whereNotIn('felter_id', $felters)->count();
            if ($count > 0) {
                $give = static function () use ($table, $felters): void {
                    DB::table($table)->whereNotIn('felter_id', $felters)->update(['felter_id' => Felter::OF_THIS_MACHINE]);
                };
                $this->say(Message::of('console.doctor.nobodys', count: $count, table: $table), $give, 'given');
            }
        }
    }

    /** Every record by the rule that it had to meet when it came in; what meets none is set aside as it stands. */
    private function records(): void
    {
        foreach ([...Record::tables(), 'wools'] as $table) {
            foreach (DB::table($table)->orderBy('id')->lazy(500) as $row) {
                $columns = get_object_vars($row);
                $faults = $table === 'wools' ? (new Wool)->setRawAttributes($columns)->faults() : Record::faults($table, $columns);
                if ($faults === [] || ! is_numeric($columns['id'])) {
                    continue;
                }
                $aside = $table === 'figures' ? null : static fn (): bool => self::setAside($table, $columns);
                $this->say(
                    Message::of(
                        'console.doctor.record',
                        id: (string) $columns['id'],
                        table: str_replace('_', ' ', $table),
                        faults: implode(' ', $faults),
                    ),
                    $aside,
                    'aside',
                );
            }
        }
    }

    /** @param  array<string, mixed>  $columns */
    private static function setAside(string $table, array $columns): bool
    {
        DB::transaction(static function () use ($table, $columns): void {
            DB::table('unreadable_records')->insert([
                'felter_id' => $columns['felter_id'],
                'table' => $table,
                'row' => (string) json_encode($columns, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR),
                'created_at' => now(),
            ]);
            DB::table($table)->where('id', $columns['id'])->delete();
        });

        return true;
    }

    private function figures(): void
    {
        foreach (DB::table('felters')->pluck('id') as $felter) {
            CurrentFelter::being(is_numeric($felter) ? (int) $felter : 0, function (): void {
                /** @var iterable<Figure> $figures */
                $figures = Figure::withTrashed()->orderBy('id')->lazy(50);
                foreach ($figures as $figure) {
                    $this->figure($figure, CurrentFelter::id());
                }
            });
        }
    }

    private function figure(Figure $figure, int $felter): void
    {
        try {
            $today = Profile::summary(FigureDocument::fromJson($figure->document));
        } catch (FigureRefused) {
            $revision = self::lastReadable($figure);
            $put = $revision === null ? null : static function () use ($figure, $revision, $felter): void {
                CurrentFelter::being($felter, static function () use ($figure, $revision): void {
                    $document = FigureDocument::fromJson($revision);
                    $figure->replace($document, Profile::summary($document), $figure->revision);
                });
            };
            $this->say(Message::of('console.doctor.figure', id: (string) $figure->id, name: $figure->name), $put, 'put-back');

            return;
        }
        if (! $figure->revisions()->where('revision', $figure->revision)->exists()) {
            $keep = static function () use ($figure, $felter): void {
                CurrentFelter::being($felter, static fn () => $figure->revisions()->create(
                    ['revision' => $figure->revision, 'document' => $figure->document, 'created_at' => now()],
                ));
            };
            $this->say(Message::of('console.doctor.no-history', id: (string) $figure->id, name: $figure->name), $keep, 'written');
        }
        $reckon = static fn () => CurrentFelter::being($felter, static fn () => $figure->keepSummary($today));
        if ($figure->isByOlderRules() || ! $figure->summary()->tells($today)) {
            $this->say(Message::of('console.doctor.old-numbers', id: (string) $figure->id, name: $figure->name), $reckon, 'reckoned');
        }
    }

    private static function lastReadable(Figure $figure): ?string
    {
        foreach ($figure->revisions()->orderByDesc('revision')->pluck('document') as $json) {
            try {
                FigureDocument::fromJson(is_string($json) ? $json : '');

                return is_string($json) ? $json : null;
            } catch (FigureRefused) {
                continue;
            }
        }

        return null;
    }

    private function pictures(): void
    {
        $disk = Storage::disk('pictures');
        foreach (DB::table('pictures')->distinct()->orderBy('hash')->pluck('hash') as $hash) {
            $hash = is_string($hash) ? $hash : '';
            $copy = Copies::folder().'/pictures/'.$hash;
            if (is_file($disk->path($hash)) && hash_file('sha256', $disk->path($hash)) === $hash) {
                if (is_file($copy) && hash_file('sha256', $copy) !== $hash) {
                    $again = static fn (): bool => unlink($copy) && Copies::copyPicture($hash);
                    $this->say(Message::of('console.doctor.copy-damaged', hash: substr($hash, 0, 8)), $again, 'copied');
                }

                continue;
            }
            $fetch = is_file($copy) && hash_file('sha256', $copy) === $hash ? static function () use ($disk, $hash, $copy): void {
                $disk->delete($hash);
                $disk->put($hash, (string) file_get_contents($copy));
            } : null;
            $this->say(Message::of('console.doctor.picture-gone', hash: substr($hash, 0, 8)), $fetch, 'fetched');
        }
    }

    private function files(): void
    {
        $disk = Storage::disk('pictures');
        $known = array_flip(array_filter(DB::table('pictures')->distinct()->pluck('hash')->all(), is_string(...)));
        foreach ($disk->files() as $file) {
            if (! isset($known[$file]) && $disk->lastModified($file) < time() - self::OLD_S) {
                $this->say(Message::of('console.doctor.stray', file: $file), static fn () => $disk->delete($file), 'let-go');
            }
        }
        foreach (glob(storage_path('framework/in-*')) ?: [] as $file) {
            if (filemtime($file) < time() - self::OLD_S) {
                $this->say(Message::of('console.doctor.left-archive'), static fn () => unlink($file), 'let-go');
            }
        }
    }

    private function surroundings(): void
    {
        foreach (['', 'pictures', 'framework', 'logs'] as $folder) {
            is_writable(storage_path($folder)) || $this->say(Message::of('console.doctor.no-leave', folder: $folder));
        }
        if (disk_free_space(storage_path()) < self::LEAST_FREE) {
            $this->say(Message::of('console.doctor.nearly-full'));
        }
        if (Copies::isDue()) {
            $this->say(Message::of('console.doctor.old-copy'), static fn () => Copies::make(), 'made-one');
        }
    }
}
