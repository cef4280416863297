<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;

/** Reads who must answer first, how much it is worth, whether it is deep or light, the part of the day, and known projects. */
final readonly class WordReader
{
    private const CLAUSE = '(?<=,\s|,|;\s|^|'.Phrase::TAKEN.'\s|'.Phrase::TAKEN.'|–\s|-\s)';

    private const NAME = '(?<name>(?-i:\p{Lu}[\p{L}’\'-]*(?:\s+(?:(?:von|van|de|da|di|del|la)\s+)?\p{Lu}[\p{L}’\'-]*){0,2})|(?:the\s+|my\s+|our\s+)?[\p{L}][\p{L}’\'-]*)';

    private const ANSWERS = '(?:signs?|signed|answers?|answered|repl(?:ies|y|ied)|confirms?|confirmed|approves?|approved|decides?|decided|agrees?|agreed|responds?|responded|(?:has\s+)?sent|sends?(?:\s+it)?|returns?(?:\s+it)?|calls?(?:\s+back)?|is\s+back|gets?\s+back)';

    /** @param  list<string>  $projects  known ones, longest first */
    public function __construct(private array $projects) {}

    public function read(Phrase $phrase): void
    {
        foreach ($this->projects as $project) {
            $phrase->look(Kind::Project, '(?<!\w)(?:for|in)\s+(?:the\s+)?'.preg_quote($project, '/').Phrase::END, static fn (): string => $project);
        }
        $phrase->look(Kind::Waiting, '(?<!\w)(?:(?:i\s+am\s+|am\s+|is\s+)?waiting\s+(?:for|on)|wait\s+(?:for|on))\s+'.self::NAME.'(?:(?:\s+for(?=\s+(?:the|an?|my|our|his|her|their)\s))|\s+to\s+(?:answer|reply|confirm|sign|decide|respond|call(?:\s+back)?))?'.Phrase::STOP, static fn (array $part): string => $part['name']);
        $phrase->look(Kind::Waiting, '(?<!\w)(?:after|until|till|once|when|as\s+soon\s+as)\s+'.self::NAME.'\s+'.self::ANSWERS.Phrase::END, static fn (array $part): string => $part['name']);
        $phrase->look(Kind::Part, '(?:'.Phrase::TAKEN.'\s+\K|(?<!\w)in\s+the\s+)(?<part>morning|afternoon|evening|night)s?'.Phrase::STOP, static fn (array $part): string => $part['part'] === 'night' ? 'evening' : $part['part']);
        $phrase->look(Kind::Part, '(?<='.Phrase::TAKEN.'\s)(?<part>am|pm)'.Phrase::END.Phrase::STOP, static fn (array $part): string => $part['part'] === 'am' ? 'morning' : 'afternoon');
        $this->readImportance($phrase);
        $phrase->look(Kind::Demand, '(?:'.self::CLAUSE.')(?<demand>light|deep)(?:\s+work)?'.Phrase::END, static fn (array $part): ?Demand => Demand::tryFrom($part['demand']));
    }

    private function readImportance(Phrase $phrase): void
    {
        $level = self::level(...);
        $phrase->look(Kind::Importance, '(?<!\w)(?:of\s+|with\s+)?(?<level>low|medium|high|vital)\s+(?:importance|priority)'.Phrase::STOP, $level);
        $phrase->look(Kind::Importance, '(?<!\w)(?:importance|priority)(?:\s*:\s*|\s+(?:is\s+)?)(?<level>low|medium|high|vital)'.Phrase::STOP, $level);
        $phrase->look(Kind::Importance, '(?<=,\s|,|;\s|'.Phrase::TAKEN.'\s|'.Phrase::TAKEN.',\s|–\s)(?<level>low|medium|high|vital)'.Phrase::END, $level);
        $phrase->look(Kind::Importance, '(?<=\s)(?<level>vital)(?=\s*[.!]*$)', $level);
        foreach (['(?:very|extremely)\s+important' => Importance::Vital, 'not\s+(?:so\s+|very\s+)?important|unimportant' => Importance::Low, 'important' => Importance::High] as $words => $importance) {
            $phrase->look(Kind::Importance, '(?<=,\s|,|;\s|'.Phrase::TAKEN.'\s|–\s|\s)(?<!\bis\s)(?<!\bwhat’s\s)(?<!\bthe\s)(?<!\bso\s)(?<!\bmore\s)(?<!\bmost\s)(?:'.$words.')'.Phrase::END, static fn (): Importance => $importance);
            $phrase->look(Kind::Importance, '^(?:'.$words.')\s*:(?=\s+\S)', static fn (): Importance => $importance);
        }
    }

    /** @param  array<string, string>  $part */
    private static function level(array $part): ?Importance
    {
        return Importance::fromWord($part['level'] ?? '');
    }
}
