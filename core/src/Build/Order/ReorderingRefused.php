<?php

declare(strict_types=1);

namespace Impa\Build\Order;

use Impa\Build\Steps\Step;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A step that cannot be moved, said in the felter's words. */
final class ReorderingRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('build.reordering-refused.this-step-cannot-be');
    }

    public static function noSuchStep(string $key): self
    {
        return new self(Message::of('build.reordering-refused.there-is-no-step', key: mb_strimwidth($key, 0, 60, '...')));
    }

    public static function atTheEnd(Step $step, bool $isForward): self
    {
        return new self($isForward
            ? Message::of('build.reordering-refused.is-the-first-step', title: $step->title)
            : Message::of('build.reordering-refused.is-the-last-step', title: $step->title));
    }

    /** @param  ?Message  $why  nothing where that is plain */
    public static function needed(Step $first, Step $then, ?Message $why): self
    {
        $why ??= Message::of('build.reordering-refused.it-cannot-be-done');

        return new self(Message::of('build.reordering-refused.must-be-done-before', title: $first->title, title2: $then->title, why: $why));
    }
}
