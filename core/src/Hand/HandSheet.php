<?php

declare(strict_types=1);

namespace Impa\Hand;

use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Material\HandModel;
use Impa\Material\Preparation;
use Impa\Voice\Amount;
use Impa\Voice\Message;

/** The impa-hand document, version 1; formats/impa-hand-1.schema.json. */
final class HandSheet
{
    /** A curve has so many points, this many standard deviations of the prior to either side. */
    private const POINTS = 60;

    private const WIDE = 3.0;

    /** For the effect of the hand in everything; no firmness and no kind of step is called so. */
    public const ALL = 'hand';

    /** @return array<string, mixed> */
    public static function of(Hand $hand, Preparation $preparation, Firmness $firmness, float $cm3): array
    {
        $model = $hand->model(Quantity::Density);
        $g = $cm3 * $hand->densities()->preparedGPerCm3($preparation, $firmness);
        $high = exp(HandModel::Z80 * $model->sigma($firmness->value));

        return [
            'format' => 'impa-hand',
            'version' => 1,
            'records' => self::count($hand, Quantity::Density, null),
            'effects' => self::effects($hand),
            'spread' => array_map(static fn (Quantity $q): array => self::spread($hand, $q), Quantity::cases()),
            'next' => [
                'preparation' => $preparation->value,
                'firmness' => $firmness->value,
                'cm3' => $cm3,
                'g' => $g,
                'lowG' => $g / $high,
                'highG' => $g * $high,
            ],
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function effects(Hand $hand): array
    {
        $effects = [];
        foreach (Quantity::cases() as $quantity) {
            $model = $hand->model($quantity);
            foreach (self::groups($hand, $quantity) as $group) {
                // Of two groups of which nothing is known, only the hand's own effect is shared.
                $variance = $group === self::ALL ? $model->covariance('', '-') : $model->covariance($group, $group);
                $factor = $model->factor($group);
                $wide = exp(HandModel::Z80 * sqrt($variance));
                $effects[] = [
                    'quantity' => $quantity->value,
                    'group' => $group,
                    'factor' => $factor,
                    'lowFactor' => $factor / $wide,
                    'highFactor' => $factor * $wide,
                    'records' => self::count($hand, $quantity, $group === self::ALL ? null : $group),
                ];
            }
        }

        return $effects;
    }

    /** @return list<string> */
    private static function groups(Hand $hand, Quantity $quantity): array
    {
        $seen = [];
        foreach ($hand->observations as $o) {
            if ($o->quantity === $quantity) {
                $seen[$o->group] = true;
            }
        }
        $always = $quantity === Quantity::Density ? array_column(Firmness::cases(), 'value') : [];

        return array_values(array_unique([self::ALL, ...$always, ...array_map('strval', array_keys($seen))]));
    }

    private static function count(Hand $hand, Quantity $quantity, ?string $group): int
    {
        return count(array_filter(
            $hand->observations,
            static fn (Observation $o): bool => ! $o->isAside && $o->quantity === $quantity && in_array($group, [null, $o->group], true),
        ));
    }

    /** @return array<string, mixed> of the next piece, before and now */
    private static function spread(Hand $hand, Quantity $quantity): array
    {
        $model = $hand->model($quantity);
        $group = self::usual($hand, $quantity);

        return [
            'quantity' => $quantity->value,
            'group' => $group,
            'scatter' => $model->scatter,
            'prior' => $quantity->prior()->sigma($group),
            'now' => $model->sigma($group),
        ];
    }

    /** The group of which there are most records. */
    private static function usual(Hand $hand, Quantity $quantity): string
    {
        $usual = match ($quantity) {
            Quantity::Density => Firmness::Springy->value,
            Quantity::Waste => 'cover',
            Quantity::Pace => 'felt',
        };
        foreach (self::groups($hand, $quantity) as $group) {
            if ($group !== self::ALL && self::count($hand, $quantity, $group) > self::count($hand, $quantity, $usual)) {
                $usual = $group;
            }
        }

        return $usual;
    }

    /**
     * What the station My hand draws: every record, each quantity's two curves, and how its spread shrank.
     *
     * @return array<string, mixed>
     */
    public static function station(Hand $hand): array
    {
        return [
            'sheet' => self::of($hand, Preparation::CardedBatting, Firmness::Springy, 10.0),
            'observations' => array_map(static fn (Observation $o): array => [
                'id' => $o->id,
                'quantity' => $o->quantity->value,
                'group' => $o->group,
                'what' => $o->what,
                'expected' => $o->expected,
                'found' => $o->found,
                'factor' => $o->found / $o->expected,
                'aside' => $o->isAside,
                'doubtful' => $hand->isDoubtful($o),
            ], $hand->observations),
            'quantities' => array_map(static fn (Quantity $q): array => self::quantity($hand, $q), Quantity::cases()),
            'figures' => EstimateComparison::of($hand),
        ];
    }

    /** @return list<Message> what is known of a hand, of each thing of which anything is */
    public static function sentences(Hand $hand): array
    {
        $sentences = [];
        foreach (Quantity::cases() as $quantity) {
            $records = self::count($hand, $quantity, null);
            if ($records > 0) {
                $sentences[] = self::text($quantity, self::usual($hand, $quantity), $hand->model($quantity), $records);
            }
        }

        return $sentences;
    }

    /** @return array<string, mixed> */
    private static function quantity(Hand $hand, Quantity $quantity): array
    {
        $group = self::usual($hand, $quantity);
        [$before, $now] = [$quantity->prior(), $hand->model($quantity)];
        $curve = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $y = self::WIDE * $before->sigma($group) * (2 * $i / self::POINTS - 1);
            $curve[] = [exp($y), self::normal($y, 0.0, $before->sigma($group)), self::normal($y, $now->mean($group), $now->sigma($group))];
        }
        $shrank = [$before->sigma($group)];
        $model = $before;
        foreach ($hand->observations as $o) {
            if ($o->quantity === $quantity && ! $o->isAside) {
                $model = $model->after($o->group, $o->off());
                $shrank[] = $model->sigma($group);
            }
        }

        return [
            'quantity' => $quantity->value,
            'group' => $group,
            'usual' => $quantity === Quantity::Density ? Densities::house()->feltGPerCm3(Firmness::from($group)) : null,
            'text' => self::text($quantity, $group, $now, self::count($hand, $quantity, null)),
            'curve' => $curve,
            'shrank' => $shrank,
        ];
    }

    /** What the curves say, in a sentence. */
    private static function text(Quantity $quantity, string $group, HandModel $now, int $records): Message
    {
        if ($records === 0) {
            return Message::of("hand.curve.{$quantity->value}.none");
        }
        $share = $now->factor($group) - 1;
        $wide = 100 * (exp(HandModel::Z80 * $now->sigma($group)) - 1);
        $is = abs($share) < 0.02 ? 'alike' : ($share > 0 ? 'more' : 'less');

        return Message::of(
            "hand.curve.{$quantity->value}.$is",
            group: Firmness::tryFrom($group) === null ? $group : Message::of('material.firmness.'.$group),
            by: Amount::share(abs($share)),
            within: Amount::share($wide / 100),
            count: $records,
        );
    }

    private static function normal(float $y, float $mean, float $sigma): float
    {
        return exp(-(($y - $mean) ** 2) / (2 * $sigma ** 2)) / ($sigma * sqrt(2 * M_PI));
    }
}
