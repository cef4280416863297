<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What the weeks are for: cycles, goals with their steps, habits, weekly reviews, reports, and what was said of chances. */
return new class extends Migration
{
    public function up(): void
    {
        $this->goals();
        $this->habits();
        $this->looks();
        // as statements: the builder may copy a table, and the copy has no triggers for the index
        DB::statement('alter table tasks add column habit_id integer references habits (id) on delete set null');
        DB::statement('create index tasks_habit on tasks (habit_id, occurs_on)');
        DB::statement('alter table areas add column prompt varchar');
        DB::statement('alter table areas add column private tinyint(1) not null default 0');
        DB::statement('alter table contexts add column private tinyint(1) not null default 0');
        DB::statement('alter table users add column review_on integer default 5');
        DB::statement('alter table users add column review_at integer not null default 1020');
        DB::statement('alter table users add column encourages tinyint(1) not null default 1');
        DB::statement("update users set reminds = reminds || ',review,report' where reminds like '%close%'"); // who is reminded of the day is reminded of the week
        DB::statement('create index entries_of_task on entries (task_id, starts_at)');
        DB::statement('create index blocks_of_task on blocks (task_id, starts_at)');
    }

    public function down(): void
    {
        DB::statement('drop index blocks_of_task');
        DB::statement('drop index entries_of_task');
        DB::statement('drop index tasks_habit');
        foreach (['tasks' => ['habit_id'], 'areas' => ['prompt', 'private'], 'contexts' => ['private'], 'users' => ['review_on', 'review_at', 'encourages']] as $table => $columns) {
            foreach ($columns as $column) {
                DB::statement("alter table {$table} drop column {$column}");
            }
        }
        foreach (['said_chances', 'reports', 'reviews', 'habits', 'goal_steps', 'goal_marks', 'goals', 'cycles'] as $table) {
            Schema::drop($table);
        }
    }

    private function goals(): void
    {
        Schema::create('cycles', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('begins_on');
            $table->unsignedTinyInteger('weeks');
            $table->text('vision')->nullable();
            $table->text('account')->nullable();
            $table->dateTime('closed_at')->nullable();
        });
        Schema::create('goals', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('cycle_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('area_id')->constrained();
            $table->foreignId('project_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('task_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name');
            $table->string('purpose')->nullable();
            $table->string('unit')->default('');
            $table->double('target');
            $table->boolean('weekly')->default(false);
            $table->string('due_on')->nullable();
            $table->string('moved_by')->default('hand');
            $table->unsignedInteger('position')->default(0);
        });
        Schema::create('goal_marks', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('goal_id')->constrained()->cascadeOnDelete();
            $table->string('date');
            $table->double('value');
            $table->unique(['goal_id', 'date']);
        });
        Schema::create('goal_steps', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('goal_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->string('week_on');
            $table->string('fate')->nullable();
            $table->unique(['task_id', 'goal_id', 'week_on']);
        });
    }

    private function habits(): void
    {
        Schema::create('habits', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('area_id')->constrained();
            $table->foreignId('goal_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('hours_set_id')->nullable()->constrained()->nullOnDelete();
            $table->string('title');
            $table->unsignedInteger('minutes');
            $table->unsignedTinyInteger('times');
            $table->string('part')->nullable();
            $table->unsignedInteger('best_at')->nullable();
            $table->string('from');
            $table->string('until')->nullable();
            $table->unsignedInteger('position')->default(0);
        });
    }

    private function looks(): void
    {
        Schema::create('reviews', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('week_on');
            $table->unsignedTinyInteger('step')->default(1);
            $table->unsignedInteger('place')->default(0);
            $table->text('caught');
            $table->text('kept')->default('[]');
            $table->text('note')->nullable();
            $table->text('account')->nullable();
            $table->dateTime('begun_at');
            $table->dateTime('closed_at')->nullable();
            $table->unique(['user_id', 'week_on']);
        });
        Schema::create('reports', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('project_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('scope');
            $table->string('sections');
            $table->string('to')->nullable();
            $table->unsignedTinyInteger('remind_on')->nullable();
            $table->unsignedInteger('remind_at')->nullable();
            $table->unsignedInteger('position')->default(0);
        });
        Schema::create('said_chances', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->dateTime('due');
            $table->unsignedTinyInteger('percent');
            $table->dateTime('said_at');
            $table->unique(['task_id', 'due']);
        });
    }
};
