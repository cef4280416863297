<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('promises', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->date('date'); // the person's local day
            $table->dateTime('taken_at');
            $table->string('how'); // proposal, laid_out, hours
            $table->json('tasks');
            $table->unique(['user_id', 'date']);
        });
        Schema::table('closed_days', static function (Blueprint $table): void {
            $table->json('account')->nullable(); // its rows as they were when it was closed
        });
    }

    public function down(): void
    {
        Schema::table('closed_days', static fn (Blueprint $table) => $table->dropColumn('account'));
        Schema::dropIfExists('promises');
    }
};
