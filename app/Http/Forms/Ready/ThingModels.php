<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Ready;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\SoakSchool;
use Rheacid\Core\Thermometry\ThermometerKind;
use Rheacid\Core\Thermometry\ToleranceClass;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Electrode;
use Rheacid\Models\Measures;
use Rheacid\Models\Meter;
use Rheacid\Models\Thermometer;
use Rheacid\Models\ThermometerService;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Site\SiteClock;

/** What is made of the answers about a thing for the shelf; not saved yet. */
final class ThingModels
{
    /** Asked about a thermometer's service; what stays empty is as usual for its kind. */
    public const SERVICE = [
        'place',
        'use_low_c',
        'use_high_c',
        'tolerance_class',
        'certificate',
        'certificate_expanded_u_c',
        'certificate_due_on',
    ];

    /** @param array<string, mixed> $read */
    public static function of(ThingKind $kind, array $read): Model
    {
        return match ($kind) {
            ThingKind::Meter => new Meter([
                ...$read,
                'shows_mv' => $read['resolution_mv'] !== null,
                'compensates' => $read['compensates'] === 'sensor',
            ]),
            ThingKind::Electrode => self::electrode($read),
            ThingKind::Thermometer => self::thermometer($read),
            ThingKind::Bottle => TypedBottle::make([
                ...$read,
                'kept_cold' => $read['kept_cold'] === null ? null : $read['kept_cold'] === 'in the refrigerator',
            ]),
        };
    }

    /** @param array<string, mixed> $read */
    private static function thermometer(array $read): Thermometer
    {
        $meter = $read['meter'] === null ? null : Instruments::meter((string) $read['meter'])->id;
        $thermometer = new Thermometer([
            ...array_diff_key($read, array_flip(self::SERVICE), ['meter' => 0]),
            'meter_id' => $meter,
            'kind' => self::named(ThermometerKind::cases(), $read['kind']),
        ]);
        $service = array_filter(array_intersect_key($read, array_flip(self::SERVICE)), static fn(mixed $value): bool => $value !== null);
        if (is_string($service['tolerance_class'] ?? null)) {
            [$service['tolerance_standard'], $service['tolerance_class']] = ToleranceClass::parts($service['tolerance_class']);
        }

        return $service === []
            ? $thermometer
            : $thermometer->setRelation('newestService', ThermometerService::usual($thermometer)->fill($service));
    }

    /** @param array<string, mixed> $read */
    private static function electrode(array $read): Electrode
    {
        $kind = self::named(ElectrodeKind::cases(), $read['kind']);

        $measures = match ($kind) {
            ElectrodeKind::ConductivityCell => Measures::Conductivity,
            ElectrodeKind::RedoxElectrode => Measures::Redox,
            default => Measures::Ph,
        };
        $electrode = new Electrode([...array_diff_key($read, ['wet_since' => 0]), 'kind' => $kind, 'measures' => $measures]);
        // A cell of two plates has nothing to keep wet.
        return $measures === Measures::Conductivity || !array_key_exists('wet_since', $read)
            ? $electrode
            : $electrode->setRelation('care', self::asKept($read['wet_since']));
    }

    /** How the glass was kept until it came here: wet since that day at the latest, or dry. */
    private static function asKept(mixed $wetSince): CareEvent
    {
        if (!is_string($wetSince)) {
            return new CareEvent(['kind' => CareKind::DriedOut, 'at' => CarbonImmutable::now(), 'note' => 'arrived dry']);
        }
        $from = SiteClock::endOfDay(CarbonImmutable::parse($wetSince, SiteClock::zone(CarbonImmutable::now())))->min(
            CarbonImmutable::now(),
        );

        return new CareEvent([
            'kind' => CareKind::Soak,
            'at' => $from,
            'until_at' => $from->addMinutes(SoakSchool::Careful->minutes()),
            'note' => "stored wet since $wetSince",
        ]);
    }

    /**
     * @template T of ElectrodeKind|ThermometerKind
     *
     * @param list<T> $kinds
     *
     * @return T
     */
    private static function named(array $kinds, mixed $words): ElectrodeKind|ThermometerKind
    {
        foreach ($kinds as $kind) {
            if ($kind->words() === $words) {
                return $kind;
            }
        }

        throw new \LogicException('Only a kind of the list passes the rules.');
    }
}
