<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\School;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A school is its educators'; who heads it invites others. */
final class SchoolPolicy
{
    public function view(User $user, School $school): Response
    {
        return $school->memberFor($user) === null ? Response::denyAsNotFound() : Response::allow();
    }

    public function lead(User $user, School $school): Response
    {
        return $school->memberFor($user)?->is_head === true ? Response::allow() : Response::denyAsNotFound();
    }
}
