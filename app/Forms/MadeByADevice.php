<?php

declare(strict_types=1);

namespace App\Forms;

use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/** For what a device keeps until it is safe: it gives it an id of its own, and says when it was made. */
trait MadeByADevice
{
    /** A device's clock is believed so far (days). */
    private const OLDEST_DAYS = 30;

    private ?string $madeId = null;

    /** @return array<string, list<string>> */
    private static function ruleOfIdAndMoment(): array
    {
        return ['id' => ['nullable', 'uuid'], 'made_at' => ['nullable', 'date']];
    }

    /** The one that the device gave it; a new one for a form without a script. */
    public function id(): string
    {
        return $this->madeId ??= $this->filled('id') ? $this->string('id')->lower()->toString() : (string) Str::uuid();
    }

    /** When it was made, by the device's clock as far as that can be. */
    public function madeAt(): CarbonImmutable
    {
        $now = CarbonImmutable::now();
        $said = $this->filled('made_at') ? CarbonImmutable::parse($this->string('made_at')->toString()) : $now;

        return $said->greaterThan($now) || $said->lessThan($now->subDays(self::OLDEST_DAYS)) ? $now : $said;
    }
}
