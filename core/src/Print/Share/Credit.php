<?php

declare(strict_types=1);

namespace Impa\Print\Share;

/** Whose a design is that is shared, and what others may do with it, in her own words. Immutable. */
final readonly class Credit
{
    private const LONGEST = 200;

    private function __construct(public string $by, public string $licence)
    {
    }

    /**
     * @param  string  $whose  mine, or allowed where somebody who drew it said yes
     *
     * @throws BookletRefused if it is not hers to share, or nobody is named
     */
    public static function of(string $whose, string $by, string $licence): self
    {
        [$by, $licence] = [trim($by), trim($licence)];
        if (! in_array($whose, ['mine', 'allowed'], true)) {
            throw BookletRefused::notHers();
        }
        if ($by === '') {
            throw BookletRefused::nobody();
        }
        if (mb_strlen($by) > self::LONGEST || mb_strlen($licence) > self::LONGEST) {
            throw BookletRefused::tooLong(self::LONGEST);
        }

        return new self($by, $licence);
    }
}
