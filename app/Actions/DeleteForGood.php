<?php

declare(strict_types=1);

namespace App\Actions;

use App\Access\PageKey;
use App\Models\Challenge;
use App\Models\School;
use App\Models\User;
use App\Record\DrawnOf;
use Illuminate\Support\Facades\DB;

/** Deletes a challenge or an account with everything that hangs on it. Nothing brings it back but a backup. */
final class DeleteForGood
{
    public function __construct(private readonly ShareChallenge $share) {}

    public function challenge(Challenge $challenge): void
    {
        DB::transaction(static fn() => $challenge->forceDelete());
        DrawnOf::forget([$challenge->id]);
    }

    public function account(User $user): void
    {
        /** @var list<int> $challenges */
        $challenges = $user->challenges()->withTrashed()->pluck('id')->all();
        DB::transaction(function () use ($user): void {
            // No school is left without a head, nor without anybody.
            foreach (School::query()->whereHas('members', static fn($members) => $members->where('user_id', $user->id))->get() as $school) {
                $this->share->leave($school, $user);
            }
            $user->delete();
        });
        DrawnOf::forget($challenges);
        PageKey::revokeAll($user);
    }
}
