<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Voice\Lengths;

/** A sheet of felt at hand. Immutable. */
final readonly class FeltSheet
{
    private const LEAST_MM = 20.0;

    private const MOST_MM = 3000.0;

    private function __construct(public float $widthMm, public float $heightMm, public bool $hasGrain)
    {
    }

    /**
     * @param  bool  $hasGrain  whether pieces must all lie one way: woven, striped or stretched felt
     *
     * @throws FlatRefused if it is no sheet
     */
    public static function of(float $widthMm, float $heightMm, bool $hasGrain = false): self
    {
        foreach ([$widthMm, $heightMm] as $mm) {
            if (! ($mm >= self::LEAST_MM && $mm <= self::MOST_MM)) {
                throw FlatRefused::sheetOutOfRange(self::LEAST_MM, self::MOST_MM);
            }
        }

        return new self($widthMm, $heightMm, $hasGrain);
    }

    /** The usual craft sheet: A4 (ISO 216). */
    public static function usual(): self
    {
        return new self(210.0, 297.0, false);
    }

    /**
     * @param  string  $said  "210x297"
     *
     * @throws FlatRefused if that is no size
     */
    public static function said(string $said, bool $hasGrain): self
    {
        return preg_match('/^(\d+(?:\.\d+)?)\s*x\s*(\d+(?:\.\d+)?)$/i', trim($said), $m) === 1
            ? self::of((float) $m[1], (float) $m[2], $hasGrain)
            : throw FlatRefused::sheetOutOfRange(self::LEAST_MM, self::MOST_MM);
    }

    public function words(): string
    {
        return sprintf('%s', Lengths::of($this->widthMm, $this->heightMm));
    }
}
