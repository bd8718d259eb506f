<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Impa\Figure\Figure;
use Impa\Figure\FigureRefused;
use JsonException;
use stdClass;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The body of a request, decoded so that empty objects stay objects. */
final readonly class Body
{
    private function __construct(private stdClass $members)
    {
    }

    public static function of(Request $request): self
    {
        try {
            $members = json_decode((string) $request->getContent(), false, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw new HttpException(400, 'The request is not readable as JSON.');
        }

        return new self($members instanceof stdClass ? $members : throw new HttpException(400, 'The request must be a JSON object.'));
    }

    /** @throws FigureRefused with every fault of the document */
    public function figure(): Figure
    {
        return Figure::fromDocument($this->members->document ?? throw new HttpException(422, 'The member "document" with the figure is missing.'));
    }

    public function int(string $name): int
    {
        $value = $this->members->{$name} ?? null;

        return is_int($value) ? $value : throw new HttpException(422, sprintf('The member "%s" must be a whole number.', $name));
    }

    public function intOr(string $name, ?int $usual): ?int
    {
        return isset($this->members->{$name}) ? $this->int($name) : $usual;
    }

    public function float(string $name): float
    {
        $value = $this->members->{$name} ?? null;

        return is_int($value) || is_float($value) ? (float) $value : throw new HttpException(422, sprintf('The member "%s" must be a number.', $name));
    }

    public function text(string $name, string $usual = ''): string
    {
        $value = $this->members->{$name} ?? $usual;

        return is_string($value) ? $value : throw new HttpException(422, sprintf('The member "%s" must be a text.', $name));
    }

    public function floatOr(string $name, float $usual): float
    {
        return isset($this->members->{$name}) ? $this->float($name) : $usual;
    }

    /** @return list<string> */
    public function texts(string $name): array
    {
        $values = $this->members->{$name} ?? null;
        if (! is_array($values) || count($values) > 200 || array_filter($values, is_string(...)) !== $values) {
            throw new HttpException(422, sprintf('The member "%s" must be a list of texts.', $name));
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
            if (is_array($value) && array_is_list($value) && count($value) === 2 && is_numeric($value[0]) && is_numeric($value[1]) && max(abs((float) $value[0]), abs((float) $value[1])) <= 10000) {
                $points[] = [(float) $value[0], (float) $value[1]];
            }
        }
        if ($points === [] || ! is_array($values) || count($points) !== count($values)) {
            throw new HttpException(422, sprintf('The member "%s" must be a list of points [x, y] in mm, two at least.', $name));
        }

        return $points;
    }

    public function flag(string $name): bool
    {
        return ($this->members->{$name} ?? false) === true;
    }
}
