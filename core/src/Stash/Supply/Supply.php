<?php

declare(strict_types=1);

namespace Impa\Stash\Supply;

use Impa\Figure\Colour;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Stash\ColourMatch;
use Impa\Stash\Matching;
use Impa\Stash\Mixing\Swatch;
use Impa\Stash\StashWool;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;
use Impa\Voice\Message;
use Impa\Wool\Inside\Inside;
use Impa\Wool\Inside\Insides;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\Purpose;
use Impa\Wool\Mix;
use Impa\Wool\Portion\Portion;
use Impa\Wool\Portion\Portions;
use Impa\Wool\Portion\SheetLayout;
use Impa\Wool\Portion\Wisp;
use Impa\Wool\Spread;

/** What a figure takes, held against a stash: matches, needs, portions, coverings, insides. Immutable. */
final readonly class Supply
{
    /** The largest share of a clump divided by hand is at most so many times the smallest (house choice). */
    private const BY_HAND = 4.0;

    /**
     * @param  array<string, ColourMatch>  $matches  by colour key
     * @param  list<Need>  $needs  insides first
     * @param  array<int, StashWool>  $stash
     */
    private function __construct(
        public Figure $figure,
        public Ledger $ledger,
        public array $matches,
        public array $needs,
        public array $stash,
    ) {
    }

    /**
     * @param  array<int, StashWool>  $stash  by its number
     * @param  list<Swatch>  $swatches
     * @param  ?Densities  $densities  the house's where the felter's own are not known
     */
    public static function of(
        Figure $figure,
        array $stash,
        array $swatches = [],
        Reserve $reserve = Reserve::Usual,
        ?Densities $densities = null,
    ): self {
        $matches = Matching::of($figure, $stash, $swatches);
        $ledger = Ledger::of($figure, ($densities ?? Densities::house())->withYarns(Matching::yarns($matches, $stash)));

        return new self($figure, $ledger, $matches, self::needs($ledger, $matches, $stash, $reserve), $stash);
    }

    /**
     * The stash, less what the other colours of the figure count on: what is free for one.
     *
     * @param  string  $colour  key of the one
     * @return array<int, StashWool>
     */
    public function freeFor(string $colour): array
    {
        $stash = $this->stash;
        foreach ($this->ledger->totals() as $total) {
            $shares = $total['colour'] === null || $total['colour'] === $colour ? [] : $this->matches[$total['colour']]->shares;
            foreach ($shares as $id => $share) {
                $stash[$id] = $stash[$id]->less($share * $total['spread']->likelyG);
            }
        }

        return $stash;
    }

    /** @return list<Mix> what is mixed first */
    public function mixes(): array
    {
        return Mix::all($this->ledger);
    }

    /** Likely grams of a need that go into mixes: of its wool, or, where a mix's wools are not at hand, of its colour. */
    public function mixedG(Need $need): float
    {
        $g = 0.0;
        foreach ($this->mixes() as $mix) {
            $shares = $this->matches[$mix->colour]->shares;
            $g += match (true) {
                count($shares) > 1 => $need->wool === null ? 0.0 : ($shares[$need->wool->id] ?? 0.0) * $mix->g,
                default => in_array($mix->colour, $need->colours, true) ? $mix->g : 0.0,
            };
        }

        return $g;
    }

    /** @return list<Portion> */
    public function portions(): array
    {
        return Portions::of(
            $this->ledger,
            array_map(fn (ColourMatch $m): float => self::gPerM($m, $this->stash), $this->matches),
        );
    }

    /**
     * Details of one colour on one part, to be divided by hand before they are laid: nose and cheeks, eye and eye. What is much
     * smaller, as a spark beside the white of its eye, is no share of a clump but a pinch of its own.
     *
     * @return list<array{on: string, colour: string, mg: float, ratio: list<float>, details: list<string>}> the ratio to the smallest
     */
    public function sets(): array
    {
        $groups = [];
        foreach ($this->figure->details as $detail) {
            $mg = 1000 * ($this->ledger->ofDetail($detail->key)->g ?? 0.0);
            for ($n = 0; $mg > 0.0 && $n < ($detail->lie->mirror ? 2 : 1); $n++) {
                $groups[$detail->on."\0".$detail->colour][] = [$detail->key, $mg];
            }
        }
        $sets = [];
        foreach ($groups as $group => $members) {
            $largest = max(array_column($members, 1));
            $members = array_values(array_filter($members, static fn (array $m): bool => $largest <= $m[1] * self::BY_HAND));
            if (count($members) > 1) {
                [$on, $colour] = explode("\0", $group);
                $mgs = array_column($members, 1);
                $least = min($mgs);
                $sets[] = [
                    'on' => $on,
                    'colour' => $colour,
                    'mg' => array_sum($mgs),
                    'ratio' => array_map(static fn (float $mg): float => round($mg / $least, 1), $mgs),
                    'details' => array_column($members, 0),
                ];
            }
        }

        return $sets;
    }

    /** A layout of all that is cut from sheet, each pair twice; null where nothing is. */
    public function layout(float $sheetWidthMm): ?SheetLayout
    {
        $pieces = [];
        foreach ($this->figure->parts as $part) {
            if (in_array($part->made->covering->way, [CoveringWay::PreFelt, CoveringWay::Film], true)) {
                for ($n = 0; $n < $part->count(); $n++) {
                    $pieces[] = [
                        'key' => $part->key,
                        'widthMm' => $part->solid->size()->widthMm,
                        'heightMm' => $part->solid->size()->heightMm,
                    ];
                }
            }
        }

        return $pieces === [] ? null : SheetLayout::of($pieces, $sheetWidthMm);
    }

    /** What its wool costs, as far as prices are known. */
    public function cost(): float
    {
        return array_sum(array_map(static fn (Need $n): float => $n->cost(), $this->needs));
    }

    /** @return array<int, float> likely grams and the reserve, by the stash's number: what is set aside */
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

    /** @return array<int, float> likely grams by the stash's number: what is used up */
    public function likely(): array
    {
        $likely = [];
        foreach ($this->needs as $need) {
            if ($need->wool !== null) {
                $likely[$need->wool->id] = ($likely[$need->wool->id] ?? 0.0) + $need->spread->likelyG;
            }
        }

        return $likely;
    }

    /** @return array<string, mixed> for the Wool station: see docs/wool.md */
    public function document(float $sheetWidthMm = 200.0): array
    {
        return SupplyDocument::of($this, $sheetWidthMm);
    }

    /** @param  array<int, StashWool>  $stash */
    private static function gPerM(ColourMatch $match, array $stash): float
    {
        // A mix is teased into batting: it is no rope any more.
        return count($match->shares) === 1 ? $stash[(int) array_key_first($match->shares)]->rope() : 0.0;
    }

    /**
     * @param  array<string, ColourMatch>  $matches
     * @param  array<int, StashWool>  $stash
     * @return list<Need>
     */
    private static function needs(Ledger $ledger, array $matches, array $stash, Reserve $reserve): array
    {
        $records = $ledger->densities->hand->count;
        $need = static function (
            ?StashWool $wool,
            string $material,
            array $colours,
            Traced $likely,
            float $sigma,
        ) use ($reserve, $records): Need {
            $want = $reserve->of($likely, $sigma, $records);

            return new Need(
                $wool,
                $material,
                array_values(array_filter($colours, is_string(...))),
                Spread::around($likely->is, $sigma),
                $want->is,
                $want,
            );
        };
        $needs = $byWool = $into = $sigmas = [];
        foreach ($ledger->totals() as $total) {
            [$g, $sigma] = [$total['spread']->likelyG, $total['sigma']];
            if ($total['colour'] === null) {
                $needs[] = $need(self::fullest($stash, $total['material']), $total['material'], [], $total['how'], $sigma);

                continue;
            }
            $match = $matches[$total['colour']];
            foreach ($match->shares as $id => $share) {
                $part = Traced::given('share-of-a-mix', $share, Measure::Share, Source::Figure);
                $byWool[$id][] = $share === 1.0 ? $total['how'] : Traced::product('mixed-in', Measure::Mass, $total['how'], $part);
                // What a wool gives to several colours goes astray with all of them alike.
                $sigmas[$id] = ($sigmas[$id] ?? 0.0) + $share * $g * $sigma;
                $into[$id][] = $total['colour'];
            }
            if ($match->shares === []) {
                $needs[] = $need(null, LedgerLine::WOOL, [$total['colour']], $total['how'], $sigma);
            }
        }
        foreach ($byWool as $id => $all) {
            $likely = count($all) === 1 ? $all[0] : Traced::sum('of-one-wool', ...$all);
            $needs[] = $need($stash[$id], LedgerLine::WOOL, $into[$id], $likely, $likely->is > 0.0 ? $sigmas[$id] / $likely->is : 0.0);
        }

        return $needs;
    }

    /**
     * Of several wools for an inside, the one of which there is most.
     *
     * @param  array<int, StashWool>  $stash
     */
    public static function fullest(array $stash, string $material): ?StashWool
    {
        $fullest = null;
        foreach ($stash as $wool) {
            if ($wool->material === $material && $wool->freeG > ($fullest->freeG ?? -1.0)) {
                $fullest = $wool;
            }
        }

        return $fullest;
    }

    /** @return list<array{detail: string, colour: string, mg: float, count: int, text: Message}> mg of one */
    public function wisps(): array
    {
        $wisps = [];
        foreach ($this->ledger->lines as $line) {
            if ($line->purpose === Purpose::Detail) {
                $wisps[] = [
                    'detail' => $line->for->detail,
                    'colour' => $line->for->colour,
                    'mg' => 1000 * $line->g,
                    'count' => $line->pieces,
                    'text' => Wisp::words(1000 * $line->g),
                ];
            }
        }

        return $wisps;
    }

    /**
     * @return list<array{
     *     part: string, way: string, count: int, pieces: int, g: float, metres: float, areaCm2: float, filmG: float,
     *     text: string,
     * }> of one piece
     */
    public function coverings(): array
    {
        $rows = [];
        foreach ($this->figure->parts as $key => $part) {
            $need = $this->ledger->wool[$key]->covering;
            if ($part->made->covering->way === CoveringWay::Felt) {
                continue;
            }
            $rows[] = [
                'part' => $part->key,
                'way' => $part->made->covering->way->value,
                'count' => $part->count(),
                'pieces' => $need->count,
                'g' => $need->g,
                'metres' => $need->metres,
                'areaCm2' => $need->areaCm2,
                'filmG' => $need->filmG,
                'text' => (string) $need->text,
            ];
        }

        return $rows;
    }
}
