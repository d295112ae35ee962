<?php

declare(strict_types=1);

namespace App\Models;

/** What a token may read. */
enum Scope: string
{
    /** Challenges with their rules, groups, cars and runs. */
    case Records = 'records';
    /** What was found. */
    case Findings = 'findings';
}
