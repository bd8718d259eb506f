<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

use Impa\Trace\Traced;
use Impa\Voice\Message;

/** What one piece's covering takes. Immutable. */
final readonly class CoveringNeed
{
    /** Of wool or yarn for one piece, waste included; of iron-on film fibres; 0 where none. */
    public float $g;

    public float $filmG;

    /**
     * @param  ?Traced  $wool  grams of wool or yarn for one piece, waste included
     * @param  float  $finishedG  what of it, and of film fibres, is in the finished piece
     * @param  float  $metres  of yarn, ribbon or strand; 0 where none
     * @param  int  $count  of loops, tufts, locks or lays; 0 where none
     * @param  float  $areaCm2  of sheet; 0 where none
     * @param  ?Traced  $film  grams of iron-on film fibres
     * @param  ?Message  $text  what to do, in two sentences; nothing where there is nothing to be done
     */
    public function __construct(
        public ?Traced $wool = null,
        public float $finishedG = 0.0,
        public float $metres = 0.0,
        public int $count = 0,
        public float $areaCm2 = 0.0,
        public ?Traced $film = null,
        public ?Message $text = null,
    ) {
        $this->g = $wool->is ?? 0.0;
        $this->filmG = $film->is ?? 0.0;
    }
}
