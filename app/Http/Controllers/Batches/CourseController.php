<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Batches;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Batches\RecordCourse;
use Rheacid\Actions\Batches\StrikeOut;
use Rheacid\Core\Logs\CourseFile;
use Rheacid\Core\Logs\LogRefused;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\Source;
use Rheacid\Http\Forms\Sent;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Models\Batch;
use Rheacid\Models\Course;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;
use Rheacid\View\Batches\CourseScreen;

/** The temperatures of a batch over time, typed or from a logger, and what depends on them. */
final class CourseController
{
    public function show(Batch $batch): View
    {
        return view('courses.show', ['screen' => CourseScreen::of($batch)]);
    }

    public function strike(Request $request, Course $course, StrikeOut $strike): RedirectResponse
    {
        $request->validate(
            ['from_at' => ['required', 'string', 'max:20'], 'to_at' => ['required', 'string', 'max:20']],
            ['from_at.required' => 'From when?', 'to_at.required' => 'Until when?'],
        );
        $strike(
            Sent::person($request),
            IdempotencyKey::from($request),
            $course,
            TypedTime::read($request->string('from_at')->toString(), 'from_at'),
            TypedTime::read($request->string('to_at')->toString(), 'to_at'),
            Sent::remark($request),
        );

        return redirect()->route('courses.show', $course->batch_id)->with('done', 'Excluded. The stretch counts as a gap.');
    }

    public function store(Request $request, Batch $batch, RecordCourse $record): RedirectResponse
    {
        $request->validate([
            'thermometer' => ['required', 'integer', 'exists:thermometers,id'],
            'point' => ['required', Rule::in(Measurand::Temperature->bases())],
            'unit' => ['required', Rule::in(['C', 'F'])],
            'course' => ['nullable', 'string', 'max:100000'],
            'file' => ['nullable', 'file', 'max:5120'],
        ]);
        $file = $request->file('file');
        $bytes = $file instanceof UploadedFile ? (string) $file->get() : (string) $request->string('course');
        if (trim($bytes) === '') {
            throw Refused::because('Choose a logger file, or type one point per line, like 2026-11-25 08:00; 24.5.', 'course');
        }
        try {
            $points = CourseFile::read(
                $bytes,
                $batch->started_at->toDateTimeImmutable(),
                SiteClock::zone($batch->started_at),
                $request->input('unit') === 'F',
            );
        } catch (LogRefused $refused) {
            throw Refused::because($refused->getMessage(), 'course');
        }
        $record(
            Sent::person($request),
            IdempotencyKey::from($request),
            $batch,
            Instruments::thermometer($request->integer('thermometer')),
            (string) $request->string('point'),
            $points,
            $file instanceof UploadedFile ? Source::Imported : Source::Typed,
            $request->boolean('complete'),
        );

        return redirect()->route('courses.show', $batch)->with('done', sprintf('%d points recorded.', count($points)));
    }
}
