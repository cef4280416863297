<?php

declare(strict_types=1);

namespace Tests\Feature;

use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** Where a pick goes for which its day has no time any more. */
final class LeftOverPickTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $quotes = $this->task('Quotes', 60, Importance::Low);
        $quotes->update(['picked_on' => '2026-03-11']);
        $this->task('Proofs', 1200, Importance::Vital, dueOn: '2026-03-16');
        $this->block($quotes, '2026-03-11 15:30', '2026-03-11 16:30');
    }

    #[Test]
    public function it_leads_the_next_day_as_soon_as_too_little_is_left_of_its_own(): void
    {
        $this->at('2026-03-11 16:50');
        $this->get('/shape');

        self::assertContains('Thu 09:00–10:00 Quotes', $this->plan());
    }

    #[Test]
    public function it_stays_on_its_day_while_that_has_time(): void
    {
        $this->at('2026-03-11 16:30');
        $this->get('/shape');

        self::assertContains('Wed 16:30–17:30 Quotes', $this->plan());
    }

    #[Test]
    public function who_wants_picks_offered_again_has_it_planned_like_any_other(): void
    {
        $this->ines->update(['carry_picks' => false]);
        $this->at('2026-03-11 16:50');
        $this->get('/shape');

        self::assertNotContains('Thu 09:00–10:00 Quotes', $this->plan());
    }

    #[Test]
    public function on_friday_evening_the_next_day_is_monday(): void
    {
        $this->ines->tasks()->where('title', 'Quotes')->update(['picked_on' => '2026-03-13']);
        $this->at('2026-03-13 17:40');
        $this->get('/shape');

        self::assertContains('Mon 09:00–10:00 Quotes', $this->plan());
    }
}
