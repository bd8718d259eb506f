<?php

declare(strict_types=1);

namespace Impa\Figure\Placing;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Term\SeatWay;
use Impa\Shape\ShapeKind;
use WeakMap;

/**
 * How a part sits in what it is joined to. A limb's end goes in as it is; a hat, hair, a scarf is felted onto what bears it, and what
 * would lie within is not made: it is hollow below, or thinner. It is as she says; else as its join and shape say, or how much of it
 * lies within (house choices). Immutable.
 */
final readonly class Seat
{
    /** With its middle and so much of it within, it is no limb whose end goes in. */
    private const MUCH = 0.6;

    /** Less than this within is no hollow. */
    private const LITTLE = 0.1;

    /** With so much within, nothing of it shows. */
    private const HIDDEN = 0.98;

    /** A cap is measured at each third point of its skin, by so many halvings. */
    private const EACH = 3;

    private const HALVINGS = 12;

    /**
     * @param  Shared  $shared  of one piece, with what it is joined to; nothing where that was not asked
     * @param  float  $capMm  how thick it is made where it is thickest; 0 where it is made as drawn
     */
    private function __construct(public SeatWay $way, public Shared $shared, public float $capMm = 0.0)
    {
    }

    public static function apart(): self
    {
        return new self(SeatWay::Apart, Shared::none());
    }

    public static function of(Figure $figure, Part $part): self
    {
        $host = self::host($figure, $part);

        return $host === null ? self::apart() : self::on($part, $host);
    }

    /** What a part is joined to; none where it stands by itself, or is a layer. */
    public static function host(Figure $figure, Part $part): ?Part
    {
        return $part->isJoined() && ! $figure->flat->isFlat() ? $figure->parts[$part->join->to] : null;
    }

    /** Told once for each part and what it is joined to: neither changes, and a plan asks often. What is told holds neither of them. */
    public static function on(Part $part, Part $host): self
    {
        /** @var WeakMap<Part, WeakMap<Part, self>> $known */
        static $known = new WeakMap;
        /** @var WeakMap<Part, self> $seats */
        $seats = $known[$part] ?? new WeakMap;
        $known[$part] = $seats;

        return $seats[$host] ??= self::told($part, $host);
    }

    private static function told(Part $part, Part $host): self
    {
        $in = new self(SeatWay::In, Shared::none());
        $piece = Placement::of($part);
        $hosts = $host->placements();
        $isLaid = $part->join->onto ?? self::isLaid($part);
        $isWhole = $part->join->onto === false || $part->made->covering->way->replacesCover();
        if ($isWhole || (! $isLaid && ! self::hasMiddle($piece, $hosts))) {
            return $in;
        }
        $shared = Shared::of($piece, $part->solid, $hosts);

        return match (true) {
            $shared->share >= self::HIDDEN => new self(SeatWay::Hidden, $shared),
            $shared->share >= ($isLaid ? self::LITTLE : self::MUCH) => new self(
                SeatWay::Onto,
                $shared,
                self::capMm($piece, $hosts),
            ),
            default => new self(SeatWay::In, $shared),
        };
    }

    /** What it shares with what it is joined to, whichever way it sits. */
    public static function sharing(Figure $figure, Part $part): Shared
    {
        $host = self::host($figure, $part);

        return $host === null ? Shared::none() : Shared::of(Placement::of($part), $part->solid, $host->placements());
    }

    public function isOnto(): bool
    {
        return $this->way === SeatWay::Onto;
    }

    /** Whether it is of a kind that lies on what bears it. */
    private static function isLaid(Part $part): bool
    {
        return $part->join->by === JoinBy::Wrap
            || $part->made->covering->way->liesDown()
            || in_array($part->solid->kind(), [ShapeKind::Dome, ShapeKind::Cup], true);
    }

    /**
     * Whether its middle lies within, and it is not led in by its join. Of what is round about its middle no more than half lies within
     * something round where its middle does not.
     *
     * @param  list<Placement>  $hosts
     */
    private static function hasMiddle(Placement $piece, array $hosts): bool
    {
        if (in_array($piece->part->join->by, [JoinBy::Slit, JoinBy::Neck, JoinBy::Sandwich, JoinBy::Wire], true)) {
            return false;
        }
        $middle = $piece->place(...$piece->part->solid->middleOfMass());

        return array_filter($hosts, static fn (Placement $host): bool => $host->holds(...$middle)) !== [];
    }

    /**
     * How thick it is where it is thickest, from the skin of what it lies on outwards to its own, seen from the middle of that.
     *
     * @param  non-empty-list<Placement>  $hosts
     */
    private static function capMm(Placement $piece, array $hosts): float
    {
        $thickest = 0.0;
        $n = 0;
        foreach ($piece->rings() as $ring) {
            foreach ($ring as $at) {
                if (++$n % self::EACH === 0) {
                    $above = INF;
                    foreach ($hosts as $host) {
                        $above = min($above, self::above($host, $at));
                    }
                    $thickest = max($thickest, $above);
                }
            }
        }

        return $thickest;
    }

    /**
     * How far a point lies outside a piece, on the way from the middle of that; 0 within it.
     *
     * @param  Vec3  $at
     */
    private static function above(Placement $piece, array $at): float
    {
        if ($piece->holds(...$at)) {
            return 0.0;
        }
        $from = $piece->at;
        [$in, $out] = [0.0, 1.0];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($in + $out) / 2;
            $isIn = $piece->holds(
                $from[0] + $middle * ($at[0] - $from[0]),
                $from[1] + $middle * ($at[1] - $from[1]),
                $from[2] + $middle * ($at[2] - $from[2]),
            );
            [$in, $out] = $isIn ? [$middle, $out] : [$in, $middle];
        }

        return (1 - $in) * self::far($from, $at);
    }

    /**
     * @param  Vec3  $a
     * @param  Vec3  $b
     */
    private static function far(array $a, array $b): float
    {
        return sqrt(($a[0] - $b[0]) ** 2 + ($a[1] - $b[1]) ** 2 + ($a[2] - $b[2]) ** 2);
    }
}
