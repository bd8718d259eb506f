<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Build\Steps\Stage;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Build\Work;
use Impa\Material\Pace;
use Impa\Stash\Supply\Need;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Voice\Message;
use Impa\Wool\Mix;
use Impa\Wool\Spread;

/**
 * Kits of one figure for a workshop: bags of wool that is weighed off, a needle in a straw for each, what is packed, what it costs, and
 * how the afternoon runs. Immutable.
 */
final readonly class Kit
{
    /** So many people at most, and spare bags. */
    private const MOST_PEOPLE = 200;

    private const MOST_SPARE = 50;

    /** Counting needles out and saying what must be said; counting them back, minutes. */
    private const OPENING = 10.0;

    private const CLOSING = 10.0;

    /** Phases of the afternoon, by the codes of lang/, sets.phase: what usually goes wrong, what helps (docs/trade.md, What goes wrong). */
    private const PHASES = [
        'insides' => Stage::Insides,
        'colour' => Stage::Colour,
        'face' => Stage::Face,
        'joining' => Stage::Joining,
        'last' => Stage::Last,
    ];

    /**
     * @param  float  $factor  by how much a bag holds more than the plan's likely grams
     * @param  list<array{name: string, hex: ?string, eachG: float, clumpMm: float, wools: list<array{name: string, g: float}>}>  $bag
     *     what lies in each, insides first, mixes last; how wide it stands as a loose ball; and what each is mixed from
     * @param  list<Need>  $needs  of all bags, wool by wool
     */
    private function __construct(
        public Supply $supply,
        public Work $work,
        public int $people,
        public int $spare,
        public KitHands $hands,
        public float $factor,
        public array $bag,
        public array $needs,
    ) {
    }

    /**
     * @param  Supply  $supply  of one figure, and the work on it
     * @param  int  $spare  bags more than people
     * @param  float  $beginners  share of people who begin, 0 to 1
     * @param  Reserve  $reserve  how often a bag must be enough
     *
     * @throws SetRefused if the numbers are out of range
     */
    public static function of(Supply $supply, Work $work, int $people, int $spare, float $beginners, Reserve $reserve): self
    {
        if ($people < 1 || $people > self::MOST_PEOPLE) {
            throw SetRefused::tooManyPeople(self::MOST_PEOPLE);
        }
        if ($spare < 0 || $spare > self::MOST_SPARE) {
            throw SetRefused::tooManySpare(self::MOST_SPARE);
        }
        if (is_nan($beginners) || $beginners < 0.0 || $beginners > 1.0) {
            throw SetRefused::noShare();
        }
        $hands = new KitHands($beginners);
        $factor = $hands->factor($reserve->enough());
        $bag = $needs = [];
        $names = array_map(static fn ($colour): string => $colour->name, $supply->figure->colours);
        foreach ($supply->needs as $need) {
            $each = $factor * ($need->spread->likelyG - $supply->mixedG($need));
            if ($each > 1e-9) {
                $hex = $need->colours === [] ? null : ($need->wool->colour ?? $supply->figure->colours[$need->colours[0]]->srgb)->toHex();
                $bag[] = self::heap($supply, $need->name($names), $hex, $each);
            }
            // Weighed off it is that and no more.
            $all = $factor * ($people + $spare) * $need->spread->likelyG;
            $needs[] = new Need($need->wool, $need->material, $need->colours, Spread::around($all, 0.0), $all);
        }
        foreach ($supply->mixes() as $mix) {
            $mix = $mix->times($factor);
            $bag[] = self::heap($supply, $mix->name, $supply->matches[$mix->colour]->hex, $mix->g, $mix->wools);
        }

        return new self($supply, $work, $people, $spare, $hands, $factor, $bag, $needs);
    }

    /**
     * @param  list<array{name: string, g: float}>  $wools  that it is mixed from
     * @return array{name: string, hex: ?string, eachG: float, clumpMm: float, wools: list<array{name: string, g: float}>}
     */
    private static function heap(Supply $supply, string $name, ?string $hex, float $g, array $wools = []): array
    {
        return [
            'name' => $name,
            'hex' => $hex,
            'eachG' => $g,
            'clumpMm' => $supply->ledger->densities->looseBallMm($g),
            'wools' => $wools,
        ];
    }

    /** @return list<Mix> what is mixed before it is weighed off, for all bags */
    public function mixes(): array
    {
        return array_map(fn (Mix $mix): Mix => $mix->times($this->factor * $this->bags()), $this->supply->mixes());
    }

    public function bags(): int
    {
        return $this->people + $this->spare;
    }

    /** The gauge that does most of the work: the one needle in the straw. */
    public function gauge(): int
    {
        $minutes = [];
        foreach ($this->work->steps as $step) {
            if ($step->uses->needle !== null) {
                $minutes[$step->uses->needle->gauge] = ($minutes[$step->uses->needle->gauge] ?? 0.0) + $step->time->minutes;
            }
        }
        arsort($minutes);

        return array_key_first($minutes) ?? 38;
    }

    /** Needles to bring: one for each bag, and spares. */
    public function needles(): int
    {
        return $this->bags() + $this->hands->spareNeedles($this->people);
    }

    /** @return list<array{what: Message, count: int, note: Message|string}> */
    public function packing(): array
    {
        $list = [
            [
                'what' => Message::of('sets.kit.bags-of-wool-labelled'),
                'count' => $this->bags(),
                'note' => Message::of('sets.kit.of-them-spare', spare: $this->spare),
            ],
            [
                'what' => Message::of('sets.kit.needles-of-gauge', gauge: $this->gauge()),
                'count' => $this->needles(),
                'note' => Message::of('sets.kit.one-in-a-closed', needles: $this->needles() - $this->bags()),
            ],
            [
                'what' => Message::of('sets.kit.closed-straws'),
                'count' => $this->bags(),
                'note' => Message::of('sets.kit.a-straw-folded-over'),
            ],
            ['what' => Message::of('sets.kit.pads'), 'count' => $this->people, 'note' => Message::of('sets.kit.one-for-each-who')],
            [
                'what' => Message::of('sets.kit.finger-guards'),
                'count' => 2 * $this->people,
                'note' => Message::of('sets.kit.two-for-each-leather'),
            ],
            [
                'what' => Message::of('sets.kit.sheets-with-steps'),
                'count' => $this->bags(),
                'note' => Message::of('sets.kit.printed-at-100'),
            ],
            ['what' => Message::of('sets.kit.box-for-broken-needles'), 'count' => 1, 'note' => Message::of('sets.kit.with-a-lid-both')],
            ['what' => Message::of('sets.kit.plasters'), 'count' => max(6, $this->people), 'note' => ''],
        ];
        if ($this->supply->figure->wires !== []) {
            $list[] = [
                'what' => Message::of('sets.kit.wires-cut'),
                'count' => $this->bags(),
                'note' => Message::of('sets.kit.a-set-in-each'),
            ];
        }

        return $list;
    }

    /**
     * How the afternoon runs: rests after each half hour, needles counted out and back.
     *
     * @return list<array{from: float, to: float, what: Message, note: Message|string}> minutes from the beginning
     */
    public function run(): array
    {
        $clock = self::OPENING;
        $rows = [[
            'from' => 0.0,
            'to' => $clock,
            'what' => Message::of('sets.kit.needles-are-counted-out', people: $this->people),
            'note' => Message::of('sets.kit.eyes-on-the-needle'),
        ]];
        $worked = 0.0;
        foreach (self::PHASES as $phase => $stage) {
            $left = $this->hands->slower() * $this->minutesOf($stage);
            $isFirst = true;
            while ($left > 0.05) {
                $bout = min($left, Pace::REST_AFTER - $worked);
                $rows[] = [
                    'from' => $clock,
                    'to' => $clock + $bout,
                    'what' => Message::of("sets.phase.$phase.".($isFirst ? 'name' : 'on')),
                    'note' => $isFirst ? Message::of("sets.phase.$phase.wrong") : '',
                ];
                [$clock, $left, $worked, $isFirst] = [$clock + $bout, $left - $bout, $worked + $bout, false];
                if ($worked >= Pace::REST_AFTER - 1e-6) {
                    $rows[] = [
                        'from' => $clock,
                        'to' => $clock + Pace::REST,
                        'what' => Message::of('sets.rest'),
                        'note' => Message::of('sets.rest-note'),
                    ];
                    [$clock, $worked] = [$clock + Pace::REST, 0.0];
                }
            }
        }
        $rows[] = [
            'from' => $clock,
            'to' => $clock + self::CLOSING,
            'what' => Message::of('sets.kit.needles-are-counted-back', people: $this->people),
            'note' => Message::of('sets.kit.nobody-leaves-before-all'),
        ];

        return $rows;
    }

    private function minutesOf(Stage $stage): float
    {
        $steps = array_filter($this->work->steps, static fn (Step $s): bool => $s->kind->stage() === $stage);

        return array_sum(array_map(static fn (Step $s): float => $s->time->minutes, $steps));
    }

    public function note(): Message
    {
        return Message::of($this->work->has(StepKind::Steam) ? 'sets.note-with-steam' : 'sets.note');
    }

    /** @return array<string, mixed> the impa-kit document, version 1 */
    public function document(): array
    {
        $run = $this->run();
        $names = array_map(static fn ($colour): string => $colour->name, $this->supply->figure->colours);

        return [
            'format' => 'impa-kit',
            'version' => 1,
            'figure' => $this->supply->figure->name,
            'people' => $this->people,
            'bags' => $this->bags(),
            'beginners' => $this->hands->beginners,
            'factor' => $this->factor,
            'bag' => $this->bag,
            'mixes' => array_map(static fn (Mix $mix): array => $mix->document(), $this->mixes()),
            'needs' => array_map(fn (Need $need): array => [
                'name' => $need->name($names),
                'hex' => $need->wool?->colour?->toHex(),
                'g' => $need->wantG,
                'freeG' => $need->wool->freeG ?? 0.0,
                'lackG' => $need->lackG(),
            ], $this->needs),
            'needle' => $this->gauge(),
            'needles' => $this->needles(),
            'packing' => $this->packing(),
            'run' => $run,
            'minutes' => $run[count($run) - 1]['to'],
            'note' => $this->note(),
        ];
    }
}
