<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Figure\Member\Join;
use Impa\Figure\Member\Made;
use Impa\Figure\Member\Stand;
use Impa\Figure\Term\FaceSchool;
use Impa\Material\CoreMaterial;
use Impa\Shape\Solid;

/** A part of the figure, the figure's defaults filled in; lengths in mm in the figure's frame. Immutable. */
final readonly class Part
{
    /** @param  FaceSchool  $faceSchool  when what lies on it is laid */
    public function __construct(
        public string $key,
        public string $name,
        public Solid $solid,
        public string $colour,
        public Stand $stand,
        public Made $made,
        public Join $join,
        public FaceSchool $faceSchool,
    ) {
    }

    /** One piece of it, as it is without its twin. */
    public function single(): self
    {
        return $this->with(stand: new Stand($this->stand->at, $this->stand->turn, false, $this->stand->group));
    }

    /** How many pieces are made: two where it has a twin. */
    public function count(): int
    {
        return $this->stand->mirror ? 2 : 1;
    }

    /** Whether it is fixed to another part. */
    public function isJoined(): bool
    {
        return $this->join->to !== '';
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
        return $this->stand->mirror ? [Placement::of($this), Placement::twinOf($this)] : [Placement::of($this)];
    }

    /** The same part in another shape, where it stands. */
    public function shaped(Solid $solid): self
    {
        return $this->with(solid: $solid);
    }

    /** The same part with another inside. */
    public function filledWith(CoreMaterial $core): self
    {
        return $this->with(made: $this->made->filledWith($core));
    }

    private function with(?Solid $solid = null, ?Stand $stand = null, ?Made $made = null): self
    {
        return new self(
            key: $this->key,
            name: $this->name,
            solid: $solid ?? $this->solid,
            colour: $this->colour,
            stand: $stand ?? $this->stand,
            made: $made ?? $this->made,
            join: $this->join,
            faceSchool: $this->faceSchool,
        );
    }
}
