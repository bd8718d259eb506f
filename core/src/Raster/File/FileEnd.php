<?php

declare(strict_types=1);

namespace Impa\Raster\File;

/**
 * Whether a picture's file is there to its end. Decoders draw what they have of one that was cut short; that it was is told by the blocks
 * it is made of (JPEG: ITU-T T.81, B.1.1; GIF: GIF89a, 17 to 27).
 */
final class FileEnd
{
    /** True for kinds of files whose decoder says so itself. */
    public static function isReached(string $bytes): bool
    {
        return match (true) {
            str_starts_with($bytes, "\xFF\xD8") => self::ofJpeg($bytes),
            str_starts_with($bytes, 'GIF8') => self::ofGif($bytes),
            default => true,
        };
    }

    /** From marker to marker, up to the end of the image; in what follows a scan's head a marker is no stuffed byte and no restart. */
    private static function ofJpeg(string $bytes): bool
    {
        $length = strlen($bytes);
        for ($at = 2; $at + 1 < $length;) {
            if (preg_match('/\xFF+[^\x00\xFF\xD0-\xD7]/s', $bytes, $found, PREG_OFFSET_CAPTURE, $at) !== 1) {
                return false;
            }
            $at = $found[0][1] + strlen($found[0][0]);
            $marker = ord($found[0][0][-1]);
            if ($marker === 0xD9) {
                return true;
            }
            if ($marker !== 0x01) {
                $size = $at + 1 < $length ? unpack('n', $bytes, $at) : false;
                $at += is_array($size) && is_int($size[1]) ? $size[1] : $length;
            }
        }

        return false;
    }

    /** From block to block, up to the trailer; some are written without one, but none ends within a block. */
    private static function ofGif(string $bytes): bool
    {
        $length = strlen($bytes);
        if ($length < 13) {
            return false;
        }
        $table = static fn (int $flags): int => ($flags & 0x80) !== 0 ? 3 * 2 ** (($flags & 7) + 1) : 0;
        $at = 13 + $table(ord($bytes[10]));
        $images = 0;
        while ($at < $length && $bytes[$at] !== ';') {
            if ($bytes[$at] === ',') {
                if ($at + 10 >= $length) {
                    return false;
                }
                $at += 10 + $table(ord($bytes[$at + 9])) + 1;
                $images++;
            } elseif ($bytes[$at] === '!') {
                $at += 2;
            } else {
                return $images > 0;
            }
            for (; ;) {
                if ($at >= $length) {
                    return false;
                }
                $size = ord($bytes[$at]);
                $at += 1 + $size;
                if ($size === 0) {
                    break;
                }
            }
        }

        return $images > 0 && $at <= $length;
    }
}
