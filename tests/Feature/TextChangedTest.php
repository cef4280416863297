<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Wording\TextMark;
use PHPUnit\Framework\Attributes\Test;

/** A text that was changed in another window meanwhile is neither overwritten unseen, nor is what was typed here lost. */
final class TextChangedTest extends FeatureTestCase
{
    #[Test]
    public function both_texts_are_shown_and_the_person_chooses(): void
    {
        $task = $this->task('Mounts');
        $task->update(['note' => 'The old mount.']);
        $was = TextMark::of('The old mount.');
        $this->patch("/tasks/{$task->id}", ['note' => 'From the other window.', 'note_was' => $was])->assertSessionHasNoErrors();

        $this->from("/tasks/{$task->id}")->patch("/tasks/{$task->id}", ['note' => 'From here.', 'note_was' => $was])->assertSessionHasErrors('note');
        self::assertSame('From the other window.', $task->refresh()->note);
        $this->get("/tasks/{$task->id}")->assertSee('now says: “From the other window.”')->assertSee('From here.')->assertSee(TextMark::of('From the other window.'));
        $this->patch("/tasks/{$task->id}", ['note' => 'From here.', 'note_was' => TextMark::of('From the other window.')])->assertSessionHasNoErrors();
        self::assertSame('From here.', $task->refresh()->note);
    }

    #[Test]
    public function what_says_the_same_or_changes_something_else_is_no_conflict(): void
    {
        $task = $this->task('Mounts');
        $task->update(['note' => 'One.']);
        $was = TextMark::of('');

        $this->patch("/tasks/{$task->id}", ['note' => 'One.', 'note_was' => $was])->assertSessionHasNoErrors();
        $this->patch("/tasks/{$task->id}", ['title' => 'Mount 112'])->assertSessionHasNoErrors();
        $this->patch("/tasks/{$task->id}", ['note' => 'A program sends no mark.'])->assertSessionHasNoErrors();
    }

    #[Test]
    public function notes_of_projects_and_meetings_are_guarded_too(): void
    {
        $project = $this->ines->projects()->create(['name' => 'Room 3', 'area_id' => $this->ines->areas()->firstOrFail()->id, 'note' => 'Theirs.']);
        $this->meeting('Committee', '2026-03-11 11:00', '2026-03-11 12:00');
        $occurrence = $this->ines->occurrences()->firstOrFail();
        $this->post("/occurrences/{$occurrence->id}/note", ['note' => 'Theirs.', 'note_was' => TextMark::of('')])->assertSessionHasNoErrors();

        $this->patch("/projects/{$project->id}", ['note' => 'Mine.', 'note_was' => TextMark::of('')])->assertSessionHasErrors('note');
        $this->post("/occurrences/{$occurrence->id}/note", ['note' => 'Mine.', 'note_was' => TextMark::of('')])->assertSessionHasErrors('note');
        self::assertSame('Theirs.', $project->refresh()->note);
        self::assertSame('Theirs.', $this->ines->meetingNotes()->value('text'));
    }
}
