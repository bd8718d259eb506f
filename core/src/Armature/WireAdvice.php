<?php

declare(strict_types=1);

namespace Impa\Armature;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Wire;
use Impa\Material\WireMaterial;
use Impa\Wool\Ledger\Ledger;

/** What a wire takes, whether it holds, and what it goes through. Immutable. */
final readonly class WireAdvice
{
    /** A course is looked along in so many steps at most: a mm each for one of a metre. */
    private const MOST_STEPS = 1000;

    /** A stride along a course, as a share of the thinnest of a part: a graze that is shorter is none. */
    private const STRIDE = 0.15;

    /** A limb that sinks by more than this share of its length hangs, but for what nobody sees in wool, mm (house choices). */
    private const SAG_SHARE = 0.05;

    private const UNSEEN_MM = 1.0;

    /** It stays as bent while its stress is below this share of what bends it for good (house choice). */
    private const SAFE_SHARE = 0.7;

    /**
     * @param  float  $cutMm  of each, fold-backs and loops included; a doubled one in one piece
     * @param  float  $freeMm  the longest stretch that stands out of what holds it
     * @param  float  $carriesG  what hangs on that stretch and at its end, its own weight left out
     * @param  float  $sagMm  how far its end sinks, held out level
     * @param  ?float  $adviceMm  the thinnest of its material that is sold and holds; none where none does
     * @param  list<array{part: string, holes: list<Vec3>}>  $through  what it goes through, and where it enters
     *     and leaves
     */
    private function __construct(
        public Wire $wire,
        public float $cutMm,
        public float $freeMm,
        public float $carriesG,
        public float $sagMm,
        public bool $staysAsBent,
        public ?float $adviceMm,
        public array $through,
    ) {
    }

    public static function of(Wire $wire, Figure $figure, Ledger $ledger): self
    {
        $walked = self::walked($wire, $figure);
        [$free, $along, $end] = self::load($wire, $figure, $ledger, array_filter(array_column($walked, 'insideMm', 'part')));
        $beam = self::beam($wire, $wire->gaugeMm, $free, $along, $end);

        return new self(
            wire: $wire,
            cutMm: self::cut($wire),
            freeMm: $free,
            carriesG: $along + $end,
            sagMm: $beam->sagMm(),
            staysAsBent: $beam->stressMPa() < self::SAFE_SHARE * $wire->material->yieldMPa(),
            adviceMm: self::thinnest($wire, $free, $along, $end),
            through: self::pierced($walked),
        );
    }

    /** Length to cut for one of it: its course, doubled and twisted where it is, its loop, and each end turned back that has none. */
    public static function cut(Wire $wire): float
    {
        $strands = $wire->made->doubled ? 2 * Wire::takeUp($wire->gaugeMm) : 1.0;

        return $strands * $wire->lengthMm() + M_PI * $wire->made->endLoopMm + self::foldBacksMm($wire);
    }

    /** What its ends take that are turned back: a loop is turned back already. */
    public static function foldBacksMm(Wire $wire): float
    {
        return ($wire->made->endLoopMm > 0.0 ? 1 : 2) * WireMaterial::FOLD_BACK_MM;
    }

    /** Whether it goes through any piece of a part. */
    public static function isThrough(Wire $wire, Part $part): bool
    {
        foreach ($wire->courses() as $course) {
            if (self::insideMm($course, $part) > 0.0) {
                return true;
            }
        }

        return false;
    }

    /** The thinnest that is sold and neither hangs nor bends. */
    private static function thinnest(Wire $wire, float $freeMm, float $alongG, float $endG): ?float
    {
        foreach ($wire->material->soldMm() as $mm) {
            $beam = self::beam($wire, $mm, $freeMm, $alongG, $endG);
            if (
                $beam->sagMm() <= max(self::UNSEEN_MM, self::SAG_SHARE * $freeMm) &&
                $beam->stressMPa() < self::SAFE_SHARE * $wire->material->yieldMPa()
            ) {
                return $mm;
            }
        }

        return null;
    }

    private static function beam(Wire $wire, float $mm, float $freeMm, float $alongG, float $endG): Beam
    {
        $ownG = $wire->strands() * M_PI / 4 * $mm ** 2 * $freeMm / 1000 * $wire->material->gPerCm3();

        return new Beam($freeMm, $mm, $wire->strands(), $wire->material->youngGPa(), $ownG + $alongG, $endG);
    }

    /**
     * The longest stretch of limb that it holds out, what that weighs, and what is held at its end, with all that is joined to that.
     *
     * @param  array<string, float>  $insideMm  by the parts that it goes through
     * @return Vec3 mm and g
     */
    private static function load(Wire $wire, Figure $figure, Ledger $ledger, array $insideMm): array
    {
        $free = $along = $end = 0.0;
        foreach ($figure->parts as $part) {
            if (! $part->isJoined() || ! $part->solid->kind()->isLong() || ! isset($insideMm[$part->key])) {
                continue;
            }
            $length = $part->solid->size()->heightMm;
            if ($length > $free) {
                $free = $length;
                $along = $ledger->wool[$part->key]->finishedG();
                $end = self::heldG($part->key, $figure, $ledger);
            }
        }

        return $free > 0.0 ? [$free, $along, $end] : [$wire->lengthMm() / 2, 0.0, 0.0];
    }

    /** What is joined to a part, and to that, and so on: one piece of each. */
    private static function heldG(string $key, Figure $figure, Ledger $ledger): float
    {
        $g = 0.0;
        foreach ($figure->parts as $other => $part) {
            if ($part->join->to === $key && (string) $other !== $key) {
                $g += $ledger->wool[$other]->finishedG() + self::heldG((string) $other, $figure, $ledger);
            }
        }

        return $g;
    }

    /** @return list<array{part: string, holes: non-empty-list<Vec3>}> what it goes through or ends in, and where */
    public static function through(Wire $wire, Figure $figure): array
    {
        return self::pierced(self::walked($wire, $figure));
    }

    /**
     * @param  list<array{part: string, insideMm: float, holes: list<Vec3>}>  $walked
     * @return list<array{part: string, holes: non-empty-list<Vec3>}>
     */
    private static function pierced(array $walked): array
    {
        $through = [];
        foreach ($walked as ['part' => $part, 'holes' => $holes]) {
            if ($holes !== []) {
                $through[] = ['part' => $part, 'holes' => $holes];
            }
        }

        return $through;
    }

    /** @return list<array{part: string, insideMm: float, holes: list<Vec3>}> its own course through each part */
    private static function walked(Wire $wire, Figure $figure): array
    {
        $steps = self::steps($wire->pointsMm);

        return array_map(
            static fn (Part $part): array => ['part' => $part->key] + self::along($wire->pointsMm, $steps, $part),
            array_values($figure->parts),
        );
    }

    /**
     * How much of a course lies in a part's pieces, and where it enters and leaves them.
     *
     * @param  list<Vec3>  $course
     * @param  list<Vec3>  $steps  places along it
     * @return array{insideMm: float, holes: list<Vec3>}
     */
    private static function along(array $course, array $steps, Part $part): array
    {
        $pieces = self::near($course, $part);
        if ($pieces === []) {
            return ['insideMm' => 0.0, 'holes' => []];
        }
        $size = $part->solid->size();
        $step = self::stepMm($course);
        // Through a large part it goes in long strides; where one begins outside and ends inside, the place between is looked for.
        $stride = max(1, (int) (min($size->widthMm, $size->heightMm, $size->depthMm) * self::STRIDE / $step));
        $last = count($steps) - 1;
        $wasIn = self::isIn($pieces, $steps[0]);
        $count = (int) $wasIn;
        $holes = [];
        for ($from = 0; $from < $last; $from = $to) {
            $to = min($last, $from + $stride);
            $isIn = self::isIn($pieces, $steps[$to]);
            if ($isIn === $wasIn) {
                $count += $isIn ? $to - $from : 0;

                continue;
            }
            $turn = self::turn($pieces, $steps, $from, $to);
            $holes[] = $steps[$turn];
            $count += $isIn ? $to - $turn + 1 : $turn - 1 - $from;
            $wasIn = $isIn;
        }

        return ['insideMm' => $count === 0 ? 0.0 : $count * $step, 'holes' => $holes];
    }

    /**
     * The first place of a stride that lies as its end does, and not as its beginning.
     *
     * @param  list<Placement>  $pieces
     * @param  list<Vec3>  $steps
     */
    private static function turn(array $pieces, array $steps, int $from, int $to): int
    {
        $isIn = self::isIn($pieces, $steps[$to]);
        while ($to - $from > 1) {
            $middle = intdiv($from + $to, 2);
            [$from, $to] = self::isIn($pieces, $steps[$middle]) === $isIn ? [$from, $middle] : [$middle, $to];
        }

        return $to;
    }

    /**
     * The pieces of a part that a course comes near at all: the box around it, and the ball around each piece.
     *
     * @param  list<Vec3>  $course
     * @return list<Placement>
     */
    private static function near(array $course, Part $part): array
    {
        if ($course === []) {
            return [];
        }
        $size = $part->solid->size();
        $radius2 = ($size->widthMm ** 2 + $size->heightMm ** 2 + $size->depthMm ** 2) / 4;
        $near = [];
        foreach ($part->placements() as $piece) {
            $far = 0.0;
            foreach ([0, 1, 2] as $axis) {
                $along = array_column($course, $axis);
                $far += max(0.0, min($along) - $piece->at[$axis], $piece->at[$axis] - max($along)) ** 2;
            }
            if ($far <= $radius2) {
                $near[] = $piece;
            }
        }

        return $near;
    }

    /**
     * How much of a course lies in a part, mm.
     *
     * @param  list<Vec3>  $course
     */
    public static function insideMm(array $course, Part $part): float
    {
        return self::near($course, $part) === [] ? 0.0 : self::along($course, self::steps($course), $part)['insideMm'];
    }

    /**
     * @param  list<Placement>  $pieces
     * @param  Vec3  $point
     */
    private static function isIn(array $pieces, array $point): bool
    {
        foreach ($pieces as $piece) {
            if ($piece->holds(...$point)) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Vec3>  $course */
    private static function stepMm(array $course): float
    {
        $mm = 0.0;
        for ($i = 1, $n = count($course); $i < $n; $i++) {
            $mm += self::apartMm($course[$i - 1], $course[$i]);
        }

        return max(1.0, $mm / self::MOST_STEPS);
    }

    /**
     * @param  Vec3  $a
     * @param  Vec3  $b
     */
    private static function apartMm(array $a, array $b): float
    {
        return sqrt(($b[0] - $a[0]) ** 2 + ($b[1] - $a[1]) ** 2 + ($b[2] - $a[2]) ** 2);
    }

    /**
     * Places a mm apart along a course, more or less; farther apart along one that is longer than a metre.
     *
     * @param  list<Vec3>  $course
     * @return list<Vec3>
     */
    private static function steps(array $course): array
    {
        $step = self::stepMm($course);
        $steps = array_slice($course, 0, 1);
        for ($i = 1, $n = count($course); $i < $n; $i++) {
            [$a, $b] = [$course[$i - 1], $course[$i]];
            $count = max(1, (int) ceil(self::apartMm($a, $b) / $step));
            for ($k = 1; $k <= $count; $k++) {
                $share = $k / $count;
                $steps[] = [
                    $a[0] + $share * ($b[0] - $a[0]),
                    $a[1] + $share * ($b[1] - $a[1]),
                    $a[2] + $share * ($b[2] - $a[2]),
                ];
            }
        }

        return $steps;
    }
}
