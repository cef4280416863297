<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** When an answer is asked about, and when what lies untouched goes to someday. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->unsignedSmallInteger('ask_after')->default(7); // days, where nobody said when
            $table->unsignedSmallInteger('someday_after')->nullable(); // days untouched; null: never
        });
        DB::table('tasks')->where('stage', 'waiting')->whereNull('ask_on')->whereNotNull('waiting_since')->update(['ask_on' => DB::raw("date(waiting_since, '+7 days')")]);
    }

    public function down(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn(['ask_after', 'someday_after']));
    }
};
