<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use stdClass;

/**
 * What was taken away and came again under the same key. An undo brings it back as it was, and what was done of it is done; what was made
 * anew has nothing done yet.
 */
final class Anew
{
    /**
     * @param  iterable<stdClass>  $earlier  documents before the last one, the latest first
     * @return list<array{'part'|'detail'|'weight'|'wire', string}> what is there now and was not in the document before, unless an earlier
     *     one had just that
     */
    public static function things(stdClass $now, stdClass $before, iterable $earlier): array
    {
        $was = self::all($before);
        $new = array_diff_key(self::all($now), $was);
        $anew = [];
        foreach ($new === [] ? [] : $earlier as $document) {
            foreach (array_intersect_key(self::all($document), $new) as $name => [$kind, $key, $json]) {
                // The latest that had it says how it was.
                if ($json !== $new[$name][2]) {
                    $anew[$name] = [$kind, $key];
                }
                unset($new[$name]);
            }
            if ($new === []) {
                break;
            }
        }

        // Whose trace nobody has any more is new.
        return [...array_values($anew), ...array_map(static fn (array $thing): array => [$thing[0], $thing[1]], array_values($new))];
    }

    /**
     * Whether a step is of a thing: what is laid, joined or weighed out for it.
     *
     * @param  'part'|'detail'|'weight'|'wire'  $kind
     */
    public static function isStepOf(string $step, string $kind, string $key): bool
    {
        return match ($kind) {
            'part' => str_ends_with($step, ":{$key}") && preg_match('/^(detail|weight|thread|mix):/', $step) !== 1,
            'wire' => $step === "thread:{$key}",
            default => $step === "{$kind}:{$key}",
        };
    }

    /**
     * What one document has and another has not.
     *
     * @return list<array{'part'|'detail'|'weight'|'wire', string}>
     */
    public static function gone(stdClass $before, stdClass $now): array
    {
        return array_map(
            static fn (array $thing): array => [$thing[0], $thing[1]],
            array_values(array_diff_key(self::all($before), self::all($now))),
        );
    }

    /** @return array<string, array{'part'|'detail'|'weight'|'wire', string, string}> kind, key and JSON, by both in one word */
    private static function all(stdClass $document): array
    {
        $base = $document->base ?? null;
        $lists = [
            'part' => $document->parts ?? null,
            'detail' => $document->details ?? null,
            'weight' => $base instanceof stdClass ? $base->weights ?? null : null,
            'wire' => $document->wires ?? null,
        ];
        $all = [];
        foreach ($lists as $kind => $members) {
            foreach (is_array($members) ? $members : [] as $member) {
                $key = $member instanceof stdClass ? $member->key ?? null : null;
                if (is_string($key)) {
                    $all["{$kind} {$key}"] = [$kind, $key, (string) json_encode($member)];
                }
            }
        }

        return $all;
    }
}
