<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

/** What is amiss with a detail, in one sentence with its amount, and what would mend it. Immutable. */
final readonly class Advice
{
    /**
     * @param  bool  $isFault  it cannot be made as it is; else it can, and would not look right
     * @param  list<Mend>  $mends
     */
    private function __construct(public string $code, public string $why, public bool $isFault, public array $mends)
    {
    }

    /** @param  list<Mend>  $mends */
    public static function look(string $code, string $why, array $mends): self
    {
        return new self($code, $why, false, $mends);
    }

    /** @param  list<Mend>  $mends */
    public static function fault(string $code, string $why, array $mends): self
    {
        return new self($code, $why, true, $mends);
    }

    /** In one line, as a note of the plan: what it is about, what is amiss, what mends it. */
    public function line(string $name): string
    {
        $mends = implode(', or ', array_map(static fn (Mend $m): string => $m->text, $this->mends));

        return sprintf('%s: %s.%s', $name, $this->why, $mends === '' ? '' : ' '.ucfirst($mends).'.');
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
