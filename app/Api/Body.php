<?php

declare(strict_types=1);

namespace App\Api;

use Illuminate\Http\Request;
use Impa\Colour\Srgb;
use Impa\Figure\Detail;
use Impa\Figure\Document\FigureForm;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Print\Page\Paper;
use Impa\Raster\File\PictureRefused;
use Impa\Seeing\Foreground\BrushStroke;
use Impa\Seeing\SheetView;
use Impa\Seeing\Wishes;
use Impa\Stash\Supply\Reserve;
use Impa\Voice\Message;
use InvalidArgumentException;
use JsonException;
use stdClass;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The body of a request, decoded so that empty objects stay objects. Controllers take it as an argument, as Laravel's own requests. */
final readonly class Body
{
    /** @param  int  $bytes  of the request as it came */
    private function __construct(private stdClass $members, private int $bytes)
    {
    }

    public static function of(Request $request): self
    {
        return self::fromJson((string) $request->getContent());
    }

    public static function fromJson(string $json): self
    {
        try {
            $members = json_decode($json, false, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw new HttpException(400, (string) Message::of('house.body.the-request-is-not'));
        }

        return new self(
            $members instanceof stdClass ? $members : throw new HttpException(400, (string) Message::of('house.body.the-request-must-be')),
            strlen($json),
        );
    }

    /** @throws FigureRefused with every fault of the document */
    public function figure(): Figure
    {
        // What else may come along, such as a line of 2000 points, is small beside a document.
        if ($this->bytes > FigureForm::MOST_BYTES + 100_000) {
            throw FigureRefused::tooLarge($this->bytes);
        }

        return Figure::fromDocument(
            $this->members->document ?? throw new HttpException(422, (string) Message::of('house.body.the-member-document')),
        );
    }

    /**
     * The figure and the part of it that is meant.
     *
     * @return array{Figure, Part}
     *
     * @throws FigureRefused with every fault of the document
     */
    public function part(): array
    {
        $figure = $this->figure();

        return [
            $figure,
            $figure->parts[$this->text('part')] ?? throw new HttpException(422, (string) Message::of('house.refused.no-part')),
        ];
    }

    /**
     * The figure and the detail of it that is meant.
     *
     * @return array{Figure, Detail}
     *
     * @throws FigureRefused with every fault of the document
     */
    public function detail(): array
    {
        $figure = $this->figure();

        return [
            $figure,
            $figure->details[$this->text('detail')] ?? throw new HttpException(422, (string) Message::of('house.refused.no-detail')),
        ];
    }

    /**
     * How a drawing is to be looked at.
     *
     * @param  float  $heightMm  where the request does not say
     *
     * @throws PictureRefused if a wish is out of range
     */
    public function wishes(?float $heightMm = null): Wishes
    {
        return Wishes::of(
            $heightMm === null ? $this->float('heightMm') : $this->floatOr('heightMm', $heightMm),
            $this->floatOr('shades', 0.2),
            $this->intOr('figure', 0) ?? 0,
            $this->floatOr('roundToMm', 0.0),
            BrushStroke::list($this->members->brushes ?? []),
            $this->has('views') ? SheetView::list($this->texts('views')) : [],
            Wishes::way($this->text('flat')),
            $this->flag('keepsUnsure'),
        );
    }

    public function paper(): Paper
    {
        return Paper::tryFrom($this->text('paper', 'a4')) ?? throw new HttpException(
            422,
            (string) Message::of('house.body.the-paper-is-a4'),
        );
    }

    public function reserve(): Reserve
    {
        return Reserve::tryFrom($this->text('reserve', 'usual')) ??
            throw new HttpException(422, (string) Message::of('house.body.the-reserve-is-one'));
    }

    public function has(string $name): bool
    {
        return isset($this->members->{$name});
    }

    /**
     * Numbers by name, up to 40 of them; none where the member is missing.
     *
     * @return array<string, float>
     */
    public function named(string $name): array
    {
        $values = $this->members->{$name} ?? new stdClass();
        $numbers = [];
        foreach ($values instanceof stdClass ? get_object_vars($values) : [] as $key => $value) {
            if ((is_int($value) || is_float($value)) && abs($value) <= self::MOST) {
                $numbers[(string) $key] = (float) $value;
            }
        }

        return $values instanceof stdClass && count($numbers) === count(get_object_vars($values)) && count($numbers) <= 40
            ? $numbers
            : throw new HttpException(422, (string) Message::of('house.body.the-member-must-hold', name: $name));
    }

    public function int(string $name): int
    {
        $value = $this->members->{$name} ?? null;

        return is_int($value) ? $value : throw new HttpException(422, (string) Message::of('house.body.the-member-must-be', name: $name));
    }

    public function intOr(string $name, ?int $usual): ?int
    {
        return isset($this->members->{$name}) ? $this->int($name) : $usual;
    }

    /** A number such as the form of documents knows; nothing that is measured here is larger. */
    private const MOST = 1_000_000;

    public function float(string $name): float
    {
        $value = $this->members->{$name} ?? null;
        if ((is_int($value) || is_float($value)) && abs($value) > self::MOST) {
            throw new HttpException(422, (string) Message::of('house.body.the-member-must-lie', name: $name, most: self::MOST));
        }

        return (is_int($value) || is_float($value)) && is_finite($value)
            ? (float) $value
            : throw new HttpException(422, (string) Message::of('house.body.the-member-must-be-2', name: $name));
    }

    public function text(string $name, string $usual = ''): string
    {
        $value = $this->anyText($name, $usual);

        return str_contains($value, "\0") ? throw self::hidden($name) : $value;
    }

    /** Whatever it holds: at the door what is no address, too, is reckoned as long as any; it is never kept as it comes. */
    public function anyText(string $name, string $usual = ''): string
    {
        $value = $this->members->{$name} ?? $usual;

        return is_string($value) ? $value : throw new HttpException(
            422,
            (string) Message::of('house.body.the-member-must-be-3', name: $name),
        );
    }

    /** A store may cut a text at it. */
    private static function hidden(string $name): HttpException
    {
        return new HttpException(422, (string) Message::of('house.body.the-text-holds', name: $name));
    }

    public function floatOr(string $name, float $usual): float
    {
        return isset($this->members->{$name}) ? $this->float($name) : $usual;
    }

    /** @return list<string> */
    public function texts(string $name, int $most = 200): array
    {
        $values = $this->members->{$name} ?? null;
        if (! is_array($values) || count($values) > $most || array_filter($values, is_string(...)) !== $values) {
            throw new HttpException(422, (string) Message::of('house.body.the-member-must-be-4', name: $name));
        }
        if (str_contains(implode('', $values), "\0")) {
            throw self::hidden($name);
        }

        return array_values($values);
    }

    /**
     * Points in mm, 2 to 2000 of them.
     *
     * @return list<array{float, float}>
     */
    public function points(string $name): array
    {
        $values = $this->members->{$name} ?? null;
        $points = [];
        foreach (is_array($values) && count($values) >= 2 && count($values) <= 2000 ? $values : [] as $value) {
            if (
                is_array($value) &&
                array_is_list($value) &&
                count($value) === 2 &&
                is_numeric($value[0]) &&
                is_numeric($value[1]) &&
                max(abs((float) $value[0]), abs((float) $value[1])) <= 10000
            ) {
                $points[] = [(float) $value[0], (float) $value[1]];
            }
        }
        if ($points === [] || ! is_array($values) || count($points) !== count($values)) {
            throw new HttpException(422, (string) Message::of('house.body.the-member-must-be-5', name: $name));
        }

        return $points;
    }

    /** An object; an empty one where the member is missing. */
    public function object(string $name): stdClass
    {
        $value = $this->members->{$name} ?? new stdClass();

        return $value instanceof stdClass
            ? $value
            : throw new HttpException(422, (string) Message::of('house.body.the-member-must-be-6', name: $name));
    }

    /** @return list<stdClass> up to 40 objects; none where the member is missing */
    public function objects(string $name): array
    {
        $values = $this->members->{$name} ?? [];
        $objects = array_filter(is_array($values) ? $values : [], static fn (mixed $v): bool => $v instanceof stdClass);
        if (! is_array($values) || count($objects) !== count($values) || count($values) > 40) {
            throw new HttpException(422, (string) Message::of('house.body.the-member-must-be-7', name: $name));
        }

        return array_values($objects);
    }

    /** @return array<string, mixed> as they came */
    public function members(): array
    {
        return get_object_vars($this->members);
    }

    public function colour(string $name): Srgb
    {
        try {
            return Srgb::hex($this->text($name));
        } catch (InvalidArgumentException $e) {
            throw new HttpException(422, (string) Message::of('house.body.the-member', name: $name, why: $e->getMessage()));
        }
    }

    /** A number from 0 to 1. */
    public function share(string $name): float
    {
        $value = $this->float($name);

        return $value >= 0.0 && $value <= 1.0
            ? $value
            : throw new HttpException(422, (string) Message::of('house.body.the-member-must-lie-2', name: $name));
    }

    /**
     * A list or an object of up to 60 finite numbers of 0 or more.
     *
     * @return array<int, float>
     */
    public function numbers(string $name): array
    {
        $values = $this->members->{$name} ?? null;
        $numbers = [];
        foreach ($values instanceof stdClass ? get_object_vars($values) : (is_array($values) ? $values : []) as $key => $value) {
            if (
                (is_int($value) || is_float($value)) &&
                is_finite($value) &&
                $value >= 0 &&
                $value <= self::MOST &&
                ctype_digit((string) $key)
            ) {
                $numbers[(int) $key] = (float) $value;
            }
        }
        $count = $values instanceof stdClass ? count(get_object_vars($values)) : (is_array($values) ? count($values) : 0);

        return $count === count($numbers) && $count > 0 && $count <= 60
            ? $numbers
            : throw new HttpException(
                422,
                (string) Message::of('house.body.the-member-must-hold-2', name: $name),
            );
    }

    /**
     * @param  array<int, float>  $usual
     * @return array<int, float>
     */
    public function numbersOr(string $name, array $usual): array
    {
        // Nothing said of any is nothing said.
        $said = $this->members->{$name} ?? null;
        $isNone = $said === null || ($said instanceof stdClass && get_object_vars($said) === []);

        return $isNone ? $usual : $this->numbers($name);
    }

    /** A file that was sent as base64. */
    public function bytes(string $name, int $most): string
    {
        $bytes = base64_decode($this->text($name), true);
        if ($bytes === false || $bytes === '') {
            throw new HttpException(422, (string) Message::of('house.body.the-file-is-empty'));
        }

        return strlen($bytes) <= $most
            ? $bytes
            : throw new HttpException(413, (string) Message::of('house.body.the-file-is-larger', most: intdiv($most, 1_000_000)));
    }

    public function flag(string $name): bool
    {
        $said = $this->members->{$name} ?? false;

        return is_bool($said) ? $said : throw new HttpException(422, (string) Message::of('house.body.true-or-false', name: $name));
    }
}
