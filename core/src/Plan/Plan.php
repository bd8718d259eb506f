<?php

declare(strict_types=1);

namespace Impa\Plan;

use Closure;
use Impa\Balance\Balance;
use Impa\Build\Order\Hindrance;
use Impa\Build\Order\Reach;
use Impa\Build\Schedule\Schedule;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\Steps;
use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Material\Pace;
use Impa\Surface\Surface;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\WoolWords;
use Impa\Wool\Mix;

/** The rooms' answers for one figure, put together. Immutable. */
final readonly class Plan
{
    /**
     * @param  array<string, DetailPlan>  $details  by detail key
     * @param  Closure(Figure): list<Hindrance>  $reach
     */
    private function __construct(
        public Figure $figure,
        public Ledger $ledger,
        public array $details,
        public Balance $balance,
        public Pace $pace,
        private Needles $needles,
        private Closure $reach,
    ) {
    }

    /**
     * @param  ?Needles  $needles  at hand; the usual set where that is not said
     * @param  ?Densities  $densities  and pace of the felter's hand; the house's where they are not known
     * @param  ?Closure(Figure): list<Hindrance>  $reach  who knows what is in the needle's way, the dearest of it; Reach where nobody does
     */
    public static function of(
        Figure $figure,
        ?Needles $needles = null,
        ?Densities $densities = null,
        ?Pace $pace = null,
        ?Closure $reach = null,
    ): self {
        $ledger = Ledger::of($figure, $densities ?? Densities::house());
        $needles ??= Needles::usual();
        $pace ??= Pace::house();

        return new self(
            figure: $figure,
            ledger: $ledger,
            details: self::details($figure, $needles),
            balance: Balance::of($ledger),
            pace: $pace,
            needles: $needles,
            reach: $reach ?? Reach::of(...),
        );
    }

    /** Its steps in the one order of work. What reaches where is reckoned here: ask once. */
    public function work(): Work
    {
        $hindrances = $this->figure->flat->isFlat() ? [] : ($this->reach)($this->figure);

        return Work::of($this->ledger, $this->pace, $this->needles, $hindrances);
    }

    /** Minutes with hands on it, in whatever order. */
    public function handsMinutes(): float
    {
        return self::minutes(Work::paced(Steps::of($this->ledger, $this->pace, $this->needles), $this->pace));
    }

    /** @param  list<Step>  $steps */
    private static function minutes(array $steps): float
    {
        return array_sum(array_map(static fn (Step $s): float => $s->time->minutes, $steps));
    }

    /** @return array<string, DetailPlan> */
    private static function details(Figure $figure, Needles $needles): array
    {
        $surfaces = $details = [];
        foreach ($figure->details as $key => $detail) {
            $surface = $surfaces[$detail->on][$detail->lie->side->value] ??= Surface::of(
                $figure->parts[$detail->on]->placements()[0],
                $detail->lie->side,
            );
            $details[$key] = DetailPlan::of($figure, $detail, $surface, $needles);
        }

        return $details;
    }

    /** Grams of everything to weigh out, likely. */
    public function totalG(): float
    {
        return $this->ledger->totalG();
    }

    /** @return array<string, mixed> the impa-plan document, version 1; formats/impa-plan-1.schema.json */
    public function document(): array
    {
        $centre = $this->balance->centreMm;
        $steps = $this->work()->steps;

        return [
            'format' => 'impa-plan',
            'version' => 1,
            'figure' => $this->figure->name,
            'heightMm' => $this->figure->heightMm,
            'parts' => $this->parts($steps),
            'details' => array_map($this->detail(...), array_values($this->figure->details)),
            'wool' => $this->totals(),
            'steps' => array_map(self::step(...), $steps),
            'balance' => [
                'massG' => $this->balance->massG,
                'centreMm' => ['x' => $centre[0], 'y' => $centre[1], 'z' => $centre[2]],
                'tipDeg' => $this->balance->tipDeg(),
                'mustStand' => $this->balance->mustStand(),
                'stands' => $this->balance->stands(),
                'touchy' => $this->balance->isTouchy(),
            ],
            'minutes' => [
                'hands' => self::minutes($steps),
                'elapsed' => Schedule::inOneGo($steps)->elapsedMinutes(),
            ],
            'records' => ['weights' => $this->ledger->densities->hand->count, 'minutes' => $this->pace->records()],
            'face' => Steps::facePart($this->figure),
            'notes' => array_map(
                static fn (Note $n): array => ['code' => $n->code, 'at' => $n->at, 'text' => $n->text],
                Notes::of($this),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function detail(Detail $detail): array
    {
        $line = $this->ledger->ofDetail($detail->key);

        return $this->details[$detail->key]->document($this->figure->pieces($detail), 1000 * ($line->g ?? 0.0));
    }

    /**
     * @param  list<Step>  $steps
     * @return list<array<string, mixed>>
     */
    private function parts(array $steps): array
    {
        $minutes = [];
        foreach ($steps as $step) {
            if ($step->about->detail === '' && $step->about->part !== '') {
                $minutes[$step->about->part] = ($minutes[$step->about->part] ?? 0.0) + $step->time->minutes;
            }
        }
        $parts = [];
        foreach ($this->figure->parts as $key => $part) {
            $wool = $this->ledger->wool[$key];
            $loose = $wool->loose();
            $parts[] = [
                'key' => $part->key,
                'count' => $part->count(),
                'volumeCm3' => $wool->volumeCm3,
                'areaCm2' => $this->ledger->areaCm2($part->key),
                'insideCm3' => $wool->insideCm3,
                'coreMaterial' => $wool->coreMaterial()->value,
                'coreG' => $wool->coreG(),
                'colour' => $part->colour,
                'coverG' => $wool->coverG(),
                'coveringG' => $wool->covering->g,
                'colourG' => $wool->colourG(),
                'finishedG' => $wool->finishedG(),
                'looseMm' => ['w' => $loose->widthMm, 'h' => $loose->heightMm, 'd' => $loose->depthMm],
                'minutes' => $minutes[$key] ?? 0.0,
                'seat' => ['way' => $wool->seat->way->value, 'within' => $wool->seat->shared->share, 'capMm' => $wool->seat->capMm],
            ];
        }

        return $parts;
    }

    /** @return list<array<string, mixed>> */
    private function totals(): array
    {
        return array_map(
            fn (array $t): array => [
                'material' => $t['material'],
                'colour' => $t['colour'],
                'name' => WoolWords::name($t['material'], $t['colour'] ?? '', $this->figure),
                'wools' => $t['colour'] === null ? [] : Mix::of($t['colour'], $t['spread']->likelyG, $this->figure)->wools ?? [],
                'g' => $t['spread']->likelyG,
                'lowG' => $t['spread']->lowG,
                'highG' => $t['spread']->highG,
            ],
            $this->ledger->totals(),
        );
    }

    /** @return array<string, mixed> */
    private static function step(Step $step): array
    {
        return [
            'key' => $step->key,
            'kind' => $step->kind->value,
            'title' => (string) $step->title,
            'part' => $step->about->part,
            'detail' => $step->about->detail,
            'after' => $step->order->after,
            'minutes' => $step->time->minutes,
            'waitMinutes' => $step->time->waitMinutes,
            'needle' => $step->uses->needle === null
                    ? null
                    : ['gauge' => $step->uses->needle->gauge, 'holder' => $step->uses->needle->holder, 'stab' => $step->uses->needle->stab],
            'weigh' => array_map(
                static fn (LedgerLine $w): array => [
                    'material' => $w->material,
                    'colour' => $w->for->colour === '' ? null : $w->for->colour,
                    'g' => $w->g,
                    'pieces' => $w->pieces,
                ],
                $step->uses->weighings,
            ),
            'text' => (string) $step->text,
        ];
    }
}
