<?php

declare(strict_types=1);

namespace App\Models;

use App\Accounts\CurrentFelter;
use App\Hand\Profile;
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

    public static function lay(FigureDocument $figure, ?int $pictureId, bool $isDemo = false): self
    {
        $model = new self(self::columns($figure) + ['picture_id' => $pictureId, 'is_demo' => $isDemo, 'revision' => 1]);
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
    public static function carry(FigureDocument $figure, string $json, ?int $instead, array $row): int
    {
        $columns = ['document' => $json] + $row + self::columns($figure);
        if ($instead === null) {
            return (int) CurrentFelter::rows('figures')->insertGetId(CurrentFelter::own() + $columns);
        }
        foreach (self::OWN_TABLES as $table) {
            CurrentFelter::rows($table)->where('figure_id', $instead)->delete();
        }
        CurrentFelter::rows('figures')->where('id', $instead)->update($columns);

        return $instead;
    }

    /** Saves a new revision if nobody saved one since; tells whether it did. */
    public function replace(FigureDocument $figure, int $basedOn): bool
    {
        $columns = self::columns($figure) + ['revision' => $basedOn + 1];
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
        [$now, $was] = [json_decode($this->document), json_decode($before)];
        $marked = array_filter($this->marks()->pluck('step')->all(), is_string(...));
        if ($marked === [] || ! $now instanceof stdClass || ! $was instanceof stdClass) {
            return;
        }
        $earlier = (function (): Generator {
            foreach ($this->revisions()->orderByDesc('revision')->lazy(10) as $revision) {
                $document = json_decode($revision->document);
                if ($document instanceof stdClass) {
                    yield $document;
                }
            }
        })();
        foreach (Anew::things($now, $was, $earlier) as [$kind, $key]) {
            $isOf = static fn (string $step): bool => Anew::isStepOf($step, $kind, $key);
            $this->marks()->whereIn('step', array_values(array_filter($marked, $isOf)))->delete();
        }
    }

    /** What the shelf shows, reckoned anew by the rules of today: the document and its revision stay. */
    public function reckonAnew(): void
    {
        $figure = FigureDocument::fromJson($this->document);
        self::withTrashed()
            ->whereKey($this->id)
            ->toBase()
            ->update(array_diff_key(self::columns($figure), ['document' => true, 'name' => true]));
    }

    /** @return array{int, string, float} steps, their keys and grams as the rules of today have them */
    public function wouldShow(): array
    {
        $columns = self::columns(FigureDocument::fromJson($this->document));

        return [$columns['steps'], $columns['step_keys'], round($columns['total_g'], 4)];
    }

    /** @return list<string> keys of the steps of its plan, in order */
    public function stepKeys(): array
    {
        $keys = json_decode($this->step_keys, true);

        return array_values(array_filter(is_array($keys) ? $keys : [], is_string(...)));
    }

    /** @return list<string> keys of the steps that are done; what is no step of its plan any more is not among them */
    public function doneSteps(): array
    {
        $marked = $this->marks->pluck('step')->all();

        return array_values(array_filter($this->stepKeys(), static fn (string $key): bool => in_array($key, $marked, true)));
    }

    /** @return array{name: string, document: string, total_g: float, hands_minutes: float, steps: int, step_keys: string} */
    private static function columns(FigureDocument $figure): array
    {
        $plan = Profile::plan($figure);
        $keys = $plan->work()->keys();

        return [
            // A store may cut a text at it.
            'name' => str_replace("\0", ' ', $figure->name),
            'document' => $figure->toJson(),
            'total_g' => $plan->totalG(),
            'hands_minutes' => $plan->handsMinutes(),
            'steps' => count($keys),
            'step_keys' => json_encode($keys, JSON_THROW_ON_ERROR),
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
