<?php

declare(strict_types=1);

namespace Tests;

/** A new educator with a class whose runs are to be logged, made by the forms of the pages. */
trait MakesAClassOverHttp
{
    private \CurlHandle $client;

    /** Of the forms of the page that was asked for last. */
    private string $token = '';

    private string $site = '';

    private function openBrowser(string $site): void
    {
        $this->site = $site;
        $this->client = curl_init();
        curl_setopt_array($this->client, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_TIMEOUT => 20, CURLOPT_SSL_VERIFYPEER => false,
            CURLOPT_SSL_VERIFYHOST => 0,
        ]);
    }

    /** @return int the challenge's id */
    private function makeClass(string $groups): int
    {
        $this->page('/register');
        $this->send(
            '/register',
            [
                'name' => 'Tester', 'email' => 'tester@skivo.example', 'password' => 'a long password',
                'password_confirmation' => 'a long password',
            ],
        );
        $this->page('/challenges/new');
        $made = $this->send(
            '/challenges',
            ['name' => 'Class', 'goal' => 'farthest', 'scoring' => 'mean', 'tries' => '20', 'units' => 'metric', 'lane_length' => '6 m'],
        );
        self::assertSame(1, preg_match('~/challenges/(\d+)~', $made, $found), $made);
        $this->send("/challenges/{$found[1]}/plan/safety", ['_method' => 'put']);
        $this->send("/challenges/{$found[1]}/groups", ['names' => $groups]);
        $this->page("/challenges/{$found[1]}");

        return (int) $found[1];
    }

    private function page(string $path): string
    {
        curl_setopt_array($this->client, [CURLOPT_URL => $this->site . $path, CURLOPT_HTTPGET => true, CURLOPT_HTTPHEADER => []]);
        $html = (string) curl_exec($this->client);
        self::assertSame(1, preg_match('/name="_token" value="(\w+)"/', $html, $found), "{$path}\n{$html}");
        $this->token = $found[1];

        return $html;
    }

    /**
     * @param array<string, string> $fields
     *
     * @return string where it leads
     */
    private function send(string $path, array $fields): string
    {
        curl_setopt_array($this->client, [
            CURLOPT_URL => $this->site . $path, CURLOPT_POST => true,
            CURLOPT_POSTFIELDS => http_build_query(['_token' => $this->token] + $fields), CURLOPT_HTTPHEADER => [],
        ]);
        $answer = (string) curl_exec($this->client);
        self::assertSame(302, curl_getinfo($this->client, CURLINFO_RESPONSE_CODE), "{$path}\n{$answer}");

        return (string) curl_getinfo($this->client, CURLINFO_REDIRECT_URL);
    }

    /** The sign-in, to be sent by others. */
    private function cookies(): string
    {
        foreach (curl_getinfo($this->client, CURLINFO_COOKIELIST) as $line) {
            $parts = explode("\t", $line);
            if ($parts[5] === 'skivo_session') {
                return "skivo_session={$parts[6]}";
            }
        }
        self::fail('nobody is signed in');
    }
}
