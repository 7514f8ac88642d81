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
    public function __construct(
        public int $id,
        public string $code,
        public bool $isLive,
        public ?ThermometerKind $state,
        public CarbonImmutable $since,
        public string $name,
        public ?VerificationVerdict $verdict,
        public ?Outcome $outcome,
        public ?CarbonImmutable $checkedAt,
        public ?CarbonImmutable $dueAt,
        public ThermometerUse $use,
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
            $newest?->toCore()->isDamp() === true ? VerificationVerdict::Outside : $newest?->verdict,
            $newest?->outcome?->outcome,
            $newest === null ? null : CarbonImmutable::instance($newest->at),
            $newest === null ? null : CarbonImmutable::instance($newest->due_at),
            new ThermometerUse(
                $service->place,
                $service->each_batch,
                $newest?->interval_days,
                $service->certificate_due_on === null || $service->certificate_expanded_u_c === null
                    ? null
                    : CarbonImmutable::instance($service->certificate_due_on),
                $service->certificate_expanded_u_c,
            ),
        );
    }

    public function status(): ThermometerStatus
    {
        return ThermometerStatus::at(CarbonImmutable::now(), $this->verdict, $this->outcome, $this->dueAt);
    }

    /** A reference with a certificate in date. */
    public function isReference(): bool
    {
        return $this->use->certifiedUntil?->isFuture() === true;
    }

    /** What it is for: nobody has to check a reference whose certificate is in date. */
    public function isCheckedHere(): bool
    {
        return !$this->isReference() && $this->status()->state !== ThermometerState::OutOfUse;
    }
}
