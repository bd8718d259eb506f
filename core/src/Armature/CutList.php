<?php

declare(strict_types=1);

namespace Impa\Armature;

/**
 * Pieces of wire cut from the stock at hand with the least waste (the one-dimensional cutting stock problem): every way is tried, bounded
 * by the best so far, while the pieces are few; the longest first into where they fit best (best fit decreasing), where they are many.
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
     * @param  list<float>  $stock  longest first
     */
    private function __construct(private array $pieces, private array $stock, private float $wanted)
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
        $list = new self($piecesMm, $stockMm, array_sum($piecesMm));
        $list->fit();
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

    /** A good way to begin with. */
    private function fit(): void
    {
        $bars = [];
        $stock = $this->stock;
        foreach ($this->pieces as $piece) {
            $into = -1;
            foreach ($bars as $i => [$room]) {
                if ($room >= $piece - self::EXACT_MM && ($into < 0 || $room < $bars[$into][0])) {
                    $into = $i;
                }
            }
            if ($into < 0) {
                // The shortest stock that it goes into.
                $fitting = array_filter($stock, static fn (float $mm): bool => $mm >= $piece - self::EXACT_MM);
                if ($fitting === []) {
                    return;
                }
                $at = (int) array_key_last($fitting);
                $into = count($bars);
                $bars[] = [$stock[$at], []];
                unset($stock[$at]);
            }
            $bars[$into][0] -= $piece;
            $bars[$into][1][] = $piece;
        }
        $this->best = $bars;
        $this->bestUsed = array_sum(array_map(static fn (array $b): float => $b[0] + array_sum($b[1]), $bars));
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
        $seen = [];
        foreach ($bars as $i => [$free, $pieces]) {
            // Two with the same room are the same.
            if ($free >= $piece - self::EXACT_MM && ! isset($seen[(string) round($free, 4)])) {
                $seen[(string) round($free, 4)] = true;
                $next = $bars;
                $next[$i] = [$free - $piece, [...$pieces, $piece]];
                $this->try($at + 1, $next, $used, $stock);
            }
        }
        $opened = [];
        foreach ($stock as $i => $mm) {
            if ($mm >= $piece - self::EXACT_MM && ! isset($opened[(string) round($mm, 4)])) {
                $opened[(string) round($mm, 4)] = true;
                $rest = $stock;
                unset($rest[$i]);
                $this->try($at + 1, [...$bars, [$mm - $piece, [$piece]]], $used + $mm, $rest);
            }
        }
    }

    private function most(): int
    {
        return count($this->pieces) <= self::EXACT_PIECES ? PHP_INT_MAX : self::MOST_TRIED;
    }
}
