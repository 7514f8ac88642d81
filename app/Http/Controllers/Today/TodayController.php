<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Today;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Rheacid\Actions\Site\ConfirmRestoration;
use Rheacid\Core\Access\Right;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Restoration;
use Rheacid\Operations\InstallationHealth;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Figures\DayLine;
use Rheacid\View\Today\Calendar;
use Rheacid\View\Today\DayPlan;
use Rheacid\View\Today\FirstSteps;
use Rheacid\View\Today\Shopping;
use Rheacid\View\Today\TaskPage;
use Rheacid\View\Today\Week;

/** The plan of the day: on the screen, on paper, and as a calendar. */
final class TodayController
{
    private const WEEK = 7;
    private const PAIRS = 30;
    private const CALENDAR_DAYS = 90;

    public function show(Request $request, DayPlan $plan): View
    {
        return view('today.show', [
            'plan' => $plan,
            'pairs' => array_slice($plan->pairs(), 0, self::PAIRS),
            'morePairs' => count($plan->pairs()) - self::PAIRS,
            'tasks' => new TaskPage($plan->tasks(), $request->integer('from')),
            'buffers' => $plan->buffers(),
            'line' => DayLine::of($plan),
            'week' => Week::ahead($plan, self::WEEK),
            'shopping' => Shopping::list(),
            'steps' => Gate::allows(Right::Lead->value) ? FirstSteps::list() : [],
            ...self::forTheLead(),
        ]);
    }

    public function confirm(Request $request, Restoration $restoration, ConfirmRestoration $confirm): RedirectResponse
    {
        $confirm(Sent::person($request), IdempotencyKey::from($request), $restoration, Sent::remark($request));

        return redirect()->route('today')->with('done', 'Confirmed.');
    }

    /** @return array{keeping: list<string>, restoration: Restoration|null} how the records are kept, for who answers for them */
    private static function forTheLead(): array
    {
        return Gate::allows(Right::Lead->value)
            ? ['keeping' => [...($health = InstallationHealth::now())->blocks, ...$health->attention], 'restoration' => Restoration::open()]
            : ['keeping' => [], 'restoration' => null];
    }

    public function sheet(DayPlan $plan): View
    {
        return view('today.sheet', [
            'plan' => $plan,
            'buffers' => $plan->buffers(),
            'week' => Week::ahead($plan, self::WEEK),
            'shopping' => Shopping::list(),
        ]);
    }

    public function calendar(DayPlan $plan): Response
    {
        return response(Calendar::of(Week::ahead($plan, self::CALENDAR_DAYS)), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="rheacid-due.ics"',
        ]);
    }
}
