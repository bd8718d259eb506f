<?php

declare(strict_types=1);

namespace Impa\Build\Order;

use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Figure\Figure;
use Impa\Figure\Term\FaceSchool;

/**
 * Which kind of work comes first where nothing else decides: the order of the trade, and within it the felter's school
 * (docs/trade.md, The order of the work; Schools).
 */
final class Ranks
{
    private const ON_PIECES = 30;

    /** What is joined to the face itself, ears or a hat, shows where the face has to go. */
    private const ONTO_FACE = 40;

    private const FACE = 50;

    private const LIMBS = 60;

    private const AFTER_LIMBS = 70;

    /** @param  string  $face  key of the part that bears the face */
    public static function of(Figure $figure, Step $step, string $face): int
    {
        return $step->kind->rank() ?? match ($step->kind) {
            // A wire that is glued in is a whisker or a handle: it comes last.
            StepKind::Thread => $step->time->waitMinutes > 0.0 ? 85 : 15,
            StepKind::Covering => $figure->parts[$step->about->part]->made->covering->way->replacesCover() ? StepKind::PIECES : 80,
            StepKind::Mark, StepKind::Detail => self::laying($figure, $step->about->part, $face),
            default => self::joining($figure, $step->about->part, $face),
        };
    }

    private static function laying(Figure $figure, string $part, string $face): int
    {
        $school = $figure->parts[$part]->faceSchool;

        return match (true) {
            $school === FaceSchool::LimbsFirst => self::AFTER_LIMBS,
            $part === $face || $school === FaceSchool::FaceFirst => self::FACE,
            default => self::ON_PIECES,
        };
    }

    private static function joining(Figure $figure, string $key, string $face): int
    {
        $part = $figure->parts[$key];

        return match (true) {
            $part->join->to === $face, $key === $face && $part->faceSchool === FaceSchool::FaceFirst => self::ONTO_FACE,
            $part->solid->kind()->isFlat() => StepKind::FLAT,
            default => self::LIMBS,
        };
    }
}
