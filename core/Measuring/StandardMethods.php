<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

/** A method for each kind of sample, to begin from. Common practice, no source, all from memory. */
final class StandardMethods
{
    /**
     * @var array<string, array{
     *     code: string, name: string, matrix: string, steps: list<string>, cautions: list<string>, dilution: string|null,
     *     dilution_parts: float|null, low_c: float, high_c: float, stage_temperatures: array<string, list<float>>, places: list<string>,
     *     needed_places: list<string>, portions: int, agree_within_ph: float, matrix_bound_ph: float, settle_window_s: int, why: string,
     * }>|null
     */
    private static ?array $methods = null;

    /**
     * @return array<string, array{
     *     code: string, name: string, matrix: string, steps: list<string>, cautions: list<string>, dilution: string|null,
     *     dilution_parts: float|null, low_c: float, high_c: float, stage_temperatures: array<string, list<float>>, places: list<string>,
     *     needed_places: list<string>, portions: int, agree_within_ph: float, matrix_bound_ph: float, settle_window_s: int, why: string,
     * }>
     *     by code
     */
    public static function all(): array
    {
        if (self::$methods === null) {
            /**
             * @var array{
             *     methods: list<array{
             *         code: string, name: string, matrix: string, steps: list<string>, cautions: list<string>, dilution: string|null,
             *         dilution_parts: float|null, low_c: float, high_c: float, stage_temperatures: array<string, list<float>>,
             *         places: list<string>, needed_places: list<string>, portions: int, agree_within_ph: float, matrix_bound_ph: float,
             *         settle_window_s: int, why: string,
             *     }>,
             * } $file
             */
            $file = json_decode((string) file_get_contents(__DIR__ . '/methods.json'), true, 512, JSON_THROW_ON_ERROR);
            self::$methods = array_column($file['methods'], null, 'code');
        }

        return self::$methods;
    }
}
