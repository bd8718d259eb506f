<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Mix;

/** What a step is done with. Immutable. */
final readonly class StepUses
{
    /**
     * @param  ?NeedleChoice  $needle  none where nothing is stabbed
     * @param  list<LedgerLine>  $weighings  what is weighed out for it
     * @param  ?Mix  $mix  the wools that are mixed at it
     */
    public function __construct(public ?NeedleChoice $needle = null, public array $weighings = [], public ?Mix $mix = null)
    {
    }
}
