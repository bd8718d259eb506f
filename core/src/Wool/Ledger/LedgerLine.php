<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

use Impa\Figure\Member\Subject;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Trace\Source;
use Impa\Trace\Traced;
use Impa\Voice\Measure;
use Impa\Voice\Message;
use Impa\Voice\Said;

/** One thing that is weighed out: so many pieces of so many grams, in one material or colour, for one part or detail. Immutable. */
final readonly class LedgerLine
{
    /** Materials besides those that fill a part. */
    public const WOOL = 'wool';

    public const FILM = 'film';

    /** Of one piece, waste included. */
    public float $g;

    /**
     * @param  string  $material  wool, film, or what fills a part (core-wool, scrap, stuffing, foam)
     * @param  CoveringWay  $way  how it is worked: felted, or laid on, wound round, cut out
     * @param  Said  $why  what it becomes, in a few words
     * @param  ?Traced  $how  grams of one piece, waste included; nothing where it takes none
     */
    public function __construct(
        public Subject $for,
        public Purpose $purpose,
        public string $material,
        public int $pieces,
        public CoveringWay $way,
        public Said $why,
        public ?Traced $how,
    ) {
        $this->g = $how->is ?? 0.0;
    }

    /** What a felter says for a material without a colour of the figure's. */
    public static function word(string $material): Message
    {
        return match ($material) {
            self::WOOL => Message::of('wool.material.wool'),
            self::FILM => Message::of('wool.material.film'),
            default => CoreMaterial::from($material)->word(),
        };
    }

    /** Whether it is cut out of a sheet that is felted already, and so not weighed off. */
    public function isCut(): bool
    {
        return $this->way === CoveringWay::PreFelt;
    }

    /** Grams of all its pieces. */
    public function allG(): float
    {
        return $this->g * $this->pieces;
    }

    /** The same, and how it comes about. */
    public function all(): Traced
    {
        $each = $this->how ?? Traced::given('nothing', 0.0, Measure::Mass, Source::Unit);

        return $this->pieces === 1
            ? $each->called('grams-of', name: $this->why)
            : Traced::product('grams-of', Measure::Mass, $each, Traced::plain('pieces', $this->pieces, Source::Figure))
                ->called('grams-of', name: $this->why);
    }
}
