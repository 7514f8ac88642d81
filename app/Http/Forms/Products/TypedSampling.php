<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Products;

use Illuminate\Http\Request;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Sampling\SamplingLine;
use Rheacid\Core\Words\Quantity;
use Rheacid\Models\Product;
use Rheacid\Records\Refused;

/** The sampling plan of a product as it was typed. */
final class TypedSampling
{
    public const EVERY = 'every';
    private const MOST = 30;
    private const NEW = 2;

    /**
     * What can be sampled of a product: pH, its temperatures, and every quantity that it has a limit on.
     *
     * @return array<string, string> words by measurand and basis
     */
    public static function quantities(Product $product): array
    {
        $all = ['ph|' => Measurand::Ph->name()];
        foreach (Measurand::Temperature->bases() as $basis) {
            $all["temperature|$basis"] = Measurand::Temperature->on($basis)->words();
        }
        foreach ($product->limits as $limit) {
            $all["{$limit->measurand->value}|$limit->basis"] = $limit->measurand->on($limit->basis)->words();
        }

        return $all;
    }

    /** @return list<array{key: string, line: SamplingLine|null}> the plan as it stands, then empty rows */
    public static function rows(Product $product): array
    {
        $lines = $product->samplingPlan()->lines;

        return array_map(
            static fn(int $i): array => ['key' => "s$i", 'line' => $lines[$i] ?? null],
            range(0, count($lines) + self::NEW - 1),
        );
    }

    /**
     * @return list<array{measurand: string, basis: string, stage: string|null, every_hours: float|null, count: int, where: string}>|null
     *     null where it is what the limits ask
     *
     * @throws Refused at its field
     */
    public static function from(Request $request, Product $product): ?array
    {
        $typed = $request->input('sampling');
        if (!is_array($typed)) {
            return $product->sampling === null ? null : self::plain($product);
        }
        $rows = [];
        $quantities = self::quantities($product);
        foreach (array_slice($typed, 0, self::MOST, true) as $key => $values) {
            $values = is_array($values) ? array_map(static fn(mixed $value): string => is_string($value) ? trim($value) : '', $values) : [];
            if (($values['of'] ?? '') === '' || ($values['out'] ?? '') !== '') {
                continue;
            }
            if (!isset($quantities[$values['of']])) {
                throw Refused::because('Choose one from the list.', "sampling.$key.of");
            }
            [$measurand, $basis] = explode('|', $values['of'], 2);
            $stage = Stage::tryFrom($values['when'] ?? '');
            if ($stage === null && ($values['when'] ?? '') !== self::EVERY) {
                throw Refused::because('When: at a stage, or every so many hours.', "sampling.$key.when");
            }
            $rows[] = [
                'measurand' => $measurand,
                'basis' => $basis,
                'stage' => $stage?->value,
                'every_hours'
                    => $stage === null
                        ? self::number(
                            $values['every'] ?? '',
                            "sampling.$key.every",
                            0.05,
                            10_000,
                            'Every how many hours? A number from 0.05 to 10000 is accepted.',
                        )
                        : null,
                'count' => (int) self::number(
                    $values['count'] ?? '',
                    "sampling.$key.count",
                    1,
                    50,
                    'How many pieces or places? 1 to 50 are accepted.',
                ),
                'where' => mb_substr($values['where'] ?? '', 0, 120),
            ];
        }

        return $rows == self::plain((clone $product)->setAttribute('sampling', null)) ? null : $rows;
    }

    /** @return list<array{measurand: string, basis: string, stage: string|null, every_hours: float|null, count: int, where: string}> */
    private static function plain(Product $product): array
    {
        return array_map(
            static fn(SamplingLine $line): array => [
                'measurand' => $line->measurand,
                'basis' => $line->basis,
                'stage' => $line->stage?->value,
                'every_hours' => $line->everyHours,
                'count' => $line->count,
                'where' => $line->where,
            ],
            $product->samplingPlan()->lines,
        );
    }

    private static function number(string $typed, string $field, float $low, float $high, string $accepted): float
    {
        $plain = Quantity::plain($typed);
        if (!is_numeric($plain) || (float) $plain < $low || (float) $plain > $high) {
            throw Refused::because($accepted, $field);
        }

        return (float) $plain;
    }
}
