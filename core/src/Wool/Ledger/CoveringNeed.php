<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

use Impa\Voice\Message;

/** What one piece's covering takes. Immutable. */
final readonly class CoveringNeed
{
    /**
     * @param  float  $g  of wool or yarn for one piece, waste included
     * @param  float  $finishedG  what of it, and of film fibres, is in the finished piece
     * @param  float  $metres  of yarn, ribbon or strand; 0 where none
     * @param  int  $count  of loops, tufts, locks or lays; 0 where none
     * @param  float  $areaCm2  of sheet; 0 where none
     * @param  float  $filmG  of iron-on film fibres; 0 where none
     * @param  ?Message  $text  what to do, in two sentences; nothing where there is nothing to be done
     */
    public function __construct(
        public float $g = 0.0,
        public float $finishedG = 0.0,
        public float $metres = 0.0,
        public int $count = 0,
        public float $areaCm2 = 0.0,
        public float $filmG = 0.0,
        public ?Message $text = null,
    ) {
    }
}
