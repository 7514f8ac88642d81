<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;
use Rheacid\Today\Calendar;
use Rheacid\Today\DayPlan;
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
        return view('today.show', ['plan' => $plan, 'buffers' => $plan->buffers(), 'line' => DayLine::of($plan), 'week' => Week::ahead($plan, self::WEEK), 'shopping' => Shopping::list()]);
    }

    public function sheet(DayPlan $plan): View
    {
        return view('today.sheet', ['plan' => $plan, 'buffers' => $plan->buffers(), 'week' => Week::ahead($plan, self::WEEK), 'shopping' => Shopping::list()]);
    }

    public function calendar(DayPlan $plan): Response
    {
        return response(Calendar::of(Week::ahead($plan, self::CALENDAR_DAYS)), 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="rheacid-due.ics"']);
    }
}
