<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\TransformsRequest;

/**
 * Takes out of what was sent what no form of ours sends: bytes that no keyboard makes and no database
 * keeps, and lists where a field holds one value.
 */
final class MendText extends TransformsRequest
{
    protected function cleanValue($key, $value): mixed
    {
        return is_array($value) ? null : parent::cleanValue($key, $value);
    }

    protected function transform($key, $value): mixed
    {
        return is_string($value)
            ? preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/u', '', mb_scrub($value, 'UTF-8'))
            : $value;
    }
}
