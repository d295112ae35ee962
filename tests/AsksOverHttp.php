<?php

declare(strict_types=1);

namespace Tests;

/** Asks an address as a browser would, whoever signed its certificate. */
trait AsksOverHttp
{
    /**
     * @param list<string> $more headers
     *
     * @return array{int, array<string, string>, string} status, headers by their names in small letters, and body
     */
    private function ask(string $address, array $more = [], string $method = 'GET', string $body = ''): array
    {
        static $client = null;
        $client ??= curl_init();
        curl_reset($client);
        $headers = [];
        curl_setopt_array($client, [
            CURLOPT_URL => $address, CURLOPT_RETURNTRANSFER => true, CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_HTTPHEADER => ['Expect:', ...$more],
            CURLOPT_SSL_VERIFYPEER => false, CURLOPT_SSL_VERIFYHOST => 0, CURLOPT_TIMEOUT => 60,
            CURLOPT_HEADERFUNCTION => static function ($client, string $line) use (&$headers): int {
                [$name, $value] = explode(':', $line, 2) + [1 => ''];
                $headers[strtolower(trim($name))] = trim($value);

                return strlen($line);
            },
        ]);
        if ($body !== '') {
            curl_setopt($client, CURLOPT_POSTFIELDS, $body);
        }
        $answer = (string) curl_exec($client);

        return [curl_getinfo($client, CURLINFO_RESPONSE_CODE), $headers, $answer];
    }
}
