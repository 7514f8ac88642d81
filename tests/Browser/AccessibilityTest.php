<?php

declare(strict_types=1);

namespace Tests\Browser;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Cache;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Actions\Logs\UploadLog;
use Rheacid\Actions\Measure\OpenRound;
use Rheacid\Models\Deviation;
use Rheacid\Queries\Rounds\RoundPlan;
use Rheacid\Records\IdempotencyKey;

/** Every kind of page under axe, a rule engine for WCAG 2.2: nothing serious, nothing moderate. */
final class AccessibilityTest extends BrowserTestCase
{
    private const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

    /** @return iterable<string, array{int, int, bool}> */
    public static function screens(): iterable
    {
        yield 'at the bench, by day and in the dark' => [1280, 800, true];
        yield 'on a telephone' => [390, 844, false];
    }

    #[DataProvider('screens')]
    public function test_every_page_can_be_used_by_everybody(int $width, int $height, bool $alsoDark): void
    {
        $this->calibrate();
        $reading = $this->measure([4.45, 4.46]);
        $this->measure([6.4, 6.4]);
        $deviation = Deviation::query()->firstOrFail();
        $run = $this->openRun();
        $run->update(['source' => 'simulated']);
        $this->immerse('lot_id', $this->lot('Q-29')->id, $run);
        $log = (new UploadLog())(
            $this->people['checker'],
            IdempotencyKey::own(),
            'a.csv',
            implode("\n", array_map(static fn(int $t): string => "$t;170.0;21.0", range(0, 60))),
            $this->pair(),
            null,
        );
        $round = app(OpenRound::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair(),
            $this->thermometer(),
            RoundPlan::chosen([$this->batch()->id], CarbonImmutable::now()),
            true,
            false,
        );
        $coded = app(OpenRound::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair(),
            $this->thermometer(),
            RoundPlan::chosen([$this->batch()->id], CarbonImmutable::now()),
            true,
            true,
        );
        $oda = $this->atTheBench($width, $height);
        $axe = (string) file_get_contents(base_path('node_modules/axe-core/axe.min.js'));

        $found = [];
        foreach (
            [
                '/sign-in',
                '/join',
                '/',
                '/ready',
                '/calibrate',
                "/calibrate/{$this->pair('E-09')->id}",
                "/runs/{$run->id}",
                "/calibrations/{$reading->calibration_id}",
                "/calibrations/{$reading->calibration_id}/certificate",
                '/measure',
                "/measure/{$this->batch()->id}",
                '/batches',
                "/batches/{$this->batch()->id}",
                "/readings/{$reading->id}",
                "/readings/{$reading->id}/correction",
                "/pairs/{$this->pair()->id}",
                "/pairs/{$this->pair()->id}/check",
                '/hands',
                "/hands/{$this->people['second']->id}",
                "/logs/{$log->id}",
                "/lots/{$this->lot('Q-31')->id}",
                "/thermometers/{$this->thermometer()->id}",
                '/find?q=Q',
                '/find',
                '/site',
                '/batches?state=closed',
                '/today/sheet',
                '/ready/add/bottle',
                '/ready/import',
                '/ready/labels',
                '/ready/pairing',
                '/ready/electrodes',
                '/policies',
                "/policies/{$this->pair()->policy->id}",
                "/cells/{$this->pair('L-01')->id}",
                "/bench/{$this->pair()->id}",
                '/verify',
                "/verify/{$this->thermometer()->id}",
                "/verify/{$this->thermometer()->id}?method=boiling",
                "/thermometer-checks/{$this->thermometer()->newestVerification?->id}",
                "/thermometer-checks/{$this->thermometer()->newestVerification?->id}/certificate",
                '/verify/alike',
                '/verify/reference',
                '/batches/new',
                "/batches/new?product={$this->batch()->product_id}",
                "/batches/{$this->batch()->id}/tag",
                "/batches/{$this->batch()->id}/temperatures",
                "/deviations/$deviation->id",
                '/methods',
                "/methods/{$this->batch()->product->method_id}",
                "/methods/{$this->batch()->product->method_id}/change",
                '/methods/standard/insertion',
                '/yourself',
                "/batches/{$this->batch()->id}?from=0&to=12&compare=1",
                '/calculators',
                '/rounds/new',
                "/rounds/{$round->id}",
                "/rounds/{$coded->id}",
                '/repeatability',
                '/sources',
                '/keeping',
                '/people',
                '/calculators/bench-trial?trial=0;3.8%0A1;3.6&target=3.7&trial_ml=100&batch_l=10&what=acid&unit=mL',
                "/measure/{$this->batch()->id}/other",
                "/measure/{$this->batch()->id}/late",
                "/measure/{$this->batch()->id}/titration",
                "/lots/{$this->lot('S-01')->id}",
                '/products',
                '/products/library/yogurt',
                "/products/{$this->batch()->product_id}",
                "/products/{$this->batch()->product_id}/change",
                '/yourself/code',
                '/yourself/passphrase',
                '/yourself/secrets',
                'sela',
                '/settings',
                '/people',
                '/access',
                '/system',
                '/products/import',
                'nobody',
                '/set-up',
            ] as $path
        ) {
            match ($path) {
                '/' => $oda->signsIn('oda', self::PASSPHRASE),
                'sela' => $oda->opens('/site')->taps('Sign out')->sees('I have an invitation code')->signsIn('sela', self::PASSPHRASE),
                'nobody' => self::nobodyHasFounded($oda),
                default => $oda->opens($path),
            };
            $oda->browser->executeScript("document.querySelectorAll('details').forEach((one) => { one.open = true; })");
            // Through the browser's own channel, which the page's security policy does not reach.
            $oda->browser->executeScript($axe);
            // What happens to lie half under the bars of the lower edge is scrolled out from under them, not smaller.
            $oda->browser->executeScript("document.querySelectorAll('.act, .rail').forEach((bar) => { bar.style.position = 'static'; })");
            $found = [...$found, ...self::violations($oda, $path, self::RULES)];
            if ($alsoDark) {
                // The dark scheme changes colours alone.
                $oda->chromium->prefers('dark');
                $found = [...$found, ...self::violations($oda, "$path in the dark", ['cat.color'])];
                $oda->chromium->prefers('light');
            }
        }

        self::assertSame([], $found);
    }

    /**
     * @param non-empty-list<string> $tags of the rules
     *
     * @return list<string>
     */
    private static function violations(Person $person, string $path, array $tags): array
    {
        $violations = $person->browser->executeAsyncScript(
            "const done = arguments[arguments.length - 1]; axe.run(document, { runOnly: arguments[0] }).then((result) => "
                . "done(result.violations.map((v) => [v.impact, v.id, v.nodes.map((n) => n.html.slice(0, 120) + ' ' + "
                . "n.failureSummary.slice(0, 200)).slice(0, 3).join(' || ')])));",
            [$tags],
        );
        assert(is_array($violations));

        return array_values(
            array_map(
                static fn(array $one): string => "$path: $one[0] $one[1]: $one[2]",
                array_filter($violations, static fn(array $one): bool => $one[0] !== 'minor'),
            ),
        );
    }

    private static function nobodyHasFounded(Person $person): void
    {
        $person->opens('/site')->taps('Sign out')->sees('I have an invitation code');
        self::emptyDatabase();
        Cache::flush();
    }
}
