<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Products\Library;
use Rheacid\Core\Products\LibraryProduct;

/** The library of products: every limit can be judged, says where it comes from, and how certain that is. */
final class LibraryTest extends TestCase
{
    public function test_every_product_has_a_method_limits_with_sources_and_cautions(): void
    {
        self::assertCount(27, Library::all());
        foreach (Library::all() as $code => $product) {
            self::assertMatchesRegularExpression('/^[a-z-]{1,40}$/D', $code);
            self::assertNotSame([], $product->limits, $code);
            self::assertNotSame([], $product->method['steps'], $code);
            self::assertNotSame([], $product->cautions, $code);
            self::assertLessThan($product->expectedPh[1], $product->expectedPh[0], $code);
            self::assertSame([], array_diff($product->method['needed_places'], $product->method['places']), $code);
            self::assertDoesNotMatchRegularExpression('/\bis safe\b|\bsafe to eat\b/i', json_encode($product->limits, JSON_THROW_ON_ERROR), "$code never says that food is safe");
        }
    }

    public function test_each_limit_is_one_that_the_judge_knows_and_its_names_stand_once(): void
    {
        foreach (Library::all() as $code => $product) {
            $names = array_column($product->limits, 'name');
            self::assertSame($names, array_unique($names), $code);
            foreach ($product->limits as $limit) {
                $said = "$code: {$limit['name']}";
                Measurand::from($limit['measurand'])->on($limit['basis']);
                Limit::kept($limit['name'], LimitKind::from($limit['kind']), Comparison::from($limit['op']), $limit['low'], $limit['high']);
                self::assertSame(Applies::from($limit['applies']) === Applies::WithinHours, $limit['hours'] !== null, $said);
                self::assertContains($limit['certainty'], ['low', 'medium', 'high'], $said);
                self::assertLessThanOrEqual([120, 200, 400, 400, 200], [mb_strlen($limit['name']), mb_strlen($limit['source']), mb_strlen($limit['meaning']), mb_strlen($limit['if_violated']), mb_strlen((string) $limit['condition'])], $said);
                [$lowest, $highest] = Measurand::from($limit['measurand'])->range();
                foreach (array_filter([$limit['low'], $limit['high']], is_float(...)) as $edge) {
                    self::assertTrue($edge >= $lowest && $edge <= $highest, $said);
                }
            }
        }
    }

    /** Values that the trade hangs on, as its rules have them (paragraphs from memory; none was looked up). */
    public function test_the_limits_that_the_trade_hangs_on_are_in_it(): void
    {
        $high = static fn(string $code, Applies $applies): array => array_column(array_filter(Library::all()[$code]->limits, static fn(array $limit): bool => $limit['measurand'] === 'ph' && $limit['applies'] === $applies->value && $limit['kind'] !== 'target' && $limit['course'] === null), 'high');

        self::assertContains(4.6, $high('acidified-vegetables', Applies::Equilibrium), '21 CFR 114.3 and 114.80: equilibrium pH 4.6 or below');
        self::assertContains(4.6, $high('yogurt', Applies::WithinHours), '21 CFR 131.200: 4.6 or lower');
        self::assertContains(5.3, $high('fermented-sausage', Applies::Finished), 'guideline on fermented sausage: pH 5.3');
        self::assertContains(4.2, $high('acidified-rice', Applies::Equilibrium) ?: $high('acidified-rice', Applies::Finished) ?: $high('acidified-rice', Applies::Always), 'model code for acidified rice: below 4.2');
        self::assertSame([['kind' => 'degree-hours', 'ph_limit' => 5.3]], array_values(array_filter(array_column(Library::all()['fermented-sausage']->limits, 'course'))));
        self::assertSame([], array_filter(Library::all(), static fn(LibraryProduct $product): bool => in_array($product->code, ['white-must', 'red-must', 'white-wine', 'red-wine', 'cider', 'beer-ale', 'beer-lager'], true) && array_filter($product->limits, static fn(array $limit): bool => $limit['kind'] === 'critical' && $limit['measurand'] === 'ph' && $limit['condition'] === null) !== []), 'wine and beer have no pathogen limit that binds always');
    }
}
