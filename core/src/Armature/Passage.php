<?php

declare(strict_types=1);

namespace Impa\Armature;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Wire;
use WeakMap;

/** Where a wire of the figure goes: the limbs that are made round it, and what it only goes through or ends in. Immutable. */
final readonly class Passage
{
    /** A limb is made round a wire that follows it for so much of its length (house choice). */
    private const ALONG = 0.6;

    /**
     * @param  list<string>  $limbs  keys of the parts that are made round it
     * @param  array<string, non-empty-list<Vec3>>  $holes  where it enters and leaves, by the part that it goes
     *     through; for a loose wire also by the part that it ends in
     */
    private function __construct(
        public Wire $wire,
        public array $limbs,
        public array $holes,
    ) {
    }

    /** @return list<self> of every wire that the felter drew; of one figure looked for once, as it never changes */
    public static function all(Figure $figure): array
    {
        /** @var WeakMap<Figure, list<self>> $known */
        static $known = new WeakMap;

        return $known[$figure] ??= array_map(static fn (Wire $wire): self => self::of($wire, $figure), array_values($figure->wires));
    }

    public static function of(Wire $wire, Figure $figure): self
    {
        $limbs = array_filter($figure->parts, static fn (Part $part): bool => self::isRound($wire, $part));
        // A limb's wire that ends in another part is pushed in when the limb is joined.
        $least = $limbs === [] ? 1 : 2;
        $holes = [];
        foreach (WireAdvice::through($wire, $figure) as ['part' => $key, 'holes' => $in]) {
            if (! isset($limbs[$key]) && count($in) >= $least) {
                $holes[$key] = $in;
            }
        }

        return new self($wire, array_keys($limbs), $holes);
    }

    /** Whether a part is made round a wire: it is long, and the wire follows it. */
    public static function isRound(Wire $wire, Part $part): bool
    {
        if (! $part->solid->kind()->isLong()) {
            return false;
        }
        $inside = array_map(static fn (array $course): float => WireAdvice::insideMm($course, $part), $wire->courses());

        return max($inside) >= self::ALONG * $part->solid->size()->heightMm;
    }

    /** Whether no limb is made round it: a whisker, a stalk, a handle. */
    public function isLoose(): bool
    {
        return $this->limbs === [];
    }
}
