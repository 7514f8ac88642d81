<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Ready\PairUp;
use Rheacid\Actions\Ready\PartPair;
use Rheacid\Http\Bench;
use Rheacid\Models\Electrode;
use Rheacid\Models\Meter;
use Rheacid\Models\Pair;
use Rheacid\Models\Policy;
use Rheacid\Records\Refused;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Shelf\NewThing;

/** Which electrode stands on which meter. */
final class PairingController
{
    public function create(): View
    {
        return view('ready.pairing', [
            'meters' => Meter::query()->orderBy('code')->get(),
            'electrodes' => Electrode::query()->with('careEvents')->orderBy('code')->get(),
            'together' => Pair::query()->together()->with(['meter', 'electrode'])->orderBy('id')->get(),
            'policies' => Policy::newest(),
        ]);
    }

    public function store(Request $request, PairUp $pairUp): RedirectResponse
    {
        $request->validate(['meter' => ['required', 'string', 'max:20'], 'electrode' => ['required', 'string', 'max:20'], 'channel' => ['nullable', 'string', 'max:20'], 'policy' => ['required', 'string', 'max:40']]);
        $meter = Meter::query()->where('code', $request->string('meter'))->first() ?? throw self::unknown((string) $request->string('meter'), 'meter', 'a meter');
        $electrode = Electrode::query()->where('code', $request->string('electrode'))->first() ?? throw self::unknown((string) $request->string('electrode'), 'electrode', 'an electrode');
        $policy = Policy::newest()->firstWhere('code', (string) $request->string('policy')) ?? throw Refused::because('There is no such policy.', 'policy');
        $pair = $pairUp(Bench::person($request), IdempotencyKey::from($request), $meter, $electrode, Bench::remark($request, 'channel'), $policy, $request->boolean('exchange'));

        return redirect()->route('pairs.show', $pair);
    }

    public function part(Request $request, Pair $pair, PartPair $part): RedirectResponse
    {
        $part(Bench::person($request), IdempotencyKey::from($request), $pair, Bench::remark($request));

        return redirect()->route('pairing')->with('done', "{$pair->electrode->code} is off {$pair->name()}.");
    }

    private static function unknown(string $code, string $field, string $needed): Refused
    {
        $owner = NewThing::owner($code);

        return Refused::because($owner === null ? "There is no $code on the shelf; the code of $needed is accepted." : "$code is $owner; the code of $needed is accepted.", $field);
    }
}
