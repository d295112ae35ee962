<?php

declare(strict_types=1);

namespace App\Pages\Group;

use App\Actions\IdIsTakenException;
use App\Actions\LeadClass;
use App\Actions\NotebookIsFullException;
use App\Actions\RecordEntry;
use App\Language\DesignWords;
use App\Language\PathWords;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Entry;
use App\Models\Group;
use App\Models\User;
use App\Pages\Plan\StepWords;
use App\Pages\Run\Floor;
use App\Record\CarReading;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\Notebook\Station;

/** A group's own path: its stations, its notebook, and what it puts there. */
final class StationController
{
    public function show(Request $request, Challenge $challenge, Group $group, Station $station, LeadClass $class): View|RedirectResponse
    {
        $own = self::own($challenge, $group);
        if ($request->user() instanceof Device && !$request->hasHeader('X-Beside')) {
            $class->arrive($group, $station);
        }
        if ($station === Station::Run) {
            return redirect()->route('groups.own', [$challenge, $group]);
        }

        // A station that is closed shows that it is, and nothing of what it holds.
        if (!$own->path->isOpen($station) && $request->user() instanceof Device) {
            /** @var view-string $closed */
            $closed = 'group.closed';

            return view($closed, self::shared($own, $station));
        }
        /** @var view-string $view */
        $view = "group.{$station->value}";

        return view($view, self::shared($own, $station) + match ($station) {
            Station::Idea => [
                'warmUps' => WarmUps::of($own),
                'builds' => (new DesignWords($own->plan))->of($group),
                'reading' => new CarReading($own->car, $own->plan, $own->plan->kitCar()),
            ],
            Station::Build => [
                'layout' => $own->plan->layoutOf($own->car),
                'steps' => new StepWords($own->steps, $challenge->units),
            ],
            Station::Check => ['item' => CheckStation::of($own, $request->string('item')->toString())],
            Station::Guess => ['drawing' => new GuessTape($challenge->units, $challenge->lane_length->quantity->si(), $own->forecast())],
            Station::Why => ['why' => WhyReading::of($own)],
            Station::Change => ['asked' => DesignWords::asked($own->record, $own->group, $own->plan)],
        });
    }

    public function notebook(Challenge $challenge, Group $group): View
    {
        $own = self::own($challenge, $group);

        /** @var view-string $view */
        $view = 'group.notebook';

        return view($view, self::shared($own, null) + ['pages' => Notebook::of($own)]);
    }

    public function store(EntryRequest $request, Challenge $challenge, Group $group, RecordEntry $record): JsonResponse|RedirectResponse
    {
        /** @var User|Device $by */
        $by = $request->user();
        $kind = $request->kind() ?? throw new \LogicException('It was validated.');
        $questions = $request->questions();
        if ($questions !== []) {
            return $request->expectsJson()
                ? response()->json(['questions' => $questions], 409)
                : redirect()->back()->withInput()->with('asked', implode(',', array_keys($questions)))->withErrors(array_map(
                    static fn(string $asked): string => Text::of('frame.form.if_it_is_right_save_it', ['questions' => $asked]),
                    $questions,
                ));
        }
        try {
            $entry = $record(
                $challenge,
                $group,
                $request->id(),
                $kind,
                $request->payload(),
                $request->madeAt(),
                $by,
                $request->guess(),
                $request->reading(),
                $request->photo(),
            );
        } catch (IdIsTakenException) {
            throw ValidationException::withMessages(['id' => Text::of('path.form.this_page_is_old')]);
        } catch (NotebookIsFullException) {
            throw ValidationException::withMessages(['kind' => Text::of('path.form.notebook_is_full')]);
        }

        return $request->expectsJson()
            ? response()->json(
                ['id' => $entry->id, 'said' => Text::of("path.saved.{$kind->value}")],
                $entry->wasRecentlyCreated ? 201 : 200,
            )
            : redirect()->back()->with('status', Text::of("path.saved.{$kind->value}"));
    }

    /** A photograph, to those who may see the notebook. */
    public function picture(Challenge $challenge, Group $group, Entry $entry): Response
    {
        abort_if($entry->kind !== EntryKind::Photo, 404);
        $jpeg = $entry->picture()->toBase()->value('jpeg');
        abort_if($jpeg === null, 404);

        return response((string) stream_get_contents($jpeg), 200, [
            'Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=3600', 'X-Content-Type-Options' => 'nosniff',
            'Content-Disposition' => 'inline',
        ]);
    }

    /** A sketch as SVG, to take along. */
    public function sketch(Challenge $challenge, Group $group, Entry $entry): Response
    {
        return response($entry->sketch()?->svg() ?? abort(404), 200, [
            'Content-Type' => 'image/svg+xml', 'Content-Disposition' => 'attachment; filename="sketch.svg"',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    private static function own(Challenge $challenge, Group $group): GroupsOwnPath
    {
        $record = ClassRecord::of($challenge);

        return new GroupsOwnPath(
            $record,
            $record->groups->firstWhere('id', $group->id) ?? $group,
            ClassPlan::of($challenge)->forGroup($group),
        );
    }

    /** @return array<string, mixed> */
    private static function shared(GroupsOwnPath $own, ?Station $station): array
    {
        return [
            'challenge' => $own->record->challenge,
            'record' => $own->record,
            'group' => $own->group,
            'own' => $own,
            'here' => $station,
            'words' => new PathWords($own->record->challenge->age),
            'floor' => new Floor($own->record),
        ];
    }
}
