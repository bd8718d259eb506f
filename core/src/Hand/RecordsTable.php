<?php

declare(strict_types=1);

namespace Impa\Hand;

use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Material\Preparation;
use Impa\Shape\Size;
use Impa\Shape\Solid\Ball;
use Impa\Stash\Table\CsvText;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Wool\WoolRefused;

/** Finished pieces as a CSV table: what they were made of and how hard, their volume, their weight, and how long they took. Immutable. */
final readonly class RecordsTable
{
    public const COLUMNS = ['preparation', 'firmness', 'cm3', 'grams', 'minutes'];

    private const MOST_LINES = 20_000;

    /** A piece that is longer than this by any measure is no felt figure. */
    private const MOST = 100_000.0;

    /**
     * @param  list<Observation>  $observations
     * @param  list<array{line: int, why: string}>  $refused
     * @param  array{preparation: Preparation, firmness: Firmness, cm3: float}  $last  of the last good line
     */
    private function __construct(public array $observations, public array $refused, public array $last)
    {
    }

    /** @throws HandRefused if it is no table of this kind, or no line of it is good */
    public static function read(string $bytes): self
    {
        $notices = [];
        try {
            $rows = CsvText::rows($bytes, self::MOST_LINES + 1, $notices);
        } catch (WoolRefused $refused) {
            throw HandRefused::cannotRead($refused->why);
        }
        $heading = array_map(mb_strtolower(...), array_shift($rows) ?? []);
        $missing = array_values(array_diff(['firmness', 'cm3', 'grams'], $heading));
        if ($missing !== []) {
            throw HandRefused::columnsAreMissing($missing);
        }
        $observations = $refused = [];
        $last = null;
        foreach ($rows as $i => $row) {
            if (implode('', $row) === '') {
                continue;
            }
            $cells = [];
            foreach ($heading as $at => $name) {
                $cells[$name] = $row[$at] ?? '';
            }
            try {
                [$found, $last] = self::line($cells, $i + 2);
                array_push($observations, ...$found);
            } catch (HandRefused $why) {
                $refused[] = ['line' => $i + 2, 'why' => $why->getMessage()];
            }
        }

        return $last === null && $refused === []
            ? throw HandRefused::noRecord()
            : new self(
                $observations,
                $refused,
                $last ?? throw HandRefused::cannotRead(Message::of(
                    'hand.records-table.at',
                    line: $refused[0]['line'],
                    why: $refused[0]['why'],
                )),
            );
    }

    /**
     * @param  array<string, string>  $cells
     * @return array{list<Observation>, array{preparation: Preparation, firmness: Firmness, cm3: float}}
     */
    private static function line(array $cells, int $line): array
    {
        $said = mb_strtolower($cells['preparation'] ?? '');
        $preparation = $said === '' ? Preparation::CardedBatting : Preparation::tryFrom($said);
        $firmness = Firmness::tryFrom(mb_strtolower($cells['firmness']));
        if ($preparation === null) {
            throw self::unknown('preparation', $said, array_column(Preparation::cases(), 'value'));
        }
        if ($firmness === null) {
            throw self::unknown('firmness', $cells['firmness'], array_column(Firmness::cases(), 'value'));
        }
        [$cm3, $g] = [self::number('cm3', $cells['cm3']), self::number('grams', $cells['grams'])];
        $minutes = ($cells['minutes'] ?? '') === '' ? null : self::number('minutes', $cells['minutes']);
        if ($g / $cm3 > Densities::FIBRE_G_PER_CM3) {
            throw HandRefused::denserThanFibre($g / $cm3);
        }
        $what = Message::of(
            'hand.records-table.line',
            line: $line,
            cm3: Amount::cm3($cm3),
            of: Message::of('material.firmness.'.$firmness->value),
        );
        $expected = $cm3 * Densities::house()->preparedGPerCm3($preparation, $firmness);
        $all = [new Observation('line:'.$line, Quantity::Density, $firmness->value, $what, $expected, $g)];
        if ($minutes !== null) {
            // As one that is written down for itself: about a ball of its volume, with one needle, its surface smoothed.
            $acrossMm = 10 * (6 * $cm3 / M_PI) ** (1 / 3);
            $expected = Practice::minutes(Ball::of(Size::of($acrossMm, $acrossMm, $acrossMm)), $g, $firmness);
            $all[] = new Observation('time:'.$line, Quantity::Pace, 'felt', $what, $expected, $minutes);
        }

        return [$all, ['preparation' => $preparation, 'firmness' => $firmness, 'cm3' => $cm3]];
    }

    private static function number(string $column, string $cell): float
    {
        $cell = str_replace(',', '.', $cell);
        $number = is_numeric($cell) ? (float) $cell : NAN;

        return $number > 0.0 && $number < self::MOST
            ? $number
            : throw HandRefused::cannotRead(Message::of(
                'hand.records-table.is-no-number-above',
                column: $column,
                cell: mb_substr($cell, 0, 40),
            ));
    }

    /** @param  list<string>  $known */
    private static function unknown(string $column, string $said, array $known): HandRefused
    {
        return HandRefused::cannotRead(Message::of(
            'hand.records-table.is-none',
            column: $column,
            said: mb_substr($said, 0, 40),
            list: implode(', ', $known),
        ));
    }
}
