<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Challenge;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A challenge is its educator's alone; to anyone else it does not exist. */
final class ChallengePolicy
{
    public function viewAny(): Response
    {
        return Response::allow();
    }

    public function create(): Response
    {
        return Response::allow();
    }

    public function view(User $user, Challenge $challenge): Response
    {
        return $this->ownedBy($user, $challenge);
    }

    public function update(User $user, Challenge $challenge): Response
    {
        return $this->ownedBy($user, $challenge);
    }

    public function delete(User $user, Challenge $challenge): Response
    {
        return $this->ownedBy($user, $challenge);
    }

    private function ownedBy(User $user, Challenge $challenge): Response
    {
        return $challenge->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
