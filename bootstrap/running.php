<?php

declare(strict_types=1);

/*
 * Every process of the application holds a lock, together with all others, as long as it lives. Whoever brings a saved state
 * back needs it alone; as long as that lasts, nothing is answered and nothing is done.
 */
return (static function (): mixed {
    $storage = getenv('LARAVEL_STORAGE_PATH') ?: ($_ENV['LARAVEL_STORAGE_PATH'] ?? dirname(__DIR__).'/storage');
    $lock = @fopen("{$storage}/framework/running.lock", 'c'); // on a disk that cannot be written nothing can be brought back either
    if ($lock !== false && ! flock($lock, LOCK_SH | LOCK_NB)) {
        if (PHP_SAPI === 'cli') {
            fwrite(STDERR, "A saved state is being brought back. Try again when that is done.\n");
            exit(75);
        }
        http_response_code(503);
        header('Retry-After: 30');
        header('Content-Type: text/plain; charset=utf-8');
        header("Content-Security-Policy: default-src 'none'");
        exit("A saved state is being brought back. Try again in a moment.\n");
    }

    return $lock;
})();
