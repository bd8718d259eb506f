<?php

declare(strict_types=1);

namespace Impa\Voice;

/**
 * What is to be told: a code, and what it is told about. Its words are in lang/, by room, and are put together only when it leaves the
 * house: on a screen, on paper, on the console. Immutable.
 */
final readonly class Message implements Said
{
    use InTheVoiceOfNow;

    /** @param  array<string, int|float|string|Said>  $about  by the names that the words use */
    private function __construct(public string $code, public array $about)
    {
    }

    /** @param  string  $code  file and key: "steps.look.mix" is lang/en/steps.php, ['look' => ['mix' => ...]] */
    public static function of(string $code, int|float|string|Said ...$about): self
    {
        /** @var array<string, int|float|string|Said> $about */
        return new self($code, $about);
    }

    public function in(Voice $voice): string
    {
        return $voice->say($this);
    }
}
