<?php

declare(strict_types=1);

namespace Impa\Figure;

use stdClass;

/** Finds every fault of a figure document at once: first its form, by the schema, then its meaning. */
final class FigureCheck
{
    /**
     * @param  mixed  $document  decoded JSON, objects as stdClass
     * @return list<Fault>
     */
    public static function faults(mixed $document): array
    {
        if (! $document instanceof stdClass) {
            return [Fault::at([], 'This must be an object: { "format": "impa-figure", ... }.')];
        }
        $faults = FigureForm::faults($document);
        $wrong = array_map(static fn (Fault $f): string => $f->pointer, $faults);
        foreach (FigureMeaning::faults($document) as $fault) {
            // What has the wrong form already, itself or inside, is not told twice.
            if (array_filter($wrong, static fn (string $at): bool => $at === $fault->pointer || str_starts_with($at, $fault->pointer.'/')) === []) {
                $faults[] = $fault;
            }
        }

        return $faults;
    }
}
