<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Colour\Ciede2000;
use Impa\Face\DetailGround;
use Impa\Figure\Figure;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** Colours of a colourway that lie against each other, differed in the figure itself, and now hardly do. */
final class Clashes
{
    /** Two wools that differ by less are hard to tell apart (CIEDE2000; house choice). */
    public const ALIKE = 8.0;

    /** @return list<Message> each with a way on */
    public static function of(Member $member): array
    {
        $notes = [];
        foreach (self::meeting($member->base) as [$one, $two, $what]) {
            $was = self::between($member->base, $one, $two);
            $is = self::between($member->figure, $one, $two);
            if ($was >= self::ALIKE && $is < self::ALIKE) {
                $notes[] = Message::of(
                    'sets.clashes.no-longer-shows',
                    name: $member->name,
                    what: $what,
                    name2: new Name($member->figure->colours[$one]->name),
                    name3: new Name($member->figure->colours[$two]->name),
                );
            }
        }

        return array_values(array_unique($notes));
    }

    /**
     * Keys of colours that lie against each other: a detail on its ground, a part on what it is joined to.
     *
     * @return list<array{string, string, Message}> with what is seen there
     */
    public static function meeting(Figure $figure): array
    {
        $pairs = [];
        foreach ($figure->details as $detail) {
            $pairs[] = [
                $detail->colour,
                DetailGround::colour($figure, $detail),
                Message::of('sets.clashes.detail', name: new Name($detail->name)),
            ];
        }
        foreach ($figure->parts as $part) {
            if ($part->isJoined()) {
                $pairs[] = [
                    $part->colour,
                    $figure->parts[$part->join->to]->colour,
                    Message::of('sets.clashes.where-the-begins', name: new Name($part->name)),
                ];
            }
        }

        return array_values(array_filter($pairs, static fn (array $pair): bool => $pair[0] !== $pair[1]));
    }

    public static function between(Figure $figure, string $one, string $two): float
    {
        return Ciede2000::between($figure->colours[$one]->srgb->lab(), $figure->colours[$two]->srgb->lab());
    }
}
