<?php

declare(strict_types=1);

namespace App\Pages\Api;

use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Run;
use App\Models\User;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Skivo\Core\Exchange\FindingsReport;
use Skivo\Core\Measurement\Entry;

/** What programs of an educator's read, as docs/openapi.json says. SI units, and beside them what was typed. */
final class ApiController
{
    private const A_PAGE = 100;

    public function challenges(Request $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $all = Challenge::query()->where(static fn(Builder $mine) => $mine->where('user_id', $user->id)
            ->orWhereHas('members', static fn(Builder $members) => $members->where('user_id', $user->id)))->orderBy('id');

        return $this->page($request, $all, fn(Challenge $challenge): array => $this->brief($challenge), null);
    }

    public function challenge(Request $request, Challenge $challenge): JsonResponse
    {
        return $this->held($request, $challenge, fn(): array => $this->brief($challenge) + [
            'goal' => $challenge->goal->value,
            'scoring' => $challenge->scoring->value,
            'tries' => $challenge->tries,
            'asks' => $challenge->asks?->value,
            'asks_outcome' => $challenge->asks === null ? null : $challenge->asks_outcome?->value,
            'lanes' => $challenge->lanes,
            'lane_length' => self::entry($challenge->lane_length),
            'timed_length' => self::entry($challenge->timed_length),
            'surface' => $challenge->surface,
        ]);
    }

    public function groups(Request $request, Challenge $challenge): JsonResponse
    {
        return $this->page($request, $challenge->groups()->reorder('id')->getQuery(), static fn(Group $group): array => [
            'id' => $group->id, 'name' => $group->name, 'is_withdrawn' => $group->is_withdrawn,
        ], $challenge);
    }

    public function cars(Request $request, Challenge $challenge): JsonResponse
    {
        $cars = Car::query()->whereHas('group', static fn(Builder $group) => $group->where('challenge_id', $challenge->id))->orderBy('id');

        return $this->page($request, $cars, static fn(Car $car): array => [
            'id' => $car->id,
            'group' => $car->group_id,
            'version' => $car->version,
            'choices' => (object) [
                ...array_map(self::entry(...), $car->choices->quantities),
                ...$car->choices->counts,
                ...$car->choices->kinds,
            ],
        ], $challenge);
    }

    public function runs(Request $request, Challenge $challenge): JsonResponse
    {
        return $this->page($request, $challenge->runs()->orderBy('id'), static fn(Run $run): array => [
            'id' => $run->id,
            'car' => $run->car_id,
            'try' => $run->try,
            'kind' => $run->kind->value,
            'distance' => self::entry($run->distance),
            'past_end' => $run->past_end,
            'time' => self::entry($run->time),
            'drift' => self::entry($run->drift),
            'void' => $run->void_reason?->value,
            'logged_at' => $run->logged_at->toIso8601ZuluString('millisecond'),
        ], $challenge);
    }

    public function findings(Request $request, Challenge $challenge): JsonResponse
    {
        return $this->held(
            $request,
            $challenge,
            static fn(): array => FindingsReport::of(ClassFindings::of(ClassRecord::of($challenge))->found),
        );
    }

    /** The document that describes all of this. */
    public function describe(): JsonResponse
    {
        return new JsonResponse((string) file_get_contents(base_path('docs/openapi.json')), json: true);
    }

    /** @return array<string, mixed> */
    private function brief(Challenge $challenge): array
    {
        return [
            'id' => $challenge->id,
            'name' => $challenge->name,
            'question' => $challenge->question,
            'units' => $challenge->units->value,
            'created_at' => $challenge->created_at?->toIso8601ZuluString('millisecond'),
        ];
    }

    /** @return array{si: float, typed: string}|null in m, kg, s, m³, °, Pa or N/m, as the thing is */
    private static function entry(?Entry $entry): ?array
    {
        return $entry === null ? null : ['si' => $entry->quantity->si(), 'typed' => $entry->text];
    }

    /**
     * @template T of \Illuminate\Database\Eloquent\Model
     *
     * @param Builder<T> $of
     * @param Closure(T): array<string, mixed> $say
     * @param Challenge|null $challenge whose revision says whether anything is new; null where none does
     */
    private function page(Request $request, Builder $of, Closure $say, ?Challenge $challenge): JsonResponse
    {
        $number = max(1, min(100_000, $request->integer('page', 1)));
        $build = function () use ($request, $of, $say, $number): array {
            $rows = $of->offset(($number - 1) * self::A_PAGE)->limit(self::A_PAGE + 1)->get();

            return [
                'data' => $rows->take(self::A_PAGE)->map($say)->values()->all(),
                'page' => $number,
                'next' => $rows->count() > self::A_PAGE ? $request->fullUrlWithQuery(['page' => $number + 1]) : null,
            ];
        };
        if ($challenge !== null) {
            return $this->held($request, $challenge, $build);
        }
        $answer = new JsonResponse($build());
        $answer->setEtag(md5((string) $answer->getContent()));
        $answer->isNotModified($request);

        return $answer;
    }

    /** @param Closure(): array<string, mixed> $build only where something is new */
    private function held(Request $request, Challenge $challenge, Closure $build): JsonResponse
    {
        $answer = new JsonResponse();
        $answer->setEtag(md5("{$request->fullUrl()}|{$challenge->revision()}|" . config('skivo.build')));
        if (!$answer->isNotModified($request)) {
            $answer->setData($build());
        }

        return $answer;
    }
}
