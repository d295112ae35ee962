<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\ReadsAs;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Quantity\Scale;
use Skivo\Core\Quantity\Unit;
use Skivo\Core\Quantity\UnitSystem;

/** The plan of a challenge, as typed. */
final class ChallengeRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $length = new ReadsAs($this->bareUnit(), fn(float $metres): ?string => Limits::laneComplaint($metres, $this->unitSystem()));

        return [
            'name' => ['required', 'string', 'max:120'],
            'question' => ['nullable', 'string', 'max:300'],
            'goal' => ['required', Rule::enum(Goal::class)],
            'scoring' => ['required', Rule::enum(Scoring::class)],
            'tries' => ['required', 'integer', 'between:1,' . Limits::MOST_TRIES],
            'units' => ['required', Rule::enum(UnitSystem::class)],
            'lane_length' => ['required', 'string', $length],
            'timed_length' => ['nullable', 'string', 'required_if:goal,' . Goal::Fastest->value, $length],
            'surface' => ['nullable', 'string', 'max:' . Limits::KIND_CHARACTERS],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the challenge a name.',
            'goal.required' => 'Choose what the class is after.',
            'scoring.required' => 'Choose how tries count.',
            'units.required' => 'Choose the units the class works in.',
            'tries.*' => 'Tries per group must be a whole number from 1 to ' . Limits::MOST_TRIES . '.',
            'lane_length.required' => 'Say how long the lane is, such as 6 m or 20 ft.',
            'timed_length.required_if' => 'A challenge for the fastest needs the length that is timed, such as 3 m.',
        ];
    }

    /** @return array<string, mixed> by column of the challenge */
    public function plan(): array
    {
        return [
            'name' => $this->string('name')->toString(),
            'question' => $this->input('question'),
            'goal' => $this->enum('goal', Goal::class),
            'scoring' => $this->enum('scoring', Scoring::class),
            'tries' => $this->integer('tries'),
            'units' => $this->unitSystem(),
            'lane_length' => ReadsAs::read($this->input('lane_length'), $this->bareUnit()),
            'timed_length' => ReadsAs::read($this->input('timed_length'), $this->bareUnit()),
            'surface' => $this->input('surface'),
        ];
    }

    private function unitSystem(): UnitSystem
    {
        return $this->enum('units', UnitSystem::class) ?? UnitSystem::Metric;
    }

    private function bareUnit(): Unit
    {
        return $this->unitSystem()->unit(Scale::Lane) ?? Unit::Metre;
    }
}
