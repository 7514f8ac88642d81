<?php

declare(strict_types=1);

namespace Rheacid\Actions\Verify;

use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\PastCheck;
use Rheacid\Core\Thermometry\RtdVerification;
use Rheacid\Core\Thermometry\Sense;
use Rheacid\Core\Thermometry\Verification as CoreVerification;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Core\Thermometry\VerifiedRange;
use Rheacid\Models\LookBack;
use Rheacid\Models\Person;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Queries\Verify\CheckFacts;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** Keeps what a thermometer read against a reference, judges it, and sets its next date. */
final class RecordVerification
{
    /** @throws Refused if the readings cannot be what they are said to be */
    public function __invoke(Person $by, IdempotencyKey $form, Thermometer $thermometer, VerificationInput|RtdInput $input): Verification
    {
        return Recording::once(
            $by,
            $form,
            'check a thermometer',
            Verification::class,
            static fn(Entry $entry): Verification => $input instanceof RtdInput
                ? self::resistance($entry, CheckFacts::of($thermometer), $input)
                : self::read($entry, CheckFacts::of($thermometer), $input),
        );
    }

    private static function read(Entry $entry, CheckFacts $facts, VerificationInput $input): Verification
    {
        if (count($input->readings) < CoreVerification::LEAST_READINGS) {
            throw Refused::because(
                sprintf('%d readings at least are needed: one alone may be a slip.', CoreVerification::LEAST_READINGS),
                'readings',
            );
        }
        Sense::ensure($input->reference, $input->readings);
        if ($input->referenceThermometer?->is($facts->thermometer) === true) {
            throw Refused::because('A thermometer cannot be its own reference.', 'reference');
        }
        $reference = $input->reference;
        $check = CoreVerification::of(
            $reference,
            $input->readings,
            $facts->thermometer->resolution_c,
            $facts->service->toleranceAt($reference->celsius),
            CoreVerification::POOLED_SD_C,
        );

        return self::keep($entry, $facts, $reference->method, $check->verdict, $check->toleranceC, [
            'reading_c' => $check->meanC,
            'error_c' => $check->errorC,
            'expanded_u_c' => $check->expandedU,
            'reference_c' => $reference->celsius,
            'spread_c' => $check->spreadC,
            'readings' => array_map(static fn(float $reading): float => round($reading, 4), $input->readings),
            'unit' => $input->unit,
            'findings' => array_map(static fn(VerificationFinding $finding): string => $finding->value, [
                ...$reference->method === VerificationMethod::Ice && $input->bath === [] ? [VerificationFinding::BathUntold] : [],
                ...$check->findings,
            ]),
            'bath' => $input->bath,
            'source' => $input->source,
            'rests_on' => $input->restsOn,
            'reference_thermometer_id' => $input->referenceThermometer?->id,
        ]);
    }

    private static function resistance(Entry $entry, CheckFacts $facts, RtdInput $input): Verification
    {
        $class
            = $facts->service->toleranceClass()
            ?? throw Refused::because('Which class is it? Set its standard and class under "Place and tolerance" first.', 'ohm');
        $check = RtdVerification::of(
            $input->ohm,
            $class,
            $facts->service->r0_ohm ?? 100.0,
            $input->insulationMegaohm,
            $facts->ohmBefore,
        );

        return self::keep($entry, $facts, VerificationMethod::Rtd, $check->verdict, $check->toleranceC, [
            'reading_c' => $check->deviationC,
            'error_c' => $check->deviationC,
            'expanded_u_c' => $check->expandedU,
            'reference_c' => 0.0,
            'ohm' => $input->ohm,
            'insulation_megaohm' => $input->insulationMegaohm,
            'shift_c' => $check->shiftC,
            'findings' => [],
            'bath' => $input->bath,
            'source' => Source::Typed,
            'rests_on' => new Statement(StatementCode::IcePointResistance, ['standard' => $class->standard, 'class' => $class->class]),
        ]);
    }

    /** @param array<string, mixed> $values */
    private static function keep(
        Entry $entry,
        CheckFacts $facts,
        VerificationMethod $method,
        VerificationVerdict $verdict,
        float $toleranceC,
        array $values,
    ): Verification {
        $before = $facts->before;
        $reference = $values['reference_c'];
        $error = $values['error_c'];
        assert(is_float($reference) && is_float($error));
        [$low, $high] = VerifiedRange::of($method, $reference);
        $next = $facts->interval->after(
            new PastCheck(
                SiteClock::local($entry->at)->toDateString(),
                $error,
                $toleranceC,
                $verdict !== VerificationVerdict::Inconclusive,
            ),
        );

        $verification = $entry->add(
            new Verification([
                ...$values,
                'thermometer_id' => $facts->thermometer->id,
                'method' => $method,
                'at' => $entry->at,
                'tolerance_c' => $toleranceC,
                'verdict' => $verdict,
                'verified_low_c' => $low,
                'verified_high_c' => $high,
                'confirms_id'
                    => $before !== null && $before->isToday() && $before->toCore()->isRepeatedBy($method, $reference) ? $before->id : null,
                'as_left' => $before?->outcome?->outcome === Outcome::Adjusted,
                'earned_days' => $next->earnedDays,
                'interval_days' => $next->nextDays,
                'interval_why' => new Statement(StatementCode::Interval, [...$next->facts(), 'tolerance_c' => $toleranceC]),
                'due_at' => $entry->at->addDays($next->nextDays),
                'person_id' => $entry->by->id,
            ]),
        );
        if ($verdict === VerificationVerdict::Outside) {
            $entry->add(
                new LookBack([
                    'verification_id' => $verification->id,
                    'off_by' => abs($error),
                    'since' => $facts->lastGood->at ?? $verification->at,
                    'at' => $entry->at,
                    'person_id' => $entry->by->id,
                ]),
            );
        }

        return $verification;
    }
}
