<?php

declare(strict_types=1);

namespace App\Models\Log;

use App\Hand\OwnHand;
use App\Models\Concerns\Owned;
use App\Models\Figure;
use App\Store\Record;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Impa\Check\Part\Measurement;
use Impa\Hand\FinishedPiece;
use Impa\Shape\Size;

/**
 * A piece that was weighed and measured: a part of a figure, or one for itself.
 *
 * @property int $id
 * @property string $uuid
 * @property ?int $figure_id
 * @property ?Figure $figure
 * @property string $part
 * @property bool $is_twin
 * @property string $what
 * @property string $firmness
 * @property float $width_mm
 * @property float $height_mm
 * @property float $depth_mm
 * @property float $cm3
 * @property float $grams
 * @property float $house_g
 * @property ?float $weighed_g
 * @property ?float $minutes
 * @property ?float $house_minutes
 * @property int $at
 */
final class FinishedPart extends Model
{
    use Owned;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'is_twin' => 'boolean',
        'width_mm' => 'float',
        'height_mm' => 'float',
        'depth_mm' => 'float',
        'cm3' => 'float',
        'grams' => 'float',
        'house_g' => 'float',
        'weighed_g' => 'float',
        'minutes' => 'float',
        'house_minutes' => 'float',
        'at' => 'integer',
    ];

    /**
     * Keeps what was weighed and measured; told twice, it is kept once.
     *
     * @param  array<string, mixed>  $row
     */
    public static function keep(string $uuid, array $row): void
    {
        $row += ['at' => (int) (microtime(true) * 1000)];
        Record::checked('finished_parts', ['uuid' => $uuid] + $row);
        self::query()->firstOrCreate(['uuid' => $uuid], $row);
        OwnHand::changed();
    }

    /** @return array{width_mm: float, height_mm: float, depth_mm: float} */
    public static function sizes(Size $size): array
    {
        return ['width_mm' => $size->widthMm, 'height_mm' => $size->heightMm, 'depth_mm' => $size->depthMm];
    }

    /** @return array{what: string, firmness: string, grams: float, house_g: float, weighed_g: ?float, minutes: ?float, house_minutes: ?float} */
    public static function row(FinishedPiece $piece): array
    {
        return [
            'what' => $piece->what,
            'firmness' => $piece->firmness,
            'grams' => $piece->grams,
            'house_g' => $piece->houseG,
            'weighed_g' => $piece->weighedG,
            'minutes' => $piece->minutes,
            'house_minutes' => $piece->houseMinutes,
        ];
    }

    /** @return BelongsTo<Figure, $this> */
    public function figure(): BelongsTo
    {
        return $this->belongsTo(Figure::class);
    }

    public function piece(): FinishedPiece
    {
        return new FinishedPiece(
            $this->what,
            $this->firmness,
            $this->grams,
            $this->house_g,
            $this->weighed_g,
            $this->minutes,
            $this->house_minutes,
            $this->figure->name ?? '',
        );
    }

    public function measurement(): Measurement
    {
        return Measurement::of($this->width_mm, $this->height_mm, $this->depth_mm, $this->grams);
    }

    /** The other piece of a pair, where it was measured. */
    public function twin(): ?self
    {
        return self::query()->where(['figure_id' => $this->figure_id, 'part' => $this->part, 'is_twin' => ! $this->is_twin])->first();
    }
}
