<?php

declare(strict_types=1);

namespace Impa\Figure;

/** A step of the work that the felter pulled forward before another, or put off until after it. Immutable. */
final readonly class Pull
{
    /** More are not kept: the oldest are let go. */
    public const MOST = 400;

    /**
     * @param  string  $step  key of the step that was moved
     * @param  string  $past  key of the step that it was moved past
     * @param  bool  $isForward  whether it comes before that one now, not after it
     */
    public function __construct(public string $step, public string $past, public bool $isForward)
    {
    }

    /** Whether it is about the same two steps. */
    public function isAbout(self $other): bool
    {
        return [$this->step, $this->past] === [$other->step, $other->past] || [$this->past, $this->step] === [$other->step, $other->past];
    }
}
