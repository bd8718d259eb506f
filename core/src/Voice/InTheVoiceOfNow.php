<?php

declare(strict_types=1);

namespace Impa\Voice;

/** For what is said: where a string or JSON is wanted, it is put into words in the voice of that moment. */
trait InTheVoiceOfNow
{
    public function __toString(): string
    {
        return $this->in(Voice::current());
    }

    public function jsonSerialize(): string
    {
        return $this->in(Voice::current());
    }
}
