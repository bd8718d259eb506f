<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Armature\Passage;
use Impa\Figure\Figure;
use Impa\Figure\Member\Subject;
use Impa\Figure\Part;
use Impa\Figure\Term\JoinBy;
use Impa\Material\CoveringWay;
use Impa\Material\Pace;
use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Wool\Ledger\Ledger;

/**
 * The steps that lead a wire through what it only passes. A limb's wire goes through a body while that is a core, and the limb is made
 * round it afterwards; whiskers, stalks and handles, round which nothing is felted, are set in last (docs/trade.md, What comes before
 * what).
 */
final readonly class WireRouting
{
    /** @param  list<Passage>  $passages */
    private function __construct(private Ledger $ledger, private array $passages)
    {
    }

    public static function of(Ledger $ledger): self
    {
        return new self($ledger, Passage::all($ledger->figure));
    }

    /** Whether a wire is bent for a part before it is made: it is wound round one, fixed by one, or the felter drew one along it. */
    public function isBentFor(Part $part): bool
    {
        return $part->made->covering->way === CoveringWay::Wrap
            || ($part->isJoined() && $part->join->by === JoinBy::Wire)
            || array_filter($this->passages, static fn (Passage $p): bool => in_array($part->key, $p->limbs, true)) !== [];
    }

    /** @return list<string> keys of the steps after which a limb is made round its wire */
    public function beforeMaking(Part $part): array
    {
        return self::keys(
            $this->passages,
            static fn (Passage $p): bool => $p->holes !== [] && in_array($part->key, $p->limbs, true),
        );
    }

    /** @return list<string> keys of the steps that go through a core before it is covered */
    public function beforeCover(Part $part): array
    {
        return $this->hasCore($part->key)
            ? self::keys($this->passages, static fn (Passage $p): bool => ! $p->isLoose() && isset($p->holes[$part->key]))
            : [];
    }

    /** @return list<Step> one for each wire that goes through anything, or round which nothing is made */
    public function steps(): array
    {
        $figure = $this->ledger->figure;
        $steps = [];
        foreach ($this->passages as $passage) {
            if (! $passage->isLoose() && $passage->holes === []) {
                continue;
            }
            $hosts = array_map('strval', array_keys($passage->holes));
            $names = array_map(static fn (string $key): Name => new Name($figure->parts[$key]->name), $hosts);
            $wire = $passage->wire;
            $through = new Listed($names);
            $steps[] = new Step(
                key: self::key($passage),
                kind: StepKind::Thread,
                title: match (true) {
                    ! $passage->isLoose() => Message::of('steps.title.lead', wire: new Name($wire->name), parts: $through),
                    $hosts === [] => Message::of('steps.title.bend', wire: new Name($wire->name)),
                    default => Message::of('steps.title.set', wire: new Name($wire->name), parts: $through),
                },
                text: $passage->isLoose() ? Message::of('steps.text.whisker') : Message::of('steps.text.thread'),
                time: StepTime::usual($wire->count(), Pace::THREAD, $passage->isLoose() && $hosts !== [] ? Pace::DRYING : 0.0),
                about: new Subject($hosts[0] ?? ''),
                order: new StepOrder($passage->isLoose() ? array_map(self::made($figure), $hosts) : $this->before($passage, $hosts)),
            );
        }

        return $steps;
    }

    /** The step that leads a wire through. */
    public static function key(Passage $passage): string
    {
        return 'thread:'.$passage->wire->key;
    }

    /**
     * What is there before a limb's wire is led through: the core of what it goes through, and the wire bent.
     *
     * @param  list<string>  $hosts
     * @return list<string>
     */
    private function before(Passage $passage, array $hosts): array
    {
        return [
            ...array_map(fn (string $key): string => ($this->hasCore($key) ? 'core:' : 'cover:').$key, $hosts),
            ...array_map(static fn (string $key): string => 'wire:'.$key, $passage->limbs),
        ];
    }

    private function hasCore(string $part): bool
    {
        return Steps::hasCore($this->ledger, $part);
    }

    /** @return \Closure(string): string */
    private static function made(Figure $figure): \Closure
    {
        return static fn (string $key): string => Steps::made($figure->parts[$key]);
    }

    /**
     * @param  list<Passage>  $passages
     * @param  \Closure(Passage): bool  $which
     * @return list<string>
     */
    private static function keys(array $passages, \Closure $which): array
    {
        return array_map(self::key(...), array_values(array_filter($passages, $which)));
    }
}
