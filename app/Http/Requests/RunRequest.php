<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Challenge;
use App\Models\Group;
use App\Rules\ReadsAs;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Quantity\Scale;
use Skivo\Core\Quantity\Unit;
use Skivo\Core\Trials\RunRecord;
use Skivo\Core\Trials\Side;
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
            'drift' => ['nullable', 'string', new ReadsAs($this->bareUnit(), fn(float $metres): ?string => $metres > 0.0 && $this->input('drift_side') === null ? 'Say to which side it drifted: left or right, seen from behind the car.' : Limits::distanceComplaint($metres, $units))],
            'drift_side' => ['nullable', Rule::enum(Side::class)],
            'load' => ['nullable', 'string', new ReadsAs($units->unit(Scale::Weight) ?? Unit::Gram, static fn(float $kilograms): ?string => Limits::loadComplaint($kilograms, $units))],
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

    public function record(): RunRecord
    {
        $note = $this->input('note');

        return new RunRecord(
            ReadsAs::read($this->input('distance'), $this->bareUnit()),
            ReadsAs::read($this->input('time'), Unit::Second),
            $this->enum('void', VoidReason::class),
            is_string($note) ? $note : null,
            ReadsAs::read($this->input('drift'), $this->bareUnit()),
            $this->enum('drift_side', Side::class),
            ReadsAs::read($this->input('load'), $this->challenge()->units->unit(Scale::Weight) ?? Unit::Gram),
        );
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
