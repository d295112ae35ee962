<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Language\RunWords;
use App\Language\Text;
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
        $what = Str::limit(($run->car->group ?? $this->act->group)->name ?? '', 24) . (
            $run === null ? '' : Text::of('run.act_words.try', ['try' => $run->try])
        );

        return match ($this->act->kind) {
            'logged' => Text::of('run.act_words.undo_the_last', ['what' => $what]),
            'edited' => Text::of('run.act_words.undo_the_correction', ['what' => $what]),
            'undone' => Text::of('run.act_words.put_back', ['what' => $what]),
            'restored' => Text::of('run.act_words.take_back_again', ['what' => $what]),
            default => Text::of('run.act_words.undo', ['what' => $what, 'ordered' => $this->ordered()]),
        };
    }

    /** After it was undone; the run as it is then. */
    public function undone(): string
    {
        $run = Run::query()->withTrashed()->with(['car.group' => static fn($groups) => $groups->withTrashed()])->find($this->act->run_id);
        if ($run === null) {
            return Text::of('run.act_words.stands_where_it_stood_before', ['group' => $this->act->group?->name]);
        }

        return match ($this->act->kind) {
            'edited' => Text::of('run.act_words.as_it_was_before'),
            'undone' => Text::of('run.act_words.back_on_record'),
            default => Text::of('run.act_words.taken_back'),
        } . ': ' . RunWords::summary($run, $this->units) . '.';
    }

    /** Where it could not be, since something else was done to it. */
    public function overtaken(Act $since): string
    {
        $run = $this->act->run;
        $what = $run === null
            ? (string) $this->act->group?->name
            : Text::of('run.act_words.try_2', ['group' => $run->car->group->name, 'try' => $run->try]);

        return $since->id === $this->act->id
            ? Text::of('run.act_words.this_correction_was_made_by_an', ['what' => $what])
            : Text::of('run.act_words.was_changed_since_by_nothing_was', ['what' => $what, 'by' => $since->by()]);
    }

    private function ordered(): string
    {
        [$before, $after] = [$this->act->before, $this->act->after];

        return match (true) {
            ($after['is_withdrawn'] ?? false) !== ($before['is_withdrawn'] ?? false) => ($after['is_withdrawn'] ?? false)
                ? Text::of('run.act_words.withdrew')
                : Text::of('run.act_words.came_back'),
            ($after['is_repairing'] ?? false) !== ($before['is_repairing'] ?? false) => ($after['is_repairing'] ?? false)
                ? Text::of('run.act_words.repairs')
                : Text::of('run.act_words.is_ready'),
            default => ($after['skipped_try'] ?? null) !== null ? Text::of('run.act_words.was_skipped') : Text::of(
                'run.act_words.is_ready',
            ),
        };
    }
}
