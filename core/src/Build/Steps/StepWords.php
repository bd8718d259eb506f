<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Figure\Detail;
use Impa\Figure\Part;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Term\Method;
use Impa\Material\CoreMaterial;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Voice\Said;

/**
 * What the felter reads at a step where it hangs on the part: which of the words of lang/en/steps.php.
 */
final class StepWords
{
    /** Thinner flat pieces than so many mm are felted between two cards (common practice). */
    private const BETWEEN_CARDS_MM = 4.0;

    public static function core(CoreMaterial $core): Message
    {
        return Message::of('steps.text.core.'.match ($core) {
            CoreMaterial::Foam, CoreMaterial::Stuffing, CoreMaterial::Scrap => $core->value,
            default => CoreMaterial::CoreWool->value,
        });
    }

    public static function cover(Part $part): Message
    {
        return Message::of(self::leavesFluff($part) ? 'steps.text.cover.fluff' : 'steps.text.cover.roll');
    }

    public static function felt(Part $part): Message
    {
        $kind = $part->solid->kind();
        [$first, $then] = match (true) {
            $kind->isFlat() && $part->solid->thinnestMm() < self::BETWEEN_CARDS_MM => ['cards', 'flat'],
            $kind->isFlat() => ['flat', 'flat'],
            $kind->isLong() => ['long', 'long'],
            default => ['round', 'round'],
        };

        return Message::of(
            'steps.two',
            first: Message::of("steps.text.felt-first.$first"),
            then: Message::of("steps.text.felt-then.$then", fluff: self::leavesFluff($part) ? 'yes' : 'no'),
        );
    }

    /** @param  string  $on  what it will lie on */
    public static function capCore(string $on, float $mm): Message
    {
        return Message::of('steps.text.cap.core', deep: self::deep($mm), onto: self::short($on));
    }

    /** @param  string  $on  what it will lie on */
    public static function cap(string $on, float $mm): Message
    {
        return Message::of('steps.text.cap.felt', deep: self::deep($mm), onto: self::short($on));
    }

    /** @param  string  $on  what it will lie on */
    public static function capCover(string $on): Message
    {
        return Message::of('steps.text.cover.cap', onto: self::short($on));
    }

    /** @param  string  $on  what it is wrapped round */
    public static function wrapped(string $on, float $mm): Message
    {
        return Message::of('steps.text.cap.wrapped', deep: self::deep($mm), onto: self::short($on));
    }

    private static function deep(float $mm): Amount
    {
        return Amount::mm(max(1.0, $mm));
    }

    /** A name that leaves a sentence readable. */
    private static function short(string $name): Said
    {
        return count(explode(' ', $name)) > 3 ? Message::of('steps.part-below') : new Name($name);
    }

    public static function detail(Detail $detail): Message
    {
        return Message::of('steps.text.detail.'.match (true) {
            $detail->method !== Method::Felt => $detail->method->value,
            $detail->drawn->kind === DetailKind::Line => 'line',
            default => 'spot',
        });
    }

    public static function join(Part $part): Message
    {
        return Message::of('steps.text.join.'.$part->join->by->value);
    }

    private static function leavesFluff(Part $part): bool
    {
        return $part->isJoined() && in_array($part->join->by, [JoinBy::Fluff, JoinBy::Slit], true);
    }
}
