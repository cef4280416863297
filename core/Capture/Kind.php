<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** What a stretch of a typed line can mean. */
enum Kind: string
{
    case Minutes = 'minutes';
    case Due = 'due';
    case Importance = 'importance';
}
