<?php

declare(strict_types=1);

namespace App\Archive;

use Impa\Voice\Message;
use stdClass;
use ZipArchive;

/** An archive as a file, read with suspicion: only names and sizes that an archive of Impa has, and only what its manifest vouches for. */
final class ArchiveReader
{
    /** Names that an archive of version 1 has, and how large such a file may be, bytes. */
    private const NAMES = [
        '~^README\.txt$~D' => 20_000,
        '~^manifest\.json$~D' => 40_000_000,
        '~^figures/[0-9a-f-]{36}/(figure|revisions/[0-9]{6,9})\.json$~D' => 2_100_000,
        '~^figures/[0-9a-f-]{36}/about\.json$~D' => 1_000_000,
        '~^figures/[0-9a-f-]{36}/log\.json$~D' => 30_000_000,
        '~^pictures/[0-9a-f]{64}\.(png|jpg|webp|gif)$~D' => 30_000_000,
        '~^(stash\.csv|stash\.json|hand\.json|needles\.json)$~D' => 30_000_000,
        '~^sets/[0-9a-f-]{36}\.json$~D' => 2_000_000,
    ];

    private const MOST_ENTRIES = 1_000_000;

    /** All of it unpacked, bytes. */
    private const MOST_BYTES = 20_000_000_000;

    private const DEEPEST = 64;

    /** Objects and lists in one file: of ten years' log there are a tenth of it. */
    private const MOST_NODES = 400_000;

    /** @param  array<string, string>  $hashes  SHA-256 by name */
    private function __construct(private readonly ZipArchive $zip, private readonly array $hashes)
    {
    }

    /** @throws ArchiveRefused in words, if it is none, is cut off, or holds what no archive of Impa holds */
    public static function open(string $path): self
    {
        $zip = new ZipArchive;
        if (filesize($path) < 22 || $zip->open($path, ZipArchive::RDONLY) !== true) {
            throw ArchiveRefused::because((string) Message::of('house.refused.no-zip'));
        }
        if ($zip->numFiles > self::MOST_ENTRIES) {
            throw ArchiveRefused::because((string) Message::of('house.archive-reader.this-archive-holds-more'));
        }
        $names = [];
        $bytes = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $said = $zip->statIndex($i);
            $name = $said === false ? '' : $said['name'];
            $most = self::most($name);
            if ($said === false || $most === 0 || isset($names[$name])) {
                throw ArchiveRefused::because((string) Message::of('house.archive-reader.in-it-is-nothing', name: self::shown($name)));
            }
            $bytes += $said['size'];
            if ($said['size'] > $most || $bytes > self::MOST_BYTES) {
                throw ArchiveRefused::because((string) Message::of('house.archive-reader.in-it-unpacks', name: self::shown($name)));
            }
            $names[$name] = true;
        }

        return new self($zip, self::manifest($zip, $names));
    }

    /** @return list<string> names that begin so and end so */
    public function names(string $begin, string $end = ''): array
    {
        $all = array_keys($this->hashes);

        return array_values(array_filter($all, static fn (string $n): bool => str_starts_with($n, $begin) && str_ends_with($n, $end)));
    }

    public function has(string $name): bool
    {
        return isset($this->hashes[$name]);
    }

    public function hash(string $name): string
    {
        return $this->hashes[$name] ?? '';
    }

    /** @throws ArchiveRefused if it is not what the manifest says */
    public function bytes(string $name): string
    {
        $bytes = self::read($this->zip, $name);
        if (! hash_equals($this->hashes[$name] ?? '', hash('sha256', $bytes))) {
            throw ArchiveRefused::because((string) Message::of('house.archive-reader.in-it-is-damaged', name: self::shown($name)));
        }

        return $bytes;
    }

    /** @throws ArchiveRefused if it is no JSON object */
    public function object(string $name): stdClass
    {
        $bytes = $this->bytes($name);
        // A few kilobytes unpack to millions of empty objects, each of which takes a hundred times its two letters once it is read.
        if (substr_count($bytes, '{') + substr_count($bytes, '[') > self::MOST_NODES) {
            throw ArchiveRefused::because((string) Message::of('house.archive-reader.in-it-holds-more', name: self::shown($name)));
        }
        $value = json_decode($bytes, false, self::DEEPEST);
        unset($bytes);

        return $value instanceof stdClass
            ? $value
            : throw ArchiveRefused::because((string) Message::of('house.archive-reader.in-it-cannot-be', name: self::shown($name)));
    }

    /**
     * @param  array<string, true>  $names
     * @return array<string, string>
     */
    private static function manifest(ZipArchive $zip, array $names): array
    {
        $said = isset($names['manifest.json']) ? json_decode(self::read($zip, 'manifest.json'), false, self::DEEPEST) : null;
        if (! $said instanceof stdClass || ($said->format ?? null) !== Outgoing::FORMAT) {
            throw ArchiveRefused::because((string) Message::of('house.refused.no-manifest'));
        }
        if (! is_int($said->version ?? null) || $said->version > Outgoing::VERSION) {
            throw ArchiveRefused::because((string) Message::of('house.archive-reader.this-archive-was-made'));
        }
        $hashes = array_filter((array) ($said->files ?? []), is_string(...));
        unset($names['manifest.json']);
        if (array_diff_key($names, $hashes) !== [] || array_diff_key($hashes, $names) !== []) {
            throw ArchiveRefused::because((string) Message::of('house.archive-reader.this-archive-is-not'));
        }

        return $hashes;
    }

    /** Reads no more than such a file may hold, whatever the directory says of its size. */
    private static function read(ZipArchive $zip, string $name): string
    {
        $most = self::most($name);
        // What cannot be inflated is warned of by the one and cut off by the other: its hash tells.
        $stream = @$zip->getStream($name);
        $bytes = $stream === false ? false : @stream_get_contents($stream, $most + 1);
        if ($stream === false || $bytes === false || strlen($bytes) > $most) {
            throw ArchiveRefused::because((string) Message::of('house.archive-reader.in-it-cannot-be-2', name: self::shown($name)));
        }
        fclose($stream);

        return $bytes;
    }

    private static function most(string $name): int
    {
        foreach (self::NAMES as $pattern => $most) {
            if (preg_match($pattern, $name) === 1) {
                return $most;
            }
        }

        return 0;
    }

    private static function shown(string $name): string
    {
        return mb_substr((string) preg_replace('/[^\x20-\x7e]/', '?', $name), 0, 80);
    }
}
