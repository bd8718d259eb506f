<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Material\Densities;
use Impa\Material\HandModel;
use Impa\Stash\Mixing\Swatch;
use Impa\Stash\StashWool;
use Impa\Stash\Supply\Need;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Wool\Grams;
use Impa\Wool\Spread;

/** What a set takes, one ledger over all its figures, held against a stash: what it is enough for, and what is short. Immutable. */
final readonly class SetSupply
{
    private const EXACT = 1e-9;

    /**
     * @param  non-empty-list<Supply>  $supplies  of one figure of each member
     * @param  list<Need>  $needs  insides first; a colour that the stash has not goes by its hex
     * @param  array<string, string>  $names  of colours, by hex
     */
    private function __construct(
        public FigureSet $set,
        public array $supplies,
        public array $needs,
        public array $names,
    ) {
    }

    /**
     * @param  array<int, StashWool>  $stash
     * @param  list<Swatch>  $swatches
     */
    public static function of(FigureSet $set, array $stash, array $swatches, Reserve $reserve, Densities $densities): self
    {
        $supplies = $sums = $names = [];
        foreach ($set->members as $member) {
            $supply = Supply::of($member->figure, $stash, $swatches, $reserve, $densities);
            $supplies[] = $supply;
            foreach (self::single($supply) as $key => [$wool, $material, $hexes, $g, $sigma]) {
                $sums[$key] ??= [$wool, $material, [], 0.0, 0.0];
                $sums[$key][2] += $hexes;
                $sums[$key][3] += $member->count * $g;
                // One hand felts them all: its error is the same in every figure.
                $sums[$key][4] += $member->count * $g * $sigma;
                $names += $hexes;
            }
        }
        $needs = [];
        foreach ($sums as [$wool, $material, $hexes, $g, $weighed]) {
            $sigma = $g > 0.0 ? $weighed / $g : 0.0;
            $needs[] = new Need(
                $wool,
                $material,
                array_map(strval(...), array_keys($hexes)),
                Spread::around($g, $sigma),
                $reserve->g($g, $sigma),
            );
        }
        $place = static fn (Need $need): array => [$need->colours !== [], -$need->spread->likelyG];
        usort($needs, static fn (Need $a, Need $b): int => $place($a) <=> $place($b));

        return new self($set, $supplies, $needs, $names);
    }

    /** Likely grams of all of it. */
    public function totalG(): float
    {
        return array_sum(array_map(static fn (Need $n): float => $n->spread->likelyG, $this->needs));
    }

    /**
     * For how many figures the stash is enough, one after the other as they stand in the set, each with its reserve.
     *
     * @return array{pieces: int, of: int, made: list<int>, short: list<array{name: string, g: float}>} made: of each member
     */
    public function enough(): array
    {
        $free = $made = [];
        foreach ($this->supplies as $i => $supply) {
            $made[$i] = 0;
            for ($n = 0; $n < $this->set->members[$i]->count; $n++) {
                $left = $free;
                foreach ($supply->needs as $need) {
                    if ($need->wool === null) {
                        break 2;
                    }
                    $left[$need->wool->id] = ($left[$need->wool->id] ?? $need->wool->freeG) - $need->wantG;
                    if ($left[$need->wool->id] < -self::EXACT) {
                        break 2;
                    }
                }
                $free = $left;
                $made[$i]++;
            }
        }
        $short = [];
        foreach ($this->needs as $need) {
            if ($need->lackG() > self::EXACT) {
                $short[] = ['name' => $need->name($this->names), 'g' => $need->lackG()];
            }
        }

        return ['pieces' => array_sum($made), 'of' => $this->set->pieces(), 'made' => array_values($made), 'short' => $short];
    }

    /** Such as "The stash is enough for five of seven; short of 3.2 g russet." */
    public function text(): Message
    {
        $enough = $this->enough();
        if ($enough['short'] === []) {
            return Message::of('sets.set-supply.the-stash-is-enough');
        }
        $short = array_map(
            static fn (array $s): Message => Message::of('sets.set-supply.of', g: Amount::g($s['g']), name: new Name($s['name'])),
            $enough['short'],
        );

        return Message::of(
            'sets.set-supply.short',
            pieces: $enough['pieces'],
            of: $enough['of'],
            short: implode(', ', array_slice($short, 0, 3)),
            more: max(0, count($short) - 3),
        );
    }

    /** @return array<int, float> grams to have of each wool of the stash */
    public function wanted(): array
    {
        $wanted = [];
        foreach ($this->needs as $need) {
            if ($need->wool !== null) {
                $wanted[$need->wool->id] = ($wanted[$need->wool->id] ?? 0.0) + $need->wantG;
            }
        }

        return $wanted;
    }

    /** @return list<array<string, mixed>> the one ledger over all */
    public function rows(): array
    {
        return array_map(fn (Need $need): array => [
            'wool' => $need->wool?->id,
            'name' => $need->name($this->names),
            'material' => $need->material,
            'hex' => $need->colours === [] ? null : ($need->wool?->colour?->toHex() ?? $need->colours[0]),
            'g' => $need->spread->likelyG,
            'lowG' => $need->spread->lowG,
            'highG' => $need->spread->highG,
            'wantG' => $need->wantG,
            'freeG' => $need->wool->freeG ?? 0.0,
            'lackG' => $need->lackG(),
            'state' => $need->state(),
        ], $this->needs);
    }

    /**
     * What one figure takes, by wool; of a colour that the stash has not, by its hex.
     *
     * @return array<string, array{?StashWool, string, array<string, string>, float, float}> wool, material, names by hex, grams, sigma
     */
    private static function single(Supply $supply): array
    {
        $single = [];
        foreach ($supply->needs as $need) {
            $hexes = [];
            foreach ($need->colours as $key) {
                $colour = $supply->figure->colours[$key];
                $hexes[$colour->srgb->toHex()] = $colour->name;
            }
            $g = $need->spread->likelyG;
            $sigma = $g > 0.0 ? log($need->spread->highG / $g) / HandModel::Z80 : 0.0;
            $key = $need->material.' '.($need->wool === null ? implode(' ', array_keys($hexes)) : '#'.$need->wool->id);
            $single[$key] = [$need->wool, $need->material, $hexes, ($single[$key][3] ?? 0.0) + $g, $sigma];
        }

        return $single;
    }
}
