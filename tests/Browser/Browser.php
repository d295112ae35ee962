<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** A headless Chromium on the served application, in the words of a test. */
final class Browser
{
    private string $profile;

    private function __construct(
        public readonly RemoteWebDriver $driver,
        private readonly string $site,
    ) {}

    /**
     * @param string $driver address of ChromeDriver
     * @param string $site address of the application
     * @param list<string> $more of Chromium's own options
     */
    public static function start(string $driver, string $site, array $more = []): self
    {
        $profile = sys_get_temp_dir() . '/skivo-browser-' . bin2hex(random_bytes(6));
        $options = (new ChromeOptions())->addArguments([
            '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
            '--disable-background-networking', '--disable-component-update', '--disable-sync',
            '--force-device-scale-factor=1', '--hide-scrollbars', '--lang=en',
            '--window-size=1280,800', "--user-data-dir={$profile}", ...$more,
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $browser = new self(RemoteWebDriver::create($driver, $capabilities, 30_000, 60_000), $site);
        $browser->profile = $profile;
        $browser->size(1280, 800);
        $browser->chromium('Emulation.setTimezoneOverride', ['timezoneId' => 'UTC']);

        return $browser;
    }

    public function quit(): void
    {
        try {
            $this->driver->quit();
        } catch (\Facebook\WebDriver\Exception\WebDriverException) {
            // Killed before: there is nobody left to say goodbye to.
        }
        if (is_dir($this->profile)) {
            exec('rm -rf ' . escapeshellarg($this->profile));
        }
    }

    /** The size of the page's view, in CSS pixels. */
    public function size(int $width, int $height): self
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setDeviceMetricsOverride', [
            'width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => false,
        ]);

        return $this;
    }

    /** Any command of Chromium's own protocol. */
    public function chromium(string $command, array $parameters = []): mixed
    {
        return (new ChromeDevToolsDriver($this->driver))->execute($command, $parameters);
    }

    public function visit(string $path): self
    {
        $this->follow(fn() => $this->driver->get($this->site . $path));

        return $this;
    }

    public function path(): string
    {
        return (string) parse_url($this->driver->getCurrentURL(), PHP_URL_PATH);
    }

    public function find(string $css): RemoteWebElement
    {
        return $this->driver->findElement(WebDriverBy::cssSelector($css));
    }

    /** @return list<RemoteWebElement> */
    public function all(string $css): array
    {
        return array_values($this->driver->findElements(WebDriverBy::cssSelector($css)));
    }

    public function text(string $css = 'body'): string
    {
        for ($tries = 0; ; $tries++) {
            try {
                return $this->find($css)->getText();
            } catch (\Facebook\WebDriver\Exception\StaleElementReferenceException $replaced) {
                // The page replaced it just then.
                if ($tries === 5) {
                    throw $replaced;
                }
            }
        }
    }

    public function fill(string $name, string $value): self
    {
        $fields = $this->all("main [name='{$name}']:not([type=hidden]), .entry [name='{$name}']:not([type=hidden])");
        // The same field may stand in a form that is folded away; a line of the plan is opened for it.
        $this->driver->executeScript(
            "for (const each of arguments) { const line = each.closest('.plan-line'); if (line !== null) line.open = true; }",
            $fields,
        );
        $field = array_values(array_filter($fields, fn(RemoteWebElement $each): bool => $each->isDisplayed()))[0] ?? $fields[0]
            ?? throw new \RuntimeException("No field {$name} on {$this->path()}.");
        $field->clear();
        $field->sendKeys($value);

        return $this;
    }

    /** Picks a radio button, which our look draws over. */
    public function pick(string $name, string $value): self
    {
        $this->driver->executeScript('document.querySelector(arguments[0]).click()', ["input[name='{$name}'][value='{$value}']"]);

        return $this;
    }

    /** Presses the button or link that says this; where it leads to another page, waits until that one is there. */
    public function press(string $says): self
    {
        $quoted = str_contains($says, '"') ? "'{$says}'" : "\"{$says}\"";
        $by = WebDriverBy::xpath("//*[(self::button or self::a or self::summary) and contains(normalize-space(.), {$quoted})]");
        // What lies in a closed menu or fold is not meant where something in sight says the same.
        try {
            $found = $this->driver->findElements($by);
            $inSight = $this->driver->executeScript('return [...arguments].findIndex((each) => each.checkVisibility())', $found);
            $pressed = $found[$inSight] ?? $this->driver->findElement($by);
        } catch (StaleElementReferenceException) {
            return $this->press($says);
        }
        $script = <<<'JS'
            const [pressed] = arguments;
            return pressed.matches('a[href]') ? pressed.href.split('#')[0] !== location.href.split('#')[0] || !pressed.hash
                : pressed.matches('button') && pressed.type === 'submit' && pressed.form !== null && pressed.form.method !== 'dialog';
            JS;
        try {
            $leadsAway = $this->driver->executeScript($script, [$pressed]);
        } catch (StaleElementReferenceException) {
            // The page drew itself anew in between: it is there again.
            return $this->press($says);
        }
        $leadsAway === true ? $this->follow($pressed->click(...)) : $pressed->click();

        return $this;
    }

    /** Types on the keyboard, wherever the focus is. */
    public function keys(string ...$keys): self
    {
        foreach ($keys as $key) {
            $this->driver->getKeyboard()->sendKeys($key);
        }

        return $this;
    }

    /** Shift and Tab: back to the field before. */
    public function back(): self
    {
        $this->driver->getKeyboard()->pressKey(WebDriverKeys::SHIFT)->sendKeys(WebDriverKeys::TAB)->releaseKey(WebDriverKeys::SHIFT);

        return $this;
    }

    /** Presses Enter and waits for the page that follows. */
    public function enter(): self
    {
        $this->follow(fn() => $this->driver->getKeyboard()->sendKeys(WebDriverKeys::ENTER));

        return $this;
    }

    /** The name or text of what has the focus. */
    public function focused(): string
    {
        return (string) $this->driver->executeScript(
            'const e = document.activeElement; return e.name || e.getAttribute("aria-label") || e.textContent.trim()',
        );
    }

    public function signIn(string $email, string $password): self
    {
        return $this->visit('/sign-in')->fill('email', $email)->fill('password', $password)->press('Sign in');
    }

    /** Waits until something is so: a generous while, since a machine may be busy with other things. */
    public function wait(callable $isSo, int $patienceS = 30): self
    {
        $giveUp = microtime(true) + $patienceS;
        do {
            if ($isSo()) {
                return $this;
            }
            usleep(50_000);
        } while (microtime(true) < $giveUp);
        throw new \RuntimeException('That did not happen. The page: ' . mb_substr($this->text(), 0, 2500));
    }

    /** Waits until a part of the page says something. */
    public function waitFor(string $text, string $css = 'body'): self
    {
        return $this->wait(function () use ($text, $css): bool {
            try {
                return str_contains($this->text($css), $text);
            } catch (\Facebook\WebDriver\Exception\WebDriverException) {
                // Not there yet, or being replaced just now.
                return false;
            }
        });
    }

    /** Presses Log run, and waits until the run is told to be safe. */
    public function logRun(string $says = 'Logged:'): self
    {
        $this->find('.entry .log')->click();

        return $this->waitFor($says, '.flash');
    }

    /** Pulls the network cable, or puts it back. */
    public function online(bool $isOnline): self
    {
        $this->chromium('Network.enable');
        $this->chromium(
            'Network.emulateNetworkConditions',
            ['offline' => !$isOnline, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
        );

        return $this;
    }

    /** The page at rest: fonts loaded, figures drawn, nothing moving, the last sizes taken. */
    public function settle(): self
    {
        $this->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            const frame = () => new Promise((next) => requestAnimationFrame(next));
            (async () => {
                await document.fonts.ready;
                await Promise.all([...document.images].filter((image) => !image.complete).map((image) => new Promise((next) => { image.onload = image.onerror = next; })));
                let before = '';
                for (let still = 0; still < 4;) {
                    await frame();
                    const now = [document.documentElement.scrollHeight, document.querySelectorAll('svg *').length].join();
                    const moves = document.getAnimations().some((each) => each.playState === 'running' && each.effect?.getTiming().iterations !== Infinity);
                    still = now === before && !moves && document.querySelector('[aria-busy="true"]') === null ? still + 1 : 0;
                    before = now;
                }
            })().then(done, done);
            JS);

        return $this;
    }

    public function screenshot(string $file): self
    {
        $this->settle();
        $this->driver->takeScreenshot($file);

        return $this;
    }

    /** What a printer would get, as PDF. */
    public function print(string $file): self
    {
        $this->settle();
        $pdf = $this->chromium(
            'Page.printToPDF',
            ['printBackground' => true, 'preferCSSPageSize' => true, 'paperWidth' => 8.27, 'paperHeight' => 11.69],
        );
        file_put_contents($file, base64_decode($pdf['data'], true));

        return $this;
    }

    /**
     * What axe-core finds wrong with the page.
     *
     * @return list<string>
     */
    public function accessibilityProblems(): array
    {
        $this->settle();
        if ($this->driver->executeScript('return window.axe === undefined') === true) {
            $this->driver->executeScript((string) file_get_contents(dirname(__DIR__, 2) . '/node_modules/axe-core/axe.min.js'));
        }
        $found = $this->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            axe.run(document, { resultTypes: ['violations'], preload: false }).then((result) => done(result.violations.map(
                (each) => `${each.id}: ${each.help} (${each.nodes.slice(0, 3).map((node) => node.html.slice(0, 160)).join(' | ')})`,
            )));
            JS);

        return array_values($found);
    }

    /** Errors that the page wrote to the console. */
    public function consoleErrors(): array
    {
        return array_values(array_map(
            static fn(array $entry): string => $entry['message'],
            array_filter($this->driver->manage()->getLog('browser'), static fn(array $entry): bool => $entry['level'] === 'SEVERE'),
        ));
    }

    /** Does something that leads to another page, and waits until that page and its scripts are there. */
    public function follow(callable $act): void
    {
        $this->driver->executeScript('window.skivoLeaving = true');
        $act();
        for ($i = 0; $i < 1500; $i++) {
            usleep(20_000);
            try {
                if ($this->driver->executeScript('return window.skivoLeaving !== true && document.readyState === "complete" && (document.querySelector("script[type=module]") === null || document.documentElement.dataset.ready !== undefined)') === true) {
                    return;
                }
            } catch (\Facebook\WebDriver\Exception\WebDriverException) {
                // between two pages
            }
        }
        throw new \RuntimeException('No page followed. The page: ' . mb_substr($this->text(), 0, 2500));
    }
}
