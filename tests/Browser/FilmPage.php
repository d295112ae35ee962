<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The page on which a film is read, as somebody uses it who marks as well as the camera's own figures. */
final readonly class FilmPage
{
    /** A film is read within this (s), or never. */
    private const LONGEST_S = 180;

    public function __construct(private Browser $browser) {}

    /**
     * A film by the stand-in for a phone.
     *
     * @param array{int, int} $size px
     * @param string $how more of the camera's options
     *
     * @return resource that yields what is true of it
     */
    public static function film(string $file, array $size, string $how): mixed
    {
        $made = popen(sprintf(
            'exec php %s --width %d --height %d --marks --out %s %s',
            escapeshellarg(dirname(__DIR__, 2) . '/devices/camera.php'),
            $size[0],
            $size[1],
            escapeshellarg($file),
            $how,
        ), 'r');

        return is_resource($made) ? $made : throw new \RuntimeException('The camera does not start.');
    }

    /**
     * @param resource $film as it is made
     *
     * @return list<list<array<string, mixed>>> what is true of its runs, by lane
     */
    public static function truth(mixed $film): array
    {
        $said = (string) stream_get_contents($film);
        if (pclose($film) !== 0) {
            throw new \RuntimeException("The camera failed. {$said}");
        }

        return json_decode($said, true, 16, JSON_THROW_ON_ERROR);
    }

    public function choose(string $file): self
    {
        $this->browser->driver->executeScript(
            'document.querySelector("[data-film-mark]").hidden = true; document.querySelector("[data-film-frame]").width = 0',
        );
        $this->browser->find('#film-file')->sendKeys($file);
        $this->browser->wait(fn(): bool => $this->browser->driver->executeScript(
            'return !document.querySelector("[data-film-mark]").hidden && document.querySelector("[data-film-frame]").width > 0',
        ));

        return $this;
    }

    /** @param list<array<string, mixed>> $lanes as the camera tells of them */
    public function mark(array $lanes): self
    {
        $marked = array_map(static fn(array $lane): array => [
            'line' => $lane['line'],
            'marks' => array_map(
                static fn(array $tap): array => ['where' => 'line', 'u' => $tap[0], 'v' => $tap[1], 'place' => "{$tap[2]} m"],
                $lane['taps'],
            ),
        ], $lanes);
        $this->browser->driver->executeScript(
            'const { marking } = document.querySelector("[data-film]").page; marking.lanes = arguments[0]; marking.draw();
            document.querySelector("[name=camera]").value = arguments[1]; document.querySelector("[name=followed]").value = arguments[2];',
            [$marked, round($lanes[0]['camera_m'], 3) . ' m', round(1000 * $lanes[0]['drawn_m'], 1) . ' mm'],
        );

        return $this;
    }

    /** @return string why it was not read; empty where it was */
    public function read(): string
    {
        $this->browser->driver->executeScript(
            'document.querySelector("[data-film-says]").replaceChildren(); document.querySelector("[data-film-read]").click()',
        );

        return $this->answer();
    }

    /** @return string what is said against it, once it is answered; empty where nothing is */
    public function answer(): string
    {
        $this->browser->driver->wait(self::LONGEST_S)->until(fn(): bool => $this->browser->driver->executeScript(
            'return (document.querySelector("[data-film-says]").children.length > 0 || !document.querySelector("[data-film-fault]").hidden) && !document.querySelector("[data-film]").hasAttribute("data-busy")',
        ));

        return $this->browser->text('[data-film-fault]');
    }

    /** Of what it says. */
    public function figure(string $name): float
    {
        return (float) $this->said($name);
    }

    /** What is said after the ±. */
    public function half(string $name): float
    {
        return (float) (explode('±', $this->said($name))[1] ?? 0.0);
    }

    private function said(string $name): string
    {
        return $this->browser->driver->executeScript(
            'return [...document.querySelectorAll("[data-film-says] dt")].find((dt) => dt.textContent === arguments[0])?.nextSibling.textContent ?? ""',
            [$name],
        );
    }
}
