<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\Owned;
use App\Models\Concerns\Travels;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Impa\Colour\Srgb;
use Impa\Material\Preparation;
use Impa\Stash\StashWool;
use Impa\Stash\Table\Pack;
use Impa\Stash\Table\WoolEntry;
use Impa\Voice\Message;
use RuntimeException;

/**
 * A wool in the drawer.
 *
 * @property int $id
 * @property string $name
 * @property ?string $hex none for undyed core wool and stuffing
 * @property string $material wool, core-wool, scrap or stuffing
 * @property string $preparation
 * @property float $grams_left
 * @property ?float $micron
 * @property ?float $g_per_m
 * @property ?float $price of a pack
 * @property ?float $pack_g
 * @property string $maker
 */
final class Wool extends Model
{
    use Owned;
    use SoftDeletes;
    use Travels;

    protected $table = 'wools';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['grams_left' => 'float', 'micron' => 'float', 'g_per_m' => 'float', 'price' => 'float', 'pack_g' => 'float'];

    /** @return list<self> */
    public static function byName(): array
    {
        /** @var list<self> $wools */
        $wools = self::query()->orderBy('name')->get()->all();

        // One that is none does not break the answer about the others; the doctor tells of it.
        return array_values(array_filter($wools, static fn (self $wool): bool => $wool->faults() === []));
    }

    /** @return array<string, mixed> the columns that an entry fills */
    public static function columns(WoolEntry $entry): array
    {
        return [
            'name' => $entry->name,
            'hex' => $entry->colour?->toHex(),
            'material' => $entry->material,
            'preparation' => $entry->preparation->value,
            'grams_left' => $entry->gramsLeft,
            'micron' => $entry->micron,
            'g_per_m' => $entry->gPerM,
            'price' => $entry->pack->price,
            'pack_g' => $entry->pack->g,
            'maker' => $entry->pack->maker,
        ];
    }

    /** @return array<string, Message> what is wrong with it, by member */
    public function faults(): array
    {
        $faults = [];
        WoolEntry::of($this->members(), $faults);

        return $faults;
    }

    public function entry(): WoolEntry
    {
        $faults = [];

        return WoolEntry::of($this->members(), $faults) ??
            throw new RuntimeException(sprintf('Wool %d has faults: %s', $this->id, implode(' ', $faults)));
    }

    /** @return array<string, mixed> as core and the screens name them */
    public function members(): array
    {
        return [
            'name' => $this->name,
            'hex' => $this->hex,
            'material' => $this->material,
            'preparation' => $this->preparation,
            'gramsLeft' => $this->grams_left,
            'micron' => $this->micron,
            'gPerM' => $this->g_per_m,
            'price' => $this->price,
            'packG' => $this->pack_g,
            'maker' => $this->maker,
        ];
    }

    public function inStash(float $freeG): StashWool
    {
        return new StashWool(
            id: $this->id,
            name: $this->name,
            colour: $this->hex === null ? null : Srgb::hex($this->hex),
            material: $this->material,
            preparation: Preparation::from($this->preparation),
            freeG: $freeG,
            gPerM: $this->g_per_m ?? 0.0,
            pricePerG: (new Pack($this->price, $this->pack_g, $this->maker))->pricePerG(),
        );
    }
}
