<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

use stdClass;

/**
 * Random figure documents made from the schema itself: every member that it names comes up, with ordinary and extreme values, alone and
 * with others. What one names of another is there, so that most of them pass the check.
 */
final class AnyFigure
{
    private const ORDINARY_MM = 60.0;

    private static ?stdClass $schema = null;

    private function __construct(private readonly int $most, private readonly float $extreme)
    {
    }

    /**
     * @param  int  $most  members of a list at most
     * @param  float  $extreme  share of numbers at the ends of their range
     */
    public static function of(int $seed, int $most = 4, float $extreme = 0.1): stdClass
    {
        mt_srand($seed);
        $any = new self($most, $extreme);
        $document = $any->make(self::schema());
        assert($document instanceof stdClass);

        return $any->knitted($document);
    }

    private static function schema(): stdClass
    {
        return self::$schema ??= json_decode((string) file_get_contents(__DIR__.'/../../../formats/impa-figure-2.schema.json'));
    }

    private function chance(float $share): bool
    {
        return mt_rand() / mt_getrandmax() < $share;
    }

    private function make(stdClass $of): mixed
    {
        if (isset($of->{'$ref'})) {
            return $this->make(self::schema()->{'$defs'}->{basename($of->{'$ref'})});
        }
        foreach (['anyOf', 'oneOf'] as $choice) {
            if (isset($of->{$choice}) && ! isset($of->properties)) {
                return $this->make($of->{$choice}[mt_rand(0, count($of->{$choice}) - 1)]);
            }
        }
        if (property_exists($of, 'const')) {
            return $of->const;
        }
        if (isset($of->enum)) {
            return $of->enum[mt_rand(0, count($of->enum) - 1)];
        }

        return match ($of->type) {
            'object' => $this->object($of),
            'array' => array_map(fn (): mixed => $this->make($of->items), range(1, $this->count($of))),
            'boolean' => mt_rand(0, 1) === 1,
            'integer' => (int) $this->number($of),
            'number' => round($this->number($of), 3),
            'string' => $this->text($of),
        };
    }

    private function object(stdClass $of): stdClass
    {
        $object = new stdClass;
        $needed = [...$of->required ?? [], ...isset($of->oneOf) ? $of->oneOf[mt_rand(0, count($of->oneOf) - 1)]->required : []];
        $either = array_merge(...array_map(static fn (stdClass $one): array => $one->required, $of->oneOf ?? []));
        foreach (get_object_vars($of->properties ?? new stdClass) as $name => $member) {
            $isNeeded = in_array($name, $needed, true);
            if ($isNeeded || (! in_array($name, $either, true) && $this->chance(0.35))) {
                $object->{$name} = $this->make($member);
            }
        }

        return $object;
    }

    private function count(stdClass $of): int
    {
        $least = $of->minItems ?? 1;

        return mt_rand(max(1, $least), max($least, min($of->maxItems ?? $this->most, $this->most + $least)));
    }

    private function number(stdClass $of): float
    {
        $low = (float) ($of->minimum ?? $of->exclusiveMinimum ?? -self::ORDINARY_MM);
        $high = (float) ($of->maximum ?? self::ORDINARY_MM);
        if ($this->chance($this->extreme)) {
            return [$low + (isset($of->exclusiveMinimum) ? 1e-3 : 0.0), $high, max($low, min($high, 0.0))][mt_rand(0, 2)];
        }
        [$from, $to] = [max($low, -self::ORDINARY_MM), min($high, self::ORDINARY_MM)];

        return max($low + (isset($of->exclusiveMinimum) ? 1e-3 : 0.0), $from + ($to - $from) * mt_rand() / mt_getrandmax());
    }

    private function text(stdClass $of): string
    {
        return match (true) {
            ! isset($of->pattern) => ['Ear', 'arm of Ёж', 'x', 'A long name for a thing', "Tail\u{200D}", '0'][mt_rand(0, 5)],
            str_contains($of->pattern, '#') => sprintf('#%06x', mt_rand(0, 0xFFFFFF)),
            str_contains($of->pattern, '64') && str_contains($of->pattern, 'a-f') => hash('sha256', (string) mt_rand()),
            default => ['a', 'b7', '0', '12', 'ear-left', 'x.y_z'][mt_rand(0, 5)].mt_rand(0, 999),
        };
    }

    /** What is named is there: keys are unique, and colours, parts and steps of this figure. */
    private function knitted(stdClass $document): stdClass
    {
        foreach (['colours', 'parts', 'details', 'wires'] as $list) {
            foreach ($document->{$list} ?? [] as $i => $one) {
                $one->key .= '-'.$i;
            }
        }
        foreach ($document->flat->openings ?? [] as $i => $opening) {
            $opening->key .= '-'.$i;
        }
        $one = static fn (array $of): string => $of[mt_rand(0, count($of) - 1)]->key;
        foreach ($document->parts as $i => $part) {
            $part->colour = $one($document->colours);
            if (isset($part->join)) {
                if ($i === 0) {
                    unset($part->join);
                } else {
                    $part->join->to = $document->parts[mt_rand(0, $i - 1)]->key;
                }
            }
        }
        foreach ($document->details ?? [] as $detail) {
            $detail->colour = $one($document->colours);
            $detail->on = $one($document->parts);
            $detail->widthMm ??= 4.0;
            if ($detail->kind !== 'disc' && count($detail->pointsMm ?? []) < 3) {
                $detail->pointsMm = [[-3, 0], [2, 1], [4, -3]];
            }
            if (isset($detail->widthsMm)) {
                $detail->widthsMm = array_map(static fn (int $k): float => 1.0 + $k % 3, array_keys($detail->pointsMm ?? [0, 1]));
                isset($detail->pointsMm) || $detail->pointsMm = [[0, 0], [4, 1]];
            }
        }
        foreach ($document->wires ?? [] as $wire) {
            isset($wire->wrapped) && $wire->wrapped = $one($document->colours);
        }
        foreach ($document->work->pulled ?? [] as $pull) {
            foreach (['step', 'before', 'after'] as $member) {
                isset($pull->{$member}) && $pull->{$member} = ['cover:', 'core:', 'join:', 'hide:'][mt_rand(0, 3)].$one($document->parts);
            }
        }

        return $document;
    }
}
