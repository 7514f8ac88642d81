<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** A verification as it is judged again later: whether it failed, whether its correction may be used. */
final readonly class VerificationFacts
{
    /** A fresh bath at another temperature than this does not repeat the first. Common practice, no source. */
    private const SAME_BATH_C = 2.0;

    /** A second point lies at least so far away to give a line. Common practice, no source. */
    public const FAR_ENOUGH_C = 30.0;

    /**
     * @param list<VerificationFinding> $findings
     * @param float|null $insulationMegaohm null where it was not measured
     * @param Outcome|null $outcome what a person made of it
     * @param bool $isBathTold somebody has said how the bath was made
     */
    public function __construct(
        public VerificationMethod $method,
        public VerificationVerdict $verdict,
        public float $errorC,
        public float $expandedU,
        public float $referenceC,
        public array $findings,
        public ?float $insulationMegaohm = null,
        public ?Outcome $outcome = null,
        public bool $isBathTold = true,
    ) {}

    /** A damp or damaged probe: whatever it reads proves nothing. */
    public function isDamp(): bool
    {
        return $this->insulationMegaohm !== null && $this->insulationMegaohm < RtdVerification::GOOD_INSULATION_MEGAOHM;
    }

    /** Used with a correction, it counts as what it shows after it. */
    public function isFailed(): bool
    {
        return $this->isDamp() || ($this->verdict === VerificationVerdict::Outside && $this->outcome !== Outcome::Correct);
    }

    /** °C, k = 2, of a reading by it: an error that is not corrected is part of what is not known. */
    public function readingU(): float
    {
        return $this->expandedU + ($this->outcome === Outcome::Correct ? 0.0 : abs($this->errorC));
    }

    public function hasUsableCorrection(): bool
    {
        return $this->method !== VerificationMethod::Rtd
            && $this->isBathTold
            && Verification::isCorrectable($this->errorC, $this->expandedU, $this->findings);
    }

    /** A usable correction that a fresh bath has shown again. Common practice, no source. */
    public function isConfirmedBy(self $fresh): bool
    {
        return $this->hasUsableCorrection()
            && $fresh->hasUsableCorrection()
            && abs($fresh->errorC - $this->errorC) <= hypot($fresh->expandedU, $this->expandedU);
    }

    /** Whether a fresh bath by the same method at the same temperature would repeat it, before anything followed from it. */
    public function isRepeatedBy(VerificationMethod $method, float $referenceC): bool
    {
        return $this->outcome === null && $this->method === $method && abs($this->referenceC - $referenceC) < self::SAME_BATH_C;
    }

    /** What to do first. A suspect bath, or one that nobody told about, says nothing of the probe. Common practice, no source. */
    public function advised(bool $isConfirmed, bool $isAdjustable): VerificationAdvice
    {
        $isOpen = $this->verdict !== VerificationVerdict::Within;

        return match (true) {
            $this->isDamp() => VerificationAdvice::OutOfUse,
            in_array(VerificationFinding::BathSuspect, $this->findings, true),
            in_array(VerificationFinding::Unsteady, $this->findings, true)
                => VerificationAdvice::FreshBath,
            $isConfirmed => VerificationAdvice::Correct,
            !$isOpen => VerificationAdvice::Use,
            $isAdjustable && $this->isBathTold && $this->verdict === VerificationVerdict::Outside => VerificationAdvice::Adjust,
            $this->method === VerificationMethod::Rtd && $this->verdict === VerificationVerdict::Outside => VerificationAdvice::OutOfUse,
            default => VerificationAdvice::FreshBath,
        };
    }

    /** @return list<Outcome> what may be made of it */
    public function allowed(bool $isConfirmed, bool $isAdjustable): array
    {
        return Outcome::allowed($this->isDamp() ? VerificationVerdict::Outside : $this->verdict, $isConfirmed, $isAdjustable);
    }
}
