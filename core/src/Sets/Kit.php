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

    private const NOTE = 'Timed for the slower half: three of four are through when a phase ends. '.
        'The organiser\'s own rules on age and supervision hold; a grown-up sits with children the whole time.';

    private const REST = 'Needles lie on the pads; hands are stretched.';

    /** Phases of the afternoon: what usually goes wrong, what helps (docs/trade.md, What goes wrong). */
    private const PHASES = [
        [Stage::Insides, 'The insides', 'Too loose: wind tighter, and stab deeper.'],
        [Stage::Colour, 'Colour', 'The core shows: one more thin layer. Dents: stab round them, not into them.'],
        [Stage::Face, 'The face', 'Far too much wool: half of it is pulled off again. Mark first.'],
        [Stage::Joining, 'Joining', 'It wobbles: stab from all sides, then a thin wisp over the seam.'],
        [Stage::Last, 'The last look', 'Fuzz: shallow stabs with the fine needle, then scissors held flat.'],
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

    /** @return list<array{what: string, count: int, note: string}> */
    public function packing(): array
    {
        $list = [
            ['what' => 'bags of wool, labelled', 'count' => $this->bags(), 'note' => sprintf('%d of them spare', $this->spare)],
            [
                'what' => sprintf('needles of gauge %d', $this->gauge()),
                'count' => $this->needles(),
                'note' => sprintf('one in a closed straw in each bag, %d spare with you', $this->needles() - $this->bags()),
            ],
            ['what' => 'closed straws', 'count' => $this->bags(), 'note' => 'a straw folded over at both ends holds a needle safely'],
            ['what' => 'pads', 'count' => $this->people, 'note' => 'one for each who works'],
            ['what' => 'finger guards', 'count' => 2 * $this->people, 'note' => 'two for each, leather or thick felt'],
            ['what' => 'sheets with steps and true-size outlines', 'count' => $this->bags(), 'note' => 'printed at 100 %'],
            ['what' => 'box for broken needles', 'count' => 1, 'note' => 'with a lid; both pieces go in'],
            ['what' => 'plasters', 'count' => max(6, $this->people), 'note' => ''],
        ];
        if ($this->supply->figure->wires !== []) {
            $list[] = ['what' => 'wires, cut and with turned-in ends', 'count' => $this->bags(), 'note' => 'a set in each bag'];
        }

        return $list;
    }

    /**
     * How the afternoon runs: rests after each half hour, needles counted out and back.
     *
     * @return list<array{from: float, to: float, what: string, note: string}> minutes from the beginning
     */
    public function run(): array
    {
        $clock = self::OPENING;
        $rows = [[
            'from' => 0.0,
            'to' => $clock,
            'what' => sprintf('Needles are counted out: %d', $this->people),
            'note' => 'Eyes on the needle; out the way it went in, never bend or lever; fingers behind the guards.',
        ]];
        $worked = 0.0;
        foreach (self::PHASES as [$stage, $name, $wrong]) {
            $left = $this->hands->slower() * $this->minutesOf($stage);
            $isFirst = true;
            while ($left > 0.05) {
                $bout = min($left, Pace::REST_AFTER - $worked);
                $rows[] = [
                    'from' => $clock,
                    'to' => $clock + $bout,
                    'what' => $name.($isFirst ? '' : ', on'),
                    'note' => $isFirst ? $wrong : '',
                ];
                [$clock, $left, $worked, $isFirst] = [$clock + $bout, $left - $bout, $worked + $bout, false];
                if ($worked >= Pace::REST_AFTER - 1e-6) {
                    $rows[] = ['from' => $clock, 'to' => $clock + Pace::REST, 'what' => 'Rest', 'note' => self::REST];
                    [$clock, $worked] = [$clock + Pace::REST, 0.0];
                }
            }
        }
        $rows[] = [
            'from' => $clock,
            'to' => $clock + self::CLOSING,
            'what' => sprintf('Needles are counted back: %d, with the broken ones', $this->people),
            'note' => 'Nobody leaves before all are there, tips too.',
        ];

        return $rows;
    }

    private function minutesOf(Stage $stage): float
    {
        $steps = array_filter($this->work->steps, static fn (Step $s): bool => $s->kind->stage() === $stage);

        return array_sum(array_map(static fn (Step $s): float => $s->time->minutes, $steps));
    }

    public function note(): string
    {
        return self::NOTE.($this->work->has(StepKind::Steam) ? ' Steaming is for grown-ups: one of them does it for all.' : '');
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
