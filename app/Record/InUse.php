<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use App\Models\HomeLink;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Which of the things that few need were ever used: the menu shows those, and keeps the others under More. */
final readonly class InUse
{
    private function __construct(public bool $schools, public bool $home) {}

    public static function of(User $user, ?Challenge $challenge): self
    {
        $home = HomeLink::query()->whereIn('group_id', $challenge?->groups()->reorder()->select('id') ?? [])->toBase();
        $row = DB::query()
            ->selectSub(DB::table('school_members')->where('user_id', $user->id)->selectRaw('count(*)'), 'schools')
            ->selectSub($home->selectRaw('count(*)'), 'home')
            ->first();

        return new self((int) ($row->schools ?? 0) > 0, (int) ($row->home ?? 0) > 0);
    }
}
