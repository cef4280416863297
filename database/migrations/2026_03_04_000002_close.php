<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('closed_days', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->date('date');
            $table->string('went_well', 500)->nullable();
            $table->string('in_the_way', 500)->nullable();
            $table->string('tomorrow', 500)->nullable();
            $table->json('slips'); // why it slipped, by task id
            $table->dateTime('closed_at')->nullable();
            $table->unique(['user_id', 'date']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('closed_days');
    }
};
