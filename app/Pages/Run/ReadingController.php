<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Actions\RecordReadings;
use Illuminate\Http\JsonResponse;

/** Where instruments post what they measured. The same reading sent again is taken once. */
final class ReadingController
{
    public function store(ReadingsRequest $request, RecordReadings $record): JsonResponse
    {
        $rows = $request->rows();
        $new = $record->fromInstrument($rows);

        return response()->json(['taken' => $new, 'known' => count($rows) - $new], $new > 0 ? 201 : 200);
    }
}
