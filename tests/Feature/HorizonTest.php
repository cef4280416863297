<?php

declare(strict_types=1);

namespace Tests\Feature;

use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** Open time and work due over the coming weeks, in figures that a person can reckon again. */
final class HorizonTest extends FeatureTestCase
{
    #[Test]
    public function each_due_date_says_what_is_due_by_then_and_what_can_be_planned_till_then(): void
    {
        $this->task('Quotes', 90, dueOn: '2026-03-11');
        $this->task('Captions', 300, Importance::High, dueOn: '2026-03-13');
        $this->task('River map', 60, dueOn: '2026-03-13');
        $this->task('Without a date', 600);

        // Each day 465 open, 80 % = 372. Wednesday 90 of 372; by Friday 90 + 300 + 60 = 450 of 3 × 372 = 1,116.
        $this->get('/horizon')->assertOk()->assertSeeText('11 to 31 March. All that is due fits.')
            ->assertSeeTextInOrder(['Wed 11', 'Quotes', '1 h 30', '6 h 12', '4 h 42', '24 %', 'Fri 13', 'Captions; River map', '7 h 30', '18 h 36', '11 h 06', '40 %'])
            ->assertSeeText('The least room is 4 h 42, on Wed 11: Quotes.');
    }

    #[Test]
    public function a_crunch_is_named_with_what_is_missing_and_the_least_costly_way_out_stands_first(): void
    {
        $this->task('Captions', 480, Importance::High, dueOn: '2026-03-12');
        $this->task('Proofs', 300, Importance::Vital, dueOn: '2026-03-12');
        $this->post('/plan/lay-out');

        // 744 can be carried until Thursday evening; 780 are due by then: 36 are missing.
        $this->get('/horizon')->assertSeeText('One crunch.')->assertSeeTextInOrder(['Thu 12', 'Captions; Proofs', '13 h 00', '12 h 24', '−36 min', '105 %', 'Ways out of 36 min', 'Due then: Captions 8 h 00, Proofs 5 h 00.'])->assertSee('class="curve-over"', false);
        $this->get('/horizon?ways=1')->assertSeeTextInOrder(['Cut Captions by 40 min', '40 min of high work are not done', 'Open Office hours', '1 h 30 of your own time', 'Side by side', '160', '720', '1920']);
        $ways = static fn (string $page): array => preg_match_all('/change=way&amp;way=([a-z_0-9:%A]+)/', $page, $found) > 0 ? array_map(urldecode(...), $found[1]) : [];
        self::assertSame($ways((string) $this->get('/shape?ways=1')->getContent()), $ways((string) $this->get('/horizon?ways=1')->getContent()), 'the same that Shape offers');
    }

    #[Test]
    public function ways_also_lead_through_what_is_due_before(): void
    {
        $this->task('Lists', 300, Importance::Low, dueOn: '2026-03-11');
        $this->task('Captions', 500, Importance::Vital, dueOn: '2026-03-12');
        $this->post('/plan/lay-out');

        $page = $this->get('/horizon?ways=1')->assertSeeText('Cut Lists by');
        self::assertSame((string) preg_match_all('/way=cut/', (string) $this->get('/shape?ways=1')->getContent()), (string) preg_match_all('/way=cut/', (string) $page->getContent()));
    }

    #[Test]
    public function where_the_deep_limit_is_what_is_short_that_is_said(): void
    {
        $this->task('Captions', 300, Importance::High, dueOn: '2026-03-11', deep: true);

        $this->get('/horizon')->assertSeeTextInOrder(['5 h 00', 'deep', '4 h 00', '−1 h 00'])->assertSeeText('deep work under its limit of a day is what is short; open time would be enough');
    }

    #[Test]
    public function sets_that_share_their_time_are_short_together_though_each_by_itself_is_not(): void
    {
        $late = $this->ines->hoursSets()->create(['name' => 'Afternoons', 'position' => 9, 'week' => ['wed' => [['13:15', '17:30']]]]);
        $this->task('By day', 300, dueOn: '2026-03-11');
        $this->task('Afternoon', 180, dueOn: '2026-03-11')->update(['hours_set_id' => $late->id]);

        // 80 % of 465 are 372, of 255 afternoon minutes 204: 300 and 180 fit. Together there are 372 + min(204, …): of 465 open
        // minutes no more than 372 + 204 under both lines, but only 465 there are; 480 are due: 15 are missing.
        $this->get('/horizon')->assertSeeText('All that is due fits.');
        $this->get('/horizon?hours=all&ways=1')->assertSeeTextInOrder(['One crunch.', 'All hours together', '8 h 00', '7 h 45', '−15 min', 'Each set of hours by itself has the time']);
    }

    #[Test]
    public function a_due_date_is_tried_before_it_is_taken(): void
    {
        $captions = $this->task('Captions', 480, Importance::High, dueOn: '2026-03-12');
        $this->task('Proofs', 300, Importance::Vital, dueOn: '2026-03-12');
        $this->post('/plan/lay-out');
        $before = $this->plan();

        $this->get("/horizon?task={$captions->id}&due=2026-03-16")->assertOk()->assertSeeText('All that is due fits.')->assertSeeTextInOrder(['due: Mon 16 Mar 2026, before Thu 12 Mar 2026', 'Take it'])->assertSee('class="curve-was"', false);
        self::assertSame([$before, '2026-03-12'], [$this->plan(), $captions->refresh()->due_on], 'only looked at');
        $this->patch("/tasks/{$captions->id}", ['due_date' => '2026-03-16'])->assertSessionHasNoErrors();
        $this->get('/horizon')->assertSeeText('All that is due fits.')->assertDontSee('curve-was');
    }

    #[Test]
    public function what_nobody_offers_shows_the_plain_page(): void
    {
        $his = $this->task('His', 60, dueOn: '2026-03-12', of: $this->person('wim@example.org'));
        foreach (['weeks=0', 'weeks=99', 'hours=99999', 'task=x&due=y', "task={$his->id}&due=2026-03-20", 'due=2026-03-20', 'ways=1', 'hours=all', 'weeks=12&hours=all'] as $query) {
            $this->get("/horizon?{$query}")->assertOk()->assertDontSee('His');
        }
        $this->get('/horizon')->assertSeeText('Nothing is due in these weeks.');
    }

    #[Test]
    public function a_month_hangs_due_dates_under_their_days_and_says_what_is_free(): void
    {
        $this->block($this->task('Wall texts', 120, deep: true), '2026-03-12 09:00', '2026-03-12 11:00');
        foreach (['Quotes', 'Captions', 'River map'] as $i => $title) {
            $this->task($title, 60 - $i, dueOn: '2026-03-19');
        }

        $this->get('/month')->assertOk()->assertSeeTextInOrder(['9 to 15 March', 'Thu 12', '2 h 00 of 6 h 12', 'Fri 13', 'free 6 h 12', '16 to 22 March', 'Thu 19', 'Quotes', 'Captions', 'and 1 more'])->assertDontSeeText('River map');
        $this->get('/month/2026-04-30')->assertOk()->assertSeeText('27 April to 3 May');
        $this->get('/month/2026-99-01')->assertNotFound();
    }
}
