<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

use Closure;
use Impa\Voice\Message;

/** One way to mend a detail, with its amount, and the change that it comes to: who only reads the words has it not reckoned. */
final readonly class Mend
{
    /**
     * @param  array<string, mixed>|Closure(): array<string, mixed>  $set  members of the detail
     * @param  list<array<string, mixed>>  $add  details that come with it
     * @param  list<string>  $remove  keys of details that go
     * @param  string  $keep  drawn or size, where it is reckoned when it is chosen
     */
    private function __construct(
        public Message $text,
        private array|Closure $set,
        public array $add,
        public array $remove,
        public string $keep,
    ) {
    }

    /** @param  array<string, mixed>|Closure(): array<string, mixed>  $set */
    public static function set(Message $text, array|Closure $set): self
    {
        return new self($text, $set, [], [], '');
    }

    /**
     * @param  array<string, mixed>  $set
     * @param  array<string, mixed>  $detail
     */
    public static function with(Message $text, array $set, array $detail): self
    {
        return new self($text, $set, [$detail], [], '');
    }

    /** @param  array<string, mixed>  $set */
    public static function instead(Message $text, array $set, string $gone): self
    {
        return new self($text, $set, [], [$gone], '');
    }

    public static function keep(Message $text, string $what): self
    {
        return new self($text, [], [], [], $what);
    }

    /** @return array<string, mixed> members of the detail */
    public function change(): array
    {
        return $this->set instanceof Closure ? ($this->set)() : $this->set;
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            'text' => $this->text,
            'set' => (object) $this->change(),
            'add' => $this->add,
            'remove' => $this->remove,
            'keep' => $this->keep,
        ];
    }
}
