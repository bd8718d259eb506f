<?php

declare(strict_types=1);

namespace Impa\Figure\Member;

/** What a step or a weighing is about, by keys; empty where it is about none. Immutable. */
final readonly class Subject
{
    /**
     * @param  string  $part  empty for the whole figure
     * @param  string  $detail  empty for a part's own
     * @param  string  $colour  of the figure; empty for what has none of its colours
     */
    public function __construct(public string $part = '', public string $detail = '', public string $colour = '')
    {
    }
}
