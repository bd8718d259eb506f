<?php

declare(strict_types=1);

namespace App\Models\Log;

use App\Models\Concerns\Owned;
use Illuminate\Database\Eloquent\Model;

/**
 * A stretch of work at a step, in milliseconds since 1970.
 *
 * @property int $figure_id
 * @property string $step
 * @property int $begun_at
 * @property int $ended_at
 */
final class Bout extends Model
{
    use Owned;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['begun_at' => 'integer', 'ended_at' => 'integer'];
}
