<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Screens\WhatIf\Wanted;
use App\Time\Clock;
use Illuminate\Foundation\Http\FormRequest;

/** A piece of work that somebody asks for: as one line, or word by word. */
final class WantedRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [];
    }

    public function wanted(): Wanted
    {
        $line = $this->words('line');

        return $line === ''
            ? Wanted::ofWords($this->user(), $this->words('title'), $this->words('long'), $this->words('demand') === 'deep', $this->words('by'), Clock::now())
            : Wanted::ofLine($this->user(), $line, Clock::now());
    }

    private function words(string $name): string
    {
        $value = $this->input($name);

        return is_string($value) ? mb_substr(trim($value), 0, 2000) : '';
    }
}
