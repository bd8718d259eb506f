<?php

declare(strict_types=1);

namespace Impa\Build\Technique;

use Impa\Build\Steps\Step;
use Impa\Build\Work;
use Impa\Voice\Message;
use Impa\Voice\Opening;

/** What another school did to the order of the work, in words. */
final class TechniqueChange
{
    /**
     * @param  array{value: string, title: Message, reason: Message}  $school  that was chosen
     */
    public static function text(array $school, Work $before, Work $after): Message
    {
        $moved = self::moved($before->keys(), $after->keys());
        $new = array_diff($after->keys(), $before->keys());
        $gone = array_diff($before->keys(), $after->keys());
        $titles = [];
        foreach ([...$before->steps, ...$after->steps] as $step) {
            $titles[$step->key] = (string) $step->title;
        }
        $kept = array_filter($after->steps, static fn (Step $s): bool => $s->order->because !== [] && ! isset($moved[$s->key]));
        $said = array_filter([
            self::told($moved, $titles, 'moved'),
            self::told(array_flip($new), $titles, 'new'),
            self::told(array_flip($gone), $titles, 'gone'),
            $kept === [] || $moved === [] ? null : Message::of('build.change.kept', count: count($kept)),
        ]);

        return Message::of(
            'build.change.said',
            title: new Opening($school['title']),
            reason: $school['reason'],
            said: $said === [] ? Message::of('build.change.none') : implode(' ', $said),
        );
    }

    /**
     * @param  array<string, mixed>  $keys  by the key of a step
     * @param  array<string, string>  $titles
     */
    private static function told(array $keys, array $titles, string $became): ?Message
    {
        $first = array_key_first($keys);

        return match (true) {
            $first === null => null,
            default => Message::of('build.change.'.$became, count: count($keys), title: $titles[$first]),
        };
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
