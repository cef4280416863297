<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;

/** The sample scenario, once. */
final class Demo extends Command
{
    protected $signature = 'nekto:demo';

    protected $description = 'Writes the sample scenario into the database, unless it is there';

    public function handle(): int
    {
        if (User::query()->where('email', DemoSeeder::EMAIL)->exists()) {
            $this->line('The sample scenario is there and was left as it is.');

            return self::SUCCESS;
        }
        $this->callSilent('db:seed', ['--class' => DemoSeeder::class, '--force' => true]);
        $this->line('The sample scenario was written.');

        return self::SUCCESS;
    }
}
