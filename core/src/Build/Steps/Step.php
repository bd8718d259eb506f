<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Figure\Member\Subject;
use Impa\Material\Pace;
use Impa\Voice\Message;

/** One thing to do next. Immutable. */
final readonly class Step
{
    /** @param  string  $text  what to do, in two sentences */
    public function __construct(
        public string $key,
        public StepKind $kind,
        public Message|string $title,
        public Message|string $text,
        public StepTime $time,
        public Subject $about = new Subject,
        public StepOrder $order = new StepOrder,
        public StepUses $uses = new StepUses,
    ) {
    }

    /** The same, with everything that turned out to come before it. */
    public function needing(DependencyGraph $needs): self
    {
        return $this->with($this->time, new StepOrder($needs->before($this->key), $needs->because($this->key)));
    }

    /**
     * The same, after other steps.
     *
     * @param  list<string>  $after  keys
     */
    public function following(array $after): self
    {
        return $this->with($this->time, new StepOrder($after, $this->order->because));
    }

    /** The same, with as many minutes as this hand takes for its kind. */
    public function paced(Pace $pace): self
    {
        return $this->with($this->time->paced($pace, $this->kind->value), $this->order);
    }

    private function with(StepTime $time, StepOrder $order): self
    {
        return new self($this->key, $this->kind, $this->title, $this->text, $time, $this->about, $order, $this->uses);
    }
}
