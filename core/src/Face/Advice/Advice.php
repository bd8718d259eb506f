<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Voice\Opening;

/** What is amiss with a detail, in one sentence with its amount, and what would mend it. Immutable. */
final readonly class Advice
{
    /**
     * @param  bool  $isFault  it cannot be made as it is; else it can, and would not look right
     * @param  list<Mend>  $mends
     */
    private function __construct(public string $code, public Message $why, public bool $isFault, public array $mends)
    {
    }

    /** @param  list<Mend>  $mends */
    public static function look(string $code, Message $why, array $mends): self
    {
        return new self($code, $why, false, $mends);
    }

    /** @param  list<Mend>  $mends */
    public static function fault(string $code, Message $why, array $mends): self
    {
        return new self($code, $why, true, $mends);
    }

    /** In one line, as a note of the plan: what it is about, what is amiss, what mends it. */
    public function line(string $name): Message
    {
        return $this->mends === []
            ? Message::of('face.advice.fault', name: $name, why: $this->why)
            : Message::of('face.advice.mend', name: $name, why: $this->why, mends: new Opening(new Listed(
                array_map(static fn (Mend $m): Message => $m->text, $this->mends),
                'or',
            )));
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            'code' => $this->code,
            'why' => $this->why,
            'isFault' => $this->isFault,
            'mends' => array_map(static fn (Mend $m): array => $m->document(), $this->mends),
        ];
    }
}
