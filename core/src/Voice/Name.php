<?php

declare(strict_types=1);

namespace Impa\Voice;

/** What the felter named, in the middle of a sentence. Immutable. */
final readonly class Name implements Said
{
    use InTheVoiceOfNow;

    public function __construct(private string $name)
    {
    }

    public function in(Voice $voice): string
    {
        return $voice->language->within($this->name);
    }
}
