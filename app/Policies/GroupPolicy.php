<?php

declare(strict_types=1);

namespace App\Policies;

use App\Language\Text;
use App\Models\Device;
use App\Models\Group;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Skivo\Core\People\DeviceRole;

/** A group's car and runs: its educators', and its own device's while groups are not locked. */
final class GroupPolicy
{
    public function see(User|Device $actor, Group $group): Response
    {
        return match (true) {
            $actor instanceof User => (new ChallengePolicy())->view($actor, $group->challenge),
            $this->isTheirs($actor, $group) => Response::allow(),
            default => Response::denyAsNotFound(),
        };
    }

    /** Change the record of its car. */
    public function build(User|Device $actor, Group $group): Response
    {
        return match (true) {
            $actor instanceof User => (new ChallengePolicy())->update($actor, $group->challenge),
            !$this->isTheirs($actor, $group) => Response::denyAsNotFound(),
            $group->challenge->groups_are_locked => Response::deny(Text::of('errors.page.groups_are_locked')),
            default => Response::allow(),
        };
    }

    /** Log or change its runs. */
    public function logRuns(User|Device $actor, Group $group): Response
    {
        return $actor instanceof Device && $actor->challenge_id === $group->challenge_id && $actor->role === DeviceRole::Log
            ? Response::allow() : $this->build($actor, $group);
    }

    private function isTheirs(Device $device, Group $group): bool
    {
        return !$device->is_waiting && $device->role === DeviceRole::Group && $device->group_id === $group->team();
    }
}
