<?php

declare(strict_types=1);

namespace Impa\Build\Technique;

use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A way of working that there is not, said in the felter's words. */
final class TechniqueRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('build.technique-refused.the-figure-cannot-be');
    }

    public static function noLimb(): self
    {
        return new self(Message::of('build.technique-refused.no-part-of-this'));
    }

    /** @param  list<string>  $known */
    public static function unknown(string $said, array $known): self
    {
        return new self(Message::of(
            'build.technique-refused.is-none',
            said: mb_strimwidth($said, 0, 40, '...'),
            list: implode(', ', $known),
        ));
    }
}
