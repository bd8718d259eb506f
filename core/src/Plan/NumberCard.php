<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Trace\By;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Amount;
use Impa\Voice\Opening;
use Impa\Voice\Said;

/** How a number came about, where what was put into it comes from, how far it may be off. Immutable. */
final readonly class NumberCard
{
    /** A sum of more than so many is a list: how each of them came about is told by its own card. */
    private const LIST = 2;

    /**
     * @param  Said  $title  what the number is
     * @param  Said  $off  how far it may be off
     * @param  Said  $surer  what would make it surer
     */
    public function __construct(public Traced $number, private Said $title, private Said $off, private Said $surer)
    {
    }

    /** @return array<string, mixed> the impa-number document, version 1; formats/impa-number-1.schema.json */
    public function document(): array
    {
        $shown = self::shown($this->number);

        return [
            'format' => 'impa-number',
            'version' => 1,
            'title' => new Opening($this->title),
            'is' => $this->number->is,
            'text' => Amount::of($this->number->measure, $this->number->is),
            'lines' => array_map(self::line(...), $shown),
            'from' => array_map(self::from(...), self::givens($shown)),
            'off' => $this->off,
            'surer' => $this->surer,
            'trace' => self::trace($this->number),
        ];
    }

    /** @return list<Traced> what is told in a line of its own, the whole first */
    private static function shown(Traced $number): array
    {
        if ($number->by === By::Given) {
            return [];
        }
        $shown = [$number];
        foreach ($number->by === By::Sum && count($number->of) > self::LIST ? [] : $number->of as $one) {
            array_push($shown, ...self::shown($one));
        }

        return $shown;
    }

    /**
     * @param  list<Traced>  $shown
     * @return list<Traced> what is put into them, each once
     */
    private static function givens(array $shown): array
    {
        $givens = [];
        foreach ($shown as $number) {
            foreach ($number->of as $one) {
                if ($one->by === By::Given && $one->source !== Source::Unit) {
                    $givens[$one->code.' '.$one->is] = $one;
                }
            }
        }

        return array_values($givens);
    }

    /** @return array<string, mixed> */
    private static function line(Traced $number): array
    {
        $written = static fn (Traced $one): string => (string) Amount::closely($one->measure, $one->is);
        $of = $number->of === [] ? [$number] : $number->of;

        return [
            'name' => $number->name(),
            'words' => $number->by->written(array_map(static fn (Traced $one): string => (string) $one->name(), $of)),
            'values' => $number->by->written(array_map($written, $of)),
            'is' => $written($number),
        ];
    }

    /** @return array<string, mixed> */
    private static function from(Traced $given): array
    {
        return [
            'name' => $given->name(),
            'value' => Amount::closely($given->measure, $given->is),
            'source' => $given->source?->value,
            'sourceName' => $given->source?->word(),
            'text' => $given->from(),
        ];
    }

    /** @return array<string, mixed> */
    private static function trace(Traced $number): array
    {
        return [
            'code' => $number->code,
            'by' => $number->by->value,
            'is' => $number->is,
            'of' => array_map(self::trace(...), $number->of),
        ];
    }
}
