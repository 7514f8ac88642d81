<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;
use Rheacid\Http\Controllers\Batches\BatchController;
use Rheacid\Http\Controllers\Batches\BatchLifeController;
use Rheacid\Http\Controllers\Batches\CourseController;
use Rheacid\Http\Controllers\Batches\DeviationController;
use Rheacid\Http\Controllers\Calibrate\CalibrateController;
use Rheacid\Http\Controllers\Calibrate\CalibrationController;
use Rheacid\Http\Controllers\Calibrate\CalibrationRunController;
use Rheacid\Http\Controllers\Calibrate\CellController;
use Rheacid\Http\Controllers\Calibrate\CertificateController;
use Rheacid\Http\Controllers\Calibrate\ControlCheckController;
use Rheacid\Http\Controllers\Calibrate\LogController;
use Rheacid\Http\Controllers\Measure\CorrectionController;
use Rheacid\Http\Controllers\Measure\LateController;
use Rheacid\Http\Controllers\Measure\MeasureController;
use Rheacid\Http\Controllers\Measure\MeasurementController;
use Rheacid\Http\Controllers\Measure\MeasurementDraftController;
use Rheacid\Http\Controllers\Measure\OtherController;
use Rheacid\Http\Controllers\Measure\RepeatabilityController;
use Rheacid\Http\Controllers\Measure\RoundController;
use Rheacid\Http\Controllers\Measure\SourceController;
use Rheacid\Http\Controllers\Measure\TitrationController;
use Rheacid\Http\Controllers\Practice\BenchController;
use Rheacid\Http\Controllers\Products\MethodController;
use Rheacid\Http\Controllers\Products\ProductController;
use Rheacid\Http\Controllers\Products\ProductImportController;
use Rheacid\Http\Controllers\Ready\AddController;
use Rheacid\Http\Controllers\Ready\BottleController;
use Rheacid\Http\Controllers\Ready\CareController;
use Rheacid\Http\Controllers\Ready\CodeController;
use Rheacid\Http\Controllers\Ready\LabelController;
use Rheacid\Http\Controllers\Ready\PairingController;
use Rheacid\Http\Controllers\Ready\PolicyController;
use Rheacid\Http\Controllers\Ready\ShelfController;
use Rheacid\Http\Controllers\Ready\ShelfImportController;
use Rheacid\Http\Controllers\Site\AccessController;
use Rheacid\Http\Controllers\Site\BackupController;
use Rheacid\Http\Controllers\Site\HandsController;
use Rheacid\Http\Controllers\Site\PeopleController;
use Rheacid\Http\Controllers\Site\SecretsController;
use Rheacid\Http\Controllers\Site\SettingsController;
use Rheacid\Http\Controllers\Site\SetUpController;
use Rheacid\Http\Controllers\Site\SignInController;
use Rheacid\Http\Controllers\Site\SiteController;
use Rheacid\Http\Controllers\Site\SystemController;
use Rheacid\Http\Controllers\Site\UpController;
use Rheacid\Http\Controllers\Site\YourselfController;
use Rheacid\Http\Controllers\Today\CalculatorController;
use Rheacid\Http\Controllers\Today\FindController;
use Rheacid\Http\Controllers\Today\TodayController;
use Rheacid\Http\Controllers\Verify\TemperatureReferenceController;
use Rheacid\Http\Controllers\Verify\ThermometerServiceController;
use Rheacid\Http\Controllers\Verify\VerificationController;
use Rheacid\Http\Controllers\Verify\VerifyController;
use Rheacid\Http\Middleware\AsksForBetterSecret;
use Rheacid\Http\Middleware\BoundsUploads;
use Rheacid\Http\Middleware\Confirms;
use Rheacid\Http\Middleware\SignsOutIdle;

Route::pattern('person', '[0-9]{1,18}');
Route::pattern('pair', '[0-9]{1,18}');
Route::pattern('run', '[0-9]{1,18}');
Route::pattern('calibration', '[0-9]{1,18}');
Route::pattern('batch', '[0-9]{1,18}');
Route::pattern('draft', '[0-9]{1,18}');
Route::pattern('measurement', '[0-9]{1,18}');
Route::pattern('lot', '[0-9]{1,18}');
Route::pattern('log', '[0-9]{1,18}');
Route::pattern('thermometer', '[0-9]{1,18}');
Route::pattern('policy', '[0-9]{1,18}');
Route::pattern('verification', '[0-9]{1,18}');
Route::pattern('product', '[0-9]{1,18}');
Route::pattern('deviation', '[0-9]{1,18}');
Route::pattern('step', '[0-9]{1,18}');
Route::pattern('occasion', '[0-9]{1,18}');
Route::pattern('course', '[0-9]{1,18}');
Route::pattern('method', '[0-9]{1,18}');
Route::pattern('session', '[0-9]{1,18}');
Route::pattern('standard', '[a-z-]{1,40}');
Route::pattern('code', '[a-z-]{1,40}');

if (app()->environment('bench')) {
    // What the framework costs by itself, for bin/bench.
    Route::get('bare', static fn(): string => 'bare')->withoutMiddleware('web');
}
Route::get('up', UpController::class)->withoutMiddleware('web')->name('up');

Route::middleware('guest')->group(static function (): void {
    Route::get('sign-in', [SignInController::class, 'create'])->name('sign-in');
    Route::post('sign-in', [SignInController::class, 'store']);
    Route::get('sign-in/code', [SignInController::class, 'ask'])->name('sign-in.code');
    Route::post('sign-in/code', [SignInController::class, 'code'])->middleware('throttle:hands');
    Route::get('set-up', [SetUpController::class, 'create'])->name('set-up');
    Route::post('set-up', [SetUpController::class, 'store'])
        ->middleware('throttle:hands')
        ->name('set-up.store');
    Route::get('join', [PeopleController::class, 'join'])->name('join');
    Route::post('join', [PeopleController::class, 'enter'])
        ->middleware('throttle:hands')
        ->name('join.enter');
});

Route::middleware(['auth', SignsOutIdle::class, AsksForBetterSecret::class, BoundsUploads::class])->group(static function (): void {
    Route::post('sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::get('yourself', [YourselfController::class, 'show'])->name('yourself');
    Route::post('yourself', [YourselfController::class, 'update'])
        ->middleware('can:record')
        ->name('yourself.update');
    Route::get('yourself/code', [CodeController::class, 'show'])->name('yourself.code');
    Route::post('yourself/code', [CodeController::class, 'store']);
    Route::post('yourself/code/off', [CodeController::class, 'destroy'])->name('yourself.code.off');
    Route::get('yourself/passphrase', [CodeController::class, 'again'])->name('yourself.passphrase');
    Route::post('yourself/passphrase', [CodeController::class, 'confirm']);
    Route::get('yourself/secrets', [SecretsController::class, 'show'])->name('yourself.secrets');
    Route::post('yourself/secrets/passphrase', [SecretsController::class, 'passphrase'])->name('yourself.secrets.passphrase');
    Route::post('yourself/secrets/pin', [SecretsController::class, 'pin'])->name('yourself.secrets.pin');
    Route::post('yourself/sessions/{session}/end', [SecretsController::class, 'end'])->name('yourself.secrets.end');
    Route::get('hands', [HandsController::class, 'index'])->name('hands');
    Route::get('hands/{person}', [HandsController::class, 'create'])->name('hands.create');
    Route::post('hands/{person}', [HandsController::class, 'store'])->name('hands.store');
    Route::get('/', [TodayController::class, 'show'])->name('today');
    Route::get('today/sheet', [TodayController::class, 'sheet'])->name('today.sheet');
    Route::get('today/due.ics', [TodayController::class, 'calendar'])->name('today.calendar');
    Route::get('find', FindController::class)->name('find');
    Route::get('site', SiteController::class)->name('site');

    Route::get('ready', [ShelfController::class, 'index'])->name('ready');
    Route::get('ready/add/{what}', [AddController::class, 'create'])
        ->middleware('can:record')
        ->name('add');
    Route::get('ready/import', [ShelfImportController::class, 'create'])
        ->middleware('can:record')
        ->name('shelf.import');
    Route::get('ready/labels', LabelController::class)->name('labels');
    Route::get('ready/pairing', [PairingController::class, 'create'])
        ->middleware('can:record')
        ->name('pairing');
    Route::get('ready/electrodes', [ShelfController::class, 'compare'])->name('electrodes');
    Route::get('policies', [PolicyController::class, 'index'])->name('policies');
    Route::get('policies/{policy}', [PolicyController::class, 'show'])->name('policies.show');
    Route::get('pairs/{pair}', [ShelfController::class, 'pair'])->name('pairs.show');
    Route::get('lots/{lot}', [ShelfController::class, 'lot'])->name('lots.show');
    Route::get('thermometers/{thermometer}', [ShelfController::class, 'thermometer'])->name('thermometers.show');

    Route::get('calibrate', [CalibrateController::class, 'index'])->name('calibrate');
    Route::get('calibrate/{pair}', [CalibrateController::class, 'create'])->name('runs.create');
    Route::get('runs/{run}', [CalibrationRunController::class, 'show'])->name('runs.show');
    Route::get('runs/{run}/live', [CalibrationRunController::class, 'live'])->name('runs.live');
    Route::get('pairs/{pair}/check', [ControlCheckController::class, 'show'])->name('checks.show');
    Route::get('pairs/{pair}/check/live', [ControlCheckController::class, 'live'])->name('checks.live');
    Route::get('cells/{pair}', [CellController::class, 'show'])->name('cells.show');
    Route::get('cells/{pair}/live', [CellController::class, 'live'])->name('cells.live');
    Route::get('bench/{pair}', [BenchController::class, 'show'])
        ->middleware('can:record')
        ->name('bench.show');
    Route::get('calibrations/{calibration}', CalibrationController::class)->name('calibrations.show');
    Route::get('calibrations/{calibration}/certificate', [CertificateController::class, 'calibration'])->name('calibrations.certificate');
    Route::get('calibrations/{calibration}/certificate.pdf', [CertificateController::class, 'calibrationPdf'])->name('calibrations.pdf');

    Route::get('verify', [VerifyController::class, 'index'])->name('verify');
    Route::get('verify/alike', [TemperatureReferenceController::class, 'alike'])->name('verify.alike');
    Route::get('verify/reference', [TemperatureReferenceController::class, 'show'])->name('verify.reference');
    Route::get('verify/{thermometer}', [VerifyController::class, 'show'])->name('verify.show');
    Route::get('thermometer-checks/{verification}', [VerificationController::class, 'show'])->name('verifications.show');
    Route::get('thermometer-checks/{verification}/certificate', [CertificateController::class, 'verification'])->name(
        'verifications.certificate',
    );
    Route::get('thermometer-checks/{verification}/certificate.pdf', [CertificateController::class, 'verificationPdf'])->name(
        'verifications.pdf',
    );

    Route::get('logs/{log}', [LogController::class, 'show'])->name('logs.show');
    Route::get('pairs/{pair}/sample-log', [LogController::class, 'sample'])->name('logs.sample');

    Route::get('calculators', [CalculatorController::class, 'index'])->name('calculators');
    Route::get('calculators/{calculator}', [CalculatorController::class, 'show'])->name('calculators.show');
    Route::get('methods', [MethodController::class, 'index'])->name('methods');
    Route::get('methods/standard/{standard}', [MethodController::class, 'standard'])->name('methods.standard');
    Route::get('methods/{method}', [MethodController::class, 'show'])->name('methods.show');
    Route::get('methods/{method}/change', [MethodController::class, 'edit'])
        ->middleware('can:lead')
        ->name('methods.edit');
    Route::get('measure', [MeasureController::class, 'index'])->name('measure');
    Route::get('rounds/new', [RoundController::class, 'create'])
        ->middleware('can:record')
        ->name('rounds.create');
    Route::get('rounds/{round}', [RoundController::class, 'show'])->name('rounds.show');
    Route::get('people', [PeopleController::class, 'index'])->name('people');
    Route::get('system', SystemController::class)->middleware('can:read-access')->name('system');
    Route::get('settings', [SettingsController::class, 'show'])->name('settings');
    Route::get('access', AccessController::class)->middleware('can:read-access')->name('access');
    Route::get('keeping', [BackupController::class, 'show'])->name('clock');
    Route::get('sources', [SourceController::class, 'index'])->name('sources');
    Route::get('repeatability', RepeatabilityController::class)->name('repeatability');
    Route::get('measure/{batch}', [MeasureController::class, 'create'])->name('drafts.create');
    Route::get('measure/{batch}/late', [LateController::class, 'create'])
        ->middleware('can:record')
        ->name('late.create');
    Route::get('measure/{batch}/other', [OtherController::class, 'create'])
        ->middleware('can:record')
        ->name('others.create');
    Route::get('measure/{batch}/titration', [TitrationController::class, 'create'])
        ->middleware('can:record')
        ->name('titrations.create');
    Route::get('measure/{batch}/burette', [TitrationController::class, 'live'])->name('burettes.live');
    Route::get('drafts/{draft}', [MeasurementDraftController::class, 'show'])->name('drafts.show');
    Route::get('drafts/{draft}/live', [MeasurementDraftController::class, 'live'])->name('drafts.live');

    Route::get('batches', [BatchController::class, 'index'])->name('batches');
    Route::get('batches/new', [BatchLifeController::class, 'create'])->name('batches.create');
    Route::get('batches/{batch}/tag', [BatchLifeController::class, 'tag'])->name('batches.tag');
    Route::get('batches/{batch}/temperatures', [CourseController::class, 'show'])->name('courses.show');
    Route::get('deviations/{deviation}', [DeviationController::class, 'show'])->name('deviations.show');
    Route::get('products', [ProductController::class, 'index'])->name('products');
    Route::get('products/library/{code}', [ProductController::class, 'library'])->name('products.library');
    Route::get('products/import', [ProductImportController::class, 'create'])
        ->middleware('can:lead')
        ->name('products.import');
    Route::get('products/schema.json', [ProductImportController::class, 'schema'])->name('products.schema');
    Route::get('products/{product}', [ProductController::class, 'show'])->name('products.show');
    Route::get('products/{product}/change', [ProductController::class, 'edit'])
        ->middleware('can:lead')
        ->name('products.edit');
    Route::get('products/{product}/product.json', [ProductController::class, 'export'])->name('products.export');
    Route::get('batches/{batch}', [BatchController::class, 'show'])->name('batches.show');
    Route::get('readings/{measurement}', [MeasurementController::class, 'show'])->name('readings.show');
    Route::get('readings/{measurement}/correction', [CorrectionController::class, 'create'])->name('corrections.create');

    Route::middleware(['can:record', Confirms::class])->group(static function (): void {
        Route::post('ready/add/{what}', [AddController::class, 'store'])->name('add.store');
        Route::post('ready/import', [ShelfImportController::class, 'preview'])->name('shelf.preview');
        Route::post('ready/import/take', [ShelfImportController::class, 'store'])->name('shelf.take');
        Route::post('ready/pairs', [PairingController::class, 'store'])->name('pairing.store');
        Route::post('pairs/{pair}/part', [PairingController::class, 'part'])->name('pairs.part');
        Route::post('pairs/{pair}/care', [CareController::class, 'store'])->name('care.store');
        Route::post('pairs/{pair}/policy', [PolicyController::class, 'assign'])
            ->middleware('can:lead')
            ->name('policies.assign');
        Route::post('lots/{lot}/events', [BottleController::class, 'store'])->name('lots.log');
        Route::post('policies/{policy}', [PolicyController::class, 'update'])
            ->middleware('can:lead')
            ->name('policies.update');
        Route::post('cells/{pair}/immersions', [CellController::class, 'immerse'])->name('cells.immerse');
        Route::post('cells/{pair}', [CellController::class, 'store'])->name('cells.store');
        Route::post('verify/elevation', [VerifyController::class, 'elevation'])
            ->middleware('can:lead')
            ->name('verify.elevation');
        Route::post('verify/{thermometer}', [VerifyController::class, 'store'])->name('verify.store');
        Route::post('verify/{thermometer}/dip', [VerifyController::class, 'dip'])->name('verify.dip');
        Route::post('verify/{thermometer}/log', [VerifyController::class, 'log'])->name('verify.log');
        Route::post('thermometer-checks/{verification}/outcome', [VerificationController::class, 'conclude'])->name(
            'verifications.conclude',
        );
        Route::post('thermometers/{thermometer}/service', [ThermometerServiceController::class, 'store'])
            ->middleware('can:lead')
            ->name('thermometers.service');
        Route::post('bench/{pair}', [BenchController::class, 'store'])->name('bench.store');

        Route::post('calibrate/{pair}/runs', [CalibrateController::class, 'store'])->name('runs.store');
        Route::post('runs/{run}/immersions', [CalibrationRunController::class, 'immerse'])->name('runs.immerse');
        Route::post('runs/{run}/points', [CalibrationRunController::class, 'accept'])->name('runs.accept');
        Route::post('runs/{run}/leave', [CalibrationRunController::class, 'leave'])->name('runs.leave');
        Route::post('runs/{run}/take-over', [CalibrationRunController::class, 'takeOver'])->name('runs.take-over');

        Route::post('pairs/{pair}/log', [LogController::class, 'forPair'])->name('logs.pair');
        Route::post('drafts/{draft}/log', [LogController::class, 'forDraft'])->name('logs.draft');
        Route::post('logs/{log}/calibration', [LogController::class, 'calibrate'])->name('logs.calibrate');
        Route::post('logs/{log}/portions', [LogController::class, 'measure'])->name('logs.measure');
        Route::post('pairs/{pair}/check', [ControlCheckController::class, 'store'])->name('checks.store');
        Route::post('pairs/{pair}/check/immersions', [ControlCheckController::class, 'immerse'])->name('checks.immerse');

        Route::post('batches', [BatchLifeController::class, 'store'])->name('batches.store');
        Route::post('batches/{batch}/steps', [BatchLifeController::class, 'step'])->name('batches.step');
        Route::post('batches/{batch}/steps/wait', [BatchLifeController::class, 'wait'])->name('batches.wait');
        Route::post('steps/{step}', [BatchLifeController::class, 'changeStep'])
            ->middleware('can:lead')
            ->name('steps.change');
        Route::post('batches/{batch}/route', [BatchLifeController::class, 'route'])->name('batches.route');
        Route::post('occasions/{occasion}/end', [BatchLifeController::class, 'end'])->name('occasions.end');
        Route::post('courses/{course}/strikes', [CourseController::class, 'strike'])
            ->middleware('can:lead')
            ->name('courses.strike');
        Route::post('batches/{batch}/answers', [BatchLifeController::class, 'answer'])->name('batches.answer');
        Route::post('batches/{batch}/state', [BatchLifeController::class, 'move'])->name('batches.move');
        Route::post('batches/{batch}/notes', [BatchLifeController::class, 'note'])->name('batches.note');
        Route::post('batches/{batch}/additions', [BatchLifeController::class, 'add'])->name('batches.add');
        Route::post('batches/{batch}/recall', [BatchLifeController::class, 'recall'])
            ->middleware('can:lead')
            ->name('batches.recall');
        Route::post('batches/{batch}/release', [BatchLifeController::class, 'release'])
            ->middleware('can:lead')
            ->name('batches.release');
        Route::post('batches/{batch}/temperatures', [CourseController::class, 'store'])->name('courses.store');
        Route::post('deviations/{deviation}/actions', [DeviationController::class, 'act'])->name('deviations.act');
        Route::post('deviations/{deviation}/disposition', [DeviationController::class, 'dispose'])
            ->middleware('can:lead')
            ->name('deviations.dispose');
        Route::post('products/import', [ProductImportController::class, 'preview'])
            ->middleware('can:lead')
            ->name('products.preview');
        Route::post('products/import/take', [ProductImportController::class, 'store'])
            ->middleware('can:lead')
            ->name('products.import.take');
        Route::post('products/library/{code}', [ProductController::class, 'take'])
            ->middleware('can:lead')
            ->name('products.take');
        Route::post('products/{product}/drawn', [ProductController::class, 'draw'])
            ->middleware('can:lead')
            ->name('products.draw');
        Route::post('products/{product}', [ProductController::class, 'update'])
            ->middleware('can:lead')
            ->name('products.update');

        Route::post('methods/standard/{standard}', [MethodController::class, 'take'])
            ->middleware('can:lead')
            ->name('methods.take');
        Route::post('methods/{method}', [MethodController::class, 'update'])
            ->middleware('can:lead')
            ->name('methods.update');
        Route::post('sources', [SourceController::class, 'store'])
            ->middleware('can:lead')
            ->name('sources.store');
        Route::post('settings', [SettingsController::class, 'update'])
            ->middleware('can:lead')
            ->name('settings.update');
        Route::post('settings/zone', [SettingsController::class, 'move'])
            ->middleware('can:lead')
            ->name('settings.zone');
        Route::post('people', [PeopleController::class, 'store'])
            ->middleware('can:lead')
            ->name('people.store');
        Route::post('people/{person}/code', [PeopleController::class, 'code'])
            ->middleware('can:lead')
            ->name('people.code');
        Route::post('people/{person}/sign-out', [PeopleController::class, 'signOut'])
            ->middleware('can:lead')
            ->name('people.sign-out');
        Route::post('people/{person}/appointment', [PeopleController::class, 'appoint'])
            ->middleware('can:lead')
            ->name('people.appoint');
        Route::post('keeping/true-time', [BackupController::class, 'state'])
            ->middleware('can:lead')
            ->name('clock.state');
        Route::post('restorations/{restoration}', [TodayController::class, 'confirm'])
            ->middleware('can:lead')
            ->name('restorations.confirm');
        Route::post('rounds', [RoundController::class, 'store'])->name('rounds.store');
        Route::post('rounds/{round}/drawing', [RoundController::class, 'draw'])->name('rounds.draw');
        Route::post('rounds/{round}/stops/{stop}', [RoundController::class, 'visit'])->name('rounds.visit');
        Route::post('rounds/{round}/pass', [RoundController::class, 'pass'])->name('rounds.pass');
        Route::post('measure/{batch}/late', [LateController::class, 'store'])->name('late.store');
        Route::post('measure/{batch}/other', [OtherController::class, 'store'])->name('others.store');
        Route::post('measure/{batch}/titration/drawn/{portion}', [TitrationController::class, 'draw'])
            ->whereIn('portion', ['0', '1', '2'])
            ->name('titrations.draw');
        Route::post('measure/{batch}/titration', [TitrationController::class, 'store'])->name('titrations.store');
        Route::post('lots/{lot}/strength', [TitrationController::class, 'standardise'])->name('lots.standardise');
        Route::post('measure/{batch}/drafts', [MeasureController::class, 'store'])->name('drafts.store');
        Route::post('drafts/{draft}/treatment', [MeasurementDraftController::class, 'treat'])->name('drafts.treat');
        Route::post('measure/{batch}/burette', [TitrationController::class, 'burette'])->name('burettes.open');
        Route::post('drafts/{draft}/immersions', [MeasurementDraftController::class, 'immerse'])->name('drafts.immerse');
        Route::post('drafts/{draft}/replicates', [MeasurementDraftController::class, 'accept'])->name('drafts.accept');
        Route::post('drafts/{draft}/reading', [MeasurementController::class, 'store'])->name('readings.store');
        Route::post('drafts/{draft}/leave', [MeasurementDraftController::class, 'leave'])->name('drafts.leave');
        Route::post('drafts/{draft}/take-over', [MeasurementDraftController::class, 'takeOver'])->name('drafts.take-over');
        Route::post('readings/{measurement}/correction', [CorrectionController::class, 'store'])->name('corrections.store');
    });
});
