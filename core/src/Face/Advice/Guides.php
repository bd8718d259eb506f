<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

use Impa\Voice\Message;

/**
 * Where eyes, nose and mouth usually sit, by what the character is to be: ranges down the head as seen, each with its
 * reason (docs/trade.md, Faces; the numbers are house choices).
 */
enum Guides: string
{
    case Cute = 'cute';
    case Baby = 'baby';
    case GrownUp = 'grown-up';
    case Gruff = 'gruff';

    public function why(): Message
    {
        return match ($this) {
            self::Cute => Message::of('face.guides.eyes-and-nose'),
            self::Baby => Message::of('face.guides.everything-lower-still-large'),
            self::GrownUp => Message::of('face.guides.eyes-at-half'),
            self::Gruff => Message::of('face.guides.eyes-high'),
        };
    }

    /** @return array<string, array{float, float}> shares of the head's height below the crown, from and to */
    private function ranges(): array
    {
        return match ($this) {
            self::Cute => ['eyes' => [0.54, 0.64], 'nose' => [0.6, 0.7], 'mouth' => [0.68, 0.78]],
            self::Baby => ['eyes' => [0.6, 0.7], 'nose' => [0.67, 0.75], 'mouth' => [0.74, 0.83]],
            self::GrownUp => ['eyes' => [0.46, 0.54], 'nose' => [0.62, 0.72], 'mouth' => [0.74, 0.82]],
            self::Gruff => ['eyes' => [0.38, 0.46], 'nose' => [0.52, 0.64], 'mouth' => [0.68, 0.8]],
        };
    }

    public function whyApart(): Message
    {
        return match ($this) {
            self::Cute => Message::of('face.guides.eyes-close'),
            self::Baby => Message::of('face.guides.eyes-wide-apart'),
            self::GrownUp => Message::of('face.guides.one-eyes-width-between'),
            self::Gruff => Message::of('face.guides.eyes-close-together-under'),
        };
    }

    /** @return array{float, float} how far the eyes' middles sit from the middle line, as shares of the half width there */
    private function apart(): array
    {
        return match ($this) {
            self::Cute => [0.28, 0.42],
            self::Baby => [0.4, 0.54],
            self::GrownUp => [0.36, 0.46],
            self::Gruff => [0.22, 0.34],
        };
    }

    /**
     * As levels on a head, mm from its middle, y up, and for the eyes how far out.
     *
     * @param  callable(float): float  $halfMm  half the width of the head at y
     * @return list<array{
     *     key: string, why: Message, whyApart: Message, bands: list<array{name: string, highMm: float, lowMm: float}>,
     *     eyes: array{fromMm: float, toMm: float},
     * }>
     */
    public static function on(float $crownMm, float $footMm, callable $halfMm): array
    {
        return array_map(
            static fn (self $guide): array => [
                'key' => $guide->value,
                'why' => $guide->why(),
                'whyApart' => $guide->whyApart(),
                'eyes' => array_combine(
                    ['fromMm', 'toMm'],
                    array_map(
                        static fn (float $share): float => $share *
                            $halfMm($crownMm - (array_sum($guide->ranges()['eyes']) / 2) * ($crownMm - $footMm)),
                        $guide->apart(),
                    ),
                ),
                'bands' => array_map(
                    static fn (string $name, array $range): array => [
                        'name' => $name,
                        'highMm' => $crownMm - $range[0] * ($crownMm - $footMm),
                        'lowMm' => $crownMm - $range[1] * ($crownMm - $footMm),
                    ],
                    array_keys($guide->ranges()),
                    array_values($guide->ranges()),
                ),
            ],
            self::cases(),
        );
    }
}
