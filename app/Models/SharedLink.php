<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\Owned;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A link by which a figure is shown to whoever has it, until it is ended. Only its hash is kept.
 *
 * @property int $id
 * @property int $felter_id
 * @property int $figure_id
 * @property string $token_hash
 * @property Carbon $created_at
 * @property ?Carbon $seen_at
 */
final class SharedLink extends Model
{
    use Owned;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['created_at' => 'datetime', 'seen_at' => 'datetime'];

    public static function hashed(#[\SensitiveParameter] string $token): string
    {
        return hash('sha256', $token);
    }
}
