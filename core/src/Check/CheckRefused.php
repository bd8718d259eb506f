<?php

declare(strict_types=1);

namespace Impa\Check;

use DomainException;
use Impa\Refusal;

/** What cannot be checked, said in the felter's words. */
final class CheckRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This cannot be checked';
    }

    public static function noSize(string $what, float $mm): self
    {
        return new self(sprintf('The %s of %s mm is none: measure it between the calipers, above 0.', $what, round($mm, 2)));
    }

    public static function noWeight(float $g): self
    {
        return new self(sprintf('A weight of %s g is none: lay the piece alone on the scale.', round($g, 3)));
    }

    public static function noDetail(string $key): self
    {
        return new self(sprintf('There is no detail "%s" in this figure.', mb_strimwidth($key, 0, 60, '...')));
    }

    public static function noAnswer(string $asked, float $most, string $unit): self
    {
        return new self(sprintf('%s: a number above 0, and at most %.0f %s.', $asked, $most, $unit));
    }

    public static function noPart(string $key): self
    {
        return new self(sprintf('There is no part "%s" in this figure.', mb_strimwidth($key, 0, 60, '...')));
    }
}
