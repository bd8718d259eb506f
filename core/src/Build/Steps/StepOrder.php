<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Voice\Message;

/** What must be done before a step. Immutable. */
final readonly class StepOrder
{
    /**
     * @param  list<string>  $after  keys of steps
     * @param  array<string, Message>  $because  why, by the key of such a step, where the shapes or the trade decide
     */
    public function __construct(public array $after = [], public array $because = [])
    {
    }
}
