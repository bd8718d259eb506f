<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Impa\Face\Needles;

/**
 * A gauge of needle that is at hand.
 *
 * @property int $gauge
 */
final class Needle extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['gauge' => 'integer'];

    /** @return list<int> coarse to fine; none where that was never said */
    public static function gauges(): array
    {
        $gauges = [];
        foreach (self::query()->orderBy('gauge')->get() as $needle) {
            $gauges[] = $needle->gauge;
        }

        return $gauges;
    }

    public static function atHand(): Needles
    {
        return Needles::of(self::gauges());
    }
}
