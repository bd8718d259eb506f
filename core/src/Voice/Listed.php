<?php

declare(strict_types=1);

namespace Impa\Voice;

/** Several names in a row: "body, arm and hat". Immutable. */
final readonly class Listed implements Said
{
    /** @param  list<Said|string>  $all */
    public function __construct(private array $all)
    {
    }

    public function in(Voice $voice): string
    {
        $words = array_map(static fn (Said|string $one): string => $one instanceof Said ? $one->in($voice) : $one, $this->all);
        $last = array_pop($words);

        return $words === [] ? (string) $last : implode(', ', $words).Voice::word($voice->language, 'quantities.and').$last;
    }
}
