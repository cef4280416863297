<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('entries', static function (Blueprint $table): void {
            $table->boolean('break')->default(false); // a rest, not work
        });
    }

    public function down(): void
    {
        Schema::table('entries', static function (Blueprint $table): void {
            $table->dropColumn('break');
        });
    }
};
