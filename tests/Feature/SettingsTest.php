<?php

declare(strict_types=1);

namespace Tests\Feature;

use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

final class SettingsTest extends FeatureTestCase
{
    public const RULES = [
        'zone' => 'Europe/Lisbon', 'margin_percent' => '20', 'buffer_before' => '0', 'buffer_after' => '0', 'deep_limit' => '240',
        'lunch_from' => '12:30', 'lunch_to' => '13:15', 'addresses' => '', 'theme' => 'auto', 'single_keys' => '1', 'tempo' => 'calm',
    ];

    #[Test]
    public function rules_are_kept_and_the_plan_follows_them_at_once(): void
    {
        $this->meeting('Committee', '2026-03-11 10:00', '2026-03-11 11:00');
        $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');

        $this->put('/settings', [...self::RULES, 'buffer_before' => '10', 'lunch_from' => '', 'lunch_to' => '', 'theme' => 'dark'])->assertSessionHasNoErrors();

        self::assertSame(['Wed 11:00–12:00 Quotes'], $this->plan());
        $this->get('/settings')->assertSee('data-theme="dark"', false)->assertSee('value="10"', false);
    }

    #[Test]
    public function the_shortest_piece_of_work_is_said_here(): void
    {
        $this->meeting('Committee', '2026-03-11 09:30', '2026-03-11 11:30');
        $this->task('Essay', minutes: 90, importance: Importance::Vital);
        $this->post('/plan/lay-out');
        self::assertSame(['Wed 09:00–09:30 Essay', 'Wed 11:30–12:30 Essay'], $this->plan());

        $this->put('/settings', [...self::RULES, 'least_piece' => '45'])->assertRedirect()->assertSessionHasNoErrors();
        self::assertSame(['Wed 09:00–09:30 Essay', 'Wed 11:30–12:30 Essay'], $this->plan(), 'what lies there may stay');
        $this->post('/plan/lay-out');
        self::assertSame(['Wed 13:15–14:45 Essay'], $this->plan());

        foreach (['20', '65', '32', 'half'] as $wrong) {
            $this->from('/settings')->put('/settings', [...self::RULES, 'least_piece' => $wrong])->assertSessionHasErrors('least_piece');
        }
    }

    #[Test]
    public function a_day_that_is_laid_out_begins_as_it_is_said_here(): void
    {
        $this->task('Essay', minutes: 120)->update(['demand' => 'deep']);
        $this->task('Quotes', minutes: 20, importance: Importance::Vital);
        $this->task('Proofs', minutes: 60, importance: Importance::High);

        foreach (['light' => 'Quotes', 'hard' => 'Essay', 'pull' => 'Quotes'] as $begins => $first) {
            $this->put('/settings', [...self::RULES, 'day_begins' => $begins])->assertSessionHasNoErrors();
            $this->post('/plan/lay-out');
            self::assertStringEndsWith($first, $this->plan()[0], $begins);
        }
        $this->get('/settings/rules')->assertSee('value="pull" selected', false);
        $this->from('/settings')->put('/settings', [...self::RULES, 'day_begins' => 'late'])->assertSessionHasErrors('day_begins');
    }

    #[Test]
    public function best_hours_are_kept_and_deep_work_goes_there(): void
    {
        $this->task('Essay', minutes: 60)->update(['demand' => 'deep']);
        $this->task('Quotes', minutes: 60);
        $this->put('/settings/best-hours', ['week' => ['wed' => '13:15–15', 'thu' => '9 to 11']])->assertRedirect('/settings?set=best')->assertSessionHasNoErrors();
        self::assertSame(['wed' => [['13:15', '15:00']], 'thu' => [['09:00', '11:00']]], $this->ines->refresh()->best_hours);

        $this->post('/plan/lay-out');
        self::assertContains('Wed 13:15–14:15 Essay', $this->plan());
        $this->get('/settings?set=best')->assertSee('value="13:15–15:00"', false)->assertSee('aria-label="Wednesday begins" aria-valuemin="0" aria-valuemax="1440" aria-valuenow="795"', false);
        $this->get('/shape?block='.$this->ines->blocks()->whereRelation('task', 'title', 'Essay')->value('id'))->assertSee('It lies in your best hours.');

        $this->from('/settings')->put('/settings/best-hours', ['week' => ['wed' => 'mornings']])->assertSessionHasErrors('week.wed');
        $this->from('/settings')->put('/settings/best-hours', ['week' => ['noday' => '9-10']])->assertSessionHasErrors('week');
        self::assertSame([['13:15', '15:00']], $this->ines->refresh()->best_hours['wed'] ?? null, 'what was wrong changed nothing');

        $this->put('/settings/best-hours', ['week' => ['fri' => '9-10']])->assertSessionHasNoErrors();
        $this->post('/plan/undo');
        self::assertSame([['13:15', '15:00']], $this->ines->refresh()->best_hours['wed'] ?? null, 'undo brings the week back');
        $this->put('/settings/best-hours', ['week' => []])->assertSessionHasErrors('week');
        $this->put('/settings/best-hours', ['week' => ['wed' => '']])->assertSessionHasNoErrors();
        $this->post('/plan/lay-out');
        self::assertSame('Wed 09:00', substr($this->plan()[0], 0, 9));
    }

    #[Test]
    public function whoever_wants_it_eager_gets_the_best_plan_whatever_moves(): void
    {
        $this->block($this->task('Invoices', importance: Importance::Low, minutes: 60), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->task('Agreements', importance: Importance::Vital, minutes: 60);

        $this->put('/settings', self::RULES)->assertSessionHasNoErrors();
        self::assertContains('Wed 09:00–10:00 Invoices', $this->plan());

        $this->put('/settings', [...self::RULES, 'tempo' => 'eager'])->assertSessionHasNoErrors();
        self::assertContains('Wed 09:00–10:00 Agreements', $this->plan());
        $this->get('/settings')->assertSee('value="eager" selected', false);
        $this->from('/settings')->put('/settings', [...self::RULES, 'tempo' => 'frantic'])->assertSessionHasErrors('tempo');
    }

    #[Test]
    public function rules_that_cannot_be_planned_with_are_not_kept_by_half(): void
    {
        $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');
        \App\Models\Block::query()->toBase()->update(['ends_at' => '2026-03-11 08:00:00']); // a damaged row: planning fails

        $this->put('/settings', [...self::RULES, 'margin_percent' => '40'])->assertServerError();

        self::assertSame(20, $this->ines->refresh()->margin_percent);
    }

    #[Test]
    #[DataProvider('impossibleRules')]
    public function impossible_rules_are_told_beside_their_field_and_kept_in_the_form(string $field, string $value, string $said): void
    {
        $page = $field === 'zone' ? '/settings/looks' : '/settings';
        $this->followingRedirects()->from($page)->put('/settings', [...self::RULES, $field => $value])->assertSee($said)->assertSee('value="'.e($value).'"', false);
        self::assertSame(20, $this->ines->refresh()->margin_percent);
    }

    /** @return list<array{string, string, string}> */
    public static function impossibleRules(): array
    {
        return [
            ['zone', 'Europe/Atlantis', 'There is no such time zone'], ['margin_percent', '81', 'from 0 to 80'], ['margin_percent', '-5', 'from 0 to 80'],
            ['buffer_before', 'ten', 'whole number'], ['deep_limit', '1441', 'from 0 to 1440'], ['lunch_to', '12:00', 'Lunch must end after it begins'], ['lunch_to', '', 'Give both times'],
        ];
    }

    #[Test]
    public function hours_have_several_stretches_a_day(): void
    {
        $this->week(['wed' => '9-12:30, 13:15 to 17.30', 'thu' => '', 'fri' => '07:00–24:00'])->assertSessionHasNoErrors();

        self::assertSame(
            ['wed' => [['09:00', '12:30'], ['13:15', '17:30']], 'fri' => [['07:00', '24:00']]],
            $this->ines->hoursSets()->firstOrFail()->week,
        );
    }

    #[Test]
    #[DataProvider('impossibleHours')]
    public function impossible_hours_are_told_and_the_old_ones_stay(string $typed, string $said): void
    {
        $set = $this->ines->hoursSets()->firstOrFail();
        $this->followingRedirects()->from("/settings?set={$set->id}")->put("/settings/hours/{$set->id}", ['form' => "hours-{$set->id}", 'week' => ['mon' => $typed]])
            ->assertSee($said)->assertSee('value="'.e($typed).'"', false);

        self::assertSame([['09:00', '17:30']], $set->refresh()->week['mon']);
    }

    /** @return list<array{string, string}> */
    public static function impossibleHours(): array
    {
        return [
            ['17:30–09:00', 'Hours must end after they start: 17:30 to 09:00.'], ['09:00–09:00', 'Hours must end after they start'], ['nine to five', 'is not a time'],
            ['09:00–25:00', 'is not a time'], ['09:00–12:00, 11:00–13:00', 'Two stretches overlap at 11:00.'],
        ];
    }

    /**
     * @param  array<string, string>  $week
     * @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function week(array $week): \Illuminate\Testing\TestResponse
    {
        return $this->put('/settings/hours/'.$this->ines->hoursSets()->firstOrFail()->id, ['week' => $week]);
    }

    #[Test]
    public function whether_picks_go_over_by_themselves_is_kept_and_shown(): void
    {
        $this->put('/settings', [...self::RULES, 'carry_picks' => '0'])->assertSessionHasNoErrors();
        self::assertFalse($this->ines->refresh()->carry_picks);
        $this->get('/settings')->assertSee('<option value="0" selected>are offered again</option>', false);

        $this->put('/settings', [...self::RULES, 'carry_picks' => 'perhaps'])->assertSessionHasErrors('carry_picks');
        self::assertFalse($this->ines->refresh()->carry_picks);
    }
}
