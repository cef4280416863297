<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What arrived once, by the key its sender gave it: sent again, it changes nothing. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('acts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('key', 64);
            $table->dateTime('made_at')->index();
            $table->unique(['user_id', 'key']);
        });
    }
};
