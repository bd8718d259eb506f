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

    public function flag(string $name): bool
    {
        return ($this->members->{$name} ?? false) === true;
    }
}
