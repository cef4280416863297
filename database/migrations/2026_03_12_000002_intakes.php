<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;

/** Files that come in, of every kind, in one table: read by the queue in steps, not within requests and transactions. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('intakes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind'); // calendar, mail, tasks
            $table->string('stage'); // waiting, ready, taking, finished, aside
            $table->string('name');
            $table->string('format')->nullable(); // of tasks
            $table->json('columns')->nullable(); // of a table: what each holds
            $table->json('header')->nullable(); // of a table: its headings
            $table->string('path')->nullable(); // the file as it came
            $table->string('parts')->nullable(); // what it was cut into, a line each
            $table->unsignedInteger('position')->default(0); // bytes of the parts that are taken
            $table->unsignedInteger('total')->default(0);
            $table->unsignedInteger('taken')->default(0); // looked at so far
            $table->unsignedInteger('added')->default(0);
            $table->unsignedInteger('changed')->default(0);
            $table->unsignedInteger('failed')->default(0); // what could not be read; of those the first are kept as problems
            $table->json('problems');
            $table->unsignedSmallInteger('late')->default(0); // parts that took too long
            $table->string('why', 500)->nullable(); // it was put aside
            $table->dateTime('finished_at')->nullable();
            $table->timestamps();
            $table->index(['user_id', 'kind', 'stage']);
        });
        foreach (DB::table('calendar_imports')->whereNotNull('finished_at')->orderBy('id')->get() as $row) {
            DB::table('intakes')->insert(['user_id' => $row->user_id, 'kind' => 'calendar', 'stage' => 'finished', 'name' => $row->file_name, 'total' => $row->total, 'taken' => $row->taken, 'added' => $row->added,
                'changed' => $row->changed, 'failed' => count((array) json_decode($row->problems)), 'problems' => $row->problems, 'finished_at' => $row->finished_at, 'created_at' => $row->created_at, 'updated_at' => $row->updated_at]);
        }
        foreach (DB::table('previews')->orderBy('id')->get() as $row) { // looked at and not taken yet: read once more
            Storage::put($path = 'intake/'.bin2hex(random_bytes(16)), $row->format === 'mail' ? (string) base64_decode($row->content) : $row->content);
            DB::table('intakes')->insert(['user_id' => $row->user_id, 'kind' => 'tasks', 'stage' => 'waiting', 'name' => $row->name, 'format' => $row->format, 'columns' => $row->columns, 'path' => $path, 'problems' => '[]', 'created_at' => $row->created_at, 'updated_at' => $row->updated_at]);
        }
        Schema::drop('calendar_imports');
        Schema::drop('previews');
    }

    public function down(): void
    {
        Schema::create('calendar_imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('file_name');
            $table->string('path')->nullable();
            $table->unsignedInteger('total');
            $table->unsignedInteger('taken')->default(0);
            $table->unsignedInteger('added')->default(0);
            $table->unsignedInteger('changed')->default(0);
            $table->json('problems');
            $table->dateTime('finished_at')->nullable();
            $table->timestamps();
        });
        Schema::create('previews', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('format');
            $table->longText('content');
            $table->json('columns')->nullable();
            $table->timestamps();
        });
        Schema::dropIfExists('intakes');
    }
};
