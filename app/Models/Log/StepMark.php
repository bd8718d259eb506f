<?php

declare(strict_types=1);

namespace App\Models\Log;

use App\Models\Concerns\Owned;
use Illuminate\Database\Eloquent\Model;

/**
 * A step of a figure's plan that is done, or what was looked at in the end.
 *
 * @property int $figure_id
 * @property string $step
 */
final class StepMark extends Model
{
    use Owned;

    /** Before what was looked at in the end, whose ticks are kept here as well: no step is called so. */
    public const LOOKED = 'looked:';

    public $timestamps = false;

    protected $guarded = [];
}
