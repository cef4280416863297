<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('blocks', static fn (Blueprint $table) => $table->renameColumn('kept', 'put_back'));
        Schema::table('users', static fn (Blueprint $table) => $table->renameColumn('heal_asks', 'mend_asks'));
        DB::table('plan_revisions')->where('cause', 'healed')->update(['cause' => 'mended']);
        $this->journalColumns();
        // One clock an account: of several that run, the one begun last goes on.
        DB::statement('update entries set ends_at = (select min(later.starts_at) from entries later where later.user_id = entries.user_id and later.starts_at > entries.starts_at)
            where ends_at is null and exists (select 1 from entries later where later.user_id = entries.user_id and later.ends_at is null and (later.starts_at > entries.starts_at or (later.starts_at = entries.starts_at and later.id > entries.id)))');
        DB::statement('delete from entries where ends_at is null and exists (select 1 from entries later where later.user_id = entries.user_id and later.ends_at is null and later.id > entries.id)');
        DB::statement('create unique index entries_one_open on entries (user_id) where ends_at is null');
    }

    public function down(): void
    {
        DB::statement('drop index entries_one_open');
        DB::table('plan_revisions')->where('cause', 'mended')->update(['cause' => 'healed']);
        Schema::table('users', static fn (Blueprint $table) => $table->renameColumn('mend_asks', 'heal_asks'));
        Schema::table('blocks', static fn (Blueprint $table) => $table->renameColumn('put_back', 'kept'));
    }

    /** What can still be undone is rewritten from whole rows to changed columns. */
    private function journalColumns(): void
    {
        $renamed = static function (?array $row): ?array {
            if ($row !== null && array_key_exists('kept', $row)) {
                $row['put_back'] = $row['kept'];
                unset($row['kept']);
            }

            return $row;
        };
        foreach (DB::table('plan_revisions')->whereNull('undone_at')->orderBy('id')->select(['id', 'rows'])->lazyById(100) as $revision) {
            $tables = [];
            foreach (json_decode((string) $revision->rows, true) ?: [] as $table => $rows) {
                foreach ($rows as $row) {
                    [$before, $after] = [$renamed($row['before']), $renamed($row['after'])];
                    $id = (int) ($before['id'] ?? $after['id'] ?? 0);
                    if ($before !== null && $after !== null) {
                        $before = array_filter($before, static fn (mixed $value, string $column): bool => $value !== ($after[$column] ?? null), ARRAY_FILTER_USE_BOTH);
                        $after = array_intersect_key($after, $before);
                    }
                    $tables[$table][] = ['id' => $id, 'before' => $before, 'after' => $after];
                }
            }
            DB::table('plan_revisions')->where('id', $revision->id)->update(['rows' => json_encode($tables, JSON_THROW_ON_ERROR)]);
        }
    }
};
