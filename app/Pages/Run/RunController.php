<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Access\Actor;
use App\Actions\ChangeRun;
use App\Actions\LogRun;
use App\Actions\LooksLikeOneRunException;
use App\Actions\RunHasChangedException;
use App\Language\RunWords;
use App\Language\Text;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\Run;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\People\DeviceRole;

/** Run day: the floor, the entry strip, and every run on record. */
final class RunController
{
    private const RUNS_A_PAGE = 60;

    /** The question whether another device logged this very run. */
    private const SAME_RUN = 'same_run';

    public function show(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);

        return view('run.show', ['challenge' => $challenge, 'record' => $record, 'floor' => new Floor($record)]);
    }

    /** The floor as it is now, in pieces, for a page that is open already. */
    public function state(Request $request, Challenge $challenge): JsonResponse
    {
        return response()->json(FloorState::of($challenge, $request->getSchemeAndHttpHost()) + ['token' => csrf_token()]);
    }

    public function index(Request $request, Challenge $challenge): View
    {
        $cars = array_values(
            array_filter(array_map(intval(...), explode(',', $request->string('cars')->toString())), static fn(int $id): bool => $id > 0),
        );

        return view('run.index', [
            'challenge' => $challenge,
            'behind' => $cars !== [],
            'record' => ClassRecord::of($challenge),
            'runs' => $challenge->runs()
                ->withTrashed()
                ->when($cars !== [], static fn($runs) => $runs->whereIn('car_id', $cars))
                ->with(['car.group' => self::also(...), 'changes.user', 'changes.device', 'logged.user', 'logged.device'])
                ->orderByDesc('logged_at')->orderByDesc('id')
                ->simplePaginate(self::RUNS_A_PAGE)->withQueryString(),
            'editing' => $request->string('edit')->toString(),
        ]);
    }

    /**
     * A page sends a form; a lane that may be offline sends JSON and keeps the run until it hears that it is safe:
     * 201 logged, 200 was logged already, 409 a question to answer (or "known": another run has this id), anything else refused
     * with the reason.
     */
    public function store(RunRequest $request, Challenge $challenge, LogRun $logRun): RedirectResponse|JsonResponse
    {
        $id = $request->string('id')->toString();
        $known = Run::query()->withTrashed()->find($id);
        if ($known !== null && $request->isOtherThan($known)) {
            return $this->isKnown($request, $challenge, $known->load(['car.group' => self::also(...)]));
        }
        $questions = $known === null ? $request->questions() : [];
        if ($questions !== []) {
            // One question, however much is to be asked: a second would open the first again.
            $car = in_array(self::SAME_RUN, $request->confirmed(), true) ? null : $request->group()->newestCar();
            $twin = $car === null ? null : LogRun::twin($car, $request->record(), Actor::of($request));

            return $this->ask(
                $request,
                $challenge,
                $questions + ($twin === null ? [] : [self::SAME_RUN => RunWords::twin($twin, $challenge->units)]),
            );
        }
        try {
            $run = $known ?? $logRun(
                $request->group()->setRelation('challenge', $challenge),
                $id,
                $request->record(),
                Actor::of($request),
                $request->readingIds(),
                in_array(self::SAME_RUN, $request->confirmed(), true),
            );
        } catch (LooksLikeOneRunException $found) {
            return $this->ask($request, $challenge, [self::SAME_RUN => RunWords::twin($found->twin, $challenge->units)]);
        } catch (ModelNotFoundException) {
            // Removed in this very moment.
            return $this->refuse($request, $challenge, 'group', $request->messages()['group.*']);
        }
        $run->load(['car.group' => self::also(...)]);
        if ($run->car->group->challenge_id !== $challenge->id) {
            // An id is the device's own; one that names a run elsewhere is none of ours.
            return $this->refuse($request, $challenge, 'id', Text::of('run.done.the_page_was_out_of_date'));
        }
        $said = RunWords::summary($run, $challenge->units);
        if ($request->expectsJson()) {
            return response()->json(['id' => $run->id, 'said' => $said], $known === null ? 201 : 200);
        }

        return redirect()->to($this->home($request, $challenge, $run->car->group))
            ->with('logged', $run->id)
            ->with('status', Text::of('run.done.logged', ['said' => $said]));
    }

    public function update(RunRequest $request, Challenge $challenge, Run $run, ChangeRun $change): RedirectResponse
    {
        $edition = $request->input('edition');
        try {
            $change->edit(
                $run,
                Actor::of($request),
                $request->group()->setRelation('challenge', $challenge),
                $request->record(...),
                is_numeric($edition) ? (int) $edition : null,
            );
        } catch (RunHasChangedException $changed) {
            $last = $changed->run->changes()->with(['user', 'device'])->reorder('id', 'desc')->first();

            // What was typed stays in the form; saving it again is then a choice, not a chance.
            return redirect()->to($this->list($request, $challenge, $run, ['edit' => $run->id]))
                ->withInput($request->except('edition') + ['of_run' => $run->id])
                ->with(
                    'conflict',
                    ['run' => $run->id, 'by' => $last?->by() ?? 'somebody', 'now' => RunWords::onRecord($changed->run->onRecord())],
                );
        }

        return redirect()->to($this->list($request, $challenge, $run->refresh()->load('car')))
            ->with('status', Text::of('run.done.corrected_the_old_values_stay_on'));
    }

    public function destroy(Request $request, Challenge $challenge, Run $run, ChangeRun $change): RedirectResponse
    {
        $change->undo($run, Actor::of($request));

        return redirect()->back(fallback: route('runs.show', $challenge))
            ->with('status', Text::of('run.done.taken_back', ['load' => RunWords::summary($run->load('car.group'), $challenge->units)]))
            ->with('putBack', route('runs.restore', [$challenge, $run]));
    }

    public function restore(Request $request, Challenge $challenge, Run $run, ChangeRun $change): RedirectResponse
    {
        if ($run->trashed()) {
            $change->restore($run, Actor::of($request));
        }

        return redirect()->back(fallback: route('runs.show', $challenge))
            ->with(
                'status',
                Text::of('run.done.back_on_record', ['load' => RunWords::summary($run->load('car.group'), $challenge->units)]),
            );
    }

    /** What is stored under an id stays; what comes under it and says something else is another run, or a slip: somebody must say. */
    private function isKnown(RunRequest $request, Challenge $challenge, Run $known): RedirectResponse|JsonResponse
    {
        if ($known->car->group->challenge_id !== $challenge->id) {
            // An id is the device's own; one that names a run elsewhere is none of ours.
            return $this->refuse($request, $challenge, 'id', Text::of('run.done.the_page_was_out_of_date'));
        }
        $question = Text::of('run.question.known', ['said' => RunWords::summary($known, $challenge->units)]);

        return $request->expectsJson()
            ? response()->json(['questions' => [self::SAME_RUN => $question], 'known' => true], 409)
            : redirect()->to($this->home($request, $challenge))
                ->withInput($request->except('id'))
                ->with('questions', [self::SAME_RUN => $question]);
    }

    /** @param array<string, string> $questions by field */
    private function ask(RunRequest $request, Challenge $challenge, array $questions): RedirectResponse|JsonResponse
    {
        return $request->expectsJson()
            ? response()->json(['questions' => $questions], 409)
            : redirect()->to($this->home($request, $challenge))->withInput()->with('questions', $questions);
    }

    private function refuse(RunRequest $request, Challenge $challenge, string $field, string $said): RedirectResponse|JsonResponse
    {
        return $request->expectsJson()
            ? response()->json(['errors' => [$field => [$said]]], 422)
            : redirect()->to($this->home($request, $challenge))->withErrors([$field => $said])->withInput($request->except('id'));
    }

    /** Where whoever logs a run belongs: a group at its own page, everyone else at the floor. */
    private function home(Request $request, Challenge $challenge, ?Group $ran = null): string
    {
        $device = $request->user();

        return match (true) {
            $device instanceof Device
                && $device->role === DeviceRole::Group => route('groups.own', [$challenge, $ran->id ?? $device->group_id]),
            default => route('runs.show', $challenge),
        };
    }

    /**
     * Where runs are corrected: a group's own page for its device, the list of all for everyone else.
     *
     * @param array<string, string> $also
     */
    private function list(Request $request, Challenge $challenge, Run $run, array $also = []): string
    {
        $device = $request->user();
        $page = $device instanceof Device && $device->role === DeviceRole::Group
            ? route('groups.own', [$challenge, $run->car->group_id])
            : route('runs.index', [$challenge, ...$also, 'page' => max(1, $request->integer('page'))]);

        return "{$page}#run-{$run->id}";
    }

    /**
     * With the group, removed or not: its runs are on record either way.
     *
     * @param BelongsTo<Group, Car> $groups
     */
    private static function also(BelongsTo $groups): void
    {
        $groups->withTrashed();
    }
}
