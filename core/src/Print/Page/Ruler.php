<?php

declare(strict_types=1);

namespace Impa\Print\Page;

use Impa\Voice\Amount;
use Impa\Voice\Units;
use Impa\Voice\Voice;
use Impa\Voice\Writer;

/** A ruler to check a printer by, in the units that the felter's own has: every mm, or every sixteenth of an inch. Immutable. */
final readonly class Ruler
{
    private const METRIC_MM = 100;

    private const INCHES = 4;

    private const SIXTEENTHS = 16;

    /** How long the line of a mark is, mm, by the coarsest of these steps that it lies on: 10, 5, 1 mm; 1, a half, an eighth, a sixteenth. */
    private const METRIC_MARKS = [10 => 5.0, 5 => 3.4, 1 => 2.0];

    private const IMPERIAL_MARKS = [16 => 5.0, 8 => 3.8, 2 => 2.6, 1 => 1.6];

    /** @param  array<int, float>  $marks  how long the line of a mark is, by the steps that it lies on, the coarsest first */
    private function __construct(public float $mm, private float $stepMm, private array $marks)
    {
    }

    public static function of(Voice $voice): self
    {
        return $voice->units === Units::Metric
            ? new self(self::METRIC_MM, 1.0, self::METRIC_MARKS)
            : new self(self::INCHES * Writer::MM_PER_INCH, Writer::MM_PER_INCH / self::SIXTEENTHS, self::IMPERIAL_MARKS);
    }

    /** How long it is, in words. */
    public function length(): string
    {
        return (string) Amount::mm($this->mm);
    }

    /** Its marks from x and y on, downwards, as an SVG path in mm. */
    public function path(float $x, float $y): string
    {
        $path = '';
        for ($i = 0, $count = (int) round($this->mm / $this->stepMm); $i <= $count; $i++) {
            foreach ($this->marks as $step => $long) {
                if ($i % $step === 0) {
                    $path .= sprintf('M%s %sv%s', Page::number($x + $i * $this->stepMm), Page::number($y), Page::number($long));
                    break;
                }
            }
        }

        return $path;
    }
}
