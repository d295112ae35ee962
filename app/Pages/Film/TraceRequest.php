<?php

declare(strict_types=1);

namespace App\Pages\Film;

use App\Language\Text;
use App\Language\Words;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Skivo\Core\Exchange\TraceFile;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Motion\Trace\UnreadableTraceException;

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
        return [
            'file.required' => Text::of('trace.form.choose_a_csv_file'), 'file.max' => Text::of(
                'trace.form.the_file_is_larger_than_1',
            ), 'file.*' => Text::of(
                'trace.form.the_file_did_not_arrive_whole',
            ),
        ];
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
        } catch (UnreadableTraceException $unreadable) {
            $fail((new Words(UnitSystem::Metric))->say($unreadable->remark()));
        }
    }
}
