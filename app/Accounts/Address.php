<?php

declare(strict_types=1);

namespace App\Accounts;

/**
 * An address as it is kept, looked for and counted: trimmed, capitals folded, and nothing in it that no address has. Whatever sees one
 * sees it like this: a store that cuts a text at a NUL must not find what the count of wrong tries took for another.
 */
final class Address
{
    /** RFC 5321, 4.5.3.1.3, without its brackets. */
    private const LONGEST = 254;

    /** Empty where it is no address. */
    public static function plain(string $said): string
    {
        $plain = mb_check_encoding($said, 'UTF-8') ? mb_strtolower((string) preg_replace('/^\s+|\s+$/u', '', $said)) : '';
        $isClean = strlen($plain) <= self::LONGEST && preg_match('/[\p{C}\p{Z}\s]/u', $plain) !== 1;

        return $isClean && filter_var($plain, FILTER_VALIDATE_EMAIL, FILTER_FLAG_EMAIL_UNICODE) !== false ? $plain : '';
    }

    /** What tries at it are counted by: the same for everything that is looked for as the same. */
    public static function key(string $what, string $plain): string
    {
        return $what.':'.hash('sha256', $plain);
    }
}
