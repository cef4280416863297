<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->rememberToken();
            $table->string('zone')->default('UTC');
            $table->unsignedSmallInteger('margin_percent')->default(20);
            $table->unsignedSmallInteger('buffer_before')->default(0); // minutes kept free before each meeting
            $table->unsignedSmallInteger('buffer_after')->default(0);
            $table->unsignedSmallInteger('lunch_from')->nullable(); // minutes since local midnight
            $table->unsignedSmallInteger('lunch_to')->nullable();
            $table->unsignedSmallInteger('deep_limit')->default(240); // minutes a day
            $table->string('addresses', 500)->default(''); // further addresses under which calendars know the person
            $table->string('theme')->default('auto');
            $table->boolean('single_keys')->default(true);
            $table->timestamps();
        });

        Schema::create('hours_sets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->json('week'); // weekday → list of [from, to] by the wall clock
            $table->unsignedSmallInteger('position')->default(0);
            $table->timestamps();
            $table->unique(['user_id', 'name']);
        });

        Schema::create('hours_exceptions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('hours_set_id')->constrained()->cascadeOnDelete();
            $table->date('date');
            $table->json('stretches'); // list of [from, to]; empty = closed
            $table->unique(['hours_set_id', 'date']);
        });

        Schema::create('areas', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('hours_set_id')->constrained();
            $table->string('name');
            $table->string('hue'); // one of the eight area colours
            $table->unsignedSmallInteger('position')->default(0);
            $table->timestamps();
            $table->unique(['user_id', 'name']);
        });
    }

    public function down(): void
    {
        foreach (['areas', 'hours_exceptions', 'hours_sets', 'users'] as $name) {
            Schema::dropIfExists($name);
        }
    }
};
