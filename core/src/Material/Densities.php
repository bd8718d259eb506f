<?php

declare(strict_types=1);

namespace Impa\Material;

use Impa\Trace\By;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;
use Impa\Voice\Message;

/**
 * How heavy things come out, and how much of them is lost: every number that turns a volume, an area or a length into grams.
 * House priors (docs/trade.md, Densities) until the felter's own are known; whatever weighs asks here. Immutable.
 */
final readonly class Densities
{
    /** Density of wool fibre itself in g/cm3, the ceiling for any felt (Morton and Hearle). */
    public const FIBRE_G_PER_CM3 = 1.31;

    /** Of felt by firmness, g/cm3. */
    private const FELT = ['squishy' => 0.08, 'soft' => 0.11, 'springy' => 0.15, 'firm' => 0.18, 'hard' => 0.22];

    /** Of stuffing, as a share of the felt's; of foam, g/cm3. */
    private const STUFFING_SHARE = 0.6;

    private const FOAM = 0.025;

    /** Wool lost on the pad and trimmed off, as a share of the cover, and of the inside; of a hand that nothing is known of. */
    private const COVER_WASTE = 0.08;

    private const INSIDE_WASTE = 0.03;

    /** Of a sheet, on the area of what is cut from it, where no layout is known. */
    public const CUT_WASTE = 0.2;

    /** How many times its felted volume a part fills before felting (common practice: 2 to 3). */
    public const LOOSE = 2.5;

    /** What a detail takes: 1.5 mm thick at 0.2 g/cm3, and half as much again driven in. */
    private const WISP_MM = 1.5;

    private const WISP_G_PER_CM3 = 0.2;

    private const WISP_DRIVEN_IN = 1.5;

    public const WISP_MG_PER_MM2 = self::WISP_MM * self::WISP_G_PER_CM3 * self::WISP_DRIVEN_IN;

    /** A yarn for loops that was not weighed; a lay of tops or a ribbon, by mm of its width. */
    private const YARN_G_PER_M = 0.4;

    public const RIBBON_G_PER_M_PER_MM = 0.06;

    /** Pre-felt and felted sheet, g/cm3 (SAE J314: soft grades of pressed felt about 0.18; pre-felt is softer). */
    public const SHEET = 0.12;

    /** Iron-on film fibres between the layers of a stiff sheet. */
    public const FILM_G_PER_CM2 = 0.004;

    /**
     * @param  HandModel  $hand  how this hand's densities differ from the house's, by firmness
     * @param  array<string, float>  $yarns  g/m of a yarn that was weighed, by colour key
     * @param  int  $knowsWaste  of how many weighings what is lost was learned
     */
    private function __construct(
        public float $coverWaste,
        public float $insideWaste,
        public HandModel $hand,
        private array $yarns = [],
        private int $knowsWaste = 0,
    ) {
    }

    public static function house(): self
    {
        return new self(self::COVER_WASTE, self::INSIDE_WASTE, self::handPrior());
    }

    /** What is known of a hand's densities before anything was weighed: house spreads, which make 25 % together. */
    public static function handPrior(): HandModel
    {
        return HandModel::prior(handSigma: 0.23, groupSigma: 0.10, scatter: 0.10);
    }

    /** What a hand loses of wool, as the logarithm of what was weighed out by what came out, before anything was weighed. */
    public static function wastePrior(): HandModel
    {
        return HandModel::prior(handSigma: 0.03, groupSigma: 0.02, scatter: 0.03);
    }

    /**
     * The same, for a hand of which more is known.
     *
     * @param  HandModel  $waste  groups: "cover" and "inside"
     */
    public function ofHand(HandModel $hand, HandModel $waste): self
    {
        $learned = static fn (string $group, float $usual): float => max(0.0, (1 + $usual) * $waste->factor($group) - 1);

        return new self(
            $learned('cover', $this->coverWaste),
            $learned('inside', $this->insideWaste),
            $hand,
            $this->yarns,
            $waste->count,
        );
    }

    /**
     * The same, with yarns whose metres were weighed.
     *
     * @param  array<string, float>  $gPerM  by colour key; 0 or less where it was not weighed
     */
    public function withYarns(array $gPerM): self
    {
        return new self(
            $this->coverWaste,
            $this->insideWaste,
            $this->hand,
            array_filter($gPerM, static fn (float $g): bool => $g > 0.0),
            $this->knowsWaste,
        );
    }

    /** Density of felt so hard, g/cm3. */
    public function feltGPerCm3(Firmness $firmness): float
    {
        return $this->felt($firmness)->is;
    }

    /** The same, and how it comes about: the house's, by what this hand makes of it, and never more than the fibre's own. */
    public function felt(Firmness $firmness): Traced
    {
        $word = Message::of('material.firmness.'.$firmness->value);
        $felt = Traced::given('felt-density', self::FELT[$firmness->value], Measure::Density, Source::House, firmness: $word);
        if ($this->hand->count > 0) {
            $factor = $this->hand->factor($firmness->value);
            $own = Traced::given('own-density', $factor, Measure::Number, Source::Own, count: $this->hand->count);
            $felt = Traced::product('own-felt-density', Measure::Density, $felt, $own);
        }
        if ($felt->is <= self::FIBRE_G_PER_CM3) {
            return $felt;
        }
        $fibre = Traced::given('fibre-density', self::FIBRE_G_PER_CM3, Measure::Density, Source::Published);

        return Traced::by(By::Least, 'own-felt-density', Measure::Density, $fibre, $felt);
    }

    /** What is weighed out for what is in the end there, by a share that is lost. */
    public function withWaste(bool $isInside): Traced
    {
        $known = $this->knowsWaste;
        $waste = Traced::given(
            $isInside ? 'inside-waste' : 'cover-waste',
            $isInside ? $this->insideWaste : $this->coverWaste,
            Measure::Number,
            $known > 0 ? Source::Own : Source::House,
            count: $known,
        );

        return Traced::sum('with-waste', Traced::plain('one', 1.0, Source::Unit), $waste);
    }

    /** How wide a loose ball stands that so many grams make, mm: wool for springy felt, as it comes out of the bag. */
    public function looseBallMm(float $g): float
    {
        return 10 * (6 / M_PI * self::LOOSE * $g / $this->feltGPerCm3(Firmness::Springy)) ** (1 / 3);
    }

    /** Density of a piece all of one preparation felted so hard, g/cm3: stuffing is lighter, all wool alike (house priors). */
    public function preparedGPerCm3(Preparation $preparation, Firmness $firmness): float
    {
        return ($preparation === Preparation::Stuffing ? self::STUFFING_SHARE : 1.0) * $this->feltGPerCm3($firmness);
    }

    /** Density of an inside under a cover felted so hard, g/cm3. */
    public function insideGPerCm3(CoreMaterial $material, Firmness $firmness): float
    {
        return $this->inside($material, $firmness)->is;
    }

    /** The same, and how it comes about. */
    public function inside(CoreMaterial $material, Firmness $firmness): Traced
    {
        return match ($material) {
            CoreMaterial::CoreWool, CoreMaterial::Scrap, CoreMaterial::None => $this->felt($firmness),
            CoreMaterial::Stuffing => Traced::product(
                'stuffing-density',
                Measure::Density,
                Traced::plain('stuffing-share', self::STUFFING_SHARE, Source::House),
                $this->felt($firmness),
            ),
            CoreMaterial::Foam => Traced::given('foam-density', self::FOAM, Measure::Density, Source::House),
        };
    }

    /** Grams of a metre of the yarn that loops of this colour are made from. */
    public function yarn(string $colour): Traced
    {
        return Traced::given(
            'yarn-of-a-metre',
            $this->yarns[$colour] ?? self::YARN_G_PER_M,
            Measure::Mass,
            isset($this->yarns[$colour]) ? Source::Own : Source::House,
        );
    }

    /** Wool that runs along a rod or hangs as hair: so many mm of a ribbon so broad, g. */
    public static function ribbon(float $metres, float $wideMm): Traced
    {
        return Traced::product(
            'covering',
            Measure::Mass,
            self::metres($metres),
            Traced::quotient(
                'millimetres',
                Measure::Number,
                Traced::given('ribbon-width', $wideMm, Measure::Length, Source::Figure),
                Traced::given('one-millimetre', 1.0, Measure::Length, Source::Unit),
            ),
            Traced::given('ribbon-of-a-metre', self::RIBBON_G_PER_M_PER_MM, Measure::Mass, Source::House),
        );
    }

    public static function metres(float $metres): Traced
    {
        return Traced::quotient(
            'metres',
            Measure::Number,
            Traced::given('covering-length', 1000 * $metres, Measure::Length, Source::Shapes),
            Traced::given('one-metre', 1000.0, Measure::Length, Source::Unit),
        );
    }

    /** What a detail takes that covers so much, g. */
    public static function wisp(Traced $areaCm2): Traced
    {
        return Traced::product(
            'wisp',
            Measure::Mass,
            Traced::by(
                By::Layer,
                'wisp-volume',
                Measure::Volume,
                $areaCm2,
                Traced::given('wisp-thickness', self::WISP_MM, Measure::Length, Source::House),
            ),
            Traced::given('wisp-density', self::WISP_G_PER_CM3, Measure::Density, Source::House),
            Traced::plain('wisp-driven-in', self::WISP_DRIVEN_IN, Source::House),
        );
    }
}
