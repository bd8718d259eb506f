<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Log\LogEntry;
use App\Models\Needle;
use Illuminate\Database\Eloquent\Model;
use Impa\Build\Steps\StepKind;
use Impa\Face\Needles;
use Impa\Material\Firmness;
use Impa\Render\View;
use Impa\Voice\Message;
use stdClass;

/**
 * What a record of each kind must be, whichever way it comes in: by its own door, from the console, in an archive; and what the doctor
 * holds those that are kept against.
 */
final class Record
{
    private const NAME = '/^[A-Za-z0-9-]{8,64}$/D';

    private const STEP = '/^[A-Za-z0-9:._-]{0,160}$/D';

    /** Milliseconds since 1970: a device's clock may be a day ahead. */
    private const AHEAD_MS = 86_400_000;

    /** As much as a drawer holds, g; nobody felts longer at one thing, minutes. */
    private const MOST_G = 200_000.0;

    private const MOST_MINUTES = 100_000.0;

    private const MOST_MM = 2000.0;

    private const MOST_REVISION = 1_000_000;

    /** @return list<string> tables whose rows are held against a rule */
    public static function tables(): array
    {
        return array_keys(self::rules());
    }

    /**
     * @param  array<string, mixed>  $row  columns; those that are not there are not asked for
     * @return array<string, mixed> the same
     *
     * @throws RecordRefused in words, if it is none
     */
    public static function checked(string $table, array $row, string $place = ''): array
    {
        $faults = self::faults($table, $row);

        return $faults === [] ? $row : throw RecordRefused::because($place.implode(' ', $faults));
    }

    /**
     * Of many those that are records: one that is none does not break the answer about the others. The doctor tells of it.
     *
     * @template T of Model
     *
     * @param  iterable<T>  $rows
     * @return list<T>
     */
    public static function good(iterable $rows): array
    {
        $good = [];
        foreach ($rows as $row) {
            if (self::faults($row->getTable(), $row->getAttributes()) === []) {
                $good[] = $row;
            }
        }

        return $good;
    }

    /**
     * @param  array<string, mixed>  $row
     * @return list<string> sentences; none where it is a record
     */
    public static function faults(string $table, array $row): array
    {
        $faults = [];
        foreach (array_intersect_key(self::rules()[$table] ?? [], $row) as $column => $rule) {
            $fault = $rule($row[$column]);
            if ($fault !== '') {
                $faults[] = ucfirst(str_replace('_', ' ', $column)).' '.$fault.'.';
            }
        }
        if ($table === 'bouts' && $faults === [] && isset($row['begun_at'], $row['ended_at']) && $row['ended_at'] <= $row['begun_at']) {
            $faults[] = (string) Message::of('house.record.it-ends-before');
        }

        return $faults;
    }

    /** @return array<string, array<string, callable(mixed): string>> what is wrong with a column's value, by table; empty where nothing is */
    private static function rules(): array
    {
        static $rules = null;
        if ($rules !== null) {
            return $rules;
        }
        $number = static fn (mixed $v): float => is_numeric($v) ? (float) $v : NAN;
        // What is no number lies nowhere.
        $from = static fn (float $least, float $most): callable => static fn (mixed $v): string => $number($v) >= $least
            && $number($v) <= $most ? '' : (string) Message::of('house.record.between', least: $least, most: $most);
        $above = static fn (float $most): callable => static fn (mixed $v): string => $number($v) > 1e-6 && $number($v) <= $most
            ? '' : (string) Message::of('house.record.above', most: $most);
        $whole = static fn (int $least, int $most): callable => static fn (mixed $v): string => $number($v) === floor($number($v))
            && $number($v) >= $least && $number($v) <= $most ? '' : (string) Message::of('house.record.whole', least: $least, most: $most);
        $orNone = static fn (callable $rule): callable => static fn (mixed $v): string => $v === null ? '' : $rule($v);
        $text = static fn (int $most): callable => static fn (mixed $v): string => is_string($v) && mb_check_encoding($v, 'UTF-8')
            && mb_strlen($v) <= $most ? '' : (string) Message::of('house.record.text', most: $most);
        $like = static fn (string $pattern, string $why): callable => static fn (mixed $v): string => is_string($v)
            && preg_match($pattern, $v) === 1 ? '' : (string) Message::of("house.record.$why");
        $oneOf = static fn (array $list): callable => static fn (mixed $v): string => in_array(is_numeric($v) ? (int) $v : $v, $list, true)
            ? '' : (string) Message::of('house.record.one-of', known: implode(', ', $list));
        $moment = static fn (mixed $v): string => $number($v) >= 0 && $number($v) <= 1000 * time() + self::AHEAD_MS
            ? '' : (string) Message::of('house.record.no-moment');
        $time = static fn (mixed $v): string => ! is_string($v) || self::isTime($v) ? '' : (string) Message::of('house.record.no-time');
        $json = static fn (mixed $v): string => is_string($v) && json_decode($v) instanceof stdClass
            ? '' : (string) Message::of('house.record.unreadable');
        $step = $like(self::STEP, 'no-step');
        $name = $like(self::NAME, 'no-name');
        $values = static fn (array $cases): array => array_column($cases, 'value');
        $g = $from(0.0, self::MOST_G);

        return $rules = [
            'figures' => ['revision' => $whole(1, self::MOST_REVISION), 'present_step' => $step],
            'figure_revisions' => ['revision' => $whole(1, self::MOST_REVISION), 'created_at' => $time],
            'step_marks' => ['step' => $step, 'created_at' => $time],
            'bouts' => ['step' => $step, 'begun_at' => $moment, 'ended_at' => $moment],
            'log_entries' => [
                'uuid' => $name, 'kind' => $oneOf(LogEntry::KINDS), 'step' => $step, 'text' => $text(2000),
                'grams' => $orNone($from(0.0, 100_000.0)), 'gauge' => $orNone($oneOf(Needles::SOLD)),
                'needle' => $orNone($oneOf(Needles::KINDS)), 'at' => $moment,
            ],
            'finished_parts' => [
                'uuid' => $name, 'part' => $text(120), 'what' => $text(200), 'firmness' => $oneOf($values(Firmness::cases())),
                'width_mm' => $above(self::MOST_MM), 'height_mm' => $above(self::MOST_MM), 'depth_mm' => $above(self::MOST_MM),
                'cm3' => $above(1e7), 'grams' => $above(self::MOST_G), 'house_g' => $g, 'weighed_g' => $orNone($above(self::MOST_G)),
                'minutes' => $orNone($above(self::MOST_MINUTES)), 'house_minutes' => $orNone($above(self::MOST_MINUTES)), 'at' => $moment,
            ],
            'finished_steps' => [
                'step' => $step, 'kind' => $oneOf($values(StepKind::cases())), 'what' => $text(200),
                'minutes' => $from(0.0, self::MOST_MINUTES), 'house_minutes' => $above(self::MOST_MINUTES), 'at' => $moment,
            ],
            'hand_marks' => ['record' => $like('/^(?:since|[a-z]{4,8}:[0-9]{1,18})$/D', 'no-record'), 'at' => $moment],
            'photo_checks' => ['view' => $oneOf($values(View::cases())), 'found' => $json, 'at' => $moment],
            'set_asides' => ['grams' => $g],
            'set_wools' => ['grams' => $g],
            'wool_uses' => ['planned_g' => $g, 'used_g' => $g, 'created_at' => $time],
            'weighings' => ['grams' => $g, 'created_at' => $time],
            'swatches' => ['shares' => $json, 'hex' => $like('/^#[0-9a-f]{6}$/D', 'no-colour'), 'created_at' => $time],
            'needles' => ['gauge' => $oneOf(Needles::SOLD), 'kind' => $oneOf(Needles::KINDS), 'left' => $whole(0, Needle::MOST)],
        ];
    }

    /** A day and an hour that there are, as 2026-11-27 10:00:00. */
    public static function isTime(string $said): bool
    {
        return preg_match('/^(\d{4})-(\d{2})-(\d{2})[ T]([01]\d|2[0-3]):[0-5]\d:[0-5]\d/D', $said, $m) === 1
            && checkdate((int) $m[2], (int) $m[3], (int) $m[1]);
    }
}
