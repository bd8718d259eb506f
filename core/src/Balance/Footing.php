<?php

declare(strict_types=1);

namespace Impa\Balance;

use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Voice\Amount;
use Impa\Voice\Listed;
use Impa\Voice\Message;

/**
 * The least that gives a figure a firm footing and hardly shows from the front: its feet farther forwards or back, under its weight; longer
 * feet; a flatter base (common practice). Each is counted as a share of the most there may be of it, and the least sum is taken. Immutable.
 */
final readonly class Footing
{
    /** Feet become longer by so much at most, as a share of how deep they are (house choice: a foot is longer than it is wide). */
    private const LONGER = 1.2;

    private const LONGER_STEPS = 3;

    /** A foot that was seen as a plate is at least so deep before it is made longer, as a share of its shorter side (house choice). */
    private const PLATE = 0.6;

    /** What is flattened shows from the front: it counts so many times. */
    private const FLAT = 2.0;

    /** They move by so much of what bears them at most, as a share of its depth, where it is worth so many degrees, and by so many mm. */
    private const FAR = 0.35;

    private const WORTH_DEG = 0.5;

    private const WORTH_MM = 0.3;

    /**
     * @param  float  $feetMm  how far the feet move forwards
     * @param  float  $longMm  how long they become, from front to back, where they become longer; else 0
     * @param  float  $flattenMm  so much of the base is flat
     */
    private function __construct(
        public Figure $figure,
        public float $feetMm,
        public float $longMm,
        public float $flattenMm,
        public float $tipDeg,
    ) {
    }

    /** Null where it stands firmly already, need not stand, or none is enough. */
    public static function of(Balance $balance): ?self
    {
        $figure = $balance->figure;
        if (! $balance->isTouchy()) {
            return null;
        }
        [$best, $least] = [null, INF];
        $feet = self::feet($balance);
        $most = Footprint::mostMm($figure->heightMm);
        for ($step = 0; $step <= self::LONGER_STEPS; $step++) {
            $share = $step / self::LONGER_STEPS;
            if ($share >= $least || ($share > 0.0 && $feet === [])) {
                break;
            }
            $longer = self::longer($figure, $feet, 1.0 + self::LONGER * $share);
            [$tried, $mm] = self::underWeight($balance->with($longer), $feet);
            $isFirm = $tried->tipDeg() >= Balance::TOUCHY_DEG;
            $flat = $isFirm ? 0.0 : $tried->flattenMm();
            if (($isFirm || $flat > 0.0) && $share + self::FLAT * $flat / $most < $least) {
                $least = $share + self::FLAT * $flat / $most;
                $best = new self(
                    $isFirm ? $tried->figure : Choices::flattened($tried->figure, $flat),
                    $mm,
                    $share > 0.0 ? self::deepest($longer, $feet) : 0.0,
                    $flat,
                    $isFirm ? $tried->tipDeg() : $tried->flattened($flat)->tipDeg(),
                );
            }
        }

        return $best;
    }

    /** In words, as it would be said after "to stand firmly: ". */
    public function text(): Listed
    {
        $said = [];
        if ($this->feetMm !== 0.0) {
            $said[] = Message::of('balance.footing.'.($this->feetMm > 0.0 ? 'forwards' : 'back'), by: Amount::mm(abs($this->feetMm)));
        }
        if ($this->longMm > 0.0) {
            $said[] = Message::of('balance.footing.longer', to: Amount::mm($this->longMm));
        }
        if ($this->flattenMm > 0.0) {
            $said[] = Message::of('balance.footing.flatter', by: Amount::mm($this->flattenMm));
        }

        return new Listed($said, 'and');
    }

    /** The largest of its changes, mm. */
    public function mostMm(): float
    {
        return max(abs($this->feetMm), $this->longMm, $this->flattenMm);
    }

    /** @return list<string> what stands on the table and is joined to what it bears; plates, such as a fin, only where nothing else does */
    private static function feet(Balance $balance): array
    {
        $bearing = array_filter(
            $balance->figure->parts,
            static fn (Part $p): bool => $p->isJoined() && $p->solid->kind() !== ShapeKind::Ring && $balance->footprint->bears($p),
        );
        $round = array_filter($bearing, static fn (Part $p): bool => $p->solid->kind() !== ShapeKind::Plate);

        return array_map(strval(...), array_keys($round === [] ? $bearing : $round));
    }

    /** @param  list<string>  $feet */
    private static function longer(Figure $figure, array $feet, float $factor): Figure
    {
        foreach ($factor > 1.0 ? $feet : [] as $key) {
            $size = $figure->parts[$key]->solid->size();
            $deep = round($factor * max($size->depthMm, self::PLATE * min($size->widthMm, $size->heightMm)), 1);
            $figure = Choices::sized($figure, $key, Size::of($size->widthMm, $size->heightMm, $deep));
        }

        return $figure;
    }

    /**
     * The feet so far forwards or back that the weight, which goes along a little, lies over their middle (Archimedes' law of the lever).
     *
     * @param  list<string>  $feet
     * @return array{Balance, float} and how far they were moved forwards, mm
     */
    private static function underWeight(Balance $balance, array $feet): array
    {
        if ($feet === []) {
            return [$balance, 0.0];
        }
        $parts = $balance->figure->parts;
        $limbs = array_values(array_unique(array_map(static fn (string $key): string => self::limb($balance->figure, $key), $feet)));
        $far = self::FAR * max(array_map(static fn (string $key): float => $parts[$parts[$key]->join->to]->solid->size()->depthMm, $limbs));
        // With all that is joined to them.
        $with = array_values(array_unique(array_merge(...array_map($balance->figure->branchOf(...), $limbs))));
        $share = array_sum(array_map($balance->carriedG(...), $limbs)) / max(1e-9, $balance->massG);
        $mm = ($balance->centreMm[2] - $balance->footprint->middle()[1]) / max(0.1, 1.0 - $share);
        $mm = round(max(-$far, min($far, $mm)), 1);
        $moved = abs($mm) < self::WORTH_MM ? $balance : $balance->with(Choices::moved($balance->figure, $with, [0.0, 0.0, $mm]));

        return $moved->tipDeg() > $balance->tipDeg() + self::WORTH_DEG ? [$moved, $mm] : [$balance, 0.0];
    }

    /** What a foot is the end of: feet of legs move with the legs, as far as what those hang on is deep. */
    private static function limb(Figure $figure, string $foot): string
    {
        $to = $figure->parts[$foot]->join->to;

        return $figure->parts[$to]->stand->mirror && $figure->parts[$to]->isJoined() ? self::limb($figure, $to) : $foot;
    }

    /** @param  list<string>  $feet */
    private static function deepest(Figure $figure, array $feet): float
    {
        return max([0.0, ...array_map(static fn (string $key): float => $figure->parts[$key]->solid->size()->depthMm, $feet)]);
    }
}
