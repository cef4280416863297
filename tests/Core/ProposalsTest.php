<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Propose\Proposals;
use Nekto\Core\Propose\TellingWords;
use Nekto\Core\Text\Folded;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** What is proposed for a line, learned from what earlier lines got. */
final class ProposalsTest extends TestCase
{
    #[Test]
    public function what_similar_lines_got_is_proposed_with_its_reason(): void
    {
        $proposals = self::learned(['Call the Ghent lender' => 6, 'Hang lamps in gallery' => 6]);
        $found = $proposals->for('Mail lenders about crates');

        self::assertSame([2, 7], [$found['project']->label, $found['context']->label]);
        self::assertSame(['lender', 6, 6], [$found['project']->word, $found['project']->had, $found['project']->of]);
        self::assertSame(20, $found['minutes']->label);
        self::assertGreaterThan(0.8, $found['project']->chance);
    }

    #[Test]
    public function fewer_than_a_handful_of_examples_say_nothing(): void
    {
        self::assertSame([], self::learned(['Call the Ghent lender' => 4])->for('Call the Lyon lender'));
        self::assertSame([], (new Proposals)->for('Anything'));
        self::assertSame([], self::learned(['Call the Ghent lender' => 9])->for('Buy milk'));
    }

    #[Test]
    public function where_lines_with_a_word_got_this_and_that_nothing_is_proposed(): void
    {
        $proposals = new Proposals;
        foreach ([1, 2, 1, 2, 1, 2, 1, 2, 1, 2] as $i => $project) {
            $proposals->learn('Review the plan', ['project' => $project, 'area' => 1, 'context' => null, 'demand' => null, 'minutes' => 10 * ($i + 1)]);
        }

        self::assertSame(['area'], array_keys($proposals->for('Review the plan')));
    }

    #[Test]
    public function estimates_that_agree_are_proposed_by_their_middle(): void
    {
        $proposals = new Proposals;
        foreach ([30, 40, 30, 45, 30, 35] as $minutes) {
            $proposals->learn('Courier quote', ['project' => null, 'area' => 1, 'context' => null, 'demand' => null, 'minutes' => $minutes]);
        }

        self::assertSame(35, $proposals->for('Quote for crates')['minutes']->label);
    }

    #[Test]
    public function words_are_compared_without_capitals_accents_and_plurals(): void
    {
        self::assertSame(['toma', 'gallery', 'cafe', 'glass'], TellingWords::of('Tomás: GALLERIES, the café’s 12 glass'));
        self::assertSame('Tomás', TellingWords::typed('Ask Tomás', 'toma'));
        self::assertSame('strasse smorrebrod lodz', Folded::of('Straße Smørrebrød Łódź'));
        foreach (Folded::ACCENTS as $plain => $letters) {
            self::assertSame(str_repeat($plain, mb_strlen($letters)), Folded::of($letters));
        }
    }

    /** @param  array<string, int>  $lines  how often each was learned */
    private static function learned(array $lines): Proposals
    {
        $proposals = new Proposals;
        foreach ($lines as $line => $times) {
            for ($i = 0; $i < $times; $i++) {
                $isLender = str_contains($line, 'lender');
                $proposals->learn($line, ['project' => $isLender ? 2 : 3, 'area' => $isLender ? 1 : 4, 'context' => $isLender ? 7 : null, 'demand' => null, 'minutes' => 20]);
            }
        }

        return $proposals;
    }
}
