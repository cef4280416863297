<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Occurrence;
use PHPUnit\Framework\Attributes\Test;

/** What stays of a meeting. */
final class MeetingNoteTest extends FeatureTestCase
{
    #[Test]
    public function a_note_stays_with_its_meeting_even_when_that_is_expanded_anew(): void
    {
        $this->meeting('Committee', '2026-03-11 11:00', '2026-03-11 12:00');
        $occurrence = $this->ines->occurrences()->sole();
        $this->post("/occurrences/{$occurrence->id}/note", ['note' => 'Porto wants <b>couriers</b>.'])->assertSessionHas('status');

        $columns = ['user_id' => $this->ines->id] + $occurrence->only(['summary', 'starts_at', 'ends_at']);
        $occurrence->meeting->occurrences()->delete();
        $again = $occurrence->meeting->occurrences()->create($columns);
        self::assertInstanceOf(Occurrence::class, $again);
        $this->at('2026-03-11 11:20');
        $this->get("/occurrences/{$again->id}")->assertSee('Porto wants &lt;b&gt;couriers&lt;/b&gt;.', false);
        $this->get('/work')->assertSee('Porto wants &lt;b&gt;couriers', false);

        $this->post("/occurrences/{$again->id}/note", ['note' => '']);
        self::assertFalse($this->ines->meetingNotes()->exists());
        $this->post('/plan/undo');
        self::assertSame('Porto wants <b>couriers</b>.', $this->ines->meetingNotes()->value('text'));
    }

    #[Test]
    public function what_was_decided_becomes_tasks_line_by_line(): void
    {
        $this->meeting('Committee', '2026-03-11 11:00', '2026-03-11 12:00');
        $occurrence = $this->ines->occurrences()->sole();

        $this->post("/occurrences/{$occurrence->id}/decided", ['lines' => "Ask Adaeze for the list by Friday\nBook the van 20 min"])->assertSessionHas('status', '2 tasks were caught from it.');

        self::assertSame([['Ask Adaeze for the list', '2026-03-13', null], ['Book the van', null, 20]], $this->ines->tasks()->inbox()->orderBy('id')->get()->map(static fn ($task): array => [$task->title, $task->due_on, $task->estimate])->all());
        $this->post('/plan/undo');
        self::assertSame(0, $this->ines->tasks()->inbox()->count());
        $this->post("/occurrences/{$occurrence->id}/decided", ['lines' => ''])->assertSessionHasErrors('lines');
    }

    #[Test]
    public function a_place_that_is_an_address_can_be_joined(): void
    {
        $this->meeting('Call', '2026-03-11 11:00', '2026-03-11 12:00');
        $occurrence = $this->ines->occurrences()->sole();
        $occurrence->update(['place' => 'Room 4 or https://talk.example.org/a?b=1']);

        $this->get("/occurrences/{$occurrence->id}")->assertSee('href="https://talk.example.org/a?b=1"', false);
    }
}
