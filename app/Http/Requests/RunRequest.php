<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Challenge;
use App\Models\Group;
use App\Rules\ReadsAs;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Quantity\Entry;
use Skivo\Core\Quantity\Scale;
use Skivo\Core\Quantity\Unit;
use Skivo\Core\Trials\VoidReason;

/** A run as typed at the lane, or a correction of one. */
final class RunRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $units = $this->challenge()->units;

        return [
            'id' => [Rule::requiredIf($this->isMethod('post')), 'uuid'],
            'group' => ['required', 'integer', Rule::exists('groups', 'id')->where('challenge_id', $this->challenge()->id)->whereNull('deleted_at')],
            'distance' => ['nullable', 'string', 'required_without:void', new ReadsAs($this->bareUnit(), static fn(float $metres): ?string => Limits::distanceComplaint($metres, $units))],
            'time' => ['nullable', 'string', new ReadsAs(Unit::Second, static fn(float $seconds): ?string => Limits::timeComplaint($seconds, $units))],
            'void' => ['nullable', Rule::enum(VoidReason::class)],
            'note' => ['nullable', 'string', 'max:' . Limits::NOTE_CHARACTERS],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'group.*' => 'Choose the group that ran.',
            'distance.required_without' => 'Type where the car stopped, or choose why the try is void.',
            'void' => 'Choose one of the reasons.',
            'id.*' => 'The page was out of date. Log the run again.',
        ];
    }

    public function group(): Group
    {
        return $this->challenge()->groups()->findOrFail($this->integer('group'));
    }

    public function distance(): ?Entry
    {
        return ReadsAs::read($this->input('distance'), $this->bareUnit());
    }

    public function time(): ?Entry
    {
        return ReadsAs::read($this->input('time'), Unit::Second);
    }

    public function void(): ?VoidReason
    {
        return $this->enum('void', VoidReason::class);
    }

    public function note(): ?string
    {
        $note = $this->input('note');

        return is_string($note) ? $note : null;
    }

    private function bareUnit(): Unit
    {
        return $this->challenge()->units->unit(Scale::Distance) ?? Unit::Centimetre;
    }

    private function challenge(): Challenge
    {
        $challenge = $this->route('challenge');

        return $challenge instanceof Challenge ? $challenge : throw new \LogicException('A run belongs to a challenge.');
    }
}
