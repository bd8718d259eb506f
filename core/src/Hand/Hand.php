<?php

declare(strict_types=1);

namespace Impa\Hand;

use Impa\Material\Densities;
use Impa\Material\HandModel;
use Impa\Material\Pace;

/** A felter's own hand, as far as her records tell: how dense she felts, what she loses, how long she takes. Immutable. */
final readonly class Hand
{
    /** What lies farther from all the others than so many standard deviations is asked about before it is learned from. */
    public const DOUBTFUL = 3.5;

    /**
     * @param  list<Observation>  $observations  in the order in which they were made
     * @param  array<string, HandModel>  $models  by quantity
     * @param  array<string, Observation>  $learned  what they learned from, by quantity and name
     */
    private function __construct(public array $observations, private array $models, private array $learned)
    {
    }

    /** @param  list<Observation>  $observations */
    public static function of(array $observations): self
    {
        $models = $learned = [];
        foreach (Quantity::cases() as $quantity) {
            $models[$quantity->value] = $quantity->prior();
        }
        foreach ($observations as $o) {
            if (! $o->isAside) {
                $models[$o->quantity->value] = $models[$o->quantity->value]->after($o->group, $o->off());
                $learned[self::name($o)] = $o;
            }
        }

        return new self($observations, $models, $learned);
    }

    public function model(Quantity $quantity): HandModel
    {
        return $this->models[$quantity->value];
    }

    /** The house's densities as this hand makes them. */
    public function densities(): Densities
    {
        return Densities::house()->ofHand($this->model(Quantity::Density), $this->model(Quantity::Waste));
    }

    /** The house's pace as this hand keeps it. */
    public function pace(): Pace
    {
        return Pace::house()->ofHand($this->model(Quantity::Pace));
    }

    /**
     * How many standard deviations one lies from what all the others foretell (the predictive of a leave-one-out).
     */
    public function surprise(Observation $one): float
    {
        $rest = $this->model($one->quantity);
        $itself = $this->learned[self::name($one)] ?? null;
        $rest = $itself === null ? $rest : $rest->without($itself->group, $itself->off());

        return abs($one->off() - $rest->mean($one->group)) / $rest->sigma($one->group);
    }

    private static function name(Observation $o): string
    {
        return $o->quantity->value.' '.$o->id;
    }

    public function isDoubtful(Observation $one): bool
    {
        return $this->surprise($one) > self::DOUBTFUL;
    }
}
