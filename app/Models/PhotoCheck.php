<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\Owned;
use Illuminate\Database\Eloquent\Model;

/**
 * A photo of a figure, and what was found on it.
 *
 * @property int $id
 * @property int $figure_id
 * @property int $picture_id
 * @property string $view
 * @property string $found  JSON, an impa-photo-check document
 * @property int $at
 */
final class PhotoCheck extends Model
{
    use Owned;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['at' => 'integer', 'picture_id' => 'integer'];
}
