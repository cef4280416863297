<?php

declare(strict_types=1);

/* Loads the core's classes without Composer, so that core/bin runs from a bare checkout. */
spl_autoload_register(static function (string $class): void {
    if (str_starts_with($class, 'Nekto\\Core\\')) {
        require __DIR__.'/'.strtr(substr($class, 11), '\\', '/').'.php';
    }
});
