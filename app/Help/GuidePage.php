<?php

declare(strict_types=1);

namespace App\Help;

/** A stretch of the help under one heading. Immutable. */
final readonly class GuidePage
{
    /**
     * @param  list<string>  $stations  where it is shown at once
     * @param  string  $text  Markdown
     * @param  string  $html  the same, without anything a page could carry in
     */
    public function __construct(public int $number, public string $title, public array $stations, public string $text, public string $html)
    {
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return ['number' => $this->number, 'title' => $this->title, 'stations' => $this->stations, 'html' => $this->html];
    }
}
