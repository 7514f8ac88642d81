<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Verify;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Verify\RecordVerification;
use Rheacid\Actions\Verify\SetElevation;
use Rheacid\Bench\SimulatedBaths;
use Rheacid\Core\Celsius;
use Rheacid\Core\Logs\TemperatureLog;
use Rheacid\Core\Simulation\BathKind;
use Rheacid\Core\Thermometry\Barometer;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Words\Quantity;
use Rheacid\Http\Forms\MeasuredQuantity;
use Rheacid\Http\Forms\Sent;
use Rheacid\Http\Forms\Verify\TypedVerification;
use Rheacid\Models\SiteElevation;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Verify\BathScreen;

/** A thermometer in a bath: what it reads against what it should. */
final class VerifyController
{
    public function index(): View
    {
        $thermometers = Lines::thermometers(goneToo: true);
        // What is due comes first, references last.
        $rank = static fn(ThermometerLine $one): array => match (true) {
            !$one->isCheckedHere() => [2, $one->code],
            $one->status()->state->isInForce() => [1, $one->dueAt?->format('c') ?? ''],
            default => [0, $one->code],
        };
        usort($thermometers, static fn(ThermometerLine $a, ThermometerLine $b): int => $rank($a) <=> $rank($b));

        return view('verify.index', ['thermometers' => $thermometers, 'site' => SiteElevation::newest()]);
    }

    public function show(Request $request, Thermometer $thermometer): View
    {
        $asked = $request->input('method', old('method'));
        $method = is_string($asked) ? VerificationMethod::tryFrom($asked) : null;

        return view('verify.bath', [
            'screen' => BathScreen::of(
                $thermometer,
                $method ?? ($thermometer->kind->isRtd() ? VerificationMethod::Rtd : VerificationMethod::Ice),
            ),
        ]);
    }

    public function store(Request $request, Thermometer $thermometer, RecordVerification $record): RedirectResponse
    {
        $check = $record(
            Sent::person($request),
            IdempotencyKey::from($request),
            $thermometer,
            TypedVerification::from($request, $thermometer),
        );

        return redirect()->route('verifications.show', $check);
    }

    /** Readings of the simulated bath, put into the fields for the person to look at. */
    public function dip(Request $request, Thermometer $thermometer): RedirectResponse
    {
        abort_unless(SimulatedBaths::hasThermometer($thermometer), 404);
        $request->validate(['dip' => ['required', Rule::enum(BathKind::class)]]);
        $reference = TypedVerification::reference($request);
        $unit = TypedVerification::unit($request, $thermometer);
        $shown = array_map(
            static fn(float $celsius): string => sprintf('%.1f', $unit === 'F' ? Celsius::fahrenheit($celsius) : $celsius),
            SimulatedBaths::dip($thermometer, BathKind::from((string) $request->string('dip')), $reference->celsius),
        );

        return redirect()
            ->back()
            ->withInput([...$request->except(['_token', 'form', 'dip']), 'readings' => $shown, 'source' => 'simulated']);
    }

    /** Readings of a logger's file, put into the fields for the person to look at. */
    public function log(Request $request, Thermometer $thermometer): RedirectResponse
    {
        $request->validate(['log' => ['required', 'file', 'max:5120']], ['log.required' => 'Choose the file of the logger.']);
        $file = $request->file('log');
        $readings = TemperatureLog::readings($file instanceof UploadedFile ? (string) $file->get() : '', $thermometer->resolution_c);

        return redirect()
            ->back()
            ->withInput([
                ...$request->except(['_token', 'form', 'log']),
                'readings' => array_map(static fn(float $reading): string => (string) $reading, $readings),
                'source' => 'imported',
            ]);
    }

    public function elevation(Request $request, SetElevation $set): RedirectResponse
    {
        $request->validate(
            [
                'elevation' => ['required', 'string', new MeasuredQuantity(Quantity::Elevation)],
                'barometer' => ['nullable', Rule::enum(Barometer::class)],
            ],
            ['elevation.required' => Quantity::Elevation->accepted()],
        );
        $set(
            Sent::person($request),
            IdempotencyKey::from($request),
            Quantity::Elevation->read((string) $request->string('elevation')),
            $request->enum('barometer', Barometer::class),
        );

        return redirect()->route('verify')->with('done', 'Elevation saved.');
    }
}
