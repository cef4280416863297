<?php

declare(strict_types=1);

namespace App\Screens;

use Illuminate\Contracts\Support\Arrayable;

/**
 * What a screen hands to its view: each public property is one of the view's variables.
 *
 * @implements Arrayable<string, mixed>
 */
abstract readonly class Page implements Arrayable
{
    /** @return array<string, mixed> */
    final public function toArray(): array
    {
        return get_object_vars($this);
    }
}
