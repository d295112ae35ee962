<?php

declare(strict_types=1);

namespace App\Pages\Paper;

use App\Actions\AdmitDevices;
use App\Language\DesignWords;
use App\Models\Challenge;
use App\Pages\Report\NotebookSheets;
use App\Pages\Room\Addresses;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Everything that a class needs on paper for its day, as one document. */
final class PackController
{
    public function show(Request $request, Challenge $challenge, AdmitDevices $devices): View
    {
        $record = ClassRecord::of($challenge);
        $pack = Pack::of($record, $request);
        // A card lets tablets in, which only who may change the class can do.
        $mayOpen = Gate::allows('update', $challenge);

        return view('paper.pack', [
            'challenge' => $challenge, 'record' => $record, 'pack' => $pack, 'plan' => $pack->plan, 'order' => $pack->order,
            'builds' => new DesignWords($pack->plan), 'timetable' => $pack->plan->timetable($record->groups->count()),
            'notebooks' => $pack->copiesOf(Paper::Notebooks) > 0 ? NotebookSheets::of($record) : null,
            'addresses' => Addresses::forTablets($request->getSchemeAndHttpHost()),
            'code' => $mayOpen && $pack->copiesOf(Paper::Cards) > 0 ? $devices->openForClass($challenge) : null,
        ]);
    }
}
