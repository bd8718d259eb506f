<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

/** The kinds of step (docs/trade.md, The order of the work). */
enum StepKind: string
{
    /** Ranks that others share: where pieces are made, and where flat ones go on, which are in the way of everything. */
    public const PIECES = 20;

    public const FLAT = 65;

    case Mix = 'mix';
    case Portion = 'portion';
    case Wire = 'wire';
    case Core = 'core';
    case Thread = 'thread';
    case Weight = 'weight';
    case Loop = 'loop';
    case Cover = 'cover';
    case Felt = 'felt';
    case Compare = 'compare';
    case Mark = 'mark';
    case Detail = 'detail';
    case Steam = 'steam';
    case Slit = 'slit';
    case Join = 'join';
    case Hide = 'hide';
    case Covering = 'covering';
    case Cut = 'cut';
    case Press = 'press';
    case Stitch = 'stitch';
    case Open = 'open';
    case Ribbon = 'ribbon';
    case Flatten = 'flatten';
    case Trim = 'trim';
    case Inspect = 'inspect';

    /** Whether it can be put down anywhere and taken up again; what cannot is finished in one go. */
    public function canBePutDown(): bool
    {
        return in_array($this, [self::Core, self::Cover, self::Felt, self::Covering, self::Cut, self::Stitch, self::Trim], true);
    }

    /**
     * Where it comes in the order of the trade, the lower the earlier (docs/trade.md, The order of the work).
     *
     * @return ?int null where its part and the felter's school decide (Order/Ranks)
     */
    public function rank(): ?int
    {
        return match ($this) {
            self::Mix => -5,
            self::Portion => 0,
            self::Wire => 5,
            self::Core => 10,
            self::Weight, self::Loop, self::Cover, self::Felt, self::Cut, self::Compare => self::PIECES,
            self::Press, self::Stitch => self::FLAT,
            self::Open => 75,
            self::Ribbon => 88,
            self::Flatten, self::Trim => 90,
            self::Inspect => 100,
            self::Thread, self::Covering, self::Mark, self::Detail, self::Steam, self::Slit, self::Join, self::Hide => null,
        };
    }

    /** Which kind of work it is, where many figures go through one kind before the next is taken up: the lower the earlier. */
    public function phase(): int
    {
        return match ($this) {
            self::Mix, self::Portion => 0,
            self::Wire => 1,
            self::Core => 2,
            self::Thread, self::Weight, self::Loop => 3,
            self::Cover, self::Felt, self::Cut => 4,
            self::Compare => 5,
            self::Mark => 6,
            self::Detail => 7,
            self::Steam, self::Slit, self::Join, self::Press => 8,
            self::Stitch, self::Hide => 9,
            self::Open, self::Covering => 10,
            self::Ribbon, self::Flatten, self::Trim => 11,
            self::Inspect => 12,
        };
    }

    public function stage(): Stage
    {
        return match (true) {
            // Whatever is laid on is laid on with the colour.
            $this === self::Covering => Stage::Colour,
            $this->phase() <= 3 => Stage::Insides,
            $this->phase() <= 5 => Stage::Colour,
            $this->phase() <= 7 => Stage::Face,
            $this->phase() <= 9 => Stage::Joining,
            default => Stage::Last,
        };
    }

    /** Whether it joins a part to another. */
    public function joins(): bool
    {
        return in_array($this, [self::Slit, self::Join, self::Hide], true);
    }

    /** Whether it makes a piece by itself, before that is joined. */
    public function makesPiece(): bool
    {
        return in_array($this, [self::Wire, self::Core, self::Cover, self::Felt, self::Cut, self::Compare], true);
    }
}
