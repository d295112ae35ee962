<?php

declare(strict_types=1);

namespace App\Console\Bench;

use CurlHandle;

/** A device of a run day that is played: what it asks next, and when. */
final class BenchDevice
{
    public string $tag = '';

    /** Of the run that it logs. */
    public string $id = '';

    /** Until then its page is not asked for anew (s from the beginning of the day). */
    public float $rests = 0.0;

    /**
     * @param non-empty-string $page address of the class's page
     * @param non-empty-string $live address that tells whether anything changed
     * @param list<int> $groups that may be logged for
     * @param list<string> $knownBy the header by which it is known
     * @param non-empty-string|null $own address of the group's page that it shows; null of a screen at the lane
     * @param string $asks poll, state, page or log
     * @param float $due s from the beginning of the day
     */
    public function __construct(
        public readonly CurlHandle $client,
        public readonly string $page,
        public readonly string $live,
        public readonly array $groups,
        public readonly array $knownBy,
        public readonly string $token,
        public readonly ?string $own,
        public string $asks,
        public float $due,
    ) {}
}
