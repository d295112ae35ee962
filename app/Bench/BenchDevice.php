<?php

declare(strict_types=1);

namespace App\Bench;

use CurlHandle;

/** A device of a run day that is played: what it asks next, and when. */
final class BenchDevice
{
    public string $tag = '';

    /** Of the run that it logs. */
    public string $id = '';

    /**
     * @param non-empty-string $page address of the class's page
     * @param non-empty-string $live address that tells whether anything changed
     * @param list<int> $groups that may be logged for
     * @param string $asks poll, state or log
     * @param float $due s from the beginning of the day
     */
    public function __construct(
        public readonly CurlHandle $client,
        public readonly string $page,
        public readonly string $live,
        public readonly array $groups,
        public readonly string $key,
        public readonly string $token,
        public string $asks,
        public float $due,
    ) {}
}
