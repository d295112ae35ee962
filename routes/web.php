<?php

declare(strict_types=1);

use App\Http\Middleware\ChangesOnlyWithRight;
use App\Http\Middleware\OpenBuildAfterSafety;
use App\Http\Middleware\RequireActiveSignIn;
use App\Models\Challenge;
use App\Models\User;
use App\Pages\Account\AccountController;
use App\Pages\Account\RegistrationController;
use App\Pages\Account\SessionController;
use App\Pages\Account\UnitsController;
use App\Pages\Board\BoardController;
use App\Pages\Build\CarController;
use App\Pages\Build\CarPhotoController;
use App\Pages\Build\CarsController;
use App\Pages\Build\GroupController;
use App\Pages\Build\PartController;
use App\Pages\Check\BenchController;
use App\Pages\Check\CheckController;
use App\Pages\Check\DiagnosisController;
use App\Pages\DryRun\DryRunController;
use App\Pages\Film\FilmController;
use App\Pages\Film\TraceController;
use App\Pages\Findings\FindingsController;
use App\Pages\Group\OwnGroupController;
use App\Pages\Group\StationController;
use App\Pages\Home\HomeController;
use App\Pages\Paper\PackController;
use App\Pages\Plan\BriefController;
use App\Pages\Plan\BuildStepsController;
use App\Pages\Plan\ChallengeController;
use App\Pages\Plan\CutSizesController;
use App\Pages\Plan\LargerController;
use App\Pages\Plan\LibraryController;
use App\Pages\Plan\MaterialsController;
use App\Pages\Plan\PlannedAnswerController;
use App\Pages\Plan\SafetyController;
use App\Pages\Plan\TimetableController;
use App\Pages\Race\RaceController;
use App\Pages\Report\ReportController;
use App\Pages\Room\DeviceController;
use App\Pages\Room\JoinController;
use App\Pages\Room\RoomController;
use App\Pages\Run\OrderController;
use App\Pages\Run\PredictionController;
use App\Pages\Run\RunController;
use App\Pages\Run\SheetController;
use App\Pages\Run\UndoController;
use App\Pages\Sharing\ArchiveController;
use App\Pages\Sharing\BackupController;
use App\Pages\Sharing\InvitationController;
use App\Pages\Sharing\SchoolController;
use App\Pages\Sharing\SharingController;
use Illuminate\Support\Facades\Route;

// A tablet that joined belongs where it joined; whoever has an account, to their challenges.
Route::get('/', [JoinController::class, 'start']);

// A group at home: the link is its own key.
Route::controller(HomeController::class)->prefix('home/{token}')
    ->where(['token' => '[A-Za-z0-9]{20,80}'])
    ->middleware('throttle:home')
    ->group(function (): void {
        Route::get('', 'show')->name('home');
        Route::post('', 'store');
    });

// What is stored is for everybody to know.
Route::view('privacy', 'privacy')->name('privacy');

Route::middleware(['guest', 'throttle:accounts'])->group(function (): void {
    Route::get('sign-in', [SessionController::class, 'create'])->name('sign-in')->withoutMiddleware('throttle:accounts');
    Route::post('sign-in', [SessionController::class, 'store']);
    Route::get('register', [RegistrationController::class, 'create'])->name('register')->withoutMiddleware('throttle:accounts');
    Route::post('register', [RegistrationController::class, 'store']);
});

// A tablet joins with a code, without an account.
Route::controller(JoinController::class)->group(function (): void {
    Route::get('join', 'create')->name('join');
    Route::post('join', 'store')->middleware('throttle:joining');
    Route::get('join/{code}', 'create')->name('join.scan')->where('code', '[A-Za-z0-9]{1,12}')->middleware('throttle:joining');
    Route::post('join/mark', 'pick')->name('join.pick')->middleware('throttle:joining');
    Route::get('joined', 'home')->name('join.home');
});
// The board's link is its own key.
Route::controller(BoardController::class)->prefix('board/{token}')
    ->where(['token' => '[A-Za-z0-9]{20,80}'])
    ->middleware('throttle:boards')
    ->group(function (): void {
        Route::get('', 'show')->name('board');
        Route::get('state', 'state')->name('board.state');
    });

// What a tablet that joined may do as well as the educator.
Route::prefix('challenges/{challenge}')->middleware(['auth:web,device', 'auth.session', RequireActiveSignIn::class])
    ->scopeBindings()
    ->group(function (): void {
        Route::get('', [RunController::class, 'show'])->name('runs.show')->can('seeFloor', 'challenge');
        Route::get('floor', [RunController::class, 'state'])->name('runs.state')->can('seeFloor', 'challenge');
        Route::get('runs', [RunController::class, 'index'])->name('runs.index')->can('seeFloor', 'challenge');
        Route::post('runs', [RunController::class, 'store'])->name('runs.store')->can('logRuns', 'challenge');
        Route::put('runs/{run}', [RunController::class, 'update'])->name('runs.update')->can('logRuns', 'challenge');
        Route::controller(FilmController::class)->name('film.')->group(function (): void {
            Route::get('film', 'open')->name('open')->can('keepOrder', 'challenge');
            Route::post('film', 'read')->name('any')->middleware('throttle:costly')->can('keepOrder', 'challenge');
            Route::put('film', 'wait')->name('wait')->middleware('throttle:costly')->can('keepOrder', 'challenge');
            Route::get('runs/{run}/film', 'show')->name('show')->can('logRuns', 'challenge');
            Route::post('runs/{run}/film', 'read')->name('read')->middleware('throttle:costly')->can('logRuns', 'challenge');
            Route::put('runs/{run}/film', 'keep')->name('keep')->middleware('throttle:costly')->can('logRuns', 'challenge');
        });
        Route::put('order', [OrderController::class, 'update'])->name('order.update')->can('keepOrder', 'challenge');
        Route::post('undo', [UndoController::class, 'store'])->name('undo')->can('keepOrder', 'challenge');
        Route::controller(RaceController::class)->prefix('races')->name('races.')->group(function (): void {
            Route::get('', 'index')->name('index')->can('seeFloor', 'challenge');
            Route::get('{race}', 'show')->name('show')->can('seeFloor', 'challenge')->whereNumber('race');
            Route::get('{race}/state', 'state')->name('state')->can('seeFloor', 'challenge')->whereNumber('race');
            Route::post('{race}/events', 'record')->name('record')->can('keepOrder', 'challenge')->whereNumber('race');
        });
        Route::put(
            'groups/{group}/prediction',
            [PredictionController::class, 'update'],
        )->name('predictions.update')->can('logRuns', 'group');
        Route::get('groups/{group}/own', [OwnGroupController::class, 'show'])->name('groups.own')->can('see', 'group');
        Route::get('groups/{group}/answer', [OwnGroupController::class, 'answer'])->name('groups.answer')->can('see', 'group');
        Route::put('groups/{group}/changed', [OwnGroupController::class, 'changed'])->name('groups.changed')->can('build', 'group');
        Route::put('groups/{group}/name', [OwnGroupController::class, 'rename'])->name('groups.rename')->can('build', 'group');
        Route::post('groups/{group}/cars', [OwnGroupController::class, 'addCar'])->name('groups.cars.store')->can('build', 'group');
        Route::put('groups/{group}/nominate', [OwnGroupController::class, 'nominate'])->name('groups.nominate')->can('build', 'group');
        Route::get('groups/{group}/why', [OwnGroupController::class, 'why'])->name('groups.why')->can('see', 'group');
        Route::get('groups/{group}/steps', [BuildStepsController::class, 'own'])->name('groups.steps')
            ->can('see', 'group')
            ->middleware(OpenBuildAfterSafety::class);
        Route::controller(StationController::class)->prefix('groups/{group}')
            ->name('path.')
            ->middleware(OpenBuildAfterSafety::class)
            ->group(function (): void {
                Route::get('at/{station}', 'show')->name('show')->can('see', 'group');
                Route::get('notebook', 'notebook')->name('notebook')->can('see', 'group');
                Route::post('entries', 'store')->name('store')->can('build', 'group');
                Route::get('entries/{entry}/photo', 'picture')->name('picture')->can('see', 'group')->whereUuid('entry');
                Route::get('entries/{entry}/sketch', 'sketch')->name('sketch')->can('see', 'group')->whereUuid('entry');
            });
        Route::controller(CarController::class)->prefix('groups/{group}/car')
            ->name('cars.')
            ->middleware(OpenBuildAfterSafety::class)
            ->group(function (): void {
                Route::get('', 'edit')->name('edit')->can('see', 'group');
                Route::put('', 'update')->name('update')->can('build', 'group');
                Route::get('drawing', 'draw')->name('draw')->can('see', 'group');
            });
        Route::controller(CarPhotoController::class)->prefix('groups/{group}/car/photo')
            ->middleware(OpenBuildAfterSafety::class)
            ->group(function (): void {
                Route::get('', 'show')->name('cars.photo')->can('build', 'group');
                Route::post('', 'measure')->name('cars.photo.measure')->can('build', 'group');
            });
    });

// auth.session: a changed password signs every other device out.
Route::middleware(['auth', 'auth.session', RequireActiveSignIn::class])->group(function (): void {
    Route::post('sign-out', [SessionController::class, 'destroy'])->name('sign-out')->can('updateOwn', User::class);
    Route::get('account', [AccountController::class, 'edit'])->name('account.edit')->can('updateOwn', User::class);
    Route::put('account/password', [AccountController::class, 'updatePassword'])->name('account.password')
        ->can('updateOwn', User::class)->middleware('throttle:accounts');

    Route::get('account/backup', [BackupController::class, 'download'])->name('backup')->can('administer', User::class);
    Route::post('account/tokens', [AccountController::class, 'makeToken'])->name('account.tokens')->can('updateOwn', User::class);
    Route::delete('account/tokens/{token}', [AccountController::class, 'revokeToken'])->name('account.tokens.revoke')
        ->can('updateOwn', User::class)
        ->whereNumber('token');
    Route::delete(
        'account/sign-ins/{signIn?}',
        [AccountController::class, 'endSignIns'],
    )->name('account.sign-ins')->can('updateOwn', User::class);
    Route::delete('account', [AccountController::class, 'destroy'])->name('account.destroy')
        ->can('updateOwn', User::class)
        ->middleware('throttle:accounts');

    Route::post('challenges/archive', [ArchiveController::class, 'store'])->name('archive.store')->can('create', Challenge::class);
    Route::get('account/everything', [ArchiveController::class, 'everything'])->name('archive.everything')->can('updateOwn', User::class);

    Route::get('library', [LibraryController::class, 'show'])->name('library.show')->can('create', Challenge::class);
    Route::post('library/{plan}', [LibraryController::class, 'store'])->name('library.store')->can('create', Challenge::class);

    Route::controller(ChallengeController::class)->name('challenges.')->group(function (): void {
        Route::get('challenges', 'index')->name('index')->can('viewAny', Challenge::class);
        Route::get('challenges/new', 'create')->name('create')->can('create', Challenge::class);
        Route::post('challenges', 'store')->name('store')->can('create', Challenge::class);
        Route::get('challenges/new/designs', [PlannedAnswerController::class, 'sketch'])->name('designs')->can('create', Challenge::class);
        Route::post('challenges/{challenge}/restore', 'restore')->name('restore')->withTrashed()->can('delete', 'challenge');
        Route::get('challenges/{challenge}/plan', 'edit')->name('edit')->can('view', 'challenge');
        Route::put('challenges/{challenge}/plan', 'update')->name('update')->can('update', 'challenge');
        Route::delete('challenges/{challenge}', 'destroy')->name('destroy')->can('delete', 'challenge');
        Route::delete('challenges/{challenge}/for-good', 'deleteForGood')->name('delete')->withTrashed()->can('delete', 'challenge');
    });

    Route::controller(InvitationController::class)->prefix('invited/{token}')
        ->where(['token' => '[A-Za-z0-9]{20,80}'])
        ->group(function (): void {
            Route::get('', 'show')->name('invited')->can('updateOwn', User::class);
            Route::post('', 'accept')->name('invited.accept')->can('updateOwn', User::class);
        });

    Route::controller(SchoolController::class)->prefix('schools')->name('schools.')->scopeBindings()->group(function (): void {
        Route::get('', 'index')->name('index')->can('updateOwn', User::class);
        Route::post('', 'store')->name('store')->can('updateOwn', User::class);
        Route::get('{school}', 'show')->name('show')->can('view', 'school')->whereNumber('school');
        Route::post('{school}/links', 'invite')->name('invite')->can('lead', 'school');
        Route::delete('{school}/links/{invitation}', 'revoke')->name('revoke')->can('lead', 'school')->whereNumber('invitation');
        Route::delete('{school}/me', 'leave')->name('leave')->can('view', 'school');
        Route::delete('{school}/members/{member}', 'dismiss')->name('dismiss')
            ->can('lead', 'school')
            ->whereNumber('member')
            ->withoutScopedBindings();
        Route::post('{school}/plans/{plan}', 'copy')->name('copy')->can('view', 'school')->whereNumber('plan')->withoutScopedBindings();
    });

    Route::controller(SharingController::class)->prefix('challenges/{challenge}/sharing')
        ->name('sharing.')
        ->scopeBindings()
        ->group(function (): void {
            Route::get('', 'show')->name('show')->can('view', 'challenge');
            Route::post('links', 'invite')->name('invite')->can('share', 'challenge');
            Route::delete('links/{invitation}', 'revoke')->name('revoke')->can('share', 'challenge')->whereNumber('invitation');
            Route::delete('members/{member}', 'dismiss')->name('dismiss')
                ->can('share', 'challenge')
                ->whereNumber('member')
                ->withoutScopedBindings();
            Route::delete('me', 'leave')->name('leave')->can('leave', 'challenge');
            Route::put('schools/{school}', 'plan')->name('plan')->can('share', 'challenge')->whereNumber('school')->withoutScopedBindings();
        });

    Route::prefix('challenges/{challenge}')->middleware(['can:view,challenge', ChangesOnlyWithRight::class])
        ->scopeBindings()
        ->group(function (): void {
            Route::put('units', [UnitsController::class, 'update'])->name('units.update');
            Route::get('archive', [ArchiveController::class, 'download'])->name('archive.download');
            Route::post('copy', [ChallengeController::class, 'copy'])->name('challenges.copy');

            Route::prefix('plan')->group(function (): void {
                Route::controller(MaterialsController::class)->prefix('materials')->name('materials.')->group(function (): void {
                    Route::get('', 'show')->name('show');
                    Route::put('', 'update')->name('update');
                    Route::post('', 'store')->name('store');
                    Route::get('csv', 'download')->name('download');
                    Route::get('labels', 'labels')->name('labels');
                    Route::get('note', 'note')->name('note');
                    Route::post('counts', 'count')->name('count');
                    Route::delete('counts/{key}', 'takeBackCount')->name('count.back');
                    Route::delete('{materialLine}', 'destroy')->name('destroy');
                });
                Route::controller(CutSizesController::class)->prefix('cuts')->name('cuts.')->group(function (): void {
                    Route::get('', 'show')->name('show');
                    Route::put('', 'update')->name('update');
                });
                Route::controller(BuildStepsController::class)->prefix('steps')->name('steps.')->group(function (): void {
                    Route::get('', 'show')->name('show');
                    Route::put('', 'update')->name('update');
                    Route::get('booklet', 'booklet')->name('booklet');
                    Route::get('templates', 'templates')->name('templates');
                });
                Route::controller(TimetableController::class)->prefix('timetable')->name('timetable.')->group(function (): void {
                    Route::get('', 'show')->name('show');
                    Route::put('', 'update')->name('update');
                    Route::get('ics', 'calendar')->name('calendar');
                });
                Route::get('larger', [LargerController::class, 'show'])->name('plan.larger');
                Route::get('chance', [PlannedAnswerController::class, 'show'])->name('plan.chance');
                Route::get('chance/designs', [PlannedAnswerController::class, 'designs'])->name('plan.designs');
                Route::controller(SafetyController::class)->prefix('safety')->name('safety.')->group(function (): void {
                    Route::get('', 'show')->name('show');
                    Route::put('', 'update')->name('update');
                });
                Route::put('note', [ChallengeController::class, 'note'])->name('plan.note')->can('update', 'challenge');
                Route::get('print', [PackController::class, 'show'])->name('pack.show');
                Route::get('brief/{for}', [BriefController::class, 'show'])->name('brief.show')->whereIn('for', ['class', 'helpers']);
            });

            Route::controller(CarsController::class)->prefix('cars')
                ->name('cars.all')
                ->middleware(OpenBuildAfterSafety::class)
                ->group(function (): void {
                    Route::get('', 'edit');
                    Route::put('', 'update')->name('.update');
                    Route::get('{group}/drawing', 'draw')->name('.draw');
                });
            Route::controller(GroupController::class)->prefix('groups')
                ->name('groups.')
                ->middleware(OpenBuildAfterSafety::class)
                ->group(function (): void {
                    Route::get('', 'index')->name('index');
                    Route::post('', 'store')->name('store');
                    Route::put('', 'divide')->name('divide');
                    Route::get('{group}', 'edit')->name('edit');
                    Route::put('{group}', 'update')->name('update');
                    Route::delete('{group}', 'destroy')->name('destroy');
                    Route::post('{group}/restore', 'restore')->name('restore')->withTrashed();
                });

            Route::controller(CarController::class)->prefix('groups/{group}/car')
                ->name('cars.')
                ->middleware(OpenBuildAfterSafety::class)
                ->group(function (): void {
                    Route::get('versions', 'versions')->name('versions');
                    Route::put('allowances/{rule}', 'allow')->name('allow');
                    Route::delete('allowances/{rule}', 'disallow')->name('disallow');
                });

            Route::controller(CheckController::class)->name('checks.')->middleware(OpenBuildAfterSafety::class)->group(function (): void {
                Route::get('check', 'index')->name('index');
                Route::get('check/tolerances', 'tolerances')->name('tolerances');
                Route::put('check/tolerances', 'updateTolerances')->name('tolerances.update');
                Route::get('groups/{group}/check', 'edit')->name('edit');
                Route::put('groups/{group}/check', 'update')->name('update');
            });

            Route::controller(BenchController::class)->name('bench.')->middleware(OpenBuildAfterSafety::class)->group(function (): void {
                Route::get('bench', 'index')->name('index');
                Route::get('bench/csv', 'download')->name('download');
                Route::put('bench/pump', 'pump')->name('pump');
                Route::get('groups/{group}/bench', 'edit')->name('edit');
                Route::put('groups/{group}/bench/{test}', 'update')->name('update');
                Route::post('groups/{group}/bench/{test}/restore', 'restore')->name('restore');
            });

            Route::get(
                'groups/{group}/diagnosis',
                [DiagnosisController::class, 'show'],
            )->name('diagnosis.show')->middleware(OpenBuildAfterSafety::class);

            Route::put('timed-round', [OrderController::class, 'timedRound'])->name('order.timed');
            Route::delete('timed-round', [OrderController::class, 'noTimedRound'])->name('order.timed.none');
            Route::put('sweep', [OrderController::class, 'sweep'])->name('order.sweep');
            Route::delete('groups/{group}/sweep', [OrderController::class, 'stopSweep'])->name('order.sweep.stop');

            Route::controller(RaceController::class)->prefix('races')->name('races.')->group(function (): void {
                Route::post('', 'store')->name('store');
                Route::get('fits', 'fits')->name('fits');
                Route::put('{race}', 'update')->name('update')->whereNumber('race');
            });

            Route::controller(RunController::class)->name('runs.')->group(function (): void {
                Route::delete('runs/{run}', 'destroy')->name('destroy');
                Route::post('runs/{run}/restore', 'restore')->name('restore')->withTrashed();
            });

            Route::controller(TraceController::class)->prefix('runs/{run}/trace')->name('trace.')->group(function (): void {
                Route::get('', 'show')->name('show');
                Route::post('', 'store')->name('store');
            });

            Route::controller(DryRunController::class)->prefix('dry-run')->name('dry-run.')->group(function (): void {
                Route::get('', 'show')->name('show');
            });

            Route::controller(PartController::class)->prefix('parts')->name('parts.')->group(function (): void {
                Route::get('', 'index')->name('index');
                Route::put('names', 'merge')->name('merge');
                Route::post('names/back', 'unmerge')->name('unmerge');
                Route::post('', 'store')->name('store');
                Route::delete('{ownPart}', 'destroy')->name('destroy');
                Route::post('shared/{part}', 'take')->name('take')->whereNumber('part');
            });

            Route::controller(RoomController::class)->prefix('room')->name('room.')->group(function (): void {
                Route::get('', 'show')->name('show');
                Route::put('stations', 'stations')->name('stations');
                Route::put('word', 'word')->name('word');
                Route::put('closing', 'closing')->name('closing');
                Route::put('groups/{group}/helped', 'helped')->name('helped');
                Route::put('entries/{entry}', 'look')->name('look')->whereUuid('entry')->withoutScopedBindings();
                Route::put('devices/{device}/let-in', 'letIn')->name('let-in');
            });

            Route::controller(DeviceController::class)->prefix('devices')->name('devices.')->group(function (): void {
                Route::get('', 'index')->name('index');
                Route::post('', 'store')->name('store');
                // Opens joining where it is not open, and shows what lets devices in.
                Route::get('cards', 'cards')->name('cards')->can('update', 'challenge');
                Route::post('codes', 'openJoining')->name('open');
                Route::delete('codes/{joinCode}', 'closeJoining')->name('close');
                Route::put('lock', 'lock')->name('lock');
                Route::delete('{device}', 'destroy')->name('destroy');
            });

            Route::controller(FindingsController::class)->prefix('findings')->name('findings.')->group(function (): void {
                Route::get('', 'show')->name('show');
                Route::put('tell', 'tell')->name('tell');
                Route::put('next', 'planNext')->name('next');
                Route::post('next/drop', 'dropNext')->name('no-next');
                Route::get('curious', 'curious')->name('curious');
                Route::get('choices', 'choices')->name('choices');
                Route::get('work', 'work')->name('work');
                Route::get('work.svg', 'workSvg')->name('work-svg');
                Route::get('sources', 'sources')->name('sources');
                Route::get('beliefs', 'beliefs')->name('beliefs');
                Route::get('sure', 'sure')->name('sure');
                Route::get('awards', 'awards')->name('awards');
                Route::get('classes', 'classes')->name('classes');
                Route::get('class.json', 'json')->name('json');
                Route::get('csv/{figure}', 'download')->name('download')->whereIn('figure', ['answer', 'work', 'choice', 'model']);
            });

            Route::controller(HomeController::class)->prefix('home')->name('home.')->group(function (): void {
                Route::get('', 'index')->name('index');
                Route::post('groups/{group}', 'link')->name('link');
                Route::delete('links/{link}', 'revoke')->name('revoke')->whereNumber('link');
                Route::put('items/{item}', 'judge')->name('judge')->whereUuid('item');
                Route::get('items/{item}/photo', 'picture')->name('picture')->whereUuid('item');
            });

            Route::controller(ReportController::class)->prefix('report')->name('report.')->group(function (): void {
                Route::get('', 'show')->name('show');
                Route::get('notebooks', 'notebooks')->name('notebooks');
                Route::get('certificates', 'certificates')->name('certificates');
                Route::put('awards', 'award')->name('awards');
            });

            Route::controller(SheetController::class)->prefix('sheet')->name('sheet.')->group(function (): void {
                Route::get('', 'show')->name('show');
                Route::get('csv', 'download')->name('download');
                Route::post('preview', 'preview')->name('preview');
                Route::post('', 'store')->name('store');
            });
        });
});
