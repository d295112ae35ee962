<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\MaterialLineRequest;
use App\Http\Requests\MaterialsRequest;
use App\Models\Challenge;
use App\Models\MaterialLine;
use App\Reading\ClassPlan;
use App\Reading\ClassRecord;
use App\Reading\MaterialsSheet;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** What a class must buy, collect and put into kits. */
final class MaterialsController
{
    public function show(Challenge $challenge): View
    {
        return $this->page('plan.materials', $challenge);
    }

    public function labels(Challenge $challenge): View
    {
        return $this->page('plan.labels', $challenge);
    }

    public function update(MaterialsRequest $request, Challenge $challenge): RedirectResponse
    {
        DB::transaction(static function () use ($request, $challenge): void {
            $challenge->sessionPlan()->fill($request->plan())->save();
            foreach ($request->changes() as $key => [$amount, $price]) {
                if ($amount === null && $price === null) {
                    $challenge->materialLines()->where('key', $key)->delete();
                } else {
                    $challenge->materialLines()->updateOrCreate(['key' => $key], ['amount' => $amount, 'price' => $price]);
                }
            }
        });

        return redirect()->route('materials.show', $challenge)->with('status', 'The materials are saved, and the list is made from them.');
    }

    public function store(MaterialLineRequest $request, Challenge $challenge): RedirectResponse
    {
        $line = DB::transaction(static fn() => $challenge->materialLines()->create($request->line()));

        return redirect()->to(route('materials.show', $challenge) . '#own')->with('status', "“{$line->name}” is on the list.");
    }

    public function destroy(Challenge $challenge, MaterialLine $materialLine): RedirectResponse
    {
        DB::transaction(static fn() => $materialLine->delete());

        return redirect()->to(route('materials.show', $challenge) . '#own')->with('status', "“{$materialLine->name}” is off the list.");
    }

    public function download(Challenge $challenge): Response
    {
        $name = Str::slug($challenge->name) ?: 'challenge';

        return response(MaterialsSheet::csv(ClassPlan::of($challenge)), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => "attachment; filename=\"{$name}-materials.csv\"",
        ]);
    }

    /** @param view-string $view */
    private function page(string $view, Challenge $challenge): View
    {
        return view($view, ['challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'plan' => ClassPlan::of($challenge)]);
    }
}
