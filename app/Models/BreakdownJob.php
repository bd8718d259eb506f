<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\Owned;
use App\Models\Concerns\Travels;
use App\Watching\Workers;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A break-down that waits for a worker, is at work, or is done and not fetched yet.
 *
 * @property int $id
 * @property string $uuid
 * @property string $asked the request's body
 * @property string $doing
 * @property float $share of the work, 0 to 1
 * @property ?string $answer JSON; none while it is at work
 * @property ?int $worker_pid of the worker that is at it; none while it waits
 * @property Carbon $created_at
 */
final class BreakdownJob extends Model
{
    use Owned;
    use Travels;

    protected $table = 'breakdowns';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['share' => 'float', 'worker_pid' => 'integer'];

    /** Without any worker one is told after so long, seconds: it may be just starting anew. */
    private const PATIENT_S = 10;

    /** Whether nobody does it any more: its worker was killed, or there is none. */
    public function isLost(): bool
    {
        if ($this->answer !== null) {
            return false;
        }

        return $this->worker_pid !== null
            ? ! Workers::isAlive($this->worker_pid)
            : $this->created_at->diffInSeconds(now()) > self::PATIENT_S && ! Workers::isAnyAlive();
    }
}
