<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Everyone looks after their own account, and no other. */
final class UserPolicy
{
    /** The account in question is always the one that is signed in. */
    public function updateOwn(User $user): Response
    {
        return $user->exists ? Response::allow() : Response::denyAsNotFound();
    }
}
