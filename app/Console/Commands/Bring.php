<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ReadArchive;
use App\Archive\UnreadableArchiveException;
use App\Language\Text;
use App\Models\User;
use Illuminate\Console\Command;

/** Stores a challenge from its archive, for an account. */
final class Bring extends Command
{
    protected $signature = 'skivo:bring {file} {email : of the account that it is for}';

    protected $description = 'Bring in a challenge from its archive';

    public function handle(ReadArchive $read): int
    {
        $email = mb_strtolower((string) $this->argument('email'));
        $user = User::query()->where('email', $email)->first();
        if ($user === null) {
            $this->error("There is no account {$email}. Nothing was stored.");

            return self::FAILURE;
        }
        try {
            $challenge = $read((string) $this->argument('file'), $user);
        } catch (UnreadableArchiveException $unreadable) {
            $this->error(Text::of("archive.form.{$unreadable->getMessage()}", $unreadable->places));

            return self::FAILURE;
        }
        $this->info("Brought in: {$challenge->name}, as challenge {$challenge->id} of {$email}.");

        return self::SUCCESS;
    }
}
