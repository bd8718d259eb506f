<?php

declare(strict_types=1);

namespace Impa\Check;

/** One thing that is otherwise on a photo than planned. Immutable. */
final readonly class Deviation
{
    /**
     * @param  string  $part  key of the part, or empty; likewise of the detail
     * @param  'width'|'height'|'across'|'level'|'tilt'|'colour'|'missing'  $what
     * @param  'mm'|'deg'|'difference'|''  $unit
     * @param  float  $amount  more, farther right, higher, turned anticlockwise: above 0
     * @param  float  $weight  how much it matters: the worst first
     * @param  array{float, float}  $atMm  the place on the plan
     */
    public function __construct(
        public string $part,
        public string $detail,
        public string $what,
        public string $unit,
        public float $amount,
        public string $text,
        public float $weight,
        public array $atMm,
        public bool $isTwin = false,
    ) {
    }

    /**
     * @param  array{float, float}  $atPx  on the photo as it came
     * @return array<string, mixed>
     */
    public function document(array $atPx): array
    {
        return ($this->detail !== '' ? ['detail' => $this->detail, 'part' => $this->part] : ['part' => $this->part])
            + ['twin' => $this->isTwin, 'what' => $this->what]
            + ($this->unit === '' ? [] : [$this->unit => round($this->amount, 2)])
            + ['text' => $this->text, 'atPx' => [round($atPx[0], 1), round($atPx[1], 1)]];
    }
}
