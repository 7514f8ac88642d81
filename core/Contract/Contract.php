<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract;

use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Failure;

/** The computing contract: a job's name and JSON in, JSON out. */
final class Contract
{
    private const JOBS = [
        'nernst-slope' => Jobs\NernstSlope::class,
        'buffer-ph' => Jobs\BufferPh::class,
        'ph-calibration' => Jobs\PhCalibration::class,
        'ph-from-mv' => Jobs\PhFromMv::class,
        'recognise-buffer' => Jobs\RecogniseBuffer::class,
        'buffer-plan' => Jobs\PlanBuffers::class,
        'settle' => Jobs\Settle::class,
        'compensation-error' => Jobs\CompensationError::class,
        'ph-uncertainty' => Jobs\PhUncertaintyBudget::class,
        'electrode-trend' => Jobs\Trend::class,
        'boiling-point' => Jobs\Boiling::class,
        'thermometer-check' => Jobs\VerifyThermometer::class,
        'rtd' => Jobs\Resistance::class,
        'rtd-check' => Jobs\VerifyRtd::class,
        'two-point-correction' => Jobs\TwoPointCorrection::class,
        'interval' => Jobs\Interval::class,
        'conductivity' => Jobs\CompensateConductivity::class,
        'decide' => Jobs\Decide::class,
        'judge' => Jobs\JudgeOccasion::class,
        'release' => Jobs\ReleaseBatch::class,
        'forecast' => Jobs\ForecastMeeting::class,
        'degree-hours' => Jobs\CountDegreeHours::class,
        'throughout' => Jobs\HoldThroughout::class,
        'heat-hold' => Jobs\HoldHeat::class,
        'lethality' => Jobs\CountLethality::class,
        'time-beyond' => Jobs\CountTimeBeyond::class,
        'acidity-unit' => Jobs\ConvertAcidity::class,
        'titration' => Jobs\Titrate::class,
        'standardise-titrant' => Jobs\StandardiseTitrant::class,
        'molecular-so2' => Jobs\BindSo2::class,
        'adjustment' => Jobs\Adjust::class,
        'blend' => Jobs\BlendTwo::class,
        'dilute' => Jobs\Dilute::class,
        'solution' => Jobs\Dissolve::class,
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::JOBS);
    }

    /** @throws Refusal if no job has that name */
    public static function job(string $name): Job
    {
        $class
            = self::JOBS[$name]
            ?? throw new Refusal(
                ErrorCode::UnknownJob,
                null,
                sprintf('No job is called "%s"; known are %s.', $name, implode(', ', self::names())),
            );

        return new $class();
    }

    /** @return array{string, bool} the answer as JSON, and whether every element was answered */
    public static function answer(string $name, string $json): array
    {
        try {
            $job = self::job($name);
            [$input, $duplicates] = self::parse($json);
        } catch (Refusal $refusal) {
            return [self::encode($refusal->toArray()), false];
        }
        if (!is_array($input)) {
            $answer = self::element($job, $job->shape(), $input, $duplicates[''] ?? null);

            return [self::encode($answer), !isset($answer['error'])];
        }
        $shape = $job->shape();
        $answers = [];
        $complete = true;
        foreach ($input as $i => $element) {
            $answers[] = $answer = self::element($job, $shape, $element, $duplicates[$i] ?? null);
            $complete = $complete && !isset($answer['error']);
        }

        return [self::encode($answers), $complete];
    }

    /** @return array<string, mixed> */
    private static function element(Job $job, RecordShape $shape, mixed $element, ?string $duplicate): array
    {
        try {
            if ($duplicate !== null) {
                throw new Refusal(
                    ErrorCode::Inconsistent,
                    $duplicate,
                    sprintf('"%s" appears twice in the same object; only once is accepted.', $duplicate),
                );
            }

            return $job->answer($shape->read($element, ''));
        } catch (Failure $failure) {
            return Refusal::for($failure)->toArray();
        }
    }

    /**
     * @return array{mixed, array<array-key, string>} the decoded input, and by element the first key that appears twice
     *
     * @throws Refusal
     */
    private static function parse(string $json): array
    {
        try {
            $input = json_decode($json, false, 512, JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw new Refusal(
                ErrorCode::MalformedJson,
                null,
                'The input is not JSON (' . $exception->getMessage() . '); one object or a list of objects is accepted.',
            );
        }
        $duplicates = [];
        foreach (DuplicateKeys::in($json, $input) as $place) {
            if (is_array($input) && preg_match('/^\[(\d+)\]\.?(.*)$/s', $place, $match) === 1) {
                $duplicates[(int) $match[1]] ??= $match[2];
            } else {
                $duplicates[''] ??= $place;
            }
        }

        return [$input, $duplicates];
    }

    private static function encode(mixed $answer): string
    {
        return json_encode(
            $answer,
            JSON_THROW_ON_ERROR
                | JSON_UNESCAPED_UNICODE
                | JSON_UNESCAPED_SLASHES
                | JSON_PRESERVE_ZERO_FRACTION
                | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }
}
