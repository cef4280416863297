<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A project may begin only when another one has nothing open any more. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('projects', static fn (Blueprint $table) => $table->foreignId('after_id')->nullable()->constrained('projects')->nullOnDelete());
    }

    public function down(): void
    {
        Schema::table('projects', static fn (Blueprint $table) => $table->dropConstrainedForeignId('after_id'));
    }
};
