<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A change of a block that needs nothing else. */
final class BlockRequest extends FormRequest
{
    use ComesWithMark;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->markRules();
    }
}
