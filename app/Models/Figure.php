<?php

declare(strict_types=1);

namespace App\Models;

use App\Accounts\CurrentFelter;
use App\Models\Concerns\Owned;
use App\Models\Concerns\Travels;
use App\Models\Log\StepMark;
use App\Store\Transaction;
use Generator;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use Impa\Figure\Editing\Anew;
use Impa\Figure\Figure as FigureDocument;
use Impa\Figure\Upgrade\Upgrade;
use Impa\Plan\Summary;
use stdClass;

/**
 * A figure on the shelf. Its document is kept as text, so that what we do not know comes back as it went in.
 *
 * @property int $id
 * @property string $uuid
 * @property string $name
 * @property string $document
 * @property int $revision
 * @property bool $is_demo
 * @property ?int $picture_id
 * @property float $total_g
 * @property float $hands_minutes
 * @property int $steps
 * @property string $step_keys a list as JSON
 * @property int $reckoning version of the rules that these three are by
 * @property string $present_step key of the step that lies open; empty for the next one
 * @property Carbon $updated_at
 * @property ?Carbon $deleted_at
 * @property Collection<int, StepMark> $marks
 */
final class Figure extends Model
{
    use Owned;
    use SoftDeletes;
    use Travels;

    /** Older revisions than so many are let go. */
    private const KEPT_REVISIONS = 50;

    /** What is told of a figure alone. */
    private const OWN_TABLES = [
        'figure_revisions', 'step_marks', 'bouts', 'log_entries', 'finished_steps', 'photo_checks', 'set_asides', 'wool_uses',
    ];

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['is_demo' => 'boolean', 'total_g' => 'float', 'hands_minutes' => 'float'];

    /** @return HasMany<StepMark, $this> */
    public function marks(): HasMany
    {
        return $this->hasMany(StepMark::class);
    }

    /** @return HasMany<FigureRevision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(FigureRevision::class);
    }

    /** @return BelongsTo<Picture, $this> */
    public function picture(): BelongsTo
    {
        return $this->belongsTo(Picture::class);
    }

    public static function lay(FigureDocument $figure, Summary $summary, ?int $pictureId, bool $isDemo = false): self
    {
        $model = new self(self::columns($figure, $summary) + ['picture_id' => $pictureId, 'is_demo' => $isDemo, 'revision' => 1]);
        Transaction::together(static function () use ($model): void {
            $model->save();
            $model->keep();
        });

        return $model;
    }

    /**
     * A figure from another store, its document as it came, letter for letter; in the place of one that is here, whose log goes.
     *
     * @param  array<string, mixed>  $row  what else is known of it
     * @return int its number here
     */
    public static function carry(FigureDocument $figure, Summary $summary, string $json, ?int $instead, array $row): int
    {
        $columns = ['document' => $json] + $row + self::columns($figure, $summary);
        if ($instead === null) {
            return (int) CurrentFelter::rows('figures')->insertGetId(CurrentFelter::own() + $columns);
        }
        foreach (self::OWN_TABLES as $table) {
            CurrentFelter::rows($table)->where('figure_id', $instead)->delete();
        }
        CurrentFelter::rows('figures')->where('id', $instead)->update($columns);

        return $instead;
    }

    /** Its document in the newest form. */
    public function newest(): ?stdClass
    {
        return Upgrade::read($this->document);
    }

    /** Saves a new revision if nobody saved one since; tells whether it did. */
    public function replace(FigureDocument $figure, Summary $summary, int $basedOn): bool
    {
        $columns = self::columns($figure, $summary) + ['revision' => $basedOn + 1];
        $saved = 0;
        Transaction::together(function () use ($columns, $basedOn, &$saved): void {
            // The revision is asked for in the same statement, so that of two windows one wins and one is told.
            $saved = self::query()->whereKey($this->id)->where('revision', $basedOn)->update($columns);
            $before = $this->document;
            $this->refresh();
            if ($saved === 1) {
                $this->forgetAnew($before);
                $this->keep();
            }
        });

        return $saved === 1;
    }

    /** Nothing is done of what was taken away and made anew under its old key; ticks of what an undo brings back stay. */
    private function forgetAnew(string $before): void
    {
        [$now, $was] = [$this->newest(), Upgrade::read($before)];
        $marked = array_filter($this->marks()->pluck('step')->all(), is_string(...));
        if ($marked === [] || $now === null || $was === null) {
            return;
        }
        $earlier = (function (): Generator {
            foreach ($this->revisions()->orderByDesc('revision')->lazy(10) as $revision) {
                $document = Upgrade::read($revision->document);
                if ($document !== null) {
                    yield $document;
                }
            }
        })();
        foreach (Anew::things($now, $was, $earlier) as [$kind, $key]) {
            $isOf = static fn (string $step): bool => Anew::isStepOf($step, $kind, $key);
            $this->marks()->whereIn('step', array_values(array_filter($marked, $isOf)))->delete();
        }
    }

    /** What the shelf shows from now on; the document and its revision stay. */
    public function keepSummary(Summary $summary): void
    {
        self::withTrashed()->whereKey($this->id)->toBase()->update(self::shown($summary));
    }

    /** What the shelf was told last; by older rules where `isByOlderRules`. */
    public function summary(): Summary
    {
        $keys = json_decode($this->step_keys, true);

        return new Summary(
            $this->total_g,
            $this->hands_minutes,
            array_values(array_filter(is_array($keys) ? $keys : [], is_string(...))),
        );
    }

    public function isByOlderRules(): bool
    {
        return $this->reckoning < Summary::VERSION;
    }

    /**
     * @param  list<string>  $steps  keys of its plan
     * @return list<string> those that are done, in that order; what is ticked and no step any more is not among them
     */
    public function done(array $steps): array
    {
        return array_values(array_intersect($steps, array_filter($this->marks->pluck('step')->all(), is_string(...))));
    }

    /** @return array<string, mixed> */
    private static function columns(FigureDocument $figure, Summary $summary): array
    {
        // A store may cut a text at a NUL.
        return ['name' => str_replace("\0", ' ', $figure->name), 'document' => $figure->toJson()] + self::shown($summary);
    }

    /** @return array<string, mixed> */
    private static function shown(Summary $summary): array
    {
        return [
            'total_g' => $summary->totalG,
            'hands_minutes' => $summary->handsMinutes,
            'steps' => count($summary->steps),
            'step_keys' => json_encode($summary->steps, JSON_THROW_ON_ERROR),
            'reckoning' => Summary::VERSION,
        ];
    }

    private function keep(): void
    {
        $this->revisions()->create(['revision' => $this->revision, 'document' => $this->document, 'created_at' => now()]);
        $this->revisions()
            ->where('revision', '<=', $this->revision - self::KEPT_REVISIONS)
            ->delete();
    }
}
