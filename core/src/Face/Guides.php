<?php

declare(strict_types=1);

namespace Impa\Face;

/** Where eyes, nose and mouth usually sit, by what the character is to be: ranges down the head as seen, each with its reason (trade.md, section 5; the numbers are house choices). */
enum Guides: string
{
    case Cute = 'cute';
    case Baby = 'baby';
    case GrownUp = 'grown-up';
    case Gruff = 'gruff';

    public function why(): string
    {
        return match ($this) {
            self::Cute => 'Eyes and nose in the lower half, close together: the high forehead looks young.',
            self::Baby => 'Everything lower still, large cheeks, a mouth close under the nose.',
            self::GrownUp => 'Eyes at half the head, the nose half-way from there to the chin.',
            self::Gruff => 'Eyes high and a heavy jaw: the lower half of the face rules.',
        };
    }

    /** @return array<string, array{float, float}> shares of the head's height below the crown, from and to */
    private function ranges(): array
    {
        return match ($this) {
            self::Cute => ['eyes' => [0.54, 0.64], 'nose' => [0.60, 0.70], 'mouth' => [0.68, 0.78]],
            self::Baby => ['eyes' => [0.60, 0.70], 'nose' => [0.67, 0.75], 'mouth' => [0.74, 0.83]],
            self::GrownUp => ['eyes' => [0.46, 0.54], 'nose' => [0.62, 0.72], 'mouth' => [0.74, 0.82]],
            self::Gruff => ['eyes' => [0.38, 0.46], 'nose' => [0.52, 0.64], 'mouth' => [0.68, 0.80]],
        };
    }

    /**
     * As levels on a head, mm from its middle, y up.
     *
     * @return list<array{key: string, why: string, bands: list<array{name: string, highMm: float, lowMm: float}>}>
     */
    public static function on(float $crownMm, float $footMm): array
    {
        return array_map(static fn (self $guide): array => [
            'key' => $guide->value,
            'why' => $guide->why(),
            'bands' => array_map(
                static fn (string $name, array $range): array => ['name' => $name, 'highMm' => $crownMm - $range[0] * ($crownMm - $footMm), 'lowMm' => $crownMm - $range[1] * ($crownMm - $footMm)],
                array_keys($guide->ranges()),
                array_values($guide->ranges()),
            ),
        ], self::cases());
    }
}
