<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Models\CalibrationPoint;

final class BadInputTest extends BenchTestCase
{
    /** @return iterable<string, array{string}> */
    public static function unclearPotentials(): iterable
    {
        foreach (['abc', '', '1e999', '4.52 pH', '1,2.3', '2000'] as $typed) {
            yield "\"$typed\"" => [$typed];
        }
    }

    #[DataProvider('unclearPotentials')]
    public function test_an_unclear_potential_is_reported_beside_its_field_and_nothing_typed_is_lost(string $typed): void
    {
        $run = $this->openRun();

        $this->actingAs($this->people['checker'])
            ->from("/runs/{$run->id}")
            ->followingRedirects()
            ->post("/runs/{$run->id}/points", [
                'form' => self::formId(),
                'station' => 0,
                'mv' => $typed,
                'celsius' => '21,4 C',
                'reason' => 'in a hurry',
                'still' => '1',
            ])
            ->assertSee('A potential in mV like 177.4 or −12,5 is accepted.')
            ->assertSee('value="21,4 C"', false)
            ->assertSee('value="in a hurry"', false);

        self::assertSame(0, CalibrationPoint::query()->count());
    }

    public function test_a_comma_and_a_unit_are_understood(): void
    {
        $run = $this->openRun();

        $this->actingAs($this->people['checker'])
            ->post("/runs/{$run->id}/points", [
                'form' => self::formId(),
                'station' => 0,
                'mv' => '−4,0 mV',
                'celsius' => '69.8 F',
                'still' => '1',
            ])
            ->assertSessionHasNoErrors();

        $point = CalibrationPoint::query()->sole();
        self::assertSame([-4.0, 21.0], [$point->mv, $point->celsius]);
    }

    public function test_lists_where_words_belong_and_broken_text_are_refused_everywhere(): void
    {
        $this->post('/sign-in', ['username' => ['oda'], 'passphrase' => ['a']])->assertSessionHasErrors(['username', 'passphrase']);
        $this->actingAs($this->people['checker'])->get('/find?q[]=Q')->assertOk();
        $this->get('/find?q=%C3%28')->assertStatus(422);
        $this->get('/find?q=Q%00x')->assertStatus(422);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function unusableSamples(): iterable
    {
        yield 'drawn tomorrow' => [['drawn_at' => '2026-11-26T09:00'], 'drawn_at'];
        yield 'drawn before the batch began' => [['drawn_at' => '2026-01-01T09:00'], 'drawn_at'];
        yield 'no time at all' => [['drawn_at' => 'this morning'], 'drawn_at'];
        yield 'a stage nobody knows' => [['stage' => 'ripe'], 'stage'];
        yield 'a place the method does not have' => [['place' => 'lid'], 'place'];
        yield 'neither yes nor no' => [['answers' => ['raining']], 'answers.0'];
        yield 'a list where a word belongs' => [['place' => ['blend']], 'place'];
    }

    /** @param array<string, mixed> $changed */
    #[DataProvider('unusableSamples')]
    public function test_an_unusable_sample_is_reported_beside_its_field(array $changed, string $field): void
    {
        $this->calibrate();
        $form = [
            'form' => self::formId(),
            'pair' => $this->pair()->id,
            'thermometer' => $this->thermometer()->id,
            'stage' => 'underway',
            'place' => 'blend',
            'drawn_at' => '2026-11-25T09:30',
            'source' => 'typed',
        ];

        $this->actingAs($this->people['checker'])
            ->post("/measure/{$this->batch()->id}/drafts", [...$form, ...$changed])
            ->assertSessionHasErrors($field);
        $this->post("/measure/{$this->batch()->id}/drafts", $form)->assertSessionHasNoErrors();
    }
}
