<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A week that is drawn: names of dates with other hours, sleep, parts of the day, time reserved every week, meetings typed by hand, the lens, the first day. */
return new class extends Migration
{
    private const USERS = ['keys_most', 'morning_until', 'afternoon_until', 'sleep_from', 'sleep_to', 'twelve_hours', 'dates', 'week_starts', 'lens_id', 'first_day', 'sample_of'];

    /** Tables whose changes an open window has to know, and that change what was reckoned ahead. */
    private const PLANNED = ['routines', 'routine_days', 'lunch_days'];

    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('keys_most')->default(3); // key tasks of a day
            $table->unsignedSmallInteger('morning_until')->default(720); // minutes since local midnight
            $table->unsignedSmallInteger('afternoon_until')->default(1080);
            $table->unsignedSmallInteger('sleep_from')->nullable(); // null: hours alone say when nothing is planned
            $table->unsignedSmallInteger('sleep_to')->nullable();
            $table->boolean('twelve_hours')->default(false); // 2:30 pm
            $table->string('dates', 5)->default('en'); // the language and order of dates
            $table->unsignedTinyInteger('week_starts')->default(1); // 1 Monday to 7 Sunday
            $table->unsignedBigInteger('lens_id')->nullable(); // the group that every screen is narrowed to
            $table->json('first_day')->nullable(); // which steps of it are over; null: all of it is
            $table->unsignedBigInteger('sample_of')->nullable(); // the account that looks at this sample
        });
        Schema::table('hours_exceptions', static function (Blueprint $table): void {
            $table->string('name', 80)->nullable();
            $table->boolean('everywhere')->default(false); // a day off: of all sets of hours alike
        });
        Schema::table('meetings', static fn (Blueprint $table) => $table->text('by_hand')->nullable()); // the event as the person wrote it: what undo brings back
        Schema::create('routines', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('title', 120);
            $table->unsignedSmallInteger('at'); // minutes since local midnight
            $table->unsignedSmallInteger('minutes');
            $table->string('days', 30); // mon,tue
            $table->date('from');
            $table->date('until')->nullable();
            $table->boolean('deep')->default(false); // deep work may lie in it, and nothing else
            $table->json('parts'); // list of {title, minutes}
            $table->unsignedSmallInteger('position')->default(0);
        });
        Schema::create('routine_days', static function (Blueprint $table): void { // a day on which a routine is otherwise
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('routine_id')->constrained()->cascadeOnDelete();
            $table->date('date');
            $table->unsignedSmallInteger('at')->nullable(); // null: as usual
            $table->unsignedSmallInteger('minutes')->nullable();
            $table->boolean('dropped')->default(false);
            $table->json('ticked')->nullable(); // which parts are done
            $table->unique(['routine_id', 'date']);
            $table->index(['user_id', 'date']);
        });
        Schema::create('lunch_days', static function (Blueprint $table): void { // a day with its lunch at another time, or without
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->date('date');
            $table->unsignedSmallInteger('from')->nullable(); // null: none
            $table->unsignedSmallInteger('to')->nullable();
            $table->unique(['user_id', 'date']);
        });
        foreach (self::PLANNED as $table) {
            foreach (['insert' => 'new', 'update' => 'new', 'delete' => 'old'] as $when => $row) {
                DB::unprepared("create trigger changes_{$table}_{$when} after {$when} on {$table} begin
                    update changes set count = count + 1 where user_id = {$row}.user_id;
                    delete from prospects where user_id = {$row}.user_id;
                end");
            }
        }
    }

    public function down(): void
    {
        foreach (array_reverse(self::PLANNED) as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('meetings', static fn (Blueprint $table) => $table->dropColumn('by_hand'));
        Schema::table('hours_exceptions', static fn (Blueprint $table) => $table->dropColumn(['name', 'everywhere']));
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn(self::USERS));
    }
};
