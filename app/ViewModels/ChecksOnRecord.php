<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Challenge;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Forecast\CheckedCars;
use Skivo\Core\Forecast\CheckShifts;

/**
 * What an educator's classes say of failed checks. Each class leaves its own when its findings are worked out; it takes up what
 * the others left, and never its own, which its cars' frictions say already.
 */
final readonly class ChecksOnRecord
{
    public static function besides(Challenge $challenge): CheckShifts
    {
        $others = Challenge::query()->where('user_id', $challenge->user_id)->whereKeyNot($challenge->id)->orderBy('id')->pluck('id');
        $left = Cache::many($others->map(self::key(...))->all());

        return CheckShifts::over(array_values(array_filter($left, static fn(mixed $class): bool => $class instanceof CheckedCars)));
    }

    public static function leave(Challenge $challenge, CheckedCars $checked): void
    {
        Cache::forever(self::key($challenge->id), $checked);
    }

    private static function key(int $challenge): string
    {
        return "checked:{$challenge}";
    }
}
