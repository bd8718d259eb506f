<?php

declare(strict_types=1);

namespace App\Models\Log;

use App\Models\Concerns\Owned;
use Illuminate\Database\Eloquent\Model;

/**
 * A record that the felter took out of what is learned, or since when she started over.
 *
 * @property int $id
 * @property string $record
 * @property int $at
 */
final class HandMark extends Model
{
    use Owned;

    /** The name of the mark that holds when everything was started over. */
    public const SINCE = 'since';

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['at' => 'integer'];
}
