<?php

declare(strict_types=1);

namespace Impa\Stash\Supply;

use Impa\Colour\Srgb;
use Impa\Figure\Colour;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Seat;
use Impa\Material\CoreMaterial;
use Impa\Stash\ColourMatch;
use Impa\Stash\Matching;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Writer;
use Impa\Wool\Inside\CoverAdvice;
use Impa\Wool\Inside\Inside;
use Impa\Wool\Inside\Insides;
use Impa\Wool\Mix;
use Impa\Wool\Portion\Portion;
use Impa\Wool\Portion\PortionWords;

/** What the Wool station shows of a supply, row by row. */
final readonly class SupplyDocument
{
    private function __construct(private Supply $supply)
    {
    }

    /** @return array<string, mixed> for the Wool station: see docs/wool.md */
    public static function of(Supply $supply, float $sheetWidthMm): array
    {
        $layout = $supply->layout($sheetWidthMm);
        $it = new self($supply);

        return [
            'matches' => array_map($it->match(...), array_values($supply->matches)),
            'conflicts' => array_map($it->conflict(...), Matching::conflicts($supply->figure, $supply->matches)),
            'needs' => array_map($it->need(...), $supply->needs),
            'mixes' => array_map(static fn (Mix $m): array => $m->document(), $supply->mixes()),
            'portions' => array_map(
                static fn (Portion $p): array => $p->document() + ['text' => PortionWords::of($p, $supply->figure)],
                $supply->portions(),
            ),
            'sets' => $supply->sets(),
            'wisps' => $supply->wisps(),
            'coverings' => $supply->coverings(),
            'layout' => $layout === null
                    ? null
                    : [
                        'widthMm' => $layout->widthMm,
                        'lengthMm' => $layout->lengthMm,
                        'waste' => $layout->waste(),
                        'placed' => $layout->placed,
                    ],
            'insides' => $it->insides(),
            'cost' => $supply->cost(),
        ];
    }

    /** @return array<string, mixed> */
    private function match(ColourMatch $match): array
    {
        $shares = [];
        $percent = array_combine(array_keys($match->shares), Writer::percentages(array_values($match->shares)));
        foreach (array_keys($match->shares) as $id) {
            $shares[] = [
                'wool' => $id,
                'name' => $this->supply->stash[$id]->name,
                'hex' => $this->supply->stash[$id]->colour?->toHex(),
                'percent' => $percent[$id],
                'teasing' => $this->supply->stash[$id]->preparation->teasing(),
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
        [$one, $two] = array_map(fn (string $key): string => $this->supply->figure->colours[$key]->name, $conflict['colours']);

        return $conflict + [
            'text' => Message::of(
                'stash.supply-document.and-differ',
                one: $one,
                two: $two,
                drawn: Amount::number(round($conflict['drawn'])),
                felted: Amount::number(round($conflict['felted'])),
            ),
        ];
    }

    /**
     * @return array{
     *     key: string, wool: ?int, name: string, hex: string, material: string, colours: list<string>, g: float, lowG: float,
     *     highG: float, wantG: float, freeG: float, lackG: float, state: string, cost: ?float,
     * }
     */
    private function need(Need $need): array
    {
        $hexes = array_map(fn (string $key): string => $this->supply->figure->colours[$key]->srgb->toHex(), $need->colours);

        return [
            'key' => $need->key(),
            'wool' => $need->wool?->id,
            'name' => $need->name(array_map(static fn (Colour $c): string => $c->name, $this->supply->figure->colours)),
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

    /** @return list<array<string, mixed>> */
    private function insides(): array
    {
        $undyed = Srgb::hex(CoverAdvice::UNDYED);
        $root = self::root($this->supply->figure);
        $rows = [];
        foreach ($this->supply->figure->parts as $key => $part) {
            $wool = $this->supply->ledger->wool[$key];
            $felted = Srgb::hex($this->supply->matches[$part->colour]->hex);
            $cover = CoverAdvice::of($part->made->core === CoreMaterial::Scrap ? $felted : $undyed, $felted);
            $ways = Insides::of($part, $wool, $felted, $key === $root);
            $perG = $this->pricePerG($this->supply->matches[$part->colour]);
            $rows[] = [
                'part' => $part->key,
                'advised' => $ways[0]->material->value,
                'reason' => (string) $ways[0]->reason,
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
                'coverMm' => $wool->insideCm3 > 0.0 && $cover->differsFrom($part->made->coverMm) ? $cover->coverMm : null,
                'showsThrough' => $cover->coverMm > $part->made->coverMm,
                'coverDifference' => $cover->difference,
                'sharedCm3' => Seat::sharing($this->supply->figure, $part)->share * $part->solid->volumeCm3(),
            ];
        }

        return $rows;
    }

    /** What the wool of one piece costs; null where a price is not known. */
    private function costOf(Inside $way, float $coverPerG): ?float
    {
        $perG = $way->insideG > 0.0 ? Supply::fullest($this->supply->stash, $way->material->value)->pricePerG ?? 0.0 : 0.0;

        return $coverPerG > 0.0 && ($way->insideG <= 0.0 || $perG > 0.0)
            ? $way->coverG * $coverPerG + $way->insideG * $perG
            : null;
    }

    /** Of a mix, by its shares; 0 where the price of one is not known. */
    private function pricePerG(ColourMatch $match): float
    {
        $perG = 0.0;
        foreach ($match->shares as $id => $share) {
            $own = $this->supply->stash[$id]->pricePerG;
            if ($own <= 0.0) {
                return 0.0;
            }
            $perG += $share * $own;
        }

        return $perG;
    }

    /** Key of the part that everything stands on. */
    private static function root(Figure $figure): string
    {
        $parts = array_filter($figure->parts, static fn (Part $p): bool => $p->stand->group === '' && ! $p->isJoined());

        return (string) array_key_first($parts);
    }
}
