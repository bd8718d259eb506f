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

/** What every screen must know of the trade before it shows a figure: choices with their words and reasons, and what is usual. */
final class Trade
{
    /** What is meant so where a piece of advice was set aside, by its code. */
    private const MEANT = [
        'uneven' => 'not level with the other',
        'aside' => 'beside the middle line',
        'sparks' => 'sparks to either side',
        'as-light' => 'as light as its ground',
        'low-contrast' => 'close to its ground in colour',
        'too-small' => 'so small',
        'not-sold' => 'in a size that is not sold',
    ];

    /** @return array<string, mixed> each choice as its value and the words for it */
    public static function document(): array
    {
        $values = static fn (array $cases): array => array_map(
            static fn (string $value): array => ['value' => $value, 'title' => $value],
            array_map(static fn (\BackedEnum $case): string => (string) $case->value, $cases),
        );

        return [
            'kinds' => array_map(
                static fn (ShapeKind $k): array => ['value' => $k->value, 'title' => $k->value, 'isFlat' => $k->isFlat()],
                ShapeKind::cases(),
            ),
            'outlines' => array_map(static fn (string $name): array => ['value' => $name, 'title' => $name], Outline::NAMES),
            'firmnesses' => $values(Firmness::cases()),
            'cores' => array_map(
                static fn (CoreMaterial $c): array => ['value' => $c->value, 'title' => $c->word()],
                CoreMaterial::cases(),
            ),
            'joins' => $values(JoinBy::cases()),
            'methods' => $values(Method::cases()),
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
                    'title' => $p->value,
                    'material' => WoolEntry::usualMaterial($p),
                ],
                Preparation::cases(),
            ),
            'meant' => self::MEANT,
            'usual' => [
                'core' => CoreMaterial::CoreWool->value,
                'firmness' => Firmness::Springy->value,
                'coverMm' => FigureReader::COVER_MM,
                'school' => FaceSchool::LooseHead->value,
            ],
            'rest' => ['afterMinutes' => Pace::REST_AFTER, 'minutes' => Pace::REST],
        ];
    }
}
