<?php

declare(strict_types=1);

namespace Impa\Figure\Member;

use Impa\Figure\Term\FaceSchool;
use Impa\Figure\Term\PlateSchool;

/** The ways of working that a figure follows as a whole. Immutable. */
final readonly class School
{
    public function __construct(
        public FaceSchool $face,
        public PlateSchool $plates,
    ) {
    }
}
