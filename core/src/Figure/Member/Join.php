<?php

declare(strict_types=1);

namespace Impa\Figure\Member;

use Impa\Figure\Term\JoinBy;

/** What a part is fixed to, and how. Immutable. */
final readonly class Join
{
    /**
     * @param  string  $to  the part; empty where it stands by itself
     * @param  ?bool  $onto  whether it is felted onto that, or goes in as it is; null where that is not said (Placing\Seat)
     */
    public function __construct(
        public string $to,
        public JoinBy $by,
        public ?bool $onto = null,
    ) {
    }
}
