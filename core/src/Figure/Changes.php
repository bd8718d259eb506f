<?php

declare(strict_types=1);

namespace Impa\Figure;

use stdClass;

/** What became otherwise from one document of a figure to a later one, in a few words for each thing. */
final class Changes
{
    private const LISTS = ['parts', 'details', 'wires'];

    /** @return list<string> such as "Ear is new" */
    public static function between(stdClass $before, stdClass $after): array
    {
        $words = [];
        foreach (self::LISTS as $list) {
            [$was, $is] = [self::byKey($before, $list), self::byKey($after, $list)];
            foreach ($is as $key => $member) {
                $name = self::name($member, (string) $key);
                if (! isset($was[$key])) {
                    $words[] = $name.' is new';
                } elseif (json_encode($was[$key]) !== json_encode($member)) {
                    $words[] = $name.' changed';
                }
            }
            foreach (array_diff_key($was, $is) as $key => $member) {
                $words[] = self::name($member, (string) $key).' is gone';
            }
        }
        if (($before->heightMm ?? null) !== ($after->heightMm ?? null)) {
            $words[] = 'the finished height changed';
        }
        if (json_encode($before->school ?? null) !== json_encode($after->school ?? null)) {
            $words[] = 'the school changed';
        }

        return $words;
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
