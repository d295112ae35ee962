<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Skivo\Core\Exchange\TraceFile;
use Skivo\Core\Exchange\UnreadableTrace;

/** A trace as a CSV file. */
final class TraceRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:1024', $this->isReadable(...)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.required' => 'Choose a CSV file.', 'file.max' => 'The file is larger than 1 MB. Is it the right one?', 'file.*' => 'The file did not arrive whole. Try again.'];
    }

    /** @return list<array{float, float}> */
    public function points(): array
    {
        $file = $this->file('file');

        return TraceFile::read($file instanceof UploadedFile ? (string) $file->getContent() : '');
    }

    private function isReadable(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            $this->points();
        } catch (UnreadableTrace $unreadable) {
            $fail($unreadable->getMessage());
        }
    }
}
