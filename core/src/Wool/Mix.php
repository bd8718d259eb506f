<?php

declare(strict_types=1);

namespace Impa\Wool;

use Impa\Figure\Figure;
use Impa\Voice\Amount;
use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\WoolWords;

/** A mix that the felter chose for a colour: what goes into it, weighed off and teased together before anything is divided. Immutable. */
final readonly class Mix
{
    /**
     * @param  string  $colour  key of the figure's colour
     * @param  float  $g  of all of it
     * @param  list<array{name: string, g: float}>  $wools  two or three, the most first
     */
    private function __construct(public string $colour, public string $name, public float $g, public array $wools)
    {
    }

    /** @return list<self> one for each colour that is mixed, with all that the figure takes of it */
    public static function all(Ledger $ledger): array
    {
        $mixes = [];
        foreach ($ledger->totals() as $total) {
            $mixes[] = $total['colour'] === null ? null : self::of($total['colour'], $total['spread']->likelyG, $ledger->figure);
        }

        return array_values(array_filter($mixes));
    }

    /** So many grams of a colour; null where it is not mixed. */
    public static function of(string $colour, float $g, Figure $figure): ?self
    {
        $of = $figure->colours[$colour];
        if (! $of->isMixed() || $g <= 0.0) {
            return null;
        }
        $shares = $of->shares();
        arsort($shares);
        $wools = [];
        foreach ($shares as $name => $share) {
            $wools[] = ['name' => (string) $name, 'g' => $g * $share];
        }

        return new self($colour, WoolWords::name(LedgerLine::WOOL, $colour, $figure), $g, $wools);
    }

    /** So many times as much. */
    public function times(float $factor): self
    {
        $wools = array_map(static fn (array $w): array => ['name' => $w['name'], 'g' => $w['g'] * $factor], $this->wools);

        return new self($this->colour, $this->name, $this->g * $factor, $wools);
    }

    /** Its wools in words, as "9.6 g Ink and 5.2 g Sky". */
    public function woolsText(): Listed
    {
        return new Listed(array_map(
            static fn (array $wool): Message => Message::of('sets.set-supply.of', g: Amount::g($wool['g']), name: $wool['name']),
            $this->wools,
        ));
    }

    /** What to do, in two sentences. */
    public function text(): Message
    {
        return Message::of('wool.mix.mix-first-weigh-tease', g: Amount::g($this->g), woolsText: $this->woolsText());
    }

    /** @return array{colour: string, name: string, g: float, wools: list<array{name: string, g: float}>, text: Message} */
    public function document(): array
    {
        return ['colour' => $this->colour, 'name' => $this->name, 'g' => $this->g, 'wools' => $this->wools, 'text' => $this->text()];
    }
}
