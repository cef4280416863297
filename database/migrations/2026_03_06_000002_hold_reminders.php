<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A reminder is given to one window and is shown only once that has said so: a page on its way out loses none. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('reminders', static function (Blueprint $table): void {
            $table->foreignId('task_id')->nullable()->constrained()->nullOnDelete();
            $table->string('given_to')->nullable();
            $table->dateTime('given_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('reminders', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('task_id');
            $table->dropColumn(['given_to', 'given_at']);
        });
    }
};
