<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A break-down that waits for a worker, is at work, or is done and not fetched yet.
 *
 * @property int $id
 * @property string $uuid
 * @property string $asked the request's body
 * @property string $doing
 * @property float $share of the work, 0 to 1
 * @property ?string $answer JSON; none while it is at work
 */
final class BreakdownJob extends Model
{
    use Owned;
    use Travels;

    protected $table = 'breakdowns';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['share' => 'float'];
}
