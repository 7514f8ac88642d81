<?php

declare(strict_types=1);

namespace Tests\Forms;

use Illuminate\Database\Eloquent\Collection;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Http\Forms\Products\TypedLimits;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Product;

/** The limits of a product, as a lead types them. */
final class TypedLimitsTest extends FormTestCase
{
    private const TYPED = [
        'name' => 'Acid',
        'kind' => 'critical',
        'measurand' => 'ph|',
        'op' => '<=',
        'high' => '4,6',
        'applies' => 'always',
    ];

    public function test_a_new_limit_is_the_sites_own(): void
    {
        [$row] = self::read(['new1' => self::TYPED, 'new2' => ['name' => ' ']]);

        self::assertSame([4.6, null, LimitKind::Critical], [$row->high, $row->low, $row->kind]);
        self::assertSame([Comparison::AtMost, Applies::Always], [$row->op, $row->applies]);
        self::assertSame(['the site’s own plan', 'own', 'start'], [$row->source, $row->certainty, $row->since]);
    }

    public function test_a_number_that_was_changed_loses_its_source_and_another_word_does_not(): void
    {
        $before = (new LimitRow())->forceFill([
            'id' => 7,
            ...[
                'name' => 'Acid',
                'kind' => 'critical',
                'measurand' => 'ph',
                'basis' => '',
                'op' => '<=',
                'high' => 4.6,
                'applies' => 'always',
            ],
            ...['since' => 'start', 'meaning' => '', 'if_violated' => 'Hold it.', 'source' => 'a handbook', 'certainty' => 'published'],
        ]);
        $changed = static fn(array $typed): LimitRow => self::read(
            ['7' => [...self::TYPED, 'source' => 'a handbook', ...$typed]],
            $before,
        )[0];

        self::assertSame(['a handbook', 'published'], [$changed(['name' => 'Sour'])->source, $changed(['name' => 'Sour'])->certainty]);
        self::assertSame(['the site’s own plan', 'own'], [$changed(['high' => '4.5'])->source, $changed(['high' => '4.5'])->certainty]);
        self::assertSame('Hold it.', $changed([])->if_violated);
        self::assertSame([], self::read(['7' => [...self::TYPED, 'out' => '1']], $before));
    }

    public function test_an_acidity_is_kept_in_the_unit_that_is_judged_in_and_as_it_was_typed(): void
    {
        $typed = [...self::TYPED, 'measurand' => 'titratable-acidity|8.2 per L', 'op' => '>=', 'low' => '80', 'high' => ''];
        [$row] = self::read(['new1' => [...$typed, 'unit' => 'meq_per_l']]);

        // 80 meq/L of tartaric acid at 75.043 g/eq
        self::assertEqualsWithDelta(6.0034, $row->low, 0.0001);
        self::assertSame('80 meq/L', $row->typed);
        self::assertSame(
            'limits.new1.unit',
            self::refused(static fn() => self::read(['new1' => [...$typed, 'unit' => 'meq_per_kg']]))[0] ?? null,
        );
    }

    /** @return iterable<string, array{string, string, array<string, mixed>}> field, a word of what is told, what was typed otherwise */
    public static function slips(): iterable
    {
        $record = ['measurand' => 'temperature|core', 'op' => '>=', 'low' => '63', 'high' => ''];
        yield 'no number' => ['high', 'A number from', ['high' => '']];
        yield 'a pH of forty' => ['high', 'A number from', ['high' => '40']];
        yield 'low above high' => ['low', 'below the upper', ['op' => 'between', 'low' => '5', 'high' => '4']];
        yield 'a deadline without hours' => ['hours', 'above 0', ['applies' => 'within_hours']];
        yield 'a deadline of no hours' => ['hours', 'above 0', ['applies' => 'within_hours', 'hours' => '0']];
        yield 'a quantity that is none' => ['measurand', 'from the list', ['measurand' => 'taste|']];
        yield 'a kind that is none' => ['kind', 'from the list', ['kind' => 'deadly']];
        yield 'a record for a pH' => ['course', 'Only a temperature', ['course' => 'throughout']];
        yield 'a record of another kind' => ['course', 'from the list', [...$record, 'course' => 'sometimes']];
        yield 'at all times, but at the start' => ['applies', 'always', [...$record, 'course' => 'throughout', 'applies' => 'start']];
        yield 'a hold without minutes' => ['course_amount', 'above 0', [...$record, 'course' => 'heat-hold']];
        yield 'a hold with an upper edge' => [
            'op',
            'lower limit alone',
            [...$record, 'op' => '<=', 'high' => '70', 'course' => 'heat-hold', 'course_amount' => '2'],
        ];
        yield 'hours above a lower edge' => ['op', 'upper limit alone', [...$record, 'course' => 'time-beyond', 'course_amount' => '2']];
    }

    /** @param array<string, mixed> $typed */
    #[DataProvider('slips')]
    public function test_a_slip_is_told_at_its_field(string $field, string $told, array $typed): void
    {
        $refused = self::refused(static fn() => self::read(['new1' => [...self::TYPED, ...$typed]]));

        self::assertSame("limits.new1.$field", $refused[0] ?? null);
        self::assertStringContainsString($told, $refused[1]);
    }

    public function test_a_name_is_used_once(): void
    {
        $refused = self::refused(static fn() => self::read(['new1' => self::TYPED, 'new2' => self::TYPED]));

        self::assertSame('limits.new2.name', $refused[0] ?? null);
    }

    /**
     * @param array<array-key, array<string, mixed>> $typed by key of the row
     *
     * @return list<LimitRow>
     */
    private static function read(array $typed, LimitRow ...$before): array
    {
        $product = (new Product())->setRelation('limits', new Collection($before));

        return TypedLimits::from(self::request(['limits' => $typed]), $product);
    }
}
