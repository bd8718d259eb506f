<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\Owned;
use Illuminate\Database\Eloquent\Model;

/**
 * A figure's document as it once was.
 *
 * @property int $figure_id
 * @property int $revision
 * @property string $document
 * @property string $created_at
 */
final class FigureRevision extends Model
{
    use Owned;

    public $timestamps = false;

    protected $guarded = [];
}
