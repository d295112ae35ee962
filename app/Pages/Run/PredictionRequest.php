<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Forms\AsksBack;
use App\Forms\InUnitsOfTheClass;
use App\Forms\JudgesQuantities;
use App\Forms\ReadsAs;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use App\Record\ExpectedRun;
use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;

/** How far a group expects its next try to go. */
final class PredictionRequest extends FormRequest
{
    use AsksBack;
    use InUnitsOfTheClass;
    use JudgesQuantities;

    /** Guesses lie so far from each other at the least (of the logarithm): they are asked for as such. */
    public const OF_A_GUESS = 0.6;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $units = $this->units();

        return ['predicted' => ['required', 'string', 'max:60', new ReadsAs($this->unit(), Limits::distanceComplaint(...), $units)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['predicted.required' => Text::of('run.form.how_far_will_it_go')];
    }

    public function distance(): Entry
    {
        return ReadsAs::read($this->input('predicted'), $this->unit()) ?? throw new \LogicException('It was validated.');
    }

    protected function questions(): array
    {
        [$challenge, $group] = [$this->route('challenge'), $this->route('group')];
        $asked = $challenge instanceof Challenge && $group instanceof Group
            ? $this->slipIn(
                'predicted',
                ExpectedRun::of($challenge, $group)->atLeast(self::OF_A_GUESS),
                $this->unit(),
                Scale::Distance,
            ) : null;

        return $asked === null ? [] : ['predicted' => $asked];
    }

    private function unit(): Unit
    {
        return $this->units()->unit(Scale::Distance) ?? Unit::Centimetre;
    }
}
