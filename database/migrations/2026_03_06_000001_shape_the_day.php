<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Time kept free of planning, without a task; small tasks dropped on it make it a batch.
        Schema::create('reserves', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('title');
            $table->dateTime('starts_at');
            $table->dateTime('ends_at');
            $table->index(['user_id', 'starts_at']);
        });
        Schema::table('blocks', static function (Blueprint $table): void {
            $table->unsignedBigInteger('reserve_id')->nullable(); // the batch it is part of
        });
        // A note that stays with a meeting through every new import: by series and start, not by row.
        Schema::create('meeting_notes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('meeting_id')->constrained()->cascadeOnDelete();
            $table->dateTime('starts_at');
            $table->text('text');
            $table->unique(['meeting_id', 'starts_at']);
        });
        // What was said once is never said again: the key is unique.
        Schema::create('reminders', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('key');
            $table->string('kind');
            $table->string('title');
            $table->string('body');
            $table->string('address');
            $table->dateTime('at');
            $table->dateTime('shown_at')->nullable();
            $table->dateTime('mailed_at')->nullable();
            $table->unique(['user_id', 'key']);
        });
        // The stand-in for sending mail: what would have gone out.
        Schema::create('outbox_mails', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('to');
            $table->string('subject');
            $table->text('body');
            $table->text('source'); // as RFC 5322 has it
            $table->dateTime('sent_at');
        });
        Schema::table('users', static function (Blueprint $table): void {
            $table->boolean('heal_asks')->default(false);
            $table->string('reminds')->default('blocks,due,waiting,close');
            $table->unsignedSmallInteger('remind_before')->default(5);
            $table->boolean('remind_mail')->default(false);
            $table->unsignedSmallInteger('close_at')->nullable()->default(1035);
            $table->boolean('sound')->default(true);
            $table->unsignedSmallInteger('rhythm_work')->nullable();
            $table->unsignedSmallInteger('rhythm_break')->default(10);
            $table->unsignedSmallInteger('rhythm_long')->default(30);
            $table->unsignedSmallInteger('rhythm_after')->default(4);
            $table->date('morning_on')->nullable(); // the day whose morning run is over
        });
    }

    public function down(): void
    {
        foreach (['outbox_mails', 'reminders', 'meeting_notes', 'reserves'] as $name) {
            Schema::dropIfExists($name);
        }
        Schema::table('blocks', static function (Blueprint $table): void {
            $table->dropColumn('reserve_id');
        });
        Schema::table('users', static function (Blueprint $table): void {
            $table->dropColumn(['heal_asks', 'reminds', 'remind_before', 'remind_mail', 'close_at', 'sound', 'rhythm_work', 'rhythm_break', 'rhythm_long', 'rhythm_after', 'morning_on']);
        });
    }
};
