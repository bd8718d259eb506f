<?php

declare(strict_types=1);

namespace Impa\Voice;

use Throwable;

/** What cannot be done, in words that name the place and the mend: its message. Refused in the ordinary course of things. */
interface Refusal extends Throwable
{
    /** What was wanted, in a few words. */
    public function title(): Message;
}
