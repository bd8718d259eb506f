<?php

declare(strict_types=1);

namespace Impa\Hand;

use Impa\Voice\Amount;
use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** What cannot be learned from, in words that name the place and the mend. */
final class HandRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('hand.hand-refused.nothing-can-be-learned');
    }

    public static function cannotRead(Message $why): self
    {
        return new self($why);
    }

    /** @param  list<string>  $columns */
    public static function columnsAreMissing(array $columns): self
    {
        return new self(Message::of(
            'hand.hand-refused.the-first-line-must',
            list: implode(', ', RecordsTable::COLUMNS),
            columns: new Listed($columns),
            columns2: count($columns),
        ));
    }

    public static function noRecord(): self
    {
        return new self(Message::of('hand.hand-refused.there-is-no-line'));
    }

    public static function denserThanFibre(float $gPerCm3): self
    {
        return new self(Message::of(
            'hand.hand-refused.is-denser-than-wool',
            gPerCm3: Amount::gPerCm3($gPerCm3),
            fibreGPerCm3: Amount::gPerCm3(\Impa\Material\Densities::FIBRE_G_PER_CM3),
        ));
    }
}
