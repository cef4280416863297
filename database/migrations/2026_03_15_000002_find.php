<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Text\Folded;

/*
 * What is found: full text by groups of three letters, small and without accents, so that a word is also found by a part of
 * it and by most of its letters. The owner's column keeps one account's words apart from another's within the index. Triggers
 * keep it up to date; they know no PHP, so they take the accents off one by one.
 */
return new class extends Migration
{
    /** Table, its code, what it belongs to, title and further text. */
    private const TABLES = [
        ['tasks', 0, 'new.title', "coalesce(new.note, '') || ' ' || coalesce(new.waiting_for, '')", 'title, note, waiting_for'],
        ['projects', 1, 'new.name', "coalesce(new.note, '')", 'name, note'],
        ['messages', 2, 'new.subject', "new.from_name || ' ' || substr(new.body, 1, 20000)", 'subject, body'],
        ['meetings', 3, 'new.summary', "''", 'summary'],
        ['subtasks', 4, 'new.title', "''", 'title'],
        ['attachments', 5, 'new.name', "''", 'name'],
        ['meeting_notes', 6, 'substr(new.text, 1, 200)', 'new.text', 'text'],
    ];

    public function up(): void
    {
        $this->drop(['tasks', 'projects', 'messages', 'meetings']);
        DB::unprepared('create virtual table search using fts5(user_id unindexed, kind unindexed, title unindexed, body unindexed, owner, words, more, tokenize = "trigram")');
        DB::unprepared('create table search_folding (id integer primary key, words text, more text)'); // where accents come off, a few at a time: no statement may nest deeper
        foreach (self::TABLES as [$table, $code, $title, $body, $columns]) {
            $id = "8 * new.id + {$code}";
            $values = "{$id}, new.user_id, '{$table}', {$title}, {$body}, 'u' || new.user_id || 'u'";
            $insert = "insert into search_folding values ({$id}, lower({$title}), lower({$body})); ".self::folding("where id = {$id}")
                ."insert into search (rowid, user_id, kind, title, body, owner, words, more) select {$values}, words, more from search_folding where id = {$id}; delete from search_folding where id = {$id};";
            $delete = "delete from search where rowid = 8 * old.id + {$code};";
            DB::unprepared("create trigger search_{$table}_insert after insert on {$table} begin {$insert} end");
            DB::unprepared("create trigger search_{$table}_update after update of {$columns} on {$table} begin {$delete} {$insert} end");
            DB::unprepared("create trigger search_{$table}_delete after delete on {$table} begin {$delete} end");
            DB::unprepared("insert into search_folding select {$id}, lower({$title}), lower({$body}) from {$table} as new");
            foreach (explode('; ', rtrim(self::folding(''), '; ')) as $statement) {
                DB::unprepared($statement);
            }
            DB::unprepared("insert into search (rowid, user_id, kind, title, body, owner, words, more) select {$values}, words, more from {$table} as new join search_folding on search_folding.id = {$id}");
            DB::unprepared('delete from search_folding');
        }
    }

    public function down(): void
    {
        $this->drop(array_column(self::TABLES, 0));
        (require __DIR__.'/2026_03_03_000002_search.php')->up();
    }

    /** @param  list<string>  $tables */
    private function drop(array $tables): void
    {
        foreach ($tables as $table) {
            foreach (['insert', 'update', 'delete'] as $when) {
                DB::unprepared("drop trigger if exists search_{$table}_{$when}");
            }
        }
        DB::unprepared('drop table if exists search');
        DB::unprepared('drop table if exists search_folding');
    }

    /** The same as Folded::of, in the database's own words, in statements that do not nest too deep. */
    private static function folding(string $where): string
    {
        $pairs = [];
        foreach (Folded::ACCENTS as $plain => $letters) {
            foreach (mb_str_split($letters.mb_strtoupper($letters)) as $letter) {
                $pairs[$letter] = $plain;
            }
        }
        foreach (Folded::LETTERS as $letter => $plain) {
            $pairs[$letter] = str_replace("'", "''", $plain);
            mb_strlen(mb_strtoupper($letter)) === 1 && strlen(mb_strtoupper($letter)) > 1 && $pairs[mb_strtoupper($letter)] = $pairs[$letter];
        }
        $sql = '';
        foreach (array_chunk($pairs, 16, true) as $some) {
            $nest = static fn (string $column): string => array_reduce(array_keys($some), static fn (string $inner, string $letter): string => "replace({$inner}, '{$letter}', '{$some[$letter]}')", $column);
            $sql .= 'update search_folding set words = '.$nest('words').', more = '.$nest('more')." {$where}; ";
        }

        return $sql;
    }
};
