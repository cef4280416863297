<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->unsignedSmallInteger('least_piece')->default(30); // minutes: no shorter piece of work is laid
            $table->unsignedSmallInteger('offer_anew')->default(480); // weighted minutes of lateness that laying out anew must save to be offered; 0 never
        });
        Schema::table('prospects', static function (Blueprint $table): void {
            $table->json('anew')->nullable(); // what laying out anew would do
        });
    }

    public function down(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->dropColumn(['least_piece', 'offer_anew']);
        });
        Schema::table('prospects', static fn (Blueprint $table) => $table->dropColumn('anew'));
    }
};
