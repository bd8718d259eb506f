<?php

declare(strict_types=1);

namespace Impa\Build\Order;

use Impa\Voice\Said;

/** Something that stands in a needle's way once it is there: what it hinders comes before it. Immutable. */
final readonly class Hindrance
{
    /**
     * @param  string  $step  key of the step that it hinders
     * @param  Said  $name  what is worked there, for a felter
     * @param  string  $by  key of the part that stands in the way
     * @param  bool  $isCovering  whether only what is laid on that part does
     * @param  list<string>  $hosts  keys of the parts that bear what is worked
     */
    public function __construct(
        public string $step,
        public Said $name,
        public string $by,
        public bool $isCovering,
        public array $hosts,
    ) {
    }
}
