<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Simulation\Settings;

/**
 * Of a car that a band drives: where its rims begin to slip the distance falls at once to a part of what it was. So runs lie on
 * both sides of that pull, and no line crosses it.
 */
final readonly class BandTable extends DistanceTable
{
    /** Of the pull over the usual band's, in equal steps of its logarithm. */
    private const LEAST = 0.35;
    private const GREATEST = 2.4;
    private const STRENGTHS = 9;

    /** Runs beside the edge lie so far from it (of the logarithm), and no others nearer than this. */
    private const BESIDE = 0.002;
    private const NEAR = 0.08;

    /** Where the distance falls fastest there is one more. */
    private const BEYOND_IT = 0.11;

    /** Friction at which the edge of the rows was taken; where it lies with another hardly differs. */
    private const EDGE_AT = 0.05;

    /**
     * @param list<list<float>> $rows
     * @param non-empty-list<float> $logs of the pull of each row
     * @param int|null $slips the first row in which the rims slip; null where they do in none, or in all
     * @param array{float, float} $edge pull at which they begin to, over the usual one: what it is without friction, and by how much less for f
     */
    private function __construct(
        float $partsFriction,
        float $strength,
        array $rows,
        string $key,
        Kept $kept,
        private array $logs,
        private ?int $slips,
        private array $edge,
    ) {
        parent::__construct($partsFriction, $strength, $rows, $key, $kept);
    }

    /** Straight between the two nearest on its side of the edge. */
    protected function shares(float $friction, float $logStrength): array
    {
        $logs = $this->logs;
        [$from, $to] = [0, count($logs) - 1];
        if ($this->slips !== null) {
            // The edge, and the rows beside it, move a little with friction.
            $edge = self::edgeAt($this->edge, $friction);
            [$logs[$this->slips - 1], $logs[$this->slips]] = [$edge - self::BESIDE, $edge + self::BESIDE, $edge + self::BEYOND_IT];
            [$from, $to] = $logStrength < $edge ? [0, $this->slips - 1] : [$this->slips, $to];
        }
        for ($row = $from; $row < $to - 1 && $logs[$row + 1] <= $logStrength; $row++);
        $next = min($to, $row + 1);
        if ($next === $row) {
            return [$row => 1.0];
        }
        $share = max(0.0, min(1.0, ($logStrength - $logs[$row]) / ($logs[$next] - $logs[$row])));

        return [$row => 1.0 - $share, $next => $share];
    }

    protected static function strengthAt(float $strength, float $friction, Settings $usual): float
    {
        $edge = $usual->elasticDesign()->pullThatSlips();
        $beside = log($strength) - self::edgeAt($edge, self::EDGE_AT);

        return abs($beside) < 1.5 * self::BESIDE ? exp(self::edgeAt($edge, $friction) + $beside) : $strength;
    }

    protected static function strengths(Settings $usual): array
    {
        $edge = self::edgeAt($usual->elasticDesign()->pullThatSlips(), self::EDGE_AT);
        $step = log(self::GREATEST / self::LEAST) / (self::STRENGTHS - 1);
        $logs = array_map(static fn(int $row): float => log(self::LEAST) + $row * $step, range(0, self::STRENGTHS - 1));
        if ($edge > $logs[0] && $edge < $logs[self::STRENGTHS - 1]) {
            $logs = [
                ...array_filter($logs, static fn(float $log): bool => abs($log - $edge) > self::NEAR), $edge - self::BESIDE,
                $edge + self::BESIDE,
            ];
            sort($logs);
        }

        return array_map(exp(...), $logs);
    }

    protected static function over(Settings $usual, float $partsFriction, float $strength, array $rows, string $key, Kept $kept): self
    {
        $logs = array_map(log(...), self::strengths($usual));
        $edge = $usual->elasticDesign()->pullThatSlips();
        $slips = null;
        foreach ($logs as $row => $log) {
            if ($log > self::edgeAt($edge, self::EDGE_AT)) {
                $slips = $row;
                break;
            }
        }

        return new self($partsFriction, $strength, $rows, $key, $kept, $logs, $slips === 0 ? null : $slips, $edge);
    }

    /**
     * ln of the pull at which the rims begin to slip.
     *
     * @param array{float, float} $edge
     */
    private static function edgeAt(array $edge, float $friction): float
    {
        return log(max(1e-3, $edge[0] - $edge[1] * $friction));
    }
}
