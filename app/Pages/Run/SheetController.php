<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Actions\ImportSheet;
use App\Language\Text;
use App\Models\Challenge;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Skivo\Core\Challenge\GroupName;
use Skivo\Core\Exchange\Separator;
use Skivo\Core\Exchange\SheetReader;
use Skivo\Core\Exchange\SheetRow;
use Skivo\Core\Exchange\SheetWriter;
use Skivo\Core\Measurement\UnitSystem;

/** The run table: out as CSV, and in again after a look at what it would do. */
final class SheetController
{
    public function show(Challenge $challenge): View
    {
        return view('run.sheet', ['challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'text' => '', 'plan' => null]);
    }

    public function download(Request $request, Challenge $challenge): Response
    {
        $separator = Separator::tryFrom($request->string('separator')->toString()) ?? Separator::Comma;
        $csv = (new SheetWriter($challenge->units, $separator))->write(SheetRows::of(ClassRecord::of($challenge)));
        $name = Str::slug($challenge->name) ?: 'challenge';

        return new Response($csv, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$name}-class-sheet.csv\"",
        ]);
    }

    public function preview(Request $request, Challenge $challenge, ImportSheet $import): View
    {
        $text = $this->text($request);
        $plan = $import->plan($challenge, (new SheetReader(self::units($request, $challenge)))->read($text));

        return view('run.sheet', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'text' => mb_scrub($text, 'UTF-8'),
            'plan' => $plan,
            'slips' => SheetSlips::in($plan, $challenge),
            'people' => array_values(
                array_filter(array_map(static fn(SheetRow $row): string => $row->group, $plan->newGroups), GroupName::mayBePeople(...)),
            ),
        ]);
    }

    public function store(Request $request, Challenge $challenge, ImportSheet $import): RedirectResponse|View
    {
        $text = $this->text($request);
        $plan = $import->store($challenge, (new SheetReader(self::units($request, $challenge)))->read($text));
        if ($plan->problems !== []) {
            return view(
                'run.sheet',
                [
                    'challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'text' => $text, 'plan' => $plan, 'slips' => [],
                    'people' => [],
                ],
            );
        }

        ClassFindings::workAhead($challenge);

        return redirect()->route('runs.show', $challenge)->with('status', Text::of('sheet.done.the_sheet_is_in', [
            'groups' => Text::plural('sheet.done.new_group_new_groups', count($plan->newGroups)),
            'runs' => Text::plural('sheet.done.run_runs', $plan->newRuns()),
        ]));
    }

    /** A column without a unit has those of the page that it was typed in. */
    private static function units(Request $request, Challenge $challenge): UnitSystem
    {
        return $request->enum('typed_in', UnitSystem::class) ?? $challenge->units;
    }

    private function text(Request $request): string
    {
        $file = $request->file('file');
        if ($file instanceof UploadedFile) {
            if (!$file->isValid()) {
                throw ValidationException::withMessages(['file' => Text::of('sheet.done.the_file_did_not_arrive_whole')]);
            }

            return (string) $file->getContent();
        }
        $text = $request->string('text')->toString();
        if (trim($text) === '') {
            throw ValidationException::withMessages(['file' => Text::of('sheet.done.choose_a_csv_file_or_paste')]);
        }

        return $text;
    }
}
