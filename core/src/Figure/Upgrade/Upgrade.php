<?php

declare(strict_types=1);

namespace Impa\Figure\Upgrade;

use stdClass;

/** Takes a document of an older form up to the newest, one version at a time. What is wrong in it stays as it is, for the check to tell. */
final class Upgrade
{
    /** Of the form that is written today. */
    public const VERSION = 2;

    /** The same document where it is of the newest version, or of none that is known; it is never changed itself. */
    public static function newest(stdClass $document): stdClass
    {
        // A number of JSON may be written 1.0.
        return match ($document->version ?? null) {
            1, 1.0 => self::newest(FromOne::up($document)),
            default => $document,
        };
    }

    /** Text of a document that was kept, as whoever asks for it gets it; nothing where it is no object. */
    public static function read(string $json): ?stdClass
    {
        $document = json_decode($json, false, 64);

        return $document instanceof stdClass ? self::newest($document) : null;
    }
}
