<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Figure\FigureReader;
use Impa\Figure\Term\DetailRole;
use Impa\Figure\Term\FaceSchool;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Term\Method;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Material\Firmness;
use Impa\Material\Pace;
use Impa\Material\Preparation;
use Impa\Shape\Outline;
use Impa\Shape\ShapeKind;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Table\WoolEntry;
use Impa\Voice\Message;

/** What every screen must know of the trade before it shows a figure: choices with their words and reasons, and what is usual. */
final class Trade
{
    /** Advice that can be set aside, since it is meant so: by the codes of lang/, plan.meant. */
    private const MEANT = ['uneven', 'aside', 'sparks', 'as-light', 'low-contrast', 'too-small', 'not-sold'];

    /** @return array<string, mixed> each choice as its value and the words for it */
    public static function document(): array
    {
        $values = static fn (string $code, array $values): array => array_map(
            static fn (string $value): array => ['value' => $value, 'title' => Message::of($code.$value)],
            $values,
        );

        return [
            'kinds' => array_map(
                static fn (ShapeKind $k): array => [
                    'value' => $k->value,
                    'title' => Message::of('shape.kind.'.$k->value),
                    'isFlat' => $k->isFlat(),
                ],
                ShapeKind::cases(),
            ),
            'outlines' => $values('shape.outline.', Outline::NAMES),
            'firmnesses' => $values('material.firmness.', array_column(Firmness::cases(), 'value')),
            'cores' => array_map(
                static fn (CoreMaterial $c): array => ['value' => $c->value, 'title' => $c->word()],
                CoreMaterial::cases(),
            ),
            'joins' => $values('figure.join.', array_column(JoinBy::cases(), 'value')),
            'methods' => $values('figure.method.', array_column(Method::cases(), 'value')),
            'roles' => array_map(static fn (DetailRole $r): array => ['value' => $r->value, 'title' => $r->word()], DetailRole::cases()),
            'coverings' => array_map(
                static fn (CoveringWay $w): array => ['value' => $w->value, 'title' => $w->label(), 'fields' => $w->fields()],
                CoveringWay::cases(),
            ),
            'schools' => array_map(
                static fn (FaceSchool $s): array => ['value' => $s->value, 'title' => $s->title(), 'reason' => $s->reason()],
                FaceSchool::cases(),
            ),
            'reserves' => array_map(
                static fn (Reserve $r): array => ['value' => $r->value, 'title' => $r->title(), 'why' => $r->odds()],
                Reserve::cases(),
            ),
            'preparations' => array_map(
                static fn (Preparation $p): array => [
                    'value' => $p->value,
                    'title' => Message::of('material.preparation.'.str_replace(' ', '-', $p->value)),
                    'material' => WoolEntry::usualMaterial($p),
                ],
                Preparation::cases(),
            ),
            'meant' => array_combine(
                self::MEANT,
                array_map(static fn (string $code): Message => Message::of('plan.meant.'.$code), self::MEANT),
            ),
            'usual' => [
                'core' => CoreMaterial::CoreWool->value,
                'firmness' => Firmness::Springy->value,
                'coverMm' => FigureReader::COVER_MM,
                'school' => FaceSchool::LooseHead->value,
            ],
            'words' => array_map(static fn (TradeWord $w): array => $w->document(), TradeWord::all()),
            'rest' => ['afterMinutes' => Pace::REST_AFTER, 'minutes' => Pace::REST],
        ];
    }
}
