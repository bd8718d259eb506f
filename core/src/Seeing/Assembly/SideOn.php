<?php

declare(strict_types=1);

namespace Impa\Seeing\Assembly;

use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\Piece;
use Impa\Shape\ShapeKind;

/**
 * Names for a creature that is drawn from its side: a bird, a fish, a snail, what goes on four legs. It shows one eye, and that towards
 * where it looks. Immutable.
 */
final readonly class SideOn
{
    /** An eye is no larger than this share of what it lies on, and no longer than so many times its width. */
    private const EYE = 0.06;

    private const ROUND = 2.5;

    /** It lies so far off the middle of that, as a share of its width; two are a pair when they mirror to this share of it. */
    private const OFF = 0.08;

    private const PAIR = 0.12;

    /** What lies so far out of what it is joined to, in halves of its size, is before, behind, above or below it. */
    private const OUT = 0.6;

    /** A shell is at least so much of what bears it. */
    private const SHELL = 0.5;

    private const HARDLY_PX = 1.0;

    /** A leg stands beside the middle plane by so much of the body's depth. */
    private const BESIDE = 0.25;

    private const POINTED = [ShapeKind::Cone, ShapeKind::Drop, ShapeKind::Gumdrop];

    /**
     * @param  array<int, Piece>  $pieces
     * @param  int  $way  1 where it looks to the right, -1 to the left
     */
    private function __construct(private array $pieces, private int $root, private int $head, private int $way)
    {
    }

    /**
     * @param  array<int, Piece>  $pieces
     * @param  list<Mark>  $marks
     * @param  list<bool>  $isDark  by colour
     * @return ?self none where it does not look so
     */
    public static function of(array $pieces, array $marks, array $isDark, int $root): ?self
    {
        $heads = [];
        foreach ($pieces as $k => $piece) {
            $heads[$k] = self::eyes($piece, $k, $marks, $isDark);
        }
        $heads = array_filter($heads);
        $head = (int) array_key_first($heads);
        if (count($heads) !== 1 || self::hasPair($pieces[$head], $heads[$head])) {
            return null;
        }
        foreach ($pieces as $piece) {
            // What goes on legs may show two that mirror by chance.
            if ($piece->mirror && ($piece->joinTo === $head || $piece->fit->y > $pieces[$root]->fit->y)) {
                return null;
            }
        }
        $off = array_map(static fn (Mark $m): float => $m->blob->middle[0] - $pieces[$head]->fit->x, $heads[$head]);
        usort($off, static fn (float $a, float $b): int => abs($b) <=> abs($a));

        $seen = new self($pieces, $root, $head, $off[0] < 0 ? -1 : 1);
        // A head alone that shows one eye is seen from the front, unless a tail says otherwise.
        $isCreature = $head !== $root || in_array('Tail', array_map($seen->name(...), array_keys($pieces)), true);

        return $isCreature && abs($off[0]) >= self::OFF * self::widthPx($pieces[$head]) ? $seen : null;
    }

    /**
     * Whether a piece has a pair of eyes.
     *
     * @param  list<Mark>  $marks
     * @param  list<bool>  $isDark  by colour
     */
    public static function isFace(Piece $piece, int $number, array $marks, array $isDark): bool
    {
        return self::hasPair($piece, self::eyes($piece, $number, $marks, $isDark));
    }

    public function name(int $k): string
    {
        $piece = $this->pieces[$k];
        if ($k === $this->root) {
            return 'Body';
        }
        if ($k === $this->head) {
            return 'Head';
        }
        $to = $this->pieces[$piece->joinTo];
        [, $high] = $to->blob->box(0.0);
        $out = 2 * $this->way * ($piece->blob->middle[0] - $to->blob->middle[0]) / self::widthPx($to);
        $up = 2 * ($piece->blob->middle[1] - $to->blob->middle[1]) / $high;
        $isPointed = in_array($piece->fit->kind, self::POINTED, true);
        $isTall = $piece->blob->box(0.0)[1] > self::widthPx($piece);
        $isBody = $piece->joinTo === $this->root;

        return match (true) {
            $piece->fit->kind === ShapeKind::Cord && $up > 0 => 'Feeler',
            $piece->joinTo === $this->head && ! $isBody => match (true) {
                $up > self::OUT => 'Ear',
                $out > self::OUT => $isPointed ? 'Beak' : 'Snout',
                default => 'Part',
            },
            $isBody && $piece->mirror => $isTall ? 'Leg' : 'Foot',
            $isBody && $out < -self::OUT && ! ($isTall && $up < -self::OUT) => 'Tail',
            $isBody && $up < -self::OUT => $this->head === $this->root ? 'Fin' : ($isTall ? 'Leg' : 'Foot'),
            $isBody && $up > self::OUT && $piece->blob->area() > self::SHELL * $to->blob->area() => 'Shell',
            $isBody && $up > self::OUT => $this->head === $this->root ? 'Fin' : 'Part',
            $isBody && $out > self::OUT => 'Snout',
            $isBody => $this->head === $this->root ? 'Fin' : 'Wing',
            $piece->blob->middle[1] < $this->pieces[$this->root]->blob->middle[1] => $isTall ? 'Leg' : 'Foot',
            default => 'Tip',
        };
    }

    /**
     * Seen from its side, what is drawn lies in the middle plane, but for legs and ears: of two beside each other one is on the near side
     * and one on the far side.
     */
    public function place(): void
    {
        $ways = ['Leg' => [], 'Ear' => []];
        foreach ($this->pieces as $k => $piece) {
            $name = $this->name($k);
            $kind = $name === 'Foot' ? 'Leg' : $name;
            if ($kind !== 'Wing') {
                // What is drawn behind stays there, but hardly.
                $piece->zPx = max(-self::HARDLY_PX, min(self::HARDLY_PX, $piece->zPx));
            }
            if (isset($ways[$kind]) && in_array($piece->joinTo, [$this->root, $this->head], true)) {
                $ways[$kind][$k] = $piece->blob->middle[0];
            }
        }
        foreach ($ways as $of) {
            asort($of);
            $isNear = true;
            foreach (count($of) > 1 ? $of : [] as $k => $_) {
                $beside = ($isNear ? 1 : -1) * self::BESIDE * $this->pieces[$this->pieces[$k]->joinTo]->fit->depthPx();
                $isNear = ! $isNear;
                foreach (array_intersect_key($this->pieces, array_flip([$k, ...$this->below($k)])) as $piece) {
                    $piece->zPx = $beside;
                }
            }
        }
    }

    /** @return list<int> what is joined to a piece, or to what is joined to it */
    private function below(int $k): array
    {
        $all = [$k];
        for ($i = 0; $i < count($all); $i++) {
            foreach ($this->pieces as $j => $piece) {
                if ($piece->joinTo === $all[$i]) {
                    $all[] = $j;
                }
            }
        }

        return array_slice($all, 1);
    }

    /**
     * @param  list<Mark>  $marks
     * @param  list<bool>  $isDark  by colour
     * @return list<Mark> those on a piece that may be eyes
     */
    private static function eyes(Piece $piece, int $number, array $marks, array $isDark): array
    {
        return array_values(array_filter($marks, static fn (Mark $m): bool => $m->on === $number
            && $isDark[$m->label]
            && $m->blob->area() < self::EYE * $piece->blob->area()
            && $m->blob->elongation() < self::ROUND));
    }

    /** @param  list<Mark>  $eyes */
    private static function hasPair(Piece $piece, array $eyes): bool
    {
        $near = self::PAIR * self::widthPx($piece);
        foreach ($eyes as $i => $one) {
            foreach (array_slice($eyes, $i + 1) as $two) {
                $isBeside = abs($one->blob->middle[1] - $two->blob->middle[1]) < $near;
                if ($one->label === $two->label && $isBeside && abs($one->blob->middle[0] - $two->blob->middle[0]) > $near) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function widthPx(Piece $piece): float
    {
        return max(1.0, $piece->blob->box(0.0)[0]);
    }
}
