<?php

declare(strict_types=1);

namespace Impa\Figure;

use DomainException;

/** A figure document that cannot be used as it stands, with every fault that was found. */
final class FigureRefused extends DomainException
{
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

    /** @param  non-empty-list<Fault>  $faults */
    public static function forFaults(array $faults): self
    {
        $count = count($faults);

        return new self(sprintf('The figure has %s.', $count === 1 ? 'a fault' : $count.' faults'), $faults);
    }
}
