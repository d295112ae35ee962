<?php

declare(strict_types=1);

namespace App\Pages\Board;

use App\Actions\NoteUse;
use App\Models\Challenge;
use App\Models\Device;
use App\Pages\Run\FloorState;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Skivo\Core\People\DeviceRole;

/** The floor for the whole room, by a link of its own that can be cut off. */
final class BoardController
{
    public function show(string $token): View
    {
        $challenge = $this->challenge($token);
        $record = ClassRecord::of($challenge);

        return view(
            'board.show',
            ['challenge' => $challenge, 'record' => $record, 'board' => FloorState::board($record), 'token' => $token],
        );
    }

    public function state(string $token): JsonResponse
    {
        return response()->json(FloorState::ofBoard($this->challenge($token)));
    }

    private function challenge(string $token): Challenge
    {
        $device = NoteUse::device(Device::withToken($token));

        return $device?->role === DeviceRole::Board ? $device->challenge : abort(404);
    }
}
