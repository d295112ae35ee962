<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ReadingsRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Where instruments post what they measured. The same reading sent again is taken once. */
final class ReadingController
{
    public function store(ReadingsRequest $request): JsonResponse
    {
        $rows = $request->rows();
        $new = DB::transaction(static fn(): int => DB::table('readings')->insertOrIgnore($rows));

        return response()->json(['taken' => $new, 'known' => count($rows) - $new], $new > 0 ? 201 : 200);
    }
}
