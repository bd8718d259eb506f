<?php

declare(strict_types=1);

namespace Impa\Stash\Supply;

use Impa\Trace\By;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;
use Impa\Voice\Message;

/** How much more than likely to have at hand, by how bad running out would be. */
enum Reserve: string
{
    case Again = 'again';
    case Usual = 'usual';
    case Never = 'never';

    /** How often what is set aside is enough. */
    public function enough(): float
    {
        return match ($this) {
            self::Again => 0.7,
            self::Usual => 0.9,
            self::Never => 0.98,
        };
    }

    /** What it is for. */
    public function title(): Message
    {
        return match ($this) {
            self::Again => Message::of('stash.reserve.can-be-bought-again'),
            self::Usual => Message::of('stash.reserve.usual'),
            self::Never => Message::of('stash.reserve.never-again-in-this'),
        };
    }

    /** How often that is enough, in words. */
    public function odds(): Message
    {
        return match ($this) {
            self::Again => Message::of('stash.reserve.enough-7-times'),
            self::Usual => Message::of('stash.reserve.enough-9-times'),
            self::Never => Message::of('stash.reserve.enough-49-times'),
        };
    }

    /** The standard normal's point for that (statistical tables: 0.5244, 1.2816, 2.0537). */
    private function z(): float
    {
        return match ($this) {
            self::Again => 0.5244,
            self::Usual => 1.2816,
            self::Never => 2.0537,
        };
    }

    public function g(float $likelyG, float $sigma): float
    {
        return $this->of(Traced::given('likely', $likelyG, Measure::Mass, Source::Shapes), $sigma, 0)->is;
    }

    /**
     * So much to have at hand, and how it comes about.
     *
     * @param  int  $records  of how many weighings the spread was learned
     */
    public function of(Traced $likely, float $sigma, int $records): Traced
    {
        return Traced::product('reserve', Measure::Mass, $likely, Traced::by(
            By::Exponential,
            'reserve-factor',
            Measure::Number,
            Traced::product(
                'reserve-steps',
                Measure::Number,
                Traced::given('reserve-odds', $this->z(), Measure::Number, Source::Published, odds: $this->odds()),
                Traced::given('spread', $sigma, Measure::Number, $records > 0 ? Source::Own : Source::House, count: $records),
            ),
        ));
    }
}
