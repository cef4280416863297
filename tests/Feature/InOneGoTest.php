<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\RevisionCause;
use App\Planning\Replan;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** What takes an hour at most is not cut into pieces, unless the person wants shorter blocks. */
final class InOneGoTest extends FeatureTestCase
{
    #[Test]
    public function an_hour_waits_for_a_gap_that_holds_it_and_more_is_laid_in_pieces(): void
    {
        $this->meeting('Committee', '2026-03-11 09:45', '2026-03-11 11:30');
        $call = $this->task('Call', 60);
        $this->layOut();
        self::assertSame(['Wed 11:30–12:30 Call'], $this->plan());

        $call->update(['estimate' => 75, 'said' => 75]);
        $this->layOut();
        self::assertSame(['Wed 13:15–14:30 Call'], $this->plan(), 'whole, where waiting for that costs little');

        $call->update(['importance' => Importance::Vital]);
        $this->layOut();
        self::assertSame(['Wed 09:00–09:45 Call', 'Wed 11:30–12:00 Call'], $this->plan(), 'in pieces, where waiting costs more than coming back to it');

        $call->update(['estimate' => 30, 'said' => 30, 'max_chunk' => 15]);
        $this->layOut();
        self::assertSame(['Wed 09:00–09:15 Call', 'Wed 09:20–09:35 Call'], $this->plan(), 'shorter blocks are what the person wants');
    }

    private function layOut(): void
    {
        app(Replan::class)($this->ines->refresh(), \App\Time\Clock::now(), RevisionCause::LaidOut, afresh: true);
    }
}
