<?php

declare(strict_types=1);

namespace Impa\Wool;

/** What one piece's covering takes. Immutable. */
final readonly class CoveringNeed
{
    /**
     * @param  float  $g  of wool or yarn for one piece
     * @param  float  $metres  of yarn, ribbon or strand; 0 where none
     * @param  int  $count  of loops, tufts, locks or lays; 0 where none
     * @param  float  $areaCm2  of sheet; 0 where none
     * @param  float  $filmG  of iron-on film fibres; 0 where none
     * @param  string  $text  what to do, in one sentence
     */
    public function __construct(
        public float $g,
        public float $metres,
        public int $count,
        public float $areaCm2,
        public float $filmG,
        public string $text,
    ) {
    }
}
