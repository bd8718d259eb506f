<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Accounts\CurrentFelter;
use App\Api\Body;
use App\Api\Problem;
use App\Models\BreakdownJob;
use App\Seeing\DrawnFigure;
use App\Seeing\GivenUp;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Queue\Queueable;
use Impa\Voice\Message;
use Impa\Voice\Voice;
use Throwable;

/** Breaks a drawing down while its felter watches how far it is; whoever gives it up takes its row away, and that ends the work. */
final class BreakDown implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 120;

    /** It is written down so often how far it is, seconds. */
    private const EVERY_S = 0.4;

    /** @param  string  $voice  in which its names and reasons are told */
    public function __construct(private readonly int $felter, private readonly string $uuid, private readonly string $voice)
    {
    }

    public function handle(): void
    {
        Voice::speak(Voice::byTag($this->voice) ?? new Voice);
        CurrentFelter::being($this->felter, function (): void {
            $asked = $this->row()->value('asked');
            if (! is_string($asked)) {
                return;
            }
            $told = 0.0;
            $this->row()->update(['worker_pid' => getmypid()]);
            try {
                $answer = DrawnFigure::seen(Body::fromJson($asked), function (Message $doing, float $share) use (&$told): void {
                    if (microtime(true) - $told > self::EVERY_S) {
                        $told = microtime(true);
                        $isWanted = $this->row()->update(['doing' => (string) $doing, 'share' => $share]) === 1;
                        throw_unless($isWanted, GivenUp::class);
                    }
                });
            } catch (GivenUp) {
                return;
            } catch (Throwable $e) {
                report($e);
                $answer = ['problem' => Problem::for($e)->getData(true)];
            }
            $this->row()->update(['share' => 1.0, 'answer' => json_encode($answer, JSON_THROW_ON_ERROR)]);
        });
    }

    /** The worker was ended in the middle of it. */
    public function failed(): void
    {
        Voice::speak(Voice::byTag($this->voice) ?? new Voice);
        CurrentFelter::being($this->felter, fn () => $this->row()->whereNull('answer')->update(['answer' => json_encode([
            'problem' => ['status' => 503, 'detail' => (string) Message::of('house.refused.seeing-ended')],
        ])]));
    }

    /** @return Builder<BreakdownJob> */
    private function row(): Builder
    {
        return BreakdownJob::query()->where('uuid', $this->uuid);
    }
}
