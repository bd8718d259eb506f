<?php

declare(strict_types=1);

namespace Impa\Check\Part;

use Impa\Balance\Balance;
use Impa\Check\CheckRefused;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Material\CoreMaterial;
use Impa\Material\Densities;
use Impa\Shape\Size;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Wool\Grams;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\PartWool;

/**
 * A finished piece against the card of its part: how dense it came out, what is still to be felted in or added, whether it fits.
 * Immutable.
 */
final readonly class PartCheck
{
    /** Sizes are right within this share, or what calipers tell on felt (house choice; felt gives under the jaws), mm. */
    private const WITHIN = 0.03;

    private const CALIPERS_MM = 0.5;

    /** A density is right within this share of the plan's (house choice). */
    private const DENSITY_WITHIN = 0.1;

    /** A dimension off by more than this factor is asked about: a slipped digit, or another part. */
    private const SLIPPED = 2.5;

    /**
     * @param  Vec3  $offMm  how much wider, higher, deeper than planned
     * @param  float  $feltInMm  how far its skin still has to go in, all round; 0 where it is small enough
     * @param  float  $addG  what is to be weighed out and laid on; 0 where it is heavy enough
     * @param  list<Message>  $says  in words, what matters most first
     */
    private function __construct(
        public Part $part,
        public Measurement $measured,
        public PartWool $plan,
        public float $volumeCm3,
        public array $offMm,
        public float $feltInMm,
        public float $addG,
        public array $says,
    ) {
    }

    /**
     * @param  ?Measurement  $twin  of the other piece of a pair, where it was measured
     *
     * @throws CheckRefused if there is no such part
     */
    public static function of(Ledger $ledger, string $key, Measurement $measured, ?Measurement $twin = null): self
    {
        $figure = $ledger->figure;
        $part = $figure->parts[$key] ?? throw CheckRefused::noPart($key);
        $plan = $ledger->wool[$key];
        // What is hollow for the part it lies on is no more of it when it came out larger or smaller.
        $made = $plan->volumeCm3 / $part->solid->volumeCm3();
        $volume = $made * Choices::sized($figure, $key, $measured->size)->parts[$key]->solid->volumeCm3();
        $dense = ($measured->g / $volume) / self::plannedDensity($plan);
        $off = self::off($measured->size, $part->solid->size());
        // Felted on to the planned size, it would be so dense; what is missing to the planned density then is missing wool.
        $missing = $plan->finishedG() - $measured->g;
        $isLight = $missing > self::DENSITY_WITHIN * $plan->finishedG();
        $add = $isLight ? $missing * (1 + $ledger->densities->coverWaste) : 0.0;
        $feltIn = max($off) > self::withinMm($part->solid->size()->largestMm()) ? max(0.0, array_sum($off) / 6) : 0.0;

        return new self(
            part: $part,
            measured: $measured,
            plan: $plan,
            volumeCm3: $volume,
            offMm: $off,
            feltInMm: $feltIn,
            addG: $add,
            says: [
                ...self::sizes($off, $part, $feltIn, $dense),
                ...self::weight($dense, $part, $add),
                ...self::pair($measured, $twin),
                ...self::place($figure, $key, $measured->size),
                ...self::standing($ledger, $key, $measured->size),
            ],
        );
    }

    public function gPerCm3(): float
    {
        return $this->measured->g / $this->volumeCm3;
    }

    public function plannedGPerCm3(): float
    {
        return self::plannedDensity($this->plan);
    }

    private static function plannedDensity(PartWool $plan): float
    {
        return $plan->finishedG() / $plan->volumeCm3;
    }

    /** What looks like a slipped digit, as a question; empty where nothing does. */
    public function doubt(): ?Message
    {
        $planned = $this->part->solid->size();
        $pairs = [
            'wide' => [$this->measured->size->widthMm, $planned->widthMm],
            'high' => [$this->measured->size->heightMm, $planned->heightMm],
            'deep' => [$this->measured->size->depthMm, $planned->depthMm],
        ];
        foreach ($pairs as $word => [$mm, $wanted]) {
            if ($mm > self::SLIPPED * $wanted || $mm < $wanted / self::SLIPPED) {
                return Message::of('check.part-check.doubt.'.$word, is: Amount::mm($mm), wanted: Amount::mm($wanted));
            }
        }

        return match (true) {
            $this->gPerCm3() > Densities::FIBRE_G_PER_CM3 => Message::of(
                'check.part-check.in-is-denser-than',
                g: Amount::g($this->measured->g),
                volumeCm3: Amount::cm3($this->volumeCm3),
            ),
            $this->gPerCm3() > 3 * $this->plannedGPerCm3() || $this->gPerCm3() < $this->plannedGPerCm3() / 3 => Message::of(
                'check.part-check.where-about-were',
                g: Amount::g($this->measured->g),
                g2: Amount::g($this->volumeCm3 * $this->plannedGPerCm3()),
            ),
            default => null,
        };
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            'part' => $this->part->key,
            'name' => $this->part->name,
            'sizeMm' => self::lengths($this->measured->size),
            'plannedMm' => self::lengths($this->part->solid->size()),
            'offMm' => ['w' => $this->offMm[0], 'h' => $this->offMm[1], 'd' => $this->offMm[2]],
            'g' => $this->measured->g,
            'plannedG' => $this->plan->finishedG(),
            'cm3' => $this->volumeCm3,
            'gPerCm3' => $this->gPerCm3(),
            'plannedGPerCm3' => $this->plannedGPerCm3(),
            'feltInMm' => $this->feltInMm,
            'addG' => $this->addG,
            'says' => $this->says,
        ];
    }

    /** @return array{w: float, h: float, d: float} */
    private static function lengths(Size $size): array
    {
        return ['w' => $size->widthMm, 'h' => $size->heightMm, 'd' => $size->depthMm];
    }

    /** Whether its density tells of the hand: foam and what is laid on are not felted by it. */
    public function teaches(): bool
    {
        return $this->part->made->core !== CoreMaterial::Foam && ! $this->part->made->covering->way->replacesCover();
    }

    /** @return Vec3 */
    private static function off(Size $is, Size $wanted): array
    {
        return [$is->widthMm - $wanted->widthMm, $is->heightMm - $wanted->heightMm, $is->depthMm - $wanted->depthMm];
    }

    private static function withinMm(float $mm): float
    {
        return max(self::CALIPERS_MM, self::WITHIN * $mm);
    }

    /**
     * @param  Vec3  $off
     * @return list<Message>
     */
    private static function sizes(array $off, Part $part, float $feltIn, float $dense): array
    {
        $wanted = $part->solid->size();
        $words = [];
        $pairs = [['wide', 'narrow', $wanted->widthMm], ['high', 'low', $wanted->heightMm], ['deep', 'thin', $wanted->depthMm]];
        foreach ($pairs as $i => [$more, $less, $mm]) {
            if (abs($off[$i]) > self::withinMm($mm)) {
                $words[] = Message::of('check.part-check.too.'.($off[$i] > 0.0 ? $more : $less), off: Amount::mm(abs($off[$i])));
            }
        }

        return match (true) {
            $words === [] => [Message::of('check.part-check.it-has-the-size')],
            $feltIn > 0.0 && $dense < 1 + self::DENSITY_WITHIN => [
                Message::of('check.part-check.sizes', sizes: implode(', ', $words)),
                Message::of('check.part-check.firm-it-more-all', feltIn: Amount::mm($feltIn)),
            ],
            default => [Message::of('check.part-check.sizes', sizes: implode(', ', $words))],
        };
    }

    /** @return list<Message> */
    private static function weight(float $dense, Part $part, float $add): array
    {
        if ($add > 0.0) {
            return [Message::of('check.part-check.even-felted-to-size', add: Amount::g($add))];
        }

        return match (true) {
            $dense > 1 + self::DENSITY_WITHIN => [Message::of(
                'check.part-check.it-came-out-denser',
                share: Amount::share(($dense - 1)),
                of: Message::of('material.firmness.'.Message::of('material.firmness.'.$part->made->firmness->value)),
            )],
            $dense < 1 - self::DENSITY_WITHIN => [
                Message::of(
                    'check.part-check.it-is-still-softer',
                    share: Amount::share((1 - $dense)),
                    of: Message::of('material.firmness.'.$part->made->firmness->value),
                ),
            ],
            default => [Message::of(
                'check.part-check.it-is-as-firm',
                of: Message::of('material.firmness.'.$part->made->firmness->value),
            )],
        };
    }

    /** @return list<Message> */
    private static function pair(Measurement $one, ?Measurement $two): array
    {
        if ($two === null) {
            return [];
        }
        $off = self::off($one->size, $two->size);
        $at = (int) array_search(max(array_map(abs(...), $off)), array_map(abs(...), $off), true);
        $mm = $off[$at];
        $g = $one->g - $two->g;
        $word = [['wider', 'narrower'], ['higher', 'lower'], ['deeper', 'thinner']][$at][$mm > 0.0 ? 0 : 1];
        $heavier = $g > 0.0 ? 'heavier' : 'lighter';
        if (abs($mm) <= self::withinMm($two->size->largestMm()) && abs($g) <= Grams::withinG($two->g)) {
            return [Message::of('check.part-check.its-twin-is-alike')];
        }
        $larger = array_product([$one->size->widthMm, $one->size->heightMm, $one->size->depthMm])
            > array_product([$two->size->widthMm, $two->size->heightMm, $two->size->depthMm]);

        return [Message::of(
            'check.part-check.twin-'.($larger ? 'larger' : 'smaller'),
            size: Message::of('check.part-check.twin.'.$word, by: Amount::mm(abs($mm))),
            weight: Message::of('check.part-check.twin.'.$heavier, by: Amount::g(abs($g))),
        )];
    }

    /** @return list<Message> whether it still reaches what it is joined to */
    private static function place(Figure $figure, string $key, Size $size): array
    {
        $part = $figure->parts[$key];
        if (! $part->isJoined()) {
            return [];
        }
        $host = $figure->parts[$part->join->to];
        $now = Choices::sized($figure, $key, $size)->parts[$key];
        $name = new Name($host->name);
        if (! self::meets($part, $host)) {
            return [];
        }

        return self::meets($now, $host)
            ? [Message::of('check.part-check.it-still-meets', name: $name)]
            : [Message::of('check.part-check.it-no-longer-reaches', name: $name)];
    }

    /** Whether any place of a part's skin lies in another part. */
    private static function meets(Part $one, Part $two): bool
    {
        foreach ($one->placements() as $piece) {
            foreach ($piece->rings() as $ring) {
                foreach ($ring as $point) {
                    if (array_filter($two->placements(), static fn (Placement $to): bool => $to->holds(...$point)) !== []) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** @return list<Message> what the new size does to how the figure stands, where that changes */
    private static function standing(Ledger $ledger, string $key, Size $size): array
    {
        $before = Balance::of($ledger);
        $after = Balance::of(Ledger::of(Choices::sized($ledger->figure, $key, $size), $ledger->densities));

        return $before->stands() && ! $after->stands() ? [Message::of('check.part-check.with-it-the-figure')] : [];
    }
}
