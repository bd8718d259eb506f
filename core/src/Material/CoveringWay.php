<?php

declare(strict_types=1);

namespace Impa\Material;

use Impa\Voice\Message;

/** What a part is covered with: plain felt, or something laid on, wound round or cut out. */
enum CoveringWay: string
{
    case Felt = 'felt';
    case Loops = 'loops';
    case Tufts = 'tufts';
    case Locks = 'locks';
    case Curls = 'curls';
    case Hair = 'hair';
    case Film = 'film';
    case PreFelt = 'pre-felt';
    case Wrap = 'wrap';
    case Plait = 'plait';

    /** Whether it takes the place of the felted cover, instead of lying on it. */
    public function replacesCover(): bool
    {
        return in_array($this, [self::Film, self::PreFelt, self::Wrap, self::Plait], true);
    }

    /** Whether it is so many pieces of so much wool each. */
    public function isSetInOneByOne(): bool
    {
        return in_array($this, [self::Tufts, self::Locks, self::Curls], true);
    }

    /** Whether it lies down on what it grows from, as hair does, instead of standing off. */
    public function liesDown(): bool
    {
        return in_array($this, [self::Hair, self::Locks, self::Curls], true);
    }

    /** How a piece of what is set in one by one is held; empty for what is not. */
    public function hold(): Message|string
    {
        return match ($this) {
            self::Tufts, self::Locks, self::Curls => Message::of('material.hold.'.$this->value),
            default => '',
        };
    }

    /**
     * Its numbers where nobody says others (house choices).
     *
     * @return array{float, float, float, float} length in mm, on a cm2, mg each, width of ribbon in mm
     */
    public function usual(): array
    {
        return match ($this) {
            self::Loops => [5.0, 16.0, 0.0, 0.0],
            self::Tufts => [12.0, 9.0, 12.0, 0.0],
            self::Locks => [40.0, 2.0, 60.0, 0.0],
            self::Curls => [30.0, 4.0, 25.0, 0.0],
            self::Hair => [60.0, 0.0, 0.0, 6.0],
            self::Wrap => [0.0, 0.0, 0.0, 8.0],
            self::Plait => [0.0, 0.0, 0.0, 4.0],
            self::Felt, self::Film, self::PreFelt => [0.0, 0.0, 0.0, 0.0],
        };
    }

    /** What it is made up of, in words: "240 loops", "three strands", "sheet". */
    public function words(int $count): Message
    {
        return Message::of('material.made-up.'.$this->value, count: $count);
    }

    /**
     * The numbers that it has, with words, unit and range (formats/impa-figure-2.schema.json).
     *
     * @return list<array{name: string, label: Message, unit: string, least: float, most: float}> unit mm is the felter's own
     */
    public function fields(): array
    {
        $field = static fn (string $name, Message $label, string $unit, float $least, float $most): array => [
            'name' => $name,
            'label' => $label,
            'unit' => $unit,
            'least' => $least,
            'most' => $most,
        ];
        $length = $field('lengthMm', Message::of('material.field.length'), 'mm', 0.3, 2000.0);
        $perCm2 = $field('perCm2', Message::of('material.field.per-cm2'), '', ...Covering::PER_CM2);
        $mgEach = $field('mgEach', Message::of('material.field.each-weighs'), 'mg', 0.1, 5000.0);
        $ribbon = $field('ribbonMm', Message::of('material.field.ribbon'), 'mm', 0.3, 2000.0);

        return match ($this) {
            self::Felt, self::Film, self::PreFelt => [],
            self::Loops => [$length, $perCm2],
            self::Tufts, self::Locks, self::Curls => [$length, $perCm2, $mgEach],
            self::Hair => [$length, $ribbon],
            self::Wrap => [$ribbon, $field('overlap', Message::of('material.field.overlap'), '', 0.0, 0.9)],
            self::Plait => [$ribbon],
        };
    }

    /** What it is called. */
    public function label(): Message
    {
        return Message::of('material.covering.'.$this->value);
    }
}
