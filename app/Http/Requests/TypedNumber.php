<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Numbers as people type them: a comma is a point, and thousands may stand apart. */
trait TypedNumber
{
    private function readNumber(string $field): void
    {
        $typed = $this->input($field);
        is_string($typed) && $this->merge([$field => str_replace([',', ' ', "\u{a0}"], ['.', '', ''], trim($typed))]);
    }
}
