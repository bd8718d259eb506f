<?php

declare(strict_types=1);

namespace Impa\Figure\Document;

use Impa\Shape\ShapeRefused;
use Impa\Voice\Message;
use stdClass;

/** What a schema cannot tell of a figure document: doubled or unknown keys, joins in a circle, shapes that contradict themselves. */
final class FigureMeaning
{
    /** Points in all, and what they are the points of, by where they stand. */
    private const MOST_POINTS = [
        'details' => 5000,
        'parts' => 8000,
        'wires' => 2000,
        'flat' => 4000,
    ];

    /** @var list<Fault> */
    private array $faults = [];

    private function __construct(private readonly stdClass $document)
    {
    }

    /** @return list<Fault> */
    public static function faults(stdClass $document): array
    {
        $check = new self($document);
        $colours = $check->keys('colours', 'colour');
        $parts = $check->keys('parts', 'part');
        $check->keys('details', 'detail');
        $check->parts($colours, $parts);
        $check->circles();
        $check->details($colours, $parts);
        $check->keys('wires', 'wire');
        $check->wires($colours);
        $check->within('flat', 'openings', 'opening');
        $check->within('base', 'weights', 'weight');
        $check->points();

        return $check->faults;
    }

    /** @param  list<string>  $colours */
    private function wires(array $colours): void
    {
        foreach ($this->members('wires') as $i => $wire) {
            if (isset($wire->wrapped)) {
                $this->known($wire, 'wrapped', $colours, ['wires', $i, 'wrapped'], 'colour');
            }
        }
    }

    /** Everything is reckoned while one waits: of points there are so many in all, ten times what a rich drawing has. */
    private function points(): void
    {
        $count = static fn (mixed $list): int => is_array($list) ? count($list) : 0;
        $flat = ($this->document->flat ?? null) instanceof stdClass ? $this->document->flat->openings ?? [] : [];
        $openings = array_filter(is_array($flat) ? $flat : [], static fn (mixed $o): bool => $o instanceof stdClass);
        $sums = ['details' => 0, 'parts' => 0, 'wires' => 0, 'flat' => 0];
        foreach ($this->members('details') as $detail) {
            $holes = is_array($detail->holesMm ?? null) ? $detail->holesMm : [];
            $sums['details'] += $count($detail->pointsMm ?? null) + array_sum(array_map($count, $holes));
        }
        foreach ($this->members('parts') as $part) {
            $sums['parts'] += ($part->shape ?? null) instanceof stdClass ? $count($part->shape->outline ?? null) : 0;
        }
        foreach ($this->members('wires') as $wire) {
            $sums['wires'] += $count($wire->pointsMm ?? null);
        }
        foreach ($openings as $opening) {
            $sums['flat'] += $count($opening->pointsMm ?? null);
        }
        foreach ($sums as $list => $sum) {
            if ($sum > self::MOST_POINTS[$list]) {
                $this->faults[] = Fault::at([$list], Message::of('figure.points.'.$list, sum: $sum, most: self::MOST_POINTS[$list]));
            }
        }
    }

    /** Of two openings or hidden weights with one key, one would be lost. */
    private function within(string $member, string $list, string $word): void
    {
        $all = ($this->document->{$member} ?? null) instanceof stdClass ? $this->document->{$member}->{$list} ?? [] : [];
        $keys = [];
        foreach (is_array($all) ? array_values($all) : [] as $i => $one) {
            $key = $one instanceof stdClass ? self::text($one, 'key') : '';
            if ($key !== '' && in_array($key, $keys, true)) {
                $this->faults[] = Fault::at(
                    [$member, $list, $i, 'key'],
                    Message::of("figure.another.$word", key: $key),
                );
            }
            $keys[] = $key;
        }
    }

    /** @return list<string> */
    private function keys(string $list, string $word): array
    {
        $keys = [];
        foreach ($this->members($list) as $i => $member) {
            $key = self::text($member, 'key');
            if ($key !== '' && in_array($key, $keys, true)) {
                $this->faults[] = Fault::at(
                    [$list, $i, 'key'],
                    Message::of("figure.another.$word", key: $key),
                );
            }
            $keys[] = $key;
        }

        return $keys;
    }

    /**
     * @param  list<string>  $colours
     * @param  list<string>  $parts
     */
    private function parts(array $colours, array $parts): void
    {
        foreach ($this->members('parts') as $i => $part) {
            $this->known($part, 'colour', $colours, ['parts', $i, 'colour'], 'colour');
            if (($part->join ?? null) instanceof stdClass) {
                $this->known($part->join, 'to', $parts, ['parts', $i, 'join', 'to'], 'part');
                if (self::text($part->join, 'to') !== '' && self::text($part->join, 'to') === self::text($part, 'key')) {
                    $this->faults[] = Fault::at(['parts', $i, 'join', 'to'], Message::of('figure.figure-meaning.a-part-cannot-be'));
                }
            }
            if (($part->shape ?? null) instanceof stdClass) {
                try {
                    ShapeReader::solid($part->shape);
                } catch (ShapeRefused $refused) {
                    $this->faults[] = Fault::at(['parts', $i, 'shape'], $refused->why);
                }
            }
        }
    }

    /** Follows each part's joins to the root; who comes back to where it started hangs in the air. */
    private function circles(): void
    {
        $to = $at = [];
        foreach ($this->members('parts') as $i => $part) {
            $join = ($part->join ?? null) instanceof stdClass ? self::text($part->join, 'to') : '';
            $to[self::text($part, 'key')] = $join;
            $at[self::text($part, 'key')] = $i;
        }
        $told = [];
        foreach (array_keys($to) as $start) {
            $start = (string) $start;
            $way = [$start];
            $next = $to[$start];
            while ($next !== '' && isset($to[$next]) && ! in_array($next, $way, true)) {
                $way[] = $next;
                $next = $to[$next];
            }
            if ($next === $start && count($way) > 1 && ! in_array($start, $told, true)) {
                $told = [...$told, ...$way];
                $this->faults[] = Fault::at(
                    ['parts', $at[$start], 'join', 'to'],
                    Message::of('figure.figure-meaning.these-parts-are-joined', list: implode(' -> ', [...$way, $start])),
                );
            }
        }
    }

    /**
     * @param  list<string>  $colours
     * @param  list<string>  $parts
     */
    private function details(array $colours, array $parts): void
    {
        foreach ($this->members('details') as $i => $detail) {
            $this->known($detail, 'colour', $colours, ['details', $i, 'colour'], 'colour');
            $this->known($detail, 'on', $parts, ['details', $i, 'on'], 'part');
            $points = is_array($detail->pointsMm ?? null) ? count($detail->pointsMm) : 0;
            $kind = self::text($detail, 'kind');
            if ($kind === 'patch' && $points < 3) {
                $this->faults[] = Fault::at(['details', $i, 'pointsMm'], Message::of('figure.figure-meaning.a-patch-needs'));
            }
            if ($kind === 'line' && $points < 2) {
                $this->faults[] = Fault::at(['details', $i, 'pointsMm'], Message::of('figure.figure-meaning.a-line-needs'));
            }
            $widths = is_array($detail->widthsMm ?? null) ? count($detail->widthsMm) : 0;
            if ($widths > 0 && $widths !== $points) {
                $this->faults[] = Fault::at(
                    ['details', $i, 'widthsMm'],
                    Message::of('figure.figure-meaning.a-line-of-points', points: $points, widths: $widths),
                );
            }
            if ($kind !== '' && $kind !== 'patch' && ! isset($detail->widthMm)) {
                $this->faults[] = Fault::at(['details', $i], Message::of('figure.figure-meaning.widthmm-is-missing-here', kind: $kind));
            }
        }
    }

    /**
     * @param  list<string>  $keys
     * @param  list<int|string>  $path
     */
    private function known(stdClass $member, string $name, array $keys, array $path, string $word): void
    {
        $key = self::text($member, $name);
        if ($key !== '' && ! in_array($key, $keys, true)) {
            $this->faults[] = Fault::at($path, Message::of("figure.unknown.$word", key: $key));
        }
    }

    /** @return array<int, stdClass> by their place in the list */
    private function members(string $list): array
    {
        $members = is_array($this->document->{$list} ?? null) ? $this->document->{$list} : [];

        return array_filter($members, static fn (mixed $m): bool => $m instanceof stdClass);
    }

    private static function text(stdClass $from, string $name): string
    {
        return is_string($from->{$name} ?? null) ? $from->{$name} : '';
    }
}
