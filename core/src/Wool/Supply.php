<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Figure\Part;

/** What a figure takes, held against a stash: matches, needs, portions, coverings, insides. Immutable. */
final readonly class Supply
{
    /**
     * @param  array<string, PartWool>  $wool  by part key
     * @param  array<string, ColourMatch>  $matches  by colour key
     * @param  array<string, CoveringNeed>  $coverings  of one piece, by part key; plain felt has none
     * @param  list<Need>  $needs  insides first
     * @param  array<int, StashWool>  $stash
     */
    private function __construct(
        public Figure $figure,
        public array $wool,
        public array $matches,
        public array $coverings,
        public array $needs,
        private array $stash,
    ) {
    }

    /**
     * @param  array<int, StashWool>  $stash  by its number
     * @param  list<Swatch>  $swatches
     */
    public static function of(Figure $figure, array $stash, array $swatches = [], Reserve $reserve = Reserve::Usual): self
    {
        $wool = array_map(PartWool::of(...), $figure->parts);
        $matches = Matching::of($figure, $stash, $swatches);
        $coverings = [];
        foreach ($figure->parts as $key => $part) {
            if ($part->covering->way !== CoveringWay::Felt) {
                $coverings[$key] = Coverings::need($part, $wool[$key]->areaCm2(), self::gPerM($matches[$part->colour], $stash));
            }
        }

        return new self($figure, $wool, $matches, $coverings, self::needs($figure, $wool, $matches, $coverings, $stash, $reserve), $stash);
    }

    /** @return list<Portion> */
    public function portions(): array
    {
        return Portions::of($this->figure, $this->wool, array_map(fn (ColourMatch $m): float => self::gPerM($m, $this->stash), $this->matches));
    }

    /**
     * Details of one colour on one part, to be divided before they are laid: nose and cheeks, eye and eye.
     *
     * @return list<array{on: string, colour: string, mg: float, ratio: list<float>, details: list<string>}> the ratio to the smallest
     */
    public function sets(): array
    {
        $groups = [];
        foreach ($this->figure->details as $detail) {
            $mg = DetailWool::mg($detail);
            for ($n = 0; $mg > 0.0 && $n < ($detail->mirror ? 2 : 1); $n++) {
                $groups[$detail->on."\0".$detail->colour][] = [$detail->key, $mg];
            }
        }
        $sets = [];
        foreach ($groups as $group => $members) {
            if (count($members) > 1) {
                [$on, $colour] = explode("\0", $group);
                $mgs = array_column($members, 1);
                $least = min($mgs);
                $sets[] = ['on' => $on, 'colour' => $colour, 'mg' => array_sum($mgs), 'ratio' => array_map(static fn (float $mg): float => round($mg / $least, 1), $mgs), 'details' => array_column($members, 0)];
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
                    $pieces[] = ['key' => $part->key, 'widthMm' => $part->solid->size()->widthMm, 'heightMm' => $part->solid->size()->heightMm];
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
            'portions' => array_map(fn (Portion $p): array => get_object_vars($p) + ['eachG' => $p->eachG(), 'text' => PortionWords::of($p, $this->figure)], $this->portions()),
            'sets' => $this->sets(),
            'wisps' => $this->wisps(),
            'coverings' => $this->coverings(),
            'layout' => $layout === null ? null : ['widthMm' => $layout->widthMm, 'lengthMm' => $layout->lengthMm, 'waste' => $layout->waste(), 'placed' => $layout->placed],
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
     * @param  array<string, PartWool>  $wool
     * @param  array<string, ColourMatch>  $matches
     * @param  array<string, CoveringNeed>  $coverings
     * @param  array<int, StashWool>  $stash
     * @return list<Need>
     */
    private static function needs(Figure $figure, array $wool, array $matches, array $coverings, array $stash, Reserve $reserve): array
    {
        $insides = $colours = [];
        foreach ($figure->parts as $key => $part) {
            if ($wool[$key]->coreG() > 0.0) {
                $material = $wool[$key]->coreMaterial()->value;
                $insides[$material] = ($insides[$material] ?? 0.0) + $part->count() * $wool[$key]->coreG();
            }
            $covered = $part->covering->way->replacesCover() ? 0.0 : $wool[$key]->coverG();
            $colours[$part->colour] = ($colours[$part->colour] ?? 0.0) + $part->count() * ($covered + ($coverings[$key]->g ?? 0.0));
        }
        foreach ($figure->details as $detail) {
            $count = ($detail->mirror ? 2 : 1) * $figure->parts[$detail->on]->count();
            $colours[$detail->colour] = ($colours[$detail->colour] ?? 0.0) + $count * DetailWool::mg($detail) / 1000;
        }
        $needs = [];
        foreach ($insides as $material => $g) {
            $needs[] = new Need(self::fullest($stash, $material), $material, [], Spread::around($g), $reserve->g($g));
        }
        $byWool = $into = [];
        foreach ($matches as $key => $match) {
            $g = $colours[$key] ?? 0.0;
            foreach ($g > 0.0 ? $match->shares : [] as $id => $share) {
                $byWool[$id] = ($byWool[$id] ?? 0.0) + $share * $g;
                $into[$id][] = (string) $key;
            }
            if ($g > 0.0 && $match->shares === []) {
                $needs[] = new Need(null, 'wool', [(string) $key], Spread::around($g), $reserve->g($g));
            }
        }
        foreach ($byWool as $id => $g) {
            $needs[] = new Need($stash[$id], 'wool', $into[$id], Spread::around($g), $reserve->g($g));
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
            $shares[] = ['wool' => $id, 'name' => $this->stash[$id]->name, 'hex' => $this->stash[$id]->colour?->toHex(), 'percent' => 100 * $share, 'teasing' => $this->stash[$id]->preparation->teasing()];
        }

        return ['colour' => $match->colour, 'shares' => $shares, 'hex' => $match->hex, 'difference' => $match->difference, 'nearness' => $match->nearness()->value, 'isChosen' => $match->isChosen, 'gone' => $match->gone];
    }

    /**
     * @param  array{colours: array{string, string}, drawn: float, felted: float}  $conflict
     * @return array<string, mixed>
     */
    private function conflict(array $conflict): array
    {
        [$one, $two] = array_map(fn (string $key): string => $this->figure->colours[$key]->name, $conflict['colours']);

        return $conflict + ['text' => sprintf('%s and %s differ by %.0f in the drawing and by %.0f in these wools: choose another wool or a mix for one of them.', $one, $two, $conflict['drawn'], $conflict['felted'])];
    }

    /** @return list<array{wool: ?int, name: string, hex: string, material: string, colours: list<string>, g: float, lowG: float, highG: float, wantG: float, freeG: float, lackG: float, cost: ?float}> */
    public function needRows(): array
    {
        return array_map($this->need(...), $this->needs);
    }

    /** @return array{wool: ?int, name: string, hex: string, material: string, colours: list<string>, g: float, lowG: float, highG: float, wantG: float, freeG: float, lackG: float, cost: ?float} */
    private function need(Need $need): array
    {
        $hexes = array_map(fn (string $key): string => $this->figure->colours[$key]->srgb->toHex(), $need->colours);

        return [
            'wool' => $need->wool?->id,
            'name' => $need->wool->name ?? ($need->colours === [] ? CoreMaterial::from($need->material)->word() : implode(', ', array_map(fn (string $key): string => $this->figure->colours[$key]->name, $need->colours))),
            'hex' => $need->wool?->colour?->toHex() ?? $hexes[0] ?? CoverAdvice::UNDYED,
            'material' => $need->material,
            'colours' => $need->colours,
            'g' => $need->spread->likelyG, 'lowG' => $need->spread->lowG, 'highG' => $need->spread->highG,
            'wantG' => $need->wantG,
            'freeG' => $need->wool->freeG ?? 0.0,
            'lackG' => $need->lackG(),
            'cost' => $need->wool !== null && $need->wool->pricePerG > 0.0 ? $need->cost() : null,
        ];
    }

    /** @return list<array{detail: string, colour: string, mg: float, count: int, text: string}> mg of one */
    public function wisps(): array
    {
        $wisps = [];
        foreach ($this->figure->details as $detail) {
            $mg = DetailWool::mg($detail);
            if ($mg > 0.0) {
                $wisps[] = ['detail' => $detail->key, 'colour' => $detail->colour, 'mg' => $mg, 'count' => ($detail->mirror ? 2 : 1) * $this->figure->parts[$detail->on]->count(), 'text' => Wisp::words($mg)];
            }
        }

        return $wisps;
    }

    /** @return list<array{part: string, way: string, count: int, pieces: int, g: float, metres: float, areaCm2: float, filmG: float, text: string}> of one piece */
    public function coverings(): array
    {
        $rows = [];
        foreach ($this->coverings as $key => $need) {
            $part = $this->figure->parts[$key];
            $rows[] = ['part' => $part->key, 'way' => $part->covering->way->value, 'count' => $part->count(), 'pieces' => $need->count, 'g' => $need->g, 'metres' => $need->metres, 'areaCm2' => $need->areaCm2, 'filmG' => $need->filmG, 'text' => $need->text];
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
            $ways = Insides::of($part, $this->wool[$key], $felted, $key === $lowest);
            $perG = $this->pricePerG($this->matches[$part->colour]);
            $rows[] = [
                'part' => $part->key,
                'advised' => $ways[0]->material->value,
                'reason' => $ways[0]->reason,
                'ways' => array_map(fn (Inside $w): array => ['material' => $w->material->value, 'what' => $w->what, 'insideG' => $w->insideG, 'coverG' => $w->coverG, 'finishedG' => $w->finishedG, 'cost' => $this->costOf($w, $perG)], $ways),
                'coverMm' => $this->wool[$key]->insideCm3 > 0.0 ? $cover->coverMm : null,
                'coverDifference' => $cover->difference,
            ];
        }

        return $rows;
    }

    /** What the wool of one piece costs; null where a price is not known. */
    private function costOf(Inside $way, float $coverPerG): ?float
    {
        $perG = $way->insideG > 0.0 ? self::fullest($this->stash, $way->material->value)->pricePerG ?? 0.0 : 0.0;

        return $coverPerG > 0.0 && ($way->insideG <= 0.0 || $perG > 0.0) ? $way->coverG * $coverPerG + $way->insideG * $perG : null;
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
