<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('tasks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('area_id')->constrained();
            $table->string('title');
            $table->string('short')->nullable(); // for narrow pieces of time
            $table->text('note')->nullable();
            $table->string('stage')->default('inbox'); // inbox, open
            $table->string('source')->default('typed');
            $table->string('typed', 2000)->nullable(); // the line as it was typed
            $table->unsignedTinyInteger('importance')->nullable(); // null = unweighed
            $table->tinyInteger('push')->default(0);
            $table->date('due_on')->nullable(); // the person's local day; the end of that day's hours
            $table->dateTime('due_at')->nullable(); // UTC, where a time was given
            $table->boolean('due_hard')->default(false);
            $table->dateTime('not_before')->nullable(); // UTC
            $table->unsignedInteger('estimate')->nullable(); // minutes
            $table->unsignedInteger('minutes_left')->nullable();
            $table->unsignedSmallInteger('min_chunk')->default(15);
            $table->unsignedSmallInteger('max_chunk')->default(120);
            $table->string('demand')->default('light');
            $table->unsignedSmallInteger('carried')->default(0);
            $table->dateTime('done_at')->nullable();
            $table->softDeletes();
            $table->timestamps();
            $table->index(['user_id', 'done_at', 'stage']);
        });

        Schema::create('blocks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->dateTime('starts_at'); // UTC
            $table->dateTime('ends_at');
            $table->boolean('anchored')->default(false);
            $table->boolean('kept')->default(false); // an undo put it back: healing leaves it alone
            $table->string('state')->default('planned'); // planned, done, part, passed
            $table->json('reasons')->nullable();
            $table->index(['user_id', 'starts_at']);
            $table->index(['user_id', 'state', 'ends_at']);
        });

        // What really happened, minute by minute.
        Schema::create('entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('block_id')->nullable();
            $table->dateTime('starts_at');
            $table->dateTime('ends_at')->nullable(); // null = still going on
            $table->index(['user_id', 'starts_at']);
        });

        // Each change of the plan with the rows it touched, as they were and as they became.
        Schema::create('plan_revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('cause');
            $table->json('moves'); // the change note
            $table->json('rows');
            $table->dateTime('made_at');
            $table->dateTime('seen_at')->nullable();
            $table->dateTime('undone_at')->nullable();
            $table->index(['user_id', 'undone_at', 'id']);
        });
    }

    public function down(): void
    {
        foreach (['plan_revisions', 'entries', 'blocks', 'tasks'] as $name) {
            Schema::dropIfExists($name);
        }
    }
};
