<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Exchange\Format;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

/** A file with tasks, or its text. */
final class FileRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'file' => ['bail', 'required_without:text', 'nullable', 'file', 'max:'.($this->isOwn() ? 25_600 : 5120)],
            'text' => ['nullable', 'string', 'max:2000000'],
            'format' => ['nullable', Rule::enum(Format::class)],
        ];
    }

    /** Everything of an account is longer than a list. */
    private function isOwn(): bool
    {
        $file = $this->file('file');

        return $this->chosenFormat() === Format::Own || ($file instanceof UploadedFile && strtolower($file->getClientOriginalExtension()) === 'jsonl');
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.required_without' => __('files.choose'), 'file.max' => __('files.too_large'), 'file.uploaded' => __('files.too_large'), 'text.max' => __('files.too_large')];
    }

    public function chosenFormat(): ?Format
    {
        return Format::tryFrom($this->string('format')->toString());
    }

    /** @return array{string, string} name and bytes */
    public function content(): array
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? [$file->getClientOriginalName(), (string) $file->getContent()] : ['pasted text', $this->string('text')->toString()];
    }
}
