<?php

declare(strict_types=1);

namespace Impa\Stash\Table;

use Impa\Colour\Srgb;
use Impa\Material\Preparation;
use Impa\Voice\Amount;
use Impa\Voice\Message;

/** A wool as the felter writes it down: what a row of the stash holds. Immutable. */
final readonly class WoolEntry
{
    /** More than this is no drawer: a bale of wool weighs 170 kg. */
    public const MOST_G = 200_000.0;

    public const MATERIALS = ['wool', 'core-wool', 'scrap', 'stuffing'];

    /** Numbers: the word for it, least and most, unit. Sheep give 11 micron at the finest; a bale weighs 170 kg. */
    private const NUMBERS = [
        'gramsLeft' => [0.0, self::MOST_G, 'g'],
        'micron' => [8.0, 80.0, 'micron'],
        'gPerM' => [0.01, 500.0, 'g'],
        'price' => [0.0, 10_000.0, ''],
        'packG' => [0.1, 50_000.0, 'g'],
    ];

    private function __construct(
        public string $name,
        public ?Srgb $colour,
        public string $material,
        public Preparation $preparation,
        public float $gramsLeft,
        public ?float $micron,
        public ?float $gPerM,
        public Pack $pack,
    ) {
    }

    /**
     * @param  array<string, mixed>  $members  name, hex, material, preparation, gramsLeft, micron, gPerM, price, packG, maker;
     *                                         numbers as such or as typed, with a point or a comma
     * @param  array<string, Message>  $faults  filled with a sentence for each member that is wrong
     */
    public static function of(array $members, array &$faults): ?self
    {
        $faults = [];
        $text = static fn (string $member): string => is_scalar($members[$member] ?? '')
            ? trim((string) ($members[$member] ?? ''))
            : '';
        $name = $text('name');
        if ($name === '') {
            $faults['name'] = Message::of('stash.wool-entry.a-wool-needs');
        } elseif (mb_strlen($name) > 120) {
            $faults['name'] = Message::of('stash.wool-entry.the-name-is-longer', name: mb_substr($name, 0, 30));
        }
        $hex = strtolower($text('hex'));
        $hex = $hex !== '' && $hex[0] !== '#' ? '#'.$hex : $hex;
        if ($hex !== '' && preg_match('/^#[0-9a-f]{6}$/', $hex) !== 1) {
            $faults['hex'] = Message::of('stash.wool-entry.is-no-colour-write', it: $text('hex'));
        }
        $preparation = Preparation::tryFrom(strtolower($text('preparation')) ?: 'carded batting');
        if ($preparation === null) {
            $faults['preparation'] = Message::of(
                'stash.wool-entry.is-no-preparation-one',
                it: $text('preparation'),
                list: implode(', ', array_column(Preparation::cases(), 'value')),
            );
        }
        $material = strtolower($text('material')) ?: self::usualMaterial($preparation);
        if (! in_array($material, self::MATERIALS, true)) {
            $faults['material'] = Message::of(
                'stash.wool-entry.is-no-material-one',
                it: $text('material'),
                list: implode(', ', self::MATERIALS),
            );
        }
        $numbers = [];
        foreach (self::NUMBERS as $member => [$least, $most, $unit]) {
            $numbers[$member] = self::number($members[$member] ?? null);
            $said = $numbers[$member];
            if ($said !== null && (is_nan($said) || $said < $least || $said > $most)) {
                $faults[$member] = Message::of(
                    is_nan($said) ? 'stash.no-number' : 'stash.out-of-range',
                    what: Message::of('stash.number.'.$member),
                    said: is_nan($said) ? $text($member) : trim($text($member).' '.$unit),
                    least: Amount::number($least),
                    most: Amount::number($most),
                );
            }
        }
        if ($faults !== [] || $preparation === null) {
            return null;
        }

        return new self(
            name: $name,
            colour: $hex === '' ? null : Srgb::hex($hex),
            material: $material,
            preparation: $preparation,
            gramsLeft: $numbers['gramsLeft'] ?? 0.0,
            micron: $numbers['micron'] ?? null,
            gPerM: $numbers['gPerM'] ?? null,
            pack: new Pack($numbers['price'] ?? null, $numbers['packG'] ?? null, mb_substr($text('maker'), 0, 200)),
        );
    }

    /** Names are the same whatever their capitals. */
    public function key(): string
    {
        return mb_strtolower($this->name);
    }

    /** A number as such, or as typed: "3.5", "3,5"; null for nothing, not a number for anything else. */
    private static function number(mixed $value): ?float
    {
        if ($value === null || (is_string($value) && trim($value) === '')) {
            return null;
        }
        if (is_int($value) || is_float($value)) {
            return is_finite((float) $value) ? (float) $value : NAN;
        }

        return is_string($value) && preg_match('/^[+-]?\d{1,9}([.,]\d{1,6})?$/', trim($value)) === 1
            ? (float) str_replace(',', '.', trim($value))
            : NAN;
    }

    /** What a wool made ready so is, where nothing else is said. */
    public static function usualMaterial(?Preparation $preparation): string
    {
        return match ($preparation) {
            Preparation::CoreBatting => 'core-wool',
            Preparation::Stuffing => 'stuffing',
            default => 'wool',
        };
    }
}
