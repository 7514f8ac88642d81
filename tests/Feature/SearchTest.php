<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Find\Index;
use Rheacid\Find\Words;

/** The search finds by the words that people use. */
final class SearchTest extends BenchTestCase
{
    /** @return array<string, array{string, string}> what is typed, and a title that has to be found */
    public static function searches(): array
    {
        return [
            'a code' => ['CS-04', 'CS-0417 ·'],
            'a code without its dash' => ['cs0417', 'CS-0417 ·'],
            'the number of a code' => ['417', 'CS-0417 ·'],
            'a product' => ['chilli', 'CS-0417 ·'],
            'a vessel' => ['vat 2', 'CS-0417 ·'],
            'a product and a vessel, in capitals' => ['VAT chil', 'CS-0417 ·'],
            'one letter too few' => ['chili', 'CS-0417 ·'],
            'one letter wrong' => ['chilly', 'CS-0417 ·'],
            'two letters that changed places' => ['chlili sauce', 'CS-0417 ·'],
            'a meter' => ['bench meter', 'E-07 ·'],
            'a bottle' => ['Q-3', 'Q-31 ·'],
            'a thermometer' => ['t 03', 'T-03 ·'],
            'a page' => ['settings', 'Settings'],
            'a page by another word' => ['lab', 'Accepted outside sources'],
            'a misspelt page' => ['polices', 'Policies'],
        ];
    }

    #[DataProvider('searches')]
    public function test_search_finds(string $typed, string $title): void
    {
        $this->actingAs($this->people['checker'])
            ->get('/find?' . http_build_query(['q' => $typed]), ['HX-Request' => 'true'])
            ->assertOk()
            ->assertSee($title)
            ->assertDontSee('Nothing found for');
    }

    public function test_a_code_of_which_a_digit_is_wrong_finds_nothing_rather_than_another_thing(): void
    {
        $this->actingAs($this->people['checker'])->get('/find?q=CS-0499')->assertOk()->assertSee('Nothing found')->assertDontSee('CS-0417');
        $this->get('/find?q=vat+77')->assertOk()->assertSee('Nothing found');
        // Two letters off is another word.
        $this->get('/find?q=chullo')->assertOk()->assertSee('Nothing found');
    }

    public function test_a_whole_code_opens_its_thing_and_so_does_the_only_hit(): void
    {
        $this->actingAs($this->people['checker'])
            ->get('/find?q=q31')
            ->assertRedirect("/lots/{$this->lot('Q-31')->id}");
        $this->get('/find?q=E-07')->assertRedirect("/pairs/{$this->pair()->id}");
        $this->get('/find?q=blind')->assertRedirect('/repeatability');
    }

    public function test_people_are_found_by_a_lead_and_by_nobody_else(): void
    {
        $name = $this->people['second']->name;
        $found = fn(string $who): string => (string) $this->actingAs($this->people[$who])
            ->get('/find?' . http_build_query(['q' => $name]), ['HX-Request' => 'true'])
            ->getContent();

        self::assertStringContainsString('#person-', $found('lead'));
        foreach (['checker', 'auditor'] as $who) {
            self::assertStringNotContainsString('#person-', $found($who));
        }
        $this->actingAs($this->people['checker'])
            ->get('/find?q=access', ['HX-Request' => 'true'])
            ->assertDontSee('/access"', false);
        $this->actingAs($this->people['lead'])
            ->get('/find?q=access', ['HX-Request' => 'true'])
            ->assertSee('/access"', false);
    }

    public function test_a_note_a_step_and_a_deviation_are_found_once_they_are_recorded(): void
    {
        $batch = $this->batch();
        $asked = fn(string $text): string => (string) $this->actingAs($this->people['checker'])
            ->get('/find?' . http_build_query(['q' => $text]), ['HX-Request' => 'true'])
            ->getContent();
        self::assertStringContainsString('Nothing found for', $asked('gasket'));
        $this->actingAs($this->people['checker'])
            ->post("/batches/$batch->id/notes", ['note' => 'The gasket of the lid was replaced', 'form' => self::formId()])
            ->assertSessionHasNoErrors();
        self::assertStringContainsString("Note on $batch->code", $asked('gasket lid'));

        $this->post("/batches/$batch->id/steps", ['step' => 'packed', 'at' => '2026-11-25T09:00', 'form' => self::formId()]);
        self::assertTrue(
            DB::table('found_terms')->where('part', 'batch')->where('thing_id', $batch->id)->where('term', 'packed')->exists(),
            'the step leads to its batch',
        );

        $this->calibrate();
        $this->vouch();
        $this->measure([5.4, 5.4]);
        $this->post("/batches/$batch->id/state", ['to' => 'held', 'reason' => 'Mould beneath the weights', 'form' => self::formId()]);
        self::assertStringNotContainsString('javascript', $asked('<script>'));
    }

    public function test_the_index_kept_up_to_date_equals_a_rebuilt_one(): void
    {
        $batch = $this->batch();
        $this->actingAs($this->people['checker'])
            ->post("/batches/$batch->id/notes", ['note' => 'Bubbles at the rim', 'form' => self::formId()])
            ->assertSessionHasNoErrors();
        $this->brew('kombucha', 'KB-0001', '2026-11-25T08:00');
        $read = static fn(): array => [
            DB::table('found_things')->orderBy('part')->orderBy('thing_id')->get()->all(),
            DB::table('found_terms')->orderBy('term')->orderBy('part')->orderBy('thing_id')->get()->all(),
            DB::table('found_spellings')->orderBy('variant')->orderBy('word')->get()->all(),
        ];
        $along = $read();
        Index::rebuild();

        self::assertEquals($along, $read());
        self::assertNotSame([], $along[0]);
    }

    public function test_what_people_type_breaks_nothing(): void
    {
        foreach (['%', '_', "'", '\\', '"><script>', str_repeat('x', 5000), '💧', "\0", '🜁 pH', '٣', '-', '   '] as $text) {
            $this->actingAs($this->people['checker'])
                ->get('/find?' . http_build_query(['q' => $text]))
                ->assertOk();
        }
        $this->get('/find?q[]=a')->assertOk();
    }

    public function test_one_letter_apart(): void
    {
        foreach ([['brine', 'brin'], ['brine', 'brines'], ['brine', 'brime'], ['brine', 'birne'], ['brine', 'brine']] as [$one, $other]) {
            self::assertTrue(Words::isOneLetterApart($one, $other), "$one $other");
            self::assertNotSame([], array_intersect(Words::variants($one), Words::variants($other)), "$one $other");
        }
        foreach ([['brine', 'brimes'], ['brine', 'rbien'], ['brine', 'wine']] as [$one, $other]) {
            self::assertFalse(Words::isOneLetterApart($one, $other), "$one $other");
        }
    }
}
