<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Database\Demo\Scenario;
use Illuminate\Support\Facades\Cache;
use Rheacid\Actions\Site\ChangeSettings;
use Rheacid\Board\Restyle;
use Rheacid\Core\Style;
use Rheacid\Models\Calibration;
use Rheacid\Models\Course;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Models\Replicate;
use Rheacid\Models\Thermometer;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Site\Settings;

/** A site that has °F first and a comma, on its pages and papers. */
final class StyleTest extends BenchTestCase
{
    protected function tearDown(): void
    {
        Style::use(false, false);
        parent::tearDown();
    }

    public function test_every_page_names_fahrenheit_first_and_writes_a_comma(): void
    {
        self::emptyDatabase();
        Cache::flush();
        CarbonImmutable::setTestNow('2026-11-24T09:41:00Z');
        app(Scenario::class)->load(self::PASSPHRASE);
        $lead = Person::query()->whereRelation('credential', 'username', 'sela')->firstOrFail();
        (new ChangeSettings())($lead, IdempotencyKey::own(), 'Quillmere', true, true, false);
        Settings::now()->write();
        (new Restyle())->handle();

        $alone = $pointed = [];
        foreach ($this->pages() as $url) {
            $page = preg_replace(
                ['/<(script|style|title)\b.*?<\/\1>/s', '/<(select|textarea|code|canvas)\b.*?<\/\1>/s'],
                '',
                (string) $this->actingAs($lead)->get($url)->getContent(),
            );
            self::assertStringContainsString('</html>', (string) $page, $url);
            $text = (string) preg_replace('/\s+/', ' ', html_entity_decode(strip_tags(str_replace('<', ' <', (string) $page))));
            // The name of a limit stays as it was written.
            $text = (string) preg_replace('/finished: acidity, [\d.]+ g\/L/u', '', $text);
            // A temperature in °C stands behind its °F, in brackets.
            preg_match_all('/.{30}(?<![\d(,.–−])[−\d][\d.,]* °C/u', (string) preg_replace('/\([^()]*°C\)/u', '()', $text), $found);
            $alone = [...$alone, ...array_map(static fn(string $one): string => "$url: $one", $found[0])];
            preg_match_all('/.{20}(?:± −?\d+\.\d|\d\.\d+ (?:mV|%|g\/L|°F|°C)).{10}/u', $text, $found);
            $pointed = [...$pointed, ...array_map(static fn(string $one): string => "$url: $one", $found[0])];
        }

        self::assertSame([], $alone);
        self::assertSame([], $pointed);
    }

    public function test_a_temperature_typed_bare_is_fahrenheit_there_and_kept_in_celsius(): void
    {
        $this->calibrate();
        (new ChangeSettings())($this->people['lead'], IdempotencyKey::own(), 'Quillmere', true, false, false);
        $draft = $this->begin();
        $this->actingAs($this->people['checker'])
            ->get("/drafts/$draft->id")
            ->assertSee('°F, or with a unit, like 21.4 C');
        $this->post("/drafts/$draft->id/replicates", [
            'mv' => '143.0',
            'signal' => '143.0',
            'celsius' => '70.5',
            'watched_s' => '60',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        self::assertEqualsWithDelta(21.389, Replicate::query()->orderByDesc('id')->firstOrFail()->shown_c, 0.001);
    }

    /**
     * @return list<string> where temperatures stand; a check of a thermometer is told in the unit in which it was read, the library in the
     * words of its sources
     */
    private function pages(): array
    {
        $id = static fn(string $class): int => (int) $class::query()->max('id');
        $measured = Measurement::query()
            ->orderByDesc('id')
            ->limit(6)
            ->pluck('id')
            ->map(static fn(mixed $one): string => "/readings/$one")
            ->all();
        $thermometers = Thermometer::query()
            ->pluck('id')
            ->flatMap(static fn(mixed $one): array => ["/thermometers/$one", "/verify/$one"])
            ->all();
        $calibration = $id(Calibration::class);

        return array_values([
            '/',
            '/today/sheet',
            '/ready',
            '/calibrate',
            '/verify',
            '/verify/alike',
            '/measure',
            '/batches',
            '/rounds/new',
            '/ready/electrodes',
            '/policies',
            ...$measured,
            ...$thermometers,
            "/calibrations/$calibration",
            "/calibrations/$calibration/certificate",
            '/drafts/' . $id(MeasurementDraft::class),
            ...array_map(
                static fn(int $batch): string => "/batches/$batch",
                Course::query()->distinct()->pluck('batch_id')->map(static fn(mixed $one): int => (int) $one)->all(),
            ),
            "/batches/{$this->batch()->id}",
            "/batches/{$this->batch()->id}/tag",
            "/batches/{$this->batch()->id}/temperatures",
            "/calibrate/{$this->pair()->id}",
            "/measure/{$this->batch()->id}",
            "/measure/{$this->batch()->id}/late",
            "/measure/{$this->batch()->id}/other",
            "/products/{$this->batch()->product_id}",
            "/methods/{$this->batch()->product->method_id}",
        ]);
    }
}
