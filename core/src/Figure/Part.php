<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Shape\Solid;
use Impa\Shape\Turn;
use Impa\Wool\CoreMaterial;
use Impa\Wool\Covering;
use Impa\Wool\Firmness;

/** A part of the figure, the figure's defaults filled in; lengths in mm in the figure's frame. Immutable. */
final readonly class Part
{
    /** @param  array{float, float, float}  $at the middle of the shape */
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
    ) {
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

    /** @return non-empty-list<Placement> the piece, and its twin */
    public function placements(): array
    {
        return $this->mirror ? [Placement::of($this), Placement::twinOf($this)] : [Placement::of($this)];
    }

    /** The same part with another inside. */
    public function filledWith(CoreMaterial $core): self
    {
        return new self($this->key, $this->name, $this->solid, $this->at, $this->turn, $this->mirror, $this->colour, $core, $this->coverMm, $this->firmness, $this->finish, $this->group, $this->joinTo, $this->joinBy, $this->covering);
    }
}
