<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Task;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** One thing has one figure, whoever shows it. */
final class OneFigureTest extends FeatureTestCase
{
    /** Due work that is anchored needs no other time; what is left of it competes. */
    #[Test]
    public function the_card_and_the_list_and_the_preview_weigh_alike(): void
    {
        $quotes = $this->task('Quotes', 300, Importance::High, dueOn: '2026-03-12');
        $this->block($quotes, '2026-03-12 09:00', '2026-03-12 12:30', anchored: true);
        $mount = $this->task('Mount', 120, Importance::Medium, dueOn: '2026-03-12');
        $mount->forceFill(['created_at' => '2026-01-05 09:00:00'])->save();

        [$pressure, $pull] = $this->listed($mount);
        $card = $this->postJson("/weigh/{$mount->id}/preview", ['importance' => 2, 'due_date' => '2026-03-12', 'estimate' => '2 h'])->assertOk();
        $card->assertJsonPath('pressure', $pressure)->assertJsonPath('pull', $pull);

        // By hand: 8.5 − 0.75 h a day make 15 h 30 until Thursday evening, without the 3 h 30 that are anchored 12 h; 1 h 30 of
        // Quotes are left to be laid, and 2 h of Mount: 3.5 / 12.
        self::assertSame(29, $pressure);
        $mount->update(['importance' => null]);
        $this->get('/weigh')->assertSee('Mount');
        $this->postJson("/weigh/{$mount->id}/preview", ['importance' => 2, 'due_date' => '2026-03-12', 'estimate' => '2 h'])->assertJsonPath('pull', $pull);
    }

    /** @return array{int, int} pressure in percent and pull, as the list says them */
    private function listed(Task $task): array
    {
        $row = strstr((string) $this->get('/weigh/list')->assertOk()->getContent(), "id=\"row-{$task->id}\"");
        self::assertIsString($row);
        self::assertSame(1, preg_match('/(\d+) %.*?<span class="strong">(\d+)<\/span>/s', $row, $part));

        return [(int) $part[1], (int) $part[2]];
    }
}
