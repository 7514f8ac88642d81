<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rheacid\Actions\Logs\UploadLog;
use Rheacid\Models\Thermometer;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\SealedTables;

/** A thousand and more malformed sendings of every recording form: none may break the house, none may be half-recorded. */
final class HostileTest extends BenchTestCase
{
    private const ROUNDS = 60;

    public function test_no_input_gives_a_server_error_and_the_chain_stays_intact(): void
    {
        $forms = $this->forms();
        $pages = $this->pages(array_keys($forms));
        $random = new Randomizer(new Mt19937(4711));
        $this->actingAs($this->people['checker']);
        $answers = [];
        $sent = 0;

        foreach ($forms as $url => $good) {
            for ($i = 0; $i < self::ROUNDS; $i++) {
                $response = $this->from('/ready')->call('POST', $url, ...self::spoiled($good, $random));
                if ($i % 5 === 0) {
                    self::assertSame(
                        200,
                        $this->followingRedirects()->get($pages[$url])->status(),
                        "the page of $url shows what came back",
                    );
                }
                $answers[$response->status()] = ($answers[$response->status()] ?? 0) + 1;
                self::assertContains($response->status(), [302, 403, 404, 409, 413, 419, 422, 429], "$url\n" . json_encode($good));
                $sent++;
            }
        }

        self::assertGreaterThanOrEqual(1000, $sent);
        self::assertGreaterThan(500, $answers[302] ?? 0, 'most went back to their form: ' . json_encode($answers));
        self::assertNull(LedgerCheck::run()['difference']);
        self::assertSame(
            0,
            DB::table('measurements')
                ->whereNotIn('occasion_id', DB::table('decisions')->select('occasion_id'))
                ->count(),
            'a reading without its decision',
        );
        self::assertSame(
            0,
            DB::table('calibration_runs')
                ->where('state', 'completed')
                ->whereNotIn('id', DB::table('calibrations')->select('calibration_run_id'))
                ->count(),
            'a run without its calibration',
        );
        foreach (SealedTables::all() as $table) {
            self::assertLessThan(2000, DB::table($table)->count(), $table);
        }
    }

    /**
     * @param list<string> $urls
     *
     * @return array<string, string> the page on which each form stands
     */
    private function pages(array $urls): array
    {
        return array_combine(
            $urls,
            array_map(
                static fn(string $url): string => (string) preg_replace(
                    [
                        '#^(/calibrate/\d+)/runs$#',
                        '#^(/measure/\d+)/drafts$#',
                        '#^(/(?:runs|drafts|logs|pairs|cells|lots|thermometers|thermometer-checks)/\d+)/(?!check).*$#',
                        '#^/ready/(import/take|pairs)$#',
                        '#^/verify/elevation$#',
                    ],
                    ['$1', '$1', '$1', '/ready/import', '/verify'],
                    $url,
                ),
                $urls,
            ),
        );
    }

    /** @return array<string, array<string, mixed>> every recording form with what a careful person would send */
    private function forms(): array
    {
        $this->calibrate();
        $reading = $this->measure([4.45, 4.46]);
        $draft = $this->begin();
        $run = $this->openRun(electrode: 'E-05');
        $log = (new UploadLog())($this->people['checker'], IdempotencyKey::own(), 'a.csv', "0;170.0;20\n1;170.0;20", $this->pair(), null);
        $typed = ['mv' => '143.0', 'celsius' => '21.4', 'still' => '1', 'response_time_s' => '40', 'reason' => ''];

        return [
            "/calibrate/{$this->pair('E-05')->id}/runs" => [
                'lots' => ['Q-29', 'Q-31'],
                'source' => 'typed',
                'answer' => 'asked',
                'soak_reason' => '',
            ],
            "/runs/{$run->id}/points" => ['station' => '0', ...$typed],
            "/runs/{$run->id}/immersions" => ['cup' => '1', 'speed' => '10'],
            "/runs/{$run->id}/take-over" => ['reason' => 'because'],
            "/pairs/{$this->pair()->id}/check" => ['lot' => 'Q-28', 'moment' => 'start', ...$typed],
            "/pairs/{$this->pair()->id}/log" => ['log' => UploadedFile::fake()->createWithContent('a.csv', "0;170.0;20\n1;170.0;20")],
            "/logs/{$log->id}/calibration" => ['lots' => ['Q-29', 'Q-31'], 'time' => '0', 'mv' => '1', 'celsius' => '2', 'reason' => ''],
            "/measure/{$this->batch()->id}/drafts" => [
                'pair' => (string) $this->pair('E-05')->id,
                'thermometer' => (string) $this->thermometer()->id,
                'stage' => 'underway',
                'place' => 'blend',
                'drawn_at' => '2026-11-25T09:30',
                'conditions' => [],
                'source' => 'typed',
            ],
            "/drafts/{$draft->id}/replicates" => $typed,
            "/drafts/{$draft->id}/reading" => [],
            "/drafts/{$draft->id}/log" => ['log' => UploadedFile::fake()->createWithContent('a.csv', "0;170.0;20\n1;170.0;20")],
            '/ready/add/bottle' => [
                'code' => 'Q-99',
                'label' => 'pH 4.01',
                'kind' => 'buffer',
                'buffer' => 'technical-4.01',
                'comes_as' => 'bottle',
                'expires_on' => '2027-01-01',
                'opened_on' => '',
                'volume_ml' => '250',
                'standard_value' => '',
                'reference' => '',
                'expanded_u_ph' => '0.02',
                'table' => '',
            ],
            '/ready/import/take' => ['shelf' => "what,code,name,kind,first_used_on\nelectrode,E-40,Electrode E-40,sealed gel,2026-11-01"],
            '/ready/pairs' => ['electrode' => 'E-07', 'meter' => 'M-B', 'channel' => 'third', 'policy' => 'process'],
            "/pairs/{$this->pair('E-05')->id}/care" => ['act' => 'soak fast', 'note' => '', 'good' => ['bulb']],
            "/lots/{$this->lot('Q-36')->id}/events" => ['kind' => 'dipped', 'volume_ml' => '', 'water' => '', 'note' => ''],
            "/cells/{$this->pair('X-01')->id}/immersions" => ['cup' => '1', 'speed' => '10'],
            "/cells/{$this->pair('L-01')->id}" => ['lot' => 'C-02', 'reading' => '1280', 'celsius' => '20', 'still' => '1', 'reason' => ''],
            "/verify/{$this->thermometer()->id}" => [
                'method' => 'ice',
                'readings' => ['0.1', '0.1', '0.1'],
                'unit' => 'C',
                'source' => 'typed',
                'bath' => ['crushed'],
            ],
            '/verify/' . Thermometer::query()->where('code', 'T-08')->sole()->id => [
                'method' => 'boiling',
                'readings' => ['98.6', '98.6', '98.6'],
                'pressure' => '1013 hPa',
                'reduced' => '',
                'elevation' => '100',
            ],
            "/thermometer-checks/{$this->thermometer()->newestVerification?->id}/outcome" => ['outcome' => 'use', 'note' => ''],
            "/thermometers/{$this->thermometer()->id}/service" => [
                'place' => 'bench',
                'tolerance_c' => '0.5',
                'unit' => 'C',
                'use_low_c' => '0',
                'use_high_c' => '25',
                'immersion_mm' => '50',
                'interval_days' => '30',
                'stresses' => ['sticky'],
            ],
            '/verify/elevation' => ['elevation' => '350 m'],
            "/readings/{$reading->id}/correction" => [
                'stage' => 'underway',
                'place' => 'blend',
                'drawn_at' => '2026-11-25T09:30',
                'signal' => ['1' => '143', '2' => '142'],
                'celsius' => ['1' => '21', '2' => '21'],
                'reason' => 'a slip',
            ],
        ];
    }

    /**
     * One to three fields of a good form replaced, dropped or added; sometimes without its number.
     *
     * @param array<string, mixed> $form
     *
     * @return array{array<string, mixed>, array<string, string>, array<string, UploadedFile>} parameters, cookies, files
     */
    private static function spoiled(array $form, Randomizer $random): array
    {
        $values = [
            '',
            ' ',
            '0',
            '-1',
            '999999999999999999999',
            '1e999',
            'NaN',
            '4,5,6',
            "4.5\0",
            str_repeat('9', 5000),
            str_repeat('ä', 3000),
            "\xC3\x28",
            "\xFF\xFE",
            '=cmd()',
            "' OR 1=1 --",
            '<script>alert(1)</script>',
            '../../etc/passwd',
            [],
            [[]],
            ['a' => ['b' => 'c']],
            [1, 2, 3],
            null,
            true,
            false,
            4.5,
            -1,
            PHP_INT_MAX,
            '２１',
            '21 ℃',
            '2026-02-30T25:61',
            "line\nbreak",
            '%00',
            '{{7*7}}',
        ];
        $form['form'] = self::formId();
        for ($i = $random->getInt(1, 3); $i > 0; $i--) {
            $keys = array_keys($form);
            $key = $random->getInt(0, 9) === 0 ? 'extra' . $i : (string) ($keys[$random->getInt(0, max(0, count($keys) - 1))] ?? 'extra');
            if ($random->getInt(0, 5) === 0) {
                unset($form[$key]);
            } else {
                $form[$key] = $values[$random->getInt(0, count($values) - 1)];
            }
        }
        $files = array_filter($form, static fn(mixed $value): bool => $value instanceof UploadedFile);
        if (array_key_exists('log', $form) && $random->getInt(0, 1) === 0) {
            $files['log'] = UploadedFile::fake()->createWithContent('a.csv', $random->getBytes($random->getInt(1, 400)));
        }

        return [array_diff_key($form, $files), [], $files];
    }
}
