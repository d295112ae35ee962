<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Challenge\FillSweep;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;

/** Three fills for one car to sweep over. */
final class SweepRequest extends FormRequest
{
    use InUnitsOfTheClass;

    private const FILLS = ['small', 'medium', 'full'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $fill = $this->kind()->isCounted()
            ? ['required', 'integer', 'between:1,500']
            : ['required', 'string', new ReadsAs($this->unit(), CarAttribute::BalloonSize->complaint(...), $this->units())];

        return [
            'sweep_group' => [
                'required', 'integer', Rule::exists('groups', 'id')->where('challenge_id', $this->challenge()->id)->whereNull('deleted_at'),
            ],
            'measured' => ['required', Rule::in(array_column(self::ways(EnergySource::cases()), 'value'))],
        ] + array_fill_keys(self::FILLS, $fill);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'sweep_group.*' => Text::of('run.form.choose_the_group_that_ran'),
            'measured.*' => Text::of('run.form.say_how_the_fill_is_measured'),
        ] + array_combine(
            array_map(static fn(string $fill): string => "{$fill}.*", self::FILLS),
            array_map(static fn(string $fill): string => Text::of("run.form.say_what_{$fill}_is"), self::FILLS),
        );
    }

    public function group(): Group
    {
        return $this->challenge()->groups()->with('cars.runs')->findOrFail($this->integer('sweep_group'));
    }

    public function sweep(Group $group): FillSweep
    {
        $practiced = $group->currentCar()?->tries($this->challenge())->practice ?? [];

        return FillSweep::of(
            ...array_map($this->fill(...), self::FILLS),
            practiced: count(
                array_filter($practiced, static fn(Run $run): bool => $run->void === null && $run->kind === RunKind::Practice),
            ),
        );
    }

    /**
     * How the fills of a sweep may be said, or how far it is wound.
     *
     * @param list<EnergySource> $sources
     *
     * @return list<InflationKind>
     */
    public static function ways(array $sources): array
    {
        $ways = array_filter(InflationKind::of($sources), static fn(InflationKind $kind): bool => $kind !== InflationKind::Full);
        // A size says more than strokes do, so it is offered first.
        usort($ways, static fn(InflationKind $a, InflationKind $b): int => $b->isMeasured() <=> $a->isMeasured());

        return $ways;
    }

    private function fill(string $field): Inflation
    {
        if ($this->kind()->isCounted()) {
            return new Inflation($this->kind(), null, $this->integer($field));
        }
        $size = ReadsAs::read($this->input($field), $this->unit()) ?? throw new \LogicException('It was validated.');

        // With its unit, so that it says the same under other units.
        return new Inflation(
            $this->kind(),
            is_numeric($size->text) ? new Entry($size->quantity, "{$size->text} {$this->units()->symbol(Scale::Body)}") : $size,
        );
    }

    private function kind(): InflationKind
    {
        return $this->enum('measured', InflationKind::class) ?? InflationKind::Diameter;
    }

    private function unit(): Unit
    {
        return $this->units()->unit(Scale::Body) ?? Unit::Centimetre;
    }

    private function challenge(): Challenge
    {
        $challenge = $this->route('challenge');

        return $challenge instanceof Challenge ? $challenge : throw new \LogicException('A sweep belongs to a challenge.');
    }
}
