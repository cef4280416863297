<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Calendars\Fetch;
use App\Calendars\PublicHost;
use Simulated\Calendars\Shelf;
use Symfony\Component\HttpClient\NativeHttpClient;

/** The simulated calendar server, started for a test on a port and a folder of its own. */
final class SimulatedServer
{
    public readonly Shelf $shelf;

    /** @param  resource  $process */
    private function __construct(private $process, private readonly string $folder, public readonly int $port)
    {
        $this->shelf = new Shelf($folder);
    }

    public static function start(): self
    {
        $folder = sys_get_temp_dir().'/nekto-calendars-'.bin2hex(random_bytes(6));
        $free = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No port is free.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($free, false), ':'), 1);
        fclose($free);
        $process = proc_open([PHP_BINARY, '-d', 'memory_limit=64M', '-S', "127.0.0.1:{$port}", base_path('simulated/calendars/router.php')], [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes, null, ['SIMULATED_CALENDARS' => $folder, 'PHP_CLI_SERVER_WORKERS' => '4'] + getenv());
        is_resource($process) || throw new \RuntimeException('The simulated server did not start.');
        for ($tries = 0; $tries < 200 && ! ($at = @fsockopen('127.0.0.1', $port)); $tries++) {
            usleep(25_000);
        }

        return new self($process, $folder, $port);
    }

    /** @param  int  $seconds  that it waits for an answer */
    public function fetch(int $seconds = 10, int $mostBytes = 2_000_000): Fetch
    {
        return new Fetch(new NativeHttpClient, new PublicHost(["127.0.0.1:{$this->port}"], static fn (string $name): array => ['127.0.0.1']), $mostBytes, $seconds);
    }

    public function address(string $name): string
    {
        return "http://127.0.0.1:{$this->port}/{$name}.ics";
    }

    public function stop(): void
    {
        proc_terminate($this->process, 9);
        exec('pkill -9 -f '.escapeshellarg("127.0.0.1:{$this->port} ").' 2>/dev/null'); // its workers
        array_map(unlink(...), [...(glob("{$this->folder}/*") ?: []), ...(glob("{$this->folder}/.*.next") ?: [])]);
        rmdir($this->folder);
    }
}
