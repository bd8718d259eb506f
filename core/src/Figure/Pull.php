<?php

declare(strict_types=1);

namespace Impa\Figure;

/** A step of the work that the felter pulled forward before another, or put off until after it. Immutable. */
final readonly class Pull
{
    /**
     * @param  string  $step  key of the step that was moved
     * @param  string  $past  key of the step that it was moved past
     * @param  bool  $isForward  whether it comes before that one now, not after it
     */
    public function __construct(public string $step, public string $past, public bool $isForward)
    {
    }
}
