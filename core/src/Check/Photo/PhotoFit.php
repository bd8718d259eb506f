<?php

declare(strict_types=1);

namespace Impa\Check\Photo;

/** How a photo lies over its plan. Immutable. */
final readonly class PhotoFit
{
    /**
     * @param  float  $overlap  of what stands on the photo with the plan, intersection over union
     * @param  float  $explained  and with the pieces as they were found
     * @param  float  $ownPerPx  pixels of the photo as it came, for one that is looked at
     * @param  'sheet'|'ruler'|'part'|'figure'  $scaledBy
     */
    public function __construct(
        public PhotoPose $pose,
        public float $overlap,
        public float $explained,
        public float $ownPerPx,
        public string $scaledBy,
    ) {
    }
}
