<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Rheacid\Actions\Batches\WarnOfDeadlines;
use Rheacid\Core\Urgency\DeadlineWarning;
use Rheacid\Models\Credential;
use Rheacid\Models\Warning;
use Rheacid\Records\LedgerCheck;
use Symfony\Component\Process\Process;

/** Deadlines are warned of while something can still be done: here, in the calendar, and by letter to who gave an address. */
final class WarningTest extends BenchTestCase
{
    public function test_a_near_deadline_is_warned_of_once_and_the_e_mail_is_queued(): void
    {
        $this->actingAs($this->people['checker']);
        $this->post('/yourself', ['email' => 'oda at works'])->assertSessionHasErrors('email');
        $this->post('/yourself', ['email' => 'oda@works.example'])->assertSessionHasNoErrors();
        $this->get('/yourself')->assertSee('oda@works.example');
        self::assertStringNotContainsString(
            'oda@works.example',
            json_encode(DB::table('ledger')->pluck('payload'), JSON_THROW_ON_ERROR),
            'an address is sealed nowhere',
        );

        self::assertSame(0, app(WarnOfDeadlines::class)(), 'over a day is left');
        $this->wait(3 * 3600);
        self::assertSame([1, 0], [app(WarnOfDeadlines::class)(), app(WarnOfDeadlines::class)()]);
        $warning = Warning::query()->sole();
        self::assertSame(
            [$this->batch()->id, 'Acid within a week', DeadlineWarning::Soon, null],
            [
                $warning->batch_id,
                $warning->limit_name,
                $warning->warning,
                $warning->person_id === $this->people['checker']->id ? 'a person' : null,
            ],
        );
        self::assertStringStartsWith('pH ≤ 4.6 by ', $warning->words);
        self::assertNull(LedgerCheck::run()['difference']);
        self::assertSame(1, DB::table('jobs')->count());

        $this->assertLetterArrives('To: oda@works.example', 'CS-0417');
        self::assertSame(0, DB::table('jobs')->count());
    }

    public function test_a_person_without_an_address_or_disabled_gets_no_e_mail(): void
    {
        Mail::fake();
        Credential::query()
            ->whereKey($this->people['lead']->id)
            ->update(['email' => 'sela@works.example']);
        DB::connection('owner')
            ->table('appointments')
            ->where('person_id', $this->people['lead']->id)
            ->update(['enabled' => false]);

        $this->wait(3 * 3600);
        self::assertSame(1, app(WarnOfDeadlines::class)());
        Mail::assertNothingQueued();
    }

    public function test_the_calendar_warns_a_quarter_of_the_time_before_and_at_a_day_at_most(): void
    {
        $calendar = (string) $this->actingAs($this->people['checker'])->get('/today/due.ics')->getContent();

        self::assertMatchesRegularExpression('/SUMMARY:CS-0417: pH ≤ 4\.6 is due.*?TRIGGER:-PT1440M/s', $calendar);
        self::assertSame(
            substr_count($calendar, 'BEGIN:VALARM'),
            preg_match_all('/^SUMMARY:.* is due/m', $calendar),
            'and of nothing else',
        );
    }

    private function assertLetterArrives(string ...$parts): void
    {
        $directory = sys_get_temp_dir() . '/letters-' . bin2hex(random_bytes(4));
        mkdir($directory);
        // Below the ports that outgoing connections are given, where it could not listen.
        $port = random_int(25_000, 31_000);
        $mailbox = new Process([PHP_BINARY, base_path('ops/mailbox.php'), (string) $port, $directory]);
        $mailbox->start();
        for ($i = 0; $i < 100 && @fsockopen('127.0.0.1', $port) === false; $i++) {
            usleep(50_000);
        }
        Config::set('mail.mailers.smtp.port', $port);
        Mail::purge('smtp');
        try {
            Artisan::call('queue:work', ['--stop-when-empty' => true]);
            $letters = glob("$directory/*.eml") ?: [];
            self::assertCount(1, $letters, $mailbox->getErrorOutput());
            $letter = quoted_printable_decode((string) file_get_contents($letters[0]));
            foreach ($parts as $part) {
                self::assertStringContainsString($part, $letter);
            }
        } finally {
            $mailbox->stop(0);
            array_map(unlink(...), glob("$directory/*.eml") ?: []);
            rmdir($directory);
        }
    }
}
