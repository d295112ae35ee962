<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Invitation;
use App\Models\School;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Skivo\Core\People\MemberRole;

/** Lets other educators into a challenge or a school, and out again; shares a plan with a school. */
final class ShareChallenge
{
    /** @return string the token of a link, known this once */
    public function invite(Challenge|School $to, User $by, ?MemberRole $role = null): string
    {
        return DB::transaction(static function () use ($to, $by, $role): string {
            [$token, $hash] = Invitation::token();
            $invitation = new Invitation(
                ['user_id' => $by->id, 'role' => $role, 'token_hash' => $hash, 'expires_at' => now()->addDays(Invitation::DAYS)],
            );
            $to instanceof Challenge ? $invitation->challenge()->associate($to) : $invitation->school()->associate($to);
            $invitation->save();

            return $token;
        });
    }

    public function revoke(Invitation $invitation): void
    {
        DB::transaction(static fn(): bool => $invitation->update(['revoked_at' => now()]));
    }

    /** Who comes by a link twice, or owns the challenge, stays what they are; a link never takes a right away. */
    public function accept(Invitation $invitation, User $user): void
    {
        DB::transaction(static function () use ($invitation, $user): void {
            if ($invitation->school !== null) {
                $invitation->school->members()->firstOrCreate(['user_id' => $user->id]);
            }
            $challenge = $invitation->challenge;
            if ($challenge === null || $challenge->user_id === $user->id) {
                return;
            }
            $member = $challenge->members()->firstOrCreate(['user_id' => $user->id], ['role' => $invitation->role]);
            if ($invitation->role === MemberRole::CoTeacher) {
                $member->update(['role' => MemberRole::CoTeacher]);
            }
        });
    }

    /** Who leaves a challenge keeps nothing open in it; what they did there stays. */
    public function withdraw(Challenge $challenge, User $user): void
    {
        DB::transaction(static fn() => $challenge->members()->where('user_id', $user->id)->delete());
    }

    /** The same of whom somebody takes out; and the links by which they could come back at once open nothing any more. */
    public function dismiss(Challenge $challenge, User $user): void
    {
        DB::transaction(function () use ($challenge, $user): void {
            $role = $challenge->members()->where('user_id', $user->id)->first()?->role;
            $this->withdraw($challenge, $user);
            $challenge->invitations()->when(
                $role === MemberRole::Observer,
                static fn($links) => $links->where('role', MemberRole::Observer),
            )
                ->update(['revoked_at' => now()]);
        });
    }

    public function found(User $by, string $name): School
    {
        return DB::transaction(static function () use ($by, $name): School {
            $school = School::query()->create(['name' => $name]);
            $school->members()->create(['user_id' => $by->id, 'is_head' => true]);

            return $school;
        });
    }

    /** The last to leave closes the school; where its last head leaves, who came first is the next. */
    public function leave(School $school, User $user): void
    {
        DB::transaction(static function () use ($school, $user): void {
            School::query()->whereKey($school->id)->lock(Lock::ROW)->firstOrFail();
            $school->members()->where('user_id', $user->id)->delete();
            $school->plans()->detach(Challenge::query()->where('user_id', $user->id)->pluck('id'));
            $left = $school->members()->get();
            if ($left->isEmpty()) {
                $school->delete();
            } elseif ($left->doesntContain('is_head', true)) {
                $left->first()->update(['is_head' => true]);
            }
        });
    }

    public function plan(Challenge $challenge, School $school, bool $isShared): void
    {
        DB::transaction(static function () use ($challenge, $school, $isShared): void {
            $isShared
                ? $school->plans()->syncWithoutDetaching([$challenge->id => ['shared_at' => now()]])
                : $school->plans()->detach($challenge->id);
        });
    }
}
