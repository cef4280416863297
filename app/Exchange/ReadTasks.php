<?php

declare(strict_types=1);

namespace App\Exchange;

/** What a file holds, and what of it could not be read. */
final readonly class ReadTasks
{
    /**
     * @param  list<Draft>  $drafts
     * @param  list<array{line: int, what: string}>  $problems
     * @param  list<string>  $header  of a table, else empty
     * @param  list<string>  $columns  of a table: what each column is taken to hold
     */
    public function __construct(public array $drafts, public array $problems, public array $header = [], public array $columns = []) {}
}
