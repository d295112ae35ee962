<?php

declare(strict_types=1);

namespace App\Policies;

use App\Language\Text;
use App\Models\Device;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Skivo\Core\People\DeviceRole;

/** Readings come from instruments alone. */
final class ReadingPolicy
{
    public function post(User|Device $actor): Response
    {
        return $actor instanceof Device && $actor->role === DeviceRole::Instrument
            ? Response::allow()
            : Response::deny(Text::of('errors.page.not_an_instrument'));
    }
}
