<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Rheacid\Actions\Site\FoundSite;
use Rheacid\Actions\Site\TakeOn;
use Rheacid\Board\Board;
use Rheacid\Core\Access\Role;
use Rheacid\Core\Care\CareKind;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Electrode;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Site\SiteClock;

/**
 * Quillmere Pantry Works: an invented cooperative with invented people, relative to now and the same each time. Its past is
 * worked through by the application's own actions at the simulated bench, so that every record is a real one.
 */
final readonly class Scenario
{
    public function __construct(
        private Past $past,
        private Year $year,
        private Work $work,
        private FoundSite $found,
        private TakeOn $takeOn,
    ) {}

    public function load(string $passphrase): void
    {
        $held = CarbonImmutable::getTestNow();
        $now = CarbonImmutable::now();
        try {
            DB::transaction(function () use ($passphrase, $now): void {
                // The shelf was set up before the first thing that happened at it: records never go back in time.
                CarbonImmutable::setTestNow($now->subDays(371));
                $people = $this->furnish($passphrase, $now);
                $events = [
                    ...$this->year->events($people, $now),
                    ...$this->past->events($people, $now),
                    [
                        $now->subMinutes(48),
                        static function () use ($people, $now): void {
                            CarbonImmutable::setTestNow($now->subMinutes(48));
                            self::soak($people['lead'], $now);
                        },
                    ],
                ];
                usort($events, static fn(array $a, array $b): int => $a[0] <=> $b[0]);
                foreach ($events as [, $happen]) {
                    $happen();
                }
                foreach (Shelf::TRUE_NOW as $electrode => [$share, $offset]) {
                    $this->work->wear($electrode, $share, $offset);
                }
            });
            CarbonImmutable::setTestNow($now);
            Board::catchUp();
        } finally {
            CarbonImmutable::setTestNow($held);
        }
    }

    /**
     * People, shelf and batches, before anything was measured.
     *
     * @return array{checker: Person, second: Person, lead: Person, auditor: Person}
     */
    public function furnish(string $passphrase, CarbonImmutable $now): array
    {
        $people = $this->people($passphrase);
        Recording::once($people['lead'], IdempotencyKey::own(), 'set up the shelf', Person::class, static function (Entry $entry) use (
            $people,
            $now,
        ): Person {
            Shelf::stock($entry, $now);

            return $people['lead'];
        });

        return $people;
    }

    /** One electrode lies in its storage solution, and comes out an hour from now. */
    public static function soak(Person $by, CarbonImmutable $now): void
    {
        Recording::once($by, IdempotencyKey::own(), 'log care', CareEvent::class, static function (Entry $entry) use (
            $by,
            $now,
        ): CareEvent {
            $electrode = Electrode::query()->where('code', 'E-09')->firstOrFail();

            return $entry->add(
                new CareEvent([
                    'electrode_id' => $electrode->id,
                    'kind' => CareKind::Soak,
                    'at' => $now->subMinutes(48),
                    'until_at' => $now->addMinutes(72),
                    'note' => 're-hydration, 2 h in storage solution',
                    'person_id' => $by->id,
                ]),
            );
        });
    }

    /** @return array{checker: Person, second: Person, lead: Person, auditor: Person} */
    private function people(string $passphrase): array
    {
        $site = ($this->found)('Quillmere Pantry Works', true, 'Europe/Dublin');
        $hash = Hash::make($passphrase);
        $pin = config('rheacid.demo_pin');
        $pin = is_string($pin) && $pin !== '' ? Hash::make($pin) : null;
        $make = fn(string $username, string $name, Role $role): Person => ($this->takeOn)(
            $site->person,
            IdempotencyKey::own(),
            $username,
            $name,
            $role,
            $hash,
            $pin,
            true,
        );

        return [
            'checker' => $make('oda', 'Oda Venn', Role::Checker),
            'second' => $make('perrin', 'Perrin Quillby', Role::Checker),
            'lead' => $make('sela', 'Sela Thornmere', Role::Lead),
            'auditor' => $make('ilko', 'Ilko Brandle', Role::Auditor),
        ];
    }

    /** So many days before now, at a time on the plant's clock. */
    public static function day(CarbonImmutable $now, int $daysAgo, string $time): CarbonImmutable
    {
        return SiteClock::local($now)->subDays($daysAgo)->setTimeFromTimeString($time)->utc();
    }
}
