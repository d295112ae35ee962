<?php

declare(strict_types=1);

namespace App\Policies;

use App\Language\Text;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Skivo\Core\People\DeviceRole;

/**
 * A challenge is its educator's, of those whom they let in (a co-teacher does all but delete and share it, an observer looks on), and
 * of devices as far as these go; to anyone else it does not exist.
 */
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
        return self::ofUser($actor, $challenge, static fn(): bool => true);
    }

    public function update(User|Device $actor, Challenge $challenge): Response
    {
        return self::ofUser(
            $actor,
            $challenge,
            static fn(User $user): bool => $challenge->isOwnedBy($user) || $challenge->roleOf($user)?->changes() === true,
        );
    }

    public function delete(User|Device $actor, Challenge $challenge): Response
    {
        return self::ofUser($actor, $challenge, static fn(User $user): bool => $challenge->isOwnedBy($user));
    }

    /** Let other educators in, and out again. */
    public function share(User|Device $actor, Challenge $challenge): Response
    {
        return $this->delete($actor, $challenge);
    }

    /** Take oneself out of a colleague's challenge. */
    public function leave(User|Device $actor, Challenge $challenge): Response
    {
        return self::ofUser($actor, $challenge, static fn(User $user): bool => !$challenge->isOwnedBy($user));
    }

    /** The floor with everyone's runs. */
    public function seeFloor(User|Device $actor, Challenge $challenge): Response
    {
        return $actor instanceof Device && $actor->isFor($challenge, DeviceRole::Log) ? Response::allow() : $this->view($actor, $challenge);
    }

    /** Log a run of some group: which one is for GroupPolicy to say. */
    public function logRuns(User|Device $actor, Challenge $challenge): Response
    {
        return $actor instanceof Device && $actor->isFor($challenge, DeviceRole::Log, DeviceRole::Group)
            ? Response::allow()
            : $this->update($actor, $challenge);
    }

    /** Say who repairs, who is skipped, who withdrew. */
    public function keepOrder(User|Device $actor, Challenge $challenge): Response
    {
        return $actor instanceof Device && $actor->isFor($challenge, DeviceRole::Log)
            ? Response::allow()
            : $this->update($actor, $challenge);
    }

    /**
     * An educator of the challenge who may not do this is told so; to another it does not exist.
     *
     * @param callable(User): bool $may
     */
    public static function ofUser(User|Device $actor, Challenge $challenge, callable $may): Response
    {
        return match (true) {
            !$actor instanceof User, !$challenge->isOwnedBy($actor) && $challenge->roleOf($actor) === null => Response::denyAsNotFound(),
            $may($actor) => Response::allow(),
            default => Response::deny(
                Text::of($challenge->roleOf($actor)?->changes() === true ? 'errors.page.is_the_owners' : 'errors.page.you_look_on'),
            ),
        };
    }
}
