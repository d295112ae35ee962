<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Challenge;
use Tests\Scenario;

/**
 * How much an educator has to read: docs/pages.md has every page with its visible words, its primary button and its folds, counted
 * with twelve groups. PAGES=write makes it anew.
 */
final class PagesTest extends BrowserTestCase
{
    /** So many words may be seen before a fold is opened. */
    private const MOST = 350;

    /** What belongs in a laboratory stands behind a fold, if anywhere. */
    private const LABORATORY = '/ρ|κ|χ|Holm|[Ss]tudenti[sz]ed|log–log|\bF\s*=|p-value|\bp\s*[<=]/u';

    private const PAGES = [
        'Plan' => '/plan', 'Timetable' => '/plan/timetable', 'Materials' => '/plan/materials', 'Build steps' => '/plan/steps',
        'Cut sizes' => '/plan/cuts', 'Safety' => '/plan/safety', 'Groups' => '/groups', 'All cars' => '/cars', 'A car' => '/groups/ID/car',
        'Check' => '/check', 'A card' => '/groups/ID/check', 'Measures of a car' => '/groups/ID/bench', 'More ways to measure' => '/bench',
        'What is wrong?' => '/groups/ID/diagnosis', 'Floor' => '', 'Room' => '/room', 'Tablets' => '/devices', 'Races' => '/races',
        'Film' => '/film', 'Answer' => '/findings', 'Why each car stopped' => '/findings/work', 'Awards' => '/findings/awards',
        'For the curious' => '/findings/curious', 'All choices' => '/findings/choices', 'Some say' => '/findings/beliefs',
        'How sure?' => '/findings/sure', 'Several classes' => '/findings/classes', 'Dry run' => '/dry-run', 'How large?' => '/plan/larger',
        'Run table' => '/sheet', 'Educators' => '/sharing', 'At home' => '/home',
    ];

    public function testNoPageShowsMoreThanATeacherInAHurryReads(): void
    {
        $challenge = Challenge::query()->findOrFail(
            Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 3]), Scenario::sheet(12, 3))->id,
        );
        $group = $challenge->groups()->firstOrFail();
        $browser = $this->signIn();
        $rows = [];
        foreach (self::PAGES as $name => $path) {
            $browser->visit("/challenges/{$challenge->id}" . str_replace('ID', (string) $group->id, $path))->settle();
            [$words, $primary, $folds, $said] = $browser->driver->executeScript(<<<'JS'
                const seen = (each) => each.checkVisibility();
                const main = document.querySelector('main');
                const words = (text) => (text.match(/\p{L}[\p{L}’'-]*/gu) ?? []).length;
                // Of a closed list, only what is chosen is seen.
                const unseen = [...main.querySelectorAll('select')].filter(seen).reduce(
                    (sum, each) => sum + words(each.innerText) - words(each.selectedOptions[0]?.text ?? ''), 0);
                return [
                    words(main.innerText) - unseen,
                    [...document.querySelectorAll('.button.do, .button.log')].filter(seen).map((each) => each.innerText.trim()),
                    [...main.querySelectorAll('summary')].filter(seen).length,
                    main.innerText,
                ];
                JS);
            self::assertLessThanOrEqual(self::MOST, $words, $name);
            self::assertLessThanOrEqual(1, count($primary), "{$name}: " . implode(', ', $primary));
            self::assertDoesNotMatchRegularExpression(self::LABORATORY, $said, $name);
            $rows[] = [$name, $words, $primary[0] ?? '–', $folds];
        }
        $table = implode("\n", array_map(
            static fn(array $row): string => '| ' . implode(' | ', $row) . ' |',
            [['Page', 'Words', 'Primary button', 'Folds'], ['---', '---', '---', '---'], ...$rows],
        ));
        $file = dirname(__DIR__, 2) . '/docs/pages.md';
        if (getenv('PAGES') === 'write') {
            $said = (string) file_get_contents($file);
            file_put_contents($file, substr($said, 0, (int) strpos($said, '| Page')) . $table . "\n");
        }
        // Every page stands in the table, with as many words as it shows, to a tenth.
        preg_match_all('/^\| ([^|]+) \| (\d+) \|/m', (string) file_get_contents($file), $kept);
        $kept = array_combine($kept[1], array_map(intval(...), $kept[2]));
        self::assertSame(array_keys(self::PAGES), array_keys($kept));
        foreach ($rows as [$name, $words]) {
            self::assertEqualsWithDelta($words, $kept[$name], 5 + 0.1 * $words, "{$name}: PAGES=write makes the table anew");
        }
    }
}
