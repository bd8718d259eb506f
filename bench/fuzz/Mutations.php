<?php

declare(strict_types=1);

namespace Bench\Fuzz;

use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/** Ways to spoil what was right, each the same again by its seed. */
final class Mutations
{
    /** What stands where something else is meant. */
    private const ODD = [
        null, true, false, 0, -1, 1, 0.0, -0.0, 1e-300, 1e308, -1e308, 9007199254740993, PHP_INT_MAX, PHP_INT_MIN, 0.1, 1e9, '', ' ', 'NaN',
        '1e999', '../../etc/passwd', "\u{0}", "\u{FEFF}", '<script>alert(1)</script>', '#zzzzzz', '__proto__', 'constructor', [], [
            [],
        ], [null],
        "\u{202E}\u{1F9F6}", "' or 1=1 --", '${7*7}', '%00', "a\nb", '-',
    ];

    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function int(int $low, int $high): int
    {
        return $this->random->getInt($low, $high);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->int(0, count($of) - 1)];
    }

    public function odd(): mixed
    {
        return match ($this->int(0, 9)) {
            0 => str_repeat($this->one(['a', 'wool ', "\u{1F411}"]), $this->one([10, 200, 5000])),
            1 => array_fill(0, $this->one([3, 100, 3000]), $this->one(self::ODD)),
            2 => (object) [(string) $this->int(0, 9) => $this->one(self::ODD)],
            3 => $this->int(-100000, 100000) / $this->one([1, 10, 1000]),
            default => $this->one(self::ODD),
        };
    }

    /** A document with one to four of its values, at any depth, taken away, changed, doubled or put elsewhere. */
    public function document(stdClass $document): stdClass
    {
        $copy = json_decode((string) json_encode($document));
        for ($i = $this->one([1, 1, 1, 2, 4]); $i > 0; $i--) {
            $this->spoil($copy);
        }

        return $copy instanceof stdClass ? $copy : new stdClass;
    }

    private function spoil(mixed &$value): void
    {
        if (($value instanceof stdClass || is_array($value)) && (array) $value !== [] && $this->int(0, 9) < 9) {
            $keys = array_keys((array) $value);
            $key = $this->one($keys);
            if ($value instanceof stdClass) {
                match ($this->int(0, 11)) {
                    0 => $value = self::without($value, (string) $key),
                    1 => $value->{'x'.$this->int(0, 9)} = $this->odd(),
                    2 => $value->{$key} = $value->{$this->one($keys)},
                    default => $this->spoil($value->{$key}),
                };
            } else {
                match ($this->int(0, 11)) {
                    0 => array_splice($value, (int) $key, 1),
                    1 => $value[] = $value[$key],
                    2 => $value[] = $this->odd(),
                    default => $this->spoil($value[$key]),
                };
            }

            return;
        }
        $value = match (true) {
            // Somewhat otherwise still makes a figure: that is where the sums begin.
            (is_int($value) || is_float($value)) && $this->int(0, 9) < 7 => $value * $this->int(-50, 250) / 100,
            is_int($value) || is_float($value) => $this->one([$this->odd(), $value * 1000, -$value, $value / 1000, $value + 0.001]),
            is_string($value) => $this->one([$this->odd(), $value.$value, strrev($value), substr($value, 1)]),
            default => $this->odd(),
        };
    }

    private static function without(stdClass $value, string $key): stdClass
    {
        unset($value->{$key});

        return $value;
    }

    /** Bytes cut, flipped, doubled, filled in or said to be longer than they are. */
    public function bytes(string $bytes): string
    {
        for ($i = $this->int(1, 6); $i > 0 && $bytes !== ''; $i--) {
            $at = $this->one([$this->int(0, min(64, strlen($bytes) - 1)), $this->int(0, strlen($bytes) - 1)]);
            $bytes = match ($this->int(0, 7)) {
                0 => substr($bytes, 0, $at),
                1 => substr($bytes, $at),
                2 => substr_replace($bytes, chr($this->int(0, 255)), $at, 1),
                3 => substr_replace($bytes, "\xFF\xFF\xFF\xFF", $at, 4),
                4 => substr_replace($bytes, "\x00\x00\x00\x00", $at, 4),
                5 => substr($bytes, 0, $at).substr($bytes, $at, $this->int(1, 400)).substr($bytes, $at),
                6 => substr_replace($bytes, pack('N', $this->int(0, 0x7FFFFFFF)), $at, 4),
                default => substr_replace($bytes, chr(ord($bytes[$at]) ^ (1 << $this->int(0, 7))), $at, 1),
            };
        }

        return $bytes;
    }
}
