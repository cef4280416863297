<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/* Full text by groups of three characters, so that a word is also found by most of its letters. Triggers keep it up to date. */
return new class extends Migration
{
    /** Table, its code, title and further text. */
    private const TABLES = [
        ['tasks', 0, 'title', "coalesce(new.note, '') || ' ' || coalesce(new.waiting_for, '')"],
        ['projects', 1, 'name', "coalesce(new.note, '')"],
        ['messages', 2, 'subject', "new.from_name || ' ' || new.body"],
        ['meetings', 3, 'summary', "''"],
    ];

    public function up(): void
    {
        DB::unprepared('create virtual table search using fts5(user_id unindexed, kind unindexed, title, body, tokenize = "trigram")');
        foreach (self::TABLES as [$table, $code, $title, $body]) {
            $insert = "insert into search (rowid, user_id, kind, title, body) values (4 * new.id + {$code}, new.user_id, '{$table}', new.{$title}, {$body});";
            $delete = "delete from search where rowid = 4 * old.id + {$code};";
            $columns = ['tasks' => 'title, note, waiting_for', 'projects' => 'name, note', 'messages' => 'subject, body', 'meetings' => 'summary'][$table];
            DB::unprepared("create trigger search_{$table}_insert after insert on {$table} begin {$insert} end");
            DB::unprepared("create trigger search_{$table}_update after update of {$columns} on {$table} begin {$delete} {$insert} end");
            DB::unprepared("create trigger search_{$table}_delete after delete on {$table} begin {$delete} end");
            DB::unprepared("insert into search (rowid, user_id, kind, title, body) select 4 * new.id + {$code}, new.user_id, '{$table}', new.{$title}, {$body} from {$table} as new");
        }
    }

    public function down(): void
    {
        foreach (self::TABLES as [$table]) {
            foreach (['insert', 'update', 'delete'] as $when) {
                DB::unprepared("drop trigger if exists search_{$table}_{$when}");
            }
        }
        DB::unprepared('drop table if exists search');
    }
};
