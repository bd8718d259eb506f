<?php

declare(strict_types=1);

namespace Impa\Figure\Member;

use Impa\Geometry\Turn;

/** Where a part is, lengths in mm in the figure's frame. Immutable. */
final readonly class Stand
{
    /**
     * @param  Vec3  $at  the middle of the shape
     * @param  bool  $mirror  whether it has a twin at -x
     * @param  string  $group  what it is apart with, such as a lantern; empty where it is of the figure
     */
    public function __construct(
        public array $at,
        public Turn $turn,
        public bool $mirror = false,
        public string $group = '',
    ) {
    }
}
