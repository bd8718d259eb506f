<?php

declare(strict_types=1);

namespace Impa\Armature;

/**
 * Pieces of wire cut from the stock at hand with the least waste (the one-dimensional cutting stock problem): every way is tried, bounded
 * by the best so far, while the pieces are few. The first that is tried is a good one: each piece, the longest first, goes where it fits
 * best (best fit decreasing).
 *
 * @phpstan-type Cut array{stockMm: float, pieces: list<float>, wasteMm: float}
 */
final class CutList
{
    /** Up to so many pieces every way is tried; beyond, so many ways at most. */
    public const EXACT_PIECES = 12;

    private const MOST_TRIED = 60_000;

    private const EXACT_MM = 1e-6;

    /** @var list<array{float, list<float>}> room left, and pieces */
    private array $best = [];

    private float $bestUsed = INF;

    private int $tried = 0;

    /**
     * @param  list<float>  $pieces  longest first
     */
    private function __construct(private array $pieces, private float $wanted)
    {
    }

    /**
     * @param  list<float>  $piecesMm
     * @param  list<float>  $stockMm  each piece of stock that is there
     * @return list<Cut> the stock that is used
     *
     * @throws ArmatureRefused if the longest piece is longer than any stock, or all of it is not enough
     */
    public static function of(array $piecesMm, array $stockMm): array
    {
        rsort($piecesMm);
        rsort($stockMm);
        if ($piecesMm === []) {
            return [];
        }
        if ($stockMm === [] || $piecesMm[0] > $stockMm[0] + self::EXACT_MM) {
            throw ArmatureRefused::stockTooShort($piecesMm[0], $stockMm[0] ?? 0.0);
        }
        $list = new self($piecesMm, array_sum($piecesMm));
        $list->try(0, [], 0.0, $stockMm);
        if ($list->bestUsed === INF) {
            throw ArmatureRefused::stockNotEnough($list->wanted, array_sum($stockMm));
        }

        return array_map(
            static fn (array $bar): array => [
                'stockMm' => $bar[0] + array_sum($bar[1]),
                'pieces' => $bar[1],
                'wasteMm' => $bar[0],
            ],
            $list->best,
        );
    }

    /**
     * As many lengths of one kind as are enough.
     *
     * @param  list<float>  $piecesMm
     * @return list<Cut>
     *
     * @throws ArmatureRefused if the longest piece is longer than one of it
     */
    public static function fromLengths(array $piecesMm, float $lengthMm): array
    {
        return self::of($piecesMm, array_fill(0, max(1, count($piecesMm)), $lengthMm));
    }

    /**
     * @param  list<array{float, list<float>}>  $bars  that are begun
     * @param  array<int, float>  $stock  that is not
     */
    private function try(int $at, array $bars, float $used, array $stock): void
    {
        $isDone = $used >= $this->bestUsed - self::EXACT_MM || $this->bestUsed <= $this->wanted + self::EXACT_MM;
        if ($isDone || ++$this->tried > $this->most()) {
            return;
        }
        if ($at === count($this->pieces)) {
            [$this->best, $this->bestUsed] = [$bars, $used];

            return;
        }
        // What is left must go somewhere: into room that is there, or into new stock.
        $left = array_sum(array_slice($this->pieces, $at));
        $room = array_sum(array_column($bars, 0));
        if ($used + max(0.0, $left - $room) >= $this->bestUsed - self::EXACT_MM) {
            return;
        }
        $piece = $this->pieces[$at];
        foreach (self::roomFor($piece, array_column($bars, 0)) as $i => $free) {
            $next = $bars;
            $next[$i] = [$free - $piece, [...$bars[$i][1], $piece]];
            $this->try($at + 1, $next, $used, $stock);
        }
        foreach (self::roomFor($piece, $stock) as $i => $mm) {
            $rest = $stock;
            unset($rest[$i]);
            $this->try($at + 1, [...$bars, [$mm - $piece, [$piece]]], $used + $mm, $rest);
        }
    }

    /**
     * Where a piece goes into, the tightest first; of two with the same room one.
     *
     * @param  array<int, float>  $rooms
     * @return array<int, float>
     */
    private static function roomFor(float $piece, array $rooms): array
    {
        $rooms = array_filter($rooms, static fn (float $mm): bool => $mm >= $piece - self::EXACT_MM);
        asort($rooms);
        $one = [];
        foreach ($rooms as $i => $mm) {
            $one[(string) round($mm, 4)] ??= $i;
        }

        return array_intersect_key($rooms, array_flip($one));
    }

    private function most(): int
    {
        return count($this->pieces) <= self::EXACT_PIECES ? PHP_INT_MAX : self::MOST_TRIED;
    }
}
