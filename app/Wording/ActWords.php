<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Act;
use App\Models\Run;
use Illuminate\Support\Str;
use Skivo\Core\Measurement\UnitSystem;

/** What was done at the lane, and what undoing it does. Needs the run with its car and group loaded, or the group. */
final readonly class ActWords
{
    public function __construct(
        private Act $act,
        private UnitSystem $units,
    ) {}

    /** On the button that undoes it, as in "Undo the last: Keel, try 3". */
    public function button(): string
    {
        $run = $this->act->run;
        $what = Str::limit(($run->car->group ?? $this->act->group)->name ?? '', 24) . ($run === null ? '' : ", try {$run->try}");

        return match ($this->act->kind) {
            'logged' => "Undo the last: {$what}",
            'edited' => "Undo the correction: {$what}",
            'undone' => "Put back: {$what}",
            'restored' => "Take back again: {$what}",
            default => "Undo: {$what} {$this->ordered()}",
        };
    }

    /** After it was undone; the run as it is then. */
    public function undone(): string
    {
        $run = Run::query()->withTrashed()->with(['car.group' => static fn($groups) => $groups->withTrashed()])->find($this->act->run_id);
        if ($run === null) {
            return "{$this->act->group?->name} stands where it stood before.";
        }

        return match ($this->act->kind) {
            'edited' => 'As it was before',
            'undone' => 'Back on record',
            default => 'Taken back',
        } . ': ' . RunWords::summary($run, $this->units) . '.';
    }

    /** Where it could not be, since something else was done to it. */
    public function overtaken(Act $since): string
    {
        $run = $this->act->run;
        $what = $run === null ? (string) $this->act->group?->name : "{$run->car->group->name}, try {$run->try}";

        return $since->id === $this->act->id
            ? "{$what}: this correction was made by an older Skivo, and cannot be undone by a button. Correct the run in the list."
            : "{$what} was changed since, by {$since->by()}. Nothing was undone: look at it first.";
    }

    private function ordered(): string
    {
        [$before, $after] = [$this->act->before, $this->act->after];

        return match (true) {
            ($after['is_withdrawn'] ?? false) !== ($before['is_withdrawn'] ?? false) => ($after['is_withdrawn'] ?? false) ? 'withdrew' : 'came back',
            ($after['is_repairing'] ?? false) !== ($before['is_repairing'] ?? false) => ($after['is_repairing'] ?? false) ? 'repairs' : 'is ready',
            default => ($after['skipped_try'] ?? null) !== null ? 'was skipped' : 'is ready',
        };
    }
}
