<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Queries\Ready\Thermometers;

/** Verbs at the thermometers: checking one, and saying what follows. */
abstract class ThermometerTestCase extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    /** @param array<string, mixed> $typed */
    protected function checks(string $code, array $typed): Verification
    {
        $this->post('/verify/' . $this->named($code)->id, [
            'method' => 'ice',
            'bath' => ['all'],
            ...$typed,
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        return Verification::query()->orderByDesc('id')->firstOrFail();
    }

    protected function concludes(Verification $check, string $outcome): TestResponse
    {
        return $this->post("/thermometer-checks/$check->id/outcome", ['outcome' => $outcome, 'form' => self::formId()]);
    }

    protected function named(string $code): Thermometer
    {
        return Thermometer::query()->where('code', $code)->firstOrFail();
    }

    protected function stateOf(string $code): ThermometerState
    {
        return Thermometers::status($this->named($code))->state;
    }
}
