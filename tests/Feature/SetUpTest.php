<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Rheacid\Core\Access\Role;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Measuring\Source;
use Rheacid\Guard\SetUpCode;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Electrode;
use Rheacid\Models\Person;
use Rheacid\Models\Policy;
use Rheacid\Models\Site;
use Rheacid\Models\SiteElevation;
use Rheacid\Models\SiteZone;
use Rheacid\Records\LedgerCheck;
use Rheacid\Site\Settings;
use Rheacid\Site\SiteClock;

/** An empty installation and who founds it; and the settings of a site. */
final class SetUpTest extends BenchTestCase
{
    private const TOLD = [
        'site' => 'Saltmarsh Ferments',
        'time_zone' => 'Europe/Lisbon',
        'elevation' => '1640 ft',
        'barometer' => 'here',
        'temperatures' => 'F',
        'numbers' => 'comma',
        'name' => 'Runa Thistle',
        'username' => 'Runa',
        'passphrase' => 'three words and a comma',
        'passphrase_confirmation' => 'three words and a comma',
        'pin' => '246810',
    ];

    public function test_a_code_sets_up_a_site_with_its_lead_once(): void
    {
        $code = $this->empty();
        $this->get('/')->assertRedirect('/sign-in');
        $this->get('/sign-in')->assertRedirect('/set-up');
        $this->get('/set-up')->assertOk()->assertSee('Set up your site');
        $this->founds(['one_time_code' => $code])->assertRedirect('/');

        $lead = Person::query()->where('name', 'Runa Thistle')->sole();
        $this->assertAuthenticatedAs($lead);
        self::assertSame(Role::Lead, $lead->role);
        self::assertFalse(Site::isDemo());
        self::assertSame([Source::Typed, Source::Imported], Site::evidence(), 'nothing simulated is evidence here');
        self::assertEqualsWithDelta(499.9, SiteElevation::current(), 0.1);
        self::assertSame(
            ['Saltmarsh Ferments', true, true, 'Europe/Lisbon'],
            [Settings::now()->name, Settings::now()->fahrenheitFirst, Settings::now()->decimalComma, SiteClock::zone(now())->getName()],
        );
        self::assertSame(['laboratory', 'process', 'pens'], Policy::newest()->pluck('code')->all());
        $this->get('/')->assertSee('First steps')->assertSee('A meter');
        foreach (
            [
                '/ready',
                '/calibrate',
                '/verify',
                '/measure',
                '/batches',
                '/products',
                '/policies',
                '/people',
                '/methods',
                '/keeping',
                '/settings',
                '/rounds/new',
                '/ready/labels',
                '/ready/electrodes',
                '/ready/pairing',
                '/today/sheet',
                '/today/due.ics',
                '/repeatability',
                '/sources',
                '/batches/new',
                '/access',
            ] as $room
        ) {
            self::assertSame(200, $this->get($room)->status(), "$room of an empty plant");
        }

        $this->post('/sign-out');
        $this->founds(['one_time_code' => $code])->assertRedirect('/sign-in');
        self::assertSame(1, Site::query()->count());
        Artisan::call('rheacid:set-up-code');
        self::assertSame('', Artisan::output(), 'there is no second code');
        self::assertNull(LedgerCheck::run()['difference']);
    }

    /** @param array<string, string> $typed */
    #[TestWith([['one_time_code' => 'AAAA-AAAA-AAAA'], 'one_time_code'])]
    #[TestWith([['elevation' => '30000'], 'elevation'])]
    #[TestWith([['time_zone' => 'Middle/Earth'], 'time_zone'])]
    #[TestWith([['passphrase' => 'short', 'passphrase_confirmation' => 'short'], 'passphrase'])]
    #[TestWith([['passphrase_confirmation' => 'another of them'], 'passphrase'])]
    #[TestWith([['pin' => '12345'], 'pin'])]
    #[TestWith([['username' => 'two words'], 'username'])]
    #[TestWith([['site' => ''], 'site'])]
    public function test_a_refused_set_up_changes_nothing_and_uses_up_no_code(array $typed, string $field): void
    {
        $code = $this->empty();
        $this->founds(['one_time_code' => $code, ...$typed])->assertSessionHasErrors($field);
        self::assertSame([0, 0], [Site::query()->count(), Person::query()->count()]);
        self::assertTrue(SetUpCode::use($code));
    }

    public function test_a_code_is_too_late_after_three_days(): void
    {
        $code = $this->empty();
        touch(storage_path('setup-code'), time() - 3 * 86_400 - 1);

        self::assertFalse(SetUpCode::use($code));
    }

    public function test_a_site_that_was_set_up_is_not_set_up_again(): void
    {
        $this->get('/set-up')->assertRedirect('/sign-in');
        $this->founds(['one_time_code' => SetUpCode::fresh()])->assertRedirect('/sign-in');
        self::assertSame(1, Site::query()->count());
    }

    public function test_settings_are_sealed_and_changed_by_a_lead(): void
    {
        $this->actingAs($this->people['lead'])
            ->post('/settings', ['name' => 'Quillmere North', 'temperatures' => 'F', 'numbers' => 'comma', 'form' => self::formId()])
            ->assertSessionHasNoErrors();

        self::assertSame(
            ['Quillmere North', true, true],
            [Settings::now()->name, Settings::now()->fahrenheitFirst, Settings::now()->decimalComma],
        );
        $this->post('/settings', [
            'name' => 'X',
            'temperatures' => 'F',
            'numbers' => 'comma',
            'leads_need_code' => '1',
            'form' => self::formId(),
        ])->assertSessionHasErrors('leads_need_code');
        self::assertFalse(Settings::now()->leadsNeedCode, 'nobody shuts themselves out');
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_site_that_moves_shows_each_time_in_the_zone_in_force_then_and_asks_about_an_hour_that_comes_twice(): void
    {
        $before = now()->subHour();
        $this->actingAs($this->people['lead'])
            ->post('/settings/zone', ['time_zone' => 'Atlantic/Azores', 'from' => '2026-11-25T10:00', 'form' => self::formId()])
            ->assertSessionHasNoErrors();
        self::assertSame(
            ['Wed 25 Nov 2026, 09:00 GMT', 'Wed 25 Nov 2026, 09:00 -01', 'Wed 25 Nov 2026, 10:00'],
            array_map(SiteClock::full(...), [$before, now(), now()->addHour()]),
        );
        $this->get('/settings')->assertSee('Atlantic/Azores');

        $this->from('/settings')
            ->post('/settings/zone', ['time_zone' => 'Europe/Lisbon', 'from' => '2026-11-25T09:30', 'form' => self::formId()])
            ->assertSessionHasErrors([
                'from' => 'The clock went back, so 2026-11-25 09:30 occurred twice. Choose the first or the second.',
            ]);
        $this->get('/settings')->assertSee('the second time');
        $this->post('/settings/zone', [
            'time_zone' => 'Atlantic/Azores',
            'from' => '2026-11-25T12:00',
            'form' => self::formId(),
        ])->assertSessionHasErrors('time_zone');
        $this->post('/settings/zone', [
            'time_zone' => 'Europe/Lisbon',
            'from' => '2028-11-25T12:00',
            'form' => self::formId(),
        ])->assertSessionHasErrors('from');
        self::assertSame(2, SiteZone::query()->count());
        self::assertNull(LedgerCheck::run()['difference']);
    }

    #[TestWith(['', CareKind::DriedOut, false])]
    #[TestWith(['2026-11-23', CareKind::Soak, true])]
    #[TestWith(['2026-11-25', CareKind::Soak, false])]
    public function test_an_electrode_that_came_dry_soaks_first(string $wetSince, CareKind $kind, bool $isSoaked): void
    {
        $this->actingAs($this->people['checker'])
            ->post('/ready/add/electrode', [
                'code' => 'E-77',
                'name' => 'Electrode E-77',
                'kind' => 'general purpose',
                'first_used_on' => '2026-11-20',
                'wet_since' => $wetSince,
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();

        $care = CareEvent::query()
            ->where('electrode_id', Electrode::query()->where('code', 'E-77')->value('id'))
            ->sole();
        self::assertSame($kind, $care->kind);
        self::assertSame($isSoaked, $kind === CareKind::Soak && $care->until_at <= now());
    }

    /** Takes everything away, as before the first start; @return the code that bin/start prints */
    private function empty(): string
    {
        self::emptyDatabase();
        Cache::flush();
        Settings::forget();
        Artisan::call('rheacid:set-up-code');

        return trim(Artisan::output());
    }

    /** @param array<string, string> $typed */
    private function founds(array $typed): TestResponse
    {
        return $this->from('/set-up')->post('/set-up', [...self::TOLD, ...$typed]);
    }
}
