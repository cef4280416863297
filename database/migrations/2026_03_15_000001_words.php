<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** When an answer is asked about, when what lies untouched goes to someday, and whose estimate a task has. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->unsignedSmallInteger('ask_after')->default(7); // days, where nobody said when
            $table->unsignedSmallInteger('someday_after')->nullable(); // days untouched; null: never
        });
        Schema::table('tasks', static fn (Blueprint $table) => $table->boolean('by_steps')->default(false)); // its estimate is what its steps add up to
        DB::table('tasks')->whereNotNull('estimate')->whereRaw('estimate = (select sum(estimate) from subtasks where task_id = tasks.id)')->update(['by_steps' => true]);
        DB::table('tasks')->where('stage', 'waiting')->whereNull('ask_on')->whereNotNull('waiting_since')->update(['ask_on' => DB::raw("date(waiting_since, '+7 days')")]);
    }

    public function down(): void
    {
        Schema::table('tasks', static fn (Blueprint $table) => $table->dropColumn('by_steps'));
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn(['ask_after', 'someday_after']));
    }
};
