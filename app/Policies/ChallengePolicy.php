<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Challenge;
use App\Models\Device;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Skivo\Core\Challenge\DeviceRole;

/** A challenge is its educator's, and what they let devices do; to anyone else it does not exist. */
final class ChallengePolicy
{
    public function viewAny(User $user): Response
    {
        return Response::allow();
    }

    public function create(User $user): Response
    {
        return Response::allow();
    }

    public function view(User|Device $actor, Challenge $challenge): Response
    {
        return $this->ownedBy($actor, $challenge);
    }

    public function update(User|Device $actor, Challenge $challenge): Response
    {
        return $this->ownedBy($actor, $challenge);
    }

    public function delete(User|Device $actor, Challenge $challenge): Response
    {
        return $this->ownedBy($actor, $challenge);
    }

    /** The floor with everyone's runs. */
    public function seeFloor(User|Device $actor, Challenge $challenge): Response
    {
        return $actor instanceof Device && $actor->isFor($challenge, DeviceRole::Log)
            ? Response::allow()
            : $this->ownedBy($actor, $challenge);
    }

    /** Log a run of some group: which one is for GroupPolicy to say. */
    public function logRuns(User|Device $actor, Challenge $challenge): Response
    {
        return $actor instanceof Device && $actor->isFor($challenge, DeviceRole::Log, DeviceRole::Group)
            ? Response::allow()
            : $this->ownedBy($actor, $challenge);
    }

    /** Say who repairs, who is skipped, who withdrew. */
    public function keepOrder(User|Device $actor, Challenge $challenge): Response
    {
        return $this->seeFloor($actor, $challenge);
    }

    private function ownedBy(User|Device $actor, Challenge $challenge): Response
    {
        return $actor instanceof User && $challenge->user_id === $actor->id ? Response::allow() : Response::denyAsNotFound();
    }
}
