<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Material\Pace;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;

/** How long a step takes, and how that came about. Immutable. */
final readonly class StepTime
{
    public float $minutes;

    /**
     * @param  Traced  $how  minutes of hands
     * @param  float  $waitMinutes  drying, during which other steps go on
     */
    private function __construct(public Traced $how, public float $waitMinutes)
    {
        $this->minutes = $how->is;
    }

    public static function of(Traced $minutes, float $waitMinutes = 0.0): self
    {
        return new self($minutes, $waitMinutes);
    }

    /** So many pieces, each of which takes so long. */
    public static function each(int $pieces, Traced $minutes, float $waitMinutes = 0.0): self
    {
        $times = Traced::product('pieces-minutes', Measure::Time, Traced::plain('pieces', $pieces, Source::Figure), $minutes);

        return new self($pieces === 1 ? $minutes : $times, $waitMinutes);
    }

    /** What takes the same each time, for so many pieces (house choices, Pace). */
    public static function usual(int $pieces, float $minutes, float $waitMinutes = 0.0): self
    {
        return self::each($pieces, Traced::given('usual-minutes', $minutes, Measure::Time, Source::House), $waitMinutes);
    }

    /** The same, with as many minutes as this hand takes for its kind. */
    public function paced(Pace $pace, string $kind): self
    {
        if ($pace->records() === 0) {
            return $this;
        }
        $own = Traced::given('own-pace', $pace->factor($kind), Measure::Number, Source::Own, count: $pace->records());

        return new self(Traced::product('own-minutes', Measure::Time, $this->how, $own), $this->waitMinutes);
    }
}
