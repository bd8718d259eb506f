<?php

declare(strict_types=1);

namespace Impa\Check\Finish;

use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Build\Work;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Term\Finish;
use Impa\Material\CoveringWay;
use Impa\Voice\Amount;
use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Voice\Name;

/**
 * What is left before a figure is finished: steps that were not done, loose ends, needles, small and sharp parts with the warning that
 * belongs with them, and how its skin is finished (docs/trade.md, Cautions).
 *
 * @phpstan-type Left array{kind: string, text: Message, done: bool, safety: bool, look: bool}
 */
final class Closing
{
    /** What only she can see: it is ticked by hand, and the ticks are kept. */
    public const LOOKED_AT = ['wires', 'small-parts', 'trim', 'press', 'stiffen'];

    /**
     * @param  list<string>  $done  keys of the steps that were done
     * @param  int  $tipsMissing  needles that broke, and whose tips were not found
     * @param  list<string>  $looked  kinds of what was looked at
     * @return list<Left> what is not done yet first
     */
    public static function left(Work $work, array $done, int $tipsMissing, array $looked = []): array
    {
        $figure = $work->ledger->figure;
        $open = array_values(array_filter($work->steps, static fn (Step $s): bool => ! in_array($s->key, $done, true)));
        $left = [
            self::one('steps', $open === [] ? Message::of('check.closing.every-step-is-done') : self::steps($open), $open === []),
            self::seams($open),
            self::needles($tipsMissing),
            ...self::wires($figure),
            ...self::small($figure),
            ...self::skin($figure),
        ];
        foreach ($left as $i => $one) {
            $left[$i]['done'] = $one['done'] || ($one['look'] && in_array($one['kind'], $looked, true));
        }
        usort($left, static fn (array $a, array $b): int => [$a['done'], ! $a['safety']] <=> [$b['done'], ! $b['safety']]);

        return $left;
    }

    /** @return Left */
    private static function one(string $kind, Message $text, bool $isDone, bool $isSafety = false): array
    {
        return [
            'kind' => $kind,
            'text' => $text,
            'done' => $isDone,
            'safety' => $isSafety,
            'look' => in_array($kind, self::LOOKED_AT, true),
        ];
    }

    /** @param  non-empty-list<Step>  $open */
    private static function steps(array $open): Message
    {
        $first = array_map(static fn (Step $s): string => '"'.$s->title.'"', array_slice($open, 0, 3));

        return Message::of('check.closing.open', count: count($open), first: implode(', ', $first), more: count($open) - count($first));
    }

    /**
     * @param  list<Step>  $open
     * @return Left
     */
    private static function seams(array $open): array
    {
        $loose = array_filter($open, static fn (Step $s): bool => in_array($s->kind, [StepKind::Join, StepKind::Hide], true));

        return self::one(
            'loose-ends',
            $loose === []
                ? Message::of('check.closing.every-part-is-joined')
                : Message::of('check.closing.loose', count: count($loose)),
            $loose === [],
        );
    }

    /** @return Left */
    private static function needles(int $missing): array
    {
        return self::one('needles', match (true) {
            $missing === 0 => Message::of('check.closing.no-needle-tip'),
            default => Message::of('check.closing.tip', count: $missing),
        }, $missing === 0, isSafety: true);
    }

    /** @return list<Left> */
    private static function wires(Figure $figure): array
    {
        return $figure->wires === []
            ? []
            : [self::one('wires', Message::of('check.closing.wires'), false, isSafety: true)];
    }

    /** @return list<Left> */
    private static function small(Figure $figure): array
    {
        $hard = array_filter($figure->details, static fn (Detail $d): bool => $d->method->isHard());
        $apart = array_filter($figure->parts, static fn (Part $p): bool => ! $p->isJoined() && $p->stand->group !== '');
        $names = array_map(static fn (Detail|Part $m): string => $m->name, [
            ...array_filter($hard, static fn (Detail $d): bool => SmallParts::fits(
                $d->drawn->widthMm,
                $d->drawn->heightMm,
                $d->drawn->widthMm,
            )),
            ...array_filter($apart, static function (Part $p): bool {
                $size = $p->solid->size();

                return SmallParts::fits($size->widthMm, $size->heightMm, $size->depthMm);
            }),
        ]);

        return $names === []
            ? []
            : [self::one('small-parts', Message::of(
                'check.closing.small',
                wide: Amount::exactMm(SmallParts::WIDE_MM),
                names: new Listed(array_map(static fn (string $name): Name => new Name($name), array_values(array_unique($names)))),
            ), false, isSafety: true)];
    }

    /** @return list<Left> how each skin is finished */
    private static function skin(Figure $figure): array
    {
        $smooth = $flat = $stiff = 0;
        foreach ($figure->parts as $part) {
            $smooth += (int) ($part->made->finish === Finish::Smooth);
            $flat += (int) $part->solid->kind()->isFlat();
            $stiff += (int) ($part->made->covering->way === CoveringWay::Film);
        }

        return [
            ...($smooth === 0 ? [] : [self::one('trim', Message::of('check.closing.trim-fuzz-against'), false)]),
            ...($flat === 0 ? [] : [self::one('press', Message::of('check.closing.press-flat-pieces-under'), false)]),
            ...($stiff === 0 ? [] : [self::one('stiffen', Message::of('check.closing.let-stiff-sheets-cool'), false)]),
        ];
    }
}
