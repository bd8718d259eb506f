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

    /**
     * @param  array<string, float>  $felt  g/cm3 by firmness
     * @param  float  $stuffingShare  of the felt's density
     * @param  float  $foam  g/cm3
     * @param  float  $coverWaste  wool lost on the pad and trimmed off, as a share; likewise of the inside
     * @param  float  $cutWaste  of a sheet, on the area of what is cut from it, where no layout is known
     * @param  float  $loose  how many times its felted volume a part fills before felting
     * @param  float  $wispMgPerMm2  what a detail takes: thickness on the surface, its density, and what is driven in
     * @param  float  $yarnGPerM  for loops; likewise a lay of tops or a ribbon per mm of its width
     * @param  float  $sheet  pre-felt and felted sheet, g/cm3
     * @param  float  $filmGPerCm2  iron-on film fibres between the layers of a stiff sheet
     * @param  HandModel  $hand  how this hand's densities differ from the house's, by firmness
     * @param  array<string, float>  $yarns  g/m of a yarn that was weighed, by colour key
     */
    private function __construct(
        private array $felt,
        private float $stuffingShare,
        private float $foam,
        public float $coverWaste,
        public float $insideWaste,
        public float $cutWaste,
        public float $loose,
        public float $wispMgPerMm2,
        private float $yarnGPerM,
        public float $ribbonGPerMPerMm,
        public float $sheet,
        public float $filmGPerCm2,
        public HandModel $hand,
        private array $yarns = [],
    ) {
    }

    public static function house(): self
    {
        return new self(
            felt: ['squishy' => 0.08, 'soft' => 0.11, 'springy' => 0.15, 'firm' => 0.18, 'hard' => 0.22],
            stuffingShare: 0.6,
            foam: 0.025,
            coverWaste: 0.08,
            insideWaste: 0.03,
            cutWaste: 0.2,
            // Common practice: 2 to 3.
            loose: 2.5,
            // 1.5 mm thick at 0.2 g/cm3, and half as much again driven in.
            wispMgPerMm2: 1.5 * 0.2 * 1.5,
            yarnGPerM: 0.4,
            ribbonGPerMPerMm: 0.06,
            // SAE J314: soft grades of pressed felt about 0.18; pre-felt is softer.
            sheet: 0.12,
            filmGPerCm2: 0.004,
            hand: self::handPrior(),
        );
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
            felt: $this->felt,
            stuffingShare: $this->stuffingShare,
            foam: $this->foam,
            coverWaste: $learned('cover', $this->coverWaste),
            insideWaste: $learned('inside', $this->insideWaste),
            cutWaste: $this->cutWaste,
            loose: $this->loose,
            wispMgPerMm2: $this->wispMgPerMm2,
            yarnGPerM: $this->yarnGPerM,
            ribbonGPerMPerMm: $this->ribbonGPerMPerMm,
            sheet: $this->sheet,
            filmGPerCm2: $this->filmGPerCm2,
            hand: $hand,
            yarns: $this->yarns,
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
            felt: $this->felt,
            stuffingShare: $this->stuffingShare,
            foam: $this->foam,
            coverWaste: $this->coverWaste,
            insideWaste: $this->insideWaste,
            cutWaste: $this->cutWaste,
            loose: $this->loose,
            wispMgPerMm2: $this->wispMgPerMm2,
            yarnGPerM: $this->yarnGPerM,
            ribbonGPerMPerMm: $this->ribbonGPerMPerMm,
            sheet: $this->sheet,
            filmGPerCm2: $this->filmGPerCm2,
            hand: $this->hand,
            yarns: array_filter($gPerM, static fn (float $g): bool => $g > 0.0),
        );
    }

    /** Density of felt so hard, g/cm3. */
    public function feltGPerCm3(Firmness $firmness): float
    {
        return min(self::FIBRE_G_PER_CM3, $this->felt[$firmness->value] * $this->hand->factor($firmness->value));
    }

    /** How wide a loose ball stands that so many grams make, mm: wool for springy felt, as it comes out of the bag. */
    public function looseBallMm(float $g): float
    {
        return 10 * (6 / M_PI * $this->loose * $g / $this->feltGPerCm3(Firmness::Springy)) ** (1 / 3);
    }

    /** Density of a piece all of one preparation felted so hard, g/cm3: stuffing is lighter, all wool alike (house priors). */
    public function preparedGPerCm3(Preparation $preparation, Firmness $firmness): float
    {
        return ($preparation === Preparation::Stuffing ? $this->stuffingShare : 1.0) * $this->feltGPerCm3($firmness);
    }

    /** Density of an inside under a cover felted so hard, g/cm3. */
    public function insideGPerCm3(CoreMaterial $material, Firmness $firmness): float
    {
        return match ($material) {
            CoreMaterial::CoreWool, CoreMaterial::Scrap, CoreMaterial::None => $this->feltGPerCm3($firmness),
            CoreMaterial::Stuffing => $this->stuffingShare * $this->feltGPerCm3($firmness),
            CoreMaterial::Foam => $this->foam,
        };
    }

    /** Grams of a metre of the yarn that loops of this colour are made from. */
    public function yarnGPerM(string $colour): float
    {
        return $this->yarns[$colour] ?? $this->yarnGPerM;
    }
}
