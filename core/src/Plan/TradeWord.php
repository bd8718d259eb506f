<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Voice\Message;

/** A word of the trade, what it means, and the forms in which sentences say it. Each has a drawing among the screens'. Immutable. */
final readonly class TradeWord
{
    /** By the codes of lang/, words; their drawings are in resources/app/help/words.svg. */
    public const CODES = [
        'core', 'cover', 'fluff-end', 'join', 'seam', 'wisp', 'tops', 'batting', 'sliver', 'locks', 'stuffing', 'foam', 'firm', 'gauge',
        'barb', 'needle', 'reverse', 'holder', 'shallow', 'pad', 'guard', 'tack', 'clump', 'portion', 'layers', 'slit', 'sandwich', 'wrap',
        'wire', 'pre-felt', 'loops', 'tufts', 'plait', 'spark', 'patch', 'mark', 'crown', 'mix', 'steam', 'foot', 'reserve', 'trim',
    ];

    private function __construct(public string $code, public Message $is, public Message $means, private Message $said)
    {
    }

    public static function of(string $code): self
    {
        return new self($code, Message::of("words.$code.is"), Message::of("words.$code.means"), Message::of("words.$code.said"));
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(self::of(...), self::CODES);
    }

    /** @return list<string> as it stands in sentences */
    public function forms(): array
    {
        return explode('|', (string) $this->said);
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return ['code' => $this->code, 'is' => $this->is, 'means' => $this->means, 'said' => $this->forms()];
    }
}
