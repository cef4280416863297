<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Test;

/** What a window asks for by itself takes nothing away from the person. */
final class ByItselfTest extends FeatureTestCase
{
    #[Test]
    public function an_answer_is_not_lost_to_a_refresh_that_came_between(): void
    {
        $this->task('Essay');
        $this->post('/plan/lay-out')->assertRedirect();

        $this->get('/shape', ['X-By-Itself' => '1'])->assertSee('Laid out for four weeks.');
        $this->get('/shape')->assertSee('Laid out for four weeks.');
        $this->get('/shape')->assertDontSee('Laid out for four weeks.');
    }

    #[Test]
    public function what_is_asked_by_hand_is_kept_as_ever(): void
    {
        $this->from('/settings')->put('/settings', ['zone' => 'Nowhere'])->assertSessionHasErrors('zone');
        $this->get('/settings')->assertSee('There is no such time zone.');
        $this->get('/settings')->assertDontSee('There is no such time zone.');
    }
}
