<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Impa\Figure\Figure as FigureDocument;
use Impa\Plan\Plan;

/**
 * A figure on the shelf. Its document is kept as text, so that what we do not know comes back as it went in.
 *
 * @property int $id
 * @property string $name
 * @property string $document
 * @property int $revision
 * @property bool $is_demo
 * @property ?int $picture_id
 * @property float $total_g
 * @property float $hands_minutes
 * @property int $steps
 * @property Carbon $updated_at
 * @property ?Carbon $deleted_at
 * @property ?int $marks_count
 */
final class Figure extends Model
{
    use SoftDeletes;

    /** Older revisions than so many are let go. */
    private const KEPT_REVISIONS = 50;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['is_demo' => 'boolean'];

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
        DB::transaction(static function () use ($model): void {
            $model->save();
            $model->keep();
        });

        return $model;
    }

    /** Saves a new revision if nobody saved one since; tells whether it did. */
    public function replace(FigureDocument $figure, int $basedOn): bool
    {
        $columns = self::columns($figure) + ['revision' => $basedOn + 1];
        $saved = 0;
        DB::transaction(function () use ($columns, $basedOn, &$saved): void {
            // The revision is asked for in the same statement, so that of two windows one wins and one is told.
            $saved = self::query()->whereKey($this->id)->where('revision', $basedOn)->update($columns);
            $this->refresh();
            if ($saved === 1) {
                $this->keep();
            }
        });

        return $saved === 1;
    }

    /** @return array<string, mixed> */
    private static function columns(FigureDocument $figure): array
    {
        $plan = Plan::of($figure);

        return [
            'name' => $figure->name,
            'document' => $figure->toJson(),
            'total_g' => $plan->totalG(),
            'hands_minutes' => $plan->handsMinutes(),
            'steps' => count($plan->steps),
        ];
    }

    private function keep(): void
    {
        $this->revisions()->create(['revision' => $this->revision, 'document' => $this->document, 'created_at' => now()]);
        $this->revisions()->where('revision', '<=', $this->revision - self::KEPT_REVISIONS)->delete();
    }
}
