<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Route;
use Rheacid\Actions\Logs\UploadLog;
use Rheacid\Actions\Measure\OpenRound;
use Rheacid\Actions\Site\RecordRestoration;
use Rheacid\Core\Access\Role;
use Rheacid\Models\Appointment;
use Rheacid\Models\BatchStep;
use Rheacid\Models\Calibration;
use Rheacid\Models\Course;
use Rheacid\Models\Deviation;
use Rheacid\Models\LogUpload;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Models\Restoration;
use Rheacid\Models\Round;
use Rheacid\Models\RunState;
use Rheacid\Queries\Rounds\RoundPlan;
use Rheacid\Records\IdempotencyKey;

/** Every route, asked as everybody: the table of rights, walked. */
final class RightsTest extends BenchTestCase
{
    /** What somebody signed in may send about themselves. */
    private const OWN = [
        'sign-out',
        'yourself/code',
        'yourself/code/off',
        'yourself/passphrase',
        'yourself/secrets/passphrase',
        'yourself/secrets/pin',
        'yourself/sessions/{session}/end',
        'hands/{person}',
    ];

    /** What is sent by a lead alone; everything else that is sent is a checker's too. */
    private const LEADS = [
        'batches/{batch}/release',
        'batches/{batch}/recall',
        'steps/{step}',
        'courses/{course}/strikes',
        'deviations/{deviation}/disposition',
        'keeping/true-time',
        'methods/standard/{standard}',
        'methods/{method}',
        'pairs/{pair}/policy',
        'people',
        'people/{person}/appointment',
        'people/{person}/code',
        'people/{person}/sign-out',
        'policies/{policy}',
        'products/import',
        'products/import/take',
        'products/library/{code}',
        'products/{product}',
        'products/{product}/drawn',
        'restorations/{restoration}',
        'settings',
        'settings/zone',
        'sources',
        'thermometers/{thermometer}/service',
        'verify/elevation',
    ];

    /** What a lead and an auditor read, and what nobody reads but whose it is. */
    private const READ_BY_FEW = ['access', 'system'];
    private const OPENED_BY_LEADS = ['methods/{method}/change', 'products/import', 'products/{product}/change'];
    private const OPENED_TO_RECORD = [
        'bench/{pair}',
        'measure/{batch}/late',
        'measure/{batch}/other',
        'measure/{batch}/titration',
        'ready/add/{what}',
        'ready/import',
        'ready/pairing',
        'rounds/new',
    ];
    private const READ_BY_ITS_OWNER = ['logs/{log}', 'readings/{measurement}/correction'];

    public function test_every_route_answers_each_role_as_the_table_says(): void
    {
        $people = [...$this->people, 'gone' => $this->people['second']];
        $this->people['lead']->refresh();
        Appointment::query()->create([
            'person_id' => $people['gone']->id,
            'role' => Role::Checker,
            'enabled' => false,
            'reason' => 'for a test',
            'at' => now(),
            'appointed_by_id' => $people['lead']->id,
        ]);
        $wrong = [];
        $asked = 0;
        foreach ($this->routes() as [$method, $url, $uri]) {
            foreach (['checker', 'lead', 'lead by PIN', 'auditor', 'auditor by PIN', 'gone'] as $role) {
                if (in_array($uri, self::READ_BY_ITS_OWNER, true) || $uri === 'sign-out') {
                    continue;
                }
                $person = Person::query()->findOrFail($people[explode(' ', $role)[0]]->id);
                $this->flushSession();
                $answer = $this->actingAs($person)
                    ->withSession(['by_pin' => str_ends_with($role, 'by PIN')])
                    ->call($method, $url);
                $is = match (true) {
                    $role === 'gone' && str_ends_with((string) $answer->headers->get('Location'), '/sign-in') => 'out',
                    $answer->status() === 403 => 'refused',
                    default => 'let',
                };
                $mayBe = match (true) {
                    $role === 'gone' => 'out',
                    $method !== 'POST' => match (true) {
                        in_array($uri, self::READ_BY_FEW, true) => in_array($role, ['lead', 'auditor'], true),
                        in_array($uri, self::OPENED_BY_LEADS, true) => $role === 'lead',
                        in_array($uri, self::OPENED_TO_RECORD, true) => !str_starts_with($role, 'auditor'),
                        default => true,
                    }
                    ? 'let'
                    : 'refused',
                    in_array($uri, self::OWN, true) => 'let',
                    str_starts_with($role, 'auditor'), in_array($uri, self::LEADS, true) && $role !== 'lead' => 'refused',
                    default => 'let',
                };
                $asked++;
                if ($is !== $mayBe || $answer->status() >= 500) {
                    $wrong[] = "$role, $method $url: $is ({$answer->status()}), not $mayBe";
                }
            }
        }

        self::assertSame([], $wrong);
        self::assertGreaterThan(600, $asked);
    }

    public function test_nobody_writes_to_a_colleagues_work_or_sees_a_colleagues_upload(): void
    {
        $this->calibrate(electrode: 'E-05');
        $run = $this->openRun();
        $draft = $this->begin(by: $this->people['second'], electrode: 'E-05');
        $log = (new UploadLog())($this->people['checker'], IdempotencyKey::own(), 'a.csv', "1;2;20\n2;2;20", $this->pair(), null);
        foreach (
            [
                'second' => ["/runs/$run->id/leave", "/runs/$run->id/points"],
                'lead' => ["/runs/$run->id/leave", "/drafts/$draft->id/reading", "/drafts/$draft->id/leave"],
                'checker' => ["/drafts/$draft->id/replicates", "/drafts/$draft->id/treatment"],
            ] as $who => $urls
        ) {
            foreach ($urls as $url) {
                $this->flushSession();
                self::assertContains(
                    $this->actingAs($this->people[$who])
                        ->post($url, ['form' => self::formId()])
                        ->status(),
                    [302, 403],
                    "$who $url",
                );
            }
        }
        self::assertTrue($run->refresh()->holder->is($this->people['checker']));
        self::assertSame([RunState::Open, true, 0], [$run->state, $draft->refresh()->isOpen(), Measurement::query()->count()]);
        foreach (['second', 'lead', 'auditor'] as $who) {
            $this->flushSession();
            $this->actingAs($this->people[$who])
                ->get("/logs/$log->id")
                ->assertNotFound();
        }
    }

    public function test_without_a_session_everything_leads_to_the_sign_in(): void
    {
        foreach ($this->routes() as [$method, $url]) {
            $this->call($method, $url)->assertRedirect('/sign-in');
        }
    }

    public function test_a_list_in_the_place_of_any_field_of_any_form_breaks_nothing(): void
    {
        $broken = [];
        $sent = 0;
        foreach ($this->routes() as [$method, $url]) {
            $page = $method === 'GET' ? (string) $this->actingAs($this->people['lead'])->get($url)->getContent() : '';
            $document = new \DOMDocument();
            if ($page === '' || !@$document->loadHTML($page)) {
                continue;
            }
            $xpath = new \DOMXPath($document);
            foreach ($xpath->query('//form[@method="post"]') ?: [] as $form) {
                assert($form instanceof \DOMElement);
                $action = (string) parse_url($form->getAttribute('action'), PHP_URL_PATH);
                $fields = [];
                foreach ($xpath->query(".//*[@name] | //*[@name and @form='{$form->getAttribute('id')}']", $form) ?: [] as $field) {
                    assert($field instanceof \DOMElement);
                    $fields[$field->getAttribute('name')] = $field->getAttribute('value');
                }
                unset($fields['_token']);
                foreach ($action === '/sign-out' ? [] : array_keys($fields) as $name) {
                    $sent++;
                    $status = $this->post($action, [
                        ...$fields,
                        'form' => self::formId(),
                        preg_replace('/\[.*/', '', (string) $name) => [['a' => ['b']]],
                    ])->status();
                    if ($status >= 500) {
                        $broken["$action $name"] = $status;
                    }
                }
            }
        }

        self::assertSame([], $broken);
        self::assertGreaterThan(300, $sent);
    }

    public function test_an_auditor_does_not_even_see_the_form_of_a_correction(): void
    {
        $this->calibrate();

        $this->actingAs($this->people['auditor'])
            ->get("/readings/{$this->measure([4.45, 4.46])->id}/correction")
            ->assertForbidden();
    }

    public function test_an_unknown_or_guessed_number_is_not_found(): void
    {
        foreach ($this->routes(number: '999999999') as [$method, $url]) {
            if (str_contains($url, '999999999')) {
                self::assertSame(404, $this->actingAs($this->people['checker'])->call($method, $url)->status(), "$method $url");
            }
        }
        foreach (['/runs/abc', '/runs/-1', '/runs/1e3', '/runs/99999999999999999999', '/readings/%27', '/wp-admin'] as $url) {
            $this->get($url)->assertNotFound();
        }
    }

    public function test_an_auditor_is_offered_no_writing(): void
    {
        $offered = [];
        foreach ($this->routes() as [$method, $url]) {
            if ($method !== 'GET') {
                continue;
            }
            $page = (string) $this->actingAs($this->people['auditor'])->get($url)->getContent();
            foreach (preg_match_all('/<form[^>]*method="post"[^>]*action="([^"]*)"/', $page, $forms) > 0 ? $forms[1] : [] as $action) {
                if (
                    !preg_match(
                        '#/(sign-out|hands/\d+|yourself/(code|code/off|passphrase|secrets/passphrase|secrets/pin|sessions/\d+/end))$#',
                        $action,
                    )
                ) {
                    $offered[] = "$url: $action";
                }
            }
        }

        self::assertSame([], array_values(array_unique($offered)));
    }

    public function test_every_page_forbids_inline_code_and_holds_none(): void
    {
        foreach ($this->routes() as [$method, $url]) {
            $response = $method === 'GET' ? $this->actingAs($this->people['lead'])->get($url) : null;
            if ($response?->status() === 200) {
                self::assertStringContainsString("script-src 'self'", (string) $response->headers->get('Content-Security-Policy'), $url);
                self::assertDoesNotMatchRegularExpression(
                    '/<script(?![^>]*\bsrc=)|<style|\sstyle=|\son[a-z]+=|javascript:/i',
                    (string) $response->getContent(),
                    $url,
                );
            }
        }
    }

    public function test_a_fragment_is_the_same_part_as_on_its_page(): void
    {
        $run = $this->openRun();
        $run->update(['source' => 'simulated']);
        $this->immerse('lot_id', $this->lot('Q-29')->id, $run);
        $this->wait(40);

        $fragment = (string) $this->actingAs($this->people['checker'])
            ->get("/runs/{$run->id}/live", ['HX-Request' => 'true'])
            ->assertOk()
            ->getContent();
        $page = (string) $this->get("/runs/{$run->id}")->getContent();

        self::assertStringContainsString(trim($fragment), $page);
    }

    /**
     * @return list<array{string, string, string}> every route behind the sign-in: method, address with numbers that exist, and as it is
     *     written
     */
    private function routes(?string $number = null): array
    {
        $existing = [
            'pair' => $this->pair()->id,
            'lot' => $this->lot('Q-31')->id,
            'thermometer' => $this->thermometer()->id,
            'batch' => $this->batch()->id,
            'what' => 'bottle',
            'verification' => $this->thermometer()->newestVerification?->id,
            'policy' => $this->pair()->policy->id,
            'person' => $this->people['second']->id,
            'session' => 1,
            'portion' => 1,
        ];
        $existing += [
            'product' => $this->batch()->product_id,
            'method' => $this->batch()->product->method_id,
            'code' => 'kombucha',
            'standard' => 'slurry',
            'calculator' => 'blend',
            'deviation'
                => Deviation::query()->first()->id
                ?? Deviation::query()->create([
                    'batch_id' => $this->batch()->id,
                    'limit_name' => 'Mash under way',
                    'what' => 'for a test',
                    'at' => now(),
                    'person_id' => $this->people['checker']->id,
                ])->id,
        ];
        $calibration = Calibration::query()->first() ?? $this->calibrate();
        $reading = Measurement::query()->first() ?? $this->measure([4.45, 4.46]);
        $draft = MeasurementDraft::query()->first();
        $log
            = LogUpload::query()->first()
            ?? (new UploadLog())($this->people['checker'], IdempotencyKey::own(), 'a.csv', "1;2;20\n2;2;20", $this->pair(), null);
        $existing += [
            'calibration' => $calibration->id,
            'run' => $calibration->calibration_run_id,
            'measurement' => $reading->id,
            'draft' => $draft?->id,
            'log' => $log->id,
        ];
        $round
            = Round::query()->first()
            ?? app(OpenRound::class)(
                $this->people['checker'],
                IdempotencyKey::own(),
                $this->pair(),
                $this->thermometer(),
                RoundPlan::chosen([$this->batch()->id], CarbonImmutable::now()),
                true,
                false,
            );
        $existing += [
            'restoration' => (
                Restoration::query()->first() ?? app(RecordRestoration::class)(CarbonImmutable::now()->subDay(), str_repeat('0', 64), [])
            )->id,
            'round' => $round->id,
            'stop' => $round->stops()->firstOrFail()->id,
        ];
        $known = ['batch_id' => $this->batch()->id, 'at' => now(), 'person_id' => $this->people['checker']->id];
        $existing += [
            'occasion' => $reading->occasion_id,
            'step' => (BatchStep::query()->first() ?? BatchStep::query()->create([...$known, 'step' => 'packed', 'entered_at' => now()]))
                ->id,
            'course' => (
                Course::query()->first()
                ?? Course::query()->create([...$known, 'step' => '', 'point' => 'chamber', 'thermometer_id' => $this->thermometer()->id])
            )->id,
        ];
        $found = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (in_array('auth', $route->gatherMiddleware(), true)) {
                $found[] = [
                    $route->methods()[0],
                    '/'
                    . trim(
                        (string) preg_replace_callback(
                            '/\{(\w+)\}/',
                            static fn(array $match): string => $number ?? (string) $existing[$match[1]],
                            $route->uri(),
                        ),
                        '/',
                    ),
                    $route->uri(),
                ];
            }
        }
        self::assertGreaterThan(25, count($found));

        return $found;
    }
}
