<?php

declare(strict_types=1);

namespace Devices;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Simulation\Moment;
use Skivo\Core\Exchange\DesignReader;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\SimulatedRun;
use Skivo\Core\Simulation\Simulator;

/**
 * What the stand-ins for real instruments have in common: a car that runs as the run model has it, chance with a seed,
 * and the post to Skivo.
 */
final readonly class Instrument
{
    public Randomizer $chance;

    public SimulatedRun $run;

    /** @param array<string, string> $options as given on the command line */
    public function __construct(private array $options)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar((int) ($options['seed'] ?? 1)));
        $design = isset($options['design'])
            ? (new DesignReader())->read((string) file_get_contents($options['design']))
            : Settings::of([])->with(CarAttribute::RollingCoefficient, 0.06)->with(CarAttribute::NozzleBore, 0.008)->design();
        $this->run = Simulator::run($design, withTrajectory: true);
    }

    /**
     * The options of a command, or its usage and an end.
     *
     * @param list<string> $names
     *
     * @return array<string, string>
     */
    public static function options(array $names, string $usage): array
    {
        $given = getopt('', ['help', 'print', ...array_map(static fn(string $name): string => "{$name}:", $names)]);
        $options = array_map(static fn(mixed $value): string => is_string($value) ? $value : '', $given === false ? [] : $given);
        if (isset($options['help']) || (!isset($options['print']) && (!isset($options['site'], $options['token'])))) {
            fwrite(STDERR, $usage);
            exit(isset($options['help']) ? 0 : 2);
        }

        return $options;
    }

    /** When the car was at a place (s after the release); null where it did not get there. */
    public function timeAt(float $metres): ?float
    {
        $before = null;
        foreach ($this->run->trajectory as $moment) {
            if ($moment->distanceM >= $metres) {
                return $before === null || $moment->distanceM === $before->distanceM ? $moment->timeS
                    : $before->timeS + ($metres - $before->distanceM) / (
                        $moment->distanceM - $before->distanceM
                    ) * ($moment->timeS - $before->timeS);
            }
            $before = $moment;
        }

        return null;
    }

    /** Where the car is at a moment (m). */
    public function placeAt(float $seconds): float
    {
        if ($seconds <= 0.0) {
            return 0.0;
        }
        $before = $this->run->trajectory[0] ?? new Moment(0, 0, 0, 0, 0, 0, 0);
        foreach ($this->run->trajectory as $moment) {
            if ($moment->timeS >= $seconds) {
                $span = $moment->timeS - $before->timeS;

                return $span <= 0.0
                    ? $moment->distanceM
                    : $before->distanceM + ($seconds - $before->timeS) / $span * ($moment->distanceM - $before->distanceM);
            }
            $before = $moment;
        }

        return $this->run->distanceM;
    }

    /** A draw from the standard normal distribution (Box & Muller, Ann. Math. Stat. 29, 610, 1958). */
    public function normal(): float
    {
        $uniform = fn(): float => $this->chance->getInt(1, 1_000_000) / 1_000_001;

        return sqrt(-2.0 * log($uniform())) * cos(2 * M_PI * $uniform());
    }

    public function happens(float $probability): bool
    {
        return $this->chance->getInt(1, 1_000_000) <= $probability * 1_000_000;
    }

    /** A random id, different each time: readings of two runs must not be taken for one. */
    public static function id(): string
    {
        $bytes = random_bytes(16);
        $bytes[6] = chr(ord($bytes[6]) & 0x0F | 0x40);
        $bytes[8] = chr(ord($bytes[8]) & 0x3F | 0x80);

        return vsprintf('%s%s-%s-%s-%s-%s%s%s', str_split(bin2hex($bytes), 4));
    }

    /** Now, or so many seconds from now, as readings have it. */
    public static function moment(float $after = 0.0): string
    {
        $at = microtime(true) + $after;

        return gmdate('Y-m-d\TH:i:s', (int) $at) . sprintf('.%03dZ', (int) (1000 * fmod($at, 1.0)));
    }

    /**
     * Posts readings, or prints them with --print.
     *
     * @param list<array<string, mixed>> $readings
     */
    public function post(array $readings): void
    {
        $body = json_encode(['readings' => $readings], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        if (isset($this->options['print'])) {
            echo $body, "\n";

            return;
        }
        $request = curl_init("{$this->options['site']}/api/readings");
        curl_setopt_array($request, [
            CURLOPT_POST => true, CURLOPT_POSTFIELDS => $body, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 10,
            CURLOPT_HTTPHEADER => [
                'Content-Type: application/json', 'Accept: application/json', "Authorization: Bearer {$this->options['token']}",
            ],
        ]);
        $answer = curl_exec($request);
        $status = curl_getinfo($request, CURLINFO_RESPONSE_CODE);
        fwrite(
            $status >= 200 && $status < 300 ? STDOUT : STDERR,
            "{$status} " . ($answer === false ? curl_error($request) : $answer) . "\n",
        );
        if ($status < 200 || $status >= 300) {
            exit(1);
        }
    }
}
