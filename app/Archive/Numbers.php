<?php

declare(strict_types=1);

namespace App\Archive;

use App\Accounts\CurrentFelter;
use App\Store\Record;
use Impa\Voice\Message;

/** Numbers of this store by the names that rows have in every store, while an archive is taken in; and rows written in heaps. */
final class Numbers
{
    /** @var array<string, int> by uuid */
    public array $figures = [];

    /** @var array<string, int> by uuid */
    public array $wools = [];

    /** @var array<string, int> by SHA-256 */
    public array $pictures = [];

    /** @var array<string, string> figures that were laid beside their own likes, under the name they got */
    public array $renamed = [];

    private const AT_ONCE = 50;

    /** A figure of the archive as it is here; 0 where it stayed out. */
    public function figure(string $uuid): int
    {
        return $this->figures[$this->renamed[$uuid] ?? $uuid] ?? 0;
    }

    /** @return array<string, int> numbers here by what names a row everywhere */
    public static function of(string $table, string $name = 'uuid'): array
    {
        $numbers = [];
        foreach (CurrentFelter::rows($table)->pluck('id', $name) as $key => $id) {
            $numbers[(string) $key] = is_numeric($id) ? (int) $id : 0;
        }

        return $numbers;
    }

    /**
     * Each is held to the rule that holds for those that come by their own door.
     *
     * @param  list<array<string, mixed>>  $rows
     *
     * @throws ArchiveRefused in words, if one is none
     */
    public static function insert(string $table, array $rows): void
    {
        foreach ($rows as $row) {
            $faults = Record::faults($table, $row);
            if ($faults !== []) {
                $which = array_filter(array_intersect_key($row, array_flip(['uuid', 'step', 'what', 'record', 'gauge'])), is_scalar(...));
                throw ArchiveRefused::because((string) Message::of(
                    'house.refused.record-is-none',
                    which: str_replace('_', ' ', $table).($which === [] ? '' : ', "'.mb_substr((string) current($which), 0, 80).'"'),
                    faults: implode(' ', $faults),
                ));
            }
        }
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            CurrentFelter::rows($table)->insert(array_map(static fn (array $row): array => CurrentFelter::own() + $row, $some));
        }
    }
}
