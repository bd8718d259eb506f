<?php

declare(strict_types=1);

namespace Impa\Voice;

/** Several names in a row: "body, arm and hat"; of which one is chosen: "cut it, or trim it". Immutable. */
final readonly class Listed implements Said
{
    use InTheVoiceOfNow;

    /**
     * @param  list<Said|string>  $all
     * @param  'and'|'or'  $joint  before the last of them
     */
    public function __construct(private array $all, private string $joint = 'and')
    {
    }

    public function in(Voice $voice): string
    {
        $words = array_map(static fn (Said|string $one): string => $one instanceof Said ? $one->in($voice) : $one, $this->all);
        $last = array_pop($words);

        return $words === [] ? (string) $last : implode(', ', $words).Voice::word($voice->language, 'quantities.'.$this->joint).$last;
    }
}
