<?php

declare(strict_types=1);

namespace Impa\Figure\Document;

use Impa\Voice\Message;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use RuntimeException;
use stdClass;

/** The form of a figure document, by formats/impa-figure-2.schema.json, its faults in plain words. */
final class FigureForm
{
    private const SCHEMA = __DIR__.'/../../../../formats/impa-figure-2.schema.json';

    /** A document ends here; a rich figure of 100 parts and 200 details takes a tenth of it. */
    public const MOST_BYTES = 2_000_000;

    private const ID = 'https://impa.invalid/formats/impa-figure-2.schema.json';

    /** More faults than anybody reads at once. */
    private const MOST = 500;

    /** @return list<Fault> */
    public static function faults(stdClass $document): array
    {
        $error = self::validator()->validate($document, self::ID)->error();
        $faults = [];
        if ($error !== null) {
            self::collect($error, $faults);
        }

        return $faults;
    }

    private static function validator(): Validator
    {
        static $validator = null;
        if (! ($validator instanceof Validator)) {
            $schema = json_decode((string) file_get_contents(self::SCHEMA));
            $validator = new Validator(max_errors: self::MOST, stop_at_first_error: false);
            $validator
                ->resolver()
                ?->registerRaw(
                    $schema instanceof stdClass
                        ? self::writtenOut($schema, $schema)
                        : throw new RuntimeException('The figure schema is missing: '.self::SCHEMA),
                    self::ID,
                );
        }

        return $validator;
    }

    /**
     * A schema with every reference into its own $defs replaced by what is there: the validator then takes a third less
     * time, in every request.
     */
    private static function writtenOut(stdClass $schema, stdClass $whole): stdClass
    {
        if (isset($schema->{'$ref'})) {
            return self::writtenOut($whole->{'$defs'}->{basename($schema->{'$ref'})}, $whole);
        }
        $inner = static fn (mixed $value): mixed => $value instanceof stdClass ? self::writtenOut($value, $whole) : $value;
        $out = new stdClass();
        foreach (get_object_vars($schema) as $name => $value) {
            if ($name !== '$defs') {
                $out->{$name} = is_array($value) ? array_map($inner, $value) : $inner($value);
            }
        }

        return $out;
    }

    /** @param  list<Fault>  $faults */
    private static function collect(ValidationError $error, array &$faults): void
    {
        // Of several forms none of which fits, the choice is told, not every form's own complaint.
        if ($error->subErrors() !== [] && $error->keyword() !== 'anyOf') {
            foreach ($error->subErrors() as $inner) {
                self::collect($inner, $faults);
            }

            return;
        }
        $path = array_values(array_filter($error->data()->fullPath(), static fn (mixed $s): bool => is_int($s) || is_string($s)));
        if ($error->keyword() !== 'required') {
            $faults[] = Fault::at($path, self::words($error));
        }
        foreach ($error->keyword() === 'required' ? self::strings($error->args()['missing'] ?? []) : [] as $missing) {
            $faults[] = Fault::at([...$path, $missing], Message::of('figure.figure-form.this-is-missing'));
        }
    }

    private static function words(ValidationError $error): Message
    {
        $args = $error->args();
        $given = self::given($error->data()->value());
        $schema = $error->schema()->info()->data();
        [$least, $most] = [self::given($args['min'] ?? null), self::given($args['max'] ?? null)];
        [$wanted, $type] = [self::given($schema->const ?? null), self::type($args['expected'] ?? '')];

        return match ($error->keyword()) {
            'type' => Message::of('figure.figure-form.this-must-be-not', type: $type, given: $given),
            'enum' => Message::of(
                'figure.figure-form.this-must-be-one',
                list: implode(', ', self::strings($schema->enum ?? [])),
                given: $given,
            ),
            'const' => Message::of('figure.figure-form.this-must-be-not-2', wanted: $wanted, given: $given),
            'minimum' => Message::of('figure.figure-form.this-must-be', least: $least, given: $given),
            'exclusiveMinimum' => Message::of('figure.figure-form.this-must-be-more', least: $least, given: $given),
            'maximum' => Message::of('figure.figure-form.this-must-be-2', most: $most, given: $given),
            'minItems' => Message::of('figure.figure-form.there-must-be', least: $least),
            'maxItems' => Message::of('figure.figure-form.there-can-be', most: $most),
            'minLength' => Message::of('figure.figure-form.this-must-not-be'),
            'maxLength' => Message::of('figure.figure-form.this-is-too-long', most: $most),
            'pattern' => str_starts_with(self::string($args['pattern'] ?? ''), '^#')
                ? Message::of('figure.figure-form.this-must-be-3', given: $given)
                : Message::of('figure.figure-form.this-must-be-4', given: $given),
            'anyOf' => Message::of('figure.figure-form.this-must-be-disc'),
            default => Message::of('figure.figure-form.this-does-not-fit', keyword: $error->keyword()),
        };
    }

    /** The types of JSON Schema, in words. */
    private static function type(mixed $type): Message|string
    {
        return in_array($type, ['object', 'array', 'string', 'number', 'integer', 'boolean'], true)
            ? Message::of('figure.type.'.$type)
            : self::string($type);
    }

    private static function given(mixed $value): Message|string
    {
        return match (true) {
            is_string($value) => Message::of('figure.quoted', text: mb_strimwidth($value, 0, 40, '...')),
            is_int($value), is_float($value) => (string) $value,
            is_bool($value) => $value ? 'true' : 'false',
            is_array($value) => Message::of('figure.type.array'),
            $value === null => Message::of('figure.type.null'),
            default => Message::of('figure.type.object'),
        };
    }

    private static function string(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }

    /** @return list<string> */
    private static function strings(mixed $values): array
    {
        return array_values(array_filter(is_array($values) ? $values : [], 'is_string'));
    }
}
