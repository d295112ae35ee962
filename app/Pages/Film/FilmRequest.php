<?php

declare(strict_types=1);

namespace App\Pages\Film;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Forms\RowsOfNumbers;
use App\Language\Text;
use App\Models\Photo;
use App\Models\Run;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Motion\Film\FilmLine;
use Skivo\Core\Motion\Film\FilmMark;
use Skivo\Core\Motion\Film\FilmPoint;
use Skivo\Core\Motion\Film\LaneScale;
use Skivo\Core\Motion\Film\SeenFilm;
use Skivo\Core\Motion\Film\Sight;

/** What a browser read from a film: the line, the marks on it, and where the car was in each picture. */
final class FilmRequest extends FormRequest
{
    use InUnitsOfTheClass;

    /** More pictures than a minute has are thinned before they are sent. */
    private const MOST_POINTS = 4000;
    private const MOST_PX = 20_000;
    private const MOST_BYTES = 400_000;

    /** A camera above the floor, and what was followed (m). */
    private const CAMERA = [0.1, 10.0];
    private const HIGHEST = 1.0;

    /** Films play so much slower at most. */
    private const SLOWEST = 64;

    /** A group's tablet reads films of its own runs alone; of a run that is yet to be logged, its route says who may. */
    public function authorize(): bool
    {
        $run = $this->route('run');

        return !$run instanceof Run || Gate::authorize('logRuns', $run->car->group)->allowed();
    }

    /** Line, marks and points come as one text of JSON, since a form's fields hold no lists. */
    protected function prepareForValidation(): void
    {
        $typed = (string) $this->input('seen');
        // Its size before its shape.
        $seen = strlen($typed) > self::MOST_BYTES ? null : json_decode($typed, true, 8);
        $seen = array_intersect_key(is_array($seen) ? $seen : [], ['line' => 1, 'marks' => 1, 'points' => 1, 'lift' => 1]);
        // Of a few things each has a rule of its own, and only of a few.
        foreach (['line' => 4, 'marks' => LaneScale::MOST] as $key => $most) {
            $seen[$key] = is_array($seen[$key] ?? null) ? array_slice($seen[$key], 0, $most + 1) : $seen[$key] ?? null;
        }
        $this->merge($seen);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $px = 'between:' . -self::MOST_PX . ',' . self::MOST_PX;
        $place
            = fn(float $greatest): ReadsAs => new ReadsAs($this->unit(Scale::Lane), static fn(float $si): ?Remark => $si <= $greatest ? null
            : new Remark('film.form.too_far', ['greatest' => new Shown($greatest, Scale::Lane)]), $this->units());
        $height = fn(float $least, float $greatest): ReadsAs => new ReadsAs(
            $this->unit(Scale::Body),
            static fn(float $si): ?Remark => $si >= $least && $si <= $greatest ? null : new Remark('film.form.height', [
                'least' => new Shown($least, Scale::Body), 'greatest' => new Shown($greatest, Scale::Body),
            ]),
            $this->units(),
        );

        return [
            'line' => ['required', 'array', 'size:4'],
            'line.*' => ['required', 'numeric', $px],
            'marks' => ['required', 'array', 'max:' . LaneScale::MOST],
            'marks.*.u' => ['required', 'numeric', $px],
            'marks.*.v' => ['required', 'numeric', $px],
            'marks.*.edge' => ['nullable', 'integer', 'between:0,1'],
            'marks.*.place' => ['required', 'string', 'max:40', $place(100.0)],
            'points' => ['bail', 'required', 'array', new RowsOfNumbers(
                0,
                self::MOST_POINTS,
                [[0.0, 3600.0], [-self::MOST_PX, self::MOST_PX], [0.0, 1.0]],
                Text::of('film.form.read_the_film_first'),
            )],
            'lift' => ['nullable', 'numeric', 'between:0,200'],
            'slower' => ['nullable', 'numeric', 'between:1,' . self::SLOWEST],
            'lane' => ['nullable', 'integer', 'between:1,' . Limits::MOST_LANES],
            'camera' => ['nullable', 'string', 'max:40', $height(...self::CAMERA)],
            'followed' => ['nullable', 'string', 'max:40', $height(0.0, self::HIGHEST)],
            'picture' => ['nullable', 'string', 'max:1500000', $this->isPicture(...)],
            'seen' => ['required', 'string', 'max:' . self::MOST_BYTES],
            'confirmed' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'marks.required' => Text::of('film.form.mark_the_lane'),
            'marks.*.place.required' => Text::of('film.form.say_where_each_mark_is'),
            'points.required' => Text::of('film.form.read_the_film_first'),
            'points.array' => Text::of('film.form.read_the_film_first'),
            'seen.*' => Text::of('film.form.read_the_film_first'),
            'slower.*' => Text::of('film.form.slower'),
            'picture.*' => Text::of('film.form.the_picture_did_not_arrive'),
        ];
    }

    public function seen(): SeenFilm
    {
        return new SeenFilm(
            $this->line(),
            $this->marks(),
            $this->points(),
            $this->sight(),
            max(1.0, (float) $this->input('slower', 1)),
            (float) $this->input('lift', 0),
        );
    }

    private function line(): FilmLine
    {
        [$u0, $v0, $u1, $v1] = array_map(floatval(...), array_values((array) $this->input('line')));

        return new FilmLine($u0, $v0, $u1, $v1);
    }

    /** @return list<FilmMark> */
    private function marks(): array
    {
        return array_map(fn(array $mark): FilmMark => new FilmMark(
            (float) $mark['u'],
            (float) $mark['v'],
            ReadsAs::read($mark['place'], $this->unit(Scale::Lane))?->quantity->si() ?? 0.0,
            isset($mark['edge']) ? (int) $mark['edge'] : null,
        ), array_values((array) $this->input('marks')));
    }

    /** @return list<FilmPoint> in seconds of the film */
    private function points(): array
    {
        return array_map(
            static fn(array $point): FilmPoint => new FilmPoint((float) $point[0], (float) $point[1], (int) $point[2] === 1),
            array_values((array) $this->input('points')),
        );
    }

    private function sight(): Sight
    {
        $usual = new Sight();
        $read = fn(string $key, float $usual): float => ReadsAs::read(
            $this->input($key),
            $this->unit(Scale::Body),
        )?->quantity->si() ?? $usual;

        return new Sight($read('followed', $usual->heightM), $read('camera', $usual->cameraM));
    }

    /** The lane at which it waits. */
    public function lane(): int
    {
        return max(1, (int) $this->input('lane', 1));
    }

    /** Encoded anew, as base64; null where none came. */
    public function picture(): ?string
    {
        $photo = $this->photo();

        return $photo instanceof Photo ? base64_encode($photo->jpeg) : null;
    }

    private function unit(Scale $scale): Unit
    {
        return $this->units()->unit($scale) ?? Unit::Metre;
    }

    private function photo(): Photo|string
    {
        $bytes = base64_decode((string) preg_replace('~^data:image/(jpeg|png|webp);base64,~', '', (string) $this->input('picture')), true);
        if ($bytes === false || $bytes === '') {
            return 'no_photo';
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'film');
        try {
            file_put_contents($path, $bytes);

            return Photo::read($path);
        } finally {
            unlink($path);
        }
    }

    private function isPicture(string $attribute, mixed $value, Closure $fail): void
    {
        if (!$this->photo() instanceof Photo) {
            $fail(Text::of('film.form.the_picture_did_not_arrive'));
        }
    }
}
