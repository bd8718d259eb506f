<?php

declare(strict_types=1);

namespace App\Stash;

use App\Models\Figure;
use App\Models\Swatch as SwatchRow;
use App\Models\Wool;
use Illuminate\Support\Facades\DB;
use Impa\Colour\Srgb;
use Impa\Figure\Figure as FigureDocument;
use Impa\Wool\Drawer;
use Impa\Wool\Reserve;
use Impa\Wool\StashWool;
use Impa\Wool\Supply;
use Impa\Wool\Swatch;

/** The drawer as it is stored: read for core, and written back after core has told what an event makes of it. */
final class Stash
{
    /**
     * @param  int  $figure  whose own set-aside wool counts as free; 0 for none
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
        foreach (DB::table('wools')->whereNull('deleted_at')->pluck('grams_left', 'id') as $id => $g) {
            $left[(int) $id] = max(0.0, is_numeric($g) ? (float) $g : 0.0);
        }

        return self::drawerOf($left);
    }

    /** @param  array<int, float>  $left */
    private static function drawerOf(array $left): Drawer
    {
        $aside = [];
        foreach (DB::table('set_asides')->get(['figure_id', 'wool_id', 'grams']) as $row) {
            $row = (array) $row;
            if (isset($left[$row['wool_id']])) {
                $aside[$row['figure_id']][$row['wool_id']] = (float) $row['grams'];
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
        DB::transaction(static function () use ($event, &$after): void {
            $before = self::drawer();
            $after = $event($before);
            foreach ($after->left as $wool => $g) {
                if ($g !== $before->left[$wool]) {
                    DB::table('wools')->where('id', $wool)->update(['grams_left' => $g, 'updated_at' => now()]);
                }
            }
            if ($after->aside !== $before->aside) {
                DB::table('set_asides')->delete();
                foreach ($after->aside as $figure => $wools) {
                    foreach ($wools as $wool => $g) {
                        DB::table('set_asides')->insert(['figure_id' => $figure, 'wool_id' => $wool, 'grams' => $g]);
                    }
                }
            }
        });

        return $after;
    }

    /** What a saved figure takes, its own set-aside wool counted as free. */
    public static function supply(Figure $figure, Reserve $reserve): Supply
    {
        return Supply::of(FigureDocument::fromJson($figure->document), self::wools($figure->id), self::swatches(), $reserve);
    }

    public static function setAside(Figure $figure, Reserve $reserve): void
    {
        $wanted = self::supply($figure, $reserve)->wanted();
        self::happen(static fn (Drawer $drawer): Drawer => $drawer->setAside($figure->id, $wanted));
    }

    /** A figure that goes to the bin gives back what it had set aside. */
    public static function release(Figure $figure): void
    {
        self::happen(static fn (Drawer $drawer): Drawer => $drawer->released($figure->id));
    }
}
