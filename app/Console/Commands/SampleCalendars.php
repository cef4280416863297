<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Time\Clock;
use Database\Seeders\DemoCalendar;
use Database\Seeders\DemoDates;
use Illuminate\Console\Command;

/** The sample's followed calendars as files for the simulated calendar server; what is there is left as it is. */
final class SampleCalendars extends Command
{
    protected $signature = 'nekto:sample-calendars';

    protected $description = 'Writes the sample’s calendars into the folder of the simulated calendar server (SIMULATED_CALENDARS)';

    public function handle(): int
    {
        $folder = (string) getenv('SIMULATED_CALENDARS');
        if ($folder === '') {
            $this->error('SIMULATED_CALENDARS names the folder.');

            return self::INVALID;
        }
        is_dir($folder) || mkdir($folder, 0o777, true);
        $dates = new DemoDates(Clock::now()->setTimezone(DemoCalendar::ZONE)->startOfDay());
        foreach (DemoCalendar::CALENDARS as $name => [, $kind, , , , $file]) {
            if ($kind === 'address' && ! is_file("{$folder}/{$file}")) {
                file_put_contents("{$folder}/{$file}", DemoCalendar::text($dates, $name));
                $name === DemoCalendar::FAILING && file_put_contents("{$folder}/".basename($file, '.ics').'.manner', 'missing');
            }
        }

        return self::SUCCESS;
    }
}
