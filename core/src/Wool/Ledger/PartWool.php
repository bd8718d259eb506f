<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Seat;
use Impa\Figure\Placing\Shared;
use Impa\Material\CoreMaterial;
use Impa\Material\Densities;
use Impa\Shape\Body;
use Impa\Shape\Size;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;

/**
 * What one piece of a part takes: its inside, its felted cover and what is laid on, wound round or cut out. What is felted onto another
 * part takes nothing for what would lie within that one. Immutable.
 */
final readonly class PartWool
{
    /** With so little of its inside left beside a hollow, it is solid colour. */
    private const NO_CORE = 0.05;

    /** Of what is made. */
    public float $volumeCm3;

    /** Grams to weigh out for the core, waste included; null where there is none. */
    public ?Traced $core;

    /** Grams to weigh out of the colour for the felted cover, waste included; null where something takes its place. */
    public ?Traced $cover;

    /** Grams of the felted cover once it is done. */
    private ?Traced $felted;

    /**
     * @param  ?Part  $host  what it is felted onto; none where it is made as it is drawn
     * @param  ?Body  $inside  what fills it, as it were without a hollow: none where it is solid colour
     * @param  float  $insideCm3  of what is made, what fills it
     * @param  Shared  $hollow  of its inside, what is not made
     * @param  CoveringNeed  $covering  of one piece; nothing for plain felt
     */
    private function __construct(
        private Part $part,
        private Densities $densities,
        private ?Part $host,
        public Seat $seat,
        public ?Body $inside,
        public float $insideCm3,
        private Shared $hollow,
        public CoveringNeed $covering,
    ) {
        $this->volumeCm3 = $part->solid->volumeCm3() * ($host === null ? 1.0 : 1 - $seat->shared->share);
        $this->core = $insideCm3 <= 0.0 ? null : Traced::product(
            'core',
            Measure::Mass,
            Traced::given('inside-volume', $insideCm3, Measure::Volume, Source::Shapes),
            $densities->inside($part->made->core, $part->made->firmness),
            $densities->withWaste(isInside: true),
        );
        $this->felted = $this->felted();
        $this->cover = $this->felted === null
            ? null
            : Traced::product('cover', Measure::Mass, $this->felted, $densities->withWaste(isInside: false));
    }

    /** @param  ?Part  $host  what it is joined to; none where it stands by itself */
    public static function of(Part $part, Densities $densities, ?Part $host = null): self
    {
        $seat = $host === null ? Seat::apart() : Seat::on($part, $host);
        $host = $seat->isOnto() ? $host : null;
        [$inside, $insideCm3, $hollow] = self::inside($part, $host);

        return new self(
            part: $part,
            densities: $densities,
            host: $host,
            seat: $seat,
            inside: $inside,
            insideCm3: $insideCm3,
            hollow: $hollow,
            covering: Coverings::need($part, $densities, $host),
        );
    }

    /** The same part with another inside. */
    public function filledWith(CoreMaterial $core): self
    {
        $part = $this->part->filledWith($core);
        // Whatever is wrapped or stuffed fills the same room.
        $same =
            $this->insideCm3 > 0.0 &&
            ! in_array(CoreMaterial::Foam, [$core, $this->part->made->core], true) &&
            $core !== CoreMaterial::None;
        [$inside, $insideCm3, $hollow] = $same ? [$this->inside, $this->insideCm3, $this->hollow] : self::inside($part, $this->host);

        return new self(
            part: $part,
            densities: $this->densities,
            host: $this->host,
            seat: $this->seat,
            inside: $inside,
            insideCm3: $insideCm3,
            hollow: $hollow,
            covering: $this->covering,
        );
    }

    /** @return array{?Body, float, Shared} what fills it, how much of that is made, and what of it is not */
    private static function inside(Part $part, ?Part $host): array
    {
        $inside = match (true) {
            $part->made->core === CoreMaterial::None || Coverings::isWhole($part) => null,
            // Foam comes in its own sizes: what it leaves free is cover. Nobody cuts it hollow.
            $part->made->core === CoreMaterial::Foam => $host !== null ? null : Foam::inside($part->solid, $part->made->coverMm)?->solid,
            default => $part->solid->within($part->made->coverMm),
        };
        $hollow = $inside === null || $host === null
            ? Shared::none()
            : Shared::of(Placement::of($part), $inside, $host->placements());
        $cm3 = ($inside?->volumeCm3() ?? 0.0) * (1 - $hollow->share);
        // What is left of it under the rim of a cap is no core.
        $isLeft = $hollow->share < 1 - self::NO_CORE;

        return $isLeft ? [$inside, $cm3, $hollow] : [null, 0.0, Shared::none()];
    }

    /** The surface that is covered; reckoned when asked for, for it is the dearest of its sums. */
    public function areaCm2(): float
    {
        return Coverings::areaCm2($this->part, $this->host);
    }

    /** How thick it is made where it is thinnest, or in the middle of a cap, in mm. */
    public function thickMm(): float
    {
        $thinnest = $this->part->solid->thinnestMm();

        return $this->seat->isOnto() ? min($thinnest, $this->seat->capMm) : $thinnest;
    }

    /** What is inside: none where the part is too thin for a core, or wanted solid. */
    public function coreMaterial(): CoreMaterial
    {
        return $this->insideCm3 > 0.0 ? $this->part->made->core : CoreMaterial::None;
    }

    /** Grams to weigh out for the core, waste included. */
    public function coreG(): float
    {
        return $this->core->is ?? 0.0;
    }

    /**
     * Grams to weigh out of the colour for the felted cover, or for all of a solid part, waste included; 0 where something
     * takes its place.
     */
    public function coverG(): float
    {
        return $this->cover->is ?? 0.0;
    }

    /** Grams to weigh out of the part's colour in all: its felted cover, and what is laid on, wound round or cut out. */
    public function colourG(): float
    {
        return $this->coverG() + $this->covering->g;
    }

    /** Grams of the finished piece: what was wasted is gone. */
    public function finishedG(): float
    {
        return $this->insideCm3 * $this->coreDensity() + ($this->felted->is ?? 0.0) + $this->covering->finishedG;
    }

    /**
     * The middle of the finished piece's mass in its own frame, core and cover weighed apart; what is laid on sits where the
     * whole's middle is.
     *
     * @return Vec3 mm
     */
    public function middleOfMass(): array
    {
        $whole = self::left($this->part->solid->middleOfMass(), $this->host === null ? Shared::none() : $this->seat->shared);
        $massG = $this->finishedG();
        if ($this->inside === null || $massG <= 0.0) {
            return $whole;
        }
        // A foam piece sits about where the part's own middle is.
        $inside = $this->part->made->core === CoreMaterial::Foam ? $whole : self::left($this->inside->middleOfMass(), $this->hollow);
        // The cover is the whole, felted so hard, without the inside.
        $cover = $this->replacesCover() ? 0.0 : $this->densities->feltGPerCm3($this->part->made->firmness);
        $onWhole = $cover * $this->volumeCm3 + $this->covering->finishedG;
        $onInside = ($this->coreDensity() - $cover) * $this->insideCm3;
        $weighed = static fn (int $i): float => ($onWhole * $whole[$i] + $onInside * $inside[$i]) / $massG;

        return [$weighed(0), $weighed(1), $weighed(2)];
    }

    /** The size of the loose clump before felting. */
    public function loose(): Size
    {
        $made = $this->volumeCm3 / $this->part->solid->volumeCm3();

        return $this->part->solid->size()->scaled((Densities::LOOSE * $made) ** (1 / 3));
    }

    /**
     * The middle of what is left when some of it is not made.
     *
     * @param  Vec3  $whole  mm
     * @return Vec3 mm
     */
    private static function left(array $whole, Shared $gone): array
    {
        $left = static fn (int $i): float => ($whole[$i] - $gone->share * $gone->middle[$i]) / (1 - $gone->share);

        return $gone->share <= 0.0 ? $whole : [$left(0), $left(1), $left(2)];
    }

    /** Under no cover at all the two volumes may differ in the last digit. */
    private function felted(): ?Traced
    {
        if ($this->replacesCover() || $this->volumeCm3 <= $this->insideCm3) {
            return null;
        }
        $room = Traced::given('part-volume', $this->volumeCm3, Measure::Volume, Source::Shapes);
        $inside = Traced::given('inside-volume', $this->insideCm3, Measure::Volume, Source::Shapes);

        return Traced::product(
            'felted',
            Measure::Mass,
            $this->insideCm3 <= 0.0 ? $room : Traced::difference('cover-volume', $room, $inside),
            $this->densities->felt($this->part->made->firmness),
        );
    }

    private function replacesCover(): bool
    {
        return $this->part->made->covering->way->replacesCover();
    }

    private function coreDensity(): float
    {
        return $this->densities->insideGPerCm3($this->part->made->core, $this->part->made->firmness);
    }
}
