<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Voice\Message;
use JsonException;
use stdClass;

/** Several figures planned as one: the same in colourways or sizes, or different ones together. Immutable. */
final readonly class FigureSet
{
    /** So many different figures in a set at most. */
    private const MOST = 40;

    /** @param  non-empty-list<Member>  $members */
    private function __construct(public string $name, public array $members)
    {
    }

    /**
     * @param  list<Member>  $members
     *
     * @throws SetRefused if it has no name, none or too many
     */
    public static function of(string $name, array $members): self
    {
        $name = trim($name);
        if ($name === '' || mb_strlen($name) > 120) {
            throw SetRefused::nameless();
        }
        if ($members === []) {
            throw SetRefused::ofNone();
        }
        if (count($members) > self::MOST) {
            throw SetRefused::tooMany(self::MOST);
        }

        return new self($name, $members);
    }

    /**
     * @param  string  $json  an impa-set document, version 1: formats/impa-set-1.schema.json
     *
     * @throws SetRefused if it is none
     * @throws FigureRefused if a figure in it has faults
     * @throws \Impa\Figure\Editing\EditRefused if a member's colour or height is none of its figure
     */
    public static function fromJson(string $json): self
    {
        try {
            $document = json_decode($json, false, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw SetRefused::noDocument(Message::of('sets.figure-set.this-is-no-json'));
        }
        if (! $document instanceof stdClass || ($document->format ?? '') !== 'impa-set') {
            throw SetRefused::noDocument(Message::of('sets.figure-set.this-is-no-impa'));
        }
        if (($document->version ?? 0) !== 1) {
            throw SetRefused::noDocument(Message::of('sets.figure-set.this-set'));
        }
        $members = [];
        foreach (is_array($document->members ?? null) ? $document->members : [] as $i => $member) {
            if (! $member instanceof stdClass) {
                throw SetRefused::noDocument(Message::of('sets.figure-set.members-is-no-member', i: $i));
            }
            $members[] = self::member($member, (string) $i);
        }

        return self::of(is_string($document->name ?? null) ? $document->name : '', $members);
    }

    private static function member(stdClass $member, string $at): Member
    {
        $count = $member->count ?? 1;
        $height = $member->heightMm ?? null;
        $name = $member->name ?? '';
        $colours = $member->colours ?? new stdClass;
        $hexes = $colours instanceof stdClass ? get_object_vars($colours) : null;
        if (
            ! is_int($count) || ! is_string($name) || ! ($height === null || is_int($height) || is_float($height))
            || $hexes === null || array_filter($hexes, is_string(...)) !== $hexes
        ) {
            throw SetRefused::noDocument(Message::of('sets.figure-set.members-count', at: $at));
        }

        return Member::of(
            Figure::fromDocument($member->figure ?? null),
            mb_substr($name, 0, 120),
            $count,
            $hexes,
            $height === null ? null : (float) $height,
        );
    }

    /** How many figures there are in all. */
    public function pieces(): int
    {
        return array_sum(array_map(static fn (Member $m): int => $m->count, $this->members));
    }

    /** @return list<Message> what is odd about it, each with a way on */
    public function notes(): array
    {
        $notes = $looks = [];
        foreach ($this->members as $member) {
            $like = $looks[$member->look()] ??= $member;
            if ($like !== $member) {
                $notes[] = Message::of('sets.figure-set.and-come-out-alike', name: $like->name, name2: $member->name);
            }
            array_push($notes, ...Clashes::of($member));
        }

        return $notes;
    }
}
