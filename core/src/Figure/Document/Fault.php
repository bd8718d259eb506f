<?php

declare(strict_types=1);

namespace Impa\Figure\Document;

use Impa\Voice\Message;

/** One thing wrong with a document: where (JSON Pointer, RFC 6901) and what, in plain words. */
final readonly class Fault
{
    private function __construct(
        public string $pointer,
        public Message $text,
    ) {
    }

    /** @param  list<int|string>  $path */
    public static function at(array $path, Message $text): self
    {
        $pointer = '';
        foreach ($path as $step) {
            $pointer .= '/'.str_replace(['~', '/'], ['~0', '~1'], (string) $step);
        }

        return new self($pointer, $text);
    }

    /** One line for a console: the pointer, or "the document", and the words. */
    public function line(): string
    {
        return ($this->pointer === '' ? (string) Message::of('figure.fault.the-document') : $this->pointer).': '.$this->text;
    }
}
