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
            // What has the wrong form already is not told twice.
            if (! in_array($fault->pointer, $wrong, true)) {
                $faults[] = $fault;
            }
        }

        return $faults;
    }
}
