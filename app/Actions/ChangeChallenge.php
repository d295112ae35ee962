<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Build\Caution;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\UnitSystem;

/** Sets a challenge, changes its rules, removes it and brings it back. */
final class ChangeChallenge
{
    public function __construct(private readonly AddGroups $addGroups, private readonly DivideClass $divide) {}

    /**
     * @param array<string, mixed> $plan by column
     * @param list<string> $groups their names, until they have better ones
     * @param array<string, mixed> $day by column of the session's plan
     */
    public function set(User $educator, array $plan, array $groups = [], array $day = []): Challenge
    {
        return DB::transaction(function () use ($educator, $plan, $groups, $day): Challenge {
            $challenge = $educator->challenges()->create($plan);
            if ($groups !== []) {
                ($this->addGroups)($challenge, $groups);
            }
            if ($day !== []) {
                $challenge->sessionPlan()->fill($day)->save();
            }

            return $challenge->refresh();
        });
    }

    /** A timed round after the tries, over a length; none for no rounds, and what was timed stays. */
    public function timedRound(Challenge $challenge, int $rounds, ?Entry $length = null): void
    {
        $awards = $challenge->isAfter(Goal::Fastest) ? $challenge->awards : [...$challenge->awards, Goal::Fastest->value];
        $this->change($challenge, ['timed_rounds' => $rounds] + ($length === null ? [] : ['timed_length' => $length, 'awards' => $awards]));
    }

    /** An award of the educator's own. */
    public function award(Challenge $challenge, string $title, int $group): void
    {
        $this->change($challenge, ['own_awards' => [...$challenge->own_awards, ['title' => $title, 'group' => $group]]]);
    }

    /** @param int $number of the award, from 0 */
    public function withdrawAward(Challenge $challenge, int $number): void
    {
        $this->change($challenge, ['own_awards' => array_values(array_diff_key($challenge->own_awards, [$number => true]))]);
    }

    /**
     * @param array<string, mixed> $plan by column, what is to change
     * @param array<string, mixed> $day by column of the session's plan
     */
    public function rules(Challenge $challenge, array $plan, array $day = []): void
    {
        $isAskedLate = array_key_exists('asks', $plan) && self::asksOther($plan, $challenge)
            && $challenge->runs()->whereNull('void_reason')->exists();
        DB::transaction(function () use ($challenge, $plan, $day, $isAskedLate): void {
            $this->change($challenge, $isAskedLate ? $plan + ['asks_changed_at' => now()] : $plan);
            if ($day !== []) {
                $challenge->sessionPlan()->fill($day)->save();
            }
            ($this->divide)($challenge);
        });
    }

    /**
     * Whether a plan asks something else than the challenge does.
     *
     * @param array<string, mixed> $plan
     */
    private static function asksOther(array $plan, Challenge $challenge): bool
    {
        foreach (['asks', 'asks_outcome', 'asks_from', 'asks_to'] as $column) {
            if (
                array_key_exists($column, $plan)
                && $plan[$column] !== ($challenge->{$column} ?? ($column === 'asks_outcome' ? Outcome::Distance : null))
            ) {
                return true;
            }
        }

        return false;
    }

    /** Turns it from cm and g to in and oz, or back. What was typed is not touched. */
    public function units(Challenge $challenge, UnitSystem $units): void
    {
        $this->change($challenge, ['units' => $units]);
    }

    /** @param array<string, array<string, float|null>> $tolerances by which its check cards are judged */
    public function tolerances(Challenge $challenge, array $tolerances): void
    {
        $this->change($challenge, ['tolerances' => $tolerances]);
    }

    /** @param list<Caution> $cautions that the educator has read */
    public function acknowledgeSafety(Challenge $challenge, array $cautions): void
    {
        $this->change(
            $challenge,
            ['safety_read_at' => now(), 'safety_read' => array_column($cautions, 'value'), 'safety_unread' => []],
        );
    }

    /** Whether groups may change their own car and predictions. */
    public function lockGroups(Challenge $challenge, bool $isLocked): void
    {
        $this->change($challenge, ['groups_are_locked' => $isLocked]);
    }

    /** Whether the board and the groups' tablets show the answer to the class's question. */
    public function tellAnswer(Challenge $challenge, bool $isTold): void
    {
        $this->change($challenge, ['answer_told_at' => $isTold ? now() : null]);
    }

    public function remove(Challenge $challenge): void
    {
        DB::transaction(static fn(): ?bool => $challenge->delete());
    }

    public function restore(Challenge $challenge): void
    {
        DB::transaction(static fn(): bool => $challenge->restore());
    }

    /** @param array<string, mixed> $columns */
    private function change(Challenge $challenge, array $columns): void
    {
        DB::transaction(static fn(): bool => $challenge->update($columns));
    }
}
