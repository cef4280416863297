<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** What tells "friday call the framer" from "friday report": after a day at the front, a task goes on with what is to be done. */
final class Verbs
{
    private const ONLY = 'answer|ask|bring|build|buy|cancel|choose|clean|collect|confirm|cook|decide|deliver|do|email|file|fill|find|finish|fix|fetch|get|give|go|hang|help|invite|learn|look|mail|make|measure|meet|move|pack|pay|phone|pick|prepare|proofread|put|read|remind|renew|repair|reply|return|ring|see|sell|send|set|show|sign|sort|submit|take|tell|text|tidy|try|unpack|wash|water|weigh|write';

    private const ALSO_NOUNS = 'book|call|check|clear|draft|design|measure|message|note|order|paint|plan|post|print|record|report|research|review|run|schedule|sketch|start|swim|talk|test|update|visit|walk|watch|work';

    private const OBJECT = 'the|an?|my|our|his|her|their|your|this|that|these|those|it|them|all|for|with|to|at|about|on|up|out|some|every|(?-i:\p{Lu}[\p{L}’\'-]*)|\d+';

    /** Begins with what is to be done. */
    public const PHRASE = '(?:(?:'.self::ONLY.')\b(?![\'’-])|(?:'.self::ALSO_NOUNS.')\s+(?:'.self::OBJECT.')(?![\w\'’-]))';
}
