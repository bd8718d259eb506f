<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A wool in the drawer.
 *
 * @property int $id
 * @property string $name
 * @property ?string $hex none for undyed core wool and stuffing
 * @property string $material wool, core-wool, scrap, stuffing or foam
 * @property string $preparation
 * @property float $grams_left
 */
final class Wool extends Model
{
    protected $table = 'wools';

    protected $guarded = [];
}
