<?php

declare(strict_types=1);

namespace App\Pages\Home;

use App\Actions\ManageHomeLinks;
use App\Language\Moment;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\HomeItem;
use App\Models\HomeLink;
use App\Record\ClassRecord;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** A car that goes home: the group's own page there, and the educator's, who says what stands beside the class. */
final class HomeController
{
    /** A link holds no longer (d). */
    private const LONGEST_D = 60;
    private const USUAL_D = 14;

    /** At home: the link is its own key. */
    public function show(string $token): View
    {
        return view('home.group', ['link' => HomeLink::withToken($token), 'token' => $token]);
    }

    public function store(HomeItemRequest $request, string $token, ManageHomeLinks $home): RedirectResponse
    {
        $link = $request->link();
        if ($link !== null && !$home->take($link, $request->string('kind')->toString(), $request->payload(), $request->photo())) {
            throw ValidationException::withMessages(['kind' => Text::of('home.form.full')]);
        }

        return redirect()->route('home', $token)->with('status', $link === null ? null : Text::of('home.done.sent'));
    }

    public function index(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        $links = HomeLink::query()->whereIn('group_id', $record->groups->pluck('id'))->with('items')->orderByDesc('id')->get();

        return view('home.class', [
            'challenge' => $challenge, 'record' => $record, 'atHome' => new AtHome($record, $links),
            'until' => now()->addDays(self::USUAL_D),
        ]);
    }

    public function link(Request $request, Challenge $challenge, Group $group, ManageHomeLinks $home): RedirectResponse
    {
        $request->merge(['until' => Moment::read($request->string('until')->toString())]);
        $request->validate(
            ['until' => ['required', 'date_format:Y-m-d', 'after:today', 'before:' . now()->addDays(self::LONGEST_D + 1)->format('Y-m-d')]],
            ['until.*' => Text::of('home.form.until', ['days' => self::LONGEST_D])],
        );
        $token = $home->link($group, CarbonImmutable::parse($request->string('until')->toString())->endOfDay());

        return redirect()->route('home.index', $challenge)->with('link', route('home', $token));
    }

    public function revoke(Challenge $challenge, int $link, ManageHomeLinks $home): RedirectResponse
    {
        $home->revoke($this->links($challenge)->findOrFail($link));

        return redirect()->route('home.index', $challenge)->with('status', Text::of('sharing.done.the_link_opens_nothing_any_more'));
    }

    public function judge(Request $request, Challenge $challenge, string $item, ManageHomeLinks $home): RedirectResponse
    {
        $home->judge($this->item($challenge, $item), $request->boolean('yes'));

        return redirect()->to(route('home.index', $challenge) . "#item-{$item}");
    }

    /** Photos are looked at by an adult before anybody else sees them. */
    public function picture(Challenge $challenge, string $item): Response
    {
        $jpeg = HomeItem::query()->whereKey($this->item($challenge, $item)->id)->toBase()->value('jpeg');
        abort_if($jpeg === null, 404);

        return response((string) stream_get_contents($jpeg), 200, [
            'Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=3600', 'X-Content-Type-Options' => 'nosniff',
            'Content-Disposition' => 'inline',
        ]);
    }

    private function item(Challenge $challenge, string $id): HomeItem
    {
        return HomeItem::query()->select(HomeItem::COLUMNS)
            ->whereIn('home_link_id', $this->links($challenge)->pluck('id'))
            ->findOrFail($id);
    }

    /** @return Builder<HomeLink> */
    private function links(Challenge $challenge): Builder
    {
        return HomeLink::query()->whereIn('group_id', $challenge->groups()->withTrashed()->pluck('id'));
    }
}
