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

    return [$chromium, $person, static function (string $name) use ($chromium, $person, $folder): void {
        $person->leavesFields();
        usleep(700_000);
        $chromium->picture("$folder/$name.png");
        echo "$name.png\n";
    }];
};
if (($argv[5] ?? '') === 'empty') {
    // The first page of an installation that nobody has founded.
    $chromium = Chromium::open(1280, 800, false);
    $somebody = (new Person($chromium, $address))->opens('/sign-in')->sees('A place of your own')->fills('Its name', 'Quillmere Pantry Works')->fills('Time zone', 'Europe/Dublin')->fills('Elevation', '142 m');
    usleep(700_000);
    $chromium->picture("$folder/set-up.png");
    echo "set-up.png\n";
    $chromium->close();
    exit;
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
$oda->opens('/pairs/2')->sees('Order the next one by');
$picture('electrode');
$oda->opens('/calibrate/1')->sees('read back in');
$oda->taps('Begin')->sees('Waiting.')->taps('pH 7.00 · Q-27')->sees('of 30 still');
$wait(47);
$oda->opens('/')->taps('Go on')->sees('of 30 still');
$picture('calibrate-settling');
$wait(40);
$accept($oda)->sees('4.01 now')->taps('pH 10.01 · Q-35')->sees('of 30 still');
$wait(90);
$accept($oda)->sees('This reads like');
$oda->taps('pH 4.01 · Q-28')->sees('of 30 still');
$wait(90);
$accept($oda)->sees('Accept read-back')->taps('pH 4.01 reference · R-07')->sees('of 30 still');
$wait(90);
$accept($oda)->sees('Usable until');
$picture('calibrate-verdict');
$oda->opens('/verify/3')->taps('ice crushed, to the bottom')->taps('clean water')->taps('deep at least')->taps('25 mm clear')->taps('slush of crushed ice')->sees('These readings come from the simulated bath');
$picture('verify-bath');
$oda->taps('Judge these readings')->sees('Within tolerance');
$oda->opens('/verify/3')->taps('slush of crushed ice')->sees('These readings come from the simulated bath')->taps('all as drawn')->taps('Judge these readings')->sees('Use with');
$oda->opens('/measure/2')->taps('Begin measuring')->sees('Portion 1')->taps('sample of CS-0417')->sees('of 60 still');
$wait(152);
$accept($oda)->sees('Portion 2')->taps('sample of CS-0417')->sees('of 60 still');
$wait(100);
$accept($oda)->sees('not needed: they agree');
$picture('measure-decision');
$oda->presses(WebDriverKeys::ENTER)->sees('Recorded on CS-0417');
$oda->opens('/pairs/1/check')->chooses('lot', 'R-08')->taps('pH 6.86 reference · R-08')->sees('of 30 still')->chooses('lot', 'R-08');
$wait(90);
$accept($oda)->sees('vouches for this calibration');
$oda->opens('/rounds/1')->sees('Round');
foreach ([['152,4', '152,1'], ['84,0', '84,3']] as $numbers) {
    foreach ([...$numbers, '21,4'] as $number) {
        $oda->types($number)->presses(WebDriverKeys::ENTER);
    }
    usleep(900_000);
}
$picture('round');
$kraut = $batch($oda, 'KR-0007');
$oda->opens("/measure/$kraut")->chooses('place', 'brine')->taps('typed: what a real meter shows')->taps('Begin measuring');
foreach ([1, 2] as $portion) {
    $oda->sees("Portion $portion")->fills('Potential', $portion === 1 ? '98,4' : '97,9')->fills('Temperature', '21,4')->taps('it stood still')->taps("Accept portion $portion");
}
$oda->sees('not needed')->taps('Record on KR-0007')->sees('Now solids')->opens("/batches/$kraut")->sees('A sample waits.');
$picture('batch');
$oda->taps('Now solids')->taps('typed: what a real meter shows')->taps('Begin measuring');
foreach ([1, 2] as $portion) {
    $oda->sees("Portion $portion")->fills('Potential', $portion === 1 ? '76,2' : '76,0')->fills('Temperature', '21,4')->taps('it stood still')->taps("Accept portion $portion");
}
$oda->sees('not needed');
$reading($oda, 'CS-0409')->sees('not proven');
$picture('reading-not-proven');
$oda->opens("/batches/{$batch($oda, 'HC-0004')}/temperatures")->sees('Running, day');
$picture('cure');
$oda->opens('/products/1')->sees('Limits');
$picture('product');
$oda->opens('/batches')->sees('SA-0031');
$picture('batches');
$oda->opens('/find?q=S-01')->sees('Not standardised yet')->fills('Potassium hydrogen phthalate, g, and mL taken', "0,5106; 25,00\n0,5104; 25,00\n0,5105; 25,00")->taps('Keep its strength')->sees('0.1000 N');
$wine = new AcidSolution(['tartaric' => 0.018, 'malic' => 0.01, 'citric' => 0.006], 0.014);
$curve = [];
for ($ml = 0.0; $ml < 7.0; $ml = round($ml + ($ml >= 5 ? 0.05 : 0.5), 2)) {
    $curve[] = sprintf('%.2f; %.2f', $ml, $wine->titrated(10.0, $ml, 0.1));
}
$oda->opens("/measure/{$batch($oda, 'WW-0012')}/titration")->chooses('endpoint', '7.0');
foreach ([0, 1] as $portion) {
    $oda->browser->executeScript('document.querySelector(arguments[0]).value = arguments[1]; document.querySelector(arguments[2]).value = "10"', ["[name=\"portions[$portion][curve]\"]", implode("\n", $curve), "[name=\"portions[$portion][sample]\"]"]);
}
$oda->taps('Record it')->sees('Recorded on WW-0012.');
$oda->browser->executeScript("document.querySelector('figure.wide').scrollIntoView({block: 'center'})");
$picture('titration');
$oda->taps('Sign out')->sees('Come in by a code');
$oda->signsIn('sela', $passphrase)->opens('/people')->fills('Name', 'Runa Thistle')->fills('Signs in as', 'runa')->taps('Invite ')->sees('is the code for Runa Thistle');
$picture('people');
$oda->opens("/batches/{$batch($oda, 'CS-0398')}")->sees('Found after the release.')->taps('What to do')->sees('a lead recalls it, or lets it stand');
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
