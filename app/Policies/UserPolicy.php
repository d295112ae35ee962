<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Everyone looks after their own account, and no other. */
final class UserPolicy
{
    /** Whoever looks after the whole installation. */
    public function administer(User $user): Response
    {
        return $user->is_administrator ? Response::allow() : Response::denyAsNotFound();
    }

    /** The account in question is always the one that is signed in. */
    public function updateOwn(User $user): Response
    {
        return $user->exists ? Response::allow() : Response::denyAsNotFound();
    }
}
