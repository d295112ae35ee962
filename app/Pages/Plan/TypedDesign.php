<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Forms\ReadsAs;
use App\Language\Label;
use App\Language\Text;
use App\Models\Challenge;
use App\Record\ClassPlan;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Part\Contrast;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Challenge\Design;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/** How a class goes about its question, as typed with the rules of its challenge. */
final readonly class TypedDesign
{
    /** @param Challenge|null $before as it was; null where it is only being set */
    public function __construct(
        private FormRequest $typed,
        private UnitSystem $units,
        private ?Challenge $before,
    ) {}

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'way' => ['nullable', Rule::enum(Design::class)],
            'design_one' => ['nullable', 'string', 'max:80', $this->isOneOfTwo(...)],
            'design_other' => ['nullable', 'string', 'max:80', 'different:design_one', $this->isOneOfTwo(...)],
            'is_mass_even' => ['nullable', 'boolean'],
            'fill' => ['nullable', 'string', new ReadsAs($this->bareUnit(), CarAttribute::BalloonSize->complaint(...), $this->units)],
        ];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'way.*' => Text::of('design.form.choose_one'),
            'design_other.different' => Text::of('design.form.two_must_differ'),
        ];
    }

    /** As it was where nobody said; free where nothing is asked. */
    public function way(): Design
    {
        return $this->asked() === null
            ? Design::Free
            : $this->typed->enum('way', Design::class) ?? $this->before->design ?? Design::Free;
    }

    /** @return array<string, mixed> by column of the challenge; nothing where nobody said */
    public function columns(): array
    {
        return !$this->typed->has('way') ? [] : [
            'design' => $this->way(),
            'design_one' => $this->typed->input('design_one'),
            'design_other' => $this->typed->input('design_other'),
            'is_mass_even' => $this->before === null || $this->typed->boolean('is_mass_even'),
        ];
    }

    /** @return array<string, mixed> by column of the session's plan, what follows for it */
    public function day(): array
    {
        $fill = $this->fill();
        $triesAgain = $this->triesAgain();

        return ($this->typed->has('fill') || $fill !== null ? ['fill' => $fill] : [])
            + ($triesAgain === null ? [] : ['tries_again' => $triesAgain]);
    }

    /** @return list<string>|null what may be varied where two are compared: that alone; null for all */
    public function freeSteps(): ?array
    {
        $step = $this->asked()?->step();

        return $step === null ? null : [$step->value];
    }

    /** How far all fill their balloons: as typed; where all else is held equal, as usual. */
    private function fill(): ?Entry
    {
        $isFree = !$this->way()->isDivided() || $this->asked()?->step() === Step::Power;
        $usual = $this->before !== null || $isFree ? null : ($this->units === UnitSystem::Metric ? '20 cm' : '8 in');

        return ReadsAs::read($this->typed->input('fill') ?? $usual, $this->bareUnit());
    }

    /** Who changes one thing runs as often again; null where that is left as it is. */
    private function triesAgain(): ?int
    {
        $wasRebuilt = $this->before?->way()->isRebuilt() === true;
        if (!$this->typed->has('way') || $wasRebuilt === $this->way()->isRebuilt()) {
            return null;
        }

        return $wasRebuilt ? 0 : $this->typed->integer('tries');
    }

    private function isOneOfTwo(string $field, mixed $typed, Closure $fail): void
    {
        $asked = $this->asked();
        $kit = $this->before === null ? new Kit() : ClassPlan::of($this->before)->kit;
        if ($asked !== null && is_string($typed) && Contrast::read($asked, $typed, $kit, $this->units) === null) {
            $fail(Text::of('design.form.no_such', ['typed' => $typed, 'what' => Label::inside($asked)]));
        }
    }

    private function asked(): ?CarAttribute
    {
        return $this->typed->enum('asks', CarAttribute::class);
    }

    private function bareUnit(): Unit
    {
        return $this->units->unit(Scale::Body) ?? Unit::Centimetre;
    }
}
