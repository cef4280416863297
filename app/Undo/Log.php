<?php

declare(strict_types=1);

namespace App\Undo;

use Illuminate\Database\Connection;

/**
 * Writes down what every statement does to the guarded tables, by triggers of this connection alone (SQLite keeps them in
 * its temporary database). So nothing that changes a row can be forgotten, whoever writes it, and a change costs what it
 * touches, not what there is. Rolled back with the transaction it belongs to.
 */
final class Log
{
    /** @var array<string, list<string>> the columns of each table, read from the schema at once */
    private array $columns = [];

    public function __construct(private readonly Connection $db) {}

    public function isOn(): bool
    {
        return $this->exists() && (int) $this->db->scalar('select count(*) from temp.undo_on') > 0;
    }

    public function begin(): void
    {
        $this->exists() || $this->install();
        $this->db->unprepared('delete from temp.undo_log; insert into temp.undo_on values (1)');
    }

    public function end(): void
    {
        $this->db->statement('delete from temp.undo_on');
    }

    /**
     * What was touched since begin(), each row once.
     *
     * @return array<string, array<int, array<string, mixed>|null>> by table in the order of Guarded, then id: the whole row as it
     *                                                            was; null: there was none
     */
    public function before(): array
    {
        $before = [];
        foreach ($this->db->select('select what, id, was from temp.undo_log order by seq') as $one) {
            if (! array_key_exists((int) $one->id, $before[$one->what] ?? [])) {
                $before[$one->what][(int) $one->id] = $one->was === null ? null : json_decode((string) $one->was, true, 8, JSON_THROW_ON_ERROR);
            }
        }

        return array_replace(array_intersect_key(array_fill_keys(array_keys(Guarded::TABLES), []), $before), $before);
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, array<string, mixed>> the journaled columns as they are, by id
     */
    public function now(string $table, array $ids): array
    {
        $rows = [];
        foreach (array_chunk($ids, 500) as $some) {
            foreach ($this->db->table($table)->whereIn('id', $some)->get($this->journaled($table)) as $row) {
                $rows[(int) $row->id] = (array) $row;
            }
        }

        return $rows;
    }

    /** @return list<string> the id among them */
    public function journaled(string $table): array
    {
        return array_values(array_diff($this->columns($table), Guarded::TABLES[$table]));
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed> without what the table has no more
     */
    public function known(string $table, array $row): array
    {
        return array_intersect_key($row, array_flip($this->columns($table)));
    }

    /** @return list<string> */
    private function columns(string $table): array
    {
        if ($this->columns === []) {
            foreach ($this->db->select('select m.name as t, p.name as c from sqlite_master m join pragma_table_info(m.name) p where m.type = \'table\' order by p.cid') as $one) {
                $this->columns[(string) $one->t][] = (string) $one->c;
            }
        }

        return $this->columns[$table];
    }

    private function exists(): bool
    {
        return (int) $this->db->scalar("select count(*) from temp.sqlite_master where name = 'undo_log'") > 0;
    }

    private function install(): void
    {
        $sql = ['create temp table undo_log (seq integer primary key, what text, id integer, was text)', 'create temp table undo_on (yes integer)'];
        foreach (array_keys(Guarded::TABLES) as $table) {
            $was = implode(', ', array_map(static fn (string $column): string => "'{$column}', old.\"{$column}\"", $this->columns($table)));
            $when = 'when exists (select 1 from undo_on)';
            $sql[] = "create temp trigger undo_{$table}_new after insert on main.{$table} {$when} begin insert into undo_log (what, id) values ('{$table}', new.id); end";
            $sql[] = "create temp trigger undo_{$table}_set after update on main.{$table} {$when} begin insert into undo_log (what, id, was) values ('{$table}', old.id, json_object({$was})); end";
            $sql[] = "create temp trigger undo_{$table}_gone after delete on main.{$table} {$when} begin insert into undo_log (what, id, was) values ('{$table}', old.id, json_object({$was})); end";
        }
        $this->db->unprepared(implode(";\n", $sql));
    }
}
