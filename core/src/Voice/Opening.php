<?php

declare(strict_types=1);

namespace Impa\Voice;

/** What a sentence begins with: its first letter is a capital, whatever it is. Immutable. */
final readonly class Opening implements Said
{
    use InTheVoiceOfNow;

    public function __construct(private Said $word)
    {
    }

    public function in(Voice $voice): string
    {
        $said = $this->word->in($voice);

        return mb_strtoupper(mb_substr($said, 0, 1)).mb_substr($said, 1);
    }
}
