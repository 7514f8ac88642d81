<?php

declare(strict_types=1);

namespace Rheacid\View\Verify;

use Illuminate\Support\Collection;
use Rheacid\Bench\SimulatedBaths;
use Rheacid\Core\Celsius;
use Rheacid\Core\Simulation\BathKind;
use Rheacid\Core\Thermometry\Barometer;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerifiedRange;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Models\SiteElevation;
use Rheacid\Models\Thermometer;
use Rheacid\Models\ThermometerService;
use Rheacid\Models\Verification;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\Queries\Ready\Thermometers;

/** What the page of a thermometer in its bath shows. */
final readonly class BathScreen
{
    /**
     * @param Collection<int, Thermometer> $references that can vouch for it
     * @param list<BathKind> $baths of the simulated bench
     */
    private function __construct(
        public Thermometer $thermometer,
        public ThermometerLine $line,
        public ThermometerService $service,
        public VerificationMethod $method,
        public Collection $references,
        public ?float $elevation,
        public array $baths,
        public ?Verification $last,
        public ?Barometer $barometer,
    ) {}

    public static function of(Thermometer $thermometer, VerificationMethod $method): self
    {
        $thermometer->load(['newestVerification.outcome', 'newestService']);
        $site = SiteElevation::newest();

        return new self(
            $thermometer,
            Lines::thermometer($thermometer->id),
            $thermometer->service(),
            $method,
            self::references($thermometer),
            $site?->elevation_m,
            SimulatedBaths::hasThermometer($thermometer) ? self::baths($method) : [],
            $thermometer->newestVerification,
            $site?->barometer,
        );
    }

    /** @return Collection<int, Thermometer> */
    private static function references(Thermometer $thermometer): Collection
    {
        $certified = array_map(
            static fn(ThermometerLine $line): int => $line->id,
            array_filter(
                Lines::thermometers(),
                static fn(ThermometerLine $line): bool => $line->isReference() && $line->id !== $thermometer->id,
            ),
        );

        return Thermometer::query()
            ->with(['newestService', 'newestVerification.outcome'])
            ->whereIn('id', $certified)
            ->orderBy('code')
            ->get()
            ->filter(static fn(Thermometer $other): bool => Thermometers::objectionToReference($other) === null)
            ->values();
    }

    /** Whether the bath that is made now can confirm the last one. */
    public function wouldConfirm(): bool
    {
        return $this->last !== null
            && $this->last->toCore()->hasUsableCorrection()
            && $this->last->isToday()
            && $this->last->toCore()->isRepeatedBy($this->method, $this->last->reference_c);
    }

    /** @return array<string, string> what is ticked on the drawing, by a short key */
    public function ticks(): array
    {
        return ThermometerWords::bath($this->method, $this->service->immersion_mm);
    }

    /** What this method would and would not cover of the thermometer's range of use. */
    public function coverage(): string
    {
        [$low, $high] = VerifiedRange::of(
            $this->method,
            match ($this->method) {
                VerificationMethod::Boiling => 98.0,
                VerificationMethod::Comparison => ($this->service->use_low_c + $this->service->use_high_c) / 2,
                default => 0.0,
            },
        );

        return match (true) {
            $this->method === VerificationMethod::Comparison => Celsius::by(10)
                . ' on either side of the bath: choose the temperature of use',
            $this->service->use_high_c > $high => sprintf(
                'up to %s; use up to %s needs a boiling-point or comparison check within %s of it',
                Celsius::at($high, 0),
                Celsius::at($this->service->use_high_c, 0),
                Celsius::by(10),
            ),
            default => Celsius::between($low, $high, 0),
        };
    }

    /** @return list<BathKind> */
    private static function baths(VerificationMethod $method): array
    {
        return match ($method) {
            VerificationMethod::Ice => [BathKind::Slush, BathKind::Cubes, BathKind::Salted, BathKind::AtTheWall],
            VerificationMethod::Boiling => [BathKind::Boiling],
            VerificationMethod::Comparison => [BathKind::Stirred],
            VerificationMethod::Rtd => [],
        };
    }
}
