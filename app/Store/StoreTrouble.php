<?php

declare(strict_types=1);

namespace App\Store;

use Illuminate\Database\LostConnectionDetector;
use Impa\Voice\Message;
use PDOException;
use RuntimeException;
use Throwable;

/** The store cannot be written to, in words that say what was done: nothing. */
final class StoreTrouble extends RuntimeException
{
    /** Result codes of SQLite (sqlite.org/rescode.html), the lower byte. */
    private const BUSY = [5, 6];

    private const READ_ONLY = [8];

    private const FULL = [10, 13];

    /** SQLSTATEs of PostgreSQL (its manual, appendix A): locks and deadlocks, no writing, no room, nobody there. */
    private const STATES = [
        '55P03' => 'busy', '40P01' => 'busy', '40001' => 'busy', '57014' => 'busy',
        '25006' => 'readOnly',
        '53100' => 'full', '53200' => 'full',
        '08000' => 'gone', '08001' => 'gone', '08003' => 'gone', '08004' => 'gone', '08006' => 'gone',
        '53300' => 'gone', '57P01' => 'gone', '57P02' => 'gone', '57P03' => 'gone',
    ];

    private function __construct(public readonly int $status, string $message)
    {
        parent::__construct($message);
    }

    public static function busy(): self
    {
        return new self(
            503,
            (string) Message::of('house.store-trouble.another-program-holds-impas'),
        );
    }

    public static function readOnly(): self
    {
        return new self(
            503,
            (string) Message::of('house.store-trouble.impa-may-not-write'),
        );
    }

    public static function full(): self
    {
        return new self(507, (string) Message::of('house.store-trouble.the-disk-is-full'));
    }

    public static function gone(): self
    {
        return new self(503, (string) Message::of('house.store-trouble.impas-store-does-not'));
    }

    /** What a failed query means for who asked; null where it is no trouble of the store. */
    public static function in(Throwable $e): ?self
    {
        if ($e instanceof self) {
            return $e;
        }
        $code = $e instanceof PDOException && is_array($e->errorInfo) ? $e->errorInfo[1] ?? 0 : 0;
        $code = is_int($code) ? $code & 0xFF : 0;
        $state = $e instanceof PDOException ? self::STATES[$e->errorInfo[0] ?? (string) $e->getCode()] ?? '' : '';

        return match (true) {
            $state === 'busy' => self::busy(),
            $state === 'readOnly' => self::readOnly(),
            $state === 'full' => self::full(),
            // Nobody to talk to: PDO tells it by the driver's own number, or in the driver's words alone.
            $state === 'gone', $e instanceof PDOException && $e->getCode() === 7 => self::gone(),
            (new LostConnectionDetector)->causedByLostConnection($e) => self::gone(),
            in_array($code, self::BUSY, true) => self::busy(),
            in_array($code, self::READ_ONLY, true) => self::readOnly(),
            in_array($code, self::FULL, true) => self::full(),
            default => null,
        };
    }
}
