<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A project may begin only when another one has nothing open any more. */
return new class extends Migration
{
    public function up(): void
    {
        // as a statement: a foreign key added by the builder copies the table, and the copy has no triggers for the index
        DB::statement('alter table projects add column after_id integer references projects (id) on delete set null');
    }

    public function down(): void
    {
        DB::statement('alter table projects drop column after_id');
    }
};
