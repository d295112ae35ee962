<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\MountOrder;
use Skivo\Core\Car\Build\Points;
use Skivo\Core\Car\Build\Sets;

/** How the class's cars are held together and decorated, and how many adults are at hand. */
final class BuildStepsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'decoration' => ['required', Rule::enum(Decoration::class)],
            'decorated_with' => ['required', Rule::in(array_column(Sets::ofDecoration(), 'value'))],
            'bearings_by' => ['required', Rule::in(array_column(Sets::ofBearings(), 'value'))],
            'adults' => ['required', 'integer', 'between:1,40'],
            'points' => ['nullable', Rule::enum(Points::class)],
            'mount_order' => ['nullable', Rule::enum(MountOrder::class)],
            'helpers' => ['nullable', 'integer', 'between:1,40'],
        ] + array_fill_keys(
            array_map(static fn(BuildStep $step): string => "prepared_{$step->value}", self::preparable()),
            ['nullable', 'boolean'],
        );
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'decoration.*' => Text::of('steps.form.choose_when'),
            'decorated_with.*' => Text::of('steps.form.choose_with_what'),
            'bearings_by.*' => Text::of('steps.form.choose_what_holds'),
            'adults.*' => Text::of('steps.form.adults_are_from_1'),
            'points.*' => Text::of('steps.form.choose_points'),
            'mount_order.*' => Text::of('steps.form.choose_order'),
            'helpers.*' => Text::of('steps.form.helpers_are_from_1'),
            'prepared_*.*' => Text::of('steps.form.prepared_or_not'),
        ];
    }

    /** @return array<string, mixed> by column of the plan */
    public function plan(): array
    {
        return [
            'decoration' => $this->enum('decoration', Decoration::class),
            'decorated_with' => $this->enum('decorated_with', Sets::class),
            'bearings_by' => $this->enum('bearings_by', Sets::class),
            'adults' => $this->integer('adults'),
            // What the kit's car does not have is not asked, and stays as it was.
            ...array_filter([
                'points' => $this->enum('points', Points::class),
                'mount_order' => $this->enum('mount_order', MountOrder::class),
                'helpers' => $this->filled('helpers') ? $this->integer('helpers') : null,
            ], static fn(mixed $value): bool => $value !== null),
            'prepared' => array_values(array_map(
                static fn(BuildStep $step): string => $step->value,
                array_filter(self::preparable(), fn(BuildStep $step): bool => $this->boolean("prepared_{$step->value}")),
            )),
        ];
    }

    /** @return list<BuildStep> what can be done before a class comes */
    public static function preparable(): array
    {
        return array_values(array_filter(BuildStep::cases(), static fn(BuildStep $step): bool => $step->pieces() !== null));
    }
}
