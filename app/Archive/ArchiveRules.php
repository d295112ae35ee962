<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\Car;
use App\Models\Challenge;
use App\ViewModels\ClassFindings;
use App\ViewModels\ClassPlan;
use App\ViewModels\ClassRecord;
use App\ViewModels\FloorState;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Challenge\Limits;

/** What an archive may bring is what could have been typed: the forms' own limits hold for it, and every page can show it. */
final readonly class ArchiveRules
{
    /** No quantity of a class, in SI, and no count is beyond this. */
    private const GREATEST = 1e5;
    private const DEEPEST = 32;

    /**
     * @param array<string, mixed> $row as it stands in the archive
     * @param array<string, array{type: string, nullable: bool}> $columns
     *
     * @throws UnreadableArchiveException where a number is none, or beyond any
     * @throws \JsonException where what should be JSON is none
     */
    public static function ofRow(array $row, array $columns): void
    {
        foreach ($row as $column => $cell) {
            $fits = $cell === null || match ($columns[$column]['type']) {
                'double precision', 'numeric', 'real', 'smallint' => is_numeric($cell) && abs((float) $cell) <= self::GREATEST,
                'json', 'jsonb' => self::areSmall(json_decode((string) $cell, true, self::DEEPEST, JSON_THROW_ON_ERROR)),
                default => true,
            };
            if (!$fits) {
                throw new UnreadableArchiveException('does_not_fit');
            }
        }
    }

    /** @throws UnreadableArchiveException where something stored could not have been typed, or has no page */
    public static function hold(Challenge $challenge): void
    {
        $lane = $challenge->lane_length->quantity->si();
        $cars = Car::query()->with('checkReadings')->whereHas('group', static fn($groups) => $groups->withTrashed()->where('challenge_id', $challenge->id))->get();
        foreach ($cars as $car) {
            foreach (CarAttribute::cases() as $attribute) {
                $value = $attribute->facts()->range === null ? null : $car->choices->number($attribute);
                if ($value !== null && $attribute->complaint($value) !== null) {
                    throw new UnreadableArchiveException('does_not_fit');
                }
            }
        }
        if (Limits::laneComplaint($lane, false) !== null) {
            throw new UnreadableArchiveException('does_not_fit');
        }
        $record = ClassRecord::of($challenge);
        $plan = ClassPlan::of($challenge);
        // Drawn once before it stays: what no page could show is not stored.
        $plan->materials()->cost();
        $plan->timetable(max(1, $record->groups->count()));
        $plan->steps();
        ClassFindings::of($record);
        FloorState::of($challenge, '');
        foreach ($cars as $car) {
            $car->checkCard($challenge->checkTolerances());
        }
    }

    private static function areSmall(mixed $value): bool
    {
        return match (true) {
            is_array($value) => array_filter($value, static fn(mixed $each): bool => !self::areSmall($each)) === [],
            is_int($value) => abs($value) < PHP_INT_MAX,
            is_float($value) => is_finite($value) && abs($value) <= self::GREATEST,
            default => true,
        };
    }
}
