<?php

declare(strict_types=1);

namespace Tests\Feature;

use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** A new piece of work, tried before one says yes. */
final class WhatIfTest extends FeatureTestCase
{
    #[Test]
    public function a_line_is_tried_and_each_date_says_what_a_person_would_reckon(): void
    {
        $this->block($this->task('Laid out', 120), '2026-03-11 09:00', '2026-03-11 11:00');
        $this->task('Nowhere yet', 60, dueOn: '2026-03-20');

        // Light work: Wednesday 372 − 120 = 252, less the hour that has no place; Thursday and Friday 372 each: 192, 564, 936.
        // Without a history half of such work takes 1.1 times what was said: 660 min, so Friday; eight of ten 1.5 times: 900.
        $this->get('/horizon/if?line=a+second+venue+10+h+by+friday')->assertOk()->assertSee('value="a second venue"', false)->assertSee('value="10 h 00"', false)->assertSee('value="Fri 13 Mar"', false)
            ->assertSeeTextInOrder(['Fri 13 Mar', 'likely done, careful, asked', '15 h 36', '+5 h 36', 'Nothing moves', 'it lies from 11 to 13 March, on 3 days', 'Room on Fri 13 Mar'])
            ->assertSeeText('too little history');
        self::assertSame(2, $this->ines->tasks()->count(), 'nothing is stored');
    }

    #[Test]
    public function deep_work_keeps_to_its_limit_and_what_is_too_soon_gets_ways(): void
    {
        // Four hours a day from Wednesday on: 240, 480, 720. Forty hours by Friday do not fit.
        $page = $this->get('/horizon/if?line=essay+40+h+by+friday,+deep')->assertOk()->assertSeeTextInOrder(['Fri 13 Mar', 'asked', '12 h 00', '−28 h 00', 'under 1 %', 'likely done', 'careful'])
            ->assertSeeTextInOrder(['Ways, if it must be sooner', 'by Fri 13 Mar', 'Open 1 h 30 more', 'deep limit of 5 h 12', 'Cut it to', 'Let it go first', 'nothing else gets late']);
        self::assertStringContainsString('earliest honest date', (string) $page->getContent());
    }

    #[Test]
    public function words_are_changed_one_by_one_and_a_slip_is_said_and_kept(): void
    {
        $this->get('/horizon/if?title=Essay&long=90+min&demand=deep&by=2026-03-12')->assertOk()->assertSee('value="1 h 30"', false)->assertSee('Thu 12 Mar');
        $this->get('/horizon/if?title=Essay&long=soonish&by=friday')->assertOk()->assertSee('soonish')->assertSeeText('“soonish” is no length of time.');
        $this->get('/horizon/if?title=Essay&long=2+h&by=never')->assertOk()->assertSee('value="never"', false)->assertSeeText('“never” is no day.');
        $this->get('/horizon/if?title=Essay&long=2+h&by=2026-03-01')->assertOk()->assertSeeText('That day is over.');
        foreach (['', 'line=', 'line=x', 'long=99999999+h', 'title=%3Cb%3E&long=1+h', 'by=2026-99-99&long=1+h', 'long=2000+h&demand=deep&by=2027-01-01'] as $odd) {
            $this->get("/horizon/if?{$odd}")->assertOk()->assertDontSee('<b>&long', false);
        }
    }

    #[Test]
    public function only_what_is_kept_becomes_a_task_with_what_the_sentence_says(): void
    {
        $this->post('/horizon/if', ['title' => '', 'long' => '2 h'])->assertSessionHasErrors('wanted');
        $this->post('/horizon/if', ['title' => 'Essay', 'long' => ''])->assertSessionHasErrors('wanted');
        $this->post('/horizon/if', ['title' => 'Essay', 'long' => '2 h', 'demand' => 'deep', 'by' => '2026-03-20'])->assertRedirect('/horizon')->assertSessionHasNoErrors();
        $task = $this->ines->tasks()->sole();
        self::assertSame(['Essay', 120, 'deep', '2026-03-20', Importance::Medium], [$task->title, $task->estimate, $task->demand->value, $task->due_on, $task->importance]);
        $this->post('/plan/undo');
        self::assertSame(0, $this->ines->tasks()->count(), 'and can be taken back');
    }

    #[Test]
    public function a_letter_with_the_honest_date_goes_into_the_outbox(): void
    {
        $this->get('/horizon/if?line=a+second+venue+10+h+by+friday')->assertSee('When a second venue could be done')->assertSee('The earliest date I can honestly promise is Friday 13 March');
        $letter = ['to' => 'wim@example.org', 'subject' => 'When it could be done', 'body' => "Hello,\n\nby Friday."];
        foreach ([['to' => 'nobody'], ['subject' => "a\nBcc: b@example.org"], ['body' => '']] as $wrong) {
            $this->post('/horizon/letter', [...$letter, ...$wrong])->assertSessionHasErrors(array_key_first($wrong));
        }
        $this->post('/horizon/letter', $letter)->assertSessionHas('status', __('whatif.sent'));
        self::assertSame(['wim@example.org', 'When it could be done'], [$this->ines->outboxMails()->sole()->to, $this->ines->outboxMails()->sole()->subject]);
    }
}
