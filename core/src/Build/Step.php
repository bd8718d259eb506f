<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Wool\LedgerLine;

/** One thing to do next. Immutable. */
final readonly class Step
{
    /**
     * @param  string  $part  key of the part it is about; empty for the whole figure
     * @param  string  $detail  key of the detail it is about, or empty
     * @param  list<string>  $after  keys of the steps that must be done before
     * @param  float  $waitMinutes  drying, during which other steps go on
     * @param  ?Needle  $needle  none where nothing is stabbed
     * @param  list<LedgerLine>  $weighings  what is weighed out for it
     */
    public function __construct(
        public string $key,
        public StepKind $kind,
        public float $minutes,
        public string $text,
        public string $part = '',
        public string $detail = '',
        public array $after = [],
        public float $waitMinutes = 0.0,
        public ?Needle $needle = null,
        public array $weighings = [],
    ) {
    }
}
