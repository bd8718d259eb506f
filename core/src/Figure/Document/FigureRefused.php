<?php

declare(strict_types=1);

namespace Impa\Figure\Document;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A figure document that cannot be used as it stands, with every fault that was found. */
final class FigureRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('figure.figure-refused.the-figure-has-faults');
    }

    /** @param  non-empty-list<Fault>  $faults */
    private function __construct(Message $why, public readonly array $faults)
    {
        parent::__construct($why);
    }

    public static function notJson(string $reason): self
    {
        $text = Message::of('figure.figure-refused.this-is-not-readable', reason: lcfirst($reason));

        return new self($text, [Fault::at([], $text)]);
    }

    public static function tooLarge(int $bytes): self
    {
        $text = Message::of(
            'figure.figure-refused.the-document-is-mb',
            number: Amount::number(round($bytes / 1e6, 1)),
            mostBytes: intdiv(FigureForm::MOST_BYTES, 1_000_000),
        );

        return new self($text, [Fault::at([], $text)]);
    }

    /** @param  non-empty-list<Fault>  $faults */
    public static function forFaults(array $faults): self
    {
        $count = count($faults);

        return new self(Message::of('figure.figure-refused.the-figure-has-other', count: $count), $faults);
    }
}
