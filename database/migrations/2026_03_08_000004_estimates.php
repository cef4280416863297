<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->string('estimates')->default('typed')); // typed, likely, careful: what the plan lays out
        Schema::table('tasks', static fn (Blueprint $table) => $table->unsignedInteger('expected')->nullable()); // minutes that the plan expects instead of what was said; null = as said
        Schema::table('prospects', static fn (Blueprint $table) => $table->json('chances')->nullable()); // % by task, once somebody has asked
    }

    public function down(): void
    {
        Schema::table('prospects', static fn (Blueprint $table) => $table->dropColumn('chances'));
        Schema::table('tasks', static fn (Blueprint $table) => $table->dropColumn('expected'));
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('estimates'));
    }
};
