<?php

declare(strict_types=1);

namespace App\Pages\Group;

use App\Forms\InUnitsOfTheClass;
use App\Forms\JudgesQuantities;
use App\Forms\MadeByADevice;
use App\Forms\ReadsAs;
use App\Language\Label;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Photo;
use App\Pages\Check\CheckRequest;
use App\Pages\Run\PredictionRequest;
use App\Record\ExpectedRun;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\Reading;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Forecast\Direction;
use Skivo\Core\Forecast\WarmUp;
use Skivo\Core\Measurement\Entry as Length;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Notebook\Closing;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\Notebook\Sketch;

/** Something for a group's notebook, as a tablet sends it: now, or whenever its network is back. */
final class EntryRequest extends FormRequest
{
    use InUnitsOfTheClass;
    use JudgesQuantities;
    use MadeByADevice;

    private const BY_THE_PAGE = ['kind', 'id', 'made_at', 'step', 'done', 'direction', 'item', 'side', 'question', 'run', 'wants'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['kind' => ['required', Rule::enum(EntryKind::class)]] + self::ruleOfIdAndMoment() + match ($this->kind()) {
            EntryKind::Tick => ['step' => ['required', Rule::enum(BuildStep::class)], 'done' => ['required', 'boolean']],
            EntryKind::Guess => [
                'predicted' => [
                    'required', 'string', 'max:60', new ReadsAs($this->distanceUnit(), Limits::distanceComplaint(...), $this->units()),
                ],
                'reason' => ['nullable', 'string', 'max:500'], 'direction' => ['nullable', Rule::enum(Direction::class)],
            ],
            EntryKind::Note, EntryKind::Wish => ['text' => ['required', 'string', 'max:' . Limits::NOTE_CHARACTERS]],
            EntryKind::Sketch => ['strokes' => ['required', 'string', 'max:600000']],
            EntryKind::Photo => ['photo' => ['required', 'file'], 'text' => ['nullable', 'string', 'max:200']],
            EntryKind::Check => $this->checkRules(),
            EntryKind::WarmUp => [
                'question' => ['required', Rule::enum(WarmUp::class)], 'answer' => ['required', Rule::enum(Direction::class)],
            ],
            EntryKind::Why => ['run' => ['required', 'uuid']],
            EntryKind::Closing => [
                'question' => ['required', Rule::enum(Closing::class)],
                'answer' => ['required', Rule::in($this->enum('question', Closing::class)?->answers() ?? [])],
            ],
            EntryKind::Help => ['wants' => ['required', 'boolean']],
            null => [],
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...array_fill_keys(['predicted.required', 'predicted.string', 'predicted.max'], Text::of('path.form.say_how_far')),
            'text.required' => Text::of('path.form.write_something'),
            'text.max' => Text::of('path.form.too_long'),
            'reason.max' => Text::of('path.form.too_long'),
            'strokes.*' => Text::of('path.form.draw_something'),
            'photo.*' => Text::of('path.form.choose_a_photo'),
            ...array_fill_keys(
                ['first.required', 'first.string', 'second.required', 'second.string'],
                Text::of('path.form.type_what_you_read'),
            ),
            'answer.*' => Text::of('path.form.tap_one'),
            'yes.*' => Text::of('path.form.tap_one'),
            // What no hand on the page can get wrong. A quantity is left out: its rule says itself what is wrong with it.
            ...array_fill_keys(
                array_map(static fn(string $field): string => "{$field}.*", self::BY_THE_PAGE),
                Text::of('path.form.this_page_is_old'),
            ),
        ];
    }

    public function kind(): ?EntryKind
    {
        return EntryKind::tryFrom($this->string('kind')->toString());
    }

    /**
     * @return array<string, mixed> what is kept of it
     *
     * @throws ValidationException for a drawing that is none
     */
    public function payload(): array
    {
        $text = fn(string $field): ?string => $this->filled($field) ? $this->string($field)->toString() : null;

        return array_filter(match ($this->kind()) {
            EntryKind::Tick => ['step' => $text('step'), 'done' => $this->boolean('done')],
            EntryKind::Guess => ['predicted' => $text('predicted'), 'reason' => $text('reason'), 'direction' => $text('direction')],
            EntryKind::Note, EntryKind::Wish, EntryKind::Photo => ['text' => $text('text')],
            EntryKind::Sketch => ['strokes' => $this->strokes()],
            EntryKind::Check => ['item' => $text('item')],
            EntryKind::WarmUp, EntryKind::Closing => ['question' => $text('question'), 'answer' => $text('answer')],
            EntryKind::Why => ['run' => $text('run')],
            EntryKind::Help => ['wants' => $this->boolean('wants')],
            null => [],
        }, static fn(mixed $value): bool => $value !== null);
    }

    /**
     * What looks like a slip and has not been confirmed yet.
     *
     * @return array<string, string> by field
     */
    public function questions(): array
    {
        $item = $this->item();
        [$challenge, $group] = [$this->route('challenge'), $this->route('group')];
        $asked = match (true) {
            $this->kind() === EntryKind::Guess && $challenge instanceof Challenge && $group instanceof Group => [
                'predicted' => $this->slipIn(
                    'predicted',
                    ExpectedRun::of($challenge, $group)->atLeast(PredictionRequest::OF_A_GUESS),
                    $this->distanceUnit(),
                    Scale::Distance,
                ),
            ],
            $this->kind() === EntryKind::Check && $item !== null => array_map(
                fn(array $of): ?string => $of[0] === null || $of[1] === null
                    ? null
                    : $this->slipIn($of[2], $of[0], $this->unitOf($of[1]), $of[1]),
                [
                    'first' => [$item->expected(), $item->scale(), 'first'],
                    'second' => [$item->expectedSecond(), CheckRequest::secondScale($item), 'second'],
                ],
            ),
            default => [],
        };

        return array_diff_key(
            array_filter($asked, static fn(?string $each): bool => $each !== null),
            array_flip(explode(',', (string) $this->input('confirmed'))),
        );
    }

    public function guess(): ?Length
    {
        return $this->kind() === EntryKind::Guess ? ReadsAs::read($this->input('predicted'), $this->distanceUnit()) : null;
    }

    public function reading(): ?Reading
    {
        $item = $this->item();
        if ($this->kind() !== EntryKind::Check || $item === null) {
            return null;
        }
        $scale = $item->scale();

        return new Reading(
            $item,
            $scale === null ? null : ReadsAs::read($this->input('first'), $this->unitOf($scale)),
            $item->hasSecond() ? ReadsAs::read($this->input('second'), $this->unitOf(CheckRequest::secondScale($item))) : null,
            $this->enum('side', Side::class),
            $scale === null ? $this->boolean('yes') : null,
            null,
        );
    }

    /** @throws ValidationException with what is wrong with the file */
    public function photo(): ?Photo
    {
        if ($this->kind() !== EntryKind::Photo) {
            return null;
        }
        $file = $this->file('photo');
        $photo = $file instanceof UploadedFile && $file->isValid() ? Photo::read($file->getRealPath()) : 'broken';

        return $photo instanceof Photo
            ? $photo
            : throw ValidationException::withMessages(['photo' => Text::of("path.photo_fault.{$photo}")]);
    }

    /** @return list<array{pen: string, points: list<array{int, int}>}> */
    private function strokes(): array
    {
        return Sketch::read(json_decode($this->string('strokes')->toString(), true, 8))->strokes
            ?? throw ValidationException::withMessages(['strokes' => Text::of('path.form.draw_something')]);
    }

    private function item(): ?CheckItem
    {
        return CheckItem::tryFrom($this->string('item')->toString());
    }

    /** @return array<string, list<mixed>> */
    private function checkRules(): array
    {
        $rules = ['item' => ['required', Rule::enum(CheckItem::class)]];
        $item = $this->item();
        $scale = $item?->scale();
        if ($item === null || $scale === null) {
            return $rules + ['yes' => ['required', 'boolean']];
        }
        $most = static fn(Scale $of, string $what): \Closure => static fn(float $si): ?Remark => $si <= $item->greatest()
            ? null
            : new Remark('check.at_most', ['reading' => Label::of($item, $what), 'greatest' => new Shown($item->greatest(), $of)]);
        $rules['first'] = ['required', 'string', new ReadsAs($this->unitOf($scale), $most($scale, 'reading'), $this->units())];
        if ($item->hasSecond()) {
            $second = CheckRequest::secondScale($item);
            $rules['second'] = ['required', 'string', new ReadsAs($this->unitOf($second), $most($second, 'second'), $this->units())];
        }

        return $rules + ['side' => ['nullable', Rule::enum(Side::class)]];
    }

    private function unitOf(Scale $scale): Unit
    {
        return $this->units()->unit($scale) ?? Unit::Second;
    }

    private function distanceUnit(): Unit
    {
        return $this->units()->unit(Scale::Distance) ?? Unit::Centimetre;
    }
}
