<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Rheacid\Core\Limits\Stage;
use Rheacid\Models\Person;

/** The two weeks before now at the demo's bench: every calibration and reading goes through the application's own actions. */
final readonly class Past
{
    /** Batch, days ago, time, stage, true pH: chosen so that one batch is on its way, one young and healthy, one not proven. */
    private const READINGS = [
        ['HC-0004', 11, '09:50', Stage::Underway, 5.22],
        ['CS-0398', 11, '10:15', Stage::Finished, 3.94],
        ['CS-0398', 9, '09:50', Stage::Finished, 3.93],
        ['CS-0409', 13, '09:40', Stage::Start, 5.82],
        ['CS-0409', 11, '09:30', Stage::Underway, 5.31],
        ['CS-0409', 9, '09:35', Stage::Underway, 4.98],
        ['CS-0409', 7, '09:50', Stage::Underway, 4.72],
        ['CS-0417', 6, '12:05', Stage::Start, 5.71],
        ['CS-0417', 5, '09:35', Stage::Underway, 5.32],
        ['CS-0409', 5, '10:10', Stage::Equilibrium, 4.55],
        ['CS-0417', 4, '09:30', Stage::Underway, 5.0],
        ['CS-0417', 3, '09:45', Stage::Underway, 4.82],
        ['CS-0421', 2, '10:30', Stage::Start, 5.76],
        ['CS-0417', 2, '09:40', Stage::Underway, 4.71],
        ['CS-0421', 1, '10:00', Stage::Underway, 5.22],
        ['CS-0417', 1, '16:10', Stage::Underway, 4.62],
        ['WW-0012', 1, '17:45', Stage::Start, 3.31],
        ['KR-0007', 1, '18:00', Stage::Start, 5.86],
        ['SA-0031', 1, '18:30', Stage::Start, 5.71],
        ['YO-0019', 1, '19:00', Stage::Start, 6.48],
    ];

    /** Further checks with the independent buffer, near what was read later in the day. */
    private const CHECKS = [[6, '11:50'], [1, '15:56'], [1, '17:30']];

    /** From the library, as they are. */
    private const PRODUCTS = ['fermented-sausage', 'vegetable-ferment', 'white-wine', 'cider', 'hard-cheese', 'yogurt'];

    /** What the cups hold now. */
    private const NOW = ['CS-0409' => 4.46, 'CS-0417' => 4.46, 'CS-0421' => 5.02];

    public function __construct(private Work $work) {}

    /** Days before now on which E-07 was calibrated in the morning; newer bottles from the fifth on. */
    private const MORNINGS = [13, 11, 9, 7, 6, 5, 4, 3, 2, 1];

    /**
     * @param array{checker: Person, second: Person, lead: Person, auditor: Person} $people
     *
     * @return list<array{CarbonImmutable, callable(): void}> what happened, and when
     */
    public function events(array $people, CarbonImmutable $now): array
    {
        $by = static fn(int $daysAgo): Person => $daysAgo % 4 === 3 ? $people['second'] : $people['checker'];
        $events = [];
        foreach (self::MORNINGS as $daysAgo) {
            $at = Scenario::day($now, $daysAgo, '08:20');
            $events[] = [
                $at,
                fn() => $this->work->calibrate($by($daysAgo), 'E-07', $daysAgo > 5 ? ['Q-27', 'Q-28'] : ['Q-29', 'Q-31'], $at),
            ];
            $check = Scenario::day($now, $daysAgo, '08:45');
            $events[] = [$check, fn() => $this->work->check($by($daysAgo), 'E-07', 'R-07', $check)];
        }
        foreach (
            [
                ['E-05', ['Q-29', 'Q-31'], '11:40'],
                ['E-09', ['Q-29', 'Q-31'], '13:20'],
                ['E-07', ['Q-36', 'Q-31'], '15:40'],
            ] as [$electrode, $codes, $time]
        ) {
            $at = Scenario::day($now, 1, $time);
            $events[] = [$at, fn() => $this->work->calibrate($by(1), $electrode, $codes, $at)];
        }
        foreach (self::CHECKS as [$daysAgo, $time]) {
            $at = Scenario::day($now, $daysAgo, $time);
            $events[] = [$at, fn() => $this->work->check($by($daysAgo), 'E-07', 'R-07', $at)];
        }
        $near = Scenario::day($now, 1, '17:36');
        $events[] = [$near, fn() => $this->work->check($by(1), 'E-09', 'R-07', $near)];
        foreach (self::READINGS as [$batch, $daysAgo, $time, $stage, $ph]) {
            $at = Scenario::day($now, $daysAgo, $time);
            $events[] = [$at, fn() => $this->work->measure($by($daysAgo), $batch, $stage, $ph, $at)];
        }
        $events[] = [
            Scenario::day($now, 20, '14:10'),
            fn() => $this->work->cell($people['checker'], 'L-01', 'C-02', 1262.0, 20.4, Scenario::day($now, 20, '14:10')),
        ];
        foreach (self::PRODUCTS as $product) {
            $at = Scenario::day($now, 13, '15:00');
            $events[] = [$at, fn() => $this->work->take($people['lead'], $product, $at)];
        }
        $salted = Scenario::day($now, 4, '11:00');
        $events[] = [$salted, fn() => $this->work->add($people['checker'], 'CS-0417', 'brine, 5 %', 3.0, 'L', $salted)];
        $hung = Scenario::day($now, 1, '17:00');
        $events[] = [
            $hung,
            fn() => $this->work->start(
                $people['second'],
                'fermented-sausage',
                'SA-0031',
                'room 1',
                '40 kg',
                $hung,
                'stuffed',
                'Fermented, then kept cold',
            ),
        ];
        $pressed = Scenario::day($now, 1, '17:20');
        $events[] = [$pressed, fn() => $this->work->start($people['second'], 'white-wine', 'WW-0012', 'tank 3', '600 L', $pressed)];
        $asked = $now->subMinutes(70);
        $events[] = [$asked, fn() => $this->work->setOut($people['second'], 'E-07', ['CS-0417', 'CS-0421', 'WW-0012'], $asked)];
        $shredded = Scenario::day($now, 1, '17:40');
        $events[] = [
            $shredded,
            fn() => $this->work->start($people['second'], 'vegetable-ferment', 'KR-0007', 'crock 2', '60 kg', $shredded, null, 'Soured'),
        ];
        // One that was released, and whose last reading turned out to have been written down wrong.
        $filled = Scenario::day($now, 13, '15:20');
        $events[] = [$filled, fn() => $this->work->start($people['second'], 'chilli-sauce-red', 'CS-0398', 'vat 4', '120 kg', $filled)];
        $told = $filled->addMinutes(5);
        $events[] = [$told, fn() => $this->work->answer($people['second'], 'CS-0398', false, $told)];
        $out = Scenario::day($now, 9, '13:00');
        $events[] = [$out, fn() => $this->work->release($people['lead'], 'CS-0398', $out)];
        $found = $now->subMinutes(100);
        $events[] = [
            $found,
            fn() => $this->work->correct($people['lead'], 'CS-0398', 4.71, 'The bench book has 4.71; the line above was copied.', $found),
        ];
        // A cider that was released, and recalled for another reason than its pH.
        foreach (
            [
                [12, '15:30', fn(CarbonImmutable $at) => $this->work->start($people['second'], 'cider', 'CI-0007', 'tank 1', '400 L', $at)],
                [12, '15:40', fn(CarbonImmutable $at) => $this->work->answer($people['second'], 'CI-0007', false, $at)],
                [
                    8,
                    '14:00',
                    fn(CarbonImmutable $at) => $this->work->release(
                        $people['lead'],
                        'CI-0007',
                        $at,
                        'Fermented dry, tasted and cleared by the cellar.',
                    ),
                ],
                [
                    2,
                    '15:00',
                    fn(CarbonImmutable $at) => $this->work->recall(
                        $people['lead'],
                        'CI-0007',
                        'Two bottles burst: sugar was left in it.',
                        'The two shops that sell it, by telephone.',
                        $at,
                    ),
                ],
            ] as [$daysAgo, $time, $happen]
        ) {
            $at = Scenario::day($now, $daysAgo, $time);
            $events[] = [$at, static fn() => $happen($at)];
        }
        $strength = Scenario::day($now, 2, '11:00');
        $events[] = [
            $strength,
            fn() => $this->work->standardise($people['checker'], 'S-01', [[0.5106, 25.0], [0.5104, 25.0], [0.5105, 25.0]], $strength),
        ];
        $titrated = Scenario::day($now, 1, '19:20');
        $events[] = [
            $titrated,
            fn() => $this->work->titrate($people['checker'], 'WW-0012', 'middle of the vessel', 10.0, [8.75, 8.8], $titrated),
        ];
        // A cure under way, and milk of which nobody has said yet when it was pitched.
        $made = Scenario::day($now, 12, '16:00');
        $events[] = [
            $made,
            fn() => $this->work->start(
                $people['second'],
                'hard-cheese',
                'HC-0004',
                'cave',
                '12 wheels',
                $made,
                'pitched',
                'Raw milk, where the law allows it, with its cure',
            ),
        ];
        $questioned = $made->addMinutes(20);
        $events[] = [$questioned, fn() => $this->work->answer($people['second'], 'HC-0004', false, $questioned)];
        $cured = $now->subMinutes(50);
        $events[] = [$cured, fn() => $this->work->log($people['second'], 'HC-0004', 11.5, $cured, 'coldest', 360)];
        $heated = Scenario::day($now, 1, '18:20');
        $events[] = [
            $heated,
            fn() => $this->work->start(
                $people['second'],
                'yogurt',
                'YO-0019',
                'vat 5',
                '80 L',
                $heated,
                null,
                'Milk pasteurised in a vat, 63 °C for 30 min',
            ),
        ];
        $logged = $now->subMinutes(55);
        $events[] = [$logged, fn() => $this->work->log($people['second'], 'SA-0031', 23.0, $logged)];
        $events[] = [
            Scenario::day($now, 0, '00:01'),
            function (): void {
                foreach (self::NOW as $code => $ph) {
                    $this->work->fill($code, $ph);
                }
            },
        ];

        return $events;
    }
}
