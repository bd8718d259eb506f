<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Material\Densities;
use Impa\Material\Pace;
use Impa\Stash\Mixing\Swatch;
use Impa\Stash\StashWool;
use Impa\Stash\Supply\Reserve;

/** A set planned as one: one ledger, what the stash is enough for, a batch order with the minutes it saves. Immutable. */
final readonly class SetPlan
{
    /** @param  non-empty-list<Work>  $works  of one figure of each member */
    private function __construct(public FigureSet $set, public SetSupply $supply, public array $works, public Batch $batch)
    {
    }

    /**
     * @param  array<int, StashWool>  $stash
     * @param  list<Swatch>  $swatches
     */
    public static function of(
        FigureSet $set,
        array $stash = [],
        array $swatches = [],
        Reserve $reserve = Reserve::Usual,
        ?Densities $densities = null,
        ?Pace $pace = null,
        ?Needles $needles = null,
    ): self {
        $supply = SetSupply::of($set, $stash, $swatches, $reserve, $densities ?? Densities::house());
        $works = $known = [];
        foreach ($supply->supplies as $i => $one) {
            // Colours change nothing of what must come before what.
            $works[] = $known[$set->members[$i]->shape()] ??= Work::of($one->ledger, $pace ?? Pace::house(), $needles ?? Needles::usual());
        }

        return new self($set, $supply, $works, Batch::of($set, $works));
    }

    /** @return array<string, mixed> the impa-set-plan document, version 1 */
    public function document(): array
    {
        $enough = $this->supply->enough();

        return [
            'format' => 'impa-set-plan',
            'version' => 1,
            'name' => $this->set->name,
            'pieces' => $this->set->pieces(),
            'members' => $this->members($enough['made']),
            'wool' => $this->supply->rows(),
            'totalG' => $this->supply->totalG(),
            'enough' => ['pieces' => $enough['pieces'], 'text' => $this->supply->text()],
            'order' => [
                'oneByOneMinutes' => $this->batch->oneByOneMinutes(),
                'minutes' => $this->batch->minutes(),
                'savedMinutes' => $this->batch->oneByOneMinutes() - $this->batch->minutes(),
                'rows' => $this->batch->rows(),
            ],
            'notes' => $this->set->notes(),
        ];
    }

    /**
     * @param  list<int>  $made  for how many of each the stash is enough
     * @return list<array<string, mixed>>
     */
    private function members(array $made): array
    {
        $rows = [];
        foreach ($this->set->members as $i => $member) {
            $rows[] = [
                'name' => $member->name,
                'count' => $member->count,
                'heightMm' => $member->figure->heightMm,
                'g' => $this->supply->supplies[$i]->ledger->totalG(),
                'enoughFor' => $made[$i],
                'colours' => array_map(
                    static fn (string $key, $colour): array => ['key' => $key, 'name' => $colour->name, 'hex' => $colour->srgb->toHex()],
                    array_map(strval(...), array_keys($member->figure->colours)),
                    array_values($member->figure->colours),
                ),
            ];
        }

        return $rows;
    }
}
