<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What an undo itself changed, so that it can be taken back in turn. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plan_revisions', function (Blueprint $table): void {
            $table->text('redo')->nullable();
        });
    }
};
