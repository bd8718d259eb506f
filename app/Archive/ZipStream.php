<?php

declare(strict_types=1);

namespace App\Archive;

/**
 * A ZIP file (PKWARE APPNOTE 6.3.9) that is handed on entry by entry while it is made; nothing of it is kept but its directory. Beyond
 * 65,535 entries or 4 GiB its end is written the larger way (Zip64). It says no times, so that the same entries make the same file.
 */
final class ZipStream
{
    /** 1980-01-01 0:00, the earliest there is. */
    private const NO_TIME = "\x00\x00\x21\x00";

    private const STORED = 0;

    private const DEFLATED = 8;

    private const MOST_16 = 0xFFFF;

    private const MOST_32 = 0xFFFFFFFF;

    private string $directory = '';

    private int $entries = 0;

    private int $at = 0;

    /**
     * @param  string  $name  in UTF-8, with forward slashes
     * @return string what belongs into the file next
     */
    public function entry(string $name, string $bytes, bool $isPacked = false): string
    {
        $body = $isPacked ? $bytes : (string) gzdeflate($bytes, 6);
        $way = $isPacked ? self::STORED : self::DEFLATED;
        // Names in UTF-8 are told by bit 11.
        $head = pack('vvv', 45, 0x0800, $way).self::NO_TIME.pack('VVV', crc32($bytes), strlen($body), strlen($bytes));
        $local = "PK\x03\x04".$head.pack('vv', strlen($name), 0).$name;
        $far = $this->at >= self::MOST_32 ? pack('vvP', 1, 8, $this->at) : '';
        $this->directory .= "PK\x01\x02".pack('v', 0x032D).$head
            .pack('vvvvvVV', strlen($name), strlen($far), 0, 0, 0, 0100644 << 16, min($this->at, self::MOST_32)).$name.$far;
        $this->entries++;
        $this->at += strlen($local) + strlen($body);

        return $local.$body;
    }

    /** Its directory and its end. */
    public function end(): string
    {
        $size = strlen($this->directory);
        $large = '';
        if ($this->entries >= self::MOST_16 || $this->at + $size >= self::MOST_32) {
            $large = "PK\x06\x06".pack('PvvVVPPPP', 44, 0x032D, 45, 0, 0, $this->entries, $this->entries, $size, $this->at)
                ."PK\x06\x07".pack('VPV', 0, $this->at + $size, 1);
        }
        $count = min($this->entries, self::MOST_16);

        return $this->directory.$large
            ."PK\x05\x06".pack('vvvvVVv', 0, 0, $count, $count, min($size, self::MOST_32), min($this->at, self::MOST_32), 0);
    }
}
