<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->boolean('month_first')->default(false); // 3/4 is the fourth of March
        });
        Schema::create('projects', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('area_id')->constrained();
            $table->string('name', 200);
            $table->text('note')->nullable();
            $table->boolean('sequential')->default(false); // of its tasks outside any section
            $table->dateTime('done_at')->nullable();
            $table->softDeletes();
            $table->timestamps();
            $table->index(['user_id', 'done_at']);
        });
        Schema::create('sections', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('project_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->boolean('sequential')->default(false);
            $table->unsignedSmallInteger('position')->default(0);
        });
        Schema::create('repeats', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('rule', 200)->nullable(); // RFC 5545
            $table->string('after_done', 20)->nullable(); // ISO 8601, "P3D"
            $table->string('days_off')->default('keep'); // keep, skip or shift what falls on a closed day
            $table->json('pattern'); // what each occurrence begins with
            $table->date('begins_on');
            $table->dateTime('paused_at')->nullable();
            $table->dateTime('ended_at')->nullable();
            $table->timestamps();
            $table->index(['user_id', 'ended_at']);
        });
        Schema::table('tasks', static function (Blueprint $table): void {
            $table->foreignId('project_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('section_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('hours_set_id')->nullable()->constrained()->nullOnDelete(); // null: the area's
            $table->foreignId('repeat_id')->nullable()->constrained()->nullOnDelete();
            $table->date('occurs_on')->nullable(); // which of its occurrences it is
            $table->unsignedInteger('position')->default(0);
            $table->date('picked_on')->nullable();
            $table->boolean('key')->default(false);
            $table->dateTime('set_at')->nullable(); // UTC: a time that was set for it
            $table->string('part')->nullable(); // morning, afternoon, evening
            $table->boolean('splits')->default(true);
            $table->string('waiting_for', 200)->nullable();
            $table->date('waiting_since')->nullable();
            $table->date('ask_on')->nullable();
            $table->date('return_on')->nullable(); // someday: the day it reappears
            $table->string('origin', 191)->nullable(); // where an import found it, so that it is not taken twice
            $table->index(['user_id', 'project_id']);
            $table->unique(['user_id', 'origin']);
        });
        Schema::create('subtasks', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->string('title', 200);
            $table->unsignedInteger('estimate')->nullable(); // minutes
            $table->dateTime('done_at')->nullable();
            $table->unsignedSmallInteger('position')->default(0);
        });
        Schema::create('links', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->string('address', 2000);
            $table->string('title', 300)->nullable();
        });
        Schema::create('contexts', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 100);
            $table->unsignedSmallInteger('position')->default(0);
            $table->unique(['user_id', 'name']);
        });
        Schema::create('context_task', static function (Blueprint $table): void {
            $table->foreignId('context_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->primary(['task_id', 'context_id']);
        });
        Schema::create('messages', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('message_id', 191);
            $table->string('from_name', 200);
            $table->string('from_address', 300)->default('');
            $table->string('subject', 500);
            $table->mediumText('body');
            $table->dateTime('received_at');
            $table->date('put_off_until')->nullable();
            $table->string('state')->default('new'); // new, taken, answered, filed
            $table->foreignId('task_id')->nullable()->constrained()->nullOnDelete();
            $table->unique(['user_id', 'message_id']);
            $table->index(['user_id', 'state']);
        });
        Schema::create('attachments', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('message_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->string('path');
            $table->string('type', 100);
            $table->unsignedInteger('size'); // bytes
            $table->timestamps();
        });
        Schema::create('templates', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->json('pattern');
            $table->timestamps();
        });
        Schema::create('task_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->string('what');
            $table->json('facts');
            $table->dateTime('at');
            $table->index(['task_id', 'id']);
        });
        Schema::create('saved_views', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 100);
            $table->json('question'); // conditions, grouping, order
            $table->boolean('pinned')->default(false);
            $table->unsignedSmallInteger('position')->default(0);
            $table->timestamps();
        });
        Schema::create('capture_tokens', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 100);
            $table->string('hash', 64)->unique();
            $table->dateTime('last_used_at')->nullable();
            $table->dateTime('revoked_at')->nullable();
            $table->timestamps();
        });
        Schema::create('previews', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->string('format');
            $table->mediumText('content');
            $table->json('columns')->nullable(); // of CSV: what each holds
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::table('tasks', static function (Blueprint $table): void {
            $table->dropUnique(['user_id', 'origin']);
            $table->dropIndex(['user_id', 'project_id']);
            $table->dropConstrainedForeignId('project_id');
            $table->dropConstrainedForeignId('section_id');
            $table->dropConstrainedForeignId('hours_set_id');
            $table->dropConstrainedForeignId('repeat_id');
            $table->dropColumn(['occurs_on', 'position', 'picked_on', 'key', 'set_at', 'part', 'splits', 'waiting_for', 'waiting_since', 'ask_on', 'return_on', 'origin']);
        });
        foreach (['previews', 'capture_tokens', 'saved_views', 'task_events', 'templates', 'attachments', 'messages', 'context_task', 'contexts', 'links', 'subtasks', 'repeats', 'sections', 'projects'] as $name) {
            Schema::dropIfExists($name);
        }
        Schema::table('users', static function (Blueprint $table): void {
            $table->dropColumn('month_first');
        });
    }
};
