<?php

declare(strict_types=1);

namespace Impa\Wool;

/**
 * Lays flat pieces on a sheet of felt so that little of it is used: each by its box with a margin, upright or on its side,
 * in several orders, always as low and as far left as it goes (bottom-left on a skyline; Burke, Kendall and Whitwell 2004).
 * Where the pieces are few, every order is tried.
 */
final readonly class SheetLayout
{
    /** Room for the scissors between two pieces, mm. */
    public const MARGIN_MM = 2.0;

    /** Up to so many pieces, every order and turn is tried. */
    private const EVERY_ORDER = 5;

    /**
     * @param  list<array{
     *     key: string, xMm: float, yMm: float, widthMm: float, heightMm: float, isTurned: bool,
     * }>  $placed  from the lower left corner
     */
    private function __construct(public float $widthMm, public float $lengthMm, public array $placed)
    {
    }

    /**
     * @param  list<array{key: string, widthMm: float, heightMm: float}>  $pieces
     *
     * @throws WoolRefused if a piece is wider than the sheet both ways
     */
    public static function of(array $pieces, float $sheetWidthMm): self
    {
        foreach ($pieces as $piece) {
            if (min($piece['widthMm'], $piece['heightMm']) + self::MARGIN_MM > $sheetWidthMm) {
                throw WoolRefused::cannotRead(
                    sprintf(
                        '%s is %.0f mm across, and the sheet only %.0f mm wide: take a wider sheet, or cut it in two.',
                        $piece['key'],
                        min($piece['widthMm'], $piece['heightMm']),
                        $sheetWidthMm,
                    ),
                );
            }
        }
        $best = new self($sheetWidthMm, $pieces === [] ? 0.0 : INF, []);
        foreach (count($pieces) <= self::EVERY_ORDER ? self::everyOrder($pieces) : self::someOrders($pieces) as $order) {
            $tried = self::laid($order, $sheetWidthMm, count($pieces) > self::EVERY_ORDER);
            $best = $tried->lengthMm < $best->lengthMm - 1e-9 ? $tried : $best;
        }

        return $best;
    }

    /** Share of the sheet's used length that no piece's box covers. */
    public function waste(): float
    {
        $covered = array_sum(array_map(static fn (array $p): float => $p['widthMm'] * $p['heightMm'], $this->placed));

        return $this->lengthMm > 0.0 ? 1 - $covered / ($this->widthMm * $this->lengthMm) : 0.0;
    }

    /**
     * @param  list<array{key: string, widthMm: float, heightMm: float, isTurned: bool}>  $order
     * @param  bool  $mayTurn  whether each may still be turned where that lies lower
     */
    private static function laid(array $order, float $width, bool $mayTurn): self
    {
        // The skyline: from x on, everything below y is taken.
        $skyline = [[0.0, $width, 0.0]];
        $placed = [];
        $length = 0.0;
        foreach ($order as $piece) {
            $ways = [[$piece['widthMm'], $piece['heightMm'], $piece['isTurned']]];
            if ($mayTurn) {
                $ways[] = [$piece['heightMm'], $piece['widthMm'], ! $piece['isTurned']];
            }
            [$lowest, $at] = [INF, null];
            foreach ($ways as [$w, $h, $isTurned]) {
                foreach ($skyline as [$x]) {
                    $y = $x + $w + self::MARGIN_MM <= $width + 1e-9 ? self::restsAt($skyline, $x, $w + self::MARGIN_MM) : INF;
                    if ($y + $h < $lowest - 1e-9) {
                        [$lowest, $at] = [$y + $h, [$x, $y, $w, $h, $isTurned]];
                    }
                }
            }
            if ($at === null) {
                return new self($width, INF, []);
            }
            [$x, $y, $w, $h, $isTurned] = $at;
            $placed[] = [
                'key' => $piece['key'],
                'xMm' => $x,
                'yMm' => $y,
                'widthMm' => $w,
                'heightMm' => $h,
                'isTurned' => $isTurned,
            ];
            $skyline = self::raised($skyline, $x, $w + self::MARGIN_MM, $y + $h + self::MARGIN_MM);
            $length = max($length, $y + $h);
        }

        return new self($width, $length, $placed);
    }

    /** @param  list<array{float, float, float}>  $skyline  from, to and height of each step */
    private static function restsAt(array $skyline, float $x, float $w): float
    {
        $y = 0.0;
        foreach ($skyline as [$from, $to, $height]) {
            $y = $from < $x + $w - 1e-9 && $to > $x + 1e-9 ? max($y, $height) : $y;
        }

        return $y;
    }

    /**
     * @param  list<array{float, float, float}>  $skyline
     * @return list<array{float, float, float}>
     */
    private static function raised(array $skyline, float $x, float $w, float $y): array
    {
        $raised = [];
        $isIn = false;
        foreach ($skyline as [$from, $to, $height]) {
            if ($from < $x - 1e-9) {
                $raised[] = [$from, min($to, $x), $height];
            }
            if (! $isIn && $to > $x - 1e-9) {
                $raised[] = [$x, $x + $w, $y];
                $isIn = true;
            }
            if ($to > $x + $w + 1e-9) {
                $raised[] = [max($from, $x + $w), $to, $height];
            }
        }
        usort($raised, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_values(array_filter($raised, static fn (array $s): bool => $s[1] > $s[0] + 1e-9));
    }

    /**
     * @param  list<array{key: string, widthMm: float, heightMm: float}>  $pieces
     * @return iterable<list<array{key: string, widthMm: float, heightMm: float, isTurned: bool}>>
     */
    private static function everyOrder(array $pieces): iterable
    {
        if ($pieces === []) {
            yield [];

            return;
        }
        foreach ($pieces as $i => $piece) {
            $rest = $pieces;
            unset($rest[$i]);
            foreach (self::everyOrder(array_values($rest)) as $order) {
                yield [['isTurned' => false] + $piece, ...$order];
                yield [
                    ['isTurned' => true, 'widthMm' => $piece['heightMm'], 'heightMm' => $piece['widthMm']] + $piece,
                    ...$order,
                ];
            }
        }
    }

    /**
     * @param  list<array{key: string, widthMm: float, heightMm: float}>  $pieces
     * @return iterable<list<array{key: string, widthMm: float, heightMm: float, isTurned: bool}>>
     */
    private static function someOrders(array $pieces): iterable
    {
        $long = static fn (array $p): float => max($p['widthMm'], $p['heightMm']);
        $short = static fn (array $p): float => min($p['widthMm'], $p['heightMm']);
        foreach (
            [
                $long,
                $short,
                static fn (array $p): float => $p['widthMm'] * $p['heightMm'],
                static fn (array $p): float => $p['heightMm'],
            ] as $by
        ) {
            $order = $pieces;
            usort($order, static fn (array $a, array $b): int => $by($b) <=> $by($a));
            yield array_map(static fn (array $p): array => ['isTurned' => false] + $p, $order);
        }
    }
}
