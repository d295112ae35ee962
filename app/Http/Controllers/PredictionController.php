<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Lock;
use App\Http\Requests\PredictionRequest;
use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

/** What a group expects of its next try, said before the run. */
final class PredictionController
{
    public function update(PredictionRequest $request, Challenge $challenge, Group $group): RedirectResponse
    {
        $try = DB::transaction(static function () use ($request, $challenge, $group): int {
            Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $car = $group->carToRun();
            $try = $car->load('runs')->tries($challenge)->next();
            if ($request->has('try') && $request->integer('try') !== $try) {
                return 0;
            }
            $car->predictions()->updateOrCreate(['try' => $try], ['distance' => $request->distance(), 'made_at' => now()]);

            return $try;
        });

        if ($try === 0) {
            return redirect()->back()->withInput()->with('status', "Try {$request->integer('try')} has been run meanwhile, so nothing was noted. Say it for the next one.");
        }

        return redirect()->back()->with('status', "{$group->name} expects {$request->distance()->text} of try {$try}.");
    }
}
