<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Material\Pace;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Mix;

/** One thing to do next. Immutable. */
final readonly class Step
{
    /**
     * @param  string  $text  what to do, in two sentences
     * @param  string  $part  key of the part it is about; empty for the whole figure
     * @param  string  $detail  key of the detail it is about, or empty
     * @param  list<string>  $after  keys of the steps that must be done before
     * @param  array<string, string>  $because  why, by the key of such a step, where the shapes or the trade decide
     * @param  float  $waitMinutes  drying, during which other steps go on
     * @param  ?NeedleChoice  $needle  none where nothing is stabbed
     * @param  list<LedgerLine>  $weighings  what is weighed out for it
     * @param  string  $colour  key of the colour that is worked, or empty
     * @param  ?Mix  $mix  the wools that are mixed at it
     */
    public function __construct(
        public string $key,
        public StepKind $kind,
        public string $title,
        public float $minutes,
        public string $text,
        public string $part = '',
        public string $detail = '',
        public array $after = [],
        public array $because = [],
        public float $waitMinutes = 0.0,
        public ?NeedleChoice $needle = null,
        public array $weighings = [],
        public string $colour = '',
        public ?Mix $mix = null,
    ) {
    }

    /** The same, with everything that turned out to come before it. */
    public function needing(DependencyGraph $needs): self
    {
        return $this->with($this->minutes, $needs->before($this->key), $needs->because($this->key));
    }

    /**
     * The same, after other steps.
     *
     * @param  list<string>  $after  keys
     */
    public function following(array $after): self
    {
        return $this->with($this->minutes, $after, $this->because);
    }

    /** The same, with as many minutes as this hand takes for its kind. */
    public function paced(Pace $pace): self
    {
        return $this->with($this->minutes * $pace->factor($this->kind->value), $this->after, $this->because);
    }

    /**
     * @param  list<string>  $after
     * @param  array<string, string>  $because
     */
    private function with(float $minutes, array $after, array $because): self
    {
        return new self(
            key: $this->key,
            kind: $this->kind,
            title: $this->title,
            minutes: $minutes,
            text: $this->text,
            part: $this->part,
            detail: $this->detail,
            after: $after,
            because: $because,
            waitMinutes: $this->waitMinutes,
            needle: $this->needle,
            weighings: $this->weighings,
            colour: $this->colour,
            mix: $this->mix,
        );
    }
}
