<?php

declare(strict_types=1);

namespace Impa\Balance;

use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;

/**
 * What makes a top-heavy figure stand firmly, each with the least amount that is enough: a flatter base, weight low on the far side,
 * washers in the foot, what it carries moved over the base, its feet farther apart, a footing that hardly shows (common practice); where
 * none alone is enough, a flatter base and weight together.
 */
final class Cures
{
    /** A washer of steel weighs so much, in g: 20 mm across, with a hole of 8 mm, 3 mm thick (7.85 g/cm3), and a little less. */
    public const WASHER_G = 6.0;

    private const MOST_WASHERS = 6;

    /** It lies so far above the table, in mm. */
    private const WASHER_MM = 2.0;

    /** What is carried moves by this share of the width of what carries it at most, feet by this share of the figure's. */
    private const FARTHEST = 0.25;

    /** How far towards the far edge weight goes, as a share of the way from the footprint's middle. */
    private const FAR = 0.6;

    private function __construct(private readonly Balance $balance, private readonly Figure $figure)
    {
    }

    /**
     * @param  int  $most  so many are enough: those that are reckoned fastest come first
     * @return list<Cure> none where it stands firmly already, or need not stand
     */
    public static function of(Balance $balance, int $most = PHP_INT_MAX): array
    {
        if (! $balance->isTouchy()) {
            return [];
        }
        $cures = new self($balance, $balance->figure);

        $found = [];
        $ways = [
            $cures->flatten(...), $cures->weight(...), $cures->washers(...), $cures->carry(...), $cures->feet(...), $cures->footing(...),
        ];
        foreach ($ways as $way) {
            $found = array_values(array_filter([...$found, $way()]));
            if (count($found) >= $most) {
                break;
            }
        }

        return $found === [] ? array_values(array_filter([$cures->both()])) : $found;
    }

    /**
     * The figure with one of these cures.
     *
     * @throws BalanceRefused if it needs none, or that one is not enough
     */
    public static function tried(Balance $balance, string $kind): Figure
    {
        foreach (self::of($balance) as $cure) {
            if ($cure->kind === $kind) {
                return self::done($balance, $cure);
            }
        }
        throw BalanceRefused::noSuchCure($kind);
    }

    private static function done(Balance $balance, Cure $cure): Figure
    {
        $figure = $balance->figure;
        if ($cure->kind === 'footing') {
            return Footing::of($balance)->figure ?? $figure;
        }
        if (in_array($cure->kind, ['flatten', 'both'], true)) {
            $figure = Choices::flattened($figure, $cure->amount);
        }
        if ($cure->kind !== 'flatten' && $cure->parts === []) {
            $figure = Choices::weighted($figure, $cure->kind === 'both' ? $cure->g : $cure->amount, $cure->mm);
        }

        return Choices::moved($figure, $cure->parts, $cure->mm);
    }

    private function footing(): ?Cure
    {
        $footing = Footing::of($this->balance);

        // Where nothing but the base is changed, that is said already.
        return $footing === null || ($footing->feetMm === 0.0 && $footing->longMm === 0.0)
            ? null
            : new Cure('footing', $footing->mostMm(), 'mm', $footing->tipDeg, $footing->text());
    }

    private function flatten(): ?Cure
    {
        $mm = $this->balance->flattenMm();

        return $mm <= 0.0 ? null : new Cure(
            'flatten',
            $mm,
            'mm',
            Balance::leanDeg($this->balance->footprint->flattened($mm), $this->balance->centreMm),
            Message::of('balance.cures.flatten', by: Amount::mm($mm)),
        );
    }

    private function weight(): ?Cure
    {
        $best = null;
        foreach ($this->places() as $where => $at) {
            $g = $this->balance->weightLowG($at);
            if ($g > 0.0 && ($best === null || $g < $best->amount)) {
                $best = new Cure(
                    'weight',
                    $g,
                    'g',
                    $this->balance->tipWithDeg($g, $at, Balance::LOW_MM),
                    Message::of('balance.cures.weight', weight: Amount::g($g), where: Message::of('balance.where.'.$where)),
                    mm: [$at[0], $this->balance->footprint->tableMm + Balance::LOW_MM, $at[1]],
                );
            }
        }

        return $best;
    }

    /** Where neither alone is enough: as little as will do of both, each as a share of the most there may be of it. */
    private function both(): ?Cure
    {
        [$best, $least] = [null, INF];
        $most = (int) floor(Footprint::mostMm($this->figure->heightMm));
        for ($mm = max(2, (int) ceil($this->figure->base->flattenMm)); $mm <= $most; $mm++) {
            $flat = $this->balance->flattened($mm);
            foreach ((new self($flat, $this->figure))->places() as $where => $at) {
                $g = $flat->weightLowG($at);
                $share = $mm / $most + $g / $flat->massG;
                if ($g > 0.0 && $share < $least) {
                    $least = $share;
                    $best = new Cure(
                        'both',
                        $mm,
                        'mm',
                        $flat->tipWithDeg($g, $at, Balance::LOW_MM),
                        Message::of(
                            'balance.cures.both',
                            by: Amount::mm($mm),
                            weight: Amount::g($g),
                            where: Message::of('balance.where.'.$where),
                        ),
                        mm: [$at[0], $flat->footprint->tableMm + Balance::LOW_MM, $at[1]],
                        g: $g,
                    );
                }
            }
        }

        return $best;
    }

    private function washers(): ?Cure
    {
        foreach (range(1, self::MOST_WASHERS) as $count) {
            foreach ($this->places() as $where => $at) {
                $tipDeg = $this->balance->tipWithDeg($count * self::WASHER_G, $at, self::WASHER_MM);
                if ($tipDeg >= Balance::TOUCHY_DEG) {
                    return new Cure(
                        'washers',
                        $count * self::WASHER_G,
                        'g',
                        $tipDeg,
                        Message::of(
                            'balance.cures.washers',
                            count: $count,
                            weight: Amount::g(self::WASHER_G),
                            where: Message::of('balance.where.'.$where),
                        ),
                        mm: [$at[0], $this->balance->footprint->tableMm + self::WASHER_MM, $at[1]],
                    );
                }
            }
        }

        return null;
    }

    /** What stands on the root, such as a head on its neck, moved over the middle of the footprint. */
    private function carry(): ?Cure
    {
        $root = array_key_first(array_filter($this->figure->parts, static fn (Part $p): bool => ! $p->isJoined()));
        if ($root === null) {
            return null;
        }
        [$heaviest, $most] = ['', 0.0];
        foreach ($this->figure->parts as $key => $part) {
            $g = $part->join->to === $root && ! $this->balance->footprint->bears($part) ? $this->balance->carriedG((string) $key) : 0.0;
            [$heaviest, $most] = $g > $most ? [(string) $key, $g] : [$heaviest, $most];
        }
        [$x, $z] = $this->balance->footprint->middle();
        [$offX, $offZ] = [$this->balance->centreMm[0] - $x, $this->balance->centreMm[2] - $z];
        if ($heaviest === '' || $this->figure->parts[$heaviest]->stand->mirror || hypot($offX, $offZ) < 0.1) {
            return null;
        }
        // Along the axis on which it is farther off: that is how a felter thinks of it.
        $axis = abs($offZ) >= abs($offX) ? 2 : 0;
        $way = ($axis === 2 ? $offZ : $offX) > 0 ? -1.0 : 1.0;
        $size = $this->figure->parts[$root]->solid->size();
        $farthest = self::FARTHEST * ($axis === 2 ? $size->depthMm : $size->widthMm);
        for ($mm = 0.5; $mm <= $farthest; $mm += 0.5) {
            $centre = $this->balance->centreMm;
            $centre[$axis] += $way * $mm * $most / $this->balance->massG;
            $tipDeg = Balance::leanDeg($this->balance->footprint, $centre);
            if ($tipDeg >= Balance::TOUCHY_DEG) {
                $where = $axis === 2 ? ($way > 0 ? 'forwards' : 'backwards') : ($way > 0 ? 'right' : 'left');

                return new Cure(
                    'carry',
                    $mm,
                    'mm',
                    $tipDeg,
                    Message::of('balance.cures.carry-'.$where, part: new Name($this->figure->parts[$heaviest]->name), by: Amount::mm($mm)),
                    $this->figure->branchOf($heaviest),
                    $axis === 2 ? [0.0, 0.0, $way * $mm] : [$way * $mm, 0.0, 0.0],
                );
            }
        }

        return null;
    }

    /** The pairs that it stands on, farther apart. */
    private function feet(): ?Cure
    {
        $onTable = array_filter($this->figure->parts, fn (Part $p): bool => $p->stand->mirror && $this->balance->footprint->bears($p));
        $feet = array_map(strval(...), array_keys($onTable));
        $apart = function (int $mm) use ($feet): float {
            $moved = Choices::moved($this->figure, $feet, [$mm / 2, 0.0, 0.0]);

            return Balance::leanDeg(Footprint::of($moved), $this->balance->centreMm);
        };
        [$low, $high] = [1, (int) (self::FARTHEST * $this->figure->heightMm)];
        if ($feet === [] || $apart($high) < Balance::TOUCHY_DEG) {
            return null;
        }
        // The farther apart they stand, the larger the footprint: bisection.
        while ($low < $high) {
            $mm = intdiv($low + $high, 2);
            [$low, $high] = $apart($mm) >= Balance::TOUCHY_DEG ? [$low, $mm] : [$mm + 1, $high];
        }

        return new Cure(
            'feet',
            $low,
            'mm',
            $apart($low),
            Message::of('balance.cures.feet', by: Amount::mm($low)),
            array_map(strval(...), $feet),
            [$low / 2, 0.0, 0.0],
        );
    }

    /**
     * Where weight may go, by the codes of lang/, balance.where.
     *
     * @return array<string, array{float, float}> x and z of the footprint's middle, and away from the weak side
     */
    private function places(): array
    {
        [$x, $z] = $this->balance->footprint->middle();
        $weak = deg2rad($this->balance->weakestDeg());
        [$dx, $dz] = [-cos($weak), -sin($weak)];
        $reach = self::FAR * $this->balance->footprint->reachMm($x, $z, $dx, $dz);
        $where = abs($dz) >= abs($dx) ? ($dz > 0 ? 'front' : 'back') : ($dx > 0 ? 'right' : 'left');

        return ['middle' => [$x, $z], $where => [$x + $reach * $dx, $z + $reach * $dz]];
    }
}
