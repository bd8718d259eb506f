<?php

declare(strict_types=1);

namespace Impa\Figure\Document;

use Impa\Figure\Upgrade\Upgrade;
use Impa\Voice\Message;
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
        if (! ($document instanceof stdClass)) {
            return [Fault::at([], Message::of('figure.figure-check.this-must-be'))];
        }
        $document = Upgrade::newest($document);
        if (is_int($document->version ?? null) && $document->version > Upgrade::VERSION) {
            return [Fault::at(['version'], Message::of('figure.figure-check.this-document', version: $document->version))];
        }
        $faults = [...FigureForm::faults($document), ...self::endless($document)];
        $wrong = array_map(static fn (Fault $f): string => $f->pointer, $faults);
        foreach (FigureMeaning::faults($document) as $fault) {
            // What has the wrong form already, itself or inside, is not told twice.
            if (
                array_filter(
                    $wrong,
                    static fn (string $at): bool => $at === $fault->pointer || str_starts_with($at, $fault->pointer.'/'),
                ) === []
            ) {
                $faults[] = $fault;
            }
        }

        return $faults;
    }

    /**
     * Numbers that no text can hold again, such as 1e400, wherever they stand; names and texts that hide control characters are
     * told by the form.
     *
     * @param  list<int|string>  $path
     * @return list<Fault>
     */
    private static function endless(mixed $value, array $path = []): array
    {
        if (is_float($value)) {
            return is_finite($value) ? [] : [Fault::at($path, Message::of('figure.figure-check.this-number-is-too'))];
        }
        $faults = [];
        foreach ($value instanceof stdClass ? get_object_vars($value) : (is_array($value) ? $value : []) as $name => $inner) {
            if (is_float($inner) ? ! is_finite($inner) : is_array($inner) || $inner instanceof stdClass) {
                array_push($faults, ...self::endless($inner, [...$path, $name]));
            }
        }

        return $faults;
    }
}
