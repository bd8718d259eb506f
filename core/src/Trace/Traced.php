<?php

declare(strict_types=1);

namespace Impa\Trace;

use Impa\Voice\Measure;
use Impa\Voice\Message;
use Impa\Voice\Said;

/**
 * A number that knows how it came about: what it was reckoned from, and how. The sum itself makes it, so what a felter is told of a
 * number is how it was reckoned. Immutable.
 */
final readonly class Traced
{
    /**
     * @param  string  $code  its name, and where it is given: lang/, trace.name and trace.from
     * @param  float  $is  in the unit of its measure
     * @param  list<self>  $of
     * @param  array<string, int|float|string|Said>  $about  what its words are about
     * @param  ?self  $once  as it was called at first
     */
    private function __construct(
        public string $code,
        public float $is,
        public Measure $measure,
        public By $by,
        public array $of = [],
        public ?Source $source = null,
        public array $about = [],
        private ?self $once = null,
    ) {
    }

    /** What is put into a sum: from the figure, from a table, from a hand. */
    public static function given(string $code, float $is, Measure $measure, Source $source, int|float|string|Said ...$about): self
    {
        /** @var array<string, int|float|string|Said> $about */
        return new self($code, $is, $measure, By::Given, [], $source, $about);
    }

    public static function by(By $by, string $code, Measure $measure, self ...$of): self
    {
        $is = array_column($of, 'is');

        return new self($code, $by->of($is), $measure, $by, array_values($of));
    }

    public static function product(string $code, Measure $measure, self ...$of): self
    {
        return self::by(By::Product, $code, $measure, ...$of);
    }

    public static function quotient(string $code, Measure $measure, self $of, self $by): self
    {
        return self::by(By::Quotient, $code, $measure, $of, $by);
    }

    /** @param  self  ...$of  at least one, all of one measure */
    public static function sum(string $code, self ...$of): self
    {
        return self::by(By::Sum, $code, $of[0]->measure, ...$of);
    }

    public static function difference(string $code, self $of, self $less): self
    {
        return self::by(By::Difference, $code, $of->measure, $of, $less);
    }

    /** A number as it is, without a unit. */
    public static function plain(string $code, float $is, Source $source): self
    {
        return self::given($code, $is, Measure::Number, $source);
    }

    /** The same number, called otherwise. */
    public function called(string $code, int|float|string|Said ...$about): self
    {
        /** @var array<string, int|float|string|Said> $about */
        return new self($code, $this->is, $this->measure, $this->by, $this->of, $this->source, $about, $this->once ?? $this);
    }

    public function name(): Message
    {
        return Message::of('trace.name.'.$this->code, ...$this->about);
    }

    /** Of a given number, where it comes from. */
    public function from(): Message
    {
        $given = $this->once ?? $this;

        return Message::of('trace.from.'.$given->code, ...$given->about);
    }
}
