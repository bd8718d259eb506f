<?php

declare(strict_types=1);

namespace App\Models\Log;

use App\Models\Concerns\Owned;
use App\Models\Figure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Impa\Hand\TimedStep;

/**
 * A step that is done: its minutes by the clock, and by the house's numbers.
 *
 * @property int $id
 * @property int $figure_id
 * @property ?Figure $figure
 * @property string $step
 * @property string $kind
 * @property string $what
 * @property float $minutes
 * @property float $house_minutes
 * @property int $at
 */
final class FinishedStep extends Model
{
    use Owned;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['minutes' => 'float', 'house_minutes' => 'float', 'at' => 'integer'];

    /** @return BelongsTo<Figure, $this> */
    public function figure(): BelongsTo
    {
        return $this->belongsTo(Figure::class);
    }

    public function timed(): TimedStep
    {
        return new TimedStep($this->kind, $this->what, $this->minutes, $this->house_minutes, $this->figure->name ?? '');
    }
}
