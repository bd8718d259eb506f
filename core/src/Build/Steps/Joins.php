<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Figure\Member\Subject;
use Impa\Figure\Part;
use Impa\Figure\Term\JoinBy;
use Impa\Material\Pace;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** The steps that join a part to another: the slit it wants, the join, and its seam hidden. Immutable. */
final readonly class Joins
{
    public function __construct(private Figure $figure, private Needles $needles)
    {
    }

    /** @return list<Step> */
    public function of(Part $part): array
    {
        if (! $part->isJoined()) {
            return [];
        }
        $to = $this->figure->parts[$part->join->to];
        $isSteamed = Making::isSteamed($this->figure, $part);
        $isBentDry = ! $isSteamed && Making::isThinPlate($this->figure, $part);
        $after = [$isSteamed ? 'steam:'.$part->key : Steps::made($part), Steps::made($to)];
        $steps = [];
        if ($part->join->by === JoinBy::Slit) {
            $steps[] = new Step(
                key: 'slit:'.$part->key,
                kind: StepKind::Slit,
                title: Message::of('steps.title.slit', onto: new Name($to->name), part: new Name($part->name)),
                text: Message::of('steps.text.slit'),
                time: StepTime::usual($part->count(), Pace::SLIT),
                about: new Subject($part->key),
                order: new StepOrder($after),
            );
            $after = ['slit:'.$part->key];
        }
        $isStabbed = ! in_array($part->join->by, [JoinBy::Sew, JoinBy::Glue], true);
        $steps[] = new Step(
            key: 'join:'.$part->key,
            kind: StepKind::Join,
            title: Message::of('steps.title.join', part: new Name($part->name), onto: new Name($to->name)),
            text: $isBentDry
                ? Message::of('steps.two', first: StepWords::join($part), then: Message::of('steps.text.bend'))
                : StepWords::join($part),
            time: StepTime::usual($part->count(), Pace::JOIN, $part->join->by === JoinBy::Glue ? Pace::DRYING : 0.0),
            about: new Subject($part->key, colour: $part->colour),
            order: new StepOrder($after),
            uses: new StepUses(
                match (true) {
                    ! $isStabbed => null,
                    $part->join->by === JoinBy::Wrap => NeedleChoice::surface()->from($this->needles),
                    default => NeedleChoice::joining($to->solid->thinnestMm() / 2)->from($this->needles),
                },
            ),
        );
        $steps[] = new Step(
            key: 'hide:'.$part->key,
            kind: StepKind::Hide,
            title: Message::of('steps.title.hide', part: new Name($part->name)),
            text: Message::of('steps.text.hide'),
            time: StepTime::usual($part->count(), Pace::HIDE),
            about: new Subject($part->key, colour: $part->colour),
            order: new StepOrder(['join:'.$part->key]),
            uses: new StepUses(NeedleChoice::surface()->from($this->needles)),
        );

        return $steps;
    }
}
