<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Rheacid\Actions\Site\ConfirmRestoration;
use Rheacid\Http\Bench;
use Rheacid\InstallationHealth;
use Rheacid\Models\Restoration;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Rights\Right;
use Rheacid\Today\Calendar;
use Rheacid\Today\DayPlan;
use Rheacid\Today\FirstSteps;
use Rheacid\Today\Shopping;
use Rheacid\Today\Week;
use Rheacid\View\Figures\DayLine;

/** The plan of the day: on the screen, on paper, and as a calendar. */
final class TodayController
{
    private const WEEK = 7;
    private const CALENDAR_DAYS = 90;

    public function show(DayPlan $plan): View
    {
        return view('today.show', [
            'plan' => $plan,
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
        $confirm(Bench::person($request), IdempotencyKey::from($request), $restoration, Bench::remark($request));

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
