<?php

declare(strict_types=1);

namespace Impa\Build\Order;

use DomainException;
use Impa\Build\Steps\Step;
use Impa\Refusal;

/** A step that cannot be moved, said in the felter's words. */
final class ReorderingRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This step cannot be moved';
    }

    public static function noSuchStep(string $key): self
    {
        return new self(sprintf('There is no step "%s" in this figure.', mb_strimwidth($key, 0, 60, '...')));
    }

    public static function atTheEnd(Step $step, bool $isForward): self
    {
        return new self(sprintf('"%s" is the %s step already.', $step->title, $isForward ? 'first' : 'last'));
    }

    /** @param  string  $why  empty where that is plain */
    public static function needed(Step $first, Step $then, string $why): self
    {
        $why = $why === '' ? 'It cannot be done without.' : $why;

        return new self(sprintf('"%s" must be done before "%s". %s', $first->title, $then->title, $why));
    }
}
