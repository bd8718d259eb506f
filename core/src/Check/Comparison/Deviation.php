<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Check\Mending\Sign;
use Impa\Voice\Message;

/** One thing that is otherwise on a photo than planned. Immutable. */
final readonly class Deviation
{
    /**
     * @param  string  $part  key of the part, or empty; likewise of the detail
     * @param  'width'|'height'|'across'|'level'|'tilt'|'colour'|'missing'  $what
     * @param  float  $amount  more, farther right, higher, turned anticlockwise: above 0
     * @param  float  $weight  how much it matters: the worst first
     * @param  array{float, float}  $atMm  the place on the plan
     */
    public function __construct(
        public string $part,
        public string $detail,
        public string $what,
        public float $amount,
        public Message $text,
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
            + ($this->what === 'missing' ? [] : [$this->unit() => round($this->amount, 2)])
            + ['text' => $this->text, 'atPx' => [round($atPx[0], 1), round($atPx[1], 1)], 'mend' => $this->mend()];
    }

    /** @return 'mm'|'deg'|'difference' what its amount is told in */
    private function unit(): string
    {
        return match ($this->what) {
            'tilt' => 'deg',
            'colour' => 'difference',
            default => 'mm',
        };
    }

    /**
     * The sign at the mend desk that goes with it, and what is answered there already; nothing where the part is only felted on or moved.
     *
     * @return ?array{sign: string, about: string, answers: object}
     */
    private function mend(): ?array
    {
        $desk = static fn (Sign $sign, string $about, array $answers = []): array => [
            'sign' => $sign->value,
            'about' => $about,
            'answers' => (object) $answers,
        ];

        return match (true) {
            $this->detail !== '' && $this->what === 'missing' => $desk(Sign::CameOff, $this->detail),
            // It should be as much lower as it is too high.
            $this->detail !== '' && in_array($this->what, ['level', 'across'], true) => $desk(Sign::WrongPlace, $this->detail, [
                'up' => $this->what === 'level' ? -$this->amount : 0.0,
                'right' => $this->what === 'across' ? -$this->amount : 0.0,
            ]),
            $this->what === 'tilt' && $this->detail === '' => $desk(Sign::Wobbles, $this->part),
            default => null,
        };
    }
}
