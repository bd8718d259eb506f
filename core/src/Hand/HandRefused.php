<?php

declare(strict_types=1);

namespace Impa\Hand;

use DomainException;
use Impa\Refusal;
use Impa\Voice\Amount;

/** What cannot be learned from, in words that name the place and the mend. */
final class HandRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'Nothing can be learned from this';
    }

    public static function cannotRead(string $why): self
    {
        return new self($why);
    }

    /** @param  list<string>  $columns */
    public static function columnsAreMissing(array $columns): self
    {
        return new self(sprintf(
            'The first line must name the columns %s: %s missing.',
            implode(', ', RecordsTable::COLUMNS),
            implode(' and ', $columns).(count($columns) === 1 ? ' is' : ' are'),
        ));
    }

    public static function noRecord(): self
    {
        return new self('There is no line to learn from: a line is a preparation, a firmness, cm3, grams and minutes.');
    }

    public static function denserThanFibre(float $gPerCm3): self
    {
        return new self(sprintf(
            '%s is denser than wool itself (%s): is there a typo in the size or the weight?',
            Amount::gPerCm3($gPerCm3),
            Amount::gPerCm3(\Impa\Material\Densities::FIBRE_G_PER_CM3),
        ));
    }
}
