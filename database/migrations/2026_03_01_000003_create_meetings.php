<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('calendar_imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('file_name');
            $table->string('path')->nullable(); // of the split file while it is being taken in
            $table->unsignedInteger('total'); // events, a series counts once
            $table->unsignedInteger('taken')->default(0); // looked at so far
            $table->unsignedInteger('added')->default(0);
            $table->unsignedInteger('changed')->default(0);
            $table->json('problems');
            $table->dateTime('finished_at')->nullable();
            $table->timestamps();
        });

        // One row for each UID: a single event or a series with its changed occurrences.
        Schema::create('meetings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 500);
            $table->string('summary', 500);
            $table->mediumText('source'); // its iCalendar text, to expand it further as time goes on
            $table->unsignedSmallInteger('lead_minutes')->nullable(); // to get there; null = the usual buffer
            $table->boolean('ignored')->default(false); // the person took it out of planning
            $table->dateTime('expanded_until')->nullable(); // null = nothing more to come
            $table->timestamps();
            $table->unique(['user_id', 'uid']);
        });

        Schema::create('occurrences', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('meeting_id')->constrained()->cascadeOnDelete();
            $table->string('summary', 500);
            $table->string('place', 500)->nullable();
            $table->dateTime('starts_at'); // UTC
            $table->dateTime('ends_at');
            $table->boolean('all_day')->default(false);
            $table->boolean('busy')->default(true);
            $table->index(['user_id', 'starts_at', 'ends_at']);
            $table->index(['user_id', 'ends_at']);
        });
    }

    public function down(): void
    {
        foreach (['occurrences', 'meetings', 'calendar_imports'] as $name) {
            Schema::dropIfExists($name);
        }
    }
};
