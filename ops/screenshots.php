<?php

declare(strict_types=1);

// Walks through the main views of the demo and takes their pictures. The clock is a file, moved by hand, so that every
// trace stands at the same second each time. Called by bin/screenshots.

use Facebook\WebDriver\WebDriverKeys;
use Rheacid\Core\Simulation\AcidSolution;
use Tests\Browser\Chromium;
use Tests\Browser\Person;

require dirname(__DIR__) . '/vendor/autoload.php';

[, $address, $passphrase, $clockFile, $folder] = $argv;

$wait = static function (int $seconds) use ($clockFile): void {
    $now = new DateTimeImmutable(trim((string) file_get_contents($clockFile)));
    file_put_contents($clockFile, $now->modify("+$seconds seconds")->format('Y-m-d\TH:i:s\Z'));
};
$open = static function (int $width, int $height, bool $dark) use ($address, $passphrase, $folder): array {
    $chromium = Chromium::open($width, $height, $dark);
    $person = (new Person($chromium, $address))->signsIn('oda', $passphrase);

    return [
        $chromium,
        $person,
        static function (string $name) use ($chromium, $person, $folder): void {
            $person->leavesFields();
            usleep(700_000);
            $chromium->picture("$folder/$name.png");
            echo "$name.png\n";
        },
    ];
};
if (($argv[5] ?? '') === 'empty') {
    // The first page of an installation that nobody has founded.
    $chromium = Chromium::open(1280, 800, false);
    $somebody = (new Person($chromium, $address))
        ->opens('/sign-in')
        ->sees('Set up your site')
        ->fills('Site name', 'Quillmere Pantry Works')
        ->fills('Time zone', 'Europe/Dublin')
        ->fills('Elevation', '142 m');
    usleep(700_000);
    $chromium->picture("$folder/set-up.png");
    echo "set-up.png\n";
    $chromium->close();
    exit();
}
/** Its number, by its code. */
$batch = static function (Person $person, string $code): int {
    $person->opens("/find?q=$code")->sees("Batch $code");

    return (int) basename((string) parse_url($person->browser->getCurrentURL(), PHP_URL_PATH));
};
/** Opens the newest reading of a batch. */
$reading = static function (Person $person, string $code) use ($batch): Person {
    $batch($person, $code);
    $person->browser->get((string) $person->browser->executeScript('return document.querySelector("a[href*=\'/readings/\']").href'));

    return $person;
};
$accept = static fn(Person $person): Person => $person->seesAcceptAwake()->leavesFields()->presses(WebDriverKeys::ENTER);

[$chromium, $oda, $picture] = $open(1280, 800, false);
$picture('today');
$oda->opens('/ready')->sees('Bottles');
$picture('ready');
$oda->opens('/calibrate/1')->sees('read back in');
$oda->taps('Start anyway')->sees('Waiting for the electrode.')->taps('pH 7.00 · Q-27')->sees('of 30 s');
$wait(47);
$oda->opens('/')->taps('Continue')->sees('of 30 s');
$picture('calibrate-settling');
$wait(40);
$accept($oda)->sees('4.01 now')->taps('pH 10.01 · Q-35')->sees('of 30 s');
$wait(90);
$accept($oda)->sees('This reads like');
$oda->taps('pH 4.01 · Q-28')->sees('of 30 s');
$wait(90);
$accept($oda)->sees('Accept read-back')->taps('pH 4.01 reference · R-07')->sees('of 30 s');
$wait(90);
$accept($oda)->sees('Usable until');
$picture('calibrate-verdict');
$oda->opens('/verify/3')
    ->taps('ice crushed, to the bottom')
    ->taps('clean water')
    ->taps('deep at least')
    ->taps('25 mm from wall')
    ->taps('slush of crushed ice')
    ->sees('These readings come from the simulated bath');
$picture('verify-bath');
$oda->taps('Record check')->sees('Within tolerance');
$oda->opens('/verify/3')
    ->taps('slush of crushed ice')
    ->sees('These readings come from the simulated bath')
    ->taps('everything as drawn')
    ->taps('Record check')
    ->sees('Use with');
$oda->opens('/measure/2')->sees('Start measuring');
$picture('begin-measuring');
$oda->taps('Start measuring')->sees('Portion 1')->taps('sample of CS-0417')->sees('of 60 s');
$wait(152);
$accept($oda)->sees('Portion 2')->taps('sample of CS-0417')->sees('of 60 s');
$wait(100);
$accept($oda)->sees('Not needed: the portions agree');
$picture('measure-decision');
$oda->presses(WebDriverKeys::ENTER)->sees('Recorded on CS-0417');
$oda->opens('/pairs/1/check')->chooses('lot', 'R-08')->taps('pH 6.86 reference · R-08')->sees('of 30 s')->chooses('lot', 'R-08');
$wait(90);
$accept($oda)->sees('confirms this calibration');
$oda->opens('/rounds/1')->sees('Round');
foreach ([['211,8', '212,0'], ['143,1', '142,8']] as $numbers) {
    foreach ([...$numbers, '21,4'] as $number) {
        $oda->types($number)->lets(61);
        usleep(400_000);
        $oda->presses(WebDriverKeys::ENTER);
    }
    usleep(900_000);
}
$picture('round');
$kraut = $batch($oda, 'KR-0007');
$oda->opens("/measure/$kraut")
    ->chooses('place', 'brine')
    ->taps('typed from a real meter')
    ->taps('Start measuring');
foreach ([1, 2] as $portion) {
    $oda->sees("Portion $portion")
        ->fills('Potential', $portion === 1 ? '98,4' : '97,9')
        ->fills('Temperature', '21,4')
        ->taps('was stable')
        ->taps("Accept portion $portion");
}
$oda->sees('Not needed')
    ->taps('Record reading on KR-0007')
    ->sees('Measure solids')
    ->opens("/batches/$kraut")
    ->sees('sample is not complete');
$picture('batch');
$oda->taps('Measure solids')->taps('typed from a real meter')->taps('Start measuring');
foreach ([1, 2] as $portion) {
    $oda->sees("Portion $portion")
        ->fills('Potential', $portion === 1 ? '76,2' : '76,0')
        ->fills('Temperature', '21,4')
        ->taps('was stable')
        ->taps("Accept portion $portion");
}
$oda->sees('Not needed');
$reading($oda, 'CS-0409')->sees('not proven');
$picture('reading-not-proven');
$oda->opens('/products/1')->sees('Limits');
$picture('product');
$oda->opens('/batches')->sees('SA-0031');
$picture('batches');
$oda->leavesFields()->presses('/')->types('chili');
sleep(2);
$chromium->picture("$folder/search.png");
echo "search.png\n";
$oda->opens('/site')->sees('Accepted outside sources');
$picture('site');
$wine = new AcidSolution(['tartaric' => 0.018, 'malic' => 0.01, 'citric' => 0.006], 0.014);
$curve = [];
for ($ml = 0.0; $ml < 7.0; $ml = round($ml + ($ml >= 5 ? 0.05 : 0.5), 2)) {
    $curve[] = sprintf('%.2f; %.2f', $ml, $wine->titrated(10.0, $ml, 0.1));
}
$oda->opens("/measure/{$batch($oda, 'WW-0012')}/titration")
    ->chooses('endpoint', '7.0')
    ->fills('Sample, °C', '20,8');
foreach ([0, 1] as $portion) {
    $oda->browser->executeScript(
        'const area = document.querySelector(arguments[0]); area.value = arguments[1]; area.dispatchEvent(new Event("input", { bubbles: '
            . 'true })); document.querySelector(arguments[2]).value = "10"',
        ["[name=\"portions[$portion][curve]\"]", implode("\n", $curve), "[name=\"portions[$portion][sample]\"]"],
    );
}
$oda->sees('Endpoint: ');
$oda->browser->executeScript("document.querySelector('.titre').scrollIntoView({block: 'start'})");
$picture('titration');
$oda->taps('Record titration')->sees('Recorded on WW-0012.');
$oda->taps('Sign out')->sees('I have an invitation code');
$oda->signsIn('sela', $passphrase)
    ->opens("/batches/{$batch($oda, 'CS-0398')}")
    ->sees('Found after release.')
    ->taps('Open deviation')
    ->sees('A lead recalls it or lets it stand');
$picture('deviation');
$chromium->close();

[$chromium, $oda, $picture] = $open(1280, 800, true);
$reading($oda, 'CS-0421')->sees('Critical limit met');
$picture('dark-reading');
$chromium->close();

[$chromium, $oda, $picture] = $open(390, 844, false);
$reading($oda, 'CS-0421')->sees('Critical limit met');
$picture('telephone-reading');
$chromium->close();
