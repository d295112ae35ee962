<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\TransformsRequest;

/** Takes out of what was typed the bytes that no keyboard makes and no database keeps. */
final class MendText extends TransformsRequest
{
    protected function transform($key, $value): mixed
    {
        return is_string($value)
            ? preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/u', '', mb_scrub($value, 'UTF-8'))
            : $value;
    }
}
