<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\PrepareSession;
use App\Language\DesignWords;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\MaterialLine;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
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

    public function update(MaterialsRequest $request, Challenge $challenge, PrepareSession $prepare): RedirectResponse
    {
        $prepare->materials($challenge, $request->plan(), $request->changes());

        return redirect()->route('materials.show', $challenge)->with('status', Text::of('plan.done.the_materials_are_saved_and_the'));
    }

    public function store(MaterialLineRequest $request, Challenge $challenge, PrepareSession $prepare): RedirectResponse
    {
        $line = $prepare->addMaterial($challenge, $request->line());

        return redirect()->to(route('materials.show', $challenge) . '#own')->with(
            'status',
            Text::of('plan.done.is_on_the_list', ['line' => $line->name]),
        );
    }

    public function destroy(Challenge $challenge, MaterialLine $materialLine, PrepareSession $prepare): RedirectResponse
    {
        $prepare->removeMaterial($materialLine);

        return redirect()->to(route('materials.show', $challenge) . '#own')->with(
            'status',
            Text::of('plan.done.is_off_the_list', ['material_line' => $materialLine->name]),
        );
    }

    /** What families are asked to collect, on a sheet to take home. */
    public function note(Challenge $challenge): View
    {
        return $this->page('plan.note-home', $challenge);
    }

    public function count(MaterialCountRequest $request, Challenge $challenge, PrepareSession $prepare): RedirectResponse
    {
        $prepare->count($challenge, $request->string('key')->toString(), $request->integer('count'), $request->countedOn());

        return redirect()->to(route('materials.show', $challenge) . '#collecting')->with('status', Text::of('plan.done.counted'));
    }

    public function takeBackCount(Challenge $challenge, string $key, PrepareSession $prepare): RedirectResponse
    {
        $prepare->takeBackCount($challenge, $key);

        return redirect()->to(route('materials.show', $challenge) . '#collecting')->with('status', Text::of('plan.done.count_taken_back'));
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
        $plan = ClassPlan::of($challenge);

        return view($view, [
            'challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'plan' => $plan, 'builds' => new DesignWords($plan),
        ]);
    }
}
