<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Requests\Concerns\AsksBack;
use App\Rules\ReadsAs;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\PartKind;
use Skivo\Core\Car\Step;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Temperature;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/** The rules of a challenge, as typed. */
final class ChallengeRequest extends FormRequest
{
    use AsksBack;

    /** Kinds of parts whose names the rules may limit. */
    public const LIMITED = [PartKind::Chassis, PartKind::Wheel, PartKind::Nozzle];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $units = $this->unitSystem();
        $lane = new ReadsAs($this->bareUnit(), static fn(float $metres): ?string => Limits::laneComplaint($metres, $units));
        $length = new ReadsAs($this->bareUnit(), static fn(float $metres): ?string => Limits::laneComplaint($metres, $units, false));
        $rules = [
            'name' => ['required', 'string', 'max:120'],
            'question' => ['nullable', 'string', 'max:300'],
            'goal' => ['required', Rule::enum(Goal::class)],
            'scoring' => ['required', Rule::enum(Scoring::class)],
            'tries' => ['required', 'integer', 'between:1,' . Limits::MOST_TRIES],
            'units' => ['required', Rule::enum(UnitSystem::class)],
            'lane_length' => ['required', 'string', $lane],
            'lanes' => ['nullable', 'integer', 'between:1,' . Limits::MOST_LANES],
            'timed_length' => ['nullable', 'string', Rule::requiredIf(fn(): bool => $this->isAfter(Goal::Fastest)), $length],
            'mark_distance' => ['nullable', 'string', Rule::requiredIf(fn(): bool => $this->isAfter(Goal::NearestMark)), $length],
            'load_length' => ['nullable', 'string', Rule::requiredIf(fn(): bool => $this->isAfter(Goal::HeaviestLoad)), $length],
            'surface' => ['nullable', 'string', 'max:' . Limits::KIND_CHARACTERS],
            'air_temperature' => ['nullable', 'string', $this->isTemperature(...)],
            'design' => ['nullable', Rule::in(['free', 'held'])],
            'push_is_foul' => ['nullable', 'boolean'],
            'void_is_retried' => ['nullable', 'boolean'],
            'most_balloons' => ['nullable', 'integer', 'between:1,6'],
            'most_straws' => ['nullable', 'integer', 'between:1,60'],
            'heaviest' => ['nullable', 'string', new ReadsAs($units->unit(Scale::Weight) ?? Unit::Gram, static fn(float $kg): ?string => $kg >= 0.005 && $kg <= 10.0 ? null : 'The heaviest car must be from ' . $units->show(0.005, Scale::Weight) . ' to ' . $units->show(10.0, Scale::Weight) . '. Check the unit.')],
            'longest' => ['nullable', 'string', new ReadsAs($units->unit(Scale::Body) ?? Unit::Centimetre, static fn(float $m): ?string => $m >= 0.02 && $m <= 1.0 ? null : 'The longest chassis must be from ' . $units->show(0.02, Scale::Body) . ' to ' . $units->show(1.0, Scale::Body) . '. Check the unit.')],
        ];
        foreach (Goal::cases() as $goal) {
            $rules["award_{$goal->value}"] = ['nullable', 'boolean'];
        }
        foreach (Step::cases() as $step) {
            $rules["free_{$step->value}"] = ['nullable', 'boolean'];
        }
        foreach (self::LIMITED as $kind) {
            $rules["allowed_{$kind->value}"] = ['nullable', 'string', 'max:400'];
        }

        return $rules;
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
            'lanes.*' => 'Lanes must be a whole number from 1 to ' . Limits::MOST_LANES . '.',
            'lane_length.required' => 'Say how long the lane is, such as 6 m or 20 ft.',
            'timed_length.required' => 'A challenge for the fastest needs the length that is timed, such as 3 m.',
            'mark_distance.required' => 'A challenge for the nearest needs to know where the mark is, such as 4 m.',
            'load_length.required' => 'A challenge for the heaviest load needs to know how far it must be carried, such as 2 m.',
            'most_balloons.*' => 'Balloons must be a whole number from 1 to 6.',
            'most_straws.*' => 'Straws must be a whole number from 1 to 60.',
        ];
    }

    /** @return array<string, mixed> by column of the challenge */
    public function plan(): array
    {
        $temperature = $this->temperature();
        $allowed = [];
        foreach (self::LIMITED as $kind) {
            $names = array_values(array_filter(array_map(trim(...), explode(',', (string) $this->input("allowed_{$kind->value}"))), static fn(string $name): bool => $name !== ''));
            if ($names !== []) {
                $allowed[$kind->value] = $names;
            }
        }

        return [
            'name' => $this->string('name')->toString(),
            'question' => $this->input('question'),
            'goal' => $this->enum('goal', Goal::class),
            'awards' => array_values(array_map(
                static fn(Goal $goal): string => $goal->value,
                array_filter(Goal::cases(), fn(Goal $goal): bool => $this->boolean("award_{$goal->value}") && $goal !== $this->enum('goal', Goal::class)),
            )),
            'scoring' => $this->enum('scoring', Scoring::class),
            'tries' => $this->integer('tries'),
            'units' => $this->unitSystem(),
            'lane_length' => $this->length('lane_length'),
            'lanes' => $this->integer('lanes', 1) ?: 1,
            'timed_length' => $this->length('timed_length'),
            'mark_distance' => $this->length('mark_distance'),
            'load_length' => $this->length('load_length'),
            'surface' => $this->input('surface'),
            'air_temperature_c' => $temperature?->celsius,
            'air_temperature_entered' => $temperature?->text,
            'free_steps' => $this->input('design') === 'held'
                ? array_values(array_map(static fn(Step $step): string => $step->value, array_filter(Step::cases(), fn(Step $step): bool => $this->boolean("free_{$step->value}"))))
                : null,
            'push_is_foul' => $this->input('push_is_foul') === null || $this->boolean('push_is_foul'),
            'void_is_retried' => $this->input('void_is_retried') === null || $this->boolean('void_is_retried'),
            'most_balloons' => $this->input('most_balloons'),
            'most_straws' => $this->input('most_straws'),
            'heaviest' => ReadsAs::read($this->input('heaviest'), $this->unitSystem()->unit(Scale::Weight) ?? Unit::Gram),
            'longest' => ReadsAs::read($this->input('longest'), $this->unitSystem()->unit(Scale::Body) ?? Unit::Centimetre),
            'allowed' => $allowed,
        ];
    }

    /** Lengths that no hall of a school has, or too short to run on: rather a slip of the unit. */
    protected function questions(): array
    {
        $questions = [];
        foreach (['lane_length' => 'lane', 'timed_length' => 'timed stretch', 'mark_distance' => 'place for a mark', 'load_length' => 'stretch to carry a load'] as $field => $what) {
            $metres = $this->length($field)?->quantity->si();
            $said = $metres === null ? null : Limits::unusualLane($metres, $field === 'lane_length');
            if ($said !== null) {
                $questions[$field] = "{$this->unitSystem()->show($metres, Scale::Lane)} is {$said} for a {$what}. Is the unit right?";
            }
        }

        return $questions;
    }

    private function isAfter(Goal $goal): bool
    {
        return $this->input('goal') === $goal->value || $this->boolean("award_{$goal->value}");
    }

    private function isTemperature(string $attribute, mixed $value, Closure $fail): void
    {
        if ($this->temperature() === null) {
            $fail('Write the temperature of the room, such as 20 °C or 68 °F.');
        }
    }

    private function temperature(): ?Temperature
    {
        $typed = $this->input('air_temperature');

        return is_string($typed) ? Temperature::read($typed, $this->unitSystem()) : null;
    }

    private function length(string $field): ?Entry
    {
        return ReadsAs::read($this->input($field), $this->bareUnit());
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
