<?php

declare(strict_types=1);

namespace App\Pages\Paper;

use App\Pages\Plan\StepWords;
use App\Pages\Plan\TemplateSheet;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Http\Request;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Session\RunOrder;

/** Everything on paper for the day, in the number that a class needs. */
final readonly class Pack
{
    /** So many of each stand on a sheet. From the pages as they print. */
    private const LABELS = 2;
    private const CARDS = 4;
    private const HEATS = 27;
    private const CAUTIONS = 7;

    /** More copies of one thing than this are a slip of the finger. */
    public const MOST = 99;

    /**
     * @param array<string, int> $copies by the value of a Paper; 0 for none
     * @param array<string, int> $pages of one copy, likewise
     * @param list<TemplateSheet> $templates
     * @param list<TemplateSheet> $tape
     * @param list<array{ClassPlan, int}> $booklets whose, and how many of the copies
     */
    private function __construct(
        public ClassPlan $plan,
        public RunOrder $order,
        public bool $isOnLetter,
        public array $copies,
        public array $pages,
        public array $templates,
        public array $tape,
        public array $booklets,
    ) {}

    public static function of(ClassRecord $record, Request $request): self
    {
        $challenge = $record->challenge;
        $plan = ClassPlan::of($challenge);
        $groups = $plan->class->groups;
        $order = $plan->runOrder($record->groups->count());
        $isCompared = $plan->design->contrast() !== null;
        $layout = $plan->kitLayout();
        $sheets = TemplateSheet::ofBoth(
            $layout,
            $isCompared ? $plan->ofThe(true)->kitLayout() : null,
            $challenge->units,
            $challenge->lane_length->quantity->si(),
        );
        $isTape = static fn(TemplateSheet $sheet): bool => $sheet->key === 'tape';
        $tape = array_values(array_filter($sheets, $isTape));
        $templates = array_values(array_filter($sheets, static fn(TemplateSheet $sheet): bool => !$isTape($sheet)));
        $words = new StepWords($plan->classSteps(), $challenge->units);
        $teams = $record->teams()->count();
        $prepared = $plan->plan->preparedSteps() === [] ? 0 : 1;
        $pages = [
            Paper::Brief->value => 1,
            Paper::Safety->value => max(1, (int) ceil(count($plan->safety()->cautions()) / self::CAUTIONS)),
            Paper::Prepare->value => $prepared,
            Paper::Helpers->value => 2,
            Paper::Booklet->value => count($words->sides()),
            Paper::Templates->value => count($templates),
            Paper::Labels->value => (int) ceil(max($record->groups->count(), 1) / self::LABELS),
            Paper::Cards->value => (int) ceil($teams / self::CARDS),
            Paper::Order->value => max(1, (int) ceil($order->heats() / self::HEATS)),
            Paper::Notebooks->value => $record->groups->count(),
            Paper::Tape->value => count($tape),
        ];
        $usual = [
            Paper::Brief->value => 1, Paper::Safety->value => 1, Paper::Prepare->value => $prepared,
            Paper::Helpers->value => $plan->plan->adults,
            Paper::Booklet->value => $groups, Paper::Templates->value => 1, Paper::Labels->value => 1,
            Paper::Cards->value => $teams > 0 && $challenge->joinCodes()->exists() ? 1 : 0, Paper::Order->value => 1,
            Paper::Notebooks->value => $record->groups->isEmpty() ? 0 : 1, Paper::Tape->value => 1,
        ];
        $copies = [];
        foreach (Paper::cases() as $paper) {
            $asked = $request->query($paper->value, $request->query->count() === 0 ? (string) $usual[$paper->value] : '0');
            $copies[$paper->value] = is_string($asked) && ctype_digit($asked) ? min(self::MOST, (int) $asked) : 0;
        }
        $booklets = $copies[Paper::Booklet->value];
        $others = $isCompared && !$challenge->way()->isRebuilt()
            ? (int) round($booklets * $plan->design->groupsOf($groups, true) / max(1, $groups))
            : 0;
        $size = $request->query('size', $challenge->units === UnitSystem::Imperial ? 'letter' : 'a4');

        // The helpers' sheet has the run order beside it, where that is not printed by itself.
        $pages[Paper::Helpers->value] = $copies[Paper::Order->value] > 0 ? 1 : 2;

        return new self(
            $plan,
            $order,
            $size === 'letter',
            $copies,
            $pages,
            $templates,
            $tape,
            $isCompared ? [[$plan->ofThe(false), $booklets - $others], [$plan->ofThe(true), $others]] : [[$plan, $booklets]],
        );
    }

    public function copiesOf(Paper $paper): int
    {
        return $this->copies[$paper->value];
    }

    /** Sides of paper in all, about. */
    public function sides(): int
    {
        return array_sum(array_map(fn(Paper $paper): int => $this->copies[$paper->value] * $this->pages[$paper->value], Paper::cases()));
    }
}
