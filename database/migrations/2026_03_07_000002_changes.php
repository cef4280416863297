<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/* How often anything of an account has changed that a screen may show: every open window asks that every few seconds. */
return new class extends Migration
{
    /** What changes without a revision of the plan, and the revisions themselves; each trigger costs every connection some time. */
    private const TABLES = [
        'areas' => ['insert', 'update', 'delete'], 'projects' => ['insert', 'update', 'delete'], 'tasks' => ['insert', 'update', 'delete'], 'entries' => ['insert', 'update', 'delete'],
        'meetings' => ['insert', 'update', 'delete'], 'meeting_notes' => ['insert', 'update', 'delete'], 'messages' => ['insert', 'update'], 'closed_days' => ['insert', 'update'], 'plan_revisions' => ['insert', 'update'],
    ];

    public function up(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->dateTime('looked_after_at')->nullable()); // the minute whose work the worker has done for the account
        Schema::create('changes', static function (Blueprint $table): void {
            $table->foreignId('user_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('count')->default(0);
        });
        DB::statement('insert into changes (user_id) select id from users');
        DB::unprepared('create trigger changes_users_insert after insert on users begin insert into changes (user_id) values (new.id); end');
        DB::unprepared('create trigger changes_users_update after update on users when new.looked_after_at is old.looked_after_at begin update changes set count = count + 1 where user_id = new.id; end');
        foreach (self::TABLES as $table => $times) {
            foreach ($times as $when) {
                $row = $when === 'delete' ? 'old' : 'new';
                DB::unprepared("create trigger changes_{$table}_{$when} after {$when} on {$table} begin update changes set count = count + 1 where user_id = {$row}.user_id; end");
            }
        }
        Schema::table('reminders', static fn (Blueprint $table) => $table->index(['user_id', 'shown_at']));
    }

    public function down(): void
    {
        Schema::table('reminders', static fn (Blueprint $table) => $table->dropIndex(['user_id', 'shown_at']));
        foreach ([...array_keys(self::TABLES), 'users'] as $table) {
            foreach (['insert', 'update', 'delete'] as $when) {
                DB::unprepared("drop trigger if exists changes_{$table}_{$when}");
            }
        }
        Schema::drop('changes');
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('looked_after_at'));
    }
};
