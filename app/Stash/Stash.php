<?php

declare(strict_types=1);

namespace App\Stash;

use App\Accounts\CurrentFelter;
use App\Hand\Profile;
use App\Models\Figure;
use App\Models\Swatch as SwatchRow;
use App\Models\Wool;
use App\Store\Transaction;
use Impa\Colour\Srgb;
use Impa\Figure\Figure as FigureDocument;
use Impa\Stash\Drawer;
use Impa\Stash\Mixing\Swatch;
use Impa\Stash\StashWool;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Wool\WoolRefused;

/** The drawer as it is stored: read for core, and written back after core has told what an event makes of it. */
final class Stash
{
    /** So many figures in work are asked whether they count on a wool, the latest first. */
    private const ELSEWHERE = 12;

    /**
     * @param  int  $figure  whose own set-aside wool counts as free; 0 for none, a set's as `ofSet` has it
     * @return array<int, StashWool> by number, in the order of their names
     */
    public static function wools(int $figure = 0): array
    {
        $rows = Wool::byName();
        $left = [];
        foreach ($rows as $wool) {
            $left[$wool->id] = max(0.0, $wool->grams_left);
        }
        $drawer = self::drawerOf($left);
        $wools = [];
        foreach ($rows as $wool) {
            $wools[$wool->id] = $wool->inStash($drawer->freeG($wool->id, $figure));
        }

        return $wools;
    }

    /** @return list<Swatch> */
    public static function swatches(): array
    {
        /** @var list<SwatchRow> $rows */
        $rows = SwatchRow::query()->orderBy('id')->get()->all();

        return array_map(static fn (SwatchRow $s): Swatch => new Swatch($s->shares, Srgb::hex($s->hex)), $rows);
    }

    public static function drawer(): Drawer
    {
        $left = [];
        foreach (CurrentFelter::rows('wools')->whereNull('deleted_at')->pluck('grams_left', 'id') as $id => $g) {
            $left[(int) $id] = max(0.0, is_numeric($g) ? (float) $g : 0.0);
        }

        return self::drawerOf($left);
    }

    /** @param  array<int, float>  $left */
    private static function drawerOf(array $left): Drawer
    {
        $aside = [];
        foreach (CurrentFelter::rows('set_asides')->get(['figure_id', 'wool_id', 'grams']) as $row) {
            $row = (array) $row;
            if (isset($left[$row['wool_id']])) {
                $aside[$row['figure_id']][$row['wool_id']] = (float) $row['grams'];
            }
        }
        foreach (CurrentFelter::rows('set_wools')->get(['figure_set_id', 'wool_id', 'grams']) as $row) {
            $row = (array) $row;
            if (isset($left[$row['wool_id']])) {
                $aside[self::ofSet((int) $row['figure_set_id'])][$row['wool_id']] = (float) $row['grams'];
            }
        }

        return Drawer::of($left, $aside);
    }

    /**
     * Lets an event happen, all of it or nothing.
     *
     * @param  callable(Drawer): Drawer  $event
     */
    public static function happen(callable $event): Drawer
    {
        $after = Drawer::of([]);
        Transaction::together(static function () use ($event, &$after): void {
            $before = self::drawer();
            $after = $event($before);
            foreach ($after->left as $wool => $g) {
                if ($g !== $before->left[$wool]) {
                    CurrentFelter::rows('wools')
                        ->where('id', $wool)
                        ->update(['grams_left' => $g, 'updated_at' => now()]);
                }
            }
            foreach ($before->aside + $after->aside as $figure => $_) {
                self::keepAside($figure, $before->aside[$figure] ?? [], $after->aside[$figure] ?? []);
            }
        });

        return $after;
    }

    /** After a wool has changed: what figures with loops weigh is reckoned with its yarn, so that the shelf says what the stations say. */
    public static function reweigh(): void
    {
        foreach (Figure::withTrashed()->where('document', 'like', '%"loops"%')->get() as $figure) {
            Profile::reckonAnew($figure);
        }
    }

    /**
     * What one figure has set aside, written where it differs.
     *
     * @param  array<int, float>  $before  grams by wool
     * @param  array<int, float>  $after
     */
    private static function keepAside(int $figure, array $before, array $after): void
    {
        [$table, $owner] = $figure < 0 ? ['set_wools', ['figure_set_id' => -$figure]] : ['set_asides', ['figure_id' => $figure]];
        $gone = array_keys(array_diff_key($before, $after));
        if ($gone !== []) {
            CurrentFelter::rows($table)->where($owner)->whereIn('wool_id', $gone)->delete();
        }
        foreach ($after as $wool => $g) {
            if ($g !== ($before[$wool] ?? null)) {
                CurrentFelter::rows($table)->updateOrInsert(CurrentFelter::own() + $owner + ['wool_id' => $wool], ['grams' => $g]);
            }
        }
    }

    /** What a saved figure takes, its own set-aside wool counted as free. */
    public static function supply(Figure $figure, Reserve $reserve): Supply
    {
        $document = FigureDocument::fromJson($figure->document);

        return Profile::supply($document, self::wools($figure->id), $reserve);
    }

    public static function setAside(Figure $figure, Reserve $reserve): void
    {
        Transaction::together(static function () use ($figure, $reserve): void {
            self::unfinished($figure);
            $wanted = self::supply($figure, $reserve)->wanted();
            self::happen(static fn (Drawer $drawer): Drawer => $drawer->setAside($figure->id, $wanted));
        });
    }

    /**
     * Other figures in work that count on the same wools, and for which not enough of them is free any more.
     *
     * @return list<array{figure: int, name: string, wool: string, g: float, freeG: float}>
     */
    public static function elsewhere(Figure $figure): array
    {
        $aside = CurrentFelter::rows('set_asides')->where('figure_id', $figure->id)->pluck('wool_id')->all();
        $own = array_flip(array_filter($aside, is_int(...)));
        /** @var list<Figure> $others */
        $others = Figure::query()->whereKeyNot($figure->id)->whereHas('marks')->latest('updated_at')->limit(self::ELSEWHERE)->get()->all();
        $short = [];
        foreach ($others as $other) {
            // What has its wool needs none of the drawer's.
            if (self::has('set_asides', $other) || self::has('wool_uses', $other)) {
                continue;
            }
            foreach (self::supply($other, Reserve::Never)->needs as $need) {
                if ($need->wool !== null && isset($own[$need->wool->id]) && $need->wool->freeG < $need->spread->likelyG) {
                    $short[] = [
                        'figure' => $other->id,
                        'name' => $other->name,
                        'wool' => $need->wool->name,
                        'g' => $need->spread->likelyG,
                        'freeG' => $need->wool->freeG,
                    ];
                }
            }
        }

        return $short;
    }

    private static function has(string $table, Figure $figure): bool
    {
        return CurrentFelter::rows($table)->where('figure_id', $figure->id)->exists();
    }

    /** A set in the drawer: below 0, where figures are above. */
    public static function ofSet(int $set): int
    {
        return -$set;
    }

    /**
     * The wool of a whole set, what is free of it.
     *
     * @param  array<int, float>  $wanted  grams by wool
     */
    public static function setAsideForSet(int $set, array $wanted): void
    {
        self::happen(static fn (Drawer $drawer): Drawer => $drawer->setAside(self::ofSet($set), $wanted));
    }

    public static function releaseSet(int $set): void
    {
        self::happen(static fn (Drawer $drawer): Drawer => $drawer->released(self::ofSet($set)));
    }

    /** @return array<int, float> grams that a set has set aside, by wool */
    public static function asideForSet(int $set): array
    {
        $aside = [];
        $grams = CurrentFelter::rows('set_wools')->where('figure_set_id', $set)->orderBy('wool_id')->pluck('grams', 'wool_id');
        foreach ($grams as $wool => $g) {
            $aside[(int) $wool] = is_numeric($g) ? (float) $g : 0.0;
        }

        return $aside;
    }

    /**
     * A finished figure takes its grams out of the drawer, once.
     *
     * @param  array<int, float>  $said  grams by wool that she says were used; the plan's where she says nothing
     *
     * @throws WoolRefused if it has taken them already, or no drawer holds so much
     */
    public static function finish(Figure $figure, array $said): void
    {
        Transaction::together(static function () use ($figure, $said): void {
            self::unfinished($figure);
            $planned = self::supply($figure, Reserve::Usual)->likely();
            $used = array_intersect_key($said, $planned) + $planned;
            self::happen(static fn (Drawer $drawer): Drawer => $drawer->used($figure->id, $used));
            foreach ($used as $wool => $g) {
                CurrentFelter::rows('wool_uses')->insert(CurrentFelter::own() + [
                    'figure_id' => $figure->id,
                    'wool_id' => $wool,
                    'planned_g' => $planned[$wool],
                    'used_g' => $g,
                    'created_at' => now(),
                ]);
            }
        });
    }

    /** @throws WoolRefused if the figure has taken its wool already */
    private static function unfinished(Figure $figure): void
    {
        if (CurrentFelter::rows('wool_uses')->where('figure_id', $figure->id)->exists()) {
            throw WoolRefused::takenAlready();
        }
    }

    /** A figure that goes to the bin gives back what it had set aside. */
    public static function release(Figure $figure): void
    {
        self::happen(static fn (Drawer $drawer): Drawer => $drawer->released($figure->id));
    }
}
