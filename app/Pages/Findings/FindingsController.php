<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Actions\AskForChange;
use App\Actions\ChangeChallenge;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\User;
use App\Record\ClassFindings;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use App\Record\Counting;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Exchange\ClassWriter;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Outcome;

/** What the class found out: together, choice by choice, beside the model, and who gets which award. */
final class FindingsController
{
    public function show(Request $request, Challenge $challenge): View
    {
        [$record, $findings] = $this->find($request, $challenge);
        $reading = new AnswerReading($record, $findings);

        return view('findings.show', [
            'challenge' => $challenge, 'record' => $record, 'findings' => $findings, 'words' => new FindingWords($record, $findings),
            'effect' => $reading->effect, 'figures' => $reading->figures, 'shares' => $reading->shares,
            'asked' => $record->groups->filter(static fn(Group $group): bool => $group->asked_attribute !== null)->values(),
        ]);
    }

    /** Shows the answer on the board and on the groups' tablets, or the floor again. */
    public function tell(Request $request, Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $isTold = $request->boolean('tell');
        $change->tellAnswer($challenge, $isTold);

        return redirect()->route('findings.show', $challenge)->with(
            'status',
            Text::of($isTold ? 'findings.show.the_class_is_told' : 'findings.show.the_board_shows_the_floor'),
        );
    }

    /** Asks the groups of the next test for its change: their tablets show it, and their tries come once it is on record. */
    public function planNext(Request $request, Challenge $challenge, AskForChange $ask): RedirectResponse
    {
        [, $findings] = $this->find($request, $challenge);
        $next = $findings->found->next;
        if ($next === null) {
            return redirect()->route('findings.show', $challenge)->with('status', Text::of('findings.next.none_now'));
        }
        $changes = [];
        foreach ($next->changes as $change) {
            $changes[(int) $change->car->group] = $findings->found->asPart($next->factor, $change->to);
        }
        $ask($challenge, $changes);

        return redirect()->route('findings.show', $challenge)
            ->with('status', Text::plural('findings.next.is_planned', count($changes)))
            ->with('putBack', route('findings.no-next', $challenge));
    }

    public function dropNext(Challenge $challenge, AskForChange $ask): RedirectResponse
    {
        $ask->takeBack($challenge);

        return redirect()->route('findings.show', $challenge)->with('status', Text::of('findings.next.is_dropped'));
    }

    public function work(Request $request, Challenge $challenge): View
    {
        [$record, $findings] = $this->find($request, $challenge);

        return view('findings.work', [
            'challenge' => $challenge, 'record' => $record, 'findings' => $findings, 'words' => new FindingWords($record, $findings),
            'drawing' => new WorkDrawing($challenge->units, $findings->found->works), 'by' => self::order($request),
        ]);
    }

    /** The same figure as a file that stands by itself. */
    public function workSvg(Request $request, Challenge $challenge): Response
    {
        [$record, $findings] = $this->find($request, $challenge);
        $svg = view('findings.work-svg', [
            'challenge' => $challenge, 'words' => new FindingWords($record, $findings), 'units' => $challenge->units,
            'drawing' => new WorkDrawing($challenge->units, $findings->found->works), 'by' => self::order($request),
        ])->render();

        return response(trim($svg))->header('Content-Type', 'image/svg+xml')->header(
            'Content-Disposition',
            'attachment; filename="why-each-car-stopped.svg"',
        );
    }

    /** Classes that asked the same, together. */
    public function classes(Request $request, Challenge $challenge): View
    {
        /** @var User $user */
        $user = $request->user();
        $chosen = [];
        foreach (array_keys($request->query()) as $name) {
            if (preg_match('/^class_(\d{1,18})$/', (string) $name, $found) === 1) {
                $chosen[] = (int) $found[1];
            }
        }
        $reading = PooledReading::of($user, $challenge, $chosen);

        return view('findings.classes', [
            'challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'reading' => $reading,
            'words' => new PooledWords($reading, $challenge->units),
        ]);
    }

    /** What the rows of the figure are sorted by. */
    private static function order(Request $request): string
    {
        $by = $request->string('by')->toString();

        return in_array($by, ['push', 'hold'], true) ? $by : 'distance';
    }

    /** A way to each of the pages that a lesson does not need. */
    public function curious(Request $request, Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        $counting = Counting::tryFrom($request->string('tries')->toString());

        return view('findings.curious', [
            'challenge' => $challenge, 'record' => $record, 'counting' => $counting,
            'ways' => CuriousPages::of($challenge, $record, $counting)->ways,
        ]);
    }

    public function choices(Request $request, Challenge $challenge): View
    {
        [$record, $findings] = $this->find($request, $challenge);
        [$choices, $effect] = self::chosen($request, $findings);

        return view('findings.choices', [
            'challenge' => $challenge, 'record' => $record, 'choices' => $choices,
            'outcomes' => Outcome::measured($findings->found->cars),
            'figure' => $effect === null ? null : new AnswerFigure($record, $findings, $effect),
            'findings' => $findings, 'words' => new FindingWords($record, $findings),
        ]);
    }

    /** @return array{ChoicesReading, Effect|null} every choice of the outcome that is looked at, and the one that is drawn large */
    private static function chosen(Request $request, ClassFindings $findings): array
    {
        $outcome = Outcome::tryFrom($request->string('of')->toString()) ?? Outcome::Distance;
        $choices = new ChoicesReading($findings->found, $outcome);

        return [$choices, $choices->chosen(CarAttribute::tryFrom($request->string('against')->toString()))];
    }

    public function beliefs(Request $request, Challenge $challenge): View
    {
        [$record, $findings] = $this->find($request, $challenge);
        $words = new FindingWords($record, $findings);

        return view('findings.beliefs', [
            'challenge' => $challenge, 'record' => $record, 'findings' => $findings, 'words' => $words,
            'schools' => new BeliefWords($record, $findings, $words),
        ]);
    }

    /** Balloon, band or ramp: what each did over the class. */
    public function sources(Request $request, Challenge $challenge): View
    {
        [$record, $findings] = $this->find($request, $challenge);

        return view('findings.sources', [
            'challenge' => $challenge, 'record' => $record, 'findings' => $findings, 'words' => new FindingWords($record, $findings),
            'sources' => new SourceWords($challenge->units, $findings->found->sources),
            'effects' => collect($findings->found->effects)->filter(
                static fn(Effect $effect): bool => $effect->factor === CarAttribute::EnergySource,
            )
                ->sortBy(static fn(Effect $effect): int => (int) array_search($effect->outcome, Outcome::cases(), true))->values()->all(),
        ]);
    }

    public function sure(Request $request, Challenge $challenge): View
    {
        [$record, $findings] = $this->find($request, $challenge);
        $works = $findings->found->works;
        $shown = $request->integer('car');

        return view('findings.sure', [
            'challenge' => $challenge, 'record' => $record, 'findings' => $findings,
            'words' => new FindingWords($record, $findings), 'forces' => new ClassForces($record),
            'shown' => $shown = isset($works[$shown]) ? $shown : (int) $findings->found->typical,
            'source' => ($works[$shown] ?? null)->source ?? EnergySource::Balloon,
        ]);
    }

    public function awards(Request $request, Challenge $challenge): View
    {
        [$record, $findings] = $this->find($request, $challenge);

        return view('findings.awards', [
            'challenge' => $challenge, 'record' => $record, 'findings' => $findings,
            'words' => new FindingWords($record, $findings), 'predictions' => PredictionsReading::of($record),
        ]);
    }

    /** The numbers behind a figure. */
    public function download(Request $request, Challenge $challenge, string $figure): Response
    {
        [$record, $findings] = $this->find($request, $challenge);
        $sheet = new FigureSheet($record);
        $csv = match ($figure) {
            'choice' => $sheet->ofEffect($findings, self::chosen($request, $findings)[1]),
            'model' => $sheet->ofModel($findings),
            'answer' => $sheet->ofEffect($findings, $findings->found->asked),
            default => $sheet->ofWork($findings),
        };

        return response($csv)->header('Content-Type', 'text/csv; charset=UTF-8')->header(
            'Content-Disposition',
            "attachment; filename=\"{$figure}.csv\"",
        );
    }

    /** The whole class as the JSON that bin/skivo findings reads. */
    public function json(Challenge $challenge): Response
    {
        $record = ClassRecord::of($challenge);
        $json = ClassWriter::write(
            ClassFindings::data($record, shifts: ClassFindings::of($record)->found->forecast->shifts),
            $challenge->lane_length?->quantity->si(),
        );

        return response($json . "\n")->header('Content-Type', 'application/json')->header(
            'Content-Disposition',
            'attachment; filename="class.json"',
        );
    }

    /** @return array{ClassRecord, ClassFindings} */
    private function find(Request $request, Challenge $challenge): array
    {
        $record = ClassRecord::of($challenge);

        return [$record, ClassFindings::of($record, Counting::tryFrom($request->string('tries')->toString()) ?? Counting::Rule)];
    }
}
