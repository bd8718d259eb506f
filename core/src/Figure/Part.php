<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Figure\Term\FaceSchool;
use Impa\Figure\Term\Finish;
use Impa\Figure\Term\JoinBy;
use Impa\Geometry\Turn;
use Impa\Material\CoreMaterial;
use Impa\Material\Covering;
use Impa\Material\Firmness;
use Impa\Shape\Solid;

/** A part of the figure, the figure's defaults filled in; lengths in mm in the figure's frame. Immutable. */
final readonly class Part
{
    /**
     * @param  array{float, float, float}  $at the middle of the shape
     * @param  FaceSchool  $faceSchool  when what lies on it is laid
     * @param  ?bool  $joinOnto  whether it is felted onto what it is joined to, or goes in as it is; null where that is not said (Seat)
     */
    public function __construct(
        public string $key,
        public string $name,
        public Solid $solid,
        public array $at,
        public Turn $turn,
        public bool $mirror,
        public string $colour,
        public CoreMaterial $core,
        public float $coverMm,
        public Firmness $firmness,
        public Finish $finish,
        public string $group,
        public string $joinTo,
        public JoinBy $joinBy,
        public Covering $covering,
        public FaceSchool $faceSchool,
        public ?bool $joinOnto = null,
    ) {
    }

    /** One piece of it, as it is without its twin. */
    public function single(): self
    {
        return new self(
            $this->key,
            $this->name,
            $this->solid,
            $this->at,
            $this->turn,
            false,
            $this->colour,
            $this->core,
            $this->coverMm,
            $this->firmness,
            $this->finish,
            $this->group,
            $this->joinTo,
            $this->joinBy,
            $this->covering,
            $this->faceSchool,
            $this->joinOnto,
        );
    }

    /** How many pieces are made: two where it has a twin. */
    public function count(): int
    {
        return $this->mirror ? 2 : 1;
    }

    /** Whether it is fixed to another part. */
    public function isJoined(): bool
    {
        return $this->joinTo !== '';
    }

    /**
     * The thickness from which it holds itself up; 0 for what is no limb: a limb thinner than an eighth of its length
     * bends (docs/trade.md, Schools).
     */
    public function holdsItselfFromMm(): float
    {
        return $this->solid->kind()->isLong() ? $this->solid->size()->heightMm / 8 : 0.0;
    }

    /** Whether it bends without a wire in it. */
    public function wantsWire(): bool
    {
        return $this->thickMm() < $this->holdsItselfFromMm();
    }

    /** How thick a limb is across. */
    public function thickMm(): float
    {
        return min($this->solid->size()->widthMm, $this->solid->size()->depthMm);
    }

    /** @return non-empty-list<Placement> the piece, and its twin */
    public function placements(): array
    {
        return $this->mirror ? [Placement::of($this), Placement::twinOf($this)] : [Placement::of($this)];
    }

    /** The same part in another shape, where it stands. */
    public function shaped(Solid $solid): self
    {
        return $this->with(solid: $solid);
    }

    /** The same part with another inside. */
    public function filledWith(CoreMaterial $core): self
    {
        return $this->with(core: $core);
    }

    private function with(?Solid $solid = null, ?CoreMaterial $core = null): self
    {
        return new self(
            key: $this->key,
            name: $this->name,
            solid: $solid ?? $this->solid,
            at: $this->at,
            turn: $this->turn,
            mirror: $this->mirror,
            colour: $this->colour,
            core: $core ?? $this->core,
            coverMm: $this->coverMm,
            firmness: $this->firmness,
            finish: $this->finish,
            group: $this->group,
            joinTo: $this->joinTo,
            joinBy: $this->joinBy,
            covering: $this->covering,
            faceSchool: $this->faceSchool,
            joinOnto: $this->joinOnto,
        );
    }
}
