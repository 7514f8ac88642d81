<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Care\ThermometerStatus;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\ThermometerKind;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Models\Thermometer;

/** A thermometer on the board. */
final readonly class ThermometerLine
{
    /** @param CarbonImmutable|null $certifiedUntil where it can vouch for others */
    public function __construct(
        public int $id,
        public string $code,
        public bool $isLive,
        public ?ThermometerKind $state,
        public CarbonImmutable $since,
        public string $name,
        public ?string $place,
        public ?VerificationVerdict $verdict,
        public ?Outcome $outcome,
        public ?CarbonImmutable $checkedAt,
        public ?CarbonImmutable $dueAt,
        public bool $eachBatch,
        public ?CarbonImmutable $certifiedUntil,
        public ?float $certifiedU,
        public ?int $intervalDays,
    ) {}

    public static function work(int $id): self
    {
        $thermometer = Thermometer::query()
            ->with(['newestVerification.outcome', 'newestService'])
            ->findOrFail($id);
        $newest = $thermometer->newestVerification;
        $service = $thermometer->service();
        $isGone = in_array($newest?->outcome?->outcome, [Outcome::Replaced, Outcome::OutOfUse], true);

        return new self(
            $thermometer->id,
            $thermometer->code,
            !$isGone,
            $thermometer->kind,
            CarbonImmutable::instance($newest->at ?? CarbonImmutable::createFromTimestampUTC(0)),
            $thermometer->name,
            $service->place,
            $newest?->toCore()->isDamp() === true ? VerificationVerdict::Outside : $newest?->verdict,
            $newest?->outcome?->outcome,
            $newest === null ? null : CarbonImmutable::instance($newest->at),
            $newest === null ? null : CarbonImmutable::instance($newest->due_at),
            $service->each_batch,
            $service->certificate_due_on === null || $service->certificate_expanded_u_c === null
                ? null
                : CarbonImmutable::instance($service->certificate_due_on),
            $service->certificate_expanded_u_c,
            $newest?->interval_days,
        );
    }

    public function status(): ThermometerStatus
    {
        return ThermometerStatus::at(CarbonImmutable::now(), $this->verdict, $this->outcome, $this->dueAt);
    }

    /** A reference with a certificate in date. */
    public function isReference(): bool
    {
        return $this->certifiedUntil?->isFuture() === true;
    }

    /** What it is for: nobody has to check a reference whose certificate is in date. */
    public function isCheckedHere(): bool
    {
        return !$this->isReference() && $this->status()->state !== ThermometerState::OutOfUse;
    }
}
