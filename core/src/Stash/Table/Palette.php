<?php

declare(strict_types=1);

namespace Impa\Stash\Table;

use Impa\Colour\Srgb;
use Impa\Voice\Message;
use Impa\Wool\WoolRefused;

/** A palette in the plain text format of the GNU image program: a head line, then red, green, blue and a name on each line. */
final class Palette
{
    private const HEAD = 'GIMP Palette';

    /**
     * @param  iterable<array{string, Srgb}>  $colours  name and colour
     */
    public static function write(string $name, iterable $colours): string
    {
        $lines = [self::HEAD, 'Name: '.str_replace(["\r", "\n"], ' ', $name), 'Columns: 8', '#'];
        foreach ($colours as [$title, $srgb]) {
            $lines[] = sprintf(
                "%3d %3d %3d\t%s",
                $srgb->red,
                $srgb->green,
                $srgb->blue,
                str_replace(["\r", "\n", "\t"], ' ', $title),
            );
        }

        return implode("\n", $lines)."\n";
    }

    /**
     * @param  array<int, Message>  $refused  filled with a sentence by line number
     * @return list<array{string, Srgb}> name and colour; nameless ones are called by their number
     *
     * @throws WoolRefused if it is no palette
     */
    public static function read(string $bytes, array &$refused): array
    {
        $text = mb_check_encoding($bytes, 'UTF-8') ? $bytes : (string) mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252');
        $lines = preg_split('/\r\n|\r|\n/', $text) ?: [];
        if (trim(str_replace("\xEF\xBB\xBF", '', $lines[0] ?? '')) !== self::HEAD) {
            throw WoolRefused::cannotRead(
                Message::of('stash.palette.a-palette-file-begins', head: self::HEAD, lines: mb_substr($lines[0] ?? '', 0, 40)),
            );
        }
        $colours = [];
        $refused = [];
        foreach (array_slice($lines, 1, null, true) as $i => $line) {
            if (trim($line) === '' || $line[0] === '#' || preg_match('/^(Name|Columns):/i', $line) === 1) {
                continue;
            }
            if (
                preg_match('/^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/u', $line, $m) !== 1 ||
                max((int) $m[1], (int) $m[2], (int) $m[3]) > 255
            ) {
                $refused[$i + 1] = Message::of('stash.palette.is-no-colour-three', line: mb_substr(trim($line), 0, 60));

                continue;
            }
            $name = trim($m[4] ?? '');
            $colours[] = [
                $name === '' || strcasecmp($name, 'untitled') === 0 ? (string) Message::of(
                    'stash.palette.colour',
                    colours: count($colours) + 1,
                ) : $name,
                Srgb::of((int) $m[1], (int) $m[2], (int) $m[3]),
            ];
        }

        return $colours;
    }
}
