<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Build\Steps\Step;
use Impa\Figure\Detail;
use Impa\Figure\Term\DetailRole;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** What to do next at a station, from the figure's own state: the most pressing first. Immutable. */
final readonly class Guidance
{
    /** Stations of a figure that there is something to do next at. */
    public const STATIONS = ['shapes', 'wool', 'face', 'build', 'check'];

    /** Stations around the figures. */
    public const AROUND = ['shelf', 'stash', 'hand', 'set', 'house'];

    /** From so many records on a hand is known well enough to go by (house choice). */
    private const KNOWN_HAND = 5;

    /** Notes of the plan that a felter can do something about at once, the most pressing first: by the code of lang/, help.next. */
    private const NOTES = [
        'loose-part' => 'loose', 'floats' => 'gap', 'falls' => 'falls', 'hidden' => 'buried', 'height' => 'height', 'thin' => 'thin',
        'too-deep' => 'deep', 'wire' => 'wire', 'touchy' => 'touchy',
    ];

    /**
     * @param  'open'|'aside'|'used'  $wool  whether it is set aside, or taken
     * @param  list<string>  $done  keys of the steps that are done
     * @param  int  $lacking  of how many wools the stash has too little
     */
    private function __construct(private Plan $plan, private string $wool, private array $done, private int $lacking)
    {
    }

    /**
     * @param  string  $station  one of STATIONS
     * @param  'open'|'aside'|'used'  $wool
     * @param  list<string>  $done
     * @return list<array{code: string, text: Message, station: string}> station: where it is done
     */
    public static function of(Plan $plan, string $station, string $wool, array $done, int $lacking): array
    {
        $guidance = new self($plan, $wool, $done, $lacking);
        $next = $plan->figure->parts === []
            ? [['no-parts', Message::of('help.next.no-parts'), 'shapes']]
            : match ($station) {
                'shapes' => $guidance->shapes(),
                'wool' => $guidance->wool(),
                'face' => $guidance->face(),
                'build' => $guidance->build(),
                default => $guidance->check(),
            };

        return self::told($next);
    }

    /**
     * @param  string  $station  one of AROUND
     * @param  int  $count  of what lies there: figures, wools, records of her hand, figures of a set; in the house, copies of a day
     * @return list<array{code: string, text: Message, station: string}> station: where it is done
     */
    public static function around(string $station, int $count): array
    {
        $code = match ($station) {
            'shelf' => $count === 0 ? 'first-figure' : 'open-one',
            'stash' => $count === 0 ? 'first-wool' : 'weigh-in',
            'set' => $count < 2 ? 'set-more' : 'set-ready',
            'house' => $count === 0 ? 'copy' : 'archive',
            default => $count === 0 ? 'practice' : ($count < self::KNOWN_HAND ? 'more-records' : 'known-hand'),
        };

        return self::told([[$code, Message::of('help.next.'.$code, count: $count), $station]]);
    }

    /**
     * @param  list<array{string, Message, string}>  $next
     * @return list<array{code: string, text: Message, station: string}>
     */
    private static function told(array $next): array
    {
        return array_map(static fn (array $n): array => ['code' => $n[0], 'text' => $n[1], 'station' => $n[2]], $next);
    }

    /** @return list<array{string, Message, string}> */
    private function shapes(): array
    {
        $counts = [];
        foreach (Notes::of($this->plan) as $note) {
            $code = self::NOTES[$note->code] ?? null;
            if ($code !== null) {
                $counts[$code] = ($counts[$code] ?? 0) + 1;
            }
        }
        $next = [];
        foreach (self::NOTES as $code) {
            if (isset($counts[$code])) {
                $next[] = [$code, Message::of('help.next.'.$code, count: $counts[$code]), 'shapes'];
            }
        }

        return $next === [] ? [['shapes-ready', Message::of('help.next.shapes-ready'), 'wool']] : $next;
    }

    /** @return list<array{string, Message, string}> */
    private function wool(): array
    {
        return match (true) {
            $this->wool === 'used' => [['used', Message::of('help.next.used'), 'check']],
            $this->wool === 'aside' => [['aside', Message::of('help.next.aside'), 'build']],
            $this->lacking > 0 => [
                ['lacking', Message::of('help.next.lacking', count: $this->lacking), 'wool'],
                ['set-aside', Message::of('help.next.set-aside'), 'wool'],
            ],
            default => [['set-aside', Message::of('help.next.set-aside'), 'wool']],
        };
    }

    /** @return list<array{string, Message, string}> */
    private function face(): array
    {
        $next = [];
        $roles = array_map(static fn (Detail $d): DetailRole => $d->meaning->role, array_values($this->plan->figure->details));
        if (array_filter($roles, static fn (DetailRole $r): bool => $r->isEye() || $r === DetailRole::EyeWhite) === []) {
            $next[] = ['no-eyes', Message::of('help.next.no-eyes'), 'face'];
        }
        if (! in_array(DetailRole::Mouth, $roles, true)) {
            $next[] = ['no-mouth', Message::of('help.next.no-mouth'), 'face'];
        }
        $soft = count(array_filter(Notes::of($this->plan), static fn (Note $n): bool => str_starts_with($n->at, '/details/')));
        if ($soft > 0) {
            $next[] = ['unclean', Message::of('help.next.unclean', count: $soft), 'face'];
        }

        return $next === [] ? [['face-ready', Message::of('help.next.face-ready'), 'build']] : $next;
    }

    /** @return list<array{string, Message, string}> */
    private function build(): array
    {
        $left = array_values(array_filter(
            $this->plan->work()->steps,
            fn (Step $s): bool => ! in_array($s->key, $this->done, true),
        ));
        $next = [];
        if ($left === []) {
            return [['all-done', Message::of('help.next.all-done'), 'check']];
        }
        if ($this->wool === 'open' && $this->done === []) {
            $next[] = ['set-aside', Message::of('help.next.set-aside'), 'wool'];
        }
        $next[] = ['step', Message::of('help.next.step', title: new Name((string) $left[0]->title), count: count($left)), 'build'];

        return $next;
    }

    /** @return list<array{string, Message, string}> */
    private function check(): array
    {
        $left = count($this->plan->work()->steps) - count($this->done);

        return match (true) {
            $left > 0 && $this->done === [] => [['not-begun', Message::of('help.next.not-begun'), 'build']],
            $left > 0 => [
                ['part-weigh', Message::of('help.next.part-weigh'), 'check'],
                ['left', Message::of('help.next.left', count: $left), 'build'],
            ],
            $this->wool !== 'used' => [
                ['photo', Message::of('help.next.photo'), 'check'],
                ['finish', Message::of('help.next.finish'), 'check'],
            ],
            default => [['photo', Message::of('help.next.photo'), 'check']],
        };
    }
}
