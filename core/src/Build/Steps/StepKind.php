<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

/** The kinds of step (docs/trade.md, The order of the work). */
enum StepKind: string
{
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

    /** Whether it makes a piece by itself, before that is joined. */
    public function makesPiece(): bool
    {
        return in_array($this, [self::Wire, self::Core, self::Cover, self::Felt, self::Cut, self::Compare], true);
    }
}
