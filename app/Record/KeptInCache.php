<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Forecast\Kept;

/**
 * What simulated runs showed of a challenge's designs, kept from one change of the class to the next: a new run changes no
 * design. What was not asked for again is let go.
 */
final class KeptInCache implements Kept
{
    private const KEEP_SECONDS = 86_400;

    /** @var array<string, list<float>> */
    private array $before;

    /** @var array<string, list<float>> */
    private array $held = [];

    private string $key;

    public function __construct(Challenge $challenge)
    {
        $this->key = "kept:{$challenge->id}:" . config('skivo.build');
        $before = Cache::get($this->key);
        $this->before = is_array($before) ? $before : [];
    }

    public function get(string $key, \Closure $work): array
    {
        return $this->held[$key] ??= $this->before[$key] ?? $work();
    }

    /** For the next time. */
    public function keep(): void
    {
        if ($this->held !== $this->before) {
            Cache::put($this->key, $this->held, self::KEEP_SECONDS);
        }
    }
}
