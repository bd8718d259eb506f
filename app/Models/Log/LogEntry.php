<?php

declare(strict_types=1);

namespace App\Models\Log;

use App\Models\Concerns\Owned;
use Illuminate\Database\Eloquent\Model;

/**
 * Something noted beside the work: a note, a photo, a weight, a broken needle, a mend.
 *
 * @property int $figure_id
 * @property string $uuid
 * @property string $kind
 * @property string $step
 * @property string $text
 * @property ?float $grams
 * @property ?int $gauge
 * @property ?string $needle kind of the one that broke, where it was taken out of the box
 * @property ?int $picture_id
 * @property int $at milliseconds since 1970
 */
final class LogEntry extends Model
{
    use Owned;

    public const KINDS = ['note', 'photo', 'weighed', 'broken', 'found', 'mended'];

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['grams' => 'float', 'gauge' => 'integer', 'picture_id' => 'integer', 'at' => 'integer'];
}
