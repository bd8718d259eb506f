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
    private const PIECES = 20;

    private const ON_PIECES = 30;

    /** What is joined to the face itself, ears or a hat, shows where the face has to go. */
    private const ONTO_FACE = 40;

    private const FACE = 50;

    private const LIMBS = 60;

    private const AFTER_LIMBS = 70;

    /** Wings and other flat pieces are in the way of everything. */
    private const FLAT_LAST = 65;

    /** @param  string  $face  key of the part that bears the face */
    public static function of(Figure $figure, Step $step, string $face): int
    {
        return match ($step->kind) {
            StepKind::Mix => -5,
            StepKind::Portion => 0,
            StepKind::Wire => 5,
            StepKind::Core => 10,
            // A wire that is glued in is a whisker or a handle: it comes last.
            StepKind::Thread => $step->waitMinutes > 0.0 ? 85 : 15,
            StepKind::Weight, StepKind::Loop, StepKind::Cover, StepKind::Felt, StepKind::Cut, StepKind::Compare => self::PIECES,
            StepKind::Covering => $figure->parts[$step->part]->covering->way->replacesCover() ? self::PIECES : 80,
            StepKind::Mark, StepKind::Detail => self::laying($figure, $step->part, $face),
            StepKind::Slit, StepKind::Join, StepKind::Hide => self::joining($figure, $step->part, $face),
            StepKind::Press, StepKind::Stitch => self::FLAT_LAST,
            StepKind::Open => 75,
            StepKind::Ribbon => 88,
            StepKind::Flatten, StepKind::Trim => 90,
            StepKind::Inspect => 100,
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
            $part->joinTo === $face, $key === $face && $part->faceSchool === FaceSchool::FaceFirst => self::ONTO_FACE,
            $part->solid->kind()->isFlat() => self::FLAT_LAST,
            default => self::LIMBS,
        };
    }
}
