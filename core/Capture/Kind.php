<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** What a stretch of a typed line can mean. */
enum Kind: string
{
    case Minutes = 'minutes';
    case Due = 'due';
    case Start = 'start';
    case On = 'on';
    case At = 'at';
    case Repeat = 'repeat';

    /** The last day something comes back, or how often it does. */
    case Until = 'until';
    case Part = 'part';
    case Importance = 'importance';
    case Demand = 'demand';
    case Project = 'project';
    case Area = 'area';
    case Context = 'context';
    case Waiting = 'waiting';

    /** The day somebody else's turn is asked about. */
    case Ask = 'ask';
    case Link = 'link';

    /** True if a line may say it more than once. */
    public function isMany(): bool
    {
        return $this === self::Context;
    }
}
