<?php

declare(strict_types=1);

namespace Impa\Seeing\Assembly;

use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\Piece;
use Impa\Shape\ShapeKind;

/**
 * Names for parts by their place and kind, as suggestions; every key is its own. What the name says is flat becomes flat, and what is seen
 * from its side lies where that says.
 */
final class Naming
{
    private const FLAT = ['Ear', 'Wing', 'Fin'];

    /** A roll so many times longer than thick is as thin as a cord. */
    private const THREAD = 7.0;

    /** A hat is at least so much as wide as what wears it; a tuft is not. */
    private const HAT = 0.35;

    /** What becomes thin has no more than this share of itself in its outer half: a cone has a quarter, an oval a half. */
    private const TAPERS = 0.36;

    /** A stem is so many times taller than wide. */
    private const STEM = 4.0;

    /** What ends within this share of what it is joined to above the lowest end stands on the table. */
    private const LOW = 0.08;

    /**
     * @param  array<int, Piece>  $pieces  by number; key, name and, where the name asks for it, a flat fit are set
     * @param  list<Mark>  $marks
     * @param  list<bool>  $isDark  by colour
     */
    public static function of(array $pieces, array $marks, array $isDark, float $axis): void
    {
        $root = -1;
        foreach ($pieces as $i => $piece) {
            $root = $piece->joinTo < 0 ? $i : $root;
        }
        $head = self::head($pieces, $root, $marks, $isDark);
        $sideOn = SideOn::of($pieces, $marks, $isDark, $root);
        $marked = array_fill_keys(array_map(static fn (Mark $m): int => $m->on, $marks), true);
        $used = [];
        foreach ($pieces as $i => $piece) {
            $name = match (true) {
                $sideOn !== null => $sideOn->name($i),
                $i === $root => $head === $root ? 'Head' : 'Body',
                $i === $head => 'Head',
                default => self::limb($piece, $pieces, $root, $head, isset($marked[$i]), $axis),
            };
            if (self::isThin($name) && ! $piece->fit->isFlat()) {
                $piece->fit = $piece->fit->flattened()->withDepthShare(0.2);
            }
            $used[$name] = ($used[$name] ?? 0) + 1;
            $piece->name = $used[$name] === 1 ? $name : $name.' '.$used[$name];
            $piece->key = strtolower(str_replace(' ', '-', $piece->name));
        }
        $sideOn?->place();
    }

    /** Whether a part of this name is a plate by its nature, however large. */
    public static function isThin(string $name): bool
    {
        return in_array(explode(' ', $name)[0], self::FLAT, true);
    }

    /**
     * The largest piece above the root's middle, if it is a third of the root at least; with nothing below it, the root. What has eyes is
     * the head, and what has none above it is a cap.
     *
     * @param  array<int, Piece>  $pieces
     * @param  list<Mark>  $marks
     * @param  list<bool>  $isDark  by colour
     */
    private static function head(array $pieces, int $root, array $marks, array $isDark): int
    {
        $isFace = SideOn::isFace($pieces[$root], $root, $marks, $isDark);
        $head = -1;
        $largest = 0.33 * $pieces[$root]->blob->area();
        foreach ($pieces as $i => $piece) {
            if (
                $i !== $root &&
                ! $piece->mirror &&
                (! $isFace || SideOn::isFace($piece, $i, $marks, $isDark)) &&
                $piece->fit->y > $pieces[$root]->fit->y + 0.25 * $pieces[$root]->fit->heightPx &&
                $piece->blob->area() > $largest
            ) {
                [$head, $largest] = [$i, $piece->blob->area()];
            }
        }

        return $head >= 0 || (count($pieces) > 1 && self::hasLimbsBelow($pieces, $root)) ? $head : $root;
    }

    /** @param  array<int, Piece>  $pieces */
    private static function hasLimbsBelow(array $pieces, int $root): bool
    {
        foreach ($pieces as $i => $piece) {
            if ($i !== $root && $piece->mirror && $piece->fit->y < $pieces[$root]->fit->y) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<int, Piece>  $pieces */
    private static function limb(Piece $piece, array $pieces, int $root, int $head, bool $isMarked, float $axis): string
    {
        $to = $pieces[$piece->joinTo];
        $above = $piece->fit->y > $to->fit->y + 0.22 * $to->fit->heightPx;
        $isRoll = in_array($piece->fit->kind, [ShapeKind::Sausage, ShapeKind::Drumstick, ShapeKind::Cord], true);
        // An arm may hang far down: its shoulder is what is high.
        $shoulder = $piece->fit->y + abs(cos(deg2rad($piece->fit->turnDeg))) * $piece->fit->heightPx / 2;
        $isHigh = $piece->fit->heightPx > 1.5 * $piece->fit->widthPx && $shoulder > $to->fit->y;
        $below = $piece->fit->y < $to->fit->y - 0.28 * $to->fit->heightPx && ! $isHigh;
        $isCord = $piece->fit->kind === ShapeKind::Cord || $isRoll && $piece->fit->heightPx > self::THREAD * $piece->fit->widthPx;
        $onBody = $piece->joinTo === $root && $head !== $root;
        $sameColour = $piece->region->label === $to->region->label;
        // An ear is flat, which a cord cannot be: what is no whisker on a true head is a limb.
        $onHead = $piece->joinTo === $head || $head < 0 && ! $isCord;
        $isLong = $isRoll || $piece->blob->elongation() > 2.0;
        $isWide = $piece->blob->area() > 0.22 * $to->blob->area();
        $lowest = min([INF, ...array_map(static fn (Piece $p): float => $p->fit->y - $p->fit->heightPx / 2, $pieces)]);
        $isLowest = $piece->fit->y - $piece->fit->heightPx / 2 < $lowest + self::LOW * $to->fit->heightPx;
        $inMiddle = abs($piece->fit->x - $axis) < 0.12 * $to->fit->widthPx;

        return match (true) {
            $piece->mirror && self::isStem($to, $axis) => 'Leaf',
            $isCord && $above && ! $onBody => $piece->mirror ? 'Feeler' : 'Stalk',
            $isCord && $onHead && $head !== $root => 'Whisker',
            $piece->mirror && ! $onHead && ! $onBody && self::isBesideHead($piece, $pieces[$head] ?? null) => 'Ear',
            $piece->mirror && ! $onHead && ! $onBody => $to->fit->y < $pieces[$root]->fit->y ? 'Foot' : 'Hand',
            $piece->mirror && $above && $onHead => self::tapers($piece, $to) && ! $sameColour && ! $isMarked
                ? 'Horn'
                : 'Ear',
            // Where there is a body, what droops from the head is an ear; what a head alone stands on are feet.
            $piece->mirror && $onHead && ! $onBody => $below && $head === $root ? ($isLowest ? 'Foot' : 'Hand') : 'Ear',
            $piece->mirror && $below && $onBody => $isLong ? 'Leg' : 'Foot',
            $piece->mirror && $onBody && ! $isLong && $isWide => 'Wing',
            $piece->mirror && $onBody => 'Arm',
            $above && $onHead && self::isHat($piece, $to) => 'Hat',
            $above && $onHead && $piece->fit->kind === ShapeKind::Cone && ! $inMiddle => 'Horn',
            $inMiddle && $above && $onHead => 'Top',
            $inMiddle && $below && $onHead => self::isStem($piece, $axis) ? 'Stem' : 'Chin',
            $inMiddle && $below => 'Base',
            $inMiddle && $onBody && $above => 'Collar',
            $above && $onHead => 'Tuft',
            ! $inMiddle && $onBody && $isLong && ! $above => $below ? 'Leg' : (self::rootY($piece, $to) > $to->fit->y ? 'Arm' : 'Tail'),
            ! $onBody && ! $onHead => $head >= 0 && self::isOnTop($piece, $pieces[$head]) ? 'Hat' : 'Tip',
            default => 'Part',
        };
    }

    /** What stands upright in the middle, and is many times taller than wide. */
    private static function isStem(Piece $piece, float $axis): bool
    {
        [$wide, $high, $x] = $piece->blob->box(0.0);

        return ! $piece->mirror && $high > self::STEM * $wide && abs($x - $axis) < $wide;
    }

    /** Whether it becomes thin away from what bears it, as a horn does. */
    private static function tapers(Piece $piece, Piece $to): bool
    {
        if ($piece->fit->kind === ShapeKind::Cone) {
            return true;
        }
        [$x, $y] = $piece->blob->middle;
        [$dx, $dy] = [$x - $to->fit->x, $y - $to->fit->y];
        $along = [];
        foreach ($piece->blob->pixels as $i => $_) {
            $along[] = ($i % $piece->blob->width - $x) * $dx + (-intdiv($i, $piece->blob->width) - $y) * $dy;
        }
        if ($along === []) {
            return false;
        }
        $half = (min($along) + max($along)) / 2;

        return count(array_filter($along, static fn (float $a): bool => $a > $half)) < self::TAPERS * count($along);
    }

    private static function isBesideHead(Piece $piece, ?Piece $head): bool
    {
        return $head !== null && $piece->fit->y > $head->fit->y - 0.3 * $head->fit->heightPx;
    }

    private static function isOnTop(Piece $piece, Piece $head): bool
    {
        return self::isHat($piece, $head) && $piece->fit->y > $head->fit->y + 0.22 * $head->fit->heightPx;
    }

    private static function isHat(Piece $piece, Piece $to): bool
    {
        $isShape = in_array($piece->fit->kind, [ShapeKind::Cone, ShapeKind::Dome, ShapeKind::Drum, ShapeKind::Cup], true);

        return $isShape && ! $piece->mirror && $piece->fit->widthPx > self::HAT * $to->fit->widthPx;
    }

    /** How high that end of a long piece lies which is nearer to the middle of what it is joined to. */
    private static function rootY(Piece $piece, Piece $to): float
    {
        $turn = deg2rad($piece->fit->turnDeg);
        [$dx, $dy] = [-sin($turn) * $piece->fit->heightPx / 2, cos($turn) * $piece->fit->heightPx / 2];
        $far = static fn (int $way): float => hypot($piece->fit->x + $way * $dx - $to->fit->x, $piece->fit->y + $way * $dy - $to->fit->y);

        return $piece->fit->y + ($far(1) < $far(-1) ? $dy : -$dy);
    }
}
