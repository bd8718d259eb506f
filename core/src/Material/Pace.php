<?php

declare(strict_types=1);

namespace Impa\Material;

use Impa\Trace\By;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;
use Impa\Voice\Message;

/**
 * How long hands need, in minutes: house priors (docs/trade.md, Minutes) until the felter's own log is known. Immutable.
 */
final class Pace
{
    /** A hand's minutes from another's, one sigma of their logarithm (house prior). */
    public const HAND_SIGMA = 0.35;

    /** A rest after so much work, and how long (HSE INDG36: short and often). */
    public const REST_AFTER = 30.0;

    public const REST = 5.0;

    /** A felted piece, however small, takes so long (docs/trade.md, Minutes: a small ball 5 to 10). */
    private const LEAST = 5.0;

    /** From this weight a holder of three needles is used for the bulk; with care from so little on. */
    private const HOLDER_FROM_G = 1.5;

    private const HOLDER_WITH_CARE_FROM_G = 0.4;

    /** Three needles stand about 6 mm apart: on less than twice that some stab past the piece (common practice), mm. */
    private const HOLDER_BROAD_MM = 12.0;

    /** A template is pinned on; so much of its rim is cut in a minute, mm (house choices). */
    private const PIN_ON = 1.0;

    private const RIM_MM = 120.0;

    /** Of the first gram, springy, with one needle; the rest goes with a power of the grams. */
    private const BULK = 2.0;

    private const POWER = 0.85;

    /** How many times as fast three needles are: the bulk in a third of the time (common practice; docs/trade.md, Minutes). */
    private const HOLDER = 3.0;

    /** How much longer the bulk takes than for a springy part, by firmness. */
    private const EFFORT = ['squishy' => 0.6, 'soft' => 0.8, 'springy' => 1.0, 'firm' => 1.3, 'hard' => 1.7];

    /** Smoothing, and where a face goes. */
    private const SURFACE_PER_CM2 = 0.15;

    private const FACE_PER_CM2 = 0.4;

    /** One loop, tuft, lock, curl or lay, by the way of covering; of a ribbon or strand one metre. */
    private const EACH = ['loops' => 0.1, 'tufts' => 0.12, 'locks' => 0.4, 'curls' => 0.5, 'hair' => 0.6, 'wrap' => 4.0, 'plait' => 6.0];

    /** A piece cut from a sheet. */
    private const CUT = 10.0;

    /** Two wools teased together by hand until no streak is left (house choice). */
    public const MIX = 4.0;

    /** Steps that take the same each time (house choices). */
    public const PORTION = 3.0;

    public const WIRE = 3.0;

    public const THREAD = 3.0;

    public const WEIGHT = 2.0;

    public const FLATTEN = 4.0;

    public const COMPARE = 1.0;

    public const MARK = 2.0;

    public const SLIT = 1.0;

    public const LOOP = 3.0;

    public const JOIN = 4.0;

    public const HIDE = 2.0;

    public const PRESS = 3.0;

    public const STEAM = 2.0;

    /** Ten stitches a minute (house choice). */
    public const STITCH = 0.1;

    /** An opening, a tie; then what is laid on: a spot, a line, a spark, what is sewn or glued on, and its drying. */
    public const OPEN = 3.0;

    public const RIBBON = 3.0;

    public const SPOT = 4.0;

    public const LINE = 5.0;

    public const SPARK = 2.0;

    public const FIXED = 3.0;

    public const DRYING = 20.0;

    public const FOAM = 1.0;

    public const TRIM = 3.0;

    public const INSPECT = 5.0;

    /** About two stabs a second, less where the eye is on a mark (common practice). */
    private const STABS = 100.0;

    private const STABS_SIGMA = 0.3;

    private function __construct(public readonly HandModel $hand, private float $holderFromG)
    {
    }

    public static function house(): self
    {
        return new self(self::handPrior(), self::HOLDER_FROM_G);
    }

    /**
     * The bulk of one piece: less than twice as long for twice the wool.
     *
     * @param  int  $needles  in the holder
     */
    public function bulk(float $g, Firmness $firmness, int $needles): Traced
    {
        $of = [
            Traced::given('bulk-of-a-gram', self::BULK, Measure::Time, Source::House),
            Traced::by(
                By::Power,
                'bulk-by-weight',
                Measure::Number,
                Traced::quotient(
                    'grams',
                    Measure::Number,
                    Traced::given('weight', $g, Measure::Mass, Source::Shapes),
                    Traced::given('first-gram', 1.0, Measure::Mass, Source::Unit),
                ),
                Traced::plain('bulk-power', self::POWER, Source::House),
            ),
            Traced::given(
                'effort',
                self::EFFORT[$firmness->value],
                Measure::Number,
                Source::House,
                firmness: Message::of('material.firmness.'.$firmness->value),
            ),
        ];
        $bulk = Traced::product($needles > 1 ? 'bulk-one-needle' : 'bulk', Measure::Time, ...$of);

        return $needles > 1
            ? Traced::quotient('bulk', Measure::Time, $bulk, Traced::plain('holder-speed', self::HOLDER, Source::Common))
            : $bulk;
    }

    /**
     * What is left of felting a piece when its core is done: never less in all than the smallest takes.
     *
     * @param  Traced  $bulk  minutes
     * @param  Traced  $surface  minutes
     * @param  ?Traced  $core  minutes that its core took; nothing where it has none
     */
    public function felting(Traced $bulk, Traced $surface, ?Traced $core): Traced
    {
        $cover = Traced::sum('felting', $bulk, $surface);
        if (($core->is ?? 0.0) + $cover->is >= self::LEAST) {
            return $cover;
        }
        $least = Traced::given('least-minutes', self::LEAST, Measure::Time, Source::Common);

        return $core === null ? $least : Traced::difference('felting', $least, $core->called('core-minutes'));
    }

    public static function foam(): Traced
    {
        return Traced::given('usual-minutes', self::FOAM, Measure::Time, Source::House);
    }

    /** @param  bool  $bearsFace  whether a face goes on its front half, which must be smoother */
    public function surface(float $areaCm2, bool $bearsFace): Traced
    {
        return self::times(
            'surface',
            Traced::quotient(
                'square-centimetres',
                Measure::Number,
                Traced::given('surface-area', $areaCm2, Measure::Area, Source::Shapes),
                Traced::given('one-square-centimetre', 1.0, Measure::Area, Source::Unit),
            ),
            $bearsFace ? 'smoothing-a-face' : 'smoothing',
            $bearsFace ? (self::SURFACE_PER_CM2 + self::FACE_PER_CM2) / 2 : self::SURFACE_PER_CM2,
        );
    }

    /**
     * What is laid on, wound round or cut out, for one piece.
     *
     * @param  int  $count  of loops, tufts, locks or lays
     * @param  float  $metres  of ribbon or strands
     */
    public function covering(CoveringWay $way, int $count, float $metres): Traced
    {
        return match ($way) {
            CoveringWay::Felt => Traced::given('usual-minutes', 0.0, Measure::Time, Source::House),
            CoveringWay::Film, CoveringWay::PreFelt => Traced::given('usual-minutes', self::CUT, Measure::Time, Source::House),
            CoveringWay::Wrap, CoveringWay::Plait => self::times(
                'covering-minutes',
                Densities::metres($metres),
                'minutes-a-metre',
                self::EACH[$way->value],
            ),
            default => self::times(
                'covering-minutes',
                Traced::plain('covering-count', $count, Source::Shapes),
                'minutes-each',
                self::EACH[$way->value],
            ),
        };
    }

    /** What is cut out by a template with so long a rim. */
    public function cutOut(float $rimMm): Traced
    {
        return Traced::sum(
            'cutting-out',
            Traced::given('pinning-on', self::PIN_ON, Measure::Time, Source::House),
            Traced::product(
                'cutting',
                Measure::Time,
                Traced::quotient(
                    'rims',
                    Measure::Number,
                    Traced::given('rim', $rimMm, Measure::Length, Source::Shapes),
                    Traced::given('rim-of-a-minute', self::RIM_MM, Measure::Length, Source::House),
                ),
                Traced::given('one-minute', 1.0, Measure::Time, Source::Unit),
            ),
        );
    }

    private static function times(string $code, Traced $times, string $of, float $minutes): Traced
    {
        return Traced::product($code, Measure::Time, $times, Traced::given($of, $minutes, Measure::Time, Source::House));
    }

    /**
     * Stabs of the hand in so many minutes: a lognormal's 10th percentile, median and 90th.
     *
     * @return array{float, float, float}
     */
    public function stabs(float $minutes): array
    {
        return self::around(self::STABS * $minutes, self::STABS_SIGMA);
    }

    /** What is known of a hand's speed before anything was timed: house spreads. */
    public static function handPrior(): HandModel
    {
        return HandModel::prior(handSigma: self::HAND_SIGMA, groupSigma: 0.15, scatter: 0.25);
    }

    /** The same, for a hand of which more is known; groups are kinds of step. */
    public function ofHand(HandModel $hand): self
    {
        return new self($hand, $this->holderFromG);
    }

    /** Of how many timed steps it was learned; 0: it is the house's. */
    public function records(): int
    {
        return $this->hand->count;
    }

    /** By what this hand multiplies the minutes of a kind of step. */
    public function factor(string $kind): float
    {
        return $this->hand->factor($kind);
    }

    /**
     * How long these steps take together: 10th percentile, median and 90th. A hand is slow or fast in all of them alike; what is left
     * differs from step to step, and partly cancels out.
     *
     * @param  list<array{string, float}>  $steps  kind and minutes of each
     * @return array{float, float, float}
     */
    public function spread(array $steps): array
    {
        return self::around(array_sum(array_column($steps, 1)), $this->hand->sigmaOfSum($steps));
    }

    /** @return array{float, float, float} */
    private static function around(float $median, float $sigma): array
    {
        $factor = exp(HandModel::Z80 * $sigma);

        return [$median / $factor, $median, $median * $factor];
    }

    /**
     * Needles in the holder for so many grams.
     *
     * @param  float  $broadMm  the narrower side of what lies under them
     */
    public function needles(float $g, float $broadMm): int
    {
        return $g >= $this->holderFromG && $broadMm >= self::HOLDER_BROAD_MM ? 3 : 1;
    }

    /** The same hand, with three needles in the holder wherever that can be. */
    public function withMoreNeedles(): self
    {
        $more = clone $this;
        $more->holderFromG = self::HOLDER_WITH_CARE_FROM_G;

        return $more;
    }
}
