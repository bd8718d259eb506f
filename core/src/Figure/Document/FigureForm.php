<?php

declare(strict_types=1);

namespace Impa\Figure\Document;

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
            $faults[] = Fault::at([...$path, $missing], 'This is missing.');
        }
    }

    private static function words(ValidationError $error): string
    {
        $args = $error->args();
        $given = self::given($error->data()->value());
        $schema = $error->schema()->info()->data();

        return match ($error->keyword()) {
            'type' => sprintf('This must be %s, not %s.', self::type($args['expected'] ?? ''), $given),
            'enum' => sprintf('This must be one of %s, not %s.', implode(', ', self::strings($schema->enum ?? [])), $given),
            'const' => sprintf('This must be %s, not %s.', self::given($schema->const ?? null), $given),
            'minimum' => sprintf('This must be at least %s, not %s.', self::given($args['min'] ?? null), $given),
            'exclusiveMinimum' => sprintf('This must be more than %s, not %s.', self::given($args['min'] ?? null), $given),
            'maximum' => sprintf('This must be at most %s, not %s.', self::given($args['max'] ?? null), $given),
            'minItems' => sprintf('There must be at least %s here.', self::given($args['min'] ?? null)),
            'maxItems' => sprintf('There can be at most %s here.', self::given($args['max'] ?? null)),
            'minLength' => 'This must not be empty.',
            'maxLength' => sprintf('This is too long: at most %s letters.', self::given($args['max'] ?? null)),
            'pattern' => str_starts_with(self::string($args['pattern'] ?? ''), '^#')
                ? sprintf('This must be a colour like #2f8f86, not %s.', $given)
                : sprintf('This must be a key of letters, digits, ".", "_" or "-", not %s.', $given),
            'anyOf' => 'This must be disc, triangle, leaf, heart, rectangle, or a list of at least three points [x, y].',
            default => sprintf('This does not fit (%s).', $error->keyword()),
        };
    }

    private static function type(mixed $type): string
    {
        $names = [
            'object' => 'an object',
            'array' => 'a list',
            'string' => 'a text',
            'number' => 'a number',
            'integer' => 'a whole number',
            'boolean' => 'true or false',
        ];

        return $names[self::string($type)] ?? self::string($type);
    }

    private static function given(mixed $value): string
    {
        return match (true) {
            is_string($value) => '"'.mb_strimwidth($value, 0, 40, '...').'"',
            is_int($value), is_float($value) => (string) $value,
            is_bool($value) => $value ? 'true' : 'false',
            is_array($value) => 'a list',
            $value === null => 'nothing',
            default => 'an object',
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
