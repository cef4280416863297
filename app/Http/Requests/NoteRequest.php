<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\MeetingNote;
use App\Models\Occurrence;
use Illuminate\Foundation\Http\FormRequest;

/** A note that stays with a meeting; empty takes it away. */
final class NoteRequest extends FormRequest
{
    use KnowsOldText;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $occurrence = $this->route('occurrence');
        $now = $occurrence instanceof Occurrence ? MeetingNote::query()->where($occurrence->only(['user_id', 'meeting_id', 'starts_at']))->value('text') : null;

        return ['note' => ['nullable', 'string', 'max:20000', $this->unchangedText($now)]];
    }

    public function note(): string
    {
        return trim($this->string('note')->toString());
    }
}
