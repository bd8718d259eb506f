<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Figure\Document\Fault;
use Impa\Figure\Document\FigureCheck;
use Impa\Figure\Document\FigureForm;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Member\School;
use Impa\Figure\Term\Pose;
use Impa\Figure\Upgrade\Upgrade;
use Impa\Shape\ShapeRefused;
use Impa\Voice\Message;
use JsonException;
use stdClass;
use Throwable;

/**
 * A figure, read from an impa-figure document of any version and found whole. The document itself is kept in its newest form, members
 * unknown to us included. Immutable.
 */
final readonly class Figure
{
    /**
     * @param  array<string, Colour>  $colours  by key
     * @param  array<string, Part>  $parts  by key
     * @param  array<string, Detail>  $details  by key
     * @param  array<string, Wire>  $wires  by key
     * @param  Base  $base  what was done to it so that it stands
     * @param  FlatWork  $flat  how it is made where it is a figure of layers
     * @param  list<Pull>  $pulls  what the felter chose about the order of the work
     * @param  ?Picture  $picture  none where the figure was made without a drawing
     */
    private function __construct(
        private stdClass $document,
        public string $name,
        public float $heightMm,
        public Pose $pose,
        public School $school,
        public array $colours,
        public array $parts,
        public array $details,
        public array $wires,
        public Base $base,
        public FlatWork $flat,
        public array $pulls,
        public ?Picture $picture,
    ) {
    }

    /** @throws FigureRefused with every fault of the text */
    public static function fromJson(string $json): self
    {
        if (strlen($json) > FigureForm::MOST_BYTES) {
            throw FigureRefused::tooLarge(strlen($json));
        }
        try {
            $document = json_decode($json, false, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw FigureRefused::notJson($e->getMessage());
        }

        return self::fromDocument($document);
    }

    /**
     * @param  mixed  $document  decoded JSON, objects as stdClass
     *
     * @throws FigureRefused with every fault of the document
     */
    public static function fromDocument(mixed $document): self
    {
        $document = $document instanceof stdClass ? Upgrade::newest($document) : $document;
        $faults = FigureCheck::faults($document);
        if ($faults !== [] || ! ($document instanceof stdClass)) {
            throw FigureRefused::forFaults($faults === [] ? [Fault::at([], Message::of('figure.figure.the-document-must-be'))] : $faults);
        }

        return self::read($document);
    }

    /**
     * A text that was found whole when it was kept: it is not looked through once more, which takes longer than reading it.
     *
     * @throws FigureRefused with every fault, where it is not what was kept
     */
    public static function kept(string $json): self
    {
        try {
            $document = Upgrade::read($json);

            return $document === null ? self::fromJson($json) : self::read($document);
        } catch (Throwable) {
            return self::fromJson($json);
        }
    }

    /** @throws FigureRefused where a shape cannot be felted */
    private static function read(stdClass $document): self
    {
        try {
            $reader = FigureReader::of($document);

            return new self(
                document: $document,
                name: $reader->name(),
                heightMm: $reader->heightMm(),
                pose: $reader->pose(),
                school: $reader->school(),
                colours: $reader->colours(),
                parts: $reader->parts(),
                details: $reader->details(),
                wires: $reader->wires(),
                base: $reader->base(),
                flat: $reader->flat(),
                pulls: $reader->pulls(),
                picture: $reader->picture(),
            );
        } catch (ShapeRefused $e) {
            throw FigureRefused::forFaults([Fault::at([], $e->why)]);
        }
    }

    /** The same under another name and in other colours, by a document that differs in nothing else. */
    public function recoloured(stdClass $document): self
    {
        $reader = FigureReader::of($document);

        return new self(
            document: $document,
            name: $reader->name(),
            heightMm: $this->heightMm,
            pose: $this->pose,
            school: $this->school,
            colours: $reader->colours(),
            parts: $this->parts,
            details: $this->details,
            wires: $this->wires,
            base: $this->base,
            flat: $this->flat,
            pulls: $this->pulls,
            picture: $this->picture,
        );
    }

    /** One piece of a part alone, with what lies on it; to be looked at, not to be stored. */
    public function onlyPiece(string $key): self
    {
        return $this->only(array_map(static fn (Part $part): Part => $part->single(), array_intersect_key($this->parts, [$key => true])));
    }

    /** One part alone, with what lies on it; to be looked at, not to be stored. */
    public function onlyPart(string $key): self
    {
        return $this->only(array_intersect_key($this->parts, [$key => true]));
    }

    /** @param  array<string, Part>  $parts */
    private function only(array $parts): self
    {
        return new self(
            document: $this->document,
            name: $this->name,
            heightMm: $this->heightMm,
            pose: $this->pose,
            school: $this->school,
            colours: $this->colours,
            parts: $parts,
            details: array_filter($this->details, static fn (Detail $d): bool => isset($parts[$d->on])),
            wires: [],
            base: new Base,
            flat: new FlatWork,
            pulls: [],
            picture: null,
        );
    }

    /** A copy of the document, every member as it came. */
    public function document(): stdClass
    {
        $copy = json_decode($this->toJson(), false);

        return $copy instanceof stdClass ? $copy : new stdClass();
    }

    public function toJson(): string
    {
        return json_encode(
            $this->document,
            JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        );
    }

    /** Whether it is made of layers on a ground, and has any. */
    public function isOfLayers(): bool
    {
        return $this->flat->isFlat() && array_filter($this->parts, static fn (Part $p): bool => $p->solid->kind()->isFlat()) !== [];
    }

    /** @return non-empty-list<string> a part and all that is joined to it, near and far, each before what is joined to it */
    public function branchOf(string $key): array
    {
        $branch = [$key];
        for ($i = 0; $i < count($branch); $i++) {
            foreach ($this->parts as $other => $part) {
                if ($part->join->to === $branch[$i]) {
                    $branch[] = (string) $other;
                }
            }
        }

        return $branch;
    }

    /** How many pieces of a detail are made: one for each piece of its part, twice where it has a twin itself. */
    public function pieces(Detail $detail): int
    {
        return ($detail->lie->mirror ? 2 : 1) * $this->parts[$detail->on]->count();
    }

    /** @return list<Detail> the details on a part, lowest layer first */
    public function detailsOn(string $part): array
    {
        $on = array_values(array_filter($this->details, static fn (Detail $d): bool => $d->on === $part));
        usort($on, static fn (Detail $a, Detail $b): int => $a->lie->layer <=> $b->lie->layer);

        return $on;
    }
}
