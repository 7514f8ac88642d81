<?php

declare(strict_types=1);

namespace Rheacid\View\Verify;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Rheacid\Core\Celsius;
use Rheacid\Core\Numbers;
use Rheacid\Core\Thermometry\Drift;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\VerificationAdvice;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Models\Replicate;
use Rheacid\Models\Verification;
use Rheacid\Queries\Ready\Thermometers;
use Rheacid\Site\SiteClock;
use Rheacid\View\Figures\CheckChart;
use Rheacid\View\Figures\ErrorRule;
use Rheacid\View\FirstLine;

/** What the page of a check shows: the error on its ruler, the verdict in a sentence, what may follow, and the history. */
final readonly class VerificationScreen
{
    public const SHOWN = 40;

    /**
     * @param list<Outcome> $choices what may be chosen, while nothing was
     * @param Collection<int, Verification> $history newest first
     * @param Collection<int, Replicate> $touched the newest portions read since the last good check, where this one failed
     */
    private function __construct(
        public Verification $check,
        public FirstLine $first,
        public ErrorRule $rule,
        public array $choices,
        public string $correction,
        public Collection $history,
        public CheckChart $chart,
        public Collection $touched,
        public ?string $drift,
        public VerificationAdvice $advised,
    ) {}

    public static function of(Verification $check): self
    {
        $check->load([
            'thermometer.newestVerification',
            'thermometer.newestService',
            'outcome.person',
            'confirms',
            'person',
            'referenceThermometer',
        ]);
        $history = Verification::query()
            ->with(['outcome', 'person'])
            ->where('thermometer_id', $check->thermometer_id)
            ->where('method', $check->method)
            ->where('id', '<=', $check->id)
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->limit(self::SHOWN)
            ->get();
        $tolerance = $check->tolerance_c;
        [$gain, $offset]
            = $check->outcome?->outcome === Outcome::Correct
                ? [(float) $check->outcome->gain, (float) $check->outcome->offset_c]
                : ($check->isConfirmed()
                    ? Thermometers::correction($check)
                    : [1.0, -$check->error_c]);

        $advised = $check->toCore()->advised($check->isConfirmed(), $check->thermometer->kind->isAdjustable());

        return new self(
            $check,
            new FirstLine(
                $check->toCore()->isDamp() ? 'fail' : self::sign($check->verdict),
                $check->toCore()->isDamp() ? 'Failed: insulation.' : ThermometerWords::verdict($check->verdict),
                ThermometerWords::error($check->error_c, $check->expanded_u_c) . sprintf(' Tolerance ± %s.', Celsius::by($tolerance)),
                ThermometerWords::advice($advised, $check->toCore()),
            ),
            new ErrorRule($check->error_c, $check->expanded_u_c, $tolerance),
            $check->outcome === null && $check->thermometer->newestVerification?->is($check) === true ? Thermometers::allowed($check) : [],
            abs($gain - 1) < 1e-9
                ? sprintf('%s%s', $offset < 0 ? '−' : '+', Celsius::by(abs($offset), 2))
                : sprintf('%s · reading %s %s °C', Numbers::fixed($gain, 4), $offset < 0 ? '−' : '+', Numbers::fixed(abs($offset), 2)),
            $history,
            new CheckChart(
                array_values($history->reverse()->map(static fn(Verification $one): float => Celsius::difference($one->error_c))->all()),
                Celsius::difference($tolerance),
            ),
            $check->toCore()->isDamp() || $check->verdict === VerificationVerdict::Outside
                ? Thermometers::touchedBy($check, self::SHOWN)
                : new Collection(),
            self::drift($history),
            $advised,
        );
    }

    public static function sign(VerificationVerdict $verdict): string
    {
        return match ($verdict) {
            VerificationVerdict::Within => 'met',
            VerificationVerdict::Inconclusive => 'care',
            VerificationVerdict::Outside => 'fail',
        };
    }

    /** The error with its sign, in the unit in which it was read: a degree Celsius is 1.8 of the other. */
    public function big(): string
    {
        $error = $this->inUnit($this->check->error_c);

        return ($error > 0 ? '+' : '') . Numbers::fixed($error, 2);
    }

    public function uncertainty(): string
    {
        return Numbers::fixed($this->inUnit($this->check->expanded_u_c), 2);
    }

    /** What it read, in the unit in which it was read. */
    public function read(): string
    {
        return match (true) {
            $this->check->method === VerificationMethod::Rtd => Numbers::fixed((float) $this->check->ohm, 2) . ' Ω',
            $this->check->unit === 'F' => Numbers::fixed(Celsius::fahrenheit($this->check->reading_c), 1) . ' °F',
            default => Numbers::fixed($this->check->reading_c, 1) . ' °C',
        };
    }

    /** @return list<string> each reading in the unit in which it was read */
    public function readings(): array
    {
        $isFahrenheit = $this->check->unit === 'F';
        $shown = static fn(float $celsius): string => Numbers::fixed($isFahrenheit ? Celsius::fahrenheit($celsius) : $celsius, 1);

        return array_map(static fn(mixed $celsius): string => $shown((float) $celsius), array_values($this->check->readings ?? []));
    }

    /**
     * @param Collection<int, Verification> $checks in the order of time
     *
     * @return list<array{CarbonImmutable, float}>
     */
    public static function series(Collection $checks): array
    {
        return array_values(
            $checks
                ->map(
                    static fn(Verification $check): array => [CarbonImmutable::instance($check->at), Celsius::difference($check->error_c)],
                )
                ->all(),
        );
    }

    /** @param Collection<int, Verification> $history */
    private static function drift(Collection $history): ?string
    {
        $byDay = [];
        foreach ($history as $check) {
            $past = $check->forInterval();
            $byDay[$past->on] ??= $past;
        }
        if (count($byDay) < 4) {
            return null;
        }
        $drift = Drift::of(array_values($byDay));
        $walks = sprintf('It drifts by %s per year.', Celsius::by((float) $drift->cPerYear, 2));

        return $drift->leavesOn === null
            ? $walks . ' It is not expected to leave its tolerance soon.'
            : sprintf(
                '%s At this rate it leaves its tolerance about %s.',
                $walks,
                SiteClock::reckonedDay($drift->leavesOn, $drift->earliest, $drift->latest),
            );
    }

    /** A difference in the unit in which it was read. */
    private function inUnit(float $kelvin): float
    {
        return $kelvin * ($this->check->unit === 'F' ? Celsius::F_PER_C : 1.0);
    }
}
