<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Foundation\Http\Middleware\TransformsRequest;

/**
 * Takes out of what was sent what no form of ours sends: bytes that no keyboard makes and no database
 * keeps, and lists where a field holds one value. What instruments post is checked by its own rules instead.
 */
final class MendText extends TransformsRequest
{
    public function handle($request, Closure $next)
    {
        return $request->is('api/*') ? $next($request) : parent::handle($request, $next);
    }

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
