<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A meeting belongs to a calendar: a file, an address that is followed, or one that is kept here. Columns of older tables
 * refer to others without a constraint: SQLite would have to build those tables anew, and lose their triggers.
 */
return new class extends Migration
{
    /** What of a calendar changes the plan, and with it what was reckoned ahead. */
    private const PLANNED = 'blocks, whole_days, buffer_before, buffer_after, travel, removed_at';

    public function up(): void
    {
        Schema::create('calendar_groups', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->unsignedSmallInteger('position')->default(0);
        });
        Schema::create('calendars', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('group_id')->nullable()->constrained('calendar_groups')->nullOnDelete();
            $table->string('kind'); // file, address, here
            $table->string('name', 120);
            $table->boolean('named')->default(false); // by the person: what the calendar calls itself changes it no more
            $table->unsignedTinyInteger('hatching')->default(1); // 1 to 5
            $table->unsignedSmallInteger('position')->default(0);
            $table->boolean('shown')->default(true);
            $table->string('blocks')->default('all'); // all, sure, none
            $table->boolean('whole_days')->default(true); // whole days take the day
            $table->unsignedSmallInteger('buffer_before')->nullable(); // null: as the person has it
            $table->unsignedSmallInteger('buffer_after')->nullable();
            $table->unsignedSmallInteger('travel')->default(0); // minutes to get to where a meeting has a place
            $table->string('file_name')->nullable();
            $table->text('address')->nullable(); // encrypted: who knows it reads the calendar
            $table->string('etag', 500)->nullable(); // what the address said of its last good answer
            $table->string('modified', 100)->nullable();
            $table->string('digest', 64)->nullable(); // of what was taken last
            $table->unsignedSmallInteger('every')->nullable(); // minutes between two looks, as the calendar wishes
            $table->dateTime('fetched_at')->nullable(); // of the last good answer, or the file
            $table->dateTime('tried_at')->nullable();
            $table->dateTime('next_at')->nullable()->index();
            $table->unsignedSmallInteger('failures')->default(0);
            $table->dateTime('failing_since')->nullable();
            $table->string('why', 500)->nullable(); // the last answer was no good one
            $table->dateTime('removed_at')->nullable();
            $table->timestamps();
            $table->index(['user_id', 'removed_at']);
        });
        Schema::table('meetings', function (Blueprint $table): void {
            $table->dropUnique(['user_id', 'uid']);
            $table->unsignedBigInteger('calendar_id')->nullable(); // null only while older rows have none
            $table->dateTime('gone_at')->nullable(); // it is no more at its source; what was held before stays held
            $table->boolean('missing')->default(false); // it was not in what came last
            $table->boolean('messaged')->default(false); // a message has changed it since it came from its source
            $table->string('organizer', 320)->nullable();
            $table->unsignedInteger('sequence')->default(0);
            $table->boolean('invited')->default(false); // the person is one of those who were asked
            $table->unique(['calendar_id', 'uid']);
            $table->index(['user_id', 'uid']);
            $table->index(['user_id', 'expanded_until']);
            $table->index('gone_at');
        });
        Schema::table('occurrences', function (Blueprint $table): void {
            $table->string('instance', 20)->default(''); // of a series: which of its instances, by the start its rule gave, UTC
            $table->boolean('tentative')->default(false);
            $table->boolean('private')->default(false);
            $table->string('answer', 12)->nullable(); // accepted, tentative, declined, open
            $table->text('link')->nullable(); // to join it
            $table->index('meeting_id');
        });
        Schema::create('answers', function (Blueprint $table): void { // what the person has answered here
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('meeting_id')->constrained()->cascadeOnDelete();
            $table->string('instance', 20)->default(''); // of one instance; empty: of the whole
            $table->string('answer', 12);
            $table->string('instead_of', 12)->nullable(); // what its source said then: another answer there holds again
            $table->unsignedInteger('sequence'); // of what was answered: what is newer asks again
            $table->dateTime('answered_at');
            $table->unique(['meeting_id', 'instance']);
        });
        Schema::table('areas', static fn (Blueprint $table) => $table->unsignedBigInteger('group_id')->nullable());
        Schema::table('intakes', function (Blueprint $table): void {
            $table->unsignedBigInteger('calendar_id')->nullable();
            $table->unsignedInteger('gone')->default(0);
        });
        Schema::table('reminders', static fn (Blueprint $table) => $table->text('link')->nullable());
        Schema::table('messages', static fn (Blueprint $table) => $table->unsignedBigInteger('meeting_id')->nullable()); // what it says to the calendar
        Schema::table('plan_revisions', static fn (Blueprint $table) => $table->json('went')->nullable()); // meetings that are no more in their calendar, by name
        Schema::table('users', static fn (Blueprint $table) => $table->string('read_as', 64)->nullable()); // in which zone and under which addresses the meetings were read
        DB::table('users')->update(['reminds' => DB::raw("case when reminds = '' then 'meetings' else 'meetings,' || reminds end")]);
        DB::statement("insert into calendars (user_id, kind, name, file_name, fetched_at, created_at, updated_at)
            select user_id, 'file', 'Calendar', (select name from intakes i where i.user_id = m.user_id and i.kind = 'calendar' order by id desc limit 1), max(updated_at), min(created_at), max(updated_at) from meetings m group by user_id");
        DB::statement('update meetings set calendar_id = (select id from calendars c where c.user_id = meetings.user_id)');
        DB::statement("insert into calendars (user_id, kind, name, created_at, updated_at) select distinct user_id, 'file', 'Calendar', created_at, updated_at from intakes where kind = 'calendar' and stage in ('waiting', 'taking') and user_id not in (select user_id from calendars) group by user_id");
        DB::statement("update intakes set calendar_id = (select id from calendars c where c.user_id = intakes.user_id) where kind = 'calendar'");
        foreach (['insert' => 'new', 'update of name, group_id, hatching, shown, why, fetched_at, '.self::PLANNED => 'new', 'delete' => 'old'] as $when => $row) {
            DB::unprepared('create trigger changes_calendars_'.strtok($when, ' ')." after {$when} on calendars begin update changes set count = count + 1 where user_id = {$row}.user_id; end");
        }
        foreach (['calendars' => self::PLANNED, 'meetings' => 'gone_at, ignored, lead_minutes'] as $table => $columns) {
            DB::unprepared("create trigger prospects_{$table}_update after update of {$columns} on {$table} begin delete from prospects where user_id = new.user_id; end");
        }
    }

    public function down(): void
    {
        DB::unprepared('drop trigger if exists prospects_meetings_update');
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('read_as'));
        Schema::table('messages', static fn (Blueprint $table) => $table->dropColumn('meeting_id'));
        Schema::table('plan_revisions', static fn (Blueprint $table) => $table->dropColumn('went'));
        Schema::table('reminders', static fn (Blueprint $table) => $table->dropColumn('link'));
        Schema::table('intakes', function (Blueprint $table): void {
            $table->dropColumn(['calendar_id', 'gone']);
        });
        Schema::table('areas', static fn (Blueprint $table) => $table->dropColumn('group_id'));
        Schema::dropIfExists('answers');
        Schema::table('occurrences', function (Blueprint $table): void {
            $table->dropIndex(['meeting_id']);
            $table->dropColumn(['instance', 'tentative', 'private', 'answer', 'link']);
        });
        Schema::table('meetings', function (Blueprint $table): void {
            $table->dropUnique(['calendar_id', 'uid']);
            $table->dropIndex(['user_id', 'uid']);
            $table->dropIndex(['user_id', 'expanded_until']);
            $table->dropIndex(['gone_at']);
            $table->dropColumn(['calendar_id', 'gone_at', 'missing', 'messaged', 'organizer', 'sequence', 'invited']);
        });
        Schema::dropIfExists('calendars');
        Schema::dropIfExists('calendar_groups');
    }
};
