<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Ready;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Ready\LogCare;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\SoakSchool;
use Rheacid\Core\Words\CareWords;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Pair;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

/** The care log of an electrode, a tap for each thing done. */
final class CareController
{
    public function store(Request $request, Pair $pair, LogCare $log): RedirectResponse
    {
        $request->validate(['act' => ['required', 'string', 'max:40']]);
        // A button says it all at once: "soak fast", "cleaned fat", "dropped".
        [$kind, $detail] = explode(' ', (string) $request->string('act'), 2) + [1 => ''];
        $kind = CareKind::tryFrom($kind) ?? throw Refused::because('That cannot be recorded in the care log.', 'act');
        $log(
            Sent::person($request),
            IdempotencyKey::from($request),
            $pair->electrode,
            $kind,
            SoakSchool::tryFrom($detail),
            Dirt::tryFrom($detail),
            self::note($request, $kind, $pair->electrode->kind),
        );

        // From the page of a reading it is one tap, and the hand stays there.
        return redirect()
            ->back(fallback: route('pairs.show', $pair))
            ->with('done', ucfirst(CareWords::happened($kind)) . ': noted.');
    }

    private static function note(Request $request, CareKind $kind, ElectrodeKind $of): ?string
    {
        $note = Sent::remark($request, 'note');
        if ($kind !== CareKind::Inspected) {
            return $note;
        }
        $missing = array_diff(array_keys(CareWords::inspection($of)), (array) $request->input('good', []));
        $found = $missing === [] ? 'all good' : 'not good: ' . implode(', ', $missing);

        return $note === null ? $found : "$found; $note";
    }
}
