<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Build\Steps;
use Impa\Colour\Contrast;
use Impa\Face\Crispness;
use Impa\Face\Ground;
use Impa\Face\Needles;
use Impa\Face\Surface;
use Impa\Face\TapeMark;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Wool\DetailWool;

/** What the plan says of one detail: its wisp, where it is pricked, whether it will read. Immutable. */
final readonly class DetailPlan
{
    private function __construct(
        private Detail $detail,
        private Part $part,
        private TapeMark $mark,
        private float $difference,
        private float $leastMm,
    ) {
    }

    /** @param  Surface  $surface  of the part's own piece, seen from the detail's side */
    public static function of(Figure $figure, Detail $detail, Surface $surface, Needles $needles): self
    {
        $part = $figure->parts[$detail->on];
        $mark = TapeMark::on($surface, ...$detail->middle());

        return new self($detail, $part, $mark, Ground::difference($figure, $detail), Crispness::leastMm($figure, $detail, $needles));
    }

    public function isOnPart(): bool
    {
        return ! is_nan($this->mark->acrossMm + $this->mark->downMm);
    }

    public function contrast(): Contrast
    {
        return Contrast::of($this->difference);
    }

    public function isTooSmall(): bool
    {
        return Crispness::widthMm($this->detail) < $this->leastMm;
    }

    /** @return list<Note> */
    public function notes(string $at): array
    {
        $notes = [];
        if (! $this->isOnPart()) {
            $notes[] = new Note('off-part', $at, sprintf('%s does not lie on %s as seen from the %s: move it onto the part.', $this->detail->name, $this->part->name, $this->detail->side->value));
        }
        if ($this->contrast() !== Contrast::Crisp) {
            $notes[] = new Note('low-contrast', $at, sprintf('%s reads at %.0f on its ground, which is %s: lay it on a lighter or darker ground, or give it a rim (20 is crisp).', $this->detail->name, $this->difference, $this->contrast() === Contrast::Lost ? 'lost' : 'soft'));
        }
        if ($this->isTooSmall()) {
            $notes[] = new Note('too-small', $at, sprintf('%s is %.1f mm at its narrowest, and felt holds no less than %.1f mm cleanly: stitch or paint it, use a bead, or make it %.1f mm larger.', $this->detail->name, Crispness::widthMm($this->detail), $this->leastMm, $this->leastMm - Crispness::widthMm($this->detail)));
        }

        return array_values(array_filter($notes, fn (Note $note): bool => $note->code === 'off-part' || ! $this->detail->isMeant($note->code)));
    }

    /** @return array<string, mixed> as in the plan document */
    public function document(): array
    {
        return [
            'key' => $this->detail->key,
            'count' => Steps::pieces($this->detail, $this->part),
            'woolMg' => DetailWool::mg($this->detail),
            'marks' => $this->isOnPart() ? ['acrossMm' => $this->mark->acrossMm, 'downMm' => $this->mark->downMm, 'pinMm' => $this->mark->pinMm] : null,
            'crisp' => $this->isTooSmall() ? 'too-small' : $this->contrast()->value,
            'difference' => $this->difference,
        ];
    }
}
