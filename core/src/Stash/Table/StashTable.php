<?php

declare(strict_types=1);

namespace Impa\Stash\Table;

use Impa\Voice\Message;
use Impa\Wool\WoolRefused;

/** A stash as a CSV table (RFC 4180), read forgivingly and written strictly. */
final readonly class StashTable
{
    /** Column headings, and the member of a wool that each holds. */
    public const COLUMNS = [
        'name' => 'name',
        'colour' => 'hex',
        'material' => 'material',
        'preparation' => 'preparation',
        'grams' => 'gramsLeft',
        'micron' => 'micron',
        'grams per metre' => 'gPerM',
        'price' => 'price',
        'pack grams' => 'packG',
        'maker' => 'maker',
    ];

    /** More lines than this are no drawer. */
    public const MOST_LINES = 20_000;

    /**
     * @param  list<WoolEntry>  $wools  what could be read, each name once
     * @param  list<array{line: int, column: string, why: Message}>  $refused
     * @param  list<Message>  $notices  what was guessed, in plain words
     */
    private function __construct(public array $wools, public array $refused, public array $notices)
    {
    }

    /** @throws WoolRefused if there is no heading to tell the columns by, or it is no text at all */
    public static function read(string $bytes): self
    {
        $notices = [];
        $rows = CsvText::rows($bytes, self::MOST_LINES + 2, $notices);
        $columns = self::columns(array_shift($rows) ?? [], $notices);
        $wools = $refused = $lines = [];
        foreach ($rows as $i => $row) {
            $line = $i + 2;
            if (count($wools) + count($refused) >= self::MOST_LINES) {
                $notices[] = Message::of('stash.stash-table.only-the-first-lines', mostLines: self::MOST_LINES);
                break;
            }
            $members = [];
            foreach ($columns as $at => $member) {
                $members[$member] = $row[$at] ?? '';
            }
            if (implode('', $members) === '') {
                continue;
            }
            $faults = [];
            $wool = WoolEntry::of($members, $faults);
            foreach ($faults as $member => $why) {
                $refused[] = ['line' => $line, 'column' => (string) array_search($member, self::COLUMNS, true), 'why' => $why];
            }
            if ($wool !== null && isset($lines[$wool->key()])) {
                $refused[] = [
                    'line' => $line,
                    'column' => 'name',
                    'why' => Message::of('stash.stash-table.is-already-on-line', name: $wool->name, lines: $lines[$wool->key()]),
                ];
            } elseif ($wool !== null) {
                $lines[$wool->key()] = $line;
                $wools[] = $wool;
            }
        }

        return new self($wools, $refused, $notices);
    }

    /**
     * The same table written: read again, it is the same stash.
     *
     * @param  iterable<WoolEntry>  $wools
     */
    public static function write(iterable $wools): string
    {
        $lines = [implode(',', array_keys(self::COLUMNS))];
        foreach ($wools as $w) {
            $lines[] = implode(
                ',',
                array_map(self::field(...), [
                    $w->name,
                    $w->colour?->toHex() ?? '',
                    $w->material,
                    $w->preparation->value,
                    self::number($w->gramsLeft),
                    self::number($w->micron),
                    self::number($w->gPerM),
                    self::number($w->pack->price),
                    self::number($w->pack->g),
                    $w->pack->maker,
                ]),
            );
        }

        return implode("\r\n", $lines)."\r\n";
    }

    /**
     * A cell that a spreadsheet would take for a formula is written with a quote before it (common practice); so is one that
     * begins with such a quote itself, which would be lost when it is read again.
     */
    public static function field(string $value): string
    {
        $value = preg_match('/^\'*[=+\-@\t\r]/', $value) === 1 && ! is_numeric($value) ? "'".$value : $value;

        return preg_match('/[",\r\n]/', $value) === 1 ? '"'.str_replace('"', '""', $value).'"' : $value;
    }

    private static function number(?float $number): string
    {
        return $number === null ? '' : rtrim(rtrim(sprintf('%.4f', $number), '0'), '.');
    }

    /**
     * @param  list<string>  $heading
     * @param  list<Message>  $notices
     * @return array<int, string> member by column
     */
    private static function columns(array $heading, array &$notices): array
    {
        $columns = $unknown = [];
        foreach ($heading as $at => $title) {
            $member = self::COLUMNS[mb_strtolower($title)] ?? null;
            if ($member !== null && ! in_array($member, $columns, true)) {
                $columns[$at] = $member;
            } elseif ($title !== '') {
                $unknown[] = $title;
            }
        }
        if (! in_array('name', $columns, true)) {
            throw WoolRefused::cannotRead(
                Message::of(
                    'stash.stash-table.the-first-line-must',
                    list: mb_substr(implode(', ', $heading), 0, 120),
                    list2: implode(', ', array_keys(self::COLUMNS)),
                ),
            );
        }
        if ($unknown !== []) {
            $notices[] = Message::of('stash.stash-table.left-alone-because-we', list: implode(', ', array_slice($unknown, 0, 8)));
        }

        return $columns;
    }
}
