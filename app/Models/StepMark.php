<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A step of a figure's plan that is done.
 *
 * @property int $figure_id
 * @property string $step
 */
final class StepMark extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
