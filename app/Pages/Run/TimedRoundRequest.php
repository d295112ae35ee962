<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Text;
use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;

/** Over which length cars are timed after their tries, and how often. */
final class TimedRoundRequest extends FormRequest
{
    use InUnitsOfTheClass;

    private const MOST_ROUNDS = 5;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'timed_over' => [
                'required', 'string',
                new ReadsAs($this->unit(), static fn(float $metres) => Limits::laneComplaint($metres, false), $this->units()),
            ],
            'rounds' => ['required', 'integer', 'between:1,' . self::MOST_ROUNDS],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['timed_over.required' => Text::of('run.timed.say_the_length'), 'rounds.*' => Text::of('run.timed.from_one_to_five')];
    }

    public function length(): Entry
    {
        $typed = ReadsAs::read($this->input('timed_over'), $this->unit()) ?? throw new \LogicException('It was validated.');

        // With its unit, so that it says the same under other units.
        return is_numeric($typed->text) ? new Entry($typed->quantity, "{$typed->text} {$this->units()->symbol(Scale::Lane)}") : $typed;
    }

    private function unit(): Unit
    {
        return $this->units()->unit(Scale::Lane) ?? Unit::Metre;
    }
}
