<?php

declare(strict_types=1);

namespace Impa\Stash;

use Impa\Colour\Srgb;
use Impa\Figure\Colour;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Wool\CoverAdvice;
use Impa\Wool\Inside;
use Impa\Wool\Insides;
use Impa\Wool\Ledger;
use Impa\Wool\LedgerLine;
use Impa\Wool\Portion;
use Impa\Wool\Portions;
use Impa\Wool\PortionWords;
use Impa\Wool\Purpose;
use Impa\Wool\SheetLayout;
use Impa\Wool\Wisp;

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
        private array $stash,
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
            for ($n = 0; $mg > 0.0 && $n < ($detail->mirror ? 2 : 1); $n++) {
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
            if (in_array($part->covering->way, [CoveringWay::PreFelt, CoveringWay::Film], true)) {
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
        $layout = $this->layout($sheetWidthMm);

        return [
            'matches' => array_map($this->match(...), array_values($this->matches)),
            'conflicts' => array_map($this->conflict(...), Matching::conflicts($this->figure, $this->matches)),
            'needs' => $this->needRows(),
            'portions' => array_map(
                fn (Portion $p): array => $p->document() + ['text' => PortionWords::of($p, $this->figure)],
                $this->portions(),
            ),
            'sets' => $this->sets(),
            'wisps' => $this->wisps(),
            'coverings' => $this->coverings(),
            'layout' => $layout === null
                    ? null
                    : [
                        'widthMm' => $layout->widthMm,
                        'lengthMm' => $layout->lengthMm,
                        'waste' => $layout->waste(),
                        'placed' => $layout->placed,
                    ],
            'insides' => $this->insides(),
            'cost' => $this->cost(),
        ];
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
        $need = static fn (?StashWool $wool, string $material, array $colours, float $g): Need => new Need(
            $wool,
            $material,
            array_values(array_filter($colours, is_string(...))),
            $ledger->spread($g),
            $reserve->g($g, $ledger->densities->sigma),
        );
        $needs = $byWool = $into = [];
        foreach ($ledger->totals() as $total) {
            $g = $total['spread']->likelyG;
            if ($total['colour'] === null) {
                $needs[] = $need(self::fullest($stash, $total['material']), $total['material'], [], $g);

                continue;
            }
            $match = $matches[$total['colour']];
            foreach ($match->shares as $id => $share) {
                $byWool[$id] = ($byWool[$id] ?? 0.0) + $share * $g;
                $into[$id][] = $total['colour'];
            }
            if ($match->shares === []) {
                $needs[] = $need(null, LedgerLine::WOOL, [$total['colour']], $g);
            }
        }
        foreach ($byWool as $id => $g) {
            $needs[] = $need($stash[$id], LedgerLine::WOOL, $into[$id], $g);
        }

        return $needs;
    }

    /**
     * Of several wools for an inside, the one of which there is most.
     *
     * @param  array<int, StashWool>  $stash
     */
    private static function fullest(array $stash, string $material): ?StashWool
    {
        $fullest = null;
        foreach ($stash as $wool) {
            if ($wool->material === $material && $wool->freeG > ($fullest->freeG ?? -1.0)) {
                $fullest = $wool;
            }
        }

        return $fullest;
    }

    /** @return array<string, mixed> */
    private function match(ColourMatch $match): array
    {
        $shares = [];
        foreach ($match->shares as $id => $share) {
            $shares[] = [
                'wool' => $id,
                'name' => $this->stash[$id]->name,
                'hex' => $this->stash[$id]->colour?->toHex(),
                'percent' => 100 * $share,
                'teasing' => $this->stash[$id]->preparation->teasing(),
            ];
        }

        return [
            'colour' => $match->colour,
            'shares' => $shares,
            'hex' => $match->hex,
            'difference' => $match->difference,
            'nearness' => $match->nearness()->value,
            'isChosen' => $match->isChosen,
            'gone' => $match->gone,
        ];
    }

    /**
     * @param  array{colours: array{string, string}, drawn: float, felted: float}  $conflict
     * @return array<string, mixed>
     */
    private function conflict(array $conflict): array
    {
        [$one, $two] = array_map(fn (string $key): string => $this->figure->colours[$key]->name, $conflict['colours']);

        return $conflict + [
            'text' => sprintf(
                '%s and %s differ by %.0f in the drawing and by %.0f in these wools: choose another wool or a mix for one of them.',
                $one,
                $two,
                $conflict['drawn'],
                $conflict['felted'],
            ),
        ];
    }

    /**
     * @return list<array{
     *     wool: ?int, name: string, hex: string, material: string, colours: list<string>, g: float, lowG: float,
     *     highG: float, wantG: float, freeG: float, lackG: float, state: string, cost: ?float,
     * }>
     */
    public function needRows(): array
    {
        return array_map($this->need(...), $this->needs);
    }

    /**
     * @return array{
     *     wool: ?int, name: string, hex: string, material: string, colours: list<string>, g: float, lowG: float,
     *     highG: float, wantG: float, freeG: float, lackG: float, state: string, cost: ?float,
     * }
     */
    private function need(Need $need): array
    {
        $hexes = array_map(fn (string $key): string => $this->figure->colours[$key]->srgb->toHex(), $need->colours);

        return [
            'wool' => $need->wool?->id,
            'name' => $need->name(array_map(static fn (Colour $c): string => $c->name, $this->figure->colours)),
            'hex' => $need->wool?->colour?->toHex() ?? ($hexes[0] ?? CoverAdvice::UNDYED),
            'material' => $need->material,
            'colours' => $need->colours,
            'g' => $need->spread->likelyG,
            'lowG' => $need->spread->lowG,
            'highG' => $need->spread->highG,
            'wantG' => $need->wantG,
            'freeG' => $need->wool->freeG ?? 0.0,
            'lackG' => $need->lackG(),
            'state' => $need->state(),
            'cost' => $need->wool !== null && $need->wool->pricePerG > 0.0 ? $need->cost() : null,
        ];
    }

    /** @return list<array{detail: string, colour: string, mg: float, count: int, text: string}> mg of one */
    public function wisps(): array
    {
        $wisps = [];
        foreach ($this->ledger->lines as $line) {
            if ($line->purpose === Purpose::Detail) {
                $wisps[] = [
                    'detail' => $line->detail,
                    'colour' => $line->colour,
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
            if ($part->covering->way === CoveringWay::Felt) {
                continue;
            }
            $rows[] = [
                'part' => $part->key,
                'way' => $part->covering->way->value,
                'count' => $part->count(),
                'pieces' => $need->count,
                'g' => $need->g,
                'metres' => $need->metres,
                'areaCm2' => $need->areaCm2,
                'filmG' => $need->filmG,
                'text' => $need->text,
            ];
        }

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private function insides(): array
    {
        $undyed = Srgb::hex(CoverAdvice::UNDYED);
        $lowest = self::lowest($this->figure);
        $rows = [];
        foreach ($this->figure->parts as $key => $part) {
            $felted = Srgb::hex($this->matches[$part->colour]->hex);
            $cover = CoverAdvice::of($part->core === CoreMaterial::Scrap ? $felted : $undyed, $felted);
            $ways = Insides::of($part, $this->ledger->wool[$key], $felted, $key === $lowest);
            $perG = $this->pricePerG($this->matches[$part->colour]);
            $rows[] = [
                'part' => $part->key,
                'advised' => $ways[0]->material->value,
                'reason' => $ways[0]->reason,
                'ways' => array_map(
                    fn (Inside $w): array => [
                        'material' => $w->material->value,
                        'what' => $w->what,
                        'insideG' => $w->insideG,
                        'coverG' => $w->coverG,
                        'finishedG' => $w->finishedG,
                        'cost' => $this->costOf($w, $perG),
                    ],
                    $ways,
                ),
                // A cover is advised where it stands between an inside and the eye, and differs enough from the one that is laid.
                'coverMm' => $this->ledger->wool[$key]->insideCm3 > 0.0 && $cover->differsFrom($part->coverMm) ? $cover->coverMm : null,
                'showsThrough' => $cover->coverMm > $part->coverMm,
                'coverDifference' => $cover->difference,
            ];
        }

        return $rows;
    }

    /** What the wool of one piece costs; null where a price is not known. */
    private function costOf(Inside $way, float $coverPerG): ?float
    {
        $perG = $way->insideG > 0.0 ? self::fullest($this->stash, $way->material->value)->pricePerG ?? 0.0 : 0.0;

        return $coverPerG > 0.0 && ($way->insideG <= 0.0 || $perG > 0.0)
            ? $way->coverG * $coverPerG + $way->insideG * $perG
            : null;
    }

    /** Of a mix, by its shares; 0 where the price of one is not known. */
    private function pricePerG(ColourMatch $match): float
    {
        $perG = 0.0;
        foreach ($match->shares as $id => $share) {
            $own = $this->stash[$id]->pricePerG;
            if ($own <= 0.0) {
                return 0.0;
            }
            $perG += $share * $own;
        }

        return $perG;
    }

    /** Key of the part that everything stands on. */
    private static function lowest(Figure $figure): string
    {
        $parts = array_filter($figure->parts, static fn (Part $p): bool => $p->group === '' && ! $p->isJoined());

        return (string) array_key_first($parts);
    }
}
