<?php

declare(strict_types=1);

namespace Impa\Face\Expression;

/** One detail of an expression, before it has a key and a colour of the figure's. Immutable. */
final readonly class Bit
{
    private const LEAST_MM = 0.3;

    /** @param  array<string, mixed>  $members  of the detail, besides its place and layer */
    private function __construct(
        public string $key,
        public string $name,
        public Tone $tone,
        public float $xMm,
        public float $yMm,
        public int $layer,
        public array $members,
    ) {
    }

    public static function disc(
        string $key,
        string $name,
        Tone $tone,
        float $x,
        float $y,
        float $width,
        float $height,
        int $layer = 1,
        bool $mirror = true,
        float $turnDeg = 0.0,
    ): self {
        return new self($key, $name, $tone, self::mm($x), self::mm($y), $layer, [
            'kind' => 'disc',
            'widthMm' => self::size($width),
            'heightMm' => self::size($height),
            'turnDeg' => $turnDeg,
            'mirror' => $mirror,
            'method' => 'felt',
        ]);
    }

    public static function bead(string $key, string $name, Tone $tone, float $x, float $y, float $mm): self
    {
        return new self($key, $name, $tone, self::mm($x), self::mm($y), 1, [
            'kind' => 'bead',
            'widthMm' => $mm,
            'heightMm' => $mm,
            'mirror' => true,
            'method' => 'bead',
        ]);
    }

    /**
     * A curve through points given from its own middle.
     *
     * @param  list<array{float, float}>  $points
     * @param  non-empty-list<float>  $widths  one for each point
     */
    public static function line(
        string $key,
        string $name,
        Tone $tone,
        float $x,
        float $y,
        array $points,
        array $widths,
        int $layer = 1,
        bool $mirror = true,
        string $method = 'felt',
    ): self {
        $widths = array_map(self::size(...), $widths);

        return new self($key, $name, $tone, self::mm($x), self::mm($y), $layer, [
            'kind' => 'line',
            'widthMm' => max($widths),
            'widthsMm' => $widths,
            'pointsMm' => self::points($points),
            'smooth' => true,
            'mirror' => $mirror,
            'method' => $method,
        ]);
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  list<list<array{float, float}>>  $holes
     */
    public static function patch(
        string $key,
        string $name,
        Tone $tone,
        float $x,
        float $y,
        array $points,
        array $holes = [],
        int $layer = 1,
        bool $mirror = false,
        bool $smooth = true,
    ): self {
        return new self(
            $key,
            $name,
            $tone,
            self::mm($x),
            self::mm($y),
            $layer,
            [
                'kind' => 'patch',
                'pointsMm' => self::points($points),
                'smooth' => $smooth,
                'mirror' => $mirror,
                'method' => 'felt',
            ] + ($holes === [] ? [] : ['holesMm' => array_map(self::points(...), $holes)]),
        );
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function points(array $points): array
    {
        return array_map(static fn (array $p): array => [round($p[0], 2), round($p[1], 2)], $points);
    }

    private static function mm(float $mm): float
    {
        return round($mm, 2);
    }

    /** A size: no smaller than a document can say. */
    private static function size(float $mm): float
    {
        return max(self::LEAST_MM, round($mm, 2));
    }
}
