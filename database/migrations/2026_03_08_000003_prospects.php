<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/* What follows from a plan: kept beside it, because it takes a while to compute, and gone as soon as meetings are others. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('prospects', static function (Blueprint $table): void {
            $table->foreignId('user_id')->primary()->constrained()->cascadeOnDelete();
            $table->json('slacks'); // latest start, slack and lateness by task and planned start
            $table->json('late'); // minutes by task
        });
        foreach (['insert' => 'new', 'update' => 'new', 'delete' => 'old'] as $when => $row) {
            DB::unprepared("create trigger prospects_occurrences_{$when} after {$when} on occurrences begin delete from prospects where user_id = {$row}.user_id; end");
        }
        Schema::table('plan_revisions', static function (Blueprint $table): void {
            $table->json('late')->default('[]'); // what it made late, by name
        });
    }

    public function down(): void
    {
        Schema::table('plan_revisions', static fn (Blueprint $table) => $table->dropColumn('late'));
        foreach (['insert', 'update', 'delete'] as $when) {
            DB::unprepared("drop trigger if exists prospects_occurrences_{$when}");
        }
        Schema::dropIfExists('prospects');
    }
};
