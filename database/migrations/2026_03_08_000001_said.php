<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/* What is left of a task is no longer kept: only what was said is, and since when; the rest follows from the entries. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('tasks', static function (Blueprint $table): void {
            $table->renameColumn('minutes_left', 'said'); // minutes last said to be left; the estimate, until somebody says otherwise
        });
        Schema::table('tasks', static function (Blueprint $table): void {
            $table->dateTime('said_at')->nullable(); // only what was worked from then on counts; null = all of it
            $table->unsignedInteger('estimate_begun')->nullable(); // the estimate when the work began
        });
        Schema::table('entries', static function (Blueprint $table): void {
            $table->string('stopped_by', 200)->nullable(); // the meeting that stopped the clock, until somebody says whether the work went on
            $table->index(['task_id', 'starts_at']);
        });
        // What was left so far was no less for what had been worked, except where somebody had said so.
        DB::statement('update tasks set said = estimate where done_at is not null');
        DB::statement("update tasks set said_at = updated_at where done_at is null and said is not estimate and said is not null and updated_at <= datetime('now')");
        DB::statement('update tasks set estimate_begun = estimate where exists (select 1 from entries where entries.task_id = tasks.id)');
    }

    public function down(): void
    {
        DB::statement('update tasks set said = 0 where done_at is not null and said is not null');
        Schema::table('entries', static function (Blueprint $table): void {
            $table->dropIndex(['task_id', 'starts_at']);
            $table->dropColumn('stopped_by');
        });
        Schema::table('tasks', static fn (Blueprint $table) => $table->dropColumn(['said_at', 'estimate_begun']));
        Schema::table('tasks', static fn (Blueprint $table) => $table->renameColumn('said', 'minutes_left'));
    }
};
