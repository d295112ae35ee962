<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Device;
use App\Models\Run;
use App\Models\RunChange;
use App\Models\User;

/**
 * Takes back what was last done to a run of a challenge: a logged run is taken back, one that was taken back comes back, a
 * correction is corrected again to what stood there before.
 */
final class UndoLast
{
    public function __construct(private readonly ChangeRun $change) {}

    /** @return array{string, Run}|null what was done (undone, restored or edited) and to which run; null where there is nothing to take back */
    public function __invoke(Challenge $challenge, User|Device $by): ?array
    {
        $logged = $challenge->runs()->withTrashed()->with('car.group.challenge')->orderByDesc('logged_at')->orderByDesc('id')->first();
        if ($logged === null) {
            return null;
        }
        $changed = RunChange::query()->whereIn('run_id', $challenge->runs()->withTrashed()->select('runs.id'))->orderByDesc('id')->first();
        $isNewer = $changed !== null && $changed->made_at->greaterThan($logged->logged_at);
        $run = $isNewer ? Run::query()->withTrashed()->with('car.group.challenge')->findOrFail($changed->run_id) : $logged;
        if ($isNewer && $changed->kind === 'edited' && !$run->trashed()) {
            $this->correctBack($run, $changed, $by);

            return ['edited', $run];
        }
        if ($run->trashed()) {
            $this->change->restore($run, $by);

            return ['restored', $run];
        }
        $this->change->undo($run, $by);

        return ['undone', $run];
    }

    private function correctBack(Run $run, RunChange $changed, User|Device $by): void
    {
        $challenge = $run->car->group->challenge;
        $group = $challenge->groups()->where('name', $changed->before['group'] ?? '')->first() ?? $run->car->group;
        $this->change->edit($run, $by, $group->setRelation('challenge', $challenge), ChangeRun::fromRecord($changed->before));
    }
}
