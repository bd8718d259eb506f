<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use stdClass;

/** What became otherwise from one document of a figure to a later one, in a few words for each thing. */
final class Changes
{
    private const LISTS = ['parts', 'details', 'wires'];

    /** @return list<Message> such as "Ear is new" */
    public static function between(stdClass $before, stdClass $after): array
    {
        $words = [];
        foreach (self::LISTS as $list) {
            [$was, $is] = [self::byKey($before, $list), self::byKey($after, $list)];
            foreach ($is as $key => $member) {
                $name = self::name($member, (string) $key);
                if (! isset($was[$key])) {
                    $words[] = Message::of('figure.changes.new', name: $name);
                } elseif (json_encode($was[$key]) !== json_encode($member)) {
                    $words[] = self::how($name, $was[$key], $member);
                }
            }
            foreach (array_diff_key($was, $is) as $key => $member) {
                $words[] = Message::of('figure.changes.gone', name: self::name($member, (string) $key));
            }
        }
        if (($before->heightMm ?? null) !== ($after->heightMm ?? null)) {
            $words[] = Message::of('figure.changes.height');
        }
        if (json_encode($before->school ?? null) !== json_encode($after->school ?? null)) {
            $words[] = Message::of('figure.changes.school');
        }

        return $words;
    }

    /** How one member became otherwise: its sizes and its place where only these did, else that it changed. */
    private static function how(string $name, stdClass $was, stdClass $is): Message
    {
        $words = [];
        $sizes = ['widthMm' => ['wider', 'narrower'], 'heightMm' => ['higher', 'lower'], 'depthMm' => ['deeper', 'thinner']];
        foreach ($sizes as $size => $by) {
            $words[] = self::more(self::number($was->shape ?? $was, $size), self::number($is->shape ?? $is, $size), $by);
        }
        $places = ['xMm' => ['right', 'left'], 'yMm' => ['up', 'down'], 'zMm' => ['nearer', 'back']];
        foreach ($places as $place => $by) {
            $words[] = self::more(self::number($was->at ?? $was, $place), self::number($is->at ?? $is, $place), $by);
        }
        $words = array_values(array_filter($words));
        $rest = self::rest($was) !== self::rest($is);

        return match (true) {
            $words === [] || ($rest && count($words) > 2) => Message::of('figure.changes.changed', name: $name),
            $rest => Message::of('figure.changes.is-and-changed', name: $name, how: implode(', ', $words)),
            default => Message::of('figure.changes.is', name: $name, how: implode(', ', $words)),
        };
    }

    /** @param  array{string, string}  $by */
    private static function more(?float $was, ?float $is, array $by): ?Message
    {
        $off = $was === null || $is === null ? 0.0 : $is - $was;

        return abs($off) < 0.05 ? null : Message::of('figure.changes.by.'.$by[$off > 0.0 ? 0 : 1], off: Amount::mm(abs($off)));
    }

    private static function number(mixed $of, string $member): ?float
    {
        $value = $of instanceof stdClass ? $of->{$member} ?? null : null;

        return is_numeric($value) ? (float) $value : null;
    }

    /** What a member says besides its sizes and its place. */
    private static function rest(stdClass $member): string
    {
        $rest = clone $member;
        foreach ([$rest, ...self::inner($rest)] as $of) {
            unset($of->widthMm, $of->heightMm, $of->depthMm, $of->xMm, $of->yMm, $of->zMm);
        }

        return (string) json_encode($rest);
    }

    /** @return list<stdClass> copies of a member's shape and place, in its own place */
    private static function inner(stdClass $member): array
    {
        $inner = [];
        foreach (['shape', 'at'] as $name) {
            if (($member->{$name} ?? null) instanceof stdClass) {
                $inner[] = $member->{$name} = clone $member->{$name};
            }
        }

        return $inner;
    }

    /** @return array<string, stdClass> */
    private static function byKey(stdClass $document, string $list): array
    {
        $members = [];
        foreach (is_array($document->{$list} ?? null) ? $document->{$list} : [] as $member) {
            if ($member instanceof stdClass && is_string($member->key ?? null)) {
                $members[$member->key] = $member;
            }
        }

        return $members;
    }

    private static function name(stdClass $member, string $key): string
    {
        return is_string($member->name ?? null) && $member->name !== '' ? $member->name : $key;
    }
}
