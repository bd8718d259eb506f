<?php

declare(strict_types=1);

namespace Impa\Build\Technique;

use Impa\Armature\Passage;
use Impa\Armature\Skeleton;
use Impa\Build\Steps\Making;
use Impa\Figure\Detail;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Term\FaceSchool;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Term\Method;
use Impa\Figure\Term\PlateSchool;
use Impa\Figure\Wire;
use Impa\Material\CoreMaterial;
use Impa\Material\WireMaterial;
use Impa\Voice\Amount;
use Impa\Voice\Message;

/**
 * The questions on which felters differ, the schools that answer them with their reasons, and a figure that follows another one
 * (docs/trade.md, Schools).
 *
 * @phpstan-type Option array{value: string, title: Message, reason: Message}
 * @phpstan-type Question array{question: string, title: Message, options: list<Option>, now: string}
 */
final class TechniqueChoices
{
    /** By the codes of lang/, build.question. */
    private const QUESTIONS = ['face', 'inside', 'join', 'eyes', 'skeleton', 'plates'];

    private const CHOICES = [
        'join' => ['fluff', 'slit'],
        'eyes' => ['felt', 'bead', 'ready-made', 'pin'],
        'skeleton' => [self::NO_SKELETON, 'pipe-cleaner', 'paper-covered', 'steel'],
    ];

    private const NO_SKELETON = 'none';

    /** @return list<Question> each with what the figure follows now: empty where it follows none of them all through */
    public static function of(Figure $figure): array
    {
        $questions = [];
        foreach (self::QUESTIONS as $question) {
            if ($question === 'plates' && ! self::hasThinPlates($figure)) {
                continue;
            }
            $questions[] = [
                'question' => $question,
                'title' => Message::of('build.question.'.$question),
                'options' => self::options($question),
                'now' => self::now($figure, $question),
            ];
        }

        return $questions;
    }

    /**
     * The figure's document after another school. A part that goes its own way keeps to it, except where that way is one of the two
     * that are asked about.
     *
     * @throws TechniqueRefused if there is no such question, no such answer to it, or no limb for a wire
     */
    public static function chosen(Figure $figure, string $question, string $value): Figure
    {
        if (! in_array($question, self::QUESTIONS, true)) {
            throw TechniqueRefused::unknown($question, self::QUESTIONS);
        }
        self::option($question, $value);
        if ($question === 'skeleton') {
            return Choices::wired($figure, self::wires($figure, $value));
        }

        return match ($question) {
            'face' => Choices::school($figure, FaceSchool::from($value)),
            'plates' => Choices::plates($figure, PlateSchool::from($value)),
            'inside' => Choices::filled($figure, CoreMaterial::from($value)),
            'join' => Choices::joinedBy($figure, JoinBy::from($value), [JoinBy::Fluff, JoinBy::Slit]),
            default => Choices::madeBy($figure, array_column(self::eyesOf($figure), 'key'), Method::from($value)),
        };
    }

    /**
     * @return Option
     *
     * @throws TechniqueRefused if there is no such answer
     */
    public static function option(string $question, string $value): array
    {
        foreach (self::options($question) as $option) {
            if ($option['value'] === $value) {
                return $option;
            }
        }
        throw TechniqueRefused::unknown($value, array_column(self::options($question), 'value'));
    }

    /** @return list<Option> */
    private static function options(string $question): array
    {
        $option = static fn (string $value, Message $title, Message $reason): array => [
            'value' => $value,
            'title' => $title,
            'reason' => $reason,
        ];

        return match ($question) {
            'face' => array_map(
                static fn (FaceSchool $s): array => $option($s->value, $s->title(), $s->reason()),
                FaceSchool::cases(),
            ),
            'plates' => array_map(
                static fn (PlateSchool $s): array => $option($s->value, $s->title(), $s->reason()),
                PlateSchool::cases(),
            ),
            'inside' => array_map(
                static fn (CoreMaterial $c): array => $option($c->value, $c->word(), self::filling($c)),
                CoreMaterial::cases(),
            ),
            default => array_map(
                static fn (string $value): array => $option(
                    $value,
                    Message::of("build.choice.$question.$value.is"),
                    Message::of("build.choice.$question.$value.why"),
                ),
                self::CHOICES[$question] ?? [],
            ),
        };
    }

    private static function filling(CoreMaterial $core): Message
    {
        return Message::of('build.filling.'.$core->value, from: Amount::mm(CoreMaterial::SOLID_BELOW_MM));
    }

    private static function now(Figure $figure, string $question): string
    {
        $parts = array_values($figure->parts);
        $answers = array_values(array_unique(match ($question) {
            'face' => [$figure->school->face->value],
            'plates' => [$figure->school->plates->value],
            'inside' => array_map(static fn (Part $p): string => $p->made->core->value, $parts),
            'join' => array_map(static fn (Part $p): string => $p->join->by->value, array_filter($parts, self::isAsked(...))),
            'eyes' => array_map(static fn (Detail $d): string => $d->method->value, self::eyesOf($figure)),
            default => self::materials($figure),
        }));
        $known = array_column(self::options($question), 'value');

        return count($answers) === 1 && in_array($answers[0], $known, true) ? $answers[0] : '';
    }

    private static function hasThinPlates(Figure $figure): bool
    {
        return array_filter($figure->parts, static fn (Part $p): bool => Making::isThinPlate($figure, $p)) !== [];
    }

    /** Whether a part is joined in one of the ways that are asked about. */
    private static function isAsked(Part $part): bool
    {
        return $part->isJoined() && in_array($part->join->by, [JoinBy::Fluff, JoinBy::Slit], true);
    }

    /** @return non-empty-list<string> what the wires along its limbs are made of */
    private static function materials(Figure $figure): array
    {
        $materials = [];
        foreach (Passage::all($figure) as $passage) {
            if (! $passage->isLoose()) {
                $materials[] = $passage->wire->material->value;
            }
        }

        return $materials === [] ? [self::NO_SKELETON] : $materials;
    }

    /** @return list<Detail> */
    private static function eyesOf(Figure $figure): array
    {
        return array_values(array_filter($figure->details, static fn (Detail $d): bool => $d->meaning->role->isEye()));
    }

    /** @return list<Wire> the loose wires as they are, and along the limbs none, or such as were asked for */
    private static function wires(Figure $figure, string $material): array
    {
        $loose = $limbs = [];
        foreach (Passage::all($figure) as $passage) {
            if ($passage->isLoose()) {
                $loose[] = $passage->wire;
            } else {
                $limbs[] = $passage->wire;
            }
        }
        if ($material === self::NO_SKELETON) {
            return $loose;
        }
        $made = WireMaterial::from($material);
        $limbs = $limbs === [] ? array_values(Skeleton::of(Choices::wired($figure, []), true)) : $limbs;
        if ($limbs === []) {
            throw TechniqueRefused::noLimb();
        }

        return [...array_map(static fn (Wire $wire): Wire => $wire->of($made), $limbs), ...$loose];
    }
}
