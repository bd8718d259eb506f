<?php

declare(strict_types=1);

namespace Impa\Voice;

use RuntimeException;

/** A refusal of one room: its words are in lang/, in the voice of the moment when it is thrown. */
abstract class Refused extends RuntimeException implements Refusal
{
    protected function __construct(public readonly Message $why)
    {
        parent::__construct((string) $why);
    }
}
