<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Edits\ProjectNames;
use App\Models\Task;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** However a project's name is written, there is one project of it. */
final class ProjectNamesTest extends FeatureTestCase
{
    /** @return list<array{string, string}> */
    public static function spellings(): array
    {
        return [['Follow-up', 'follow up'], ['Follow up', 'follow_up'], ['Évora tour', 'ÉVORA TOUR'], ['Tour', ' tour ']];
    }

    #[Test]
    #[DataProvider('spellings')]
    public function a_name_is_found_however_it_is_written(string $kept, string $written): void
    {
        $project = $this->ines->projects()->create(['name' => $kept, 'area_id' => $this->ines->areas()->firstOrFail()->id]);

        self::assertSame($project->id, (new ProjectNames($this->ines))->of($written)->id);
    }

    #[Test]
    public function a_line_a_file_a_card_and_a_sorted_item_find_the_same_project(): void
    {
        $project = $this->ines->projects()->create(['name' => 'Évora follow-up', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $this->post('/gather', ['lines' => 'Ask the printer +évora_follow-up'])->assertSessionHasNoErrors();
        $weighed = $this->task('Weighed');
        $this->post("/weigh/{$weighed->id}", ['answer' => 'make_time', 'importance' => 3, 'project' => 'ÉVORA FOLLOW UP'])->assertSessionHasNoErrors();
        $sorted = $this->task('Sorted');
        $this->post('/tasks/sort', ['ids' => [$sorted->id], 'to' => 'project', 'project' => 'évora follow-up'])->assertSessionHasNoErrors();

        self::assertSame(['Évora follow-up'], $this->ines->projects()->pluck('name')->all());
        self::assertSame(['Ask the printer', 'Sorted', 'Weighed'], Task::query()->where('project_id', $project->id)->orderBy('title')->pluck('title')->all());
    }

    #[Test]
    public function nobody_finds_a_project_of_somebody_else(): void
    {
        $other = $this->person('wim@example.org');
        $theirs = $other->projects()->create(['name' => 'Tour', 'area_id' => $other->areas()->firstOrFail()->id]);
        $mine = (new ProjectNames($this->ines))->of('Tour');

        self::assertNotSame($theirs->id, $mine->id);
        self::assertSame($this->ines->id, $mine->user_id);
    }
}
