<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Figure\Part;
use Impa\Material\CoreMaterial;
use Impa\Material\Densities;
use Impa\Shape\Body;
use Impa\Shape\Size;

/** What one piece of a part takes: its inside, its felted cover and what is laid on, wound round or cut out. Immutable. */
final readonly class PartWool
{
    /**
     * @param  ?Body  $inside  what fills it: none where it is solid colour
     * @param  CoveringNeed  $covering  of one piece; nothing for plain felt
     */
    private function __construct(
        private Part $part,
        private Densities $densities,
        public ?Body $inside,
        public float $volumeCm3,
        public float $insideCm3,
        public CoveringNeed $covering,
    ) {
    }

    public static function of(Part $part, Densities $densities): self
    {
        $inside = self::inside($part);

        return new self(
            part: $part,
            densities: $densities,
            inside: $inside,
            volumeCm3: $part->solid->volumeCm3(),
            insideCm3: $inside?->volumeCm3() ?? 0.0,
            covering: Coverings::need($part, $densities),
        );
    }

    /** The same part with another inside. */
    public function filledWith(CoreMaterial $core): self
    {
        $part = $this->part->filledWith($core);
        // Whatever is wrapped or stuffed fills the same room.
        $same =
            $this->insideCm3 > 0.0 &&
            ! in_array(CoreMaterial::Foam, [$core, $this->part->core], true) &&
            $core !== CoreMaterial::None;
        $inside = $same ? $this->inside : self::inside($part);

        return new self(
            part: $part,
            densities: $this->densities,
            inside: $inside,
            volumeCm3: $this->volumeCm3,
            insideCm3: $inside?->volumeCm3() ?? 0.0,
            covering: $this->covering,
        );
    }

    private static function inside(Part $part): ?Body
    {
        return match (true) {
            $part->core === CoreMaterial::None || Coverings::isWhole($part) => null,
            // Foam comes in its own sizes: what it leaves free is cover.
            $part->core === CoreMaterial::Foam => Foam::inside($part->solid, $part->coverMm)?->solid,
            default => $part->solid->within($part->coverMm),
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
        return $this->insideCm3 * $this->coreDensity() * (1 + $this->densities->insideWaste);
    }

    /**
     * Grams to weigh out of the colour for the felted cover, or for all of a solid part, waste included; 0 where something
     * takes its place.
     */
    public function coverG(): float
    {
        return $this->feltedG() * (1 + $this->densities->coverWaste);
    }

    /** Grams to weigh out of the part's colour in all: its felted cover, and what is laid on, wound round or cut out. */
    public function colourG(): float
    {
        return $this->coverG() + $this->covering->g;
    }

    /** Grams of the finished piece: what was wasted is gone. */
    public function finishedG(): float
    {
        return $this->insideCm3 * $this->coreDensity() + $this->feltedG() + $this->covering->finishedG;
    }

    /**
     * The middle of the finished piece's mass in its own frame, core and cover weighed apart; what is laid on sits where the
     * whole's middle is.
     *
     * @return array{float, float, float} mm
     */
    public function middleOfMass(): array
    {
        $whole = $this->part->solid->middleOfMass();
        $massG = $this->finishedG();
        if ($this->inside === null || $massG <= 0.0) {
            return $whole;
        }
        // A foam piece sits about where the part's own middle is.
        $inside = $this->part->core === CoreMaterial::Foam ? $whole : $this->inside->middleOfMass();
        // The cover is the whole, felted so hard, without the inside.
        $cover = $this->replacesCover() ? 0.0 : $this->densities->feltGPerCm3($this->part->firmness);
        $onWhole = $cover * $this->volumeCm3 + $this->covering->finishedG;
        $onInside = ($this->coreDensity() - $cover) * $this->insideCm3;
        $weighed = static fn (int $i): float => ($onWhole * $whole[$i] + $onInside * $inside[$i]) / $massG;

        return [$weighed(0), $weighed(1), $weighed(2)];
    }

    /** The size of the loose clump before felting. */
    public function loose(): Size
    {
        return $this->part->solid->size()->scaled($this->densities->loose ** (1 / 3));
    }

    /** Grams of the felted cover once it is done. Never below 0: under no cover at all the two volumes may differ in the last digit. */
    private function feltedG(): float
    {
        $cm3 = $this->replacesCover() ? 0.0 : max(0.0, $this->volumeCm3 - $this->insideCm3);

        return $cm3 * $this->densities->feltGPerCm3($this->part->firmness);
    }

    private function replacesCover(): bool
    {
        return $this->part->covering->way->replacesCover();
    }

    private function coreDensity(): float
    {
        return $this->densities->insideGPerCm3($this->part->core, $this->part->firmness);
    }
}
