<?php

declare(strict_types=1);

/* Prints a token of the sample account. */

use App\Models\User;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
User::query()->firstOrFail()->captureTokens()->create(['name' => 'bench', 'hash' => hash('sha256', $token = bin2hex(random_bytes(20)))]);
echo $token;
