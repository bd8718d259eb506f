<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\Owned;
use Illuminate\Database\Eloquent\Model;

/**
 * What a mix of the felter's became.
 *
 * @property int $id
 * @property array<int, float> $shares by wool, summing to 1
 * @property string $hex
 */
final class Swatch extends Model
{
    use Owned;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['shares' => 'array'];
}
