<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Database\Demo\Scenario;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;
use Rheacid\Models\Person;

/** Every page has a door: from Today, links lead to each page that a person may open. */
final class DoorsTest extends BenchTestCase
{
    /** Of one kind of page so many are walked through. */
    private const OF_EACH = 8;

    /** What is no page of its own: the parts of a page that a script fetches again, and what only the state of the demo does not offer. */
    private const NO_PAGES = [
        'runs.live',
        'checks.live',
        'cells.live',
        'drafts.live',
        'burettes.live',
        // Opens by the first upload of a file, and only for whoever uploaded it.
        'logs.show',
        'logs.sample',
        // Asked for where a PIN does not do; whoever came in by passphrase is not asked.
        'yourself.passphrase',
        // Nobody is in the middle of it in the demo.
        'hands.create',
    ];

    private const READ_BY_FEW = ['system', 'access'];
    private const OPENED_BY_LEADS = ['methods.edit', 'products.import', 'products.edit'];
    private const OPENED_TO_RECORD = [
        'add',
        'shelf.import',
        'pairing',
        'bench.show',
        'rounds.create',
        'late.create',
        'others.create',
        'titrations.create',
        'corrections.create',
    ];

    public function test_every_page_can_be_reached_by_links_from_today(): void
    {
        self::emptyDatabase();
        CarbonImmutable::setTestNow('2026-11-24T09:41:00Z');
        app(Scenario::class)->load(self::PASSPHRASE);
        $this->begin(by: Person::query()->whereRelation('credential', 'username', 'oda')->firstOrFail());
        $lacking = [];
        foreach (
            [
                'oda' => [...self::READ_BY_FEW, ...self::OPENED_BY_LEADS],
                'sela' => [],
                'ilko' => [...self::OPENED_BY_LEADS, ...self::OPENED_TO_RECORD],
            ] as $who => $closed
        ) {
            $person = Person::query()->whereRelation('credential', 'username', $who)->first();
            self::assertNotNull($person, $who);
            $reached = $this->walk($person);
            foreach (Route::getRoutes()->getRoutes() as $route) {
                $name = (string) $route->getName();
                if (
                    in_array('GET', $route->methods(), true)
                    && in_array('auth', $route->gatherMiddleware(), true)
                    && !in_array($name, [...self::NO_PAGES, ...$closed], true)
                    && !isset($reached[$name])
                ) {
                    $lacking[] = "$who: {$route->uri()}";
                }
            }
            self::assertSame([], array_intersect($closed, array_keys($reached)), 'no link leads to what is closed');
        }

        self::assertSame([], $lacking);
    }

    /** @return array<string, int> how many pages of each route were opened */
    private function walk(Person $person): array
    {
        $this->flushSession();
        $this->actingAs($person);
        $found = ['/' => true];
        $opened = [];
        for ($queue = ['/']; $queue !== [];) {
            $url = array_shift($queue);
            $name = (string) Route::getRoutes()->match(Request::create($url))->getName();
            if (($opened[$name] ?? 0) >= self::OF_EACH) {
                continue;
            }
            app()->forgetScopedInstances();
            $answer = $this->get($url);
            self::assertContains($answer->status(), [200, 302], "$url is a link on a page of {$person->name}");
            $opened[$name] = ($opened[$name] ?? 0) + 1;
            preg_match_all('/<a\b[^>]*\bhref="([^"#]+)/', (string) $answer->getContent(), $links);
            foreach ([...$links[1], ...$answer->isRedirect() ? [(string) $answer->headers->get('Location')] : []] as $link) {
                $parts = parse_url(html_entity_decode($link));
                $host = $parts['host'] ?? 'localhost';
                $to = ($parts['path'] ?? '/') . (isset($parts['query']) ? "?{$parts['query']}" : '');
                if ($host === parse_url((string) config('app.url'), PHP_URL_HOST) || !isset($parts['host'])) {
                    if (!isset($found[$to])) {
                        $found[$to] = true;
                        $queue[] = $to;
                    }
                }
            }
        }

        return $opened;
    }
}
