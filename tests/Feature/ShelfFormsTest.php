<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Meter;

/** New things on the shelf: by form, from a file, found by their code. */
final class ShelfFormsTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    /** @return iterable<string, array{string, array<string, string>, string, string}> what, typed, field, part of the answer */
    public static function slips(): iterable
    {
        yield 'an expiry before the opening' => [
            'bottle',
            ['expires_on' => '2026-11-19'],
            'expires_on',
            'on or after the day of opening is accepted',
        ];
        yield 'a lot number twice' => ['bottle', ['code' => 'Q-31'], 'code', 'already the code of a bottle'];
        yield 'the code of an electrode' => ['bottle', ['code' => 'E-07'], 'code', 'already the code of an electrode'];
        yield 'a table that does not rise' => ['bottle', ['table' => '20 4.00; 20 4.01'], 'table', 'rising temperatures'];
        yield 'a table of one' => ['bottle', ['table' => '20 4.00'], 'table', 'Type pairs of °C and pH'];
        yield 'a table of words' => ['bottle', ['table' => 'cold 4'], 'table', 'no pair of °C and pH'];
        yield 'a buffer without any table' => ['bottle', ['buffer' => ''], 'buffer', 'needs its table'];
        yield 'a standard without its value' => [
            'bottle',
            ['kind' => 'conductivity', 'buffer' => ''],
            'standard_value',
            'The value on the label is needed',
        ];
        yield 'a standard with the table of a buffer' => [
            'bottle',
            ['kind' => 'conductivity', 'standard_value' => '1413', 'buffer' => 'technical-4.01'],
            'buffer',
            'Only a pH buffer has a pH; this is conductivity.',
        ];
        yield 'a standard with a table of its own' => [
            'bottle',
            ['kind' => 'conductivity', 'standard_value' => '1413', 'buffer' => '', 'table' => '15 4.00; 25 4.01'],
            'buffer',
            'Only a pH buffer has a pH',
        ];
        yield 'a day that is none' => ['bottle', ['expires_on' => '30.6.2027'], 'expires_on', 'Type a date like 2026-11-20'];
        yield 'a bottle opened tomorrow' => ['bottle', ['opened_on' => '2026-11-26'], 'opened_on', 'Type a date up to today'];
        yield 'a volume beyond any bottle' => ['bottle', ['volume_ml' => '1000000'], 'volume_ml', 'Type a number below 100000'];
        yield 'a thermometer of no kind' => [
            'thermometer',
            ['name' => 'T', 'kind' => 'guess', 'resolution_c' => '0.1'],
            'kind',
            'Accepted:',
        ];
    }

    /** @param array<string, string> $typed */
    #[DataProvider('slips')]
    public function test_a_wrong_entry_is_reported_beside_its_field_and_nothing_is_saved(
        string $what,
        array $typed,
        string $field,
        string $answer,
    ): void {
        $before = Lot::query()->count();

        $response = $this->from("/ready/add/$what")->post("/ready/add/$what", [...self::BOTTLE, ...$typed, 'form' => self::formId()]);
        $response->assertSessionHasInput('code', $typed['code'] ?? self::BOTTLE['code']);

        $response->assertRedirect("/ready/add/$what")->assertSessionHasErrors($field);
        self::assertStringContainsString($answer, (string) session('errors')->first($field));
        self::assertSame($before, Lot::query()->count());
    }

    public function test_a_sachet_may_expire_on_the_day_on_which_it_is_opened(): void
    {
        $this->post('/ready/add/bottle', [
            ...self::BOTTLE,
            'comes_as' => 'sachet',
            'opened_on' => '2026-11-25',
            'expires_on' => '2026-11-25',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        self::assertSame('2026-11-25', $this->lot('Q-50')->status()->usableUntil);
    }

    public function test_numbers_are_taken_with_a_comma_too(): void
    {
        $this->post('/ready/add/bottle', [
            ...self::BOTTLE,
            'expanded_u_ph' => '0,02',
            'volume_ml' => '250,5',
            'table' => '15 4,00; 25 4,01',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $lot = $this->lot('Q-50');
        self::assertSame([0.02, 250.5], [$lot->expanded_u_ph, $lot->volume_ml]);
        self::assertEqualsWithDelta(4.005, $lot->buffer()->phAt(20), 1e-9, 'its own printed table goes before the shipped one');
    }

    public function test_a_shelf_from_a_file_is_shown_first_and_taken_whole(): void
    {
        $good
            = "what;code;name;kind;first_used_on;resolution_c\nelectrode;E-30;Spare;sealed "
                . "gel;2026-11-01;\nthermometer;T-30;Stick;thermistor stick;;0.1";
        $this->post('/ready/import', ['shelf' => $good, 'form' => self::formId()])
            ->assertOk()
            ->assertSee('Ready to import');
        self::assertSame(0, Electrode::query()->where('code', 'E-30')->count(), 'a preview takes nothing');

        $bad = str_replace('2026-11-01', 'yesterday', $good);
        $this->post('/ready/import', ['shelf' => $bad, 'form' => self::formId()])
            ->assertOk()
            ->assertSeeInOrder(['E-30', 'first_used_on: Type a date like', 'T-30', 'ready']);
        $this->from('/ready/import')
            ->post('/ready/import/take', ['shelf' => $bad, 'form' => self::formId()])
            ->assertSessionHasErrors('shelf');
        self::assertSame(0, Electrode::query()->where('code', 'E-30')->count(), 'nothing half-done');

        $this->post('/ready/import/take', ['shelf' => $good, 'form' => self::formId()])->assertRedirect('/ready');
        $this->get('/ready')->assertSee('E-30')->assertSee('T-30');
        self::assertFalse(
            CareEvent::query()
                ->where('electrode_id', Electrode::query()->where('code', 'E-30')->value('id'))
                ->exists(),
            'the file says nothing of how it was kept',
        );

        $this->from('/ready/import')
            ->post('/ready/import', ['shelf' => "what,code,colour\nmeter,M-9,red", 'form' => self::formId()])
            ->assertSessionHasErrors('shelf');
        self::assertStringContainsString(
            'Unknown column: "colour". Accepted columns: what, code',
            (string) session('errors')->first('shelf'),
        );
    }

    public function test_a_scanned_code_opens_its_page_though_others_begin_like_it(): void
    {
        $this->post('/ready/add/electrode', [
            'code' => 'E-0',
            'name' => 'Short',
            'kind' => 'sealed gel',
            'first_used_on' => '2026-11-01',
            'form' => self::formId(),
        ])->assertRedirect('/ready/pairing');

        $this->get('/find?q=e-0')->assertRedirect('/ready/pairing');
        $this->get('/find?q=E-')->assertOk()->assertSee('E-05')->assertSee('not on a meter');
        $this->get('/ready/labels?code=L-01')->assertSee('Not for pH buffer')->assertDontSee('E-07');
    }

    public function test_every_line_of_a_file_that_cannot_be_taken_says_why(): void
    {
        $this->post('/ready/import', [
            'shelf' => implode("\n", [
                'what,code,name,kind,first_used_on,resolution_c',
                'electrode,E-31,Spare,sealed gel,2026-11-01,',
                'electrode,E-31,Again,sealed gel,2026-11-01,',
                'scale,S-01,Kitchen scale,,,',
                'electrode,E-32,Wide,sealed gel,2026-11-01,,,extra',
                'electrode,E-33,Mixed up,sealed gel,2026-11-01,0.1',
                'electrode,E-07,Taken,sealed gel,2026-11-01,',
            ]),
            'form' => self::formId(),
        ])
            ->assertOk()
            ->assertSeeInOrder([
                'Some lines have errors.',
                'E-31',
                'ready',
                'the code is already in line 2',
                'what: must be meter, electrode, thermometer or bottle',
                'has 8 cells, but the first line has 6',
                'resolution_c: leave this empty for electrode',
                'code: E-07 is already the code of an electrode',
            ]);
    }

    public function test_a_file_without_lines_or_without_its_columns_is_refused(): void
    {
        foreach (
            [
                'what,code,name' => 'The file holds no things.',
                "code,name\nE-40,Spare" => 'The columns "what" and "code" are needed.',
                "what,code,code\nmeter,M-9,M-9" => 'A column appears twice.',
            ] as $shelf => $said
        ) {
            $this->from('/ready/import')
                ->post('/ready/import', ['shelf' => $shelf, 'form' => self::formId()])
                ->assertSessionHasErrors('shelf');
            self::assertStringContainsString($said, (string) session('errors')->first('shelf'));
        }
    }

    public function test_a_meter_without_a_digit_of_mv_shows_only_ph(): void
    {
        $form = ['name' => 'Meter', 'resolution_ph' => '0.01', 'compensates' => 'sensor'];
        $this->post('/ready/add/meter', [
            ...$form,
            'code' => 'M-8',
            'resolution_mv' => '0.1',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $this->post('/ready/add/meter', [
            ...$form,
            'code' => 'M-9',
            'resolution_mv' => '',
            'compensates' => 'typed in by hand',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        self::assertSame(
            [[true, true], [false, false]],
            Meter::query()
                ->whereIn('code', ['M-8', 'M-9'])
                ->orderBy('code')
                ->get()
                ->map(static fn(Meter $meter): array => [$meter->shows_mv, $meter->compensates])
                ->all(),
        );
    }
}
