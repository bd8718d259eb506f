<?php

declare(strict_types=1);

namespace Impa\Hand;

use Impa\Check\Part\Measurement;
use Impa\Check\Part\PartCheck;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Ledger;

/** A piece that was weighed and measured, and what it teaches of a hand. Immutable. */
final readonly class FinishedPiece
{
    /**
     * @param  string  $firmness  the group whose density it tells
     * @param  float  $houseG  what it would weigh by the house's numbers; 0 where it tells no density
     * @param  ?float  $weighedG  wool that was weighed off for it
     * @param  ?float  $minutes  that it took
     * @param  ?float  $houseMinutes  by the house's pace
     * @param  string  $figure  name of the figure it belongs to, or empty
     */
    public function __construct(
        public string $what,
        public string $firmness,
        public float $grams,
        public float $houseG,
        public ?float $weighedG = null,
        public ?float $minutes = null,
        public ?float $houseMinutes = null,
        public string $figure = '',
    ) {
    }

    /**
     * One for itself, of one wool without a core: a practice piece, or one that was made before.
     *
     * @param  float  $grams  > 0
     *
     * @throws HandRefused if it is denser than solid fibre
     */
    public static function alone(
        string $what,
        ShapeKind $kind,
        Size $size,
        Firmness $firmness,
        float $grams,
        ?float $weighedG,
        ?float $minutes,
    ): self {
        $solid = Catalogue::solid($kind, $size);
        $reached = $grams / $solid->volumeCm3();
        if ($reached > Densities::FIBRE_G_PER_CM3) {
            throw HandRefused::denserThanFibre($reached);
        }

        return new self(
            $what === '' ? ucfirst($firmness->value).' '.$kind->value : $what,
            $firmness->value,
            $grams,
            $solid->volumeCm3() * Densities::house()->feltGPerCm3($firmness),
            $weighedG,
            $minutes,
            $minutes === null ? null : Practice::minutes($solid, $grams, $firmness),
        );
    }

    /** A part of a figure; one made otherwise than by felting wool tells no density. */
    public static function ofPart(Figure $figure, string $part, Measurement $measured, ?float $weighedG): self
    {
        $check = PartCheck::of(Ledger::of($figure, Densities::house()), $part, $measured);

        return new self(
            $figure->parts[$part]->name.', '.$figure->name,
            $figure->parts[$part]->made->firmness->value,
            $measured->g,
            $check->teaches() ? $check->volumeCm3 * $check->plannedGPerCm3() : 0.0,
            $weighedG,
            figure: $figure->name,
        );
    }

    /**
     * What it teaches: its density, what was lost while it was felted, and how long that took.
     *
     * @param  string  $id  of the piece
     * @return list<Observation>
     */
    public function observations(string $id): array
    {
        $all = [];
        if ($this->houseG > 0.0) {
            $all[] = $this->one('part:'.$id, Quantity::Density, $this->firmness, $this->houseG, $this->grams);
        }
        if ($this->weighedG !== null) {
            $expected = $this->grams * (1 + Densities::house()->coverWaste);
            $all[] = $this->one('waste:'.$id, Quantity::Waste, 'cover', $expected, $this->weighedG);
        }
        if ($this->minutes !== null && $this->houseMinutes !== null) {
            $all[] = $this->one('time:'.$id, Quantity::Pace, 'felt', $this->houseMinutes, $this->minutes);
        }

        return $all;
    }

    private function one(string $id, Quantity $quantity, string $group, float $expected, float $found): Observation
    {
        return new Observation($id, $quantity, $group, $this->what, $expected, $found, $this->figure);
    }

    /** What is asked before it is learned from, where a digit seems to have slipped; nothing where it is as likely as others. */
    public function doubt(Hand $hand): ?Message
    {
        $density = $this->one('new', Quantity::Density, $this->firmness, $this->houseG, $this->grams);

        return $hand->isDoubtful($density)
            ? Message::of('hand.finished-piece.where-about-were', grams: Amount::g($this->grams), houseG: Amount::g($this->houseG))
            : null;
    }
}
