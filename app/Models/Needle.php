<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\Owned;
use Illuminate\Database\Eloquent\Model;
use Impa\Face\Needles;

/**
 * Needles of one gauge and kind in the box.
 *
 * @property int $gauge
 * @property string $kind
 * @property int $left
 */
final class Needle extends Model
{
    use Owned;

    /** Of one gauge and kind nobody has more. */
    public const MOST = 999;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['gauge' => 'integer', 'left' => 'integer'];

    /** @return list<int> that felt, coarse to fine; none where that was never said */
    public static function gauges(): array
    {
        $gauges = [];
        // A reverse needle pulls fibres out: nothing is felted with it.
        foreach (self::query()->where('left', '>', 0)->where('kind', '!=', 'reverse')->orderBy('gauge')->get() as $needle) {
            $gauges[] = $needle->gauge;
        }

        return array_values(array_unique($gauges));
    }

    /** One of a gauge broke: one less is left of the kind of which there are most; tells which. Null where none is known of. */
    public static function broke(int $gauge): ?string
    {
        /** @var ?self $of */
        $of = self::query()->where('gauge', $gauge)->where('kind', '!=', 'reverse')->where('left', '>', 0)
            ->orderByDesc('left')->orderBy('kind')->first();
        $of?->decrement('left');

        return $of?->kind;
    }

    /** It did not break after all. */
    public static function isWhole(int $gauge, string $kind): void
    {
        self::query()->where('gauge', $gauge)->where('kind', $kind)->where('left', '<', self::MOST)->increment('left');
    }

    /** @return list<int> gauges of which one is left to felt with */
    public static function last(): array
    {
        $left = [];
        foreach (self::box() as $needle) {
            $left[$needle['gauge']] = ($left[$needle['gauge']] ?? 0) + ($needle['kind'] === 'reverse' ? 0 : $needle['left']);
        }

        return array_keys(array_filter($left, static fn (int $count): bool => $count === 1));
    }

    /** @return list<array{gauge: int, kind: string, left: int}> */
    public static function box(): array
    {
        $box = [];
        foreach (self::query()->orderBy('gauge')->orderBy('kind')->get() as $needle) {
            $box[] = ['gauge' => $needle->gauge, 'kind' => $needle->kind, 'left' => $needle->left];
        }

        return $box;
    }
}
