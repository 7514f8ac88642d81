<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Calibrate;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Rheacid\Actions\Logs\CalibrateFromLog;
use Rheacid\Actions\Logs\MeasureFromLog;
use Rheacid\Actions\Logs\UploadLog;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Logs\LogColumns;
use Rheacid\Core\Logs\Plateau;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\LogUpload;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Pair;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Rights\Rights;
use Rheacid\View\Calibrate\LogScreen;

/** Logs of real meters: uploaded, looked through, and taken from only when a person says so. */
final class LogController
{
    public function forPair(Request $request, Pair $pair, UploadLog $upload): RedirectResponse
    {
        $log = $upload(Sent::person($request), IdempotencyKey::from($request), ...self::file($request), pair: $pair, draft: null);

        return redirect()->route('logs.show', $log);
    }

    public function forDraft(Request $request, MeasurementDraft $draft, UploadLog $upload): RedirectResponse
    {
        $log = $upload(
            Sent::person($request),
            IdempotencyKey::from($request),
            ...self::file($request),
            pair: $draft->pair,
            draft: $draft,
        );

        return redirect()->route('logs.show', $log);
    }

    public function show(Request $request, LogUpload $log): View
    {
        Gate::authorize(Rights::READ_UPLOAD, $log);

        return view('calibrate.log', ['screen' => LogScreen::of($log, self::columns($request))]);
    }

    public function calibrate(Request $request, LogUpload $log, CalibrateFromLog $calibrate): RedirectResponse
    {
        Gate::authorize(Rights::READ_UPLOAD, $log);
        $request->validate(['lots' => ['required', 'array'], 'lots.*' => ['nullable', 'string', 'max:20']]);
        $chosen = [];
        foreach (self::plateaus($request, $log) as $i => $plateau) {
            $code = (string) $request->string("lots.$i");
            if ($code !== '') {
                $chosen[] = ['plateau' => $plateau, 'lot' => Bottles::byCode($code, 'lots')];
            }
        }
        $calibration = $calibrate(Sent::person($request), IdempotencyKey::from($request), $log, $chosen, Sent::answers($request));

        return redirect()->route('calibrations.show', $calibration);
    }

    public function measure(Request $request, LogUpload $log, MeasureFromLog $measure): RedirectResponse
    {
        Gate::authorize(Rights::READ_UPLOAD, $log);
        $request->validate(['take' => ['required', 'array'], 'take.*' => ['integer']], ['take' => 'Tick at least one stretch.']);
        $take = array_map(intval(...), array_filter((array) $request->input('take'), is_numeric(...)));
        $isTaken = static fn(int $i): bool => in_array($i, $take, true);
        $chosen = array_values(array_filter(self::plateaus($request, $log), $isTaken, ARRAY_FILTER_USE_KEY));
        $measure(Sent::person($request), IdempotencyKey::from($request), $log->draft ?? abort(404), $chosen);

        return redirect()->route('drafts.show', $log->draft);
    }

    /** A log of the simulated bench, to try the import with. */
    public function sample(Pair $pair, SimulatedBench $bench): Response
    {
        return response($bench->sampleLog($pair), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"simulated-{$pair->electrode->code}.csv\"",
        ]);
    }

    /** @return array{name: string, content: string} */
    private static function file(Request $request): array
    {
        $request->validate(['log' => ['required', 'file', 'max:5120', 'extensions:csv,txt,tsv,log']], [
            'log.required' => 'Choose the file that the meter or logger wrote.',
            'log.uploaded' => 'The file is larger than 5 MB, or did not arrive whole.',
            'log.max' => 'The file is larger than 5 MB.',
            'log.extensions' => 'A text file that ends in csv, tsv, txt or log is accepted.',
        ]);
        $file = $request->file('log');
        $content = $file instanceof UploadedFile ? $file->get() : false;

        return [
            'name' => $file instanceof UploadedFile ? $file->getClientOriginalName() : '',
            'content' => $content === false ? '' : $content,
        ];
    }

    private static function columns(Request $request): ?LogColumns
    {
        return $request->has(['time', 'mv', 'celsius'])
            ? LogColumns::chosen($request->integer('time'), $request->integer('mv'), $request->integer('celsius'))
            : null;
    }

    /** @return list<Plateau> */
    private static function plateaus(Request $request, LogUpload $log): array
    {
        return LogScreen::plateaus($log, self::columns($request) ?? LogColumns::guess($log->table()));
    }
}
