<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Figure\Part;
use Impa\Shape\Size;
use Impa\Shape\Solid;

/** What one piece of a part takes: its cover and core, in volume and grams. Immutable. */
final readonly class PartWool
{
    /** Wool lost on the pad and trimmed off, as a share (design.md, section 4). */
    public const COVER_WASTE = 0.08;

    public const CORE_WASTE = 0.03;

    /** How many times its felted volume a part fills before felting (common practice: 2 to 3). */
    public const LOOSE = 2.5;

    /** @param  ?Solid  $inside  what fills it: none where it is solid colour */
    private function __construct(
        private Part $part,
        private ?Solid $inside,
        public float $volumeCm3,
        public float $insideCm3,
    ) {
    }

    public static function of(Part $part): self
    {
        $inside = self::inside($part);

        return new self($part, $inside, $part->solid->volumeCm3(), $inside?->volumeCm3() ?? 0.0);
    }

    /** The same part with another inside. */
    public function filledWith(CoreMaterial $core): self
    {
        $part = $this->part->filledWith($core);
        // Whatever is wrapped or stuffed fills the same room.
        $same = $this->insideCm3 > 0.0 && ! in_array(CoreMaterial::Foam, [$core, $this->part->core], true) && $core !== CoreMaterial::None;

        return $same ? new self($part, $this->inside, $this->volumeCm3, $this->insideCm3) : self::of($part);
    }

    private static function inside(Part $part): ?Solid
    {
        return match (true) {
            $part->core === CoreMaterial::None || $part->solid->thinnestMm() <= 2 * $part->coverMm => null,
            // Foam comes in its own sizes: what it leaves free is cover.
            $part->core === CoreMaterial::Foam => Foam::inside($part->solid, $part->coverMm)?->solid,
            default => $part->solid->shrunk(2 * $part->coverMm),
        };
    }

    /** The surface that is covered; reckoned when asked for, for it is the dearest of its sums. */
    public function areaCm2(): float
    {
        return $this->part->solid->areaCm2();
    }

    /** What is inside: none where the part is too thin for a core, or wanted solid. */
    public function coreMaterial(): CoreMaterial
    {
        return $this->insideCm3 > 0.0 ? $this->part->core : CoreMaterial::None;
    }

    /** Grams to weigh out for the core, waste included. */
    public function coreG(): float
    {
        return $this->insideCm3 * $this->coreDensity() * (1 + self::CORE_WASTE);
    }

    /** Grams to weigh out of the colour, waste included. */
    public function coverG(): float
    {
        return $this->coverCm3() * $this->part->firmness->gPerCm3() * (1 + self::COVER_WASTE);
    }

    /** Grams of the finished piece: what was wasted is gone. */
    public function finishedG(): float
    {
        return $this->insideCm3 * $this->coreDensity() + $this->coverCm3() * $this->part->firmness->gPerCm3();
    }

    /**
     * The middle of the finished piece's mass in its own frame, core and cover weighed apart.
     *
     * @return array{float, float, float} mm
     */
    public function middleOfMass(): array
    {
        $whole = $this->part->solid->middleOfMass();
        if ($this->inside === null) {
            return $whole;
        }
        // A foam piece sits about where the part's own middle is.
        $inside = $this->part->core === CoreMaterial::Foam ? $whole : $this->inside->middleOfMass();
        $cover = $this->part->firmness->gPerCm3();
        $lighter = ($this->coreDensity() - $cover) * $this->insideCm3;
        $massG = $this->finishedG();
        $weighed = fn (int $i): float => ($cover * $this->volumeCm3 * $whole[$i] + $lighter * $inside[$i]) / $massG;

        return [$weighed(0), $weighed(1), $weighed(2)];
    }

    /** The size of the loose clump before felting. */
    public function loose(): Size
    {
        return $this->part->solid->size()->scaled(self::LOOSE ** (1 / 3));
    }

    /** Never below 0: under no cover at all the two volumes may differ in the last digit. */
    private function coverCm3(): float
    {
        return max(0.0, $this->volumeCm3 - $this->insideCm3);
    }

    private function coreDensity(): float
    {
        return $this->part->core->gPerCm3($this->part->firmness);
    }
}
