<?php

declare(strict_types=1);

namespace App\Http\Controllers\Wool;

use App\Accounts\CurrentFelter;
use App\Api\Body;
use App\Models\Wool;
use App\Stash\Stash;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Impa\Colour\Srgb;
use Impa\Stash\Table\Palette;
use Impa\Stash\Table\StashTable;
use Impa\Stash\Table\WoolEntry;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The stash as a table or a palette, in and out. What will change is shown before it does; done twice, it changes nothing more. */
final class StashTableController
{
    private const MOST_BYTES = 5_000_000;

    private const AT_ONCE = 200;

    public function csv(): Response
    {
        return new Response(StashTable::write(array_map(static fn (Wool $w): WoolEntry => $w->entry(), Wool::byName())), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="stash.csv"',
        ]);
    }

    public function palette(): Response
    {
        $coloured = array_filter(Wool::byName(), static fn (Wool $w): bool => $w->hex !== null);
        $colours = array_map(static fn (Wool $w): array => [$w->name, Srgb::hex((string) $w->hex)], $coloured);

        return new Response(Palette::write('Stash', $colours), 200, [
            'Content-Type' => 'text/plain; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="stash.gpl"',
        ]);
    }

    /** Reads the table and says what would change; with "apply": true, it does. */
    public function store(Body $body): JsonResponse
    {
        $text = $body->bytes('base64', self::MOST_BYTES);
        [$entries, $refused, $notices] = match ($body->text('as', 'csv')) {
            'csv' => self::table($text),
            'gpl' => self::colours($text),
            default => throw new HttpException(422, (string) Message::of('house.stash-table-controller.the-stash-is-read')),
        };
        /** @var array<string, Wool> $known */
        $known = Wool::query()->get()->keyBy(static fn (Wool $w): string => mb_strtolower($w->name))->all();
        $added = $changed = [];
        $same = 0;
        foreach ($entries as $entry) {
            $old = $known[$entry->key()] ?? null;
            $new = self::columns($entry, $body->text('as', 'csv') === 'gpl' ? $old : null);
            if ($old === null) {
                $added[] = $new;
            } elseif (($differs = self::differences($old, $new)) !== []) {
                $changed[] = ['id' => $old->id, 'name' => $old->name, 'columns' => $new, 'what' => $differs];
            } else {
                $same++;
            }
        }
        if ($body->flag('apply')) {
            self::apply($added, $changed);
            Stash::reweigh();
        }

        return new JsonResponse([
            'added' => array_map(
                static fn (array $a): array => ['name' => $a['name'], 'hex' => $a['hex'], 'gramsLeft' => $a['grams_left']],
                $added,
            ),
            'changed' => array_map(
                static fn (array $c): array => ['id' => $c['id'], 'name' => $c['name'], 'what' => $c['what']],
                $changed,
            ),
            'same' => $same,
            'refused' => $refused,
            'notices' => $notices,
            'applied' => $body->flag('apply'),
        ]);
    }

    /** @return array{list<WoolEntry>, list<array{line: int, column: string, why: Message}>, list<Message>} */
    private static function table(string $text): array
    {
        $sheet = StashTable::read($text);

        return [$sheet->wools, $sheet->refused, $sheet->notices];
    }

    /** @return array{list<WoolEntry>, list<array{line: int, column: string, why: Message}>, list<Message>} */
    private static function colours(string $text): array
    {
        $bad = $faults = $entries = $refused = [];
        foreach (Palette::read($text, $bad) as [$name, $srgb]) {
            $entry = WoolEntry::of(['name' => mb_substr($name, 0, 120), 'hex' => $srgb->toHex()], $faults);
            if ($entry !== null) {
                // Of several colours of one name the first counts.
                $entries[$entry->key()] ??= $entry;
            }
        }
        foreach ($bad as $line => $why) {
            $refused[] = ['line' => $line, 'column' => 'colour', 'why' => $why];
        }

        return [
            array_values($entries),
            $refused,
            [Message::of('stash.palette.no-weights')],
        ];
    }

    /**
     * A palette knows only the colour of a wool that is there already.
     *
     * @return array<string, mixed>
     */
    private static function columns(WoolEntry $entry, ?Wool $old): array
    {
        return $old === null ? Wool::columns($entry) : ['hex' => $entry->colour?->toHex()];
    }

    /**
     * @param  array<string, mixed>  $new
     * @return list<string> in words
     */
    private static function differences(Wool $old, array $new): array
    {
        $words = [
            'hex' => 'colour',
            'material' => 'material',
            'preparation' => 'preparation',
            'grams_left' => 'grams',
            'micron' => 'micron',
            'g_per_m' => 'grams per metre',
            'price' => 'price',
            'pack_g' => 'pack grams',
            'maker' => 'maker',
        ];
        $differences = [];
        foreach (array_intersect_key($words, $new) as $column => $word) {
            [$was, $is] = [$old->getAttribute($column), $new[$column]];
            if ($was !== $is && ! (is_numeric($was) && is_numeric($is) && abs((float) $was - (float) $is) < 1e-6)) {
                $differences[] = sprintf('%s: %s to %s', $word, self::shown($was), self::shown($is));
            }
        }

        return $differences;
    }

    private static function shown(mixed $value): string
    {
        return is_scalar($value) && $value !== '' ? (string) $value : 'nothing';
    }

    /**
     * @param  list<array<string, mixed>>  $added
     * @param  list<array{id: int, name: string, columns: array<string, mixed>, what: list<string>}>  $changed
     */
    private static function apply(array $added, array $changed): void
    {
        Transaction::together(static function () use ($added, $changed): void {
            $now = now();
            $own = CurrentFelter::own() + ['created_at' => $now, 'updated_at' => $now];
            foreach (array_chunk($added, self::AT_ONCE) as $some) {
                CurrentFelter::rows('wools')->insert(
                    array_map(static fn (array $columns): array => $columns + $own + ['uuid' => (string) Str::uuid()], $some),
                );
            }
            foreach ($changed as $change) {
                CurrentFelter::rows('wools')
                    ->where('id', $change['id'])
                    ->update($change['columns'] + ['updated_at' => $now]);
            }
        });
    }
}
