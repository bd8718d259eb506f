<?php

declare(strict_types=1);

namespace Impa\Figure\Document;

use DomainException;
use Impa\Refusal;

/** A figure document that cannot be used as it stands, with every fault that was found. */
final class FigureRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'The figure has faults';
    }

    /** @param  non-empty-list<Fault>  $faults */
    private function __construct(string $message, public readonly array $faults)
    {
        parent::__construct($message);
    }

    public static function notJson(string $reason): self
    {
        $text = sprintf('This is not readable as JSON (%s). An impa-figure file is a JSON text.', lcfirst($reason));

        return new self($text, [Fault::at([], $text)]);
    }

    public static function tooLarge(int $bytes): self
    {
        $text = sprintf(
            'The document is %.1f MB large, and a figure ends at %d MB. Outlines of hundreds of points, or what another program '
                .'put in, make it so large: take those out.',
            $bytes / 1e6,
            intdiv(FigureForm::MOST_BYTES, 1_000_000),
        );

        return new self($text, [Fault::at([], $text)]);
    }

    /** @param  non-empty-list<Fault>  $faults */
    public static function forFaults(array $faults): self
    {
        $count = count($faults);

        return new self(sprintf('The figure has %s.', $count === 1 ? 'a fault' : $count.' faults'), $faults);
    }
}
