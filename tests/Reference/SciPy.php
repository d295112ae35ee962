<?php

declare(strict_types=1);

namespace Tests\Reference;

/** Asks SciPy, from Debian's packages, at test time. */
final class SciPy
{
    /**
     * Runs Python with numpy as np, scipy.stats as stats and the input as data; what it assigns to "out" comes back.
     *
     * @return array<mixed>
     */
    public static function ask(string $code, mixed $data): array
    {
        $program = "import json, sys\nimport numpy as np\nfrom scipy import stats, special\n"
            . "data = json.load(sys.stdin)\n{$code}\njson.dump(out, sys.stdout)\n";
        $process = proc_open(['/usr/bin/python3', '-c', $program], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        if ($process === false) {
            throw new \RuntimeException('Python did not start.');
        }
        fwrite($pipes[0], json_encode($data, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);
        $complaint = (string) stream_get_contents($pipes[2]);
        if (proc_close($process) !== 0) {
            throw new \RuntimeException("SciPy failed: {$complaint}");
        }

        return json_decode($answer, true, 512, JSON_THROW_ON_ERROR);
    }
}
