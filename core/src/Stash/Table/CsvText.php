<?php

declare(strict_types=1);

namespace Impa\Stash\Table;

use Impa\Voice\Message;
use Impa\Wool\WoolRefused;

/** The cells of a CSV text (RFC 4180), read forgivingly: other separators, other encodings, what spreadsheets put before a formula. */
final class CsvText
{
    /**
     * @param  int  $most  lines that are read
     * @param  list<Message>  $notices  what was guessed is added, in plain words
     * @return list<list<string>> line by line, the heading among them
     *
     * @throws WoolRefused if it is no text at all
     */
    public static function rows(string $bytes, int $most, array &$notices): array
    {
        $text = self::utf8($bytes, $notices);

        return self::parted($text, self::separator($text, $notices), $most);
    }

    /** @param  list<Message>  $notices */
    private static function utf8(string $bytes, array &$notices): string
    {
        $text = str_starts_with($bytes, "\xEF\xBB\xBF") ? substr($bytes, 3) : $bytes;
        if (str_contains($text, "\0")) {
            throw WoolRefused::cannotRead(Message::of('stash.csv-text.this-is-no-text'));
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            $notices[] =
                Message::of('stash.csv-text.this-file-is-not');
            $text = mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        }

        return str_replace(["\r\n", "\r"], "\n", (string) $text);
    }

    /**
     * The separator of the heading: what it has most of.
     *
     * @param  list<Message>  $notices
     * @return non-empty-string
     */
    private static function separator(string $text, array &$notices): string
    {
        $heading = strtok($text, "\n") ?: '';
        $counts = array_map(static fn (string $s): int => substr_count($heading, $s), [',' => ',', ';' => ';', "\t" => "\t"]);
        arsort($counts);
        $separator = max($counts) > 0 ? (string) array_key_first($counts) : ',';
        if ($separator !== ',') {
            $notices[] = $separator === ';'
                ? Message::of('stash.csv-text.the-columns-are-parted')
                : Message::of('stash.csv-text.the-columns-are-parted-2');
        }

        return $separator !== '' ? $separator : ',';
    }

    /** @return list<list<string>> */
    private static function parted(string $text, string $separator, int $most): array
    {
        $memory = fopen('php://temp', 'r+b');
        if ($memory === false) {
            throw WoolRefused::cannotRead(Message::of('stash.csv-text.there-is-not-enough'));
        }
        fwrite($memory, $text);
        rewind($memory);
        $rows = [];
        while (($row = fgetcsv($memory, null, $separator, '"', '')) !== false && count($rows) < $most) {
            // The quote that keeps a spreadsheet from reckoning (StashTable::field) is ours, not the name's.
            $rows[] = array_map(
                static fn (?string $cell): string => (string) preg_replace('/^\'(?=\'*[=+\-@])/', '', trim((string) $cell)),
                $row,
            );
        }
        fclose($memory);

        return $rows;
    }
}
