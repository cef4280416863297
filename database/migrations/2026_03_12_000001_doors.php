<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who is signed in where, what happened to an account, letters with a link in them, the second factor, and leaving. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->text('second_secret')->nullable(); // encrypted; set but not confirmed: second_since is null
            $table->dateTime('second_since')->nullable();
            $table->unsignedInteger('second_step')->nullable(); // the last time step whose code was used
            $table->json('recovery')->nullable(); // digests of recovery codes that are left
            $table->unsignedSmallInteger('idle_minutes')->nullable(); // null = as long as the application keeps a session
            $table->dateTime('leaves_at')->nullable(); // the account is to be gone then
        });

        Schema::create('sign_ins', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('agent', 300);
            $table->string('address', 45);
            $table->boolean('stays');
            $table->dateTime('began_at');
            $table->dateTime('seen_at');
            $table->dateTime('ended_at')->nullable();
            $table->index(['user_id', 'ended_at']);
        });

        Schema::create('account_notes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('about', 200)->nullable();
            $table->string('agent', 300);
            $table->string('address', 45);
            $table->dateTime('at');
            $table->index(['user_id', 'at']);
        });

        Schema::create('mailed_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind'); // reset, address
            $table->string('hash')->unique(); // SHA-256 of what stands in the letter
            $table->string('email', 200)->nullable(); // the new address
            $table->dateTime('expires_at');
            $table->dateTime('used_at')->nullable();
        });

        Schema::table('changes', function (Blueprint $table): void {
            $table->unsignedInteger('looked_count')->nullable(); // the count when the worker looked last
            $table->dateTime('wakes_at')->nullable(); // before that nothing happens by the clock alone
        });

        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });

        Schema::create('checks', function (Blueprint $table): void {
            $table->id();
            $table->unsignedInteger('at'); // when /up last wrote here, seconds
        });

        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }

    public function down(): void
    {
        foreach (['failed_jobs', 'checks', 'jobs', 'mailed_links', 'account_notes', 'sign_ins'] as $name) {
            Schema::dropIfExists($name);
        }
        Schema::table('changes', static fn (Blueprint $table) => $table->dropColumn(['looked_count', 'wakes_at']));
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn(['second_secret', 'second_since', 'second_step', 'recovery', 'idle_minutes', 'leaves_at']));
    }
};
