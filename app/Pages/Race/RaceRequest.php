<?php

declare(strict_types=1);

namespace App\Pages\Race;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Text;
use App\Models\Challenge;
use App\Record\ClassRecord;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Race\Lot;
use Skivo\Core\Race\RaceKind;
use Skivo\Core\Race\RacePlan;

/** By which rules a class races, and who. */
final class RaceRequest extends FormRequest
{
    use InUnitsOfTheClass;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(RaceKind::class)],
            'best_of' => ['required', Rule::in([1, 3])],
            'wins' => ['required', Rule::in(['across', 'farther'])],
            'length' => [
                'nullable', 'string', 'required_if:wins,across',
                new ReadsAs($this->unit(), static fn(float $metres) => Limits::laneComplaint($metres, false), $this->units()),
            ],
            'order' => ['required', Rule::in(['standings', 'lot'])],
            'lot' => ['nullable', 'integer', 'between:1,' . Lot::GREATEST],
            'lanes' => ['required', 'integer', 'between:1,' . Limits::MOST_LANES],
            'repair_min' => ['required', 'numeric', 'between:0,60'],
            'broken' => ['required', Rule::in(['time', 'loses'])],
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $cars = count($this->cars());
            if ($cars < RacePlan::FEWEST || $cars > RacePlan::MOST) {
                $validator->errors()->add('cars', Text::of('race.form.choose_cars', ['most' => RacePlan::MOST]));
            } elseif ($this->enum('kind', RaceKind::class) === RaceKind::SideBySide && $cars > 2) {
                $validator->errors()->add('cars', Text::of('race.form.two_cars'));
            }
        });
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind.*' => Text::of('race.form.choose_how'),
            'length.required_if' => Text::of('race.form.say_the_length'),
            'lot.*' => Text::of('race.form.a_lot', ['greatest' => Lot::GREATEST]),
            'lanes.*' => Text::of('run.form.the_lane_must_be_a_whole', ['most_lanes' => Limits::MOST_LANES]),
            'repair_min.*' => Text::of('race.form.repair_minutes'),
            'best_of.*' => Text::of('race.form.best_of'),
            'wins.*' => Text::of('race.form.who_wins'),
            'order.*' => Text::of('race.form.an_order'),
            'broken.*' => Text::of('race.form.who_breaks'),
        ];
    }

    protected function prepareForValidation(): void
    {
        $typed = $this->input('repair_min');
        if (is_string($typed)) {
            $this->merge(['repair_min' => str_replace(',', '.', $typed)]);
        }
    }

    /** First across it wins; null where it is who goes farther. */
    public function length(): ?Entry
    {
        if ($this->string('wins')->toString() === 'farther') {
            return null;
        }
        $typed = ReadsAs::read($this->input('length'), $this->unit());

        // With its unit, so that it says the same under other units.
        return $typed !== null && is_numeric($typed->text)
            ? new Entry($typed->quantity, "{$typed->text} {$this->units()->symbol(Scale::Lane)}")
            : $typed;
    }

    public function plan(): RacePlan
    {
        $lot = $this->string('order')->toString() === 'lot'
            ? ($this->filled('lot') ? $this->integer('lot') : random_int(1, Lot::GREATEST))
            : null;
        $cars = $this->cars();

        return new RacePlan(
            $this->enum('kind', RaceKind::class) ?? RaceKind::Knockout,
            $lot === null ? RaceOffer::bySeed(ClassRecord::of($this->challenge()), $cars) : RaceOffer::byLot($cars, $lot),
            $this->integer('best_of'),
            $this->length()?->quantity->si(),
            $this->integer('lanes'),
            $lot,
            $this->string('broken')->toString() === 'loses',
            $this->float('repair_min'),
        );
    }

    /**
     * @param array<int> $groups ids of the class's groups
     *
     * @return list<int> those that are ticked in the form of a race
     */
    public static function ticked(Request $request, array $groups): array
    {
        return array_values(array_filter($groups, static fn(int $id): bool => $request->boolean("car_{$id}")));
    }

    /** @return list<int> ids of the groups that are ticked */
    private function cars(): array
    {
        return self::ticked($this, $this->challenge()->groups()->pluck('id')->all());
    }

    private function unit(): Unit
    {
        return $this->units()->unit(Scale::Lane) ?? Unit::Metre;
    }

    private function challenge(): Challenge
    {
        $challenge = $this->route('challenge');

        return $challenge instanceof Challenge ? $challenge : throw new \LogicException('A race belongs to a challenge.');
    }
}
