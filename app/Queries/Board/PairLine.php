<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CalibrationFacts;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CareSchedule;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\FollowUp;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Queries\Ready\CareLog;
use Rheacid\Queries\Ready\ElectrodeHistory;
use Rheacid\Queries\Ready\Readiness;

/** A meter with its electrode or sensor on the board. */
final readonly class PairLine
{
    /** The last slopes that a row's small figure shows. */
    private const SLOPES = 40;

    /**
     * @param list<float> $slopes in percent, oldest first
     * @param array<string, string> $careDue by kind of care, the moment from which it is due
     */
    public function __construct(
        public int $id,
        public string $code,
        public bool $isLive,
        public ?Measures $state,
        public CarbonImmutable $since,
        public string $name,
        public string $meter,
        public ElectrodeKind $kind,
        public BufferFamily $family,
        public float $slopeLow,
        public ?int $calibrationId,
        public ?Verdict $verdict,
        public ?CarbonImmutable $calibratedAt,
        public ?CarbonImmutable $dueAt,
        public bool $isDoubtful,
        public ?CareKind $dueBecause,
        public bool $isSpent,
        public ?CarbonImmutable $soakingSince,
        public ?CarbonImmutable $soakingUntil,
        public ?CareKind $out,
        public bool $isStored,
        public ?Diagnosis $diagnosis,
        public ?Diagnosis $alsoDiagnosed,
        public ?CareStep $nextStep,
        public ?float $bracketLow,
        public ?float $bracketHigh,
        public array $slopes,
        public array $careDue,
        public CarbonImmutable $firstUsed,
        public ?string $leavesPolicyOn,
    ) {}

    public static function work(int $id): self
    {
        $pair = Pair::query()
            ->with(['meter', 'electrode', 'policy', 'parting', 'newestCalibration.void', 'newestCalibration.policy', 'newestCell'])
            ->findOrFail($id);
        $care = CareLog::of($pair->electrode);
        $isPh = $pair->electrode->measures === Measures::Ph;
        $calibration = $pair->newestCalibration;
        $newest = $isPh ? $calibration : $pair->newestCell;
        $facts = Readiness::facts($pair, $care, CarbonImmutable::now());
        $soak = $care->last(CareKind::Soak);
        $firstUsed = CarbonImmutable::instance($pair->electrode->first_used_on);

        return new self(
            $pair->id,
            $pair->electrode->code,
            $pair->parting === null && $care->last(CareKind::Retired) === null,
            $pair->electrode->measures,
            CarbonImmutable::instance($pair->paired_at),
            $pair->name(),
            $pair->meter->name,
            $pair->electrode->kind,
            $pair->policy->buffer_family,
            $pair->policy->slope_low_percent,
            $newest?->id,
            $facts?->verdict,
            $newest === null ? null : CarbonImmutable::instance($newest->at),
            $facts === null ? null : CarbonImmutable::instance($facts->dueAt),
            $facts->isDoubtful ?? false,
            $facts?->dueBecause,
            $facts->isSpent ?? false,
            $soak === null ? null : CarbonImmutable::instance($soak->at),
            $soak?->until_at === null ? null : CarbonImmutable::instance($soak->until_at),
            $care->outOfUseBy(),
            $care->isStoredNow(),
            $calibration?->diagnosis,
            $calibration?->alsoDiagnosed(),
            $calibration?->diagnosis === null
                ? null
                : FollowUp::next(
                    FollowUp::of($calibration->diagnosis, $pair->electrode->kind, $calibration->alsoDiagnosed()),
                    $care->since(CarbonImmutable::instance($calibration->at)),
                ),
            $calibration?->bracket_low_ph,
            $calibration?->bracket_high_ph,
            $isPh ? ElectrodeHistory::slopes($pair, self::SLOPES) : [],
            $isPh
                ? array_column(
                    array_map(
                        static fn(array $due): array => [
                            $due['kind']->value,
                            CarbonImmutable::instance($due['at'])->utc()->format('Y-m-d\TH:i:s\Z'),
                        ],
                        CareSchedule::next($firstUsed, $care->lastDone()),
                    ),
                    1,
                    0,
                )
                : [],
            $firstUsed,
            $isPh ? ElectrodeHistory::trend($pair)?->leavesPolicyOn : null,
        );
    }

    public function status(): PairStatus
    {
        return PairStatus::at(
            CarbonImmutable::now(),
            $this->verdict === null || $this->dueAt === null
                ? null
                : new CalibrationFacts($this->verdict, $this->dueAt, $this->isDoubtful, $this->dueBecause, $this->isSpent),
            $this->soakingUntil,
            $this->out,
            $this->isStored,
        );
    }

    /** @return list<CareStep> what its diagnosis calls for */
    public function followUp(): array
    {
        return $this->diagnosis === null ? [] : FollowUp::of($this->diagnosis, $this->kind, $this->alsoDiagnosed);
    }
}
