<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Member\Subject;
use Impa\Figure\Part;
use Impa\Figure\Placing\Seat;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Surface\Surface;
use Impa\Trace\Traced;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Voice\Said;
use Impa\Wool\Spread;

/**
 * Everything a figure takes, line by line. The one place that says what is weighed out: totals, steps, portions, supply,
 * balance, cards and the shelf only group its lines. Unchanging; surfaces are memoised.
 */
final class Ledger
{
    /** @var array<string, float> cm2 by part key, once they were asked for */
    private array $areas = [];

    /** @var ?array{parts: array<string, list<LedgerLine>>, details: array<string, LedgerLine>} */
    private ?array $index = null;

    /**
     * @param  array<string, PartWool>  $wool  of one piece, by part key
     * @param  list<LedgerLine>  $lines  part by part, then detail by detail, in the figure's order; none of 0 g
     */
    private function __construct(
        public readonly Figure $figure,
        public readonly Densities $densities,
        public readonly array $wool,
        public readonly array $lines,
    ) {
    }

    public static function of(Figure $figure, Densities $densities): self
    {
        $wool = array_map(static fn (Part $part): PartWool => PartWool::of($part, $densities, Seat::host($figure, $part)), $figure->parts);
        $lines = [];
        foreach ($figure->parts as $key => $part) {
            array_push($lines, ...self::part($part, $wool[$key]));
        }
        $surfaces = [];
        foreach ($figure->details as $detail) {
            $on = $figure->parts[$detail->on];
            $surface = $on->solid->kind()->isFlat()
                ? null
                : $surfaces[$detail->on][$detail->lie->side->value] ??= Surface::of($on->placements()[0], $detail->lie->side);
            $lines[] = self::detail($detail, $figure, $surface);
        }

        return new self(
            $figure,
            $densities,
            $wool,
            array_values(array_filter($lines, static fn (LedgerLine $l): bool => $l->g > 0.0)),
        );
    }

    /** @return list<LedgerLine> what one part takes: its inside, its cover, what is laid on */
    public function ofPart(string $key): array
    {
        return $this->index()['parts'][$key] ?? [];
    }

    /** What a detail takes, all its pieces; none where it takes no wool. */
    public function ofDetail(string $key): ?LedgerLine
    {
        return $this->index()['details'][$key] ?? null;
    }

    /**
     * The lines by what they are for, put together once.
     *
     * @return array{parts: array<string, list<LedgerLine>>, details: array<string, LedgerLine>}
     */
    private function index(): array
    {
        if ($this->index === null) {
            $this->index = ['parts' => [], 'details' => []];
            foreach ($this->lines as $line) {
                if ($line->for->detail === '') {
                    $this->index['parts'][$line->for->part][] = $line;
                } else {
                    $this->index['details'][$line->for->detail] = $line;
                }
            }
        }

        return $this->index;
    }

    /** Grams of everything that is weighed out. */
    public function totalG(): float
    {
        return array_sum(array_map(static fn (LedgerLine $l): float => $l->allG(), $this->lines));
    }

    /**
     * Grams by wool: what fills the parts first, then film, then colours in the figure's order.
     *
     * @return list<array{material: string, colour: ?string, spread: Spread, sigma: float, how: Traced}> sigma of the logarithm of each
     */
    public function totals(): array
    {
        $fillings = $colours = [];
        foreach ($this->lines as $line) {
            if ($line->for->colour === '') {
                $fillings[$line->material][] = $line;
            } else {
                $colours[$line->for->colour][] = $line;
            }
        }
        $totals = [];
        foreach ($fillings as $material => $lines) {
            $totals[] = ['material' => $material, 'colour' => null] + $this->sum($lines);
        }
        foreach (array_keys($this->figure->colours) as $colour) {
            if (isset($colours[$colour])) {
                $totals[] = ['material' => LedgerLine::WOOL, 'colour' => (string) $colour] + $this->sum($colours[$colour]);
            }
        }

        return $totals;
    }

    /** The surface of one piece of a part, the dearest of its sums. */
    public function areaCm2(string $part): float
    {
        return $this->areas[$part] ??= $this->wool[$part]->areaCm2();
    }

    /**
     * @param  list<LedgerLine>  $lines
     * @return array{spread: Spread, sigma: float, how: Traced}
     */
    private function sum(array $lines): array
    {
        $pieces = $all = [];
        foreach ($lines as $line) {
            $all[] = $line->all();
            for ($i = 0; $i < $line->pieces; $i++) {
                $pieces[] = [$this->figure->parts[$line->for->part]->made->firmness->value, $line->g];
            }
        }
        $sigma = $this->densities->hand->sigmaOfSum($pieces);
        $how = Traced::sum('of-one-wool', ...$all);

        return ['spread' => Spread::around($how->is, $sigma), 'sigma' => $sigma, 'how' => $how];
    }

    /** @return list<LedgerLine> */
    private static function part(Part $part, PartWool $wool): array
    {
        $line = static fn (
            Purpose $purpose,
            string $material,
            string $colour,
            ?Traced $how,
            CoveringWay $way,
            Said $why,
        ): LedgerLine => new LedgerLine(
            for: new Subject($part->key, colour: $colour),
            purpose: $purpose,
            material: $material,
            how: $how,
            pieces: $part->count(),
            way: $way,
            why: $why,
        );
        $way = $part->made->covering->way;
        $name = new Name($part->name);

        return [
            $line(
                Purpose::Inside,
                $wool->coreMaterial()->value,
                '',
                $wool->core,
                CoveringWay::Felt,
                Message::of('wool.why.inside', name: $name),
            ),
            $line(
                Purpose::Cover,
                LedgerLine::WOOL,
                $part->colour,
                $wool->cover,
                CoveringWay::Felt,
                Message::of($wool->insideCm3 > 0.0 ? 'wool.why.cover' : 'wool.why.all', name: $name),
            ),
            $line(
                Purpose::Covering,
                LedgerLine::WOOL,
                $part->colour,
                $wool->covering->wool,
                $way,
                Message::of('wool.why.covering', way: $way->words($wool->covering->count), name: $name),
            ),
            $line(Purpose::Film, LedgerLine::FILM, '', $wool->covering->film, $way, Message::of('wool.why.film', name: $name)),
        ];
    }

    private static function detail(Detail $detail, Figure $figure, ?Surface $surface): LedgerLine
    {
        $how = DetailWool::g($detail, $surface);

        return new LedgerLine(
            for: new Subject($detail->on, $detail->key, $detail->colour),
            purpose: Purpose::Detail,
            material: LedgerLine::WOOL,
            how: $how,
            pieces: $figure->pieces($detail),
            way: CoveringWay::Felt,
            why: new Name($detail->name),
        );
    }
}
