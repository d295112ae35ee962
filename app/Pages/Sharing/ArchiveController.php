<?php

declare(strict_types=1);

namespace App\Pages\Sharing;

use App\Actions\ReadArchive;
use App\Archive\ChallengeArchive;
use App\Archive\UnreadableArchiveException;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use ZipArchive;

/** A challenge as one file to take along, and back from it. */
final class ArchiveController
{
    /** kB of a file that is brought in. */
    private const LARGEST_KB = 100_000;

    public function download(Challenge $challenge): BinaryFileResponse
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'archive');
        ChallengeArchive::write($challenge, $file);

        return response()->download(
            $file,
            Str::slug($challenge->name) . '.zip',
            ['Content-Type' => 'application/zip'],
        )->deleteFileAfterSend();
    }

    /** Every challenge of one's own, an archive each. */
    public function everything(Request $request): BinaryFileResponse
    {
        /** @var User $user */
        $user = $request->user();
        $file = (string) tempnam(sys_get_temp_dir(), 'archive');
        $zip = new ZipArchive();
        $zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $parts = [];
        foreach ($user->challenges()->orderBy('id')->get() as $number => $challenge) {
            $parts[] = $part = (string) tempnam(sys_get_temp_dir(), 'archive');
            ChallengeArchive::write(Challenge::query()->findOrFail($challenge->id), $part);
            $zip->addFile($part, sprintf('%02d-%s.zip', $number + 1, Str::slug($challenge->name)));
        }
        $zip->addFromString(
            'about-me.json',
            json_encode(
                ['name' => $user->name, 'email' => $user->email, 'created_at' => $user->created_at?->toIso8601String()],
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT,
            ) . "\n",
        );
        $zip->close();
        array_map(unlink(...), $parts);

        return response()->download($file, 'skivo.zip', ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    public function store(Request $request, ReadArchive $read): RedirectResponse
    {
        $request->validate(
            ['archive' => ['required', 'file', 'max:' . self::LARGEST_KB]],
            ['archive.*' => Text::of('archive.form.choose_the_file')],
        );
        /** @var User $user */
        $user = $request->user();
        try {
            $challenge = $read((string) $request->file('archive')?->getRealPath(), $user);
        } catch (UnreadableArchiveException $unreadable) {
            throw ValidationException::withMessages(
                ['archive' => Text::of("archive.form.{$unreadable->getMessage()}", $unreadable->places)],
            );
        }

        return redirect()->route('runs.show', $challenge)->with(
            'status',
            Text::of('archive.done.is_here', ['challenge' => $challenge->name]),
        );
    }
}
