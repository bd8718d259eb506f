<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Figure\Document\FigureRefused;
use stdClass;

/** A changed copy of a document, found whole, and what is to be looked at next. Immutable. */
final readonly class Edited
{
    /** @param  string  $kind  part or detail; empty, like the key, where nothing is */
    private function __construct(public stdClass $document, public string $kind, public string $key)
    {
    }

    /**
     * @param  'part'|'detail'|''  $kind
     *
     * @throws FigureRefused with every fault that the edit would have left
     */
    public static function of(Draft $draft, string $kind = '', string $key = ''): self
    {
        return new self($draft->whole(), $kind, $key);
    }
}
