<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // From that moment to the end of its local day no work is planned: the person fell ill, or lost the afternoon.
        Schema::create('early_ends', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->dateTime('from_at'); // UTC
            $table->dateTime('until_at');
            $table->index(['user_id', 'until_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('early_ends');
    }
};
