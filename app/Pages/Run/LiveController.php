<?php

declare(strict_types=1);

namespace App\Pages\Run;

use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/**
 * Tells a page whether anything has changed: one number, and nothing where it is still the same. Served by nginx it is live/number.php
 * that answers, without starting the framework; this is for whatever else serves, and for what is odd about a request.
 */
final class LiveController
{
    public function show(Request $request, int $live): Response
    {
        $tag = '"' . (int) DB::table('revisions')->where('challenge_id', $live)->value('number') . '"';

        return $request->headers->get('If-None-Match') === $tag
            ? response('', 304, ['ETag' => $tag])
            : response($tag, 200, ['ETag' => $tag, 'Content-Type' => 'application/json']);
    }
}
