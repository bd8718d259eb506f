<?php

declare(strict_types=1);

namespace Impa\Build;

/** What another school did to the order of the work, in words. */
final class SchoolChange
{
    /** @return string empty where nothing moved */
    public static function text(Work $before, Work $after): string
    {
        $school = $after->ledger->figure->faceSchool;
        $moved = self::moved($before->keys(), $after->keys());
        if ($moved === []) {
            return '';
        }
        $titles = [];
        foreach ($after->steps as $step) {
            $titles[$step->key] = $step->title;
        }
        $kept = array_filter($after->steps, static fn (Step $s): bool => $s->because !== [] && ! isset($moved[$s->key]));

        return sprintf(
            '%s: %s %d steps changed places, first of them "%s".%s',
            ucfirst($school->title()),
            $school->reason(),
            count($moved),
            $titles[array_key_first($moved)],
            $kept === [] ? '' : sprintf(' %d stayed where reach or the trade wants them.', count($kept)),
        );
    }

    /**
     * The fewest steps that are taken out so that the others follow each other as before (all but a longest common subsequence; both
     * hold the same steps, so that it is a longest rising one; Schensted 1961).
     *
     * @param  list<string>  $before
     * @param  list<string>  $after
     * @return array<string, true>
     */
    private static function moved(array $before, array $after): array
    {
        $place = array_flip($before);
        $keys = array_values(array_filter($after, static fn (string $key): bool => isset($place[$key])));
        $best = $from = [];
        foreach ($keys as $i => $key) {
            [$best[$i], $from[$i]] = [1, -1];
            for ($j = 0; $j < $i; $j++) {
                if ($place[$keys[$j]] < $place[$key] && $best[$i] < $best[$j] + 1) {
                    [$best[$i], $from[$i]] = [$best[$j] + 1, $j];
                }
            }
        }
        $moved = array_fill_keys($keys, true);
        for ($i = $best === [] ? -1 : (int) array_search(max($best), $best, true); $i >= 0; $i = $from[$i]) {
            unset($moved[$keys[$i]]);
        }

        return $moved;
    }
}
