<?php

declare(strict_types=1);

namespace Rheacid\Core\Products;

use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Settling\Settling;

/** One product of the library. */
final readonly class LibraryProduct
{
    /** Two portions of one sample agree within so much. Common practice, no source. */
    private const AGREE_WITHIN_PH = 0.05;

    /**
     * @param array{float, float} $expectedPh
     * @param array{
     *     name: string, matrix: string|null, cautions: list<string>, dilution: string|null, dilution_parts: float|null, why: string|null,
     *     steps: list<string>, low_c: float, high_c: float, places: list<string>, needed_places: list<string>, portions: int,
     *     matrix_bound_ph: float, agree_within_ph: float, settle_window_s: int, stage_temperatures: array<string, list<float>>,
     * } $method
     * @param list<array{
     *     name: string, kind: string, measurand: string, basis: string, op: string, low: float|null, high: float|null, applies: string,
     *     hours: float|null, since: string, condition: string|null, meaning: string, if_violated: string, source: string,
     *     certainty: string, course: array<string, string|float>|null, routes: list<string>|null, typed: string|null,
     * }> $limits
     * @param list<string> $told targets and milestones that are asked of a person
     * @param list<array{topic: string, options: list<array{name: string, why: string}>}> $schools
     * @param list<string> $cautions
     */
    private function __construct(
        public string $code,
        public string $name,
        public string $family,
        public string $description,
        public array $expectedPh,
        public array $method,
        public array $limits,
        public array $told,
        public array $schools,
        public array $cautions,
        public Safety $safety,
    ) {}

    /** @param array<string, mixed> $told as the library's file has it, which a test holds against this form */
    public static function from(array $told): self
    {
        /**
         * @var array{
         *     code: string, name: string, family: string, description: string, expected_ph: array{float, float},
         *     method: array{
         *         name: string, matrix?: string, cautions?: list<string>, dilution?: string, dilution_parts?: float, why?: string,
         *         steps: list<string>, low_c: float, high_c: float, places: list<string>, needed_places: list<string>, portions: int,
         *         matrix_bound_ph: float, agree_within_ph?: float, settle_window_s?: int, stage_temperatures?: array<string, list<float>>,
         *     },
         *     limits: list<array{
         *         name: string, kind: string, measurand: string, basis: string, op: string, low: float|null, high: float|null,
         *         applies: string, hours: float|null, since: string, condition: string|null, meaning: string, if_violated: string,
         *         source: string, certainty: string, course: array<string, string|float>|null, routes?: list<string>|null,
         *         typed?: string|null,
         *     }>,
         *     told: list<string>, schools: list<array{topic: string, options: list<array{name: string, why: string}>}>,
         *     cautions: list<string>, routes?: list<array{name: string, why: string}>, needs_none?: string|null, stage_of?: string|null,
         *     kept?: array{where: string, airtight: bool}|null,
         * } $told
         */
        return new self(
            $told['code'],
            $told['name'],
            $told['family'],
            $told['description'],
            $told['expected_ph'],
            [
                ...$told['method'],
                'agree_within_ph' => $told['method']['agree_within_ph'] ?? self::AGREE_WITHIN_PH,
                'settle_window_s' => $told['method']['settle_window_s'] ?? (int) Settling::WINDOW_S,
                'stage_temperatures' => $told['method']['stage_temperatures'] ?? [],
                'matrix' => $told['method']['matrix'] ?? null,
                'cautions' => $told['method']['cautions'] ?? [],
                'dilution' => $told['method']['dilution'] ?? null,
                'dilution_parts' => $told['method']['dilution_parts'] ?? null,
                'why' => $told['method']['why'] ?? null,
            ],
            array_map(
                static fn(array $limit): array => [...$limit, 'routes' => $limit['routes'] ?? null, 'typed' => $limit['typed'] ?? null],
                $told['limits'],
            ),
            $told['told'],
            $told['schools'],
            $told['cautions'],
            new Safety($told['routes'] ?? [], $told['needs_none'] ?? null, $told['stage_of'] ?? null, $told['kept'] ?? null),
        );
    }

    /** @return array<string, ProductLimit> by the name of each limit, as it is judged */
    public function judged(): array
    {
        $judged = [];
        foreach ($this->limits as $limit) {
            $judged[$limit['name']] = new ProductLimit(
                Limit::kept($limit['name'], LimitKind::from($limit['kind']), Comparison::from($limit['op']), $limit['low'], $limit['high']),
                Applies::from($limit['applies']),
                $limit['hours'],
                $limit['since'],
                $limit['condition'],
                $limit['measurand'],
                $limit['basis'],
                $limit['typed'],
            );
        }

        return $judged;
    }
}
