<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Colour\Contrast;
use Impa\Face\Advice\Advice;
use Impa\Face\Advice\FaceAdvice;
use Impa\Face\DetailGround;
use Impa\Face\Needles;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;

/** What the plan says of one detail: where it is pricked, whether it will read. Immutable. */
final readonly class DetailPlan
{
    /** @param  list<Advice>  $advice  what is amiss with it, as the Face station says it */
    private function __construct(
        private Detail $detail,
        private TapeMark $mark,
        private float $difference,
        private array $advice,
    ) {
    }

    /** @param  Surface  $surface  of the part's own piece, seen from the detail's side */
    public static function of(Figure $figure, Detail $detail, Surface $surface, Needles $needles): self
    {
        return new self(
            detail: $detail,
            mark: TapeMark::on($surface, ...$detail->middle()),
            difference: DetailGround::difference($figure, $detail),
            advice: FaceAdvice::making($figure, $detail, $surface, $needles),
        );
    }

    /** @return list<Note> */
    public function notes(string $at): array
    {
        return array_map(fn (Advice $a): Note => new Note($a->code, $at, $a->line($this->detail->name)), $this->advice);
    }

    /**
     * As in the plan document.
     *
     * @param  int  $count  how many pieces are made
     * @param  float  $woolMg  of one
     * @return array<string, mixed>
     */
    public function document(int $count, float $woolMg): array
    {
        $isOn = ! is_nan($this->mark->acrossMm + $this->mark->downMm);
        $isTooSmall = array_filter($this->advice, static fn (Advice $a): bool => $a->code === 'too-small') !== [];

        return [
            'key' => $this->detail->key,
            'count' => $count,
            'woolMg' => $woolMg,
            'marks' => $isOn ? get_object_vars($this->mark) : null,
            'crisp' => $isTooSmall ? 'too-small' : Contrast::of($this->difference)->value,
            'difference' => $this->difference,
        ];
    }
}
