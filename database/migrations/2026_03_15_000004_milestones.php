<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A milestone is a due date with no work of its own: of a project, or of one of its sections. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['projects', 'sections'] as $table) { // as a statement: the builder may copy the table, and the copy has no triggers for the index
            DB::statement("alter table {$table} add column due_on varchar");
        }
    }

    public function down(): void
    {
        foreach (['projects', 'sections'] as $table) {
            DB::statement("alter table {$table} drop column due_on");
        }
    }
};
