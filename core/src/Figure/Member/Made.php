<?php

declare(strict_types=1);

namespace Impa\Figure\Member;

use Impa\Figure\Term\Finish;
use Impa\Material\CoreMaterial;
use Impa\Material\Covering;
use Impa\Material\Firmness;

/** What a part is made of, and how it is to be. Immutable. */
final readonly class Made
{
    /** @param  float  $coverMm  how thick the colour lies on the core */
    public function __construct(
        public CoreMaterial $core,
        public float $coverMm,
        public Firmness $firmness,
        public Finish $finish,
        public Covering $covering,
    ) {
    }

    public function filledWith(CoreMaterial $core): self
    {
        return new self($core, $this->coverMm, $this->firmness, $this->finish, $this->covering);
    }
}
