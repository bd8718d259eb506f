<?php

declare(strict_types=1);

namespace Impa\Material;

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
    public const WISP_MG_PER_MM2 = 1.5 * 0.2 * 1.5;

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
     */
    private function __construct(
        public float $coverWaste,
        public float $insideWaste,
        public HandModel $hand,
        private array $yarns = [],
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
        );
    }

    /** Density of felt so hard, g/cm3. */
    public function feltGPerCm3(Firmness $firmness): float
    {
        return min(self::FIBRE_G_PER_CM3, self::FELT[$firmness->value] * $this->hand->factor($firmness->value));
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
        return match ($material) {
            CoreMaterial::CoreWool, CoreMaterial::Scrap, CoreMaterial::None => $this->feltGPerCm3($firmness),
            CoreMaterial::Stuffing => self::STUFFING_SHARE * $this->feltGPerCm3($firmness),
            CoreMaterial::Foam => self::FOAM,
        };
    }

    /** Grams of a metre of the yarn that loops of this colour are made from. */
    public function yarnGPerM(string $colour): float
    {
        return $this->yarns[$colour] ?? self::YARN_G_PER_M;
    }
}
