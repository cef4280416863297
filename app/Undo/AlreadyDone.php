<?php

declare(strict_types=1);

namespace App\Undo;

/** What was sent again with its key has happened before. */
final class AlreadyDone extends \RuntimeException
{
    public function __construct()
    {
        parent::__construct('It has arrived before.');
    }
}
