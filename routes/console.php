<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

Schedule::command('nekto:minute')->everyMinute()->withoutOverlapping(10); // minutes after which a run that died with its lock is over
