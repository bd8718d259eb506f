<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

/**
 * What takes longest is asked by turns where all suites are (bin/test): some of it each time, and the seed says which. It is asked whole
 * where somebody names what she wants, of a file alone, before anything lands (bin/test all), and by the runner itself.
 */
final class Turns
{
    /** A dear test is asked once in so many runs. */
    private const DEAR = 24;

    /** A test that both stores are asked is asked of PostgreSQL once in so many. */
    private const SECOND_STORE = 3;

    public static function isWhole(): bool
    {
        return getenv('IMPA_TEST_TURN') === false;
    }

    /** Whether it is the turn of the nth of many, of which each is asked once in so many runs. */
    public static function isOn(int $n, int $in): bool
    {
        return self::isWhole() || ($n + (int) getenv('IMPA_TEST_TURN')) % $in === 0;
    }

    /** Whether it is the turn of a dear test of this name. */
    public static function isTestOn(string $name): bool
    {
        return self::isOn(crc32($name), self::DEAR);
    }

    /** Whether it is the turn of a test of this name on the store that was not asked first. */
    public static function isTestOnSecondStore(string $name): bool
    {
        return self::isOn(crc32($name), self::SECOND_STORE);
    }
}
